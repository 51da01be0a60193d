using System.Globalization;
using BoldLadder.Store;

namespace BoldLadder.Web.Setup;

/// <summary>The only place that knows what day it is: in the school's zone, or the day that a test or a demonstration fixes.</summary>
public sealed class Clock(TimeProvider time, IConfiguration configuration)
{
    private readonly DateOnly? fixedDay = configuration["Today"] is { Length: > 0 } day ? DateOnly.ParseExact(day, "yyyy-MM-dd", CultureInfo.InvariantCulture) : null;

    public DateTime UtcNow => time.GetUtcNow().UtcDateTime;

    public DateOnly Today(School school) => Today(school.TimeZone);

    public DateOnly Today(string timeZone) =>
        fixedDay ?? DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(time.GetUtcNow(), TimeZoneInfo.FindSystemTimeZoneById(timeZone)).DateTime);
}
