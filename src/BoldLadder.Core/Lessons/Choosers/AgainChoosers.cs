using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// What was taught before, met again in another way, and the day's words met in several. Source: docs/handbook.md,
/// section 6.
/// </summary>
internal static class AgainChoosers
{
    /// <summary>An earlier set is one of a target taught so many rungs ago.</summary>
    private const int EarlierFrom = 3;
    private const int EarlierTo = 9;

    private const int WordsThreeWays = 3;
    private const int TrickyFast = 8;

    /// <summary>So many lessons may chance put a sound before one that is due longer.</summary>
    private const double Luck = 3;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.TrickyAtSpeed, TrickyAtSpeed),
        new(ActivityKind.DictateSounds, DictateSounds),
        new(ActivityKind.EarlierSet, EarlierSet),
        new(ActivityKind.ThreeWays, ThreeWays),
        new(ActivityKind.WordThenPicture, WordThenPicture),
    ];

    /// <summary>Tricky words that are not new, fast: those that were read most lately last.</summary>
    private static IEnumerable<Item> TrickyAtSpeed(LessonWork work, string id, int count)
    {
        var request = work.Request;
        return work.Stream(id)
            .Shuffle(
                work.Stream($"{id}:due")
                    .Shuffle(request.TrickyBefore)
                    .OrderByDescending(t => request.Memory.TrickyRead.GetValueOrDefault(t, int.MaxValue))
                    .Take(Math.Max(count, TrickyFast))
            )
            .Select(request.Lexicon.Find)
            .OfType<Word>()
            .Select(w => ItemMaker.OfWord(id, w, [Reason.Of("tricky")], request.Before));
    }

    /// <summary>Sounds that the adult says: children write every spelling they know for each, one or several.</summary>
    private static IEnumerable<Item> DictateSounds(LessonWork work, string id, int count)
    {
        var (request, random) = (work.Request, work.Stream(id));
        return RevisitChoosers
            .TaughtForSounds(request)
            .Where(s => s.Sounds != "ə")
            .OrderByDescending(s => request.Memory.LessonsSince(s.Taught[0]) + (Luck * random.Fraction()))
            .Take(count)
            .Select(s => ItemMaker.OfSpellings(id, s.Sounds, s.Taught, [RevisitChoosers.Seen(request, s.Taught[0])]));
    }

    /// <summary>Words of a target of some days ago, read in the head, then aloud.</summary>
    private static IEnumerable<Item> EarlierSet(LessonWork work, string id, int count)
    {
        var request = work.Request;
        foreach (
            var earlier in work.Stream($"{id}:target")
                .Shuffle(request.Memory.Newest.Skip(EarlierFrom).Take(EarlierTo - EarlierFrom))
        )
        {
            var words = work.LikelyBefore.Where(w => w.Contains(earlier) && w.IsKnown && !ChosenLast.Has(w)).ToList();
            if (words.Count < count)
                continue;
            return work.Choice(id)
                .Take(words, count)
                .Select(w => ItemMaker.OfWord(id, w, [Reason.Of("uses-earlier", earlier.Grapheme.Text)]));
        }
        return [];
    }

    /// <summary>The shared set three times over: by ear, then read, then on fingers.</summary>
    private static IEnumerable<Item> ThreeWays(LessonWork work, string id, int count) =>
        ReadingChoosers
            .Shown(work, work.Set, Math.Min(count, WordsThreeWays))
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    WordChoice.Explain(work.Request, w),
                    meaning: ItemMaker.MeaningFor(work.Request, w)
                )
            );

    /// <summary>A word is read, and only then its picture is shown.</summary>
    private static IEnumerable<Item> WordThenPicture(LessonWork work, string id, int count) =>
        ReadingChoosers.Pictured(work, id, count).Select(w => ItemMaker.OfPicture(work, id, w));
}
