using System.Collections.Frozen;
using System.Text;
using System.Text.RegularExpressions;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Words that nothing on a screen may look like (data/inventory/crude.tsv): crude ones, and those that set a class giggling. Source: docs/handbook.md,
/// section 10 (Unsuitable words never reach a child).
/// </summary>
public static class CrudeWords
{
    /// <summary>So many letters may stand where some are hidden.</summary>
    private const int MostHidden = 3;

    public static FrozenSet<string> Crude { get; } = Of("crude");

    /// <summary>Harmless, but no teacher wants to have made one up.</summary>
    public static FrozenSet<string> Giggles { get; } = Of("giggle");

    /// <summary>True when the word with one of its graphemes hidden could be filled in to a crude one: sh__t.</summary>
    public static bool IsShape(Segmentation word, int hidden) => IsShape(word, p => p == hidden);

    /// <summary>True when what is left of the word without some of its graphemes could be filled in to a crude one.</summary>
    public static bool IsShape(Segmentation word, Func<int, bool> isHidden)
    {
        var pattern = new StringBuilder("^");
        var open = false;
        foreach (var (letter, part) in word.Letters())
        {
            var hide = isHidden(part);
            if (!hide) pattern.Append(letter);
            else if (!open) pattern.Append("[a-z]{1,").Append(MostHidden).Append('}');
            open = hide;
        }
        var shape = new Regex(pattern.Append("s?$").ToString(), RegexOptions.NonBacktracking);
        return Crude.Any(c => c != word.Rejoin() && shape.IsMatch(c));
    }

    /// <summary>True when cells, the empty ones null, have a crude word's length and at least half its letters in their places.</summary>
    public static bool FitsCells(IReadOnlyList<string?> cells) => Crude.Any(c => c.Length == cells.Count
        && 2 * cells.Count(l => l is not null) >= cells.Count && cells.Any(l => l is null)
        && cells.Select((l, i) => l is null || (l.Length == 1 && l[0] == c[i])).All(fits => fits));

    private static FrozenSet<string> Of(string kind) => InventoryData.Rows("crude.tsv").Where(r => r[1] == kind).Select(r => r[0]).ToFrozenSet(StringComparer.Ordinal);
}
