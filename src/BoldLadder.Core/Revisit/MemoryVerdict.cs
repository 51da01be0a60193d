using System.Collections.Immutable;

namespace BoldLadder.Core.Revisit;

/// <summary>
/// What is said of a child's memory: three states, never a number. Source: docs/handbook.md, section 9.
/// </summary>
public enum MemoryState
{
    NotYet,
    Wobbling,
    Secure,
}

/// <summary>Why a state is said, as a code with a count and a day: the catalogue has the sentence.</summary>
/// <param name="Code">right-days, missed-on, unseen-since, never-seen, shown-only, missed-teaching,
/// spelled-with.</param>
public sealed record MemoryReason(string Code, int Count = 0, DateOnly? Day = null, string Text = "");

/// <summary>
/// The state of a memory on a day, with its reasons. Source: docs/memory.md.
/// </summary>
public sealed record MemoryVerdict(MemoryState State, ImmutableArray<MemoryReason> Reasons)
{
    /// <summary>Right on so many separate days it may be secure.</summary>
    public const int SecureDays = 3;

    private const int RightSinceMiss = 2;
    private const double StillThere = 0.6;

    /// <summary>What a memory comes to on a day.</summary>
    public static MemoryVerdict Of(Remembered known, DateOnly day)
    {
        var all = known.Settled();
        var reasons = ImmutableArray.CreateBuilder<MemoryReason>();
        if (all.Missed is { } away)
            reasons.Add(new MemoryReason("missed-teaching", 0, away));
        if (all.RightDays > 0)
            reasons.Add(new MemoryReason("right-days", all.RightDays, all.LastRight));
        if (all.LastMiss is { } miss)
            reasons.Add(new MemoryReason("missed-on", 0, miss));
        if (all.RightDays == 0 && all.LastMiss is null)
            reasons.Add(new MemoryReason(all.Before is null ? "never-seen" : "shown-only", 0, all.Before));
        var isFading = all.Before is { } seen && known.On(day) < StillThere;
        if (isFading && all.RightDays > 0)
            reasons.Add(new MemoryReason("unseen-since", 0, all.Before));
        var isMissed = all.LastMiss is not null && all.RightSince < RightSinceMiss;
        var state =
            isMissed && all.RightDays > 0 ? MemoryState.Wobbling
            : all.RightDays < SecureDays ? MemoryState.NotYet
            : isFading ? MemoryState.Wobbling
            : MemoryState.Secure;
        return new MemoryVerdict(state, reasons.ToImmutable());
    }
}
