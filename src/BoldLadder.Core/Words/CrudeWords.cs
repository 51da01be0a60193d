using System.Collections.Frozen;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Words that nothing on a screen may look like (data/inventory/crude.tsv): crude ones, and those that set a class
/// giggling. Source: docs/handbook.md, section 10 (Unsuitable words never reach a child).
/// </summary>
public static class CrudeWords
{
    /// <summary>What a child may write into a gap.</summary>
    private static readonly FrozenSet<string> Graphemes = Correspondence
        .All.Select(c => c.Grapheme.Text)
        .Where(g => !g.Contains('-', StringComparison.Ordinal))
        .ToFrozenSet(StringComparer.Ordinal);

    private static readonly int LongestGrapheme = Graphemes.Max(g => g.Length);

    public static FrozenSet<string> Crude { get; } = Of("crude");

    /// <summary>Harmless, but no teacher wants to have made one up.</summary>
    public static FrozenSet<string> Giggles { get; } = Of("giggle");

    /// <summary>
    /// True when the word with one of its graphemes hidden could be filled in to a crude one, as sh__t could; the gap
    /// takes one grapheme.
    /// </summary>
    public static bool IsShape(Segmentation word, int hidden)
    {
        // A split digraph is a gap in two places.
        List<char?> shape = [];
        foreach (var (letter, part) in word.Letters())
        {
            if (part != hidden)
                shape.Add(letter);
            else if (shape is [] or [.., not null])
                shape.Add(null);
        }
        var spelling = word.Rejoin();
        return Crude.Any(crude => crude != spelling && (Fits(crude, shape, 0) || Fits(crude + "s", shape, 0)));
    }

    /// <summary>
    /// True when cells, the empty ones null, have a crude word's length and at least half its letters in their places.
    /// </summary>
    public static bool FitsCells(IReadOnlyList<string?> cells) =>
        Crude.Any(c =>
            c.Length == cells.Count
            && 2 * cells.Count(l => l is not null) >= cells.Count
            && cells.Any(l => l is null)
            && cells.Select((l, i) => l is null || (l.Length == 1 && l[0] == c[i])).All(fits => fits)
        );

    /// <summary>True when the shape, from a place on, is the rest of the text with one grapheme in each gap.</summary>
    private static bool Fits(ReadOnlySpan<char> text, List<char?> shape, int at)
    {
        if (at == shape.Count)
            return text.IsEmpty;
        if (text.IsEmpty)
            return false;
        if (shape[at] is { } letter)
            return text[0] == letter && Fits(text[1..], shape, at + 1);
        for (var length = 1; length <= Math.Min(LongestGrapheme, text.Length); length++)
        {
            if (Graphemes.Contains(text[..length].ToString()) && Fits(text[length..], shape, at + 1))
                return true;
        }
        return false;
    }

    private static FrozenSet<string> Of(string kind) =>
        InventoryData.Rows("crude.tsv").Where(r => r[1] == kind).Select(r => r[0]).ToFrozenSet(StringComparer.Ordinal);
}
