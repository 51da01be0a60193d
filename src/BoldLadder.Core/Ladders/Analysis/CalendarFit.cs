using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>How often a school reviews and checks. Source: docs/handbook.md, section 8 (All).</summary>
/// <param name="ReviewEvery">Each so-manieth teaching day brings nothing new; 0 for no review days.</param>
/// <param name="CheckEvery">Each so-manieth teaching day is a check, and the two before it bring nothing new; 0 for none.</param>
public sealed record Rhythm(int ReviewEvery, int CheckEvery)
{
    /// <summary>A review day a week, a check about every six weeks.</summary>
    public static Rhythm Usual { get; } = new(5, 30);
}

/// <summary>A date from outside by which something must be taught.</summary>
/// <param name="What">A correspondence's notation or a pattern's id.</param>
public sealed record Checkpoint(DateOnly Date, string What);

/// <summary>What a teaching day is for.</summary>
public enum DayKind
{
    New,
    Review,
    Check,

    /// <summary>Nothing new right before a check, or in the first week after a long break.</summary>
    Settle,

    /// <summary>Left over when the last rung is taught.</summary>
    Spare,
}

/// <summary>
/// A ladder laid on the teaching days of a calendar: a rung a day, with the review days, checks and quiet days of the rhythm between.
/// Source: docs/handbook.md, sections 2 and 8.
/// </summary>
/// <param name="Dates">For each rung still to be taught its day; null for those that no day is left for.</param>
/// <param name="Days">All teaching days from the start, with what each is for.</param>
public sealed record CalendarFit(ImmutableArray<DateOnly?> Dates, ImmutableArray<(DateOnly Date, DayKind Kind)> Days)
{
    private const int SettleBeforeCheck = 2;
    private const int SettleAfterBreak = 5;

    /// <summary>Days without lessons that make a break a long one.</summary>
    private const int LongBreak = 9;

    /// <summary>Teaching days left over, or, below zero, missing.</summary>
    public int Spare => Days.Count(d => d.Kind == DayKind.Spare) - Dates.Count(d => d is null);

    /// <summary>At least a tenth of the days is left over, so that lost days don't matter.</summary>
    public bool HasEnoughSpare => Spare * 10 >= Days.Length;

    /// <param name="rungs">How many rungs are to be taught.</param>
    /// <param name="from">The first day that counts.</param>
    public static CalendarFit Of(int rungs, SchoolCalendar calendar, DateOnly from, Rhythm rhythm)
    {
        var dates = new DateOnly?[rungs];
        var days = ImmutableArray.CreateBuilder<(DateOnly, DayKind)>();
        var (taught, sinceBreak) = (0, int.MaxValue / 2);
        var teaching = calendar.Days.Where(d => d >= from).ToList();
        for (var i = 0; i < teaching.Count; i++)
        {
            sinceBreak = i > 0 && teaching[i].DayNumber - teaching[i - 1].DayNumber > LongBreak ? 0 : sinceBreak + 1;
            var kind = taught == rungs ? DayKind.Spare : Kind(i, sinceBreak, rhythm);
            if (kind == DayKind.New) dates[taught++] = teaching[i];
            days.Add((teaching[i], kind));
        }
        return new CalendarFit([.. dates], days.ToImmutable());
    }

    /// <summary>What the calendar and the rhythm make wrong with a ladder of which the first rung to teach is <paramref name="first"/>.</summary>
    public IEnumerable<LadderWarning> Warnings(Ladder ladder, int first, Rhythm rhythm, IEnumerable<Checkpoint> checkpoints)
    {
        if (rhythm.ReviewEvery == 0 && first < ladder.Rungs.Length) yield return LadderWarning.On(first, WarningKind.NoReview);
        for (var i = 0; i < Dates.Length; i++)
        {
            if (Dates[i] is null) yield return LadderWarning.On(first + i, WarningKind.CalendarOverrun);
        }
        foreach (var checkpoint in checkpoints)
        {
            for (var i = 0; i < Dates.Length; i++)
            {
                var rung = ladder.Rungs[first + i];
                var teaches = rung.Correspondences.Any(c => c.ReferenceNotation == checkpoint.What) || rung.Patterns.Each().Any(p => p.Id() == checkpoint.What);
                if (teaches && !(Dates[i] <= checkpoint.Date))
                {
                    yield return LadderWarning.On(first + i, WarningKind.CheckpointMissed, checkpoint.What, checkpoint.Date.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture));
                }
            }
        }
    }

    private static DayKind Kind(int day, int sinceBreak, Rhythm rhythm)
    {
        if (rhythm.CheckEvery > 0)
        {
            var left = rhythm.CheckEvery - 1 - (day % rhythm.CheckEvery);
            if (left == 0) return DayKind.Check;
            if (left <= SettleBeforeCheck) return DayKind.Settle;
        }
        if (sinceBreak < SettleAfterBreak) return DayKind.Settle;
        return rhythm.ReviewEvery > 0 && day % rhythm.ReviewEvery == rhythm.ReviewEvery - 1 ? DayKind.Review : DayKind.New;
    }
}
