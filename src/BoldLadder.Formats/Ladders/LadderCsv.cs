using System.Collections.Immutable;
using BoldLadder.Core;
using BoldLadder.Core.Ladders;
using BoldLadder.Formats.Tables;

namespace BoldLadder.Formats.Ladders;

/// <summary>A line of a table that can't be read: its number, the column and what stands there.</summary>
public sealed record LadderCsvProblem(int Line, string Column, string Value);

/// <summary>
/// A ladder as a plain table that a spreadsheet can edit: a rung a line, with what it teaches in reference notation.
/// The columns are described in docs/formats/README.md; lists are parted by spaces.
/// </summary>
public static class LadderCsv
{
    private const string Rung = "rung";
    private const string Stage = "stage";
    private const string Teaches = "teaches";
    private const string Patterns = "patterns";
    private const string Tricky = "tricky";
    private const string Kind = "kind";
    private const string Reason = "reason";
    private const string Chunks = "chunks";

    private static readonly string[] Columns = [Rung, Stage, Teaches, Patterns, Tricky, Kind, Reason, Chunks];

    public static byte[] Write(Ladder ladder) =>
        CsvTable.Write(
            Columns,
            ladder
                .Rungs.Select(RungDocument.Of)
                .Select(rung =>
                    new[]
                    {
                        rung.Id,
                        rung.Stage,
                        string.Join(' ', rung.Correspondences),
                        string.Join(' ', rung.Patterns),
                        string.Join(' ', rung.Tricky),
                        rung.Kind ?? "",
                        rung.Reason ?? "",
                        string.Join("; ", rung.Chunks ?? []),
                    }
                )
        );

    /// <summary>The rungs of a table, and every line that can't be read; a line without an id is a new rung.</summary>
    /// <exception cref="RefusedException">It is no table, or lacks a column.</exception>
    public static (ImmutableArray<Rung> Rungs, ImmutableArray<LadderCsvProblem> Problems) Read(ReadOnlySpan<byte> file)
    {
        var table = CsvTable.Read(file);
        var headings = table.Lines.IsEmpty ? [] : table.Lines[0].Cells;
        if (Columns.FirstOrDefault(c => c is Rung or Teaches or Stage && !headings.Contains(c)) is { } missing)
            throw new RefusedException("ladder-column", ("column", missing));
        var (rungs, problems) = (
            ImmutableArray.CreateBuilder<Rung>(),
            ImmutableArray.CreateBuilder<LadderCsvProblem>()
        );
        var ids = new HashSet<string>();
        var at = headings.IndexOf(Rung);
        var given = table.Lines.Skip(1).Select(l => Plain(l.Cell(at))).ToHashSet();
        foreach (var line in table.Lines.Skip(1))
        {
            var cells = Columns.ToDictionary(
                c => c,
                c => Plain(line.Cell(headings.IndexOf(c) is >= 0 and var place ? place : null))
            );
            var id = cells[Rung].Length > 0 ? cells[Rung] : Made(cells, [.. given, .. ids]);
            try
            {
                if (!ids.Add(id))
                    throw new FormatException(Rung);
                rungs.Add(Read(id, cells));
            }
            catch (FormatException problem)
            {
                var column = Array.IndexOf(Columns, problem.Message) >= 0 ? problem.Message : Teaches;
                problems.Add(new LadderCsvProblem(line.Line, column, cells[column]));
            }
        }
        return (rungs.ToImmutable(), problems.ToImmutable());
    }

    private static Rung Read(string id, Dictionary<string, string> cells)
    {
        var rung = new RungDocument(id, cells[Stage], [], [], List(cells[Tricky]), Or(cells[Reason]));
        return (
            Try(Teaches, () => rung with { Correspondences = List(cells[Teaches]) }),
            Try(Patterns, () => rung with { Patterns = List(cells[Patterns]) }),
            Try(Kind, () => rung with { Kind = Or(cells[Kind]) }),
            Try(Chunks, () => rung with { Chunks = cells[Chunks].Length == 0 ? null : Split(cells[Chunks], ';') })
        ) switch
        {
            var (teaches, patterns, kind, chunks) => teaches with
            {
                Patterns = patterns.Patterns,
                Kind = kind.Kind,
                Chunks = chunks.Chunks,
            },
        };

        static Rung Try(string column, Func<RungDocument> read)
        {
            try
            {
                return read().ToRung();
            }
            catch (FormatException)
            {
                throw new FormatException(column);
            }
        }
    }

    /// <summary>An id for a rung that has none: what it teaches.</summary>
    private static string Made(Dictionary<string, string> cells, HashSet<string> ids)
    {
        var plain = string.Join(' ', new[] { cells[Teaches], cells[Patterns], cells[Tricky] }.Where(c => c.Length > 0));
        var id = plain.Length is > 0 and <= 100 ? plain : "rung";
        for (var i = 2; ids.Contains(id); i++)
            id = $"{(plain.Length is > 0 and <= 100 ? plain : "rung")} {i}";
        return id;
    }

    /// <summary>A cell without the mark that keeps spreadsheets from taking it for a formula.</summary>
    private static string Plain(string cell) =>
        cell.StartsWith('\'') && cell.Length > 1 && cell[1] is '=' or '+' or '-' or '@' ? cell[1..] : cell;

    private static string? Or(string cell) => cell.Length == 0 ? null : cell;

    private static IReadOnlyList<string> List(string cell) => Split(cell, ' ');

    private static string[] Split(string cell, char by) =>
        cell.Split(by, StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
}
