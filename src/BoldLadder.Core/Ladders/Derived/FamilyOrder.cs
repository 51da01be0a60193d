using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// Puts whole stretches of an order one after another, each kept in one piece: always the one that makes most words that children know readable a rung,
/// of those that keep second sounds and look-alikes apart. Source: docs/handbook.md, section 8 (Sounds first).
/// </summary>
internal static class FamilyOrder
{
    /// <exception cref="InvalidOperationException">No stretch that is left keeps apart; the message names them.</exception>
    public static ImmutableArray<OrderUnit> Append(ImmutableArray<OrderUnit> order, IEnumerable<ImmutableArray<OrderUnit>> stretches, Lexicon lexicon, Taught nothing)
    {
        var left = stretches.ToList();
        var taught = order.Aggregate(nothing, With);
        var unread = lexicon.ForLessons.Where(w => w.IsKnown && !taught.CanRead(w)).ToList();
        while (left.Count > 0)
        {
            var fitting = left.Where(s => Fits(order, s)).Select(s => (Stretch: s, Gained: unread.Count(s.Aggregate(taught, With).CanRead))).ToList();
            if (fitting.Count == 0) throw new InvalidOperationException($"No order keeps apart: {string.Join(", ", left.Select(s => s[0].Id))}.");
            var best = fitting.MaxBy(f => (double)f.Gained / f.Stretch.Length).Stretch;
            left.Remove(best);
            order = order.AddRange(best);
            taught = best.Aggregate(taught, With);
            unread.RemoveAll(taught.CanRead);
        }
        return order;
    }

    private static Taught With(Taught taught, OrderUnit unit) => taught.With(unit.Correspondences, unit.Patterns);

    private static bool Fits(ImmutableArray<OrderUnit> order, ImmutableArray<OrderUnit> stretch)
    {
        foreach (var unit in stretch)
        {
            if (unit.After.Any(needed => !order.Any(o => o.Id.Split(' ').Contains(needed)))) return false;
            for (var at = 0; at < order.Length; at++)
            {
                if (unit.Correspondences.Any(c => order[at].Correspondences.Any(o => order.Length - at < Apartness.Between(c, o)))) return false;
            }
            order = order.Add(unit);
        }
        return true;
    }
}
