using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Activities.Crosswords;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The activities of Apply: sentences and texts read and written. Source: docs/handbook.md, sections 6 and 7
/// (Sentences).
/// </summary>
internal static class ApplyChoosers
{
    private const int LongestDictated = 7;
    private const int ShortestDictated = 3;
    private const int FewestInCrossword = 4;
    private const int WordsInCrossword = 6;
    private const int Prompts = 6;

    /// <summary>A text is read again within so many lessons after the last time.</summary>
    private const int ReadAgainWithin = 6;

    /// <summary>A text is read once, and again so many times.</summary>
    private const int ReadAgain = 2;

    /// <summary>
    /// A text has different words with what is new, or with one of so many correspondences taught last.
    /// </summary>
    private const int ReviewedInText = 6;
    private const int FewestOfDay = 2;

    /// <summary>
    /// A text for beginners is none for the second year: it asks for so much of what was taught, and rather for more.
    /// </summary>
    private const double LeastAsked = 0.25;
    private const double EachAsked = 0.3;
    private const int FewestInText = 5;

    /// <summary>A text takes no more of a lesson than this.</summary>
    private const double MostForText = 1 / 3.0;
    private const int WordsInStory = 2;
    private const int PhrasesInStory = 2;
    private const double JustReadGap = 6;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.ReadSentence, (work, id, count) =>
            SentenceChoice.Best(work, id, _ => true).Take(count).Select(s => Read(work, id, s))
        ),
        new(ActivityKind.OralSentence, (work, id, count) => RevisitChoosers.Oral(work, id, count)),
        new(ActivityKind.PhraseToPicture, Phrases),
        new(ActivityKind.DictateSentence, Dictate),
        new(ActivityKind.OwnSentence, OwnSentence),
        new(ActivityKind.ReadText, (work, id, count) => Texts(work, id)),
        new(ActivityKind.Crossword, MakeCrossword),
        new(ActivityKind.FillGap, FillGap),
        new(ActivityKind.StoryPrompt, StoryPrompt),
    ];

    private static SentenceItem Read(LessonWork work, string id, Sentence sentence) =>
        ItemMaker.OfSentence(id, sentence, work.Request.After, [SentenceChoice.Uses(work, sentence)]);

    /// <summary>
    /// A phrase with what is new, the picture of a word of it that is new, and pictures of other things that can be
    /// read: rather those whose words look a little like it.
    /// </summary>
    internal static IEnumerable<Item> Phrases(LessonWork work, string id, int count)
    {
        var pictures = work.Request.Materials.Pictures;
        bool IsShown(Word word) => pictures.ContainsKey(word.Spelling) && work.IsOwn(word);
        var pictured = pictures
            .Keys.Order(StringComparer.Ordinal)
            .Select(work.Request.Lexicon.Find)
            .OfType<Word>()
            .Where(w => work.Request.After.CanRead(w))
            .ToList();
        var shown = new HashSet<string>(StringComparer.Ordinal);
        foreach (var sentence in SentenceChoice.Best(work, id, s => s.Tokens.Any(t => IsShown(t.Word))))
        {
            // Each picture is right once.
            var right = sentence
                .Tokens.Select(t => t.Word)
                .FirstOrDefault(w => IsShown(w) && !shown.Contains(pictures[w.Spelling]));
            if (right is null || shown.Count == count)
                continue;
            // Nothing else that it names fits as well: a pup looks like a dog.
            var named = sentence
                .Tokens.SelectMany(t => new[] { t.Word.Spelling, t.Word.Suffix?.Base ?? t.Word.Spelling })
                .Select(w => pictures.GetValueOrDefault(w))
                .ToHashSet();
            var others = work.Stream($"{id}:{sentence.Text}")
                .Shuffle(pictured.Where(w => !named.Contains(pictures[w.Spelling])))
                .OrderByDescending(w => w.Required[0] == right.Required[0])
                .ThenByDescending(work.IsOwn)
                .Select(w => pictures[w.Spelling])
                .Distinct()
                .Take(2)
                .ToList();
            if (others.Count == 0)
                continue;
            shown.Add(pictures[right.Spelling]);
            yield return Read(work, id, sentence) with
            {
                Pictures = [pictures[right.Spelling], .. others],
            };
        }
    }

    /// <summary>
    /// A short sentence to write, past the first weeks: its decodable words are spelled, its tricky words are given in
    /// print.
    /// </summary>
    private static IEnumerable<Item> Dictate(LessonWork work, string id, int count) =>
        work.Request.Before.Correspondences.Count < TeachChoosers.FirstWeeks / 2
            ? []
            : SentenceChoice
                .Best(work, id, s => s.Tokens.Length is >= ShortestDictated and <= LongestDictated)
                .Take(1)
                .Select(s => Read(work, id, s));

    /// <summary>
    /// A tricky word, the newest taught, and a word of the set: write your own sentence with them. Not in the first
    /// weeks, when children can form few letters.
    /// </summary>
    private static IEnumerable<Item> OwnSentence(LessonWork work, string id, int count)
    {
        if (work.Request.Before.Correspondences.Count < TeachChoosers.FirstWeeks)
            return [];
        var tricky = work.Request.TrickyToday.LastOrDefault();
        var word = work.Set.FirstOrDefault(w =>
            work.IsOwn(w) && (w.PartsOfSpeech & (PartsOfSpeech.Noun | PartsOfSpeech.Verb)) != PartsOfSpeech.None
        );
        if (word is null)
            return [];
        return
        [
            new PromptItem(
                $"{id}:{tricky ?? word.Spelling}",
                false,
                "own-sentence",
                [.. new[] { tricky, word.Spelling }.OfType<string>()]
            ),
        ];
    }

    /// <summary>
    /// A text with words of the day, or of the days before: one read lately is read again for fluency, three times in
    /// all; else the one with most of what is new.
    /// </summary>
    /// <param name="fewestOwn">So many different words have what the day is about.</param>
    internal static IEnumerable<TextItem> Texts(LessonWork work, string id, int fewestOwn = 0)
    {
        var request = work.Request;
        var random = work.Stream(id);
        var lately = CorrespondenceSet.Of(request.Memory.Newest.Take(ReviewedInText));
        var longest =
            5
            * MostForText
            * Pace.ToFill(request.Minutes)
            / (ActivityFacts.Of(ActivityKind.ReadText).Seconds * request.Pace);
        bool IsOfTheDay(Word word) => work.IsOwn(word) || word.ContainsAny(lately);
        var best = request
            .Materials.Texts.Readable(request.After, request.TrickyToday.ToHashSet())
            .Where(t =>
                t.Sentences.Length <= longest
                && t.All.All(work.MayBeRead)
                && t.Sentences.All(s => !work.Met.Contains(s.Text))
                && request.Memory.TextReadings.GetValueOrDefault(t.Title) <= ReadAgain
            )
            .Select(t =>
                (
                    Text: t,
                    Own: t.Words.Count(work.IsOwn),
                    Hits: t.Words.Count(IsOfTheDay),
                    Asked: t.Asks,
                    Ago: request.Memory.Texts.GetValueOrDefault(t.Title),
                    Draw: random.Fraction()
                )
            )
            .Where(t =>
                t.Own >= fewestOwn
                && (t.Own >= FewestOfDay || t.Hits >= FewestInText)
                && t.Asked >= LeastAsked * request.Before.Correspondences.Count
                && (t.Ago == 0 || t.Ago < ReadAgainWithin)
            )
            .OrderByDescending(t => t.Ago > 0)
            .ThenByDescending(t => (2 * t.Own) + t.Hits + (EachAsked * t.Asked) + t.Draw)
            .Take(1);
        return best.Select(b => new TextItem(
            $"{id}:{b.Text.Title}",
            false,
            b.Text.Title,
            [.. b.Text.Sentences.Select(s => ItemMaker.OfSentence(id, s, request.After, []))],
            b.Text.Questions,
            [
                .. b.Ago > 0 ? [Reason.Of("read-again")] : ImmutableArray<Reason>.Empty,
                b.Own >= FewestOfDay
                    ? ReadingChoosers.UsesInWords(request.Today, b.Own)
                    : Reason.Of("has-lately-in-words", b.Hits.ToString(CultureInfo.InvariantCulture)),
            ]
        ));
    }

    private static IEnumerable<Item> MakeCrossword(LessonWork work, string id, int count)
    {
        var request = work.Request;
        if (request.Before.Correspondences.Count < TeachChoosers.FirstWeeks)
            return [];
        IReadOnlyList<CrosswordWord> words =
        [
            .. new CrosswordWords(request.Lexicon, request.Materials.Sentences, request.Materials.Pictures)
                .For(request.After, request.TrickyToday.ToHashSet(), CrosswordCells.Letters, work.IsOwn, s =>
                    work.MayBeRead(s) && !work.Met.Contains(s.Text)
                )
                .Where(w => !request.Avoid.Contains(w.Spelling)),
        ];
        var made = CrosswordFitter.Fit(
            words,
            Math.Max(count, WordsInCrossword),
            unchecked((long)work.Stream(id).NextUInt64())
        );
        // A clue that has another answer in it gives that one away: its word makes way.
        while (GivesAway(made) is { } telling)
        {
            words = [.. words.Where(w => w.Spelling != telling)];
            made = CrosswordFitter.Fit(words, Math.Max(count, WordsInCrossword), work.Request.Seed);
        }
        if (made.Entries.Length < FewestInCrossword)
            return [];
        return
        [
            new CrosswordItem(
                $"{id}:{made.Entries[0].Word.Spelling}",
                false,
                made.Width,
                made.Height,
                [
                    .. made.Entries.Select(e => new CrosswordLine(
                        Number: e.Number,
                        Across: e.Across,
                        Row: e.Row,
                        Column: e.Column,
                        Word: e.Word.Spelling,
                        Picture: (e.Word.Clue as CrosswordClue.Picture)?.Name,
                        Clue: e.Word.Clue is CrosswordClue.MissingWord gap ? $"{gap.Before} ____{gap.After}" : null
                    )),
                ]
            ),
        ];
    }

    /// <summary>The word of an entry whose clue holds another answer; null where none does.</summary>
    private static string? GivesAway(Crossword made) =>
        made
            .Entries.FirstOrDefault(e =>
                e.Word.Clue is CrosswordClue.MissingWord gap
                && $"{gap.Before} {gap.After}".Split(' ').Select(Sentence.Plain).ToHashSet() is var told
                && made.Entries.Any(o => o.Word != e.Word && told.Contains(o.Word.Spelling))
            )
            ?.Word.Spelling;

    /// <summary>
    /// Sentences with a word left out, and words of its class and near in spelling to choose from, as a person put
    /// them; one of the words has what is new.
    /// </summary>
    private static IEnumerable<Item> FillGap(LessonWork work, string id, int count)
    {
        var (request, random) = (work.Request, work.Stream(id));
        var tricky = request.TrickyToday.ToHashSet();
        var found = request
            .Materials.Gaps.Sentences.Where(g =>
                g.Options.Any(work.IsOwn)
                && g.Whole.CanBeRead(request.After, tricky)
                && g.Options.All(o => request.After.CanRead(o) && !request.Avoid.Contains(o.Spelling))
                && work.MayBeRead(g.Whole)
                && !work.Met.Contains(g.Whole.Text)
            )
            .Select(g =>
                (
                    Gap: g,
                    Worth: (work.IsOwn(g.Options[0]) ? 1 : 0)
                        - (
                            request.Memory.Texts.TryGetValue(g.Whole.Text, out var ago)
                                ? JustReadGap / (double)Math.Max(1, ago)
                                : 0
                        )
                        + random.Fraction()
                )
            )
            .OrderByDescending(g => g.Worth)
            .Select(g => g.Gap)
            .DistinctBy(g => g.Options[0])
            .Take(count);
        foreach (var gap in found)
        {
            var (tokens, at) = (gap.Whole.Tokens, gap.At);
            var end = Sentence.End(tokens[at].Written);
            yield return new MissingWordItem(
                Id: $"{id}:{gap.Whole.Text}",
                Kept: false,
                Before: string.Join(' ', tokens[..at].Select(t => t.Written)),
                After: end + string.Concat(tokens[(at + 1)..].Select(t => " " + t.Written)),
                Word: gap.Options[0].Spelling,
                Options: [.. work.Stream($"{id}:{gap.Whole.Text}").Shuffle(gap.Options.Select(o => o.Spelling))],
                Reasons: [Reason.Of("one-is-right")]
            );
        }
    }

    /// <summary>
    /// A prompt that the adult reads out, and two or three words of the set that the story must have.
    /// </summary>
    private static IEnumerable<Item> StoryPrompt(LessonWork work, string id, int count)
    {
        if (work.Request.Before.Correspondences.Count < TeachChoosers.FirstWeeks)
            return [];
        var words = work
            .Set.Concat(work.Picked(work.Own).Where(w => w.IsKnown))
            .Distinct()
            .Where(w => work.IsOwn(w) && w.PartsOfSpeech.HasFlag(PartsOfSpeech.Noun) && !ChosenLast.Has(w))
            .Take(WordsInStory)
            .Select(w => w.Spelling)
            .ToList();
        if (words.Count < 2)
            return [];
        var prompt = 1 + work.Stream(id).Below(Prompts);
        return
        [
            new PromptItem(
                $"{id}:{prompt}",
                false,
                string.Create(CultureInfo.InvariantCulture, $"story-{prompt}"),
                [.. words],
                [
                    .. CheckLine.OfStory,
                    .. work.Phrases(id)
                        .DistinctBy(p => p.Tokens[^1].Word)
                        .Take(PhrasesInStory)
                        .Select(p => new CheckLine("phrase", p.Text)),
                ]
            ),
        ];
    }
}
