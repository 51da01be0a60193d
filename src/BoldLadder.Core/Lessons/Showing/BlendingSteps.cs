using System.Collections.Immutable;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;

namespace BoldLadder.Core.Lessons.Showing;

/// <summary>
/// A word blended as a school blends, step by step, the whole word last. A word with a split digraph is blended sound
/// by sound whatever the way: its letters do not stand in the order of its sounds. Source: docs/handbook.md, section 5
/// (blending).
/// </summary>
public static class BlendingSteps
{
    private const int Held = 3;

    /// <summary>Null for a word of one grapheme.</summary>
    public static ImmutableArray<string>? Of(string word, ImmutableArray<Correspondence> parts, Blending way) =>
        parts.Length < 2 ? null
        : parts.Any(p => p.Grapheme.IsSplit) ? [.. parts.Select(p => p.Grapheme.Text), word]
        : way switch
        {
            Blending.Continuous => [string.Concat(parts.Select(Stretched)), word],
            Blending.Cumulative =>
            [
                .. parts.Select((_, i) => string.Concat(parts.Take(i + 1).Select(p => p.Grapheme.Text))),
            ],
            Blending.AdjacentFirst => [.. Together(parts), word],
            _ => [.. parts.Select(p => p.Grapheme.Text), word],
        };

    /// <summary>A single letter whose sound can be held stands for a long time.</summary>
    private static string Stretched(Correspondence part) =>
        part.Grapheme.Text.Length == 1 && part.Sounds.All(s => s.CanBeHeld)
            ? string.Concat(Enumerable.Repeat(part.Grapheme.Text, Held))
            : part.Grapheme.Text;

    /// <summary>Consonants side by side as one piece, each vowel alone.</summary>
    private static IEnumerable<string> Together(ImmutableArray<Correspondence> parts)
    {
        var piece = "";
        foreach (var part in parts)
        {
            if (part.IsVowel && piece.Length > 0)
            {
                yield return piece;
                piece = "";
            }
            if (part.IsVowel)
                yield return part.Grapheme.Text;
            else
                piece += part.Grapheme.Text;
        }
        if (piece.Length > 0)
            yield return piece;
    }
}
