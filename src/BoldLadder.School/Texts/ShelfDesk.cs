using BoldLadder.Core.Texts;
using BoldLadder.Core.Texts.Shelf;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Texts;

/// <summary>What is looked for on the shelf.</summary>
/// <param name="Search">In titles and labels.</param>
/// <param name="GroupId">With <paramref name="Fit"/>: only what fits this group so.</param>
/// <param name="Date">The day for which; today without one.</param>
public sealed record ShelfSearch(
    string? Search = null,
    Guid? GroupId = null,
    BookFit? Fit = null,
    DateOnly? Date = null,
    int Bar = 95,
    int Skip = 0
);

/// <summary>
/// Which of the school's books which group can read, now or soon. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class ShelfDesk(SchoolScope scope, Shelves shelves, ReadersLevels levels)
{
    private const int OnPage = 50;
    private const int SoonDays = 14;
    private const int ReadDays = 21;
    private const int LongestSearch = 60;

    private sealed record Reader(GroupDay Day, ReadersLevel Level, double[] Readable, int?[] Rungs);

    public async Task<Answer<ShelfView>> Show(ShelfSearch search)
    {
        if (search.Bar is < 50 or > 100)
            return Refusal.Unusable("shelf-bar");
        if (search.Search?.Length > LongestSearch || search.Skip < 0)
            return Refusal.Unusable("too-long", ("most", LongestSearch));
        var date = search.Date ?? scope.Today;
        var index = await shelves.Index();
        var readers = await Readers(date, index, search.Bar);
        var ladders = readers.GroupBy(r => r.Day.Group.LadderId).Select(g => g.First()).ToList();
        var names = await scope
            .Store.Ladders.Where(l => ladders.Select(r => r.Day.Group.LadderId).Contains(l.Id))
            .ToDictionaryAsync(l => l.Id, l => l.Name, scope.Stop);
        var uses = await Uses(date);
        var books = await scope
            .Store.Books.AsNoTracking()
            .Select(b => new
            {
                b.Id,
                b.Title,
                b.Label,
                b.Pages,
                b.Copies,
            })
            .ToListAsync(scope.Stop);
        var wanted = search.Search?.Trim() ?? "";
        var chosen = readers.FindIndex(r => r.Day.Group.Id == search.GroupId);
        var found = books
            .Where(b =>
                wanted.Length == 0
                || b.Title.Contains(wanted, StringComparison.OrdinalIgnoreCase)
                || b.Label.Contains(wanted, StringComparison.OrdinalIgnoreCase)
            )
            .Select(b => (Book: b, Place: index.PlaceOf(b.Id)))
            .Where(b =>
                chosen < 0 || search.Fit is null || FitOf(readers[chosen], b.Place, date, search.Bar) == search.Fit
            )
            .OrderBy(b => chosen < 0 || b.Place is not { } at ? int.MaxValue : -(readers[chosen].Rungs[at] ?? -2))
            .ThenBy(b => b.Book.Title, StringComparer.OrdinalIgnoreCase)
            .ToList();
        return new ShelfView(
            Date: date,
            Bar: search.Bar,
            Groups: [.. readers.Select(r => new ShelfGroup(r.Day.Group.Id, r.Day.Group.Name))],
            Ladders: [.. ladders.Select(l => new ShelfLadder(l.Day.Group.LadderId, names[l.Day.Group.LadderId]))],
            Books:
            [
                .. found
                    .Skip(search.Skip)
                    .Take(OnPage)
                    .Select(b => new BookRow(
                        Id: b.Book.Id,
                        Title: b.Book.Title,
                        Label: b.Book.Label,
                        Pages: b.Book.Pages,
                        Copies: b.Book.Copies,
                        Words: b.Place is { } at ? index.WordsOf(at) : 0,
                        Fits: [.. readers.Select(r => Fit(r, b.Book.Id, b.Place, date, search.Bar, uses))],
                        Places:
                        [
                            .. ladders.Select(l => b.Place is { } p ? RungPlace.Of(l.Day.Ladder, l.Rungs[p]) : null),
                        ]
                    )),
            ],
            Total: found.Count,
            All: books.Count
        );
    }

    /// <summary>A book with what stands in each group's way.</summary>
    public async Task<Answer<IReadOnlyList<GroupReading>>> Of(Book book, DateOnly date, int bar)
    {
        var index = await shelves.Index();
        var place = index.PlaceOf(book.Id);
        var uses = await Uses(date);
        return (await Readers(date, index, bar)).ConvertAll(r => new GroupReading(
            r.Day.Group.Id,
            r.Day.Group.Name,
            Fit(r, book.Id, place, date, bar, uses),
            place is { } at ? r.Readable[at] : 0,
            place is { } p ? Missing(index, p, r) : [],
            Next(r, book.Id, date, uses)
        ));
    }

    private async Task<List<Reader>> Readers(DateOnly date, ShelfIndex index, int bar)
    {
        var readers = await levels.OfGroups(date);
        var placed = readers
            .Select(r => r.Places)
            .Distinct()
            .ToDictionary(
                p => p,
                p => index.RungOf(p, readers.First(r => r.Places == p).Day.Ladder.Rungs.Length, bar / 100.0)
            );
        return readers.ConvertAll(r => new Reader(r.Day, r.Level, index.Readable(r.Level.Judge), placed[r.Places]));
    }

    private static BookFit FitOf(Reader reader, int? place, DateOnly date, int bar) =>
        place is not { } at ? BookFit.NoWords
        : reader.Readable[at] >= (bar / 100.0) - 1e-9 ? BookFit.Now
        : reader.Level.When(reader.Rungs[at])?.Date is { } day && day <= date.AddDays(SoonDays) ? BookFit.Soon
        : BookFit.NotYet;

    private static GroupFit Fit(
        Reader reader,
        Guid book,
        int? place,
        DateOnly date,
        int bar,
        ILookup<(Guid, Guid), BookUse> uses
    )
    {
        var fit = FitOf(reader, place, date, bar);
        var own = uses[(book, reader.Day.Group.Id)];
        return new GroupFit(
            fit,
            fit is BookFit.Soon or BookFit.NotYet ? reader.Level.When(reader.Rungs[place!.Value]) : null,
            own.Where(u => u.Kind == BookUseKind.Home && u.BackOn is null).Sum(u => u.Copies),
            own.Count(u => u.Kind == BookUseKind.Read && u.Day <= date)
        );
    }

    private static List<MissingWord> Missing(ShelfIndex index, int place, Reader reader) =>
        [
            .. index
                .Missing(place, reader.Level.Judge)
                .Take(MostMissing)
                .Select(m => new MissingWord(
                    m.Word.Plain,
                    m.Times,
                    [
                        .. reader
                            .Level.Judge.Of(m.Word)
                            .Needs.Distinct()
                            .Select(n => new NeedView(
                                n.ToString(),
                                reader.Level.When(reader.Day.Ladder.WhenTaught(n))
                            )),
                    ]
                )),
        ];

    private const int MostMissing = 12;

    private static NextReading? Next(Reader reader, Guid book, DateOnly date, ILookup<(Guid, Guid), BookUse> uses)
    {
        var read = uses[(book, reader.Day.Group.Id)].Where(u => u.Kind == BookUseKind.Read).ToList();
        var after = read.Count == 0 ? date : read.Max(u => u.Day).AddDays(1);
        return
            ReReading.FocusOf(read.Count) is { } focus
            && reader.Day.Calendar.OnOrAfter(after > date ? after : date) is { } day
            ? new NextReading(focus, day)
            : null;
    }

    /// <summary>What groups have lately done with books, and what is still at home.</summary>
    private async Task<ILookup<(Guid, Guid), BookUse>> Uses(DateOnly date)
    {
        var since = date.AddDays(-ReadDays);
        return (
            await scope
                .Store.BookUses.AsNoTracking()
                .Where(u => u.Day >= since || (u.Kind == BookUseKind.Home && u.BackOn == null))
                .ToListAsync(scope.Stop)
        ).ToLookup(u => (u.BookId, u.GroupId));
    }
}
