using BoldLadder.Store;

namespace BoldLadder.School.Schools;

/// <summary>
/// The only place that knows what day it is: in the school's zone, or the day that a test or a demonstration fixes.
/// </summary>
public sealed class Clock
{
    private static readonly TimeOnly Morning = new(9, 40);
    private readonly TimeProvider time;
    private readonly DateOnly? fixedDay;
    private readonly DateTime? fixedInstant;

    /// <param name="fixedDay">The day that a test or a demonstration says it is; null for the real one.</param>
    public Clock(TimeProvider time, DateOnly? fixedDay = null) => (this.time, this.fixedDay) = (time, fixedDay);

    private Clock(TimeProvider time, DateTime instant) =>
        (this.time, fixedDay, fixedInstant) = (time, DateOnly.FromDateTime(instant), instant);

    public DateTime UtcNow => fixedInstant ?? time.GetUtcNow().UtcDateTime;

    public DateOnly Today(StoredSchool school) => Today(school.TimeZone);

    public DateOnly Today(string timeZone) =>
        fixedDay
        ?? DateOnly.FromDateTime(
            TimeZoneInfo.ConvertTime(time.GetUtcNow(), TimeZoneInfo.FindSystemTimeZoneById(timeZone)).DateTime
        );

    /// <summary>A clock that stands on the morning of a day: what a demonstration school did on it.</summary>
    public Clock On(DateOnly day) => new(time, day.ToDateTime(Morning, DateTimeKind.Utc));
}
