using System.Collections.Immutable;

namespace BoldLadder.Core.Revisit;

/// <summary>What kind of thing is taken for another.</summary>
public enum ConfusionKind
{
    /// <summary>A look-alike letter: b for d.</summary>
    LookAlike,

    /// <summary>As many say it: f for th. It may be accent or speech, and is never an error in reading.</summary>
    AsSpoken,

    /// <summary>Another vowel: i for e.</summary>
    Vowel,

    /// <summary>Another spelling of the sound: ow for oa.</summary>
    Spelling,

    /// <summary>Its letters in another order.</summary>
    Order,

    /// <summary>Nothing is written for it: the n of hand.</summary>
    LeftOut,
    Other,
}

/// <summary>What a child writes for a correspondence again and again.</summary>
/// <param name="Written">The letters that are written for it; empty for none.</param>
/// <param name="Times">In how many attempts.</param>
/// <param name="Days">On how many days.</param>
/// <param name="Last">The last of them.</param>
public sealed record Confusion(
    ConfusionKind Kind,
    MemoryTarget Target,
    string Written,
    int Times,
    int Days,
    DateOnly Last
)
{
    /// <summary>A pattern of sounds that lasts so long says to an adult: consider hearing or speech.</summary>
    public bool IsOfSound =>
        Kind is ConfusionKind.AsSpoken or ConfusionKind.LeftOut
        && Times >= Confusions.LastingTimes
        && Days >= Confusions.LastingDays;
}

/// <summary>
/// Confusions across what a child wrote, counted and named. Source: docs/handbook.md, sections 7 (Marking) and 10.
/// </summary>
public static class Confusions
{
    /// <summary>Once is a slip; from this many times on it has a name.</summary>
    public const int Named = 2;

    /// <summary>So often, on so many days, a pattern of sounds lasts.</summary>
    public const int LastingTimes = 4;
    public const int LastingDays = 3;

    /// <param name="seen">Of one child, what counts: none that another mark of the same place took back.</param>
    /// <returns>The commonest first.</returns>
    public static ImmutableArray<Confusion> Of(IEnumerable<Evidence> seen) =>
        [
            .. seen.Where(e => e.Skill == Skill.Spelling)
                .Select(e => (Kind: KindOf(e), Seen: e))
                .Where(e => e.Kind is not null)
                .GroupBy(e => (Kind: e.Kind!.Value, e.Seen.Target, Written: WrittenFor(e.Seen)))
                .Where(g => g.Count() >= Named)
                .Select(g => new Confusion(
                    Kind: g.Key.Kind,
                    Target: g.Key.Target,
                    Written: g.Key.Written,
                    Times: g.Count(),
                    Days: g.Select(e => e.Seen.Day).Distinct().Count(),
                    Last: g.Max(e => e.Seen.Day)
                ))
                .OrderByDescending(c => c.Times)
                .ThenByDescending(c => c.Last)
                .ThenBy(c => c.Target.ToString(), StringComparer.Ordinal)
                .ThenBy(c => c.Written, StringComparer.Ordinal),
        ];

    private static string WrittenFor(Evidence one) => one.Seen == Seen.Missing ? "" : one.Written.ToLowerInvariant();

    private static ConfusionKind? KindOf(Evidence one)
    {
        if (one.Target.Correspondence is not { } target || (one.Written.Length == 0 && one.Seen != Seen.Missing))
            return null;
        return one.Seen switch
        {
            Seen.Wrong or Seen.Missing when one.AsSpoken => ConfusionKind.AsSpoken,
            Seen.LookAlike => ConfusionKind.LookAlike,
            Seen.Plausible => ConfusionKind.Spelling,
            Seen.Order => ConfusionKind.Order,
            Seen.Missing => ConfusionKind.LeftOut,
            Seen.Wrong => target.IsVowel && "aeiou".Contains(one.Written[0], StringComparison.OrdinalIgnoreCase)
                ? ConfusionKind.Vowel
                : ConfusionKind.Other,
            _ => null,
        };
    }
}
