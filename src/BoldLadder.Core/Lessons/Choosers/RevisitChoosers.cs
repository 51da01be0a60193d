using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The activities of Revisit: all from what was taught before today. Source: docs/handbook.md, sections 6 and 7
/// (Revisit choice).
/// </summary>
internal static class RevisitChoosers
{
    /// <summary>Words from recent lessons use one of this many correspondences taught last.</summary>
    private const int RecentCorrespondences = 6;

    /// <summary>By this many taught correspondences children blend words of four sounds by ear.</summary>
    private const int EnoughForFour = 18;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.GraphemeCards, Cards),
        new(ActivityKind.LastMiss, LastMiss),
        new(ActivityKind.SoundToSpellings, Spellings),
        new(ActivityKind.OralBlending, (work, id, count) => Oral(work, id, count)),
        new(ActivityKind.OralSegmenting, (work, id, count) => Oral(work, id, count)),
        new(ActivityKind.Clues, Clues),
        new(ActivityKind.RecentWords, Recent),
        new(ActivityKind.TrickySoFar, TrickySoFar),
    ];

    /// <summary>
    /// Last missed, too long unseen, the newest third, the longest unseen; shuffled, look-alikes not side by side where
    /// it can be helped.
    /// </summary>
    private static IEnumerable<Item> Cards(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var random = work.Stream("cards");
        var taught = request
            .Before.Correspondences.Select(c =>
                (Correspondence: c, Lessons: request.Memory.LessonsSince(c), Draw: random.Fraction())
            )
            .ToList();
        var due = request
            .Memory.Missed.Where(request.Before.Correspondences.Contains)
            .Concat(
                taught
                    .Where(c => c.Lessons >= Memory.LongestUnseen)
                    .OrderByDescending(c => c.Lessons)
                    .Select(c => c.Correspondence)
            )
            .Concat(request.Memory.Newest.Take(count / 3).Where(request.Before.Correspondences.Contains))
            .Concat(taught.OrderByDescending(c => c.Lessons + (2 * c.Draw)).Select(c => c.Correspondence))
            .Distinct()
            .Take(count);
        var shuffled = random.Shuffle(due);
        for (var i = 1; i + 1 < shuffled.Count; i++)
        {
            if (Apartness.Between(shuffled[i - 1], shuffled[i]) > 0)
                (shuffled[i], shuffled[i + 1]) = (shuffled[i + 1], shuffled[i]);
        }
        return shuffled.Select(c =>
            ItemMaker.OfCorrespondence(
                id,
                c,
                request.Memory.Missed.Contains(c) ? [Reason.Of("missed-last"), Seen(request, c)] : [Seen(request, c)]
            )
        );
    }

    private static Reason Seen(LessonRequest request, Correspondence one) =>
        Reason.Of("last-seen", request.Memory.LessonsSince(one).ToString(CultureInfo.InvariantCulture));

    /// <summary>What the last lesson did not get to, or missed.</summary>
    private static IEnumerable<Item> LastMiss(LessonWork work, string id, int count) =>
        work
            .Request.Memory.Missed.Where(work.Request.Before.Correspondences.Contains)
            .Take(count)
            .Select(c => ItemMaker.OfCorrespondence(id, c, [Reason.Of("missed-last")]));

    /// <summary>
    /// Which spellings do we know for a sound? Those taught before today, as the accent sounds them; the longest unseen
    /// first.
    /// </summary>
    private static IEnumerable<Item> Spellings(LessonWork work, string id, int count)
    {
        var (request, accent) = (work.Request, work.Request.Before.Accent);
        var sounds = request
            .Before.Correspondences.Where(c => !c.IsBath)
            .GroupBy(accent.Project)
            .Select(g => (Sounds: g.Key, Taught: g.OrderByDescending(c => request.Memory.LessonsSince(c)).ToList()))
            .Where(s => s.Taught.DistinctBy(c => c.Grapheme).Count() > 1)
            .OrderBy(s => s.Sounds, StringComparer.Ordinal)
            .ToList();
        return work.Stream(id)
            .Shuffle(sounds)
            .Take(count)
            .Select(s => ItemMaker.OfSpellings(id, s.Sounds, s.Taught, [Seen(request, s.Taught[0])]));
    }

    /// <summary>
    /// Words only the adult says, with today's sound where there are any: limited by sounds and vocabulary, never by
    /// graphemes. Two sounds first, then three, then four.
    /// </summary>
    internal static IEnumerable<Item> Oral(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var sounds = Saying(
            SoundsOf(
                request.Today.Correspondences.IsEmpty ? request.Memory.Newest.Take(1) : request.Today.Correspondences
            )
        );
        var longest = request.Before.Correspondences.Count < EnoughForFour ? 3 : 4;
        var sayable = work
            .Known.Where(w =>
                w.Segmentation.SoundCount >= longest - 1 && w.Segmentation.SoundCount <= longest && w.Suffix is null
            )
            .ToList();
        var own = sayable.Where(w => w.ContainsAny(sounds)).ToList();
        return work.Choice(id)
            .Take(own.Count >= count ? own : sayable, count)
            .OrderBy(w => w.Segmentation.SoundCount)
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    [
                        Reason.Of("only-said"),
                        .. w.ContainsAny(sounds) ? [Reason.Of("has-sound")] : ImmutableArray<Reason>.Empty,
                    ],
                    oral: true
                )
            );
    }

    internal static HashSet<Sound> SoundsOf(IEnumerable<Correspondence> correspondences) =>
        [.. correspondences.SelectMany(c => c.Sounds)];

    /// <summary>What says one of the sounds: a word that contains one of these has it.</summary>
    internal static CorrespondenceSet Saying(IReadOnlyCollection<Sound> sounds) =>
        CorrespondenceSet.Of(Correspondence.All.Where(c => c.Sounds.Any(sounds.Contains)));

    /// <summary>Riddles whose answers hold a sound taught lately.</summary>
    private static IEnumerable<Item> Clues(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var sounds = Saying(SoundsOf(request.Memory.Newest.Take(RecentCorrespondences)));
        var told = work.Known.Where(w => w.Suffix is null && request.Materials.Meanings.Of(w) is not null).ToList();
        var own = told.Where(w => w.ContainsAny(sounds)).ToList();
        return work.Choice(id)
            .Take(own.Count >= count ? own : told, count)
            .Select(w => new ClueItem(
                $"{id}:{w.Spelling}",
                false,
                w.Spelling,
                request.Materials.Meanings.Of(w)!,
                [Reason.Of("only-said")]
            ));
    }

    /// <summary>Words with what was taught last, rather not those that come in Practise anyway.</summary>
    private static IEnumerable<Item> Recent(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var newest = CorrespondenceSet.Of(request.Memory.Newest.Take(RecentCorrespondences));
        var words = work.LikelyBefore.Where(w => w.ContainsAny(newest)).ToList();
        var others = words.Where(w => !work.Set.Contains(w)).ToList();
        return work.Choice("recent")
            .Take(others.Count >= count ? others : words, count)
            .Select(w =>
                ItemMaker.OfWord(id, w, WordChoice.Explain(request, w), meaning: ItemMaker.MeaningFor(request, w))
            );
    }

    /// <summary>The last two, then those longest unseen.</summary>
    private static IEnumerable<Item> TrickySoFar(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var random = work.Stream("tricky");
        var latest = request.TrickyBefore.TakeLast(Math.Min(2, count));
        var others = random
            .Shuffle(request.TrickyBefore.SkipLast(2))
            .OrderByDescending(t => request.Memory.Words.GetValueOrDefault(t, int.MaxValue))
            .Take(Math.Max(0, count - 2));
        return random
            .Shuffle(latest.Concat(others))
            .Select(request.Lexicon.Find)
            .OfType<Word>()
            .Select(w => ItemMaker.OfWord(id, w, [Reason.Of("tricky")], request.Before));
    }
}
