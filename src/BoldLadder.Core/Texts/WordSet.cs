using System.Numerics;

namespace BoldLadder.Core.Texts;

/// <summary>The different words of a sentence, made to be compared with many others.</summary>
public sealed class WordSet(IEnumerable<string> words)
{
    /// <summary>Two sentences that share so much of their words are one in other clothes.</summary>
    private const double Alike = 0.6;

    private const int Bits = 64;

    private readonly string[] different = [.. words.Distinct(StringComparer.Ordinal)];

    /// <summary>A bit for each word, some for several: a bit that only one has is a word of it alone.</summary>
    private ulong Marks { get; } =
        words.Aggregate(0UL, (marks, w) =>
            marks | (1UL << (int)((uint)w.GetHashCode(StringComparison.Ordinal) % Bits))
        );

    /// <summary>True where two sentences are one in other clothes.</summary>
    public bool IsLike(WordSet other)
    {
        var (mine, theirs) = (different.Length, other.different.Length);
        var most = Math.Min(
            mine - BitOperations.PopCount(Marks & ~other.Marks),
            theirs - BitOperations.PopCount(other.Marks & ~Marks)
        );
        return IsEnough(most) && IsEnough(different.Count(other.different.Contains));

        bool IsEnough(int shared) => shared >= Alike * (mine + theirs - shared);
    }
}
