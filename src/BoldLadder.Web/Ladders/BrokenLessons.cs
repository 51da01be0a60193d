using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Store;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Schools;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Ladders;

/// <summary>Finds the planned lessons that would not fit any more if their groups followed a changed ladder.</summary>
public static class BrokenLessons
{
    public static async Task<List<BrokenLesson>> On(Ladder ladder, Guid ladderId, SchoolScope scope, LessonMaking making, SchoolLexicon words)
    {
        var groups = await scope.Groups.AsNoTracking().Where(g => g.LadderId == ladderId).OrderBy(g => g.Name).ToListAsync();
        var ids = groups.ConvertAll(g => g.Id);
        var lessons = (await scope.Store.Lessons.AsNoTracking().Where(l => ids.Contains(l.GroupId) && l.Status == LessonStatus.Planned && l.Date >= scope.Today).ToListAsync()).ToLookup(l => l.GroupId);
        var broken = new List<BrokenLesson>();
        if (lessons.Count == 0) return broken;
        foreach (var group in groups.Where(g => lessons.Contains(g.Id)))
        {
            var (log, calendar) = (await TeachingLogReader.Standing(scope, group.Id), await scope.Calendar(group));
            foreach (var lesson in lessons[group.Id].OrderBy(l => l.Date))
            {
                var day = making.Day(group, lesson.Date, ladder, calendar, log);
                var rung = LessonMaking.RungOf(lesson, day);
                var request = making.Request(day, rung, lesson.Stamp.Seed);
                var items = LessonCheck.Problems(lesson.Document, request.Before, request.After, request.TrickyToday.ToHashSet(), words.Lexicon).Length;
                var expected = day.Rung is { } due && due.Id != lesson.RungId ? LessonMaking.LabelOf(due) : null;
                if (items > 0 || expected is not null) broken.Add(new BrokenLesson(group.Name, lesson.Date, LessonMaking.LabelOf(rung), items, expected));
            }
        }
        return broken;
    }
}
