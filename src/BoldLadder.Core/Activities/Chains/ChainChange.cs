using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Activities.Chains;

/// <summary>
/// Where one word of a chain differs from the word before. Source: docs/handbook.md, section 7 (Chain).
/// </summary>
public enum ChainChange
{
    Initial,
    Medial,
    Final,
    Insert,
    Delete,
}

/// <summary>Compares words grapheme by grapheme, by spelling: a to a-e is one change, c to ch too.</summary>
public static class ChainSteps
{
    /// <summary>The one change that leads from a word to another; null when there is none, or more than one.</summary>
    public static ChainChange? Between(Segmentation from, Segmentation to)
    {
        var (one, other) = (from.Parts, to.Parts);
        if (Math.Abs(one.Length - other.Length) > 1)
            return null;
        var start = 0;
        while (start < one.Length && start < other.Length && one[start].Grapheme == other[start].Grapheme)
            start++;
        var end = 0;
        while (
            end < one.Length - start
            && end < other.Length - start
            && one[^(end + 1)].Grapheme == other[^(end + 1)].Grapheme
        )
            end++;
        if (one.Length < other.Length)
            return start + end == one.Length ? ChainChange.Insert : null;
        if (one.Length > other.Length)
            return start + end == other.Length ? ChainChange.Delete : null;
        if (start + end != one.Length - 1)
            return null;
        return start == 0 ? ChainChange.Initial
            : end == 0 ? ChainChange.Final
            : ChainChange.Medial;
    }

    /// <summary>
    /// The tiles that lay every word of a chain: each grapheme as often as the word that needs it most, in the order of
    /// their letters.
    /// </summary>
    public static ImmutableArray<Grapheme> Tiles(IEnumerable<Segmentation> words)
    {
        var most = new SortedDictionary<string, int>(StringComparer.Ordinal);
        foreach (var grapheme in words.SelectMany(w => w.Parts.GroupBy(p => p.Grapheme.Text)))
        {
            most[grapheme.Key] = Math.Max(most.GetValueOrDefault(grapheme.Key), grapheme.Count());
        }
        return [.. most.SelectMany(m => Enumerable.Repeat(new Grapheme(m.Key), m.Value))];
    }
}
