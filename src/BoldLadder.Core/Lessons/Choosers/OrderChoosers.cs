using System.Collections.Immutable;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// Sentences to be put right: their words in order, their capital letter and marks. Source: docs/handbook.md, section 6
/// (Apply).
/// </summary>
internal static class OrderChoosers
{
    private const int ShortestToOrder = 4;
    private const int LongestToOrder = 7;

    /// <summary>A sentence with a list may be a little longer.</summary>
    private const int LongestToMend = 9;
    private const int Tries = 6;

    private const string List = "list";
    private static readonly ImmutableArray<string> Points = ["statement", "question", List];

    public static ImmutableArray<Chooser> All { get; } =
    [new(ActivityKind.Unscramble, Unscramble), new(ActivityKind.MendSentence, Mend)];

    /// <summary>
    /// Sentences whose words stand in another order; the first keeps its capital, the last its stop. There is one right
    /// order for each: no word comes twice, nothing stands on both sides of and, no two could change places.
    /// </summary>
    private static IEnumerable<Item> Unscramble(LessonWork work, string id, int count) =>
        SentenceChoice
            .Best(work, id, s =>
                s.Tokens.Length is >= ShortestToOrder and <= LongestToOrder
                && !s.IsCaption
                && s.Tokens.DistinctBy(t => t.Word).Count() == s.Tokens.Length
                && s.Text[..^1].All(c => char.IsLetter(c) || c is ' ' or '’' or '\'')
                && !s.Tokens.Any(t => t.Word.Spelling is "and" or "or")
                && s.Tokens.Count(t => t.Word.PartsOfSpeech.HasFlag(PartsOfSpeech.Adjective)) < 2
            )
            .Take(count)
            .Select(s => new ScrambleItem(
                $"{id}:{s.Text}",
                false,
                [.. Mixed(work, $"{id}:{s.Text}", [.. s.Tokens.Select(t => t.Written)])],
                s.Text,
                [SentenceChoice.Uses(work, s)]
            ));

    /// <summary>The words in an order in which neither the first nor the last stands at its place.</summary>
    private static List<string> Mixed(LessonWork work, string purpose, List<string> words)
    {
        var random = work.Stream(purpose);
        var pieces = random.Shuffle(words);
        for (var again = 0; again < Tries && (pieces[0] == words[0] || pieces[^1] == words[^1]); again++)
            pieces = random.Shuffle(words);
        return pieces;
    }

    /// <summary>
    /// Sentences without capital letter and marks, all with one point: a list with commas, a question mark, or a full
    /// stop.
    /// </summary>
    private static IEnumerable<Item> Mend(LessonWork work, string id, int count)
    {
        if (work.Request.Before.Correspondences.Count < TeachChoosers.FirstWeeks)
            return [];
        var byPoint = SentenceChoice
            .Best(work, id, s => !s.IsCaption && s.Tokens.Length <= LongestToMend && PointOf(s) is not null)
            .ToLookup(s => PointOf(s)!);
        // The first point that has enough: lists are made only when their turn comes.
        var point = work.Stream($"{id}:point").Shuffle(Points).Find(p => Having(p).Count() == count)
            ?? Points.MaxBy(p => byPoint[p].Count())!;
        return Having(point)
            .Select(s => new MendItem(
                $"{id}:{s.Text}",
                false,
                Bare(s.Text),
                s.Text,
                point,
                [SentenceChoice.Uses(work, s)]
            ));

        IEnumerable<Sentence> Having(string asked) =>
            byPoint[asked]
                .Concat(asked == List ? work.MadeLists(id).Where(s => !work.Met.Contains(s.Text)) : [])
                .Take(count);
    }

    /// <summary>What a sentence has that may be put right; null for one with other marks.</summary>
    private static string? PointOf(Sentence sentence)
    {
        var text = sentence.Text;
        if (text.Any(c => c is '“' or '”' or '!' or ';' or ':') || text[..^1].Any(c => c is '.' or '?'))
            return null;
        if (text.EndsWith('?'))
            return text.Contains(',', StringComparison.Ordinal) ? null : "question";
        return !text.Contains(',', StringComparison.Ordinal) ? "statement"
            : IsList(text) ? List
            : null;
    }

    /// <summary>True for things side by side, a comma and an and between them: a red hat, a bag and a map.</summary>
    private static bool IsList(string text)
    {
        var (comma, and) = (text.LastIndexOf(','), text.LastIndexOf(" and ", StringComparison.Ordinal));
        if (and <= comma + 1 || text[(comma + 2)..and].Split(' ') is not { Length: <= 2 } last)
            return false;
        return !GoOn.Contains(last[0]) && char.IsLetter(text[comma - 1]);
    }

    /// <summary>Words after a comma that go on with the sentence, and with no list.</summary>
    private static readonly ImmutableArray<string> GoOn =
    [
        "so",
        "but",
        "then",
        "or",
        "and",
        "he",
        "she",
        "it",
        "we",
        "they",
        "I",
        "you",
        "please",
        "not",
        "get",
        "come",
    ];

    /// <summary>
    /// The sentence as somebody wrote it who forgot all marks and capital letters, those of names too; the pronoun I
    /// stays as it is.
    /// </summary>
    private static string Bare(string text) =>
        string.Join(
            ' ',
            text.TrimEnd('.', '?')
                .Replace(",", "", StringComparison.Ordinal)
                .Split(' ')
                .Select(w => w is "I" or ['I', '’' or '\'', ..] ? w : char.ToLowerInvariant(w[0]) + w[1..])
        );
}
