using System.Collections.Immutable;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// Orders the units of a ladder, phase by phase, what is worth most first (<see cref="UnitWorth"/>): a beam search over
/// orders that keep the look-alikes and sound-alikes apart. Ties are broken by the seed. Its budget is the width of the
/// beam, not time. Source: docs/handbook.md, section 8.
/// </summary>
public sealed class OrderSearch(Lexicon lexicon, long seed)
{
    private const int MostConsonantsInARow = 3;
    private const int EarlyUnits = 12;
    private const int HeldFirst = 2;

    /// <summary>Orders kept at each step: many while the first phase decides everything, few later.</summary>
    private const int EarlyWidth = 24;
    private const int LaterWidth = 10;

    /// <summary>How much less a unit counts for each place it comes later.</summary>
    private const double Later = 0.9;

    /// <summary>Places kept free before the end of a phase, for what must be far apart.</summary>
    private const int Spare = 3;
    private const int LongPhase = 20;

    private readonly UnitWorth worth = new(lexicon);

    private sealed record Order(ImmutableArray<OrderUnit> Units, double Score);

    /// <summary>The best order found, all phases in a row.</summary>
    /// <exception cref="InvalidOperationException">No order keeps every constraint; the message names the units left
    /// over.</exception>
    public ImmutableArray<OrderUnit> Find(IReadOnlyList<IReadOnlyList<OrderUnit>> phases)
    {
        var all = phases.SelectMany(p => p).ToList();
        List<Order> beam = [new([], 0)];
        foreach (var phase in phases)
        {
            var width = beam[0].Units.IsEmpty ? EarlyWidth : LaterWidth;
            var worths = phase.ToDictionary(
                u => u,
                u => worth.Of(u) + all.Where(o => o.Gap > 1 && o.After.Any(u.Id.Split(' ').Contains)).Sum(worth.Of)
            ); // what waits long for a unit counts for it
            var end = beam[0].Units.Length + phase.Count;
            for (var step = 0; step < phase.Count; step++)
            {
                var discount = Math.Pow(Later, step);
                var next = beam.SelectMany(order =>
                        phase
                            .Where(u => Fits(order, u))
                            .Select(u => new Order(order.Units.Add(u), order.Score + (discount * worths[u])))
                    )
                    .Where(o => MayEnd(o, phase, end))
                    .ToList();
                if (next.Count == 0)
                    throw new InvalidOperationException(
                        $"No order keeps apart: {string.Join(' ', phase.Except(beam[0].Units).Select(u => u.Id))}."
                    );
                beam =
                [
                    .. next.OrderByDescending(o => o.Score)
                        .ThenBy(o => Seeded.For(seed, o.Units[^1].Id).Fraction())
                        .DistinctBy(o =>
                            string.Join(' ', o.Units.Select(u => u.Id).Order(StringComparer.Ordinal)) + o.Units[^1].Id
                        )
                        .Take(width),
                ];
            }
        }
        return beam[0].Units;
    }

    private static bool Fits(Order order, OrderUnit unit)
    {
        if (order.Units.Contains(unit))
            return false;
        var place = order.Units.Length;
        if (place < unit.From)
            return false;
        if (unit.After.Any(needed => PlaceOf(order, needed) is var at && (at < 0 || place - at < unit.Gap)))
            return false;
        return order.Units.Select((other, at) => place - at >= Distance(order, unit, other)).All(far => far)
            && (place >= EarlyUnits || EarlyMix(order, unit));
    }

    /// <summary>
    /// True while the units that are left could still be far enough from those that are placed, and find a place each,
    /// before the phase ends.
    /// </summary>
    private static bool MayEnd(Order order, IReadOnlyList<OrderUnit> phase, int end)
    {
        var next = order.Units.Length;
        var left = phase.Where(u => !order.Units.Contains(u)).ToList();
        var earliest = left.Select(u => Earliest(order, u, left, next)).OrderDescending().ToList();
        return !earliest
            .Where((place, i) => place > end - 1 - i - (place > next && phase.Count > LongPhase ? Spare : 0))
            .Any();
    }

    /// <summary>The first place that a unit could have, as far as one can see from here.</summary>
    private static int Earliest(Order order, OrderUnit unit, List<OrderUnit> left, int next)
    {
        var place = next;
        for (var at = 0; at < next; at++)
            place = Math.Max(place, at + Distance(order, unit, order.Units[at]));
        foreach (var needed in unit.After)
        {
            var at = PlaceOf(order, needed);
            if (at >= 0)
                place = Math.Max(place, at + unit.Gap);
            else if (left.Any(o => o.Id.Split(' ').Contains(needed)))
                place = Math.Max(place, next + unit.Gap);
        }
        return place;
    }

    /// <summary>How many places must lie between a unit and one that comes before it.</summary>
    private static int Distance(Order order, OrderUnit unit, OrderUnit before)
    {
        var distance = 0;
        foreach (var one in unit.Correspondences)
        {
            foreach (var other in before.Correspondences)
            {
                distance = Math.Max(distance, Apartness.Between(one, other));
                if (!IsFamily(unit, before) && Apartness.IsSecondSpelling(one, other) && IsFirstSpelling(order, other))
                    distance = Math.Max(distance, Apartness.OfSpellings);
            }
        }
        return distance;
    }

    /// <summary>The spellings of a sound family come in a few days on purpose.</summary>
    private static bool IsFamily(OrderUnit unit, OrderUnit other) =>
        unit.Stage == other.Stage && unit.Stage.StartsWith(OrderUnit.Family, StringComparison.Ordinal);

    private static bool IsFirstSpelling(Order order, Correspondence one) =>
        (order.Units.SelectMany(u => u.Correspondences).FirstOrDefault(c => c.SoundText == one.SoundText) ?? one)
        == one;

    /// <summary>Where a correspondence's notation or a pattern's id stands in the order, or -1.</summary>
    private static int PlaceOf(Order order, string needed)
    {
        for (var i = 0; i < order.Units.Length; i++)
        {
            if (order.Units[i].Id.Split(' ').Contains(needed))
                return i;
        }
        return -1;
    }

    /// <summary>
    /// Two vowels among the first eight, never many consonants in a row, half of the first six consonants can be held;
    /// the first two can, so that the first words are blended without a gap.
    /// </summary>
    private static bool EarlyMix(Order order, OrderUnit unit)
    {
        var early = order.Units.SelectMany(u => u.Correspondences).Concat(unit.Correspondences).ToList();
        var consonants = early.Where(c => !c.IsVowel).Take(6).ToList();
        return early.AsEnumerable().Reverse().TakeWhile(c => !c.IsVowel).Count() <= MostConsonantsInARow
            && consonants.Count(c => !c.Sounds[^1].CanBeHeld) <= 3
            && consonants.Take(HeldFirst).All(c => c.Sounds[^1].CanBeHeld)
            && (early.Count < 8 || early.Take(8).Count(c => c.IsVowel) >= 2);
    }
}
