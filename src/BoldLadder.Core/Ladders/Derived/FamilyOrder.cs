using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// Puts whole stretches of an order one after another, each kept in one piece: what is worth most a rung first
/// (<see cref="UnitWorth"/>), of those that keep second sounds and look-alikes apart. Source: docs/handbook.md, section
/// 8 (Sounds first).
/// </summary>
internal static class FamilyOrder
{
    /// <exception cref="InvalidOperationException">No stretch that is left keeps apart; the message names
    /// them.</exception>
    public static ImmutableArray<OrderUnit> Append(
        ImmutableArray<OrderUnit> order,
        IEnumerable<ImmutableArray<OrderUnit>> stretches,
        Lexicon lexicon
    )
    {
        var worth = new UnitWorth(lexicon);
        var left = stretches.OrderByDescending(s => s.Sum(worth.Of) / s.Length).ToList();
        while (left.Count > 0)
        {
            var best = left.FindIndex(s => Fits(order, s));
            if (best < 0)
                throw new InvalidOperationException(
                    $"No order keeps apart: {string.Join(", ", left.Select(s => s[0].Id))}."
                );
            order = order.AddRange(left[best]);
            left.RemoveAt(best);
        }
        return order;
    }

    private static bool Fits(ImmutableArray<OrderUnit> order, ImmutableArray<OrderUnit> stretch)
    {
        foreach (var unit in stretch)
        {
            if (unit.After.Any(needed => !order.Any(o => o.Id.Split(' ').Contains(needed))))
                return false;
            for (var at = 0; at < order.Length; at++)
            {
                if (
                    unit.Correspondences.Any(c =>
                        order[at].Correspondences.Any(o => order.Length - at < Apartness.Between(c, o))
                    )
                )
                    return false;
            }
            order = order.Add(unit);
        }
        return true;
    }
}
