using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Calendars;

/// <summary>A date from outside by which something must be taught.</summary>
/// <param name="What">A correspondence's notation, a pattern's id, or the name of a stage, which is taught with its
/// last rung.</param>
public sealed record Checkpoint(DateOnly Date, string What);

/// <summary>A rung still to be taught and its day; null when no day is left for it.</summary>
public readonly record struct DatedRung(Rung Rung, DateOnly? Date);

/// <summary>
/// The rungs a group has still to climb, laid on the teaching days from a day on: a rung a day, with the quiet days of
/// the rhythm between.
/// Source: docs/handbook.md, sections 2 and 8.
/// </summary>
/// <param name="Days">The teaching days from the start, with what each is for.</param>
public sealed record CalendarFit(ImmutableArray<DatedRung> Rungs, ImmutableArray<(DateOnly Date, DayKind Kind)> Days)
{
    /// <summary>Teaching days left over, or, below zero, missing.</summary>
    public int Spare => Days.Count(d => d.Kind == DayKind.Spare) - Rungs.Count(r => r.Date is null);

    /// <summary>At least a tenth of the days is left over, so that lost days don't matter.</summary>
    public bool HasEnoughSpare => Spare * 10 >= Days.Length;

    /// <param name="rungs">What is to be taught, in order.</param>
    /// <param name="from">The first day that counts.</param>
    /// <param name="hasBegun">True when the group has been taught something before.</param>
    public static CalendarFit Of(IReadOnlyList<Rung> rungs, SchoolCalendar calendar, DateOnly from, bool hasBegun)
    {
        var dated = new DateOnly?[rungs.Count];
        var days = ImmutableArray.CreateBuilder<(DateOnly, DayKind)>();
        var taught = 0;
        for (var i = 0; i < calendar.Days.Length; i++)
        {
            if (calendar.Days[i] < from)
                continue;
            var kind =
                taught == rungs.Count ? DayKind.Spare : SchoolCalendar.For(calendar.Kinds[i], hasBegun || taught > 0);
            if (kind == DayKind.New)
                dated[taught++] = calendar.Days[i];
            days.Add((calendar.Days[i], kind));
        }
        return new CalendarFit([.. rungs.Zip(dated, (r, d) => new DatedRung(r, d))], days.ToImmutable());
    }

    /// <summary>How many rungs are taught on the days from the start to before <paramref name="date"/>.</summary>
    public int RungsBefore(DateOnly date) => Rungs.Count(r => r.Date < date);

    /// <summary>
    /// What is for a day: a rung, or nothing new; null past the last rung and outside the teaching days.
    /// </summary>
    public (DayKind Kind, Rung? Rung)? On(DateOnly date)
    {
        foreach (var (day, kind) in Days)
        {
            if (day == date)
                return kind == DayKind.Spare ? null : (kind, Rungs.FirstOrDefault(r => r.Date == date).Rung);
        }
        return null;
    }

    /// <summary>What the calendar and the rhythm make wrong with a ladder.</summary>
    public IEnumerable<LadderWarning> Warnings(Ladder ladder, Rhythm rhythm, IEnumerable<Checkpoint> checkpoints)
    {
        if (Rungs.IsEmpty)
            yield break;
        if (rhythm.ReviewWeeks == 0 && ladder.Rungs.All(r => r.Kind != RungKind.Review))
            yield return LadderWarning.On(ladder.IndexOf(Rungs[0].Rung.Id), WarningKind.NoReview);
        foreach (var (rung, _) in Rungs.Where(r => r.Date is null))
            yield return LadderWarning.On(ladder.IndexOf(rung.Id), WarningKind.CalendarOverrun);
        foreach (var checkpoint in checkpoints)
        {
            var last = Rungs.LastOrDefault(r => Teaches(r.Rung, checkpoint.What));
            if (last.Rung is null || last.Date <= checkpoint.Date)
                continue;
            yield return LadderWarning.On(
                ladder.IndexOf(last.Rung.Id),
                WarningKind.CheckpointMissed,
                checkpoint.What,
                checkpoint.Date.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)
            );
        }
    }

    private static bool Teaches(Rung rung, string what) =>
        rung.Stage == what
        || rung.Correspondences.Any(c => c.ReferenceNotation == what)
        || rung.Patterns.Each().Any(p => p.Id() == what);
}
