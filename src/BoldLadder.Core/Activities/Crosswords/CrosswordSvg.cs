using System.Globalization;
using System.Xml.Linq;

namespace BoldLadder.Core.Activities.Crosswords;

/// <summary>
/// Draws a crossword with its clues as one SVG, black on white: the grid above, the clues in two columns below it.
/// </summary>
public static class CrosswordSvg
{
    private const int CellSize = 48;
    private const int Margin = 24;
    private const int ClueHeight = 56;
    private const int PictureSize = 48;
    private const int ColumnWidth = 420;

    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";

    /// <param name="picture">The SVG of a picture by its name; null leaves its place empty.</param>
    /// <param name="answers">True to write the answers in.</param>
    public static string Draw(Crossword crossword, Func<string, string?> picture, bool answers = false)
    {
        var across = crossword.Entries.Where(e => e.Across).ToList();
        var down = crossword.Entries.Where(e => !e.Across).ToList();
        var gridHeight = crossword.Height * CellSize;
        var width = (2 * Margin) + Math.Max(crossword.Width * CellSize, (down.Count > 0 ? 2 : 1) * ColumnWidth);
        var height = (3 * Margin) + gridHeight + ((Math.Max(across.Count, down.Count) + 1) * ClueHeight);
        var root = new XElement(
            Svg + "svg",
            new XAttribute("viewBox", $"0 0 {width} {height}"),
            new XAttribute("width", width),
            new XAttribute("height", height),
            new XAttribute("font-family", "Andika, sans-serif"),
            new XAttribute("fill", "none"),
            Cells(crossword, answers),
            Clues(across, "→", Margin, gridHeight + (2 * Margin), picture),
            Clues(down, "↓", Margin + ColumnWidth, gridHeight + (2 * Margin), picture)
        );
        return root.ToString(SaveOptions.DisableFormatting);
    }

    private static IEnumerable<XElement> Cells(Crossword crossword, bool answers)
    {
        var numbers = crossword.Entries.GroupBy(e => (e.Row, e.Column)).ToDictionary(e => e.Key, e => e.First().Number);
        foreach (
            var (row, column, cell) in crossword
                .Entries.SelectMany(e => e.Cells)
                .DistinctBy(c => (c.Row, c.Column))
                .OrderBy(c => (c.Row, c.Column))
        )
        {
            var (x, y) = (Margin + (column * CellSize), Margin + (row * CellSize));
            yield return new XElement(
                Svg + "rect",
                At("x", x),
                At("y", y),
                At("width", CellSize),
                At("height", CellSize),
                new XAttribute("fill", "#fff"),
                new XAttribute("stroke", "#000"),
                At("stroke-width", 2)
            );
            if (numbers.TryGetValue((row, column), out var number))
                yield return Text(x + 4, y + 14, 12, number.ToString(CultureInfo.InvariantCulture));
            if (answers)
                yield return Text(x + (CellSize / 2), y + 34, 22, cell, "middle");
        }
    }

    private static IEnumerable<XElement> Clues(
        List<CrosswordEntry> entries,
        string arrow,
        int x,
        int top,
        Func<string, string?> picture
    )
    {
        if (entries.Count == 0)
            yield break;
        yield return Text(x, top + 28, 28, arrow);
        for (var i = 0; i < entries.Count; i++)
        {
            var y = top + ((i + 1) * ClueHeight);
            yield return Text(x, y + 32, 18, entries[i].Number.ToString(CultureInfo.InvariantCulture));
            yield return entries[i].Word.Clue switch
            {
                CrosswordClue.Picture known => Picture(x + 32, y, picture(known.Name)),
                CrosswordClue.MissingWord missing => Text(
                    x + 32,
                    y + 32,
                    20,
                    $"{missing.Before} ______{missing.After}"
                ),
                _ => new XElement(Svg + "g"),
            };
        }
    }

    private static XElement Picture(int x, int y, string? drawing)
    {
        if (drawing is null)
            return new XElement(Svg + "g");
        var svg = XElement.Parse(drawing);
        foreach (var (name, value) in new[] { ("x", x), ("y", y), ("width", PictureSize), ("height", PictureSize) })
            svg.SetAttributeValue(name, value);
        return svg;
    }

    private static XElement Text(int x, int y, int size, string text, string anchor = "start") =>
        new XElement(
            Svg + "text",
            At("x", x),
            At("y", y),
            At("font-size", size),
            new XAttribute("text-anchor", anchor),
            new XAttribute("fill", "#000"),
            text
        );

    private static XAttribute At(string name, int value) => new(name, value.ToString(CultureInfo.InvariantCulture));
}
