using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Activities.Crosswords;
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

    /// <summary>Captions until this many correspondences were taught, then sentences.</summary>
    private const int CaptionsUntil = 14;

    /// <summary>A text is read again on the days after, this many times in all.</summary>
    private const int ReadAgainWithin = 3;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.ReadSentence, (work, id, count) =>
            Best(work, id, _ => true).Take(count).Select(s => Read(work, id, s))
        ),
        new(ActivityKind.OralSentence, (work, id, count) => RevisitChoosers.Oral(work, id, count)),
        new(ActivityKind.PhraseToPicture, PhraseToPicture),
        new(ActivityKind.DictateSentence, Dictate),
        new(ActivityKind.OwnSentence, OwnSentence),
        new(ActivityKind.ReadText, ReadText),
        new(ActivityKind.Crossword, MakeCrossword),
        new(ActivityKind.FillGap, FillGap),
        new(ActivityKind.StoryPrompt, StoryPrompt),
    ];

    private static SentenceItem Read(LessonWork work, string id, Sentence sentence) =>
        ItemMaker.OfSentence(id, sentence, work.Request.After, [Uses(work, sentence)]);

    /// <summary>The readable sentences that will do, the best for today first.</summary>
    private static IEnumerable<Sentence> Best(LessonWork work, string id, Func<Sentence, bool> willDo)
    {
        var random = work.Stream(id);
        var set = work.Set.ToHashSet();
        return work
            .Sentences.Where(willDo)
            .Select(s => (Sentence: s, Worth: Worth(work, s, set) + random.Fraction()))
            .OrderByDescending(s => s.Worth)
            .Select(s => s.Sentence);
    }

    /// <summary>
    /// Captions of 2 to 4 words with one target in the first weeks, later 4 to 9 words with two; words of the set, what
    /// is new, nothing just read.
    /// </summary>
    private static double Worth(LessonWork work, Sentence sentence, HashSet<Word> set)
    {
        var request = work.Request;
        var early = request.After.Correspondences.Count < CaptionsUntil;
        var (fewest, most, targets) = early ? (2, 4, 1) : (4, 9, 2);
        var hits = ReadingChoosers.Hits(work, sentence);
        var worth =
            (Weights.TargetInSentence * Math.Min(hits, targets))
            + (Weights.TooManyTargets * Math.Max(0, hits - targets - 1))
            + (Weights.SetWordInSentence * Math.Min(2, sentence.Tokens.Count(t => set.Contains(t.Word))))
            + (Weights.EachWordTooLong * Math.Max(0, sentence.Tokens.Length - most))
            + (Weights.EachWordTooShort * Math.Max(0, fewest - sentence.Tokens.Length));
        if (work.Met.Contains(sentence.Text))
            worth += Weights.SentenceMet;
        if (request.Memory.Texts.TryGetValue(sentence.Text, out var lessons))
            worth += Weights.SentenceJustRead / Math.Max(1, lessons);
        foreach (var part in sentence.Asks)
        {
            if (work.Recent.Contains(part))
                worth += Weights.RecentInSentence;
        }
        return worth;
    }

    private static Reason Uses(LessonWork work, Sentence sentence)
    {
        var count = ReadingChoosers.Hits(work, sentence);
        return count == 0 ? Reason.Of("all-taught") : ReadingChoosers.UsesInWords(work.Request.Today, count);
    }

    /// <summary>A phrase, its picture, and pictures of other things that can be read.</summary>
    private static IEnumerable<Item> PhraseToPicture(LessonWork work, string id, int count)
    {
        var pictures = work.Request.Materials.Pictures;
        var pictured = pictures
            .Keys.Where(k => work.Request.Lexicon.Find(k) is { } word && work.Request.Before.CanRead(word))
            .Order(StringComparer.Ordinal)
            .ToList();
        foreach (
            var sentence in Best(work, id, s => s.Tokens.Any(t => pictures.ContainsKey(t.Word.Spelling))).Take(count)
        )
        {
            var shown = sentence.Tokens.Select(t => t.Word.Spelling).Where(pictures.ContainsKey).ToHashSet();
            var right = sentence
                .Tokens.Where(t => shown.Contains(t.Word.Spelling))
                .OrderByDescending(t => work.IsOwn(t.Word))
                .First()
                .Word.Spelling;
            var others = work.Stream($"{id}:{sentence.Text}")
                .Shuffle(pictured.Where(w => !shown.Contains(w)))
                .Select(w => pictures[w])
                .Where(p => p != pictures[right])
                .Distinct()
                .Take(2)
                .ToList();
            if (others.Count > 0)
                yield return Read(work, id, sentence) with
                {
                    Pictures = [pictures[right], .. others],
                };
        }
    }

    /// <summary>
    /// A short sentence to write: its decodable words are spelled, its tricky words are given in print.
    /// </summary>
    private static IEnumerable<Item> Dictate(LessonWork work, string id, int count) =>
        Best(work, id, s =>
                s.Tokens.Length is >= ShortestDictated and <= LongestDictated
                && s.Tokens.Any(t => work.Request.After.CanRead(t.Word))
            )
            .Take(count)
            .Select(s => Read(work, id, s));

    /// <summary>A tricky word, the newest taught, and a word of the set: write your own sentence with them.</summary>
    private static IEnumerable<Item> OwnSentence(LessonWork work, string id, int count)
    {
        var tricky = work.Request.TrickyToday.LastOrDefault();
        var word = work.Set.FirstOrDefault(work.IsOwn);
        if (word is null && tricky is null)
            return [];
        return
        [
            new PromptItem(
                $"{id}:{tricky ?? word!.Spelling}",
                false,
                "own-sentence",
                [.. new[] { tricky, word?.Spelling }.OfType<string>()]
            ),
        ];
    }

    /// <summary>A text read lately is read again for fluency; else the one with most of what is new.</summary>
    private static IEnumerable<Item> ReadText(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var random = work.Stream(id);
        var readable = request
            .Materials.Texts.Readable(request.After, request.TrickyToday.ToHashSet())
            .Where(t => t.All.All(work.MayBeRead))
            .ToList();
        var best = readable
            .Select(t => (Text: t, Ago: request.Memory.Texts.GetValueOrDefault(t.Title), Draw: random.Fraction()))
            .OrderByDescending(t => t.Ago is > 0 and < ReadAgainWithin)
            .ThenByDescending(t =>
                t.Ago == 0
                    ? t.Text.Sentences.Sum(s => ReadingChoosers.Hits(work, s))
                        + (
                            Weights.EachCorrespondenceOfText
                            * t.Text.Sentences.SelectMany(s => s.Asks).Distinct().Count()
                        )
                        + t.Draw
                    : -1d / t.Ago
            )
            .Take(count);
        return best.Select(b => new TextItem(
            $"{id}:{b.Text.Title}",
            false,
            b.Text.Title,
            [.. b.Text.Sentences.Select(s => ItemMaker.OfSentence(id, s, request.After, []))],
            b.Text.Questions,
            [b.Ago is > 0 and < ReadAgainWithin ? Reason.Of("read-again") : Reason.Of("all-taught")]
        ));
    }

    private static IEnumerable<Item> MakeCrossword(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var words = new CrosswordWords(request.Lexicon, request.Materials.Sentences, request.Materials.Pictures)
            .For(
                request.After,
                request.TrickyToday.ToHashSet(),
                CrosswordCells.Letters,
                request.Today.Correspondences,
                work.MayBeRead
            )
            .Where(w => !request.Avoid.Contains(w.Spelling));
        var made = CrosswordFitter.Fit(
            words,
            Math.Max(count, WordsInCrossword),
            unchecked((long)work.Stream(id).NextUInt64())
        );
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

    /// <summary>
    /// A sentence with a word that has what is new left out; the other words to choose from can't stand there, being of
    /// another kind.
    /// </summary>
    private static IEnumerable<Item> FillGap(LessonWork work, string id, int count)
    {
        foreach (var sentence in Best(work, id, s => s.Tokens.Length > 3 && Gap(work, s) > 0).Take(count))
        {
            var at = Gap(work, sentence);
            var (written, word) = sentence.Tokens[at];
            var options = work
                .Set.Concat(work.Own)
                .Where(w =>
                    w != word
                    && (w.PartsOfSpeech & word.PartsOfSpeech) == PartsOfSpeech.None
                    && sentence.Tokens.All(t => t.Word != w)
                )
                .Distinct()
                .OrderBy(w => Math.Abs(w.Segmentation.Taps - word.Segmentation.Taps))
                .Take(2)
                .Select(w => w.Spelling)
                .ToList();
            if (options.Count == 0)
                continue;
            var end = Sentence.End(written);
            work.Met.Add(sentence.Text);
            yield return new MissingWordItem(
                Id: $"{id}:{sentence.Text}",
                Kept: false,
                Before: string.Join(' ', sentence.Tokens[..at].Select(t => t.Written)),
                After: end + string.Concat(sentence.Tokens[(at + 1)..].Select(t => " " + t.Written)),
                Word: word.Spelling,
                Options: [.. work.Stream($"{id}:{word.Spelling}").Shuffle(options.Append(word.Spelling))],
                Reasons: [Uses(work, sentence)]
            );
        }
    }

    /// <summary>The place of the word to leave out: the first with what is new, not at the start; 0 for none.</summary>
    private static int Gap(LessonWork work, Sentence sentence)
    {
        for (var i = 1; i < sentence.Tokens.Length; i++)
        {
            if (
                work.IsOwn(sentence.Tokens[i].Word)
                && char.IsLower(sentence.Tokens[i].Written[0])
                && sentence.Tokens[i].Word.PartsOfSpeech != PartsOfSpeech.None
                && sentence.Tokens.Count(t => t.Word == sentence.Tokens[i].Word) == 1
            )
                return i;
        }
        return 0;
    }

    /// <summary>
    /// A prompt that the adult reads out, and two or three words of the set that the story must have.
    /// </summary>
    private static IEnumerable<Item> StoryPrompt(LessonWork work, string id, int count)
    {
        var words = work
            .Set.Where(work.IsOwn)
            .OrderByDescending(w => w.PartsOfSpeech.HasFlag(PartsOfSpeech.Noun))
            .ThenBy(w => w.Segmentation.Taps)
            .Take(3)
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
                [.. words]
            ),
        ];
    }
}
