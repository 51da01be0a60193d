using System.Collections.Immutable;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The activities of Teach: what is new today, heard, shown, formed, and set beside what it could be mixed up with.
/// Source: docs/handbook.md, section 6.
/// </summary>
internal static class TeachChoosers
{
    private const Patterns Suffixes =
        Patterns.SuffixS
        | Patterns.SuffixEs
        | Patterns.SuffixEd
        | Patterns.SuffixIng
        | Patterns.SuffixEr
        | Patterns.SuffixEst
        | Patterns.SuffixY
        | Patterns.SuffixLy;

    private const int ExamplesOfEach = 3;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.HearSound, HearSound),
        new(ActivityKind.NewCorrespondence, (work, id, _) => Today(work, id)),
        new(ActivityKind.WhereItStands, WhereItStands),
        new(ActivityKind.MouthCue, (work, id, count) => Today(work, id).Take(count)),
        new(ActivityKind.MemoryPhrase, (work, id, count) =>
            work
                .Request.Today.Correspondences.Where(c => work.Request.Phrases.ContainsKey(c.Notation))
                .Take(count)
                .Select(c => ItemMaker.OfCorrespondence(id, c, New))
        ),
        new(ActivityKind.Formation, (work, id, count) => Today(work, id).Take(count)),
        new(ActivityKind.SpotGrapheme, Spot),
        new(ActivityKind.SetBeside, Beside),
        new(ActivityKind.NewTrickyWord, Tricky),
        new(ActivityKind.NewPattern, (work, id, _) =>
            (work.Request.Today.Patterns & ~Suffixes).Each().Select(p => OfPattern(work, id, p))
        ),
        new(ActivityKind.NewSuffix, (work, id, _) =>
            (work.Request.Today.Patterns & Suffixes).Each().Select(p => OfPattern(work, id, p))
        ),
        new(ActivityKind.CutSyllables, Cut),
    ];

    private static readonly ImmutableArray<Reason> New = [Reason.Of("new-today")];

    private static IEnumerable<Item> Today(LessonWork work, string id) =>
        work.Request.Today.Correspondences.Select(c => ItemMaker.OfCorrespondence(id, c, New));

    /// <summary>Words that start with today's sound, that end with it, or hold it: said by the adult.</summary>
    private static IEnumerable<Item> HearSound(LessonWork work, string id, int count)
    {
        if (work.Request.Today.Correspondences.IsEmpty)
            return [];
        var sounds = RevisitChoosers.SoundsOf(work.Request.Today.Correspondences.Take(1));
        var (saying, target) = (RevisitChoosers.Saying(sounds), work.Request.Today.Correspondences[0]);
        // Two sounds at once (x, le) are heard in words that have them together.
        var sayable = work
            .Known.Where(w =>
                w.Suffix is null
                && w.Segmentation.Taps <= Weights.EasyTaps
                && (target.Sounds.Length > 1 ? w.Contains(target) : w.ContainsAny(saying))
            )
            .ToList();
        var starts = sayable.Where(w => sounds.Contains(w.Required[0].Sounds[0])).ToList();
        var ends = sayable.Where(w => sounds.Contains(w.Required[^1].Sounds[^1])).ToList();
        var best =
            starts.Count >= count ? starts
            : ends.Count >= count ? ends
            : sayable;
        var where =
            best == starts ? "starts-with-it"
            : best == ends ? "ends-with-it"
            : "has-sound";
        return work.Choice(id).Take(best, count).Select(w => ItemMaker.OfWord(id, w, [Reason.Of(where)], oral: true));
    }

    private static IEnumerable<Item> WhereItStands(LessonWork work, string id, int count) =>
        work
            .Request.Today.Correspondences.Take(count)
            .Select(c => (One: c, Facts: ItemMaker.Positions(c, work.Request.Lexicon)))
            .Where(c => c.Facts is not null)
            .Select(c => ItemMaker.OfCorrespondence(id, c.One, New, c.Facts));

    /// <summary>Today's graphemes among look-alikes and earlier cards: show yours, stay still for others.</summary>
    private static IEnumerable<Item> Spot(LessonWork work, string id, int count)
    {
        var request = work.Request;
        if (request.Today.Correspondences.IsEmpty)
            return [];
        var random = work.Stream("spot");
        var others = random
            .Shuffle(
                request.Before.Correspondences.Where(c =>
                    request.Today.Correspondences.All(t => t.Grapheme != c.Grapheme)
                )
            )
            .OrderByDescending(c =>
                request.Today.Correspondences.Any(t => Apartness.IsLookAlike(c, t) || SharesLetters(c, t))
            )
            .DistinctBy(c => c.Grapheme)
            .Take(Math.Max(1, count - request.Today.Correspondences.Length))
            .ToList();
        return others.Count == 0
            ? []
            : random
                .Shuffle(others.Concat(request.Today.Correspondences))
                .Select(c =>
                    ItemMaker.OfCorrespondence(
                        id,
                        c,
                        [Reason.Of(request.Today.Correspondences.Contains(c) ? "show-it" : "stay-still")]
                    )
                );
    }

    private static bool SharesLetters(Correspondence one, Correspondence other) =>
        one.Grapheme.Text.Length > 1 && other.Grapheme.Text.Contains(one.Grapheme.Text[0], StringComparison.Ordinal);

    /// <summary>
    /// Today's spelling beside the others of its sound, or today's sound beside the others of its spelling.
    /// </summary>
    private static IEnumerable<Item> Beside(LessonWork work, string id, int count)
    {
        var (request, accent) = (work.Request, work.Request.After.Accent);
        foreach (var today in request.Today.Correspondences)
        {
            var spellings = request
                .Before.Correspondences.Where(c =>
                    !c.IsBath && c.Grapheme != today.Grapheme && accent.Project(c) == accent.Project(today)
                )
                .DistinctBy(c => c.Grapheme)
                .ToList();
            var sounds = request
                .Before.Correspondences.Where(c =>
                    !c.IsBath && c.Grapheme == today.Grapheme && accent.Project(c) != accent.Project(today)
                )
                .ToList();
            var (others, bySound) = sounds.Count > 0 ? (sounds, false) : (spellings, true);
            if (others.Count > 0)
                yield return new BesideItem(
                    $"{id}:{today.ReferenceNotation}",
                    false,
                    bySound,
                    [.. others.Take(Math.Max(1, count)).Prepend(today).Select(c => CardOf(work, c))]
                );
        }
    }

    private static BesideCard CardOf(LessonWork work, Correspondence one)
    {
        var example = ModelWords
            .Ordered(one, work.Request.Today.Correspondences.Contains(one) ? work.Own : work.LikelyBefore)
            .FirstOrDefault();
        return new BesideCard(
            one.ReferenceNotation,
            one.Grapheme.Text,
            one.SoundText,
            one.Sounds[0].KeyWord,
            example?.Spelling
        );
    }

    private static IEnumerable<Item> Tricky(LessonWork work, string id, int count) =>
        work
            .Request.Today.Tricky.Select(work.Request.Lexicon.Find)
            .OfType<Word>()
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    [Reason.Of("tricky")],
                    work.Request.After,
                    meaning: ItemMaker.MeaningFor(work.Request, w)
                )
            );

    /// <summary>A pattern with words that show it; of a suffix those of each sound it has.</summary>
    private static PatternItem OfPattern(LessonWork work, string id, Patterns pattern)
    {
        var words = work.Own.Where(w => w.Patterns.HasFlag(pattern)).ToList();
        var groups = words
            .GroupBy(w => SoundsOfSuffix(w, pattern))
            .OrderBy(g => g.Key, StringComparer.Ordinal)
            .Select(g => new PatternExample(
                g.Key,
                [.. work.Choice($"{id}:{pattern}:{g.Key}").Take(g, ExamplesOfEach).Select(w => w.Spelling)]
            ))
            .Where(e => e.Words.Length > 0);
        return new PatternItem($"{id}:{pattern.Id()}", false, pattern.Id(), [.. groups]);
    }

    /// <summary>
    /// What the suffix of the word sounds like: s, z or ɪ+z; empty for a pattern without a sound of its own.
    /// </summary>
    internal static string SoundsOfSuffix(Word word, Patterns pattern) =>
        word.Suffix is { } suffix && suffix.Suffix == pattern && (Suffixes & pattern) != Patterns.None
            ? string.Join('+', word.Segmentation.Parts[^suffix.Parts..].Select(p => p.SoundText))
            : "";

    /// <summary>Words of two syllables or more that can be read, cut: today's first.</summary>
    private static IEnumerable<Item> Cut(LessonWork work, string id, int count)
    {
        var longer = work.Own.Where(w => w.Segmentation.Syllables > 1).ToList();
        var words = work.Choice(id)
            .Take(
                longer.Count >= count ? longer : [.. longer, .. work.Before.Where(w => w.Segmentation.Syllables > 1)],
                count
            );
        return words
            .Select(w => (Word: w, Cut: Syllables.Of(w)))
            .Where(w => w.Cut.Length > 1)
            .Select(w => new SyllablesItem(
                $"{id}:{w.Word.Spelling}",
                false,
                w.Word.Spelling,
                w.Cut,
                [.. WordChoice.Explain(work.Request, w.Word)]
            ));
    }
}
