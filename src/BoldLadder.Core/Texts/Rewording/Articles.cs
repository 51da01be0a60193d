namespace BoldLadder.Core.Texts.Rewording;

/// <summary>Whether a or an stands before a word: as it is heard, so not before unicorn. Source: docs/handbook.md,
/// section 7 (Rewording).</summary>
internal static class Articles
{
    /// <summary>The article for a word.</summary>
    public static string Before(ReadOnlySpan<char> word, bool capital) =>
        (capital ? "A" : "a") + (StartsWithVowel(word) ? "n" : "");

    private static bool StartsWithVowel(ReadOnlySpan<char> word) =>
        "aeiouAEIOU".Contains(word[0], StringComparison.Ordinal)
        && !word.StartsWith("uni", StringComparison.OrdinalIgnoreCase)
        && !word.StartsWith("one", StringComparison.OrdinalIgnoreCase)
        && !word.StartsWith("use", StringComparison.OrdinalIgnoreCase);
}
