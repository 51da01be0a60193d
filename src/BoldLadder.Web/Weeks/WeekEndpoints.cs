using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Teaching;
using BoldLadder.Store;
using BoldLadder.Web.Groups;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Weeks;

/// <summary>The lessons of all groups in one or two weeks.</summary>
/// <param name="From">The Monday of the first week.</param>
/// <param name="Days">The days on which any of the groups has lessons, the same weekdays in each week.</param>
public sealed record WeekView(DateOnly From, IReadOnlyList<DateOnly> Days, IReadOnlyList<GroupWeek> Groups);

/// <param name="Repeats">Words to read that come in three lessons or more of these, with how often.</param>
/// <param name="Missing">Taught correspondences that no lesson of these shows, and that were not seen for long: reference notations with how many lessons ago.</param>
/// <param name="Minutes">Of all planned lessons together.</param>
public sealed record GroupWeek(Guid GroupId, string Name, int LessonMinutes, IReadOnlyList<WeekDayView> Days, IReadOnlyList<Counted> Repeats, IReadOnlyList<Counted> Missing, int Minutes);

public sealed record Counted(string What, int Count);

/// <param name="Label">What the day brings: of the lesson, or where none is planned of the rung the group comes to; null where there is no lesson that day.</param>
/// <param name="Status">Null where no lesson was planned yet.</param>
/// <param name="Version">What a change names in If-Match; 0 where there is no lesson.</param>
/// <param name="Edited">True when someone changed the lesson by hand.</param>
/// <param name="Broken">Items that can't be read on the day any more.</param>
/// <param name="Expected">What the group comes to on the day now, when it is something else than was planned for.</param>
public sealed record WeekDayView(DateOnly Date, string? Label, bool IsPast, LessonStatus? Status, int Version, int Minutes, bool Edited, int Broken, string? Expected);

/// <summary>The week screen, and what to have ready for some days.</summary>
public static class WeekEndpoints
{
    private const int MostWeeks = 2;
    private const int OftenRepeated = 3;
    private const int LongUnseen = 10;
    private const int MostDays = 14;

    public static void MapWeeks(this IEndpointRouteBuilder school)
    {
        school.MapGet("/weeks/{date}", Show).WithName("getWeek");
        school.MapGet("/weeks", Next).WithName("getNextWeek");
        school.MapGet("/groups/{groupId:guid}/gathering/{date}", Gather).WithName("getGathering");
    }

    /// <summary>The week to open: the one with the next lesson of any group, which on a Saturday is not the one that is over.</summary>
    private static async Task<Ok<WeekView>> Next(SchoolScope scope, LessonMaking making, int weeks = 1)
    {
        var next = new List<DateOnly>();
        foreach (var group in await scope.Groups.AsNoTracking().ToListAsync()) if ((await scope.Calendar(group)).OnOrAfter(scope.Today) is { } day) next.Add(day);
        return await Show(next.Count > 0 ? next.Min() : scope.Today, scope, making, weeks);
    }

    /// <param name="date">Any day of the first week.</param>
    private static async Task<Ok<WeekView>> Show(DateOnly date, SchoolScope scope, LessonMaking making, int weeks = 1)
    {
        var monday = SchoolWeekday.Monday(date);
        var all = await scope.Groups.AsNoTracking().OrderBy(g => g.Name).ToListAsync();
        var span = Enumerable.Range(0, SchoolWeekday.DaysInWeek * Math.Clamp(weeks, 1, MostWeeks)).Select(monday.AddDays).ToList();
        var (first, last, ids) = (span[0], span[^1], all.ConvertAll(g => g.Id));
        var kept = await scope.Store.Lessons.Where(l => ids.Contains(l.GroupId) && l.Date >= first && l.Date <= last).Select(l => l.Date).Distinct().ToListAsync();
        var weekdays = all.SelectMany(g => g.LessonDays ?? []).Concat(scope.School.LessonDays).Concat(kept.Select(SchoolWeekday.Of)).ToHashSet();
        var days = span.FindAll(d => weekdays.Contains(SchoolWeekday.Of(d)));
        var groups = new List<GroupWeek>();
        foreach (var group in all) groups.Add(await Week(group, days, scope, making));
        return TypedResults.Ok(new WeekView(monday, days, groups));
    }

    private static async Task<GroupWeek> Week(Group group, List<DateOnly> days, SchoolScope scope, LessonMaking making)
    {
        var ladder = (await scope.Ladder(group.LadderId, group.LadderVersion))!;
        var (calendar, log) = (await scope.Calendar(group), await TeachingLogReader.Standing(scope, group.Id));
        var (first, last) = (days[0], days[^1]);
        var lessons = await scope.Store.Lessons.AsNoTracking().Where(l => l.GroupId == group.Id && l.Date >= first && l.Date <= last).ToDictionaryAsync(l => l.Date);
        var edited = await making.ChangedByHand([.. lessons.Values.Select(l => l.Id)]);
        var views = days.ConvertAll(date => Day(making.Day(group, date, ladder, calendar, log), lessons.GetValueOrDefault(date), edited, scope, making));
        var shown = lessons.Values.Where(l => l.Status != LessonStatus.NotTaught).ToList();
        var repeats = shown.SelectMany(l => l.Document.Activities.Where(a => a.Kind is ActivityKind.ReadWords or ActivityKind.RecentWords).SelectMany(a => a.Items).SelectMany(ReadByChildren.Words).Distinct())
            .GroupBy(w => w).Where(w => w.Count() >= OftenRepeated).OrderByDescending(w => w.Count()).ThenBy(w => w.Key, StringComparer.Ordinal).Select(w => new Counted(w.Key, w.Count()));
        var seen = shown.SelectMany(l => l.Document.Activities).SelectMany(a => a.Items).SelectMany(ReadByChildren.Correspondences).Select(c => c.ReferenceNotation).ToHashSet();
        var recall = new Progress(ladder, TeachingLogReader.Facts(log)).MemoryAt(0).Seen;
        var missing = shown.Count == 0 ? [] : recall.Where(r => r.Value >= LongUnseen && !seen.Contains(r.Key.ReferenceNotation)).OrderByDescending(r => r.Value).ThenBy(r => r.Key.Notation, StringComparer.Ordinal).Select(r => new Counted(r.Key.ReferenceNotation, r.Value));
        return new GroupWeek(group.Id, group.Name, group.LessonMinutes, views, [.. repeats], [.. missing], shown.Sum(l => l.Minutes));
    }

    private static WeekDayView Day(GroupDay day, StoredLesson? lesson, HashSet<Guid> edited, SchoolScope scope, LessonMaking making)
    {
        var isPast = day.Date < scope.Today;
        if (lesson is null) return new WeekDayView(day.Date, day.Calendar.IsTeachingDay(day.Date) && !isPast && day.Rung is { } comes ? LessonMaking.LabelOf(comes) : null, isPast, null, 0, 0, false, 0, null);
        var rung = LessonMaking.RungOf(lesson, day);
        var planned = lesson.Status == LessonStatus.Planned;
        var broken = planned && !isPast ? making.Problems(lesson.Document, making.Request(day, rung, lesson.Stamp.Seed)).Count : 0;
        var expected = planned && !isPast && day.Rung is { } due && due.Id != lesson.RungId ? LessonMaking.LabelOf(due) : null;
        return new WeekDayView(day.Date, LessonMaking.LabelOf(rung), isPast, lesson.Status, lesson.Version, lesson.Minutes, edited.Contains(lesson.Id), broken, expected);
    }

    /// <summary>What to have ready for a group's lessons from a day on: those that are planned or were taught.</summary>
    private static async Task<Results<Ok<GatheringView>, ProblemHttpResult>> Gather(Guid groupId, DateOnly date, SchoolScope scope, int days = 1)
    {
        var (group, problem) = await GroupEndpoints.Find(scope, groupId);
        if (group is null) return problem!;
        if (days is < 1 or > MostDays) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "too-many-days", $"Gather for 1 to {MostDays} days at a time.");
        var last = date.AddDays(days - 1);
        var lessons = await scope.Store.Lessons.AsNoTracking().Where(l => l.GroupId == groupId && l.Date >= date && l.Date <= last).OrderBy(l => l.Date).ToListAsync();
        return TypedResults.Ok(new GatheringView(group.Name, date, last, lessons.Count, Gathering.Of(lessons.Select(l => l.Document))));
    }
}

/// <param name="Lessons">How many lessons it is for: days without a planned lesson are not in it.</param>
public sealed record GatheringView(string GroupName, DateOnly From, DateOnly To, int Lessons, Gathering Gathering);
