using BoldLadder.Core;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Calendars;

public sealed record TermView(Guid Id, string Name, DateOnly First, DateOnly Last);

/// <param name="What">A correspondence's notation, a pattern's id or a stage, which must be taught by the date.</param>
public sealed record CheckpointView(Guid Id, string Name, DateOnly Date, string What);

/// <summary>A group's pace: how long its lessons are, and on which weekdays; null for the school's.</summary>
/// <param name="WeekdayMinutes">Lengths of weekdays that have another one, from Monday; 0 for the usual one. Null for
/// none.</param>
public sealed record GroupPace(
    Guid GroupId,
    string Name,
    int LessonMinutes,
    IReadOnlyList<int>? LessonDays,
    IReadOnlyList<int>? WeekdayMinutes = null
);

/// <summary>The school's calendar as it is set.</summary>
/// <param name="LessonDays">Weekdays with lessons, 1 for Monday.</param>
public sealed record CalendarSettings(
    IReadOnlyList<TermView> Terms,
    IReadOnlyList<DateOnly> Closed,
    IReadOnlyList<int> LessonDays,
    int ReviewWeeks,
    int CheckWeeks,
    int RecapWeeks,
    IReadOnlyList<CheckpointView> Checkpoints,
    IReadOnlyList<GroupPace> Groups
);

/// <param name="Stamp">What If-Match gives back when it is saved.</param>
public sealed record CalendarView(CalendarSettings Settings, string Stamp);

/// <summary>A ladder laid on the calendar, group by group.</summary>
public sealed record LadderDatesView(DateOnly Today, IReadOnlyList<GroupDates> Groups);

/// <param name="Taught">For each rung that was taught its day, by rung id; <paramref name="Planned"/> for each still to
/// come.</param>
/// <param name="NextRungId">The rung the group comes to next; null when it has climbed them all.</param>
/// <param name="Quiet">Days to come that bring nothing new.</param>
/// <param name="Spare">Teaching days left over, or, below zero, missing.</param>
/// <param name="Warnings">By rung id what the calendar makes wrong.</param>
public sealed record GroupDates(
    Guid GroupId,
    string Name,
    int LadderVersion,
    string? NextRungId,
    IReadOnlyDictionary<string, DateOnly> Taught,
    IReadOnlyDictionary<string, DateOnly> Planned,
    IReadOnlyList<QuietDayView> Quiet,
    int Spare,
    bool HasEnoughSpare,
    DateOnly? LastDay,
    IReadOnlyList<RungWarning> Warnings
);

public sealed record QuietDayView(DateOnly Date, string Kind);

public sealed record RungWarning(string RungId, Reason Warning);

/// <summary>The school's calendar, and ladders laid on it.</summary>
public sealed class CalendarDesk(SchoolScope scope, GroupDays groupDays)
{
    internal const int MostTerms = 24;
    internal const int MostClosed = 200;

    internal static readonly Refusal TooMuch = Refusal.Unusable(
        "too-much",
        ("terms", MostTerms),
        ("closed", MostClosed)
    );

    public async Task<Answer<LadderDatesView>> Dates(Guid ladderId, int version) =>
        await scope.Ladder(ladderId, version) is { } ladder ? await Dates(ladderId, ladder) : Refused.UnknownLadder;

    public async Task<Answer<LadderDatesView>> DraftDates(Guid ladderId) =>
        await scope.Store.LadderDrafts.AsNoTracking().SingleOrDefaultAsync(d => d.LadderId == ladderId, scope.Stop)
            is { } draft
            ? await Dates(ladderId, draft.Document)
            : Refused.UnknownLadder;

    public async Task<CalendarView> View()
    {
        var settings = await Settings();
        return new CalendarView(settings, Stamps.Of(settings));
    }

    private async Task<CalendarSettings> Settings() =>
        new(
            Terms: await scope
                .Store.Terms.OrderBy(t => t.First)
                .Select(t => new TermView(t.Id, t.Name, t.First, t.Last))
                .ToListAsync(scope.Stop),
            Closed: await scope.Store.ClosedDays.OrderBy(d => d.Date).Select(d => d.Date).ToListAsync(scope.Stop),
            LessonDays: scope.School.LessonDays,
            ReviewWeeks: scope.School.ReviewWeeks,
            CheckWeeks: scope.School.CheckWeeks,
            RecapWeeks: scope.School.RecapWeeks,
            Checkpoints: await scope
                .Store.Checkpoints.OrderBy(c => c.Date)
                .Select(c => new CheckpointView(c.Id, c.Name, c.Date, c.What))
                .ToListAsync(scope.Stop),
            Groups: await scope
                .Groups.OrderBy(g => g.Name)
                .Select(g => new GroupPace(g.Id, g.Name, g.LessonMinutes, g.LessonDays, g.WeekdayMinutes))
                .ToListAsync(scope.Stop)
        );

    private async Task<LadderDatesView> Dates(Guid ladderId, Ladder ladder)
    {
        List<Checkpoint> checkpoints =
        [
            .. (await scope.Store.Checkpoints.AsNoTracking().ToListAsync(scope.Stop)).Select(c => new Checkpoint(
                c.Date,
                c.What
            )),
        ];
        var views = new List<GroupDates>();
        var groups = await scope
            .Groups.AsNoTracking()
            .Where(g => g.LadderId == ladderId)
            .OrderBy(g => g.Name)
            .ToListAsync(scope.Stop);
        foreach (var state in await groupDays.States(groups))
        {
            var (group, progress) = (state.Group, new Progress(ladder, state.Standing));
            var fit = CalendarFit.Of(
                progress.Remaining,
                state.Calendar,
                state.Standing.FirstOpen(scope.Today),
                progress.HasBegun
            );
            var remaining = progress.Remaining.Select(r => r.Id).ToHashSet();
            views.Add(
                new GroupDates(
                    GroupId: group.Id,
                    Name: group.Name,
                    LadderVersion: group.LadderVersion,
                    NextRungId: progress.Remaining.FirstOrDefault()?.Id,
                    Taught: ladder
                        .Rungs.Where(r => !remaining.Contains(r.Id))
                        .Select(r => (r.Id, Date: progress.TaughtOn(r)))
                        .Where(r => r.Date is not null)
                        .ToDictionary(r => r.Id, r => r.Date!.Value),
                    Planned: fit.Rungs.Where(r => r.Date is not null).ToDictionary(r => r.Rung.Id, r => r.Date!.Value),
                    Quiet:
                    [
                        .. fit
                            .Days.Where(d => d.Kind is not (DayKind.New or DayKind.Spare))
                            .Select(d => new QuietDayView(d.Date, QuietDay.Id(d.Kind))),
                    ],
                    Spare: fit.Spare,
                    HasEnoughSpare: fit.HasEnoughSpare,
                    LastDay: fit.Days.IsEmpty ? null : fit.Days[^1].Date,
                    Warnings:
                    [
                        .. fit.Warnings(ladder, scope.Rhythm, checkpoints)
                            .Select(w => new RungWarning(ladder.Rungs[w.Rung].Id, LadderWork.ReasonOf(w))),
                    ]
                )
            );
        }
        return new LadderDatesView(scope.Today, views);
    }

    public async Task<Answer<CalendarView>> Save(CalendarSettings wanted, string? seen)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (Wrong(wanted) is { } problem)
            return problem;
        await scope.LockSettings();
        await scope.Refresh();
        if (Stamps.Stale(await Settings(), seen) is { } stale)
            return stale;
        var store = scope.Store;
        var school = await store.Schools.SingleAsync(scope.Stop);
        (school.LessonDays, school.ReviewWeeks, school.CheckWeeks, school.RecapWeeks) = (
            [.. wanted.LessonDays.Distinct().Order()],
            wanted.ReviewWeeks,
            wanted.CheckWeeks,
            wanted.RecapWeeks
        );
        store.Terms.RemoveRange(await store.Terms.ToListAsync(scope.Stop));
        store.Checkpoints.RemoveRange(await store.Checkpoints.ToListAsync(scope.Stop));
        var closed = await store.ClosedDays.ToListAsync(scope.Stop);
        store.ClosedDays.RemoveRange(closed.Where(d => !wanted.Closed.Contains(d.Date)));
        await scope.Save();
        store.Terms.AddRange(
            wanted.Terms.Select(t => new Term
            {
                SchoolId = school.SchoolId,
                Id = t.Id,
                Name = t.Name.Trim(),
                First = t.First,
                Last = t.Last,
            })
        );
        store.Checkpoints.AddRange(
            wanted.Checkpoints.Select(c => new SchoolCheckpoint
            {
                SchoolId = school.SchoolId,
                Id = c.Id,
                Name = c.Name.Trim(),
                Date = c.Date,
                What = c.What,
            })
        );
        store.ClosedDays.AddRange(
            wanted
                .Closed.Distinct()
                .Where(d => closed.TrueForAll(c => c.Date != d))
                .Select(d => new ClosedDay { SchoolId = school.SchoolId, Date = d })
        );
        foreach (var group in await scope.Groups.ToListAsync(scope.Stop))
        {
            if (wanted.Groups.FirstOrDefault(g => g.GroupId == group.Id) is not { } pace)
                continue;
            (group.LessonMinutes, group.LessonDays, group.WeekdayMinutes) = (
                pace.LessonMinutes,
                pace.LessonDays is null ? null : [.. pace.LessonDays.Distinct().Order()],
                pace.WeekdayMinutes?.Any(m => m > 0) == true ? [.. pace.WeekdayMinutes] : null
            );
        }
        scope.Audit("calendar-saved", school.SchoolId);
        await scope.Save();
        await scope.Refresh();
        return await View();
    }

    private static bool AreLengths(GroupPace pace) =>
        Pace.Lengths.Contains(pace.LessonMinutes)
        && (
            pace.WeekdayMinutes is not { } weekdays
            || (weekdays.Count == SchoolWeekday.DaysInWeek && weekdays.All(m => m == 0 || Pace.Lengths.Contains(m)))
        );

    private static Refusal? Wrong(CalendarSettings wanted)
    {
        if (wanted.Terms.Count > MostTerms || wanted.Closed.Count > MostClosed || wanted.Checkpoints.Count > MostTerms)
        {
            return TooMuch;
        }
        if (!wanted.Terms.Select(t => t.Name).Concat(wanted.Checkpoints.Select(c => c.Name)).All(Refused.IsName))
            return Refused.BadName;
        var ids = wanted.Terms.Select(t => t.Id).Concat(wanted.Checkpoints.Select(c => c.Id)).ToList();
        if (ids.Contains(Guid.Empty) || ids.Distinct().Count() < ids.Count)
            return Refusal.Unusable("id-missing").About("calendar");
        try
        {
            CalendarCheck.Of(
                [.. wanted.Terms.Select(t => new SchoolTerm(t.Name, t.First, t.Last))],
                [.. wanted.Closed],
                [.. wanted.LessonDays],
                new Rhythm(wanted.ReviewWeeks, wanted.CheckWeeks, wanted.RecapWeeks),
                wanted.Checkpoints.Select(c => c.Date)
            );
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
        if (
            wanted.Groups.FirstOrDefault(g => g.LessonDays is { } days && !CalendarCheck.AreLessonDays([.. days])) is
            { } idle
        )
        {
            return Refusal.Unusable("no-lesson-day", ("group", idle.Name)).About("group");
        }
        if (wanted.Groups.FirstOrDefault(g => !AreLengths(g)) is { } odd)
        {
            return Refusal
                .Unusable("bad-length", ("group", odd.Name), ("lengths", string.Join(", ", Pace.Lengths)))
                .About("group");
        }
        return wanted.Checkpoints.FirstOrDefault(c => !CalendarCheck.IsTeachable(c.What)) is { } unknown
            ? Refusal.Unusable("unknown-teaching", ("checkpoint", unknown.Name)).About("checkpoint")
            : null;
    }
}
