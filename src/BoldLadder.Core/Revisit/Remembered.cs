using System.Text.Json.Serialization;

namespace BoldLadder.Core.Revisit;

/// <summary>What one day showed of a target, as whole numbers, so that no order of arrival changes it.</summary>
/// <param name="Weight">How much was seen, in hundredths of a thing that a child alone did.</param>
/// <param name="Scored">Of that what was right, in ten thousandths.</param>
/// <param name="Own">How many things the child alone did.</param>
/// <param name="OwnScored">Of those what was right, in hundredths each.</param>
public readonly record struct DaySeen(DateOnly Day, int Weight, int Scored, int Own, int OwnScored)
{
    /// <summary>True where what the child alone did went well.</summary>
    [JsonIgnore]
    public bool IsRight => Own > 0 && OwnScored >= Own * MemoryModel.Success;

    [JsonIgnore]
    public bool IsMiss => Own > 0 && !IsRight;

    internal DaySeen With(Evidence one)
    {
        var (weight, score) = MemoryModel.Of(one.Seen, one.Source);
        var own = one.Seen < Seen.NearlyAll;
        return new DaySeen(
            Day,
            Weight + weight,
            Scored + (weight * score),
            Own + (own ? 1 : 0),
            OwnScored + (own ? score : 0)
        );
    }
}

/// <summary>
/// What is known of a child's memory of one target in one skill: the days before the last as they came to, and the last
/// day as it was seen. It grows by what is seen on its last day or later; what comes in for an earlier day is folded
/// anew from all evidence, and comes to the same. Source: docs/memory.md.
/// </summary>
/// <param name="HalfLife">In days, before the last day.</param>
/// <param name="Before">The day that was seen before the last; null for none.</param>
/// <param name="RightDays">On how many days before the last it was right.</param>
/// <param name="LastRight">The last of them.</param>
/// <param name="LastMiss">The last day before the last on which it was not.</param>
/// <param name="RightSince">Right days since then.</param>
/// <param name="Missed">The day on which it was taught while the child was away; null for none.</param>
public sealed record Remembered(
    double HalfLife,
    DateOnly? Before,
    int RightDays,
    DateOnly? LastRight,
    DateOnly? LastMiss,
    int RightSince,
    DateOnly? Missed,
    DaySeen? Last
)
{
    /// <summary>Nothing seen yet.</summary>
    /// <param name="begins">The half-life that a target begins with, in days: <see cref="Difficulty"/>.</param>
    public static Remembered Nothing(double begins) =>
        new(
            HalfLife: begins,
            Before: null,
            RightDays: 0,
            LastRight: null,
            LastMiss: null,
            RightSince: 0,
            Missed: null,
            Last: null
        );

    /// <summary>What all evidence comes to, in whatever order it is given.</summary>
    public static Remembered Of(IEnumerable<Evidence> all, double begins) =>
        all.OrderBy(e => e.Day).Aggregate(Nothing(begins), (known, one) => known.With(one)!);

    /// <summary>The same with one more thing seen; null where it is of a day before the last.</summary>
    public Remembered? With(Evidence one)
    {
        if (one.Seen == Seen.MissedTeaching)
            return this with { Missed = Missed is { } known && known < one.Day ? known : one.Day };
        if (Last is not { } last)
            return this with { Last = new DaySeen(one.Day, 0, 0, 0, 0).With(one) };
        if (one.Day < last.Day)
            return null;
        return one.Day == last.Day ? this with { Last = last.With(one) } : Settled().With(one);
    }

    /// <summary>The half-life with the last day in it, in days.</summary>
    [JsonIgnore]
    public double Holds =>
        Last is { Weight: > 0 } day
            ? MemoryModel.After(
                HalfLife,
                Before is { } before ? day.Day.DayNumber - before.DayNumber : null,
                day.Scored / (100.0 * day.Weight),
                day.Weight / 100.0
            )
            : HalfLife;

    /// <summary>True where the child itself did something, and not only was shown it.</summary>
    [JsonIgnore]
    public bool IsOwn => RightDays > 0 || LastMiss is not null || Last is { Own: > 0 };

    /// <summary>The day it was last seen; null for never.</summary>
    [JsonIgnore]
    public DateOnly? SeenOn => Last?.Day ?? Before;

    /// <summary>How likely the child has it on a day, from 0 to 1.</summary>
    public double On(DateOnly day) =>
        SeenOn is { } seen ? MemoryModel.Recall(Holds, day.DayNumber - seen.DayNumber) : 0;

    /// <summary>The last day joined to those before it.</summary>
    public Remembered Settled()
    {
        if (Last is not { } day)
            return this;
        return new Remembered(
            HalfLife: Holds,
            Before: day.Day,
            RightDays: RightDays + (day.IsRight ? 1 : 0),
            LastRight: day.IsRight ? day.Day : LastRight,
            LastMiss: day.IsMiss ? day.Day : LastMiss,
            RightSince: day.IsMiss ? 0 : RightSince + (day.IsRight ? 1 : 0),
            Missed: Missed,
            Last: null
        );
    }
}
