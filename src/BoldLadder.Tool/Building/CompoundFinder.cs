using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Tool.Building;

/// <summary>
/// Finds the two words a compound is made of, where its segmentation is theirs in a row (sun, set). Source:
/// docs/handbook.md, section 4 (Pattern).
/// </summary>
public sealed class CompoundFinder(
    Func<string, Segmentation?> find,
    IReadOnlyDictionary<string, long> counts,
    IReadOnlySet<string> not
)
{
    private const int ShortestPart = 3;

    /// <summary>A part rarer than this many uses is seldom what a word is made of.</summary>
    private const long FewestUses = 400;

    public ImmutableArray<string> Find(string word)
    {
        if (not.Contains(word))
            return [];
        var parts = find(word)!.Parts;
        return Enumerable
            .Range(ShortestPart, Math.Max(0, word.Length - (2 * ShortestPart) + 1))
            .Select(cut => (First: word[..cut], Second: word[cut..]))
            .Where(c => IsPart(c.First) && IsPart(c.Second))
            .Where(c => find(c.First)!.Parts.AddRange(find(c.Second)!.Parts).SequenceEqual(parts))
            .OrderByDescending(c => Math.Min(counts.GetValueOrDefault(c.First), counts.GetValueOrDefault(c.Second)))
            .Select(c => ImmutableArray.Create(c.First, c.Second))
            .FirstOrDefault([]);
    }

    private bool IsPart(string part) => find(part) is not null && counts.GetValueOrDefault(part) >= FewestUses;
}
