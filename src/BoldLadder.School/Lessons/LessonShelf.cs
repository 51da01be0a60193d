using BoldLadder.Core.Lessons;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Lessons;

/// <summary>Lessons to look at, not to change: a document is read once while its lesson is not changed.</summary>
public sealed class LessonShelf(SchoolScope scope)
{
    private const int Kilobytes = 48;

    /// <summary>The lessons of a query, in two queries at most.</summary>
    public async Task<List<StoredLesson>> Of(IQueryable<StoredLesson> wanted)
    {
        var rows = await wanted.AsNoTracking().Select(l => new { l.Id, l.GroupId, l.Date, l.Kind, l.RungId, l.Version, l.Status, l.Stamp, l.Minutes, l.Needs, l.Words, l.StoppedAt }).ToListAsync(scope.Stop);
        var documents = rows.Select(r => (r.Id, Document: scope.Known<Lesson>(Key(r.Id), $"{r.Version}"))).Where(r => r.Document is not null).ToDictionary(r => r.Id, r => r.Document!);
        var missing = rows.Select(r => r.Id).Where(id => !documents.ContainsKey(id)).ToList();
        if (missing.Count > 0)
        {
            foreach (var read in await scope.Store.Lessons.AsNoTracking().Where(l => missing.Contains(l.Id)).Select(l => new { l.Id, l.Version, l.Document }).ToListAsync(scope.Stop))
            {
                documents[read.Id] = scope.Kept(Key(read.Id), $"{read.Version}", Kilobytes, read.Document);
            }
        }
        return rows.ConvertAll(r => new StoredLesson
        {
            SchoolId = scope.School.SchoolId,
            Id = r.Id,
            GroupId = r.GroupId,
            Date = r.Date,
            Kind = r.Kind,
            RungId = r.RungId,
            Document = documents[r.Id],
            Version = r.Version,
            Status = r.Status,
            Stamp = r.Stamp,
            Minutes = r.Minutes,
            Needs = r.Needs,
            Words = r.Words,
            StoppedAt = r.StoppedAt,
        });
    }

    private object Key(Guid lesson) => (nameof(LessonShelf), scope.School.SchoolId, lesson);
}
