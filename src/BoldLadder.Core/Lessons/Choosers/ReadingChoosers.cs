using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Activities.Chains;
using BoldLadder.Core.Activities.MadeUp;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>The activities of Practise in which words are read. Source: docs/handbook.md, sections 6 and 7.</summary>
internal static class ReadingChoosers
{
    /// <summary>So many made-up words are drawn for each that is shown.</summary>
    private const int Drawn = 3;
    private const int OfOneRime = 2;
    private const int ShortestChain = 4;
    private const int WordsInLine = 4;
    private const int MostInChain = 400;
    private const int LongestInChain = 4;

    /// <summary>A word that nobody put in a band comes into a chain from this commonness on.</summary>
    private const double HeardOften = 4;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.ReadWords, ReadWords),
        new(ActivityKind.ReadUnmarked, Again),
        new(ActivityKind.ReadAtSpeed, Again),
        new(ActivityKind.ReadAidedUnaided, ReadWords),
        new(ActivityKind.MadeUpWords, MadeUp),
        new(ActivityKind.WordChain, Chain),
        new(ActivityKind.WordLines, Lines),
        new(ActivityKind.HasSound, HasSound),
        new(ActivityKind.FindInWords, FindInWords),
        new(ActivityKind.HuntPage, Hunt),
        new(ActivityKind.PictureToWord, PictureToWord),
    ];

    /// <summary>The shared set, easy to hard.</summary>
    private static IEnumerable<Item> ReadWords(LessonWork work, string id, int count) =>
        Shown(work, work.Set, count)
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    WordChoice.Explain(work.Request, w),
                    meaning: ItemMaker.MeaningFor(work.Request, w)
                )
            );

    /// <summary>The same words in a new order.</summary>
    private static IEnumerable<Item> Again(LessonWork work, string id, int count) =>
        work.Stream(id)
            .Shuffle(Shown(work, work.Set, count))
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    [.. WordChoice.Explain(work.Request, w).Where(Reason.IsUse), Reason.Of("met-before")]
                )
            );

    /// <summary>
    /// At most so many words of the set, at least two thirds of them with what is new: the others go first.
    /// </summary>
    internal static List<Word> Shown(LessonWork work, IEnumerable<Word> words, int count)
    {
        var shown = words.ToList();
        while (shown.Count > count && shown.Count > 0)
            shown.Remove(
                shown.LastOrDefault(w =>
                    !work.IsOwn(w) && shown.Count(work.IsOwn) * 3 < (shown.Count * 3) - shown.Count
                ) ?? shown[^1]
            );
        while (shown.Count(work.IsOwn) * 3 < shown.Count * 2 && shown.LastOrDefault(w => !work.IsOwn(w)) is { } extra)
            shown.Remove(extra);
        return shown;
    }

    /// <summary>Made-up words with what is new today, where the school has them in lessons.</summary>
    private static IEnumerable<Item> MadeUp(LessonWork work, string id, int count)
    {
        var request = work.Request;
        if (!request.MadeUpInLessons || request.Today.Correspondences.IsEmpty)
            return [];
        var shown = request.RecentMadeUp;
        // Words that only change their beginning would rhyme all the way down: at most two have the same end.
        return new MadeUpMaker(request.Lexicon, request.After)
            .Make((count * Drawn) + shown.Count, Draw(work, id), request.Today.Correspondences)
            .Where(m => !shown.Contains(m.Spelling) && !IsOdd(m.Spelling))
            .GroupBy(RimeOf)
            .SelectMany(g => g.Take(OfOneRime))
            .OrderBy(m => work.Stream($"{id}:{m.Spelling}").Fraction())
            .Take(count)
            .OrderBy(m => m.Segmentation.Taps)
            .Select(m => ItemMaker.OfMadeUp(id, m, request.Today));
    }

    /// <summary>The vowel and what follows it.</summary>
    private static string RimeOf(MadeUpWord made) =>
        string.Join('|', made.Segmentation.Parts.SkipWhile(p => !p.IsVowel).Select(p => p.Notation));

    /// <summary>True for a beginning that English hardly has.</summary>
    private static bool IsOdd(string spelling) =>
        spelling.StartsWith("dw", StringComparison.Ordinal)
        || spelling.StartsWith("tw", StringComparison.Ordinal)
        || spelling.StartsWith("gw", StringComparison.Ordinal);

    private static long Draw(LessonWork work, string id) => unchecked((long)work.Stream(id).NextUInt64());

    /// <summary>One chain; none where no chain has what is new today in two thirds of its words.</summary>
    private static IEnumerable<Item> Chain(LessonWork work, string id, int count)
    {
        var chain = Maker(work).Make(new ChainRequest(Math.Max(ShortestChain, count), Targets(work), Draw(work, id)));
        if (chain.Length < ShortestChain || !HasEnough(work, chain.Select(s => s.Word)))
            return [];
        return chain.Select(s => Of(id, s));
    }

    /// <summary>Lines of words for reading along, each line with what is new in two thirds of its words.</summary>
    private static IEnumerable<Item> Lines(LessonWork work, string id, int count) =>
        Maker(work)
            .Lines(count, new ChainRequest(WordsInLine, Targets(work), Draw(work, id)))
            .Where(l => l.Length >= ShortestChain - 1 && HasEnough(work, l.Select(s => s.Word)))
            .Select(l => new LineItem($"{id}:{l[0].Word.Spelling}", false, [.. l.Select(s => Of(id, s))]));

    private static WordItem Of(string id, ChainStep step) =>
        ItemMaker.OfWord(
            id,
            step.Word,
            step.Change is { } change
                ? [Reason.Of($"changes-{change.ToString().ToLowerInvariant()}")]
                : [Reason.Of("starts-chain")]
        );

    private static bool HasEnough(LessonWork work, IEnumerable<Word> words) =>
        words.ToList() is var all && all.Count(work.IsOwn) * 3 >= all.Count * 2;

    /// <summary>Chains are made of what is new, and of words that children know.</summary>
    private static ChainMaker Maker(LessonWork work)
    {
        var random = work.Stream("chain:to-go");
        // Short words that children know, and what is new: longer ones have few neighbours.
        var words = work
            .Own.Where(w => w.IsKnown || w.Band == Band.Teach || w.Zipf >= HeardOften)
            .OrderByDescending(w => w.IsKnown)
            .Take(MostInChain)
            .Concat(work.LikelyBefore.Where(w => w.IsKnown && w.Segmentation.Taps <= LongestInChain && !work.IsOwn(w)));
        return new(
            words.Where(w => !work.ToGo.Contains(w.Spelling) || random.Below(2) == 0),
            work.Request.After.Accent
        );
    }

    private static ImmutableArray<Correspondence> Targets(LessonWork work) =>
        work.Request.Today.Correspondences is var today && today.Any(c => c.Notation == "a=ɑː")
            ? today.Add(Correspondence.BathA)
            : today;

    /// <summary>
    /// Does it have the sound? The adult says words: some have it, some have one that is easily taken for it.
    /// </summary>
    private static IEnumerable<Item> HasSound(LessonWork work, string id, int count)
    {
        if (work.Request.Today.Correspondences.IsEmpty)
            return [];
        var target = work.Request.Today.Correspondences[0];
        var sounds = RevisitChoosers.SoundsOf([target]);
        var (having, near) = (
            RevisitChoosers.SayingAll(work.Request, target),
            RevisitChoosers.Saying([
                .. Sound.All.Where(s =>
                    !sounds.Contains(s) && s.IsVowel == target.IsVowel && MixedSounds.Are(s.Symbol, target.SoundText)
                ),
            ])
        );
        var easy = work
            .Known.Where(w =>
                w.Suffix is null
                && w.Segmentation.SoundCount <= Weights.EasyTaps
                && (w.PartsOfSpeech & TeachChoosers.CanBeSeen) != PartsOfSpeech.None
                && !ChosenLast.Has(w)
            )
            .ToList();
        var choice = work.Choice(id);
        var yes = choice.Take(easy.Where(w => w.ContainsAny(having)), count - (count / 2));
        // Letters that say something else would mislead who reads the words out.
        var without = easy.Where(w =>
                !w.ContainsAny(having) && !w.Spelling.Contains(target.Grapheme.Text, StringComparison.Ordinal)
            )
            .ToList();
        var close = without.Where(w => w.ContainsAny(near)).ToList();
        var no = choice.Take(close.Count >= count / 2 ? close : without, count - yes.Count);
        return yes.Count == 0 || no.Count == 0
            ? []
            : work.Stream(id)
                .Shuffle(yes.Concat(no))
                .Select(w =>
                    ItemMaker.OfWord(
                        id,
                        w,
                        [
                            Reason.Of(
                                w.ContainsAny(having) ? "has-sound"
                                : close.Contains(w) ? "near-miss"
                                : "has-not"
                            ),
                        ],
                        oral: true
                    )
                );
    }

    /// <summary>
    /// Words in which to point at what is new; the same letters with another sound are flagged for the adult.
    /// </summary>
    private static IEnumerable<Item> FindInWords(LessonWork work, string id, int count)
    {
        var request = work.Request;
        if (request.Today.Correspondences.IsEmpty)
            return [];
        var own = Shown(work, work.Set, count);
        var others = work.LikelyBefore.Where(w => !work.IsOwn(w) && HasOtherJob(request, w)).ToList();
        var room = Math.Min(own.Count / 3, count - own.Count + (own.Count / 3));
        var flagged = room > 0 ? work.Choice(id).Take(others, room, own) : [];
        return work.Stream(id)
            .Shuffle(own.Take(count - flagged.Count).Concat(flagged))
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    [
                        Reason.Of(
                            work.IsOwn(w) ? "is-here"
                            : HasOtherJob(request, w) ? "another-job"
                            : "not-here"
                        ),
                    ]
                )
            );
    }

    /// <summary>
    /// True for a word with the letters of what is new that say something else: ow in snow when cow is taught.
    /// </summary>
    internal static bool HasOtherJob(LessonRequest request, Word word) =>
        request.Today.Correspondences.Any(t =>
            word.Required.Any(p =>
                p.Grapheme == t.Grapheme && request.After.Accent.Project(p) != request.After.Accent.Project(t)
            )
        );

    /// <summary>Sentences to hunt through, those with most of what is new first.</summary>
    private static IEnumerable<Item> Hunt(LessonWork work, string id, int count)
    {
        if (!work.Request.Today.IsInWords)
            return [];
        return work
            .Sentences.Where(s => !work.Met.Contains(s.Text) && !s.IsCaption)
            .Select(s => (Sentence: s, Hits: work.OnTarget.GetValueOrDefault(s.Text)))
            .OrderByDescending(s => s.Hits)
            .ThenBy(s => s.Sentence.Tokens.Length)
            .ThenBy(s => s.Sentence.Text, StringComparer.Ordinal)
            .Take(count)
            .Select(s =>
                ItemMaker.OfSentence(
                    id,
                    s.Sentence,
                    work.Request.After,
                    [
                        UsesInWords(work.Request.Today, s.Hits),
                        .. s
                            .Sentence.Tokens.Where(t => HasOtherJob(work.Request, t.Word))
                            .Select(t => Reason.Of("another-job-in", Sentence.Plain(t.Written))),
                    ]
                )
            );
    }

    /// <summary>
    /// In how many words a sentence has what the day is about: what is new, or on a quiet day what it goes back to.
    /// </summary>
    internal static Reason UsesInWords(Rung today, int words) =>
        words.ToString(CultureInfo.InvariantCulture) is var count && today.Kind == RungKind.Lesson
            ? Reason.Of("uses-in-words", today.Label, count)
            : Reason.Of("goes-back-in-words", count);

    internal static int Hits(LessonWork work, Sentence sentence)
    {
        var hits = 0;
        foreach (var (_, word) in sentence.Tokens)
        {
            if (work.IsOwn(word))
                hits++;
        }
        return hits;
    }

    /// <summary>Which word says what the picture shows? The others look or sound a little like it.</summary>
    private static IEnumerable<Item> PictureToWord(LessonWork work, string id, int count)
    {
        foreach (var word in Pictured(work, id, count))
        {
            var others = work
                .Set.Concat(work.Own.Where(w => w.IsKnown))
                .Where(w =>
                    w != word
                    && w.Suffix?.Base != word.Spelling
                    && !work.Request.Materials.Pictures.ContainsKey(w.Spelling)
                )
                .OrderByDescending(w => w.Required[0] == word.Required[0])
                .ThenBy(w => Math.Abs(w.Spelling.Length - word.Spelling.Length))
                .Take(2)
                .Select(w => w.Spelling)
                .ToList();
            if (others.Count == 0)
                yield break;
            yield return ItemMaker.OfPicture(
                work,
                id,
                word,
                work.Stream($"{id}:{word.Spelling}").Shuffle(others.Append(word.Spelling).Distinct())
            );
        }
    }

    /// <summary>Words with what is new that have a picture, those of the set first.</summary>
    internal static List<Word> Pictured(LessonWork work, string id, int count)
    {
        var pictured = work.Own.Where(w => work.Request.Materials.Pictures.ContainsKey(w.Spelling)).ToList();
        var set = pictured.Where(work.Set.Contains).ToList();
        return [.. set.Concat(work.Choice(id).Take(pictured.Except(set), count, set)).Take(count)];
    }
}
