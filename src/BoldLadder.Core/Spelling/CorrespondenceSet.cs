using System.Collections;
using System.Numerics;

namespace BoldLadder.Core.Spelling;

/// <summary>
/// An immutable set of correspondences: a bit for each of the inventory, so that "is it contained?" is a mask test.
/// </summary>
public sealed class CorrespondenceSet : IEnumerable<Correspondence>, IEquatable<CorrespondenceSet>
{
    private static readonly int Words = (Correspondence.All.Length + 63) / 64;

    private readonly ulong[] bits;

    private CorrespondenceSet(ulong[] bits) => this.bits = bits;

    public static CorrespondenceSet Empty { get; } = new(new ulong[Words]);

    public int Count => bits.Sum(BitOperations.PopCount);

    public bool IsEmpty => !bits.AsSpan().ContainsAnyExcept(0UL);

    public static CorrespondenceSet Of(IEnumerable<Correspondence> members)
    {
        var bits = new ulong[Words];
        foreach (var member in members)
            bits[member.Index >> 6] |= 1UL << (member.Index & 63);
        return new CorrespondenceSet(bits);
    }

    public static CorrespondenceSet Of(ReadOnlySpan<Correspondence> members)
    {
        var bits = new ulong[Words];
        foreach (var member in members)
            bits[member.Index >> 6] |= 1UL << (member.Index & 63);
        return new CorrespondenceSet(bits);
    }

    /// <summary>The set written as notations, <c>sh=ʃ a=æ</c>.</summary>
    /// <exception cref="FormatException">A notation is not in the inventory.</exception>
    public static CorrespondenceSet Parse(params IEnumerable<string> notations) =>
        Of(notations.Select(Correspondence.Parse));

    public bool Contains(Correspondence member) => (bits[member.Index >> 6] & (1UL << (member.Index & 63))) != 0;

    public bool IsSubsetOf(CorrespondenceSet other)
    {
        for (var i = 0; i < bits.Length; i++)
        {
            if ((bits[i] & ~other.bits[i]) != 0)
                return false;
        }
        return true;
    }

    public CorrespondenceSet Union(CorrespondenceSet other)
    {
        var union = new ulong[Words];
        for (var i = 0; i < Words; i++)
            union[i] = bits[i] | other.bits[i];
        return new CorrespondenceSet(union);
    }

    public CorrespondenceSet Add(params IEnumerable<Correspondence> members) => Union(Of(members));

    public IEnumerator<Correspondence> GetEnumerator() => Correspondence.All.Where(Contains).GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();

    public bool Equals(CorrespondenceSet? other) => other is not null && bits.AsSpan().SequenceEqual(other.bits);

    public override bool Equals(object? obj) => Equals(obj as CorrespondenceSet);

    public override int GetHashCode() => bits.Aggregate(17, HashCode.Combine);

    public override string ToString() => string.Join(' ', this);
}
