using System.Collections.Immutable;
using BoldLadder.Core;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Formats.Tables;

namespace BoldLadder.Formats.Dates;

/// <summary>
/// Dates out of a table: a name, a first day and, for more than one, a last. Columns are known by their headings, or by
/// what is in them.
/// </summary>
public static class DatesCsv
{
    private static readonly string[] Names =
    [
        "name",
        "event",
        "title",
        "summary",
        "subject",
        "description",
        "what",
        "term",
        "holiday",
    ];
    private static readonly string[] Firsts =
    [
        "first",
        "firstday",
        "start",
        "startdate",
        "from",
        "begins",
        "date",
        "day",
    ];
    private static readonly string[] Lasts = ["last", "lastday", "end", "enddate", "to", "until", "ends"];
    private static readonly string[] Kinds = ["kind", "type", "category"];

    private sealed record Columns(bool HasHeader, int? Name, int First, int? Last, int? Kind);

    private readonly record struct DatedCell(string Text, DateText Date);

    /// <param name="dayFirst">What a person says of dates like 03/04; null for what the file itself shows.</param>
    /// <exception cref="RefusedException">It is no table, or none of its columns has dates.</exception>
    public static DatedFile Read(ReadOnlySpan<byte> file, bool? dayFirst)
    {
        var table = CsvTable.Read(file);
        var columns = Find(table);
        var lines = table.Lines.Skip(columns.HasHeader ? 1 : 0).ToList();
        if (lines.Count > DatedFile.MostEvents)
            throw new RefusedException("too-many-dates", ("most", DatedFile.MostEvents));
        var rows = lines.ConvertAll(l => (Line: l, First: Cell(l, columns.First), Last: Cell(l, columns.Last)));
        var cells = rows.SelectMany(r => new[] { r.First.Date, r.Last.Date }).ToList();
        var (day, month) = (cells.Exists(c => c.SaysDayFirst == true), cells.Exists(c => c.SaysDayFirst == false));
        // Where the file contradicts itself, nothing in it says how it is meant.
        var isShown = day != month;
        var order = dayFirst ?? (day || !month);
        var (events, problems) = (
            ImmutableArray.CreateBuilder<DatedEvent>(),
            ImmutableArray.CreateBuilder<DateProblem>()
        );
        foreach (var (line, first, last) in rows)
        {
            var said = Said(line.Cell(columns.Kind));
            var name = DatedFile.Name(line.Cell(columns.Name));
            if (Problem(first, order) is { } wrong)
                problems.Add(new DateProblem(line.Line, wrong, first.Text));
            else if (last.Text.Length > 0 && Problem(last, order) is { } wrongLast)
                problems.Add(new DateProblem(line.Line, wrongLast, last.Text));
            else if (first.Date.In(order) is { } from)
            {
                var until = last.Text.Length > 0 ? last.Date.In(order)!.Value : from;
                if (until < from)
                    problems.Add(new DateProblem(line.Line, "backwards", $"{first.Text} – {last.Text}"));
                else
                    events.Add(new DatedEvent(line.Line, name.Length > 0 ? name : first.Text, from, until, said));
            }
        }
        return new DatedFile(
            events.ToImmutable(),
            problems.ToImmutable(),
            isShown
                ? null
                : rows.SelectMany(r => new[] { r.First, r.Last })
                    .Where(c => c.Date.IsInDoubt)
                    .Select(c => c.Text)
                    .FirstOrDefault(),
            order
        );
    }

    private static DatedCell Cell(CsvLine line, int? column) =>
        line.Cell(column) is var text ? new DatedCell(text, DateText.Read(text)) : default;

    private static string? Problem(DatedCell cell, bool order) =>
        cell.Text.Length == 0 ? "no-date"
        : cell.Date.Problem is { } problem ? problem
        : cell.Date.In(order) is not { } day ? "no-such-day"
        : CalendarCheck.IsDay(day) ? null
        : "out-of-range";

    /// <summary>What a column of kinds says in so many words.</summary>
    private static DateMeaning? Said(string kind) =>
        kind.Trim().ToLowerInvariant() switch
        {
            "term" or "semester" or "open" => DateMeaning.Term,
            "holiday" or "closed" or "break" or "inset" => DateMeaning.Closed,
            _ => null,
        };

    private static Columns Find(CsvTable table)
    {
        var headings = table.Lines.IsEmpty ? [] : table.Lines[0].Cells.Select(Plain).ToList();
        if (Named(Firsts) is { } first)
            return new Columns(true, Named(Names), first, Named(Lasts), Named(Kinds));
        // Without headings: the columns in which most cells are dates, and the first of the others.
        var dated = Enumerable.Range(0, table.Columns).Where(HasDates).ToList();
        if (dated.Count == 0)
            throw new RefusedException("no-date-column");
        var others = Enumerable.Range(0, table.Columns).Except(dated).ToList();
        return new Columns(
            HasHeader: table.Lines[0].Cell(dated[0]) is var top && DateText.Read(top).Problem is not null,
            Name: others.Count > 0 ? others[0] : null,
            First: dated[0],
            Last: dated.Count > 1 ? dated[1] : null,
            Kind: null
        );

        int? Named(string[] known) =>
            known.Select(k => headings.IndexOf(k)).Where(at => at >= 0).Select(at => (int?)at).FirstOrDefault();
        bool HasDates(int column) =>
            table.Lines.Count(l => DateText.Read(l.Cell(column)).Problem is null or "no-year") * 2
            >= table.Lines.Length;
    }

    private static string Plain(string heading) => string.Concat(heading.Where(char.IsLetter)).ToLowerInvariant();
}
