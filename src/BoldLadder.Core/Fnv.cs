namespace BoldLadder.Core;

/// <summary>
/// The FNV-1a hash over whole characters or numbers: the same on every machine and in every version, unlike
/// <see cref="HashCode"/>.
/// </summary>
public static class Fnv
{
    public const ulong Start = 14695981039346656037UL;

    public static ulong With(ulong hash, uint value) => unchecked((hash ^ value) * 1099511628211UL);

    public static ulong With(ulong hash, ReadOnlySpan<char> letters)
    {
        foreach (var letter in letters)
            hash = With(hash, letter);
        return hash;
    }
}
