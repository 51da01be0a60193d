using System.Collections.Immutable;
using BoldLadder.Core;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Formats.Tables;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;

namespace BoldLadder.Formats.Dates;

/// <summary>Dates out of a calendar (iCalendar, RFC 5545): its events, of which a repeated one counts once.</summary>
public static class DatesIcal
{
    private static ReadOnlySpan<byte> Begin => "BEGIN:VCALENDAR"u8;

    /// <summary>True for a file that begins as a calendar does.</summary>
    public static bool Is(ReadOnlySpan<byte> file) =>
        PlainStart(file) is var start && start.Length >= Begin.Length && Same(start[..Begin.Length]);

    /// <exception cref="RefusedException">It can't be read as a calendar.</exception>
    public static DatedFile Read(ReadOnlySpan<byte> file)
    {
        var events = Events(PlainText.Read(file));
        if (events.Count > DatedFile.MostEvents)
            throw new RefusedException("too-many-dates", ("most", DatedFile.MostEvents));
        var (found, problems) = (
            ImmutableArray.CreateBuilder<DatedEvent>(),
            ImmutableArray.CreateBuilder<DateProblem>()
        );
        foreach (var (at, one) in events.Index())
        {
            var name = DatedFile.Name(one.Summary ?? "");
            if (one.Start is not { } start)
            {
                problems.Add(new DateProblem(at + 1, "no-date", name));
                continue;
            }
            var (first, last) = (start.Date, Last(one, start));
            if (last < first)
                problems.Add(new DateProblem(at + 1, "backwards", name));
            else if (!CalendarCheck.IsDay(first) || !CalendarCheck.IsDay(last))
                problems.Add(new DateProblem(at + 1, "out-of-range", name));
            else
                found.Add(new DatedEvent(at + 1, name.Length > 0 ? name : $"{first:yyyy-MM-dd}", first, last));
            if (one.RecurrenceRule is not null)
                problems.Add(new DateProblem(at + 1, "repeats", name));
        }
        return new DatedFile(found.ToImmutable(), problems.ToImmutable(), null, DayFirst: true);
    }

    private static List<CalendarEvent> Events(string text)
    {
        try
        {
            return CalendarCollection.Load(text).SelectMany(c => c.Events).ToList();
        }
        catch (Exception problem) when (problem is not OutOfMemoryException)
        {
            // The library says of a file that it can't read many things, none of which helps a person.
            throw new RefusedException("not-a-calendar");
        }
    }

    /// <summary>The last day: an end without a time is the day after.</summary>
    private static DateOnly Last(CalendarEvent one, CalDateTime start)
    {
        if (one.End is not { } end)
            return one.Duration is { } lasts && !start.HasTime
                ? start.Date.AddDays(Math.Max(0, (lasts.Days ?? 0) + ((lasts.Weeks ?? 0) * 7) - 1))
                : start.Date;
        return !end.HasTime && end.Date > start.Date ? end.Date.AddDays(-1) : end.Date;
    }

    /// <summary>The file without its mark and empty lines at its top.</summary>
    private static ReadOnlySpan<byte> PlainStart(ReadOnlySpan<byte> file) =>
        (file.StartsWith(System.Text.Encoding.UTF8.Preamble) ? file[3..] : file).TrimStart(" \r\n\t"u8);

    private static bool Same(ReadOnlySpan<byte> start) => System.Text.Ascii.EqualsIgnoreCase(start, Begin);
}
