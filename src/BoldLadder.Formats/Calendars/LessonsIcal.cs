using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace BoldLadder.Formats.Calendars;

/// <summary>A lesson in a calendar.</summary>
/// <param name="Id">The same for the same lesson each time the calendar is fetched.</param>
/// <param name="Minutes">How long it is.</param>
public sealed record CalendarLesson(string Id, DateOnly Date, string Title, int Minutes);

/// <summary>A group's lessons as a calendar that programs subscribe to (iCalendar, RFC 5545).</summary>
public static class LessonsIcal
{
    private const string Product = "-//Bold Ladder//EN";
    private const string Domain = "boldladder.invalid";

    /// <param name="startsAt">When lessons begin, in the zone; null for events of a whole day, which nobody is busy
    /// for.</param>
    /// <param name="made">When it was made, in UTC.</param>
    public static string Write(
        string name,
        IEnumerable<CalendarLesson> lessons,
        TimeOnly? startsAt,
        TimeZoneInfo zone,
        DateTime made
    )
    {
        var calendar = new Calendar { ProductId = Product, Method = "PUBLISH" };
        calendar.AddProperty("X-WR-CALNAME", name);
        calendar.AddProperty("REFRESH-INTERVAL;VALUE=DURATION", "PT12H");
        calendar.AddProperty("X-PUBLISHED-TTL", "PT12H");
        foreach (var lesson in lessons)
        {
            var one = new CalendarEvent
            {
                Uid = $"{lesson.Id}@{Domain}",
                Summary = lesson.Title,
                DtStamp = new CalDateTime(made),
            };
            if (startsAt is { } time)
            {
                var begins = Utc(lesson.Date.ToDateTime(time), zone);
                (one.Start, one.End) = (new CalDateTime(begins), new CalDateTime(begins.AddMinutes(lesson.Minutes)));
            }
            else
            {
                (one.Start, one.End) = (new CalDateTime(lesson.Date), new CalDateTime(lesson.Date.AddDays(1)));
                one.Transparency = TransparencyType.Transparent;
            }
            calendar.Events.Add(one);
        }
        return new CalendarSerializer().SerializeToString(calendar)!;
    }

    /// <summary>A time that the clocks skip is the one an hour later.</summary>
    private static DateTime Utc(DateTime local, TimeZoneInfo zone) =>
        TimeZoneInfo.ConvertTimeToUtc(zone.IsInvalidTime(local) ? local.AddHours(1) : local, zone);
}
