using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Templates;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>
/// Whether a place of a template can be filled on the days of its kind: tried on days spread over a ladder. Source:
/// docs/handbook.md, section 6.
/// </summary>
/// <param name="Tried">How many days were tried; 0 where the ladder has no day of the kind.</param>
/// <param name="Missing">The rungs among them on which none of its activities can be filled.</param>
public sealed record SlotFit(int Tried, ImmutableArray<string> Missing)
{
    private const int MostTried = 8;
    private const long Seed = 1;

    public static SlotFit Of(
        Ladder ladder,
        Materials materials,
        Leniencies leniencies,
        Accent accent,
        LessonDay day,
        int minutes,
        PartKind part,
        Slot slot
    )
    {
        var days = Requests(ladder, materials, leniencies, accent, minutes)
            .Where(r => LessonDays.Of(r, new LessonWork(r).Own.Count) == day)
            .ToList();
        var step = Math.Max(1, days.Count / MostTried);
        var tried = days.Where((_, i) => i % step == 0).Take(MostTried).ToList();
        return new SlotFit(
            tried.Count,
            [
                .. tried
                    .Where(r => !slot.Kinds.Any(k => Chooser.Make(new LessonWork(r), k, part, slot.Items) is not null))
                    .Select(r => r.Today.Label),
            ]
        );
    }

    private static IEnumerable<LessonRequest> Requests(
        Ladder ladder,
        Materials materials,
        Leniencies leniencies,
        Accent accent,
        int minutes
    )
    {
        var series = new LessonSeries(ladder, materials, leniencies, accent, minutes, Seed);
        for (; series.HasNext; series.Skip(1))
            yield return series.Next();
    }
}
