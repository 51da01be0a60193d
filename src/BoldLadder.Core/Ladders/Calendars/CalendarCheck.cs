using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Calendars;

/// <summary>A run of weeks in which the school is open.</summary>
public sealed record SchoolTerm(string Name, DateOnly First, DateOnly Last);

/// <summary>
/// Whether a calendar can be used: terms that go forward and don't overlap, days to teach on, a rhythm, checkpoints
/// that name something taught. Source: docs/handbook.md, section 8.
/// </summary>
public static class CalendarCheck
{
    /// <summary>Longest term, in days.</summary>
    internal const int LongestTerm = 400;

    /// <summary>Most weeks between reviews or checks, or of recap.</summary>
    private const int MostWeeks = 20;

    /// <summary>Longest name of a stage, in letters.</summary>
    private const int LongestStage = 80;

    private static readonly DateOnly FirstDay = new(2000, 1, 1);
    private static readonly DateOnly LastDay = new(2099, 12, 31);

    /// <summary>The years a day may lie in: beyond them, weeks could not be added to it.</summary>
    public static (int First, int Last) Years => (FirstDay.Year, LastDay.Year);

    /// <summary>A day that a school could mean.</summary>
    public static bool IsDay(DateOnly date) => date >= FirstDay && date <= LastDay;

    /// <summary>A correspondence, a pattern, or the name of a stage.</summary>
    public static bool IsTeachable(string what) =>
        what.Contains('=', StringComparison.Ordinal)
            ? Correspondence.TryParse(what, out _)
            : PlainName.Is(what.Trim(), LongestStage);

    /// <exception cref="RefusedException">What is wrong: day-out-of-range, term-backwards, terms-overlap,
    /// no-lesson-day, no-teaching-day or bad-rhythm.</exception>
    /// <param name="lessonDays">Weekdays with lessons, 1 for Monday.</param>
    public static void Of(
        IReadOnlyCollection<SchoolTerm> terms,
        IReadOnlyCollection<DateOnly> closed,
        IReadOnlyCollection<int> lessonDays,
        Rhythm rhythm,
        IEnumerable<DateOnly> checkpoints
    )
    {
        if (
            terms
                .SelectMany(t => new[] { t.First, t.Last })
                .Concat(closed)
                .Concat(checkpoints)
                .FirstOrDefault(d => !IsDay(d))
                is var far
            && far != default
        )
        {
            throw new RefusedException("day-out-of-range.calendar", ("day", far));
        }
        if (
            terms.FirstOrDefault(t => t.Last < t.First || t.Last.DayNumber - t.First.DayNumber > LongestTerm) is
            { } term
        )
        {
            throw new RefusedException("term-backwards", ("term", term.Name), ("most", LongestTerm));
        }
        var inOrder = terms.OrderBy(t => t.First).ToList();
        if (
            inOrder.Zip(inOrder.Skip(1)).FirstOrDefault(t => t.Second.First <= t.First.Last) is
            { First: not null } overlap
        )
        {
            throw new RefusedException("terms-overlap", ("first", overlap.First.Name), ("second", overlap.Second.Name));
        }
        if (!AreLessonDays(lessonDays))
            throw new RefusedException("no-lesson-day");
        if (
            new SchoolCalendar(terms.Select(t => (t.First, t.Last)), closed, lessonDays.Select(SchoolWeekday.DayOfWeek))
                .Days
                .IsEmpty
        )
            throw new RefusedException("no-teaching-day");
        if (new[] { rhythm.ReviewWeeks, rhythm.CheckWeeks, rhythm.RecapWeeks }.Any(w => w is < 0 or > MostWeeks))
            throw new RefusedException("bad-rhythm", ("most", MostWeeks));
    }

    /// <summary>At least one weekday, and nothing else.</summary>
    public static bool AreLessonDays(IReadOnlyCollection<int> weekdays) =>
        weekdays.Count > 0 && weekdays.All(SchoolWeekday.Is);
}
