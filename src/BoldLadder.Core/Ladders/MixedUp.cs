using System.Collections.Immutable;

namespace BoldLadder.Core.Ladders;

/// <summary>
/// Tricky words that children easily mix up: taught well apart, or contrasted on purpose. Source: docs/handbook.md,
/// section 4 (Tricky word).
/// </summary>
public static class MixedUp
{
    private static readonly ImmutableArray<(string One, string Other)> Pairs =
    [
        ("was", "saw"),
        ("there", "where"),
        ("were", "where"),
        ("we", "were"),
        ("here", "there"),
        ("your", "you"),
        ("of", "off"),
        ("they", "the"),
        ("he", "the"),
        ("what", "that"),
        ("come", "some"),
    ];

    /// <summary>The words that a word is mixed up with.</summary>
    public static IEnumerable<string> Partners(string word) =>
        Pairs.Where(p => p.One == word || p.Other == word).Select(p => p.One == word ? p.Other : p.One);
}
