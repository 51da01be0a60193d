using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Groups;

/// <param name="LessonDate">Today when it is a teaching day, else the next one; null past the end of the
/// calendar.</param>
public sealed record GroupView(
    Guid Id,
    string Name,
    Guid LadderId,
    int LadderVersion,
    int LessonMinutes,
    int RungsTaught,
    int Rungs,
    string? NextRung,
    DateOnly? LessonDate,
    bool IsToday,
    LessonStatus? Status,
    IReadOnlyList<TakerView> Takers
);

/// <summary>Who takes a group, and on which weekdays; null for every day.</summary>
public sealed record TakerView(Guid Id, string Name, IReadOnlyList<int>? Weekdays);

/// <summary>The groups this person may see.</summary>
public sealed class GroupDesk(SchoolScope scope, GroupDays groupDays, LessonShelf shelf)
{
    public async Task<List<GroupView>> List()
    {
        var groups = await scope.Groups.AsNoTracking().OrderBy(g => g.Name).ToListAsync(scope.Stop);
        var states = await groupDays.States(groups);
        var next = states.ToDictionary(s => s.Group.Id, s => s.Calendar.OnOrAfter(scope.Today));
        var (ids, days) = (groups.ConvertAll(g => g.Id), next.Values.OfType<DateOnly>().Distinct().ToList());
        var lessons = (
            await shelf.Of(scope.DailyLessons.Where(l => ids.Contains(l.GroupId) && days.Contains(l.Date)))
        ).ToDictionary(l => (l.GroupId, l.Date));
        var takers = (
            await scope
                .Store.GroupTeachers.Where(t => ids.Contains(t.GroupId))
                .Join(
                    scope.Store.Users,
                    t => t.UserId,
                    u => u.Id,
                    (t, u) => new { t.GroupId, Taker = new TakerView(u.Id, u.DisplayName, t.Weekdays) }
                )
                .ToListAsync(scope.Stop)
        ).ToLookup(t => t.GroupId, t => t.Taker);
        return
        [
            .. states.Select(s =>
                View(
                    s,
                    next[s.Group.Id],
                    next[s.Group.Id] is { } day ? lessons.GetValueOrDefault((s.Group.Id, day)) : null,
                    [.. takers[s.Group.Id].OrderBy(t => t.Name, StringComparer.Ordinal)]
                )
            ),
        ];
    }

    private GroupView View(GroupState state, DateOnly? date, StoredLesson? lesson, IReadOnlyList<TakerView> takers)
    {
        var (group, ladder) = (state.Group, state.Ladder);
        var left = state.Days.Progress.Remaining.Length;
        var title = lesson?.Document.Title
            ?? (
                date is { } open && state.IsAhead(open) && state.On(open).Rung is { } next
                    ? TeachingDay.TitleOf(next)
                    : null
            );
        return new GroupView(
            Id: group.Id,
            Name: group.Name,
            LadderId: group.LadderId,
            LadderVersion: group.LadderVersion,
            LessonMinutes: group.LessonMinutes,
            RungsTaught: ladder.Rungs.Length - left,
            Rungs: ladder.Rungs.Length,
            NextRung: title?.Label,
            LessonDate: date,
            IsToday: date == scope.Today,
            Status: lesson?.Status,
            Takers: takers
        );
    }
}
