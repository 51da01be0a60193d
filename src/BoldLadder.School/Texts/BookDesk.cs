using BoldLadder.Core;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Formats.Texts;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Texts;

/// <summary>
/// The school's own reading books: what they are called, how many there are, their words where someone typed them in,
/// and which group has them. No text of any publisher is shipped, and none leaves the school. Source: docs/handbook.md,
/// section 7 (Text check).
/// </summary>
public sealed class BookDesk(SchoolScope scope, ShelfDesk shelf)
{
    public const int Megabytes = 10;

    private const int Most = 5_000;
    private const int MostTold = 60;

    public async Task<Answer<BookView>> Show(Guid bookId, DateOnly? date = null, int bar = 95)
    {
        var book = await scope.Store.Books.AsNoTracking().SingleOrDefaultAsync(b => b.Id == bookId, scope.Stop);
        return book is null ? Refused.UnknownBook : await View(book, date ?? scope.Today, bar);
    }

    public async Task<Answer<BookView>> Add(BookRequest request)
    {
        if (Refuse(request) is { } refused)
            return refused;
        await scope.LockSettings();
        if (await scope.Store.Books.CountAsync(scope.Stop) >= Most)
            return Refusal.Conflict("too-many-books", ("most", Most));
        if (await scope.Store.Books.AnyAsync(b => b.Title == request.Title.Trim(), scope.Stop))
            return Refusal.Conflict("book-there", ("title", request.Title.Trim()));
        var book = New();
        scope.Store.Books.Add(book);
        Fill(book, request);
        scope.Audit("book-added", book.Id);
        await scope.Save();
        return await View(book, scope.Today, UsualBar);
    }

    public async Task<Answer<BookView>> Change(Guid bookId, BookRequest request, string? ifMatch)
    {
        if (Refuse(request) is { } refused)
            return refused;
        await scope.LockSettings();
        if (await scope.Store.Books.SingleOrDefaultAsync(b => b.Id == bookId, scope.Stop) is not { } book)
            return Refused.UnknownBook;
        if (Stamps.Stale(Content(book), ifMatch) is { } stale)
            return stale;
        if (await scope.Store.Books.AnyAsync(b => b.Id != bookId && b.Title == request.Title.Trim(), scope.Stop))
            return Refusal.Conflict("book-there", ("title", request.Title.Trim()));
        Fill(book, request);
        scope.Audit("book-changed", book.Id);
        await scope.Save();
        return await View(book, scope.Today, UsualBar);
    }

    public async Task<Answer<Done>> Remove(Guid bookId)
    {
        if (scope.ReaderOnly() is { } reader)
            return reader;
        await scope.LockSettings();
        if (await scope.Store.Books.SingleOrDefaultAsync(b => b.Id == bookId, scope.Stop) is not { } book)
            return Refused.UnknownBook;
        scope.Store.BookUses.RemoveRange(
            await scope.Store.BookUses.Where(u => u.BookId == bookId).ToListAsync(scope.Stop)
        );
        scope.Store.Books.Remove(book);
        scope.Audit("book-removed", bookId);
        await scope.Save();
        return Done.It;
    }

    /// <summary>A group reads a book on a day, or takes copies home.</summary>
    public async Task<Answer<BookView>> Use(Guid bookId, BookUseRequest request)
    {
        if (scope.ReaderOnly() is { } reader)
            return reader;
        if (Refused.Day(request.Day) is { } noDay)
            return noDay;
        var group = await scope.Group(request.GroupId);
        if (group.Refusal is { } unknown)
            return unknown;
        await scope.LockSettings();
        if (await scope.Store.Books.SingleOrDefaultAsync(b => b.Id == bookId, scope.Stop) is not { } book)
            return Refused.UnknownBook;
        var on = request.Kind == BookUseKind.Home ? scope.Today : request.Day ?? scope.Today;
        if (request.Kind == BookUseKind.Home)
        {
            var left = await Free(book);
            if (request.Copies < 1 || request.Copies > left)
                return Refusal.Conflict("no-copies", ("left", left));
        }
        if (
            request.Kind == BookUseKind.Read
            && await scope.Store.BookUses.AnyAsync(
                u => u.BookId == bookId && u.GroupId == request.GroupId && u.Kind == BookUseKind.Read && u.Day == on,
                scope.Stop
            )
        )
            return await View(book, scope.Today, UsualBar);
        scope.Store.BookUses.Add(
            new BookUse
            {
                SchoolId = scope.School.SchoolId,
                Id = Guid.CreateVersion7(),
                BookId = bookId,
                GroupId = request.GroupId,
                Kind = request.Kind,
                Day = on,
                Copies = request.Kind == BookUseKind.Home ? request.Copies : 0,
                BackOn = null,
            }
        );
        await scope.Save();
        return await View(book, scope.Today, UsualBar);
    }

    /// <summary>What was taken home is back; a reading that was noted in error is taken away.</summary>
    public async Task<Answer<BookView>> End(Guid bookId, Guid useId)
    {
        if (scope.ReaderOnly() is { } reader)
            return reader;
        await scope.LockSettings();
        var use = await scope.Store.BookUses.SingleOrDefaultAsync(u => u.Id == useId && u.BookId == bookId, scope.Stop);
        if (use is null)
            return Refused.UnknownBook;
        if (use.Kind == BookUseKind.Home)
            use.BackOn ??= scope.Today;
        else
            scope.Store.BookUses.Remove(use);
        await scope.Save();
        return await Show(bookId);
    }

    /// <summary>What a table of books would bring.</summary>
    public async Task<Answer<BookFileView>> Look(BookFile file)
    {
        var read = await Read(file);
        return read.Refusal is { } refused ? refused : read.Value;
    }

    /// <summary>Takes the new books of a table in; those that are there stay as they are.</summary>
    public async Task<Answer<BookFileView>> Take(BookFile file)
    {
        if (scope.ReaderOnly() is { } reader)
            return reader;
        await scope.LockSettings();
        var read = await Read(file);
        if (read.Refusal is { } refused)
            return refused;
        if (await scope.Store.Books.CountAsync(scope.Stop) + read.Value.New.Count > Most)
            return Refusal.Conflict("too-many-books", ("most", Most));
        foreach (var line in read.Value.New)
        {
            var book = New();
            Fill(book, new BookRequest(line.Title, line.Label, line.Pages, line.Copies, line.Words, []));
            scope.Store.Books.Add(book);
        }
        scope.Audit("books-taken-in", scope.School.SchoolId);
        await scope.Save();
        return read;
    }

    private async Task<Answer<BookFileView>> Read(BookFile file)
    {
        var read = TextsRead.From(() => BookTable.Read(file.Content));
        if (read.Refusal is { } refused)
            return refused;
        var table = read.Value;
        var there = (await scope.Store.Books.Select(b => b.Title).ToListAsync(scope.Stop)).ToHashSet(
            StringComparer.OrdinalIgnoreCase
        );
        var fresh = table
            .Books.Where(b => !there.Contains(b.Title))
            .DistinctBy(b => b.Title.ToUpperInvariant())
            .ToList();
        foreach (var book in fresh)
        {
            if (TextsRead.Words(book.Words, scope.Words.Finder).Refusal is { } unread)
                return unread;
        }
        return new BookFileView(
            fresh,
            [.. table.Books.Select(b => b.Title).Where(there.Contains)],
            table.LeftOut,
            table.OtherColumns
        );
    }

    private const int UsualBar = 95;

    private async Task<int> Free(Book book) =>
        book.Copies
        - await scope
            .Store.BookUses.Where(u => u.BookId == book.Id && u.Kind == BookUseKind.Home && u.BackOn == null)
            .SumAsync(u => u.Copies, scope.Stop);

    private Book New() =>
        new()
        {
            SchoolId = scope.School.SchoolId,
            Id = Guid.CreateVersion7(),
            Title = "",
            Label = "",
            Pages = 0,
            Copies = 1,
            Body = "",
            Told = [],
            ChangedAt = scope.UtcNow,
        };

    private void Fill(Book book, BookRequest request)
    {
        (book.Title, book.Label, book.Body) = (request.Title.Trim(), request.Label.Trim(), request.Body.Trim());
        (book.Pages, book.Copies, book.ChangedAt) = (request.Pages, request.Copies, scope.UtcNow);
        book.Told = [.. request.Told.Select(WordFinder.Plain).Distinct()];
    }

    private Refusal? Refuse(BookRequest request)
    {
        if (scope.ReaderOnly() is { } reader)
            return reader;
        if (!PlainName.Is(request.Title.Trim(), BookTable.LongestTitle))
            return Refusal.Unusable("bad-book-title", ("most", BookTable.LongestTitle));
        if (request.Label.Trim() is { Length: > 0 } label && !PlainName.Is(label, BookTable.LongestLabel))
            return Refusal.Unusable("bad-book-label", ("most", BookTable.LongestLabel));
        if (request.Pages is < 0 or > BookTable.MostPages || request.Copies is < 0 or > BookTable.MostCopies)
            return Refusal.Unusable("bad-book-count", ("pages", BookTable.MostPages), ("copies", BookTable.MostCopies));
        if (request.Body.Length > BookTable.LongestWords)
            return Refusal.Unusable("bad-text-body", ("most", BookTable.LongestWords));
        if (request.Told.Count > MostTold || request.Told.Any(w => w.Length is 0 or > 40))
            return Refusal.Unusable("bad-text-told", ("most", MostTold));
        if (!Scripts.IsLatin(request.Body))
            return Refusal.Unusable("text-script");
        return TextsRead.Words(request.Body, scope.Words.Finder).Refusal;
    }

    private static object Content(Book book) =>
        new
        {
            book.Title,
            book.Label,
            book.Pages,
            book.Copies,
            book.Body,
            book.Told,
        };

    private async Task<Answer<BookView>> View(Book book, DateOnly date, int bar)
    {
        var groups = await shelf.Of(book, date, bar);
        if (groups.Refusal is { } refused)
            return refused;
        var names = await scope.Store.Groups.ToDictionaryAsync(g => g.Id, g => g.Name, scope.Stop);
        var uses = await scope
            .Store.BookUses.AsNoTracking()
            .Where(u => u.BookId == book.Id)
            .OrderByDescending(u => u.Day)
            .ThenByDescending(u => u.Id)
            .ToListAsync(scope.Stop);
        return new BookView(
            Id: book.Id,
            Title: book.Title,
            Label: book.Label,
            Pages: book.Pages,
            Copies: book.Copies,
            Body: book.Body,
            Told: book.Told,
            Groups: groups.Value,
            Uses: uses.ConvertAll(u => new BookUseView(
                Id: u.Id,
                GroupId: u.GroupId,
                GroupName: names[u.GroupId],
                Kind: u.Kind,
                Day: u.Day,
                Copies: u.Copies,
                BackOn: u.BackOn
            )),
            Stamp: Stamps.Of(Content(book))
        );
    }
}
