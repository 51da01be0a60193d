using BoldLadder.Core.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Ladders;

/// <summary>Finds the planned lessons that would not fit any more if their groups followed a changed ladder.</summary>
public static class BrokenLessons
{
    public static async Task<List<BrokenLesson>> On(
        Ladder ladder,
        Guid ladderId,
        SchoolScope scope,
        GroupDays groupDays,
        LessonRequests requests
    )
    {
        var groups = await scope
            .Groups.AsNoTracking()
            .Where(g => g.LadderId == ladderId)
            .OrderBy(g => g.Name)
            .ToListAsync(scope.Stop);
        var ids = groups.ConvertAll(g => g.Id);
        var lessons = (
            await scope
                .DailyLessons.AsNoTracking()
                .Where(l => ids.Contains(l.GroupId) && l.Status == LessonStatus.Planned && l.Date >= scope.Today)
                .ToListAsync(scope.Stop)
        ).ToLookup(l => l.GroupId);
        var broken = new List<BrokenLesson>();
        if (lessons.Count == 0)
            return broken;
        foreach (var state in await groupDays.States(groups.FindAll(g => lessons.Contains(g.Id))))
        {
            var (group, follows) = (state.Group, groupDays.State(state.Group, ladder, state.Calendar, state.Standing));
            foreach (var lesson in lessons[group.Id].Where(l => follows.IsAhead(l.Date)).OrderBy(l => l.Date))
            {
                var (items, expected) = requests.Judged(follows.On(lesson.Date), lesson);
                if (items > 0 || expected is not null)
                    broken.Add(new BrokenLesson(group.Name, lesson.Date, lesson.Document.Title.Label, items, expected));
            }
        }
        return broken;
    }
}
