using System.Collections.Immutable;

namespace BoldLadder.Core.Revisit;

/// <summary>
/// What one child needs beside the lessons: for a catch-up, and for who looks over the school. Source:
/// docs/handbook.md, section 7 (Catch-up).
/// </summary>
/// <param name="Missed">Taught lately while the child was away, and not had right or made up for since; the newest
/// first.</param>
/// <param name="Weak">Wrong lately and not secure, the least held first.</param>
public sealed record ChildNeeds(ImmutableArray<MemoryTarget> Missed, ImmutableArray<MemoryTarget> Weak)
{
    /// <summary>What is further back is for Revisit.</summary>
    public const int DaysBack = 14;

    /// <summary>One thing that wobbles comes back in lessons; from this many on more is needed.</summary>
    private const int Much = 2;

    /// <summary>True where lessons alone are not enough.</summary>
    public bool IsMuch => !Missed.IsEmpty || Weak.Length >= Much;

    /// <param name="known">What is remembered of the child.</param>
    /// <param name="madeUp">The days on which a target was in a catch-up.</param>
    public static ChildNeeds Of(
        IReadOnlyDictionary<MemoryTarget, Remembered> known,
        ILookup<MemoryTarget, DateOnly> madeUp,
        DateOnly today
    )
    {
        var from = today.AddDays(-DaysBack);
        bool IsMadeUp(MemoryTarget target, DateOnly since) => madeUp[target].Any(d => d >= since);
        return new ChildNeeds(
            [
                .. known
                    .Where(k =>
                        k.Value.Missed is { } day
                        && day >= from
                        && !(k.Value.Settled().LastRight >= day)
                        && !IsMadeUp(k.Key, day)
                    )
                    .OrderByDescending(k => k.Value.Missed)
                    .ThenBy(k => k.Key.ToString(), StringComparer.Ordinal)
                    .Select(k => k.Key),
            ],
            [
                .. known
                    .Where(k =>
                        k.Value.Settled().LastMiss is { } miss
                        && miss >= from
                        && MemoryVerdict.Of(k.Value, today).State != MemoryState.Secure
                        // On the day itself it may have been before the miss.
                        && !IsMadeUp(k.Key, miss.AddDays(1))
                    )
                    .OrderBy(k => k.Value.On(today))
                    .ThenBy(k => k.Key.ToString(), StringComparer.Ordinal)
                    .Select(k => k.Key),
            ]
        );
    }
}
