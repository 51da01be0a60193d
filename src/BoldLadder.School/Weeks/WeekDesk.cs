using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Weeks;

/// <summary>The lessons of all groups in one or two weeks.</summary>
/// <param name="From">The Monday of the first week.</param>
/// <param name="Days">The days on which any of the groups has lessons, the same weekdays in each week.</param>
public sealed record WeekView(DateOnly From, IReadOnlyList<DateOnly> Days, IReadOnlyList<GroupWeek> Groups);

/// <param name="Repeats">Words to read that come in three lessons or more of these, with how often.</param>
/// <param name="Missing">Taught correspondences that no lesson of these shows, and that were not seen for long:
/// reference notations with how many lessons ago.</param>
/// <param name="Minutes">Of all planned lessons together.</param>
public sealed record GroupWeek(
    Guid GroupId,
    string Name,
    int LessonMinutes,
    IReadOnlyList<WeekDayView> Days,
    IReadOnlyList<Counted> Repeats,
    IReadOnlyList<Counted> Missing,
    int Minutes
);

/// <param name="Label">What the day brings: of the lesson, or where none is planned of the rung the group comes to;
/// null where there is no lesson that day.</param>
/// <param name="Status">Null where no lesson was planned yet.</param>
/// <param name="LessonId">What a change goes to; null where there is no lesson.</param>
/// <param name="Version">What a change names in If-Match; 0 where there is no lesson.</param>
/// <param name="Available">How long the group's lesson of that weekday is.</param>
/// <param name="Edited">True when someone changed the lesson by hand.</param>
/// <param name="Broken">Items that can't be read on the day any more.</param>
/// <param name="Expected">What the group comes to on the day now, when it is something else than was planned
/// for.</param>
public sealed record WeekDayView(
    DateOnly Date,
    string? Label,
    bool IsPast,
    LessonStatus? Status,
    Guid? LessonId,
    int Version,
    int Minutes,
    int Available,
    bool Edited,
    int Broken,
    string? Expected
);

/// <summary>The week screen, and what to have ready for some days.</summary>
public sealed class WeekDesk(
    SchoolScope scope,
    GroupDays groupDays,
    LessonRequests requests,
    LessonMaking making,
    LessonShelf shelf,
    StyleDesk style
)
{
    private const int MostWeeks = 2;
    private const int MostDays = 14;

    /// <summary>
    /// The week to open: the one with the next lesson of any group, which on a Saturday is not the one that is over.
    /// </summary>
    public async Task<WeekView> Next(int weeks = 1)
    {
        var (groups, next) = (await Groups(), new List<DateOnly>());
        foreach (var group in groups)
            if ((await scope.Calendar(group)).OnOrAfter(scope.Today) is { } day)
                next.Add(day);
        return await Show(groups, next.Count > 0 ? next.Min() : scope.Today, weeks);
    }

    private Task<List<Group>> Groups() => scope.Groups.AsNoTracking().OrderBy(g => g.Name).ToListAsync(scope.Stop);

    /// <param name="date">Any day of the first week.</param>
    public async Task<WeekView> Show(DateOnly date, int weeks = 1) => await Show(await Groups(), date, weeks);

    private async Task<WeekView> Show(List<Group> all, DateOnly date, int weeks)
    {
        var monday = SchoolWeekday.Monday(date);
        var span = Enumerable
            .Range(0, SchoolWeekday.DaysInWeek * Math.Clamp(weeks, 1, MostWeeks))
            .Select(monday.AddDays)
            .ToList();
        var (first, last, ids) = (span[0], span[^1], all.ConvertAll(g => g.Id));
        var lessons = await shelf.Of(
            scope.DailyLessons.Where(l => ids.Contains(l.GroupId) && l.Date >= first && l.Date <= last)
        );
        var edited = await making.ChangedByHand(lessons.ConvertAll(l => l.Id));
        var weekdays = all.SelectMany(g => g.LessonDays ?? [])
            .Concat(scope.School.LessonDays)
            .Concat(lessons.Select(l => SchoolWeekday.Of(l.Date)))
            .ToHashSet();
        var days = span.FindAll(d => weekdays.Contains(SchoolWeekday.Of(d)));
        var byGroup = lessons.ToLookup(l => l.GroupId);
        return new WeekView(
            monday,
            days,
            [
                .. (await groupDays.States(all)).Select(s =>
                    Week(s, days, byGroup[s.Group.Id].ToDictionary(l => l.Date), edited)
                ),
            ]
        );
    }

    private GroupWeek Week(
        GroupState state,
        List<DateOnly> days,
        Dictionary<DateOnly, StoredLesson> lessons,
        HashSet<Guid> edited
    )
    {
        var views = days.ConvertAll(date => Day(state, date, lessons.GetValueOrDefault(date), edited));
        var shown = lessons.Values.Where(l => l.Status != LessonStatus.NotTaught).ToList();
        var documents = shown.ConvertAll(l => l.Document);
        var unseen = shown.Count == 0 ? [] : WeekLook.Unseen(state.Days.Progress.MemoryAt(0), documents);
        return new GroupWeek(
            GroupId: state.Group.Id,
            Name: state.Group.Name,
            LessonMinutes: state.Group.LessonMinutes,
            Days: views,
            Repeats: [.. WeekLook.Repeats(documents)],
            Missing: [.. unseen],
            Minutes: shown.Sum(l => l.Minutes)
        );
    }

    private WeekDayView Day(GroupState state, DateOnly date, StoredLesson? lesson, HashSet<Guid> edited)
    {
        var isPast = date < scope.Today;
        if (lesson is null)
        {
            var comes =
                !isPast && state.IsAhead(date) && state.Calendar.IsTeachingDay(date) ? state.On(date).Rung : null;
            return new WeekDayView(
                Date: date,
                Label: comes is null ? null : TeachingDay.TitleOf(comes).Label,
                IsPast: isPast,
                Status: null,
                LessonId: null,
                Version: 0,
                Minutes: 0,
                Available: state.Group.MinutesOn(date),
                Edited: false,
                Broken: 0,
                Expected: null
            );
        }
        var (broken, expected) =
            isPast || lesson.Status != LessonStatus.Planned || !state.IsAhead(date)
                ? (0, null)
                : requests.Judged(state.On(date), lesson);
        return new WeekDayView(
            Date: date,
            Label: lesson.Document.Title.Label,
            IsPast: isPast,
            Status: lesson.Status,
            LessonId: lesson.Id,
            Version: lesson.Version,
            Minutes: lesson.Minutes,
            Available: state.Group.MinutesOn(date),
            Edited: edited.Contains(lesson.Id),
            Broken: broken,
            Expected: expected
        );
    }

    /// <summary>
    /// What to have ready for a group's lessons from a day on: those that are planned or were taught.
    /// </summary>
    public async Task<Answer<GatheringView>> Gather(Guid groupId, DateOnly date, int days = 1)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        var group = found.Value;
        if (days is < 1 or > MostDays)
            return Refusal.Unusable("too-many-days", ("most", MostDays));
        var last = date.AddDays(days - 1);
        var lessons = await scope
            .DailyLessons.AsNoTracking()
            .Where(l => l.GroupId == groupId && l.Date >= date && l.Date <= last)
            .OrderBy(l => l.Date)
            .ToListAsync(scope.Stop);
        var way = await style.Way();
        return new GatheringView(
            group.Name,
            date,
            last,
            lessons.Count,
            Gathering.Of(lessons.Select(l => way.Over(l.Document)))
        );
    }
}

/// <param name="Lessons">How many lessons it is for: days without a planned lesson are not in it.</param>
public sealed record GatheringView(string GroupName, DateOnly From, DateOnly To, int Lessons, Gathering Gathering);
