using System.Collections.Immutable;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// Orders the units of a ladder, phase by phase, so that as many words as possible can be read as early as possible: a beam
/// search over orders that keep the look-alikes and sound-alikes apart. Ties are broken by the seed. Its budget is the width of
/// the beam, not time. Source: docs/handbook.md, section 8.
/// </summary>
public sealed class OrderSearch(IEnumerable<Word> words, Patterns free, Leniencies leniencies, long seed)
{
    private const int MostConsonantsInARow = 3;
    private const int EarlyUnits = 12;
    private const int HeldFirst = 2;

    /// <summary>Orders kept at each step: many while the first phase decides everything, few later.</summary>
    private const int EarlyWidth = 24;
    private const int LaterWidth = 10;

    private readonly Word[] usable = [.. words.Where(w => w.IsForLessons)];

    private sealed record Order(ImmutableArray<OrderUnit> Units, Taught Taught, Word[] Unread, double Score);

    /// <summary>The best order found, all phases in a row.</summary>
    /// <exception cref="InvalidOperationException">No order keeps every constraint; the message names the units left over.</exception>
    public ImmutableArray<OrderUnit> Find(IEnumerable<IReadOnlyList<OrderUnit>> phases)
    {
        var nothing = new Taught(CorrespondenceSet.Empty, Patterns.None, free, leniencies, Accent.SouthernBritish);
        List<Order> beam = [new([], nothing, usable, 0)];
        foreach (var phase in phases)
        {
            var width = beam[0].Units.IsEmpty ? EarlyWidth : LaterWidth;
            for (var step = 0; step < phase.Count; step++)
            {
                var random = Seeded.For(seed, $"{phase[0].Id}/{step}");
                var next = beam.SelectMany(order => phase.Where(u => Fits(order, u)).Select(u => Extend(order, u, random))).ToList();
                if (next.Count == 0) throw new InvalidOperationException($"No order keeps apart: {string.Join(' ', phase.Except(beam[0].Units).Select(u => u.Id))}.");
                beam = [.. next.OrderByDescending(o => o.Score).DistinctBy(o => string.Join(' ', o.Units.Select(u => u.Id).Order(StringComparer.Ordinal)) + o.Units[^1].Id).Take(width)];
            }
        }
        return beam[0].Units;
    }

    private Order Extend(Order order, OrderUnit unit, Seeded random)
    {
        var taught = order.Taught.With(unit.Correspondences, unit.Patterns);
        var unread = order.Unread.Where(w => !taught.CanRead(w)).ToArray();
        var gained = order.Unread.Length - unread.Length;
        var score = order.Score + Math.Log(1 + usable.Length - unread.Length) + (Math.Min(gained, 8) / 4.0) + (random.Fraction() / 1000);
        return new Order(order.Units.Add(unit), taught, unread, score);
    }

    private static bool Fits(Order order, OrderUnit unit)
    {
        if (order.Units.Contains(unit)) return false;
        var place = order.Units.Length;
        if (place < unit.From) return false;
        if (unit.After.Any(needed => PlaceOf(order, needed) is var at && (at < 0 || place - at < unit.Gap))) return false;
        foreach (var (other, at) in order.Units.Select((u, i) => (u, i)))
        {
            if (unit.Correspondences.Any(c => other.Correspondences.Any(o => place - at < Apartness.Between(c, o)))) return false;
            if (!IsFamily(unit, other) && unit.Correspondences.Any(c => other.Correspondences.Any(o => place - at < Apartness.OfSpellings && Apartness.IsSecondSpelling(c, o) && IsFirstSpelling(order, o)))) return false;
        }
        return place >= EarlyUnits || EarlyMix(order, unit);
    }

    /// <summary>The spellings of a sound family come in a few days on purpose.</summary>
    private static bool IsFamily(OrderUnit unit, OrderUnit other) => unit.Stage == other.Stage && unit.Stage.StartsWith(OrderUnit.Family, StringComparison.Ordinal);

    private static bool IsFirstSpelling(Order order, Correspondence one) =>
        order.Units.SelectMany(u => u.Correspondences).First(c => c.SoundText == one.SoundText) == one;

    /// <summary>Where a correspondence's notation or a pattern's id stands in the order, or -1.</summary>
    private static int PlaceOf(Order order, string needed)
    {
        for (var i = 0; i < order.Units.Length; i++)
        {
            if (order.Units[i].Id.Split(' ').Contains(needed)) return i;
        }
        return -1;
    }

    /// <summary>
    /// Two vowels among the first eight, never many consonants in a row, half of the first six consonants can be held; the first two
    /// can, so that the first words are blended without a gap.
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
