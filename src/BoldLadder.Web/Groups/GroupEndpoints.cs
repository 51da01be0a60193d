using BoldLadder.Core.Teaching;
using BoldLadder.Store;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Groups;

/// <param name="LessonDate">Today when it is a teaching day, else the next one; null past the end of the calendar.</param>
public sealed record GroupView(
    Guid Id, string Name, Guid LadderId, int LadderVersion, int LessonMinutes, int RungsTaught, int Rungs, string? NextRung,
    DateOnly? LessonDate, bool IsToday, LessonStatus? Status);

/// <summary>The groups this person may see.</summary>
public static class GroupEndpoints
{
    public static void MapGroups(this IEndpointRouteBuilder school) => school.MapGet("/groups", List).WithName("listGroups");

    /// <summary>The group, or the answer that there is none for this person.</summary>
    public static async Task<(Group? Group, ProblemHttpResult? Problem)> Find(SchoolScope scope, Guid groupId) =>
        await scope.Groups.AsNoTracking().SingleOrDefaultAsync(g => g.Id == groupId) is { } group
            ? (group, null)
            : (null, Problem.NotFound("unknown-group", "There is no such group among yours. Choose one from the list of groups."));

    private static async Task<Ok<List<GroupView>>> List(SchoolScope scope, LessonMaking making)
    {
        var views = new List<GroupView>();
        foreach (var group in await scope.Groups.AsNoTracking().OrderBy(g => g.Name).ToListAsync())
        {
            var calendar = await scope.Calendar(group);
            var date = calendar.OnOrAfter(scope.Today);
            var ladder = (await scope.Ladder(group.LadderId, group.LadderVersion))!;
            var lesson = await scope.Store.Lessons.AsNoTracking().SingleOrDefaultAsync(l => l.GroupId == group.Id && l.Date == date);
            var log = await TeachingLogReader.Standing(scope, group.Id);
            var day = making.Day(group, date ?? scope.Today, ladder, calendar, log);
            var left = new Progress(ladder, TeachingLogReader.Facts(log)).Remaining.Length;
            var rung = lesson is null ? day.Rung : LessonMaking.RungOf(lesson, day);
            views.Add(new GroupView(group.Id, group.Name, group.LadderId, group.LadderVersion, group.LessonMinutes,
                ladder.Rungs.Length - left, ladder.Rungs.Length, rung is null ? null : LessonMaking.LabelOf(rung), date, date == scope.Today, lesson?.Status));
        }
        return TypedResults.Ok(views);
    }
}
