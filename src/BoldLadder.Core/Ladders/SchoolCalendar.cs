using System.Collections.Immutable;

namespace BoldLadder.Core.Ladders;

/// <summary>The school's teaching days: weekdays inside a term that are not closed. Source: docs/handbook.md, section 2.</summary>
public sealed class SchoolCalendar
{
    private readonly ImmutableArray<DateOnly> days;

    public SchoolCalendar(IEnumerable<(DateOnly First, DateOnly Last)> terms, IEnumerable<DateOnly> closed)
    {
        var shut = closed.ToHashSet();
        days = [.. terms.SelectMany(t => Enumerable.Range(0, Math.Max(0, t.Last.DayNumber - t.First.DayNumber + 1)).Select(t.First.AddDays))
            .Where(d => d.DayOfWeek is not (DayOfWeek.Saturday or DayOfWeek.Sunday) && !shut.Contains(d)).Distinct().Order()];
    }

    /// <summary>All teaching days in order.</summary>
    public ImmutableArray<DateOnly> Days => days;

    public bool IsTeachingDay(DateOnly date) => days.BinarySearch(date) >= 0;

    /// <summary>The day itself or the first teaching day after it; null past the end of the calendar.</summary>
    public DateOnly? OnOrAfter(DateOnly date) => days.SkipWhile(d => d < date).Cast<DateOnly?>().FirstOrDefault();

    public DateOnly? Before(DateOnly date) => days.TakeWhile(d => d < date).Cast<DateOnly?>().LastOrDefault();

    /// <summary>How many teaching days there are from <paramref name="first"/> to before <paramref name="date"/>.</summary>
    public int Count(DateOnly first, DateOnly date) => days.Count(d => d >= first && d < date);
}
