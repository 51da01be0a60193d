using BoldLadder.Core.Lessons;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Groups;

/// <summary>A group that has ended.</summary>
public sealed record EndedGroup(Guid Id, string Name, DateOnly EndedOn, int Lessons);

/// <summary>What a group that has ended was taught, the newest first.</summary>
public sealed record ArchivedGroup(string Name, DateOnly EndedOn, IReadOnlyList<ArchivedDay> Days);

/// <param name="LessonId">The lesson as it was; null for what it had been taught before its lessons were
/// kept.</param>
public sealed record ArchivedDay(DateOnly Date, string Label, LessonOutcome Outcome, Guid? LessonId);

/// <summary>A lesson of it, to read and print.</summary>
public sealed record ArchivedLesson(string GroupName, DateOnly Date, string RungLabel, Lesson Lesson);

/// <summary>Groups that have ended stay readable: what they were taught, and each lesson. For who sees all.</summary>
public sealed class ArchiveDesk(SchoolScope scope, Standings standings, StyleDesk style)
{
    private IQueryable<Group> Ended =>
        scope.Store.Groups.Where(g =>
            g.EndedOn != null && g.EndedOn <= scope.Today && (scope.Role == Role.Lead || scope.Role == Role.Head)
        );

    public Task<List<EndedGroup>> List() =>
        Ended
            .OrderByDescending(g => g.EndedOn)
            .ThenBy(g => g.Name)
            .Select(g => new EndedGroup(
                g.Id,
                g.Name,
                g.EndedOn!.Value,
                scope.Store.Lessons.Count(l => l.GroupId == g.Id && l.Status != LessonStatus.Planned)
            ))
            .ToListAsync(scope.Stop);

    public async Task<Answer<ArchivedGroup>> Show(Guid groupId)
    {
        if (await Ended.AsNoTracking().SingleOrDefaultAsync(g => g.Id == groupId, scope.Stop) is not { } group)
            return Refused.UnknownGroup;
        var ladder = (await scope.Ladder(group.LadderId, group.LadderVersion))!;
        var labels = ladder.Rungs.ToDictionary(r => r.Id, r => r.Label);
        return new ArchivedGroup(
            group.Name,
            group.EndedOn!.Value,
            [
                .. (await standings.Log(groupId))
                    .OrderByDescending(e => e.Date)
                    .Select(e => new ArchivedDay(
                        e.Date,
                        labels.GetValueOrDefault(e.RungId, e.RungId),
                        e.Outcome,
                        e.LessonId
                    )),
            ]
        );
    }

    public async Task<Answer<ArchivedLesson>> ShowLesson(Guid groupId, Guid lessonId)
    {
        if (
            await Ended.AsNoTracking().SingleOrDefaultAsync(g => g.Id == groupId, scope.Stop) is not { } group
            || await scope
                .Store.Lessons.AsNoTracking()
                .SingleOrDefaultAsync(l => l.Id == lessonId && l.GroupId == groupId, scope.Stop)
                is not { } lesson
        )
            return Refused.UnknownLesson;
        return new ArchivedLesson(
            group.Name,
            lesson.Date,
            lesson.Document.Title.Label,
            (await style.Way()).Over(lesson.Document)
        );
    }
}
