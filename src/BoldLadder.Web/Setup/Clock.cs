using System.Globalization;
using BoldLadder.Store;

namespace BoldLadder.Web.Setup;

/// <summary>The only place that knows what day it is: in the school's zone, or the day that a test or a demonstration fixes.</summary>
public sealed class Clock
{
    private static readonly TimeOnly Morning = new(9, 40);
    private readonly TimeProvider time;
    private readonly DateOnly? fixedDay;
    private readonly DateTime? fixedInstant;

    public Clock(TimeProvider time, IConfiguration configuration)
    {
        this.time = time;
        fixedDay = configuration["Today"] is { Length: > 0 } day ? DateOnly.ParseExact(day, "yyyy-MM-dd", CultureInfo.InvariantCulture) : null;
    }

    private Clock(TimeProvider time, DateOnly day) => (this.time, fixedDay, fixedInstant) = (time, day, day.ToDateTime(Morning, DateTimeKind.Utc));

    public DateTime UtcNow => fixedInstant ?? time.GetUtcNow().UtcDateTime;

    public DateOnly Today(School school) => Today(school.TimeZone);

    public DateOnly Today(string timeZone) =>
        fixedDay ?? DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(time.GetUtcNow(), TimeZoneInfo.FindSystemTimeZoneById(timeZone)).DateTime);

    /// <summary>A clock that stands on the morning of a day: what a demonstration school did on it.</summary>
    public Clock On(DateOnly day) => new(time, day);
}
