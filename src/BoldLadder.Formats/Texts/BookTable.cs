using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core;
using BoldLadder.Formats.Tables;

namespace BoldLadder.Formats.Texts;

/// <summary>A book of a table.</summary>
/// <param name="Line">Of the file, from 1.</param>
/// <param name="Words">All that stands in it; empty where the table has none.</param>
public sealed record BookLine(int Line, string Title, string Label, int Pages, int Copies, string Words);

/// <summary>A line that can't be taken.</summary>
/// <param name="Why">no-title, title-long, label-long, pages or copies.</param>
public sealed record BookLineLeftOut(int Line, string Why);

/// <summary>
/// A school's books as a table (CSV): a first line that names the columns title, label, pages, copies and words in any
/// order, then a book a line.
/// </summary>
/// <param name="OtherColumns">What is not taken.</param>
public sealed record BookTable(
    ImmutableArray<BookLine> Books,
    ImmutableArray<BookLineLeftOut> LeftOut,
    ImmutableArray<string> OtherColumns
)
{
    public const int LongestTitle = 120;
    public const int LongestLabel = 40;
    public const int LongestWords = 200_000;
    public const int MostPages = 2_000;
    public const int MostCopies = 1_000;

    private static readonly FrozenDictionary<string, string> Names = new Dictionary<string, string>
    {
        ["title"] = "title",
        ["book"] = "title",
        ["name"] = "title",
        ["label"] = "label",
        ["level"] = "label",
        ["band"] = "label",
        ["pages"] = "pages",
        ["copies"] = "copies",
        ["words"] = "words",
        ["text"] = "words",
    }.ToFrozenDictionary(StringComparer.OrdinalIgnoreCase);

    /// <exception cref="RefusedException">It is no table, or has no column of titles.</exception>
    public static BookTable Read(byte[] file)
    {
        var table = CsvTable.Read(PlainText.Read(file), LongestWords);
        if (table.Lines.IsEmpty)
            throw new RefusedException("books-without-title");
        var columns = new Dictionary<string, int>(StringComparer.Ordinal);
        var others = ImmutableArray.CreateBuilder<string>();
        foreach (var (i, heading) in table.Lines[0].Cells.Index())
        {
            if (!Names.TryGetValue(heading.Trim('\uFEFF', ' '), out var name) || !columns.TryAdd(name, i))
                others.Add(heading);
        }
        if (!columns.ContainsKey("title"))
            throw new RefusedException("books-without-title");
        var (books, leftOut) = (
            ImmutableArray.CreateBuilder<BookLine>(),
            ImmutableArray.CreateBuilder<BookLineLeftOut>()
        );
        foreach (var line in table.Lines.Skip(1))
        {
            string Cell(string name) => columns.TryGetValue(name, out var column) ? line.Cell(column) : "";
            var (pages, copies) = (Number(Cell("pages"), 0, MostPages), Number(Cell("copies"), 1, MostCopies));
            var why =
                Cell("title").Length == 0 ? "no-title"
                : !PlainName.Is(Cell("title"), LongestTitle) ? "title-long"
                : Cell("label").Length > LongestLabel ? "label-long"
                : pages is null ? "pages"
                : copies is null ? "copies"
                : null;
            if (why is null)
                books.Add(
                    new BookLine(line.Line, Cell("title"), Cell("label"), pages!.Value, copies!.Value, Cell("words"))
                );
            else
                leftOut.Add(new BookLineLeftOut(line.Line, why));
        }
        return new BookTable(books.ToImmutable(), leftOut.ToImmutable(), others.ToImmutable());
    }

    /// <summary>The number of a cell, a usual one where it is empty; null where it is none.</summary>
    private static int? Number(string cell, int usual, int most) =>
        cell.Length == 0 ? usual
        : int.TryParse(cell, NumberStyles.None, CultureInfo.InvariantCulture, out var number) && number <= most ? number
        : null;
}
