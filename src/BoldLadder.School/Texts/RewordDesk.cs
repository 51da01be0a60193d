using BoldLadder.Core.Randomness;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Texts.Rewording;
using BoldLadder.Core.Words;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;

namespace BoldLadder.School.Texts;

/// <summary>A place of a text for which something else is wanted.</summary>
/// <param name="Start">The sign, from 0, at which the word starts.</param>
public sealed record InsteadAsked(string Text, int Start, LevelAsked Level, IReadOnlyList<string>? FirstWords = null);

/// <param name="Words">What would do in the place of the word, the nearest first.</param>
/// <param name="SentenceStart">Where its sentence stands.</param>
/// <param name="SentenceLength">In signs, with its full stop.</param>
/// <param name="Sentences">What says something like the whole sentence.</param>
public sealed record InsteadView(
    IReadOnlyList<Rewrite> Words,
    int SentenceStart,
    int SentenceLength,
    IReadOnlyList<string> Sentences
);

/// <summary>Words wanted by who writes.</summary>
/// <param name="Topic">animals, people …; or null.</param>
/// <param name="Rhyme">A word to rhyme with; or null.</param>
/// <param name="Today">True for words with what the day is about.</param>
public sealed record WordsAsked(LevelAsked Level, string? Topic = null, string? Rhyme = null, bool Today = false);

/// <param name="Words">Those that can be read, as they are written.</param>
public sealed record WordsOffered(IReadOnlyList<string> Words);

public sealed record StoryAsked(LevelAsked Level, long Seed);

/// <param name="Bones">who, where, what goes wrong, how it ends: a sentence each; none where too few words can be
/// read.</param>
public sealed record StoryView(IReadOnlyList<string> Bones);

/// <summary>
/// Offers words and sentences that children can read: for what stands in the way in a text, and to who writes one.
/// Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class RewordDesk(SchoolScope scope, ReadersLevels levels)
{
    private const int MostWords = 8;
    private const int MostSentences = 4;
    private const int MostOffered = 60;
    private const int LongestWord = 40;
    private const int LongestText = 60_000;

    public async Task<Answer<InsteadView>> Instead(InsteadAsked asked)
    {
        if (asked.Text.Length > LongestText)
            return Refusal.Unusable("too-long", ("most", LongestText));
        var level = await levels.Of(asked.Level, [.. (asked.FirstWords ?? []).Select(WordFinder.Plain)]);
        if (level.Refusal is { } unknown)
            return unknown;
        var read = TextsRead.Words(asked.Text, scope.Words.Finder);
        if (read.Refusal is { } unread)
            return unread;
        var text = read.Value;
        var at = text.At(asked.Start);
        if (at < 0)
            return Refusal.Unusable("text-no-word-there");
        var sentence = text.SentenceOf(at);
        var reworder = Reworder;
        return new InsteadView(
            reworder.For(asked.Text, text, at, level.Value.Judge, MostWords, level.Value.Avoid),
            sentence.Start,
            WithMarks(asked.Text, sentence),
            reworder.Simpler(asked.Text, text, sentence, level.Value.Judge, MostSentences, level.Value.Avoid)
        );
    }

    public async Task<Answer<WordsOffered>> Words(WordsAsked asked)
    {
        if (asked.Rhyme?.Length > LongestWord || asked.Topic?.Length > LongestWord)
            return Refusal.Unusable("too-long", ("most", LongestWord));
        var level = await levels.Of(asked.Level, []);
        if (level.Refusal is { } unknown)
            return unknown;
        var judge = level.Value.Judge;
        var found = asked.Rhyme is { } rhyme
            ? rhyme.Trim().Length > 0 && scope.Words.Finder.Find(rhyme.Trim()).Word is { } word
                ? scope.Words.Alike(scope.Accent).Rhymes(word).Select(r => r.Spelling)
                : []
            : asked.Today
                ? scope
                    .Words.Lexicon.ForLessons.Where(w => level.Value.Targets.Any(w.Contains))
                    .OrderByDescending(w => w.IsKnown)
                    .Select(w => w.Spelling)
                : Writers.About(asked.Topic ?? "");
        return new WordsOffered([
            .. found
                .Where(w =>
                    !level.Value.Avoid.Contains(w.ToLowerInvariant())
                    && WrittenWord.Of(w, judge.Finder) is { IsNever: false } written
                    && judge.CanRead(written)
                )
                .Take(MostOffered),
        ]);
    }

    public async Task<Answer<StoryView>> Story(StoryAsked asked)
    {
        var level = await levels.Of(asked.Level, []);
        if (level.Refusal is { } unknown)
            return unknown;
        var judge = level.Value.Judge;
        return new StoryView(
            Writers.Story(
                w =>
                    !level.Value.Avoid.Contains(w.Spelling.ToLowerInvariant())
                    && judge.CanRead(new WrittenWord(w.Spelling.ToLowerInvariant(), false, [w])),
                new Seeded(asked.Seed)
            )
        );
    }

    private Reworder Reworder => scope.Words.Materials.Reworder!.Value;

    private Core.Texts.Making.WritersWords Writers => scope.Words.Materials.Writers!.Value;

    /// <summary>How long a sentence is with the marks that end it.</summary>
    private static int WithMarks(string text, TextSentence sentence)
    {
        var end = sentence.Start + sentence.Length;
        while (end < text.Length && text[end] is '.' or '!' or '?' or '”' or '"')
            end++;
        return end - sentence.Start;
    }
}
