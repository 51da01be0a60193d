using System.Globalization;
using System.Text.RegularExpressions;

namespace BoldLadder.Formats.Dates;

/// <summary>A date as people write it: 2026-09-03, 3 September 2026, 03/09/2026.</summary>
/// <param name="Problem">Why it is none: a code (no-year, unreadable, no-such-day); null when it is one.</param>
/// <param name="DayFirst">The date if the first number is the day, <paramref name="MonthFirst"/> if it is the month;
/// the same where there is no doubt.</param>
public sealed partial record DateText(DateOnly? DayFirst, DateOnly? MonthFirst, string? Problem)
{
    private static readonly string[] Named =
    [
        "d MMM yyyy",
        "d MMMM yyyy",
        "MMM d yyyy",
        "MMMM d yyyy",
        "yyyy MMM d",
        "yyyy MMMM d",
    ];

    private const int Century = 2000;

    /// <summary>True for two numbers of which either may be the day.</summary>
    public bool IsInDoubt => DayFirst is not null && MonthFirst is not null && DayFirst != MonthFirst;

    /// <summary>True for two numbers of which only the first can be the day; false for only the second; null where that
    /// says nothing.</summary>
    public bool? SaysDayFirst =>
        DayFirst is not null && MonthFirst is null ? true
        : MonthFirst is not null && DayFirst is null ? false
        : null;

    public static DateText Read(string text)
    {
        text = text.Trim();
        if (Sorted().Match(text) is { Success: true } sorted)
            return Certain(Day(Number(sorted, 1), Number(sorted, 2), Number(sorted, 3)));
        if (Numbers().Match(text) is { Success: true } numbers)
        {
            var year = Number(numbers, 4) is var written && written < 100 ? Century + written : written;
            var (first, second) = (Number(numbers, 1), Number(numbers, 3));
            // With dots between, the day comes first wherever people write so.
            if (numbers.Groups[2].Value == ".")
                return Certain(Day(year, second, first));
            var (dayFirst, monthFirst) = (Day(year, second, first), Day(year, first, second));
            return dayFirst is null && monthFirst is null
                ? new DateText(null, null, "no-such-day")
                : new DateText(dayFirst, monthFirst, null);
        }
        if (NoYear().IsMatch(text))
            return new DateText(null, null, "no-year");
        var plain = Spaces()
            .Replace(Endings().Replace(Weekdays().Replace(text, ""), "$1").Replace(',', ' '), " ")
            .Trim();
        return DateOnly.TryParseExact(plain, Named, CultureInfo.InvariantCulture, DateTimeStyles.None, out var named)
                ? Certain(named)
            : NamedNoYear().IsMatch(plain) ? new DateText(null, null, "no-year")
            : new DateText(null, null, "unreadable");
    }

    /// <summary>The date, with what is known of the order; null when it can't be one in that order.</summary>
    public DateOnly? In(bool dayFirst) => dayFirst ? DayFirst : MonthFirst;

    private static DateText Certain(DateOnly? day) => new(day, day, day is null ? "no-such-day" : null);

    private static int Number(Match match, int group) =>
        int.Parse(match.Groups[group].ValueSpan, CultureInfo.InvariantCulture);

    private static DateOnly? Day(int year, int month, int day) =>
        year is >= 1 and <= 9999 && month is >= 1 and <= 12 && day >= 1 && day <= DateTime.DaysInMonth(year, month)
            ? new DateOnly(year, month, day)
            : null;

    /// <summary>The year first; a time behind it is of no use here.</summary>
    [GeneratedRegex(@"^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ].*)?$", RegexOptions.NonBacktracking)]
    private static partial Regex Sorted();

    [GeneratedRegex(@"^(\d{1,2})([-/. ])(\d{1,2})[-/. ](\d{4}|\d{2})(?: \d.*)?$", RegexOptions.NonBacktracking)]
    private static partial Regex Numbers();

    [GeneratedRegex(@"^\d{1,2}[-/.]\d{1,2}[-/.]?$", RegexOptions.NonBacktracking)]
    private static partial Regex NoYear();

    [GeneratedRegex(@"^(?:\d{1,2} [A-Za-z]{3,9}|[A-Za-z]{3,9} \d{1,2})$", RegexOptions.NonBacktracking)]
    private static partial Regex NamedNoYear();

    [GeneratedRegex(@"^(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun)[a-z]*[, ]+", RegexOptions.IgnoreCase)]
    private static partial Regex Weekdays();

    [GeneratedRegex(@"(\d)(?:st|nd|rd|th)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Endings();

    [GeneratedRegex(@"[\s-]+")]
    private static partial Regex Spaces();
}
