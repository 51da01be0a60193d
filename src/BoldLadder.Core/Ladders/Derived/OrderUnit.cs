using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// One thing to be placed: correspondences or patterns that are taught together, and what must come before.
/// </summary>
/// <param name="Id">Its notations or pattern ids, which name it in <paramref name="After"/>.</param>
/// <param name="From">The earliest place it may have, from 0.</param>
/// <param name="Gap">Rungs that must lie between the last of <paramref name="After"/> and this, at least 1.</param>
public sealed record OrderUnit(
    string Id,
    string Stage,
    ImmutableArray<Correspondence> Correspondences,
    Patterns Patterns,
    ImmutableArray<string> After,
    int Gap,
    RungKind Kind = RungKind.Lesson,
    int From = 0
)
{
    /// <summary>How the stage of a sound family starts; its sound follows.</summary>
    public const string Family = "family ";

    /// <summary>The day that closes a sound's family.</summary>
    public static OrderUnit Sort(string sound, params ImmutableArray<string> after) =>
        new(
            Id: $"sort {sound}",
            Stage: Family + sound,
            Correspondences: [],
            Patterns: Patterns.None,
            After: after,
            Gap: 1,
            Kind: RungKind.Sort
        );

    /// <summary>Units of one stage that wait for nothing, each text the notations of one.</summary>
    public static IEnumerable<OrderUnit> Each(string stage, params IEnumerable<string> notations) =>
        notations.Select(n => Of(stage, n, [], 1));

    /// <summary>A unit of notations that comes some rungs after others.</summary>
    public static OrderUnit Of(string stage, string notations, ImmutableArray<string> after, int gap) =>
        new(notations, stage, [.. notations.Split(' ').Select(Correspondence.Parse)], Patterns.None, after, gap);

    public static OrderUnit Of(string stage, Patterns pattern, params ImmutableArray<string> after) =>
        new(pattern.Id(), stage, [], pattern, after, 1);

    public Rung ToRung() =>
        new(
            Id: Id,
            Stage: Stage,
            Correspondences: Correspondences,
            Patterns: Patterns,
            Tricky: [],
            Reason: null,
            Kind: Kind
        );

    /// <summary>
    /// The rungs of an order. The first two units make the first rung: one sound alone makes no word.
    /// </summary>
    public static ImmutableArray<Rung> Rungs(ImmutableArray<OrderUnit> order) =>
        [
            (
                order[0] with
                {
                    Id = $"{order[0].Id} {order[1].Id}",
                    Correspondences = [.. order[0].Correspondences, .. order[1].Correspondences],
                }
            ).ToRung(),
            .. order.Skip(2).Select(u => u.ToRung()),
        ];
}
