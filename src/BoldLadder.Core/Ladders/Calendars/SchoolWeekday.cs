namespace BoldLadder.Core.Ladders.Calendars;

/// <summary>
/// A weekday as schools number it: 1 for Monday to 7 for Sunday. The one place that knows how .NET numbers them.
/// </summary>
public static class SchoolWeekday
{
    public const int DaysInWeek = 7;

    public static int Of(DateOnly date) => date.DayOfWeek == System.DayOfWeek.Sunday ? DaysInWeek : (int)date.DayOfWeek;

    /// <param name="weekday">1 to 7.</param>
    public static System.DayOfWeek DayOfWeek(int weekday) => (System.DayOfWeek)(weekday % DaysInWeek);

    public static bool Is(int weekday) => weekday is >= 1 and <= DaysInWeek;

    /// <summary>The Monday of the week that a day is in.</summary>
    public static DateOnly Monday(DateOnly date) => date.AddDays(1 - Of(date));
}
