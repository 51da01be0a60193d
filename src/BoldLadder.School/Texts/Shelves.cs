using BoldLadder.Core.Texts.Shelf;
using BoldLadder.School.Schools;
using BoldLadder.School.Work;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Texts;

/// <summary>
/// The words of a school's shelf, looked up once and kept while neither a book nor the school's words change.
/// </summary>
public sealed class Shelves(SchoolScope scope, WorkCache cache)
{
    public async Task<ShelfIndex> Index()
    {
        var state = await scope
            .Store.Books.GroupBy(_ => 1)
            .Select(b => new { Count = b.Count(), Last = b.Max(one => one.ChangedAt) })
            .SingleOrDefaultAsync(scope.Stop);
        var (key, stamp) = (
            (nameof(Shelves), scope.School.SchoolId),
            $"{state?.Count} {state?.Last.Ticks} {scope.School.WordsStamp} {scope.School.SpellingVariety}"
        );
        if (cache.Find<ShelfIndex>(key, stamp) is { } known)
            return known;
        var books = await scope
            .Store.Books.AsNoTracking()
            .OrderBy(b => b.Id)
            .Select(b => new
            {
                b.Id,
                b.Body,
                b.Told,
            })
            .ToListAsync(scope.Stop);
        var index = new ShelfIndex(books.ConvertAll(b => new ShelvedBook(b.Id, b.Body, b.Told)), scope.Words.Finder);
        return scope.HasSaved ? index : cache.Newest(key, stamp, index.Kilobytes, () => index);
    }
}
