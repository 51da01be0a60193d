using System.Collections.Immutable;

namespace BoldLadder.Core.Texts;

/// <summary>
/// A text is read on three days, each time for something else. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public static class ReReading
{
    /// <summary>What the first, second and third reading are for.</summary>
    public static ImmutableArray<string> Focuses { get; } = ["words", "expression", "meaning"];

    /// <summary>What the next reading is for; null once all three were had.</summary>
    /// <param name="read">On how many days it was read.</param>
    public static string? FocusOf(int read) => read < Focuses.Length ? Focuses[read] : null;
}
