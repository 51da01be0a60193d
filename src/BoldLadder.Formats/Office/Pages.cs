using System.Collections.Immutable;

namespace BoldLadder.Formats.Office;

/// <summary>A document to be printed or changed in a word processor.</summary>
/// <param name="Language">en-GB.</param>
/// <param name="Paper">A4 or Letter.</param>
/// <param name="ReadingFont">The font of what children read, by name: it is not in the file.</param>
/// <param name="Footer">Small, under each page.</param>
/// <param name="Blocks">One under the other.</param>
public sealed record PagedText(
    string Title,
    string Language,
    string Paper,
    string ReadingFont,
    string Footer,
    ImmutableArray<Block> Blocks
);

/// <summary>What stands in a document from one margin to the other.</summary>
public abstract record Block;

/// <param name="Level">1 for the largest.</param>
public sealed record HeadingBlock(int Level, string Text, bool Reading = false) : Block;

/// <param name="Points">How large its letters are.</param>
/// <param name="Boxed">With a frame round it.</param>
public sealed record TextBlock(ImmutableArray<Span> Spans, int Points = 11, bool Boxed = false) : Block
{
    public static TextBlock Of(string text, int points = 11) => new([new Span(text)], points);

    public static TextBlock Read(string text, int points) => new([new Span(text, Reading: true)], points);
}

/// <param name="Cells">Row by row.</param>
/// <param name="Widths">Of the columns, as shares; the rows have as many cells.</param>
/// <param name="Ruled">With lines between the cells; a first row of headings is said by the cells themselves.</param>
/// <param name="RowHeight">At least so many millimetres; 0 for as high as what stands in it.</param>
/// <param name="Percent">How much of the width it takes, from the left.</param>
public sealed record GridBlock(
    ImmutableArray<ImmutableArray<GridCell>> Cells,
    ImmutableArray<int> Widths,
    bool Ruled,
    int RowHeight = 0,
    int Percent = 100
) : Block;

/// <param name="Centred">In the middle of the cell.</param>
/// <param name="Filled">Grey, where nothing is written.</param>
public sealed record GridCell(ImmutableArray<Span> Spans, int Points = 14, bool Centred = false, bool Filled = false)
{
    public static GridCell Blank { get; } = new([], Filled: true);

    public static GridCell Empty { get; } = new([]);
}

/// <summary>Lines to write on.</summary>
public sealed record LinesBlock(int Count) : Block;

public sealed record NewPageBlock : Block;

/// <summary>Letters of one look, or a picture.</summary>
/// <param name="Picture">In the place of the letters, as large as <paramref name="Millimetres"/>.</param>
public sealed record Span(
    string Text,
    bool Reading = false,
    bool Bold = false,
    bool Pale = false,
    bool Underlined = false,
    OfficePicture? Picture = null,
    int Millimetres = 0
)
{
    public static Span Of(OfficePicture picture, int millimetres) =>
        new("", Picture: picture, Millimetres: millimetres);
}
