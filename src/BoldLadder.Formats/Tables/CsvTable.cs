using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using BoldLadder.Core;
using CsvHelper;
using CsvHelper.Configuration;

namespace BoldLadder.Formats.Tables;

/// <summary>A row with the line of the file it begins on, from 1.</summary>
public sealed record CsvLine(int Line, ImmutableArray<string> Cells)
{
    /// <summary>The cell of a column; nothing past the end of a short row.</summary>
    public string Cell(int? column) => column is >= 0 and var c && c < Cells.Length ? Cells[c] : "";
}

/// <summary>
/// A table of lines (RFC 4180), with commas, semicolons or tabs, in any usual encoding. Empty lines are left out.
/// </summary>
public sealed record CsvTable(ImmutableArray<CsvLine> Lines)
{
    public const int MostLines = 10_000;
    private const int MostColumns = 100;
    private const int LongestCell = 2_000;

    /// <summary>How many columns the widest row has.</summary>
    public int Columns { get; } = Lines.Length == 0 ? 0 : Lines.Max(l => l.Cells.Length);

    /// <exception cref="RefusedException">It is no table, or one that is too long or too wide.</exception>
    public static CsvTable Read(ReadOnlySpan<byte> file) => Read(PlainText.Read(file));

    /// <param name="longestCell">In signs.</param>
    /// <exception cref="RefusedException">It is too long or too wide, or a quote is never closed.</exception>
    public static CsvTable Read(string text, int longestCell = LongestCell)
    {
        var configuration = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = DelimiterOf(text),
            HasHeaderRecord = false,
            IgnoreBlankLines = true,
            MaxFieldSize = longestCell,
            TrimOptions = TrimOptions.Trim,
            // A quote inside plain text stands for itself.
            BadDataFound = null,
        };
        using var reader = new StringReader(text);
        using var parser = new CsvParser(reader, configuration);
        var lines = ImmutableArray.CreateBuilder<CsvLine>();
        try
        {
            while (parser.Read())
            {
                var cells = parser.Record!;
                if (cells.All(string.IsNullOrWhiteSpace))
                    continue;
                if (lines.Count == MostLines)
                    throw new RefusedException("table-too-long", ("most", MostLines));
                if (cells.Length > MostColumns)
                    throw new RefusedException("table-too-wide", ("line", parser.RawRow), ("most", MostColumns));
                lines.Add(new CsvLine(parser.RawRow, [.. cells.Select(c => c.Trim())]));
            }
        }
        catch (MaxFieldSizeException)
        {
            throw new RefusedException("cell-too-long", ("line", parser.RawRow), ("most", longestCell));
        }
        return new CsvTable(lines.ToImmutable());
    }

    /// <summary>A table as a file: commas, and nothing that a spreadsheet would run as a formula.</summary>
    /// <param name="columns">The first line.</param>
    public static byte[] Write(IEnumerable<string> columns, IEnumerable<IEnumerable<string>> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (
            var csv = new CsvWriter(
                text,
                new CsvConfiguration(CultureInfo.InvariantCulture)
                {
                    InjectionOptions = InjectionOptions.Escape,
                    NewLine = "\r\n",
                }
            )
        )
        {
            foreach (var row in rows.Prepend(columns))
            {
                foreach (var cell in row)
                    csv.WriteField(cell);
                csv.NextRecord();
            }
        }
        // Spreadsheets take a file without the mark for one of their own alphabet.
        return [.. Encoding.UTF8.Preamble, .. Encoding.UTF8.GetBytes(text.ToString())];
    }

    /// <summary>What parts the cells: of comma, semicolon and tab the one that the first lines have most of.</summary>
    private static string DelimiterOf(string text)
    {
        var first = text.AsSpan(0, Math.Min(text.Length, 4_000));
        var (best, most) = (",", 0);
        foreach (var candidate in (ReadOnlySpan<char>)[',', ';', '\t'])
        {
            if (first.Count(candidate) is var count && count > most)
                (best, most) = (candidate.ToString(), count);
        }
        return best;
    }
}
