namespace BoldLadder.Core.Randomness;

/// <summary>
/// The core's own small generator (SplitMix64): the same seed gives the same draws on every machine and in every
/// version.
/// </summary>
public sealed class Seeded
{
    private ulong state;

    public Seeded(long seed) => state = unchecked((ulong)seed);

    /// <summary>A generator for one purpose of a seed, so that one list's draws don't move another's.</summary>
    public static Seeded For(long seed, string purpose)
    {
        return new Seeded(unchecked(seed * 31 + (long)Fnv.With(Fnv.Start, purpose)));
    }

    public ulong NextUInt64()
    {
        unchecked
        {
            state += 0x9E3779B97F4A7C15UL;
            var z = state;
            z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9UL;
            z = (z ^ (z >> 27)) * 0x94D049BB133111EBUL;
            return z ^ (z >> 31);
        }
    }

    /// <summary>A whole number from 0 to below <paramref name="bound"/>.</summary>
    public int Below(int bound) => (int)(NextUInt64() % (ulong)bound);

    /// <summary>A number from 0 to below 1.</summary>
    public double Fraction() => (NextUInt64() >> 11) * (1.0 / (1UL << 53));

    /// <summary>A new list with the same items in a random order.</summary>
    public List<T> Shuffle<T>(IEnumerable<T> items)
    {
        var list = items.ToList();
        for (var i = list.Count - 1; i > 0; i--)
        {
            var j = Below(i + 1);
            (list[i], list[j]) = (list[j], list[i]);
        }
        return list;
    }
}
