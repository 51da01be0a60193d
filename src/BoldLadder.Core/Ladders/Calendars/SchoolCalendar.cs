using System.Collections.Immutable;

namespace BoldLadder.Core.Ladders.Calendars;

/// <summary>What a teaching day is for.</summary>
public enum DayKind
{
    New,

    /// <summary>Closes a week: nothing new.</summary>
    Review,

    /// <summary>Each child is checked: nothing new.</summary>
    Check,

    /// <summary>Nothing new right before a check.</summary>
    Settle,

    /// <summary>Nothing new in the first week after a long break.</summary>
    Return,

    /// <summary>The start of a school year: what was taught before the summer again.</summary>
    Recap,

    /// <summary>Left over when the last rung is taught.</summary>
    Spare,
}

/// <summary>How often a school reviews and checks. Source: docs/handbook.md, section 8 (All).</summary>
/// <param name="ReviewWeeks">Each so-manieth week of a term ends with a review day; 0 for none.</param>
/// <param name="CheckWeeks">Each so-manieth week of a term ends with a check, and the two lesson days before it bring
/// nothing new; 0 for none.</param>
/// <param name="RecapWeeks">Weeks of recap after the summer, for groups that were taught before it.</param>
public sealed record Rhythm(int ReviewWeeks, int CheckWeeks, int RecapWeeks)
{
    /// <summary>A review day a week, a check about every six weeks, two weeks of recap.</summary>
    public static Rhythm Usual { get; } = new(1, 6, 2);

    /// <summary>Something new every day.</summary>
    public static Rhythm None { get; } = new(0, 0, 0);
}

/// <summary>
/// The school's teaching days: the weekdays with lessons inside a term that are not closed, each with what the rhythm
/// makes it.
/// Source: docs/handbook.md, sections 2 and 8.
/// </summary>
public sealed class SchoolCalendar
{
    private const int SettleBeforeCheck = 2;

    /// <summary>Days without lessons that make a break a long one, and a summer.</summary>
    public const int LongBreak = 9;
    private const int Summer = 28;

    private readonly ImmutableArray<DateOnly> days;

    /// <param name="lessonDays">The weekdays that have lessons; Monday to Friday when none are given.</param>
    public SchoolCalendar(
        IEnumerable<(DateOnly First, DateOnly Last)> terms,
        IEnumerable<DateOnly> closed,
        IEnumerable<DayOfWeek>? lessonDays = null,
        Rhythm? rhythm = null
    )
    {
        var shut = closed.ToHashSet();
        var open = lessonDays?.ToHashSet()
            ?? [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday, DayOfWeek.Thursday, DayOfWeek.Friday];
        Terms = [.. terms.OrderBy(t => t.First)];
        Rhythm = rhythm ?? Rhythm.None;
        days =
        [
            .. Terms
                .SelectMany(t =>
                    Enumerable.Range(0, Math.Max(0, t.Last.DayNumber - t.First.DayNumber + 1)).Select(t.First.AddDays)
                )
                .Where(d => open.Contains(d.DayOfWeek) && !shut.Contains(d))
                .Distinct()
                .Order(),
        ];
        Kinds = KindOfEach();
    }

    public ImmutableArray<(DateOnly First, DateOnly Last)> Terms { get; }

    public Rhythm Rhythm { get; }

    /// <summary>All teaching days in order.</summary>
    public ImmutableArray<DateOnly> Days => days;

    /// <summary>What the rhythm makes of each of <see cref="Days"/>.</summary>
    public ImmutableArray<DayKind> Kinds { get; }

    public bool IsTeachingDay(DateOnly date) => days.BinarySearch(date) >= 0;

    /// <summary>The day itself or the first teaching day after it; null past the end of the calendar.</summary>
    public DateOnly? OnOrAfter(DateOnly date) => days.SkipWhile(d => d < date).Cast<DateOnly?>().FirstOrDefault();

    /// <summary>
    /// On the last teaching day of a week, how many it has before that; 0 on other days.
    /// </summary>
    public int LooksBackOn(DateOnly date)
    {
        var (monday, sunday) = (SchoolWeekday.Monday(date), SchoolWeekday.Monday(date).AddDays(6));
        return days.Any(d => d > date && d <= sunday) ? 0 : days.Count(d => d >= monday && d < date);
    }

    public DateOnly? Before(DateOnly date) => days.TakeWhile(d => d < date).Cast<DateOnly?>().LastOrDefault();

    /// <summary>
    /// What a day is for a group. Before it has been taught anything there is nothing to go back to: then a week back
    /// or a recap is a day like any other.
    /// </summary>
    public DayKind KindFor(DateOnly date, bool hasBegun) =>
        days.BinarySearch(date) is var at and >= 0
            ? For(Kinds[at], hasBegun)
            : throw new ArgumentOutOfRangeException(nameof(date), date, "There are no lessons on that day.");

    internal static DayKind For(DayKind kind, bool hasBegun) => hasBegun ? kind : DayKind.New;

    private ImmutableArray<DayKind> KindOfEach()
    {
        var kinds = new DayKind[days.Length];
        for (var term = 0; term < Terms.Length; term++)
            MarkWeekEnds(kinds, Terms[term]);
        DateOnly? back = null;
        var (weeks, kind) = (0, DayKind.Return);
        for (var i = 1; i < days.Length; i++)
        {
            var gap = days[i].DayNumber - days[i - 1].DayNumber;
            if (gap > LongBreak)
                (back, weeks, kind) =
                    gap > Summer && Rhythm.RecapWeeks > 0
                        ? (days[i], Rhythm.RecapWeeks, DayKind.Recap)
                        : (days[i], 1, DayKind.Return);
            if (
                Rhythm == Rhythm.None
                || back is not { } first
                || days[i] >= SchoolWeekday.Monday(first).AddDays(weeks * SchoolWeekday.DaysInWeek)
                || kinds[i] == DayKind.Check
            )
                continue;
            kinds[i] = kind;
        }
        return [.. kinds];
    }

    private void MarkWeekEnds(DayKind[] kinds, (DateOnly First, DateOnly Last) term)
    {
        var start = SchoolWeekday.Monday(term.First);
        for (var i = 0; i < days.Length; i++)
        {
            if (days[i] < term.First || days[i] > term.Last)
                continue;
            var week = ((days[i].DayNumber - start.DayNumber) / SchoolWeekday.DaysInWeek) + 1;
            var isLast = i + 1 == days.Length || SchoolWeekday.Monday(days[i + 1]) != SchoolWeekday.Monday(days[i]);
            if (!isLast)
                continue;
            if (Rhythm.CheckWeeks > 0 && week % Rhythm.CheckWeeks == 0)
            {
                kinds[i] = DayKind.Check;
                for (var before = Math.Max(0, i - SettleBeforeCheck); before < i; before++)
                    kinds[before] = DayKind.Settle;
            }
            else if (Rhythm.ReviewWeeks > 0 && week % Rhythm.ReviewWeeks == 0)
            {
                kinds[i] = DayKind.Review;
            }
        }
    }
}
