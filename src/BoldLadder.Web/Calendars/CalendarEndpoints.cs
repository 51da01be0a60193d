using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Store;
using BoldLadder.Web.Ladders;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Calendars;

public sealed record TermView(Guid Id, string Name, DateOnly First, DateOnly Last);

/// <param name="What">A correspondence's notation, a pattern's id or a stage, which must be taught by the date.</param>
public sealed record CheckpointView(Guid Id, string Name, DateOnly Date, string What);

/// <summary>A group's pace: how long its lessons are, and on which weekdays; null for the school's.</summary>
public sealed record GroupPace(Guid GroupId, string Name, int LessonMinutes, IReadOnlyList<int>? LessonDays);

/// <summary>The school's calendar as it is set.</summary>
/// <param name="LessonDays">Weekdays with lessons, 1 for Monday.</param>
public sealed record CalendarSettings(
    IReadOnlyList<TermView> Terms, IReadOnlyList<DateOnly> Closed, IReadOnlyList<int> LessonDays, int ReviewWeeks, int CheckWeeks, int RecapWeeks,
    IReadOnlyList<CheckpointView> Checkpoints, IReadOnlyList<GroupPace> Groups);

/// <param name="Stamp">What If-Match gives back when it is saved.</param>
public sealed record CalendarView(CalendarSettings Settings, string Stamp);

/// <summary>A ladder laid on the calendar, group by group.</summary>
public sealed record LadderDatesView(DateOnly Today, IReadOnlyList<GroupDates> Groups);

/// <param name="Taught">For each rung that was taught its day, by rung id; <paramref name="Planned"/> for each still to come.</param>
/// <param name="NextRungId">The rung the group comes to next; null when it has climbed them all.</param>
/// <param name="Quiet">Days to come that bring nothing new.</param>
/// <param name="Spare">Teaching days left over, or, below zero, missing.</param>
/// <param name="Warnings">By rung id what the calendar makes wrong.</param>
public sealed record GroupDates(
    Guid GroupId, string Name, int LadderVersion, string? NextRungId, IReadOnlyDictionary<string, DateOnly> Taught, IReadOnlyDictionary<string, DateOnly> Planned,
    IReadOnlyList<QuietDayView> Quiet, int Spare, bool HasEnoughSpare, DateOnly? LastDay, IReadOnlyList<RungWarning> Warnings);

public sealed record QuietDayView(DateOnly Date, string Kind);

public sealed record RungWarning(string RungId, Reason Warning);

/// <summary>The school's calendar, and ladders laid on it.</summary>
public static class CalendarEndpoints
{
    private const int MostTerms = 24;
    private const int MostClosed = 200;
    private const int LongestTerm = 400;
    private const int MostWeeks = 20;

    public static void MapCalendars(this IEndpointRouteBuilder school)
    {
        school.MapGet("/calendar", async (SchoolScope scope, Stamps stamps) => TypedResults.Ok(await View(scope, stamps))).WithName("getCalendar");
        school.MapPost("/calendar", Save).WithName("saveCalendar");
        school.MapGet("/ladders/{ladderId:guid}/versions/{version:int}/dates", async Task<Results<Ok<LadderDatesView>, ProblemHttpResult>> (Guid ladderId, int version, SchoolScope scope) =>
            await scope.Ladder(ladderId, version) is { } ladder ? TypedResults.Ok(await Dates(scope, ladderId, ladder)) : LadderEndpoints.UnknownLadder()).WithName("getDates");
        school.MapGet("/ladders/{ladderId:guid}/draft/dates", async Task<Results<Ok<LadderDatesView>, ProblemHttpResult>> (Guid ladderId, SchoolScope scope) =>
            await scope.Store.LadderDrafts.AsNoTracking().SingleOrDefaultAsync(d => d.LadderId == ladderId) is { } draft
                ? TypedResults.Ok(await Dates(scope, ladderId, draft.Document)) : LadderEndpoints.UnknownLadder()).WithName("getDraftDates");
    }

    private static async Task<CalendarView> View(SchoolScope scope, Stamps stamps)
    {
        var settings = await Settings(scope);
        return new CalendarView(settings, stamps.Of(settings));
    }

    private static async Task<CalendarSettings> Settings(SchoolScope scope) => new(
        await scope.Store.Terms.OrderBy(t => t.First).Select(t => new TermView(t.Id, t.Name, t.First, t.Last)).ToListAsync(),
        await scope.Store.ClosedDays.OrderBy(d => d.Date).Select(d => d.Date).ToListAsync(),
        scope.School.LessonDays, scope.School.ReviewWeeks, scope.School.CheckWeeks, scope.School.RecapWeeks,
        await scope.Store.Checkpoints.OrderBy(c => c.Date).Select(c => new CheckpointView(c.Id, c.Name, c.Date, c.What)).ToListAsync(),
        await scope.Groups.OrderBy(g => g.Name).Select(g => new GroupPace(g.Id, g.Name, g.LessonMinutes, g.LessonDays)).ToListAsync());

    private static async Task<LadderDatesView> Dates(SchoolScope scope, Guid ladderId, Ladder ladder)
    {
        List<Checkpoint> checkpoints = [.. (await scope.Store.Checkpoints.AsNoTracking().ToListAsync()).Select(c => new Checkpoint(c.Date, c.What))];
        var views = new List<GroupDates>();
        foreach (var group in await scope.Groups.AsNoTracking().Where(g => g.LadderId == ladderId).OrderBy(g => g.Name).ToListAsync())
        {
            var (log, calendar) = (await TeachingLogReader.Standing(scope, group.Id), await scope.Calendar(group));
            var progress = new Progress(ladder, TeachingLogReader.Facts(log));
            var fit = CalendarFit.Of(progress.Remaining, calendar, LessonMaking.FirstOpen(log, scope.Today), progress.HasBegun);
            var remaining = progress.Remaining.Select(r => r.Id).ToHashSet();
            views.Add(new GroupDates(group.Id, group.Name, group.LadderVersion, progress.Remaining.FirstOrDefault()?.Id,
                ladder.Rungs.Where(r => !remaining.Contains(r.Id)).Select(r => (r.Id, Date: TaughtOn(r, log))).Where(r => r.Date is not null).ToDictionary(r => r.Id, r => r.Date!.Value),
                fit.Rungs.Where(r => r.Date is not null).ToDictionary(r => r.Rung.Id, r => r.Date!.Value),
                [.. fit.Days.Where(d => d.Kind is not (DayKind.New or DayKind.Spare)).Select(d => new QuietDayView(d.Date, QuietDay.Id(d.Kind)))],
                fit.Spare, fit.HasEnoughSpare, fit.Days.IsEmpty ? null : fit.Days[^1].Date,
                [.. fit.Warnings(ladder, scope.Rhythm, checkpoints).Select(w => new RungWarning(ladder.Rungs[w.Rung].Id, LadderWork.ReasonOf(w)))]));
        }
        return new LadderDatesView(scope.Today, views);
    }

    /// <summary>The day on which the log has the last of what the rung teaches.</summary>
    private static DateOnly? TaughtOn(Rung rung, List<TeachingLogEntry> log)
    {
        if (!rung.TeachesSomething) return log.Where(e => e.RungId == rung.Id).Select(e => (DateOnly?)e.Date).Max();
        var days = rung.Correspondences.Select(c => log.Where(e => e.Correspondences.Contains(c.Notation)).Select(e => (DateOnly?)e.Date).Min())
            .Concat(rung.Patterns.Each().Select(p => log.Where(e => e.Patterns.Contains(p.Id())).Select(e => (DateOnly?)e.Date).Min()));
        return days.Max();
    }

    private static async Task<Results<Ok<CalendarView>, ProblemHttpResult>> Save(
        CalendarSettings wanted, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, Stamps stamps)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        if (Wrong(wanted) is { } problem) return problem;
        await scope.LockSettings();
        await scope.Refresh();
        if (stamps.Stale(await Settings(scope), ifMatch) is { } stale) return stale;
        var store = scope.Store;
        var school = await store.Schools.SingleAsync();
        (school.LessonDays, school.ReviewWeeks, school.CheckWeeks, school.RecapWeeks) = ([.. wanted.LessonDays.Distinct().Order()], wanted.ReviewWeeks, wanted.CheckWeeks, wanted.RecapWeeks);
        store.Terms.RemoveRange(await store.Terms.ToListAsync());
        store.Checkpoints.RemoveRange(await store.Checkpoints.ToListAsync());
        var closed = await store.ClosedDays.ToListAsync();
        store.ClosedDays.RemoveRange(closed.Where(d => !wanted.Closed.Contains(d.Date)));
        await store.SaveChangesAsync();
        store.Terms.AddRange(wanted.Terms.Select(t => new Term { SchoolId = school.SchoolId, Id = t.Id, Name = t.Name.Trim(), First = t.First, Last = t.Last }));
        store.Checkpoints.AddRange(wanted.Checkpoints.Select(c => new SchoolCheckpoint { SchoolId = school.SchoolId, Id = c.Id, Name = c.Name.Trim(), Date = c.Date, What = c.What }));
        store.ClosedDays.AddRange(wanted.Closed.Distinct().Where(d => closed.TrueForAll(c => c.Date != d)).Select(d => new ClosedDay { SchoolId = school.SchoolId, Date = d }));
        foreach (var group in await scope.Groups.ToListAsync())
        {
            if (wanted.Groups.FirstOrDefault(g => g.GroupId == group.Id) is not { } pace) continue;
            (group.LessonMinutes, group.LessonDays) = (pace.LessonMinutes, pace.LessonDays is null ? null : [.. pace.LessonDays.Distinct().Order()]);
        }
        scope.Audit("calendar-saved", school.SchoolId);
        await store.SaveChangesAsync();
        scope.Changed(school);
        return TypedResults.Ok(await View(scope, stamps));
    }

    private static ProblemHttpResult? Wrong(CalendarSettings wanted)
    {
        static ProblemHttpResult Of(string code, string whatToDo) => Problem.Unusable(code, whatToDo);
        if (wanted.Terms.Count > MostTerms || wanted.Closed.Count > MostClosed || wanted.Checkpoints.Count > MostTerms) return Of("too-much", $"Keep to {MostTerms} terms and checkpoints and {MostClosed} closed days.");
        if (wanted.Terms.Concat<object>(wanted.Checkpoints).Any(t => !LadderEndpoints.IsName(t is TermView term ? term.Name : ((CheckpointView)t).Name))) return LadderEndpoints.BadName();
        if (wanted.Terms.Select(t => t.Id).Concat(wanted.Checkpoints.Select(c => c.Id)) is var ids && (ids.Contains(Guid.Empty) || ids.Distinct().Count() < ids.Count())) return Of("id-missing", "Each term and checkpoint needs an id of its own. Reload the page and try again.");
        if (wanted.Terms.SelectMany(t => new[] { t.First, t.Last }).Concat(wanted.Closed).Concat(wanted.Checkpoints.Select(c => c.Date)).FirstOrDefault(d => !Reading.IsDay(d)) is var far && far != default)
        {
            return Of("day-out-of-range", $"{far:yyyy-MM-dd} is not a day of this century. Check its year.");
        }
        if (wanted.Terms.FirstOrDefault(t => t.Last < t.First || t.Last.DayNumber - t.First.DayNumber > LongestTerm) is { } term) return Of("term-backwards", $"{term.Name} must end after it begins, and within {LongestTerm} days. Change one of its dates.");
        var inOrder = wanted.Terms.OrderBy(t => t.First).ToList();
        if (inOrder.Zip(inOrder.Skip(1)).FirstOrDefault(t => t.Second.First <= t.First.Last) is { First: not null } overlap) return Of("terms-overlap", $"{overlap.First.Name} and {overlap.Second.Name} overlap. Change one of their dates.");
        if (wanted.LessonDays.Count == 0 || !wanted.LessonDays.All(SchoolWeekday.Is)) return Of("no-lesson-day", "Choose at least one weekday with lessons.");
        if (wanted.Groups.FirstOrDefault(g => g.LessonDays is { } days && (days.Count == 0 || !days.All(SchoolWeekday.Is))) is { } idle) return Of("no-lesson-day", $"Choose at least one weekday with lessons for {idle.Name}.");
        if (wanted.Groups.FirstOrDefault(g => !Pace.Lengths.Contains(g.LessonMinutes)) is { } odd) return Of("bad-length", $"Lessons of {odd.Name} take {string.Join(", ", Pace.Lengths)} minutes. Choose one of these.");
        if (!HasTeachingDay(wanted)) return Of("no-teaching-day", "No teaching day is left: every day is outside the terms, closed or a weekday without lessons. Add a term, or open a day.");
        if (new[] { wanted.ReviewWeeks, wanted.CheckWeeks, wanted.RecapWeeks }.Any(w => w is < 0 or > MostWeeks)) return Of("bad-rhythm", $"Weeks between reviews, checks and of recap go from 0 to {MostWeeks}.");
        return wanted.Checkpoints.FirstOrDefault(c => !IsTeachable(c.What)) is { } unknown ? Of("unknown-teaching", $"{unknown.Name}: choose what must be taught by then.") : null;
    }

    private static bool HasTeachingDay(CalendarSettings wanted) => !new SchoolCalendar(wanted.Terms.Select(t => (t.First, t.Last)), wanted.Closed, wanted.LessonDays.Select(SchoolWeekday.DayOfWeek)).Days.IsEmpty;

    /// <summary>A correspondence, a pattern, or the name of a stage.</summary>
    private static bool IsTeachable(string what) => what.Contains('=', StringComparison.Ordinal) ? Correspondence.TryParse(what, out _) : LadderEndpoints.IsName(what);
}
