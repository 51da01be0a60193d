using BoldLadder.Core.Lessons;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Lessons;

/// <summary>Lessons to look at, not to change: a document is read once while its lesson is not changed.</summary>
public sealed class LessonShelf(SchoolScope scope)
{
    private const int Kilobytes = 48;

    /// <summary>
    /// The lessons of a query, in two queries at most: those whose documents are known without them, the others whole.
    /// </summary>
    public async Task<List<StoredLesson>> Of(IQueryable<StoredLesson> wanted)
    {
        var rows = await wanted
            .Select(l => new
            {
                l.Id,
                l.GroupId,
                l.Date,
                l.Kind,
                l.RungId,
                l.Version,
                l.Status,
                l.Stamp,
                l.Minutes,
                l.Needs,
                l.Words,
                l.StoppedAt,
            })
            .ToListAsync(scope.Stop);
        var lessons = new List<StoredLesson>();
        var unread = new List<Guid>();
        foreach (var row in rows)
        {
            if (scope.Known<Lesson>(Key(row.Id), $"{row.Version}") is not { } document)
            {
                unread.Add(row.Id);
                continue;
            }
            lessons.Add(
                new StoredLesson
                {
                    SchoolId = scope.School.SchoolId,
                    Id = row.Id,
                    GroupId = row.GroupId,
                    Date = row.Date,
                    Kind = row.Kind,
                    RungId = row.RungId,
                    Document = document,
                    Version = row.Version,
                    Status = row.Status,
                    Stamp = row.Stamp,
                    Minutes = row.Minutes,
                    Needs = row.Needs,
                    Words = row.Words,
                    StoppedAt = row.StoppedAt,
                }
            );
        }
        if (unread.Count == 0)
            return lessons;
        foreach (
            var read in await scope
                .Store.Lessons.AsNoTracking()
                .Where(l => unread.Contains(l.Id))
                .ToListAsync(scope.Stop)
        )
        {
            scope.Kept(Key(read.Id), $"{read.Version}", Kilobytes, read.Document);
            lessons.Add(read);
        }
        return lessons;
    }

    private object Key(Guid lesson) => (nameof(LessonShelf), scope.School.SchoolId, lesson);
}
