using BoldLadder.School.Texts;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Texts;

/// <summary>Texts: checked, reworded, written.</summary>
public static class TextEndpoints
{
    /// <param name="IsAway">True to put it away, false to bring it back.</param>
    public sealed record PutAway(bool IsAway);

    /// <summary>A text of 200,000 words in JSON.</summary>
    private const int MegabytesOfText = 5;

    public static void MapTexts(this IEndpointRouteBuilder school)
    {
        school
            .MapPost("/texts/check", (TextAsked asked, TextDesk desk) => desk.Check(asked).Http())
            .TakesFile(MegabytesOfText)
            .WithMetadata(ReadersToo.It)
            .WithName("checkText");
        school
            .MapPost("/texts/file", (TextFileAsked asked, TextDesk desk) => desk.Open(asked).Http())
            .TakesFile(TextDesk.Megabytes)
            .WithMetadata(ReadersToo.It)
            .WithName("openTextFile");
        school
            .MapPost("/texts/instead", (InsteadAsked asked, RewordDesk desk) => desk.Instead(asked).Http())
            .WithMetadata(ReadersToo.It)
            .WithName("wordsInstead");
        school
            .MapPost("/texts/words", (WordsAsked asked, RewordDesk desk) => desk.Words(asked).Http())
            .WithMetadata(ReadersToo.It)
            .WithName("wordsToWrite");
        school
            .MapPost("/texts/story", (StoryAsked asked, RewordDesk desk) => desk.Story(asked).Http())
            .WithMetadata(ReadersToo.It)
            .WithName("bonesOfStory");
        MapOwn(school.MapGroup("/own-texts"));
        MapBooks(school.MapGroup("/books"));
    }

    private static void MapOwn(IEndpointRouteBuilder own)
    {
        own.MapGet("", (OwnTextDesk desk) => desk.List().Http()).WithName("listOwnTexts");
        own.MapPost("", (OwnTextRequest request, OwnTextDesk desk) => desk.Make(request).Http())
            .WithName("makeOwnText");
        own.MapGet("/{textId:guid}", (Guid textId, OwnTextDesk desk) => desk.Show(textId).Http())
            .WithName("getOwnText");
        own.MapPut(
                "/{textId:guid}",
                (
                    Guid textId,
                    OwnTextRequest request,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    OwnTextDesk desk
                ) => desk.Change(textId, request, ifMatch).Http()
            )
            .WithName("changeOwnText");
        own.MapGet("/{textId:guid}/reading", (Guid textId, Guid groupId, ReadingDesk desk, DateOnly? date = null) =>
                desk.Show(textId, groupId, date).Http()
            )
            .WithName("getReading");
        own.MapPost(
                "/{textId:guid}/away",
                (Guid textId, PutAway away, [FromHeader(Name = "If-Match")] string? ifMatch, OwnTextDesk desk) =>
                    desk.Retire(textId, away.IsAway, ifMatch).Http()
            )
            .WithName("putTextAway");
    }

    private static void MapBooks(IEndpointRouteBuilder books)
    {
        books
            .MapGet(
                "",
                (
                    ShelfDesk desk,
                    string? search = null,
                    Guid? group = null,
                    string? fit = null,
                    DateOnly? date = null,
                    int bar = 95,
                    int skip = 0
                ) => desk.Show(new ShelfSearch(search, group, Kebab.Parse<BookFit>(fit), date, bar, skip)).Http()
            )
            .WithName("getShelf");
        books.MapPost("", (BookRequest request, BookDesk desk) => desk.Add(request).Http()).WithName("addBook");
        books
            .MapPost("/file/look", (BookFile file, BookDesk desk) => desk.Look(file).Http())
            .TakesFile(BookDesk.Megabytes)
            .WithName("lookAtBooks");
        books
            .MapPost("/file", (BookFile file, BookDesk desk) => desk.Take(file).Http())
            .TakesFile(BookDesk.Megabytes)
            .WithName("takeBooks");
        books
            .MapGet("/{bookId:guid}", (Guid bookId, BookDesk desk, DateOnly? date = null, int bar = 95) =>
                desk.Show(bookId, date, bar).Http()
            )
            .WithName("getBook");
        books
            .MapPut(
                "/{bookId:guid}",
                (Guid bookId, BookRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, BookDesk desk) =>
                    desk.Change(bookId, request, ifMatch).Http()
            )
            .WithName("changeBook");
        books
            .MapDelete("/{bookId:guid}", (Guid bookId, BookDesk desk) => desk.Remove(bookId).Http())
            .WithName("removeBook");
        books
            .MapPost("/{bookId:guid}/uses", (Guid bookId, BookUseRequest request, BookDesk desk) =>
                desk.Use(bookId, request).Http()
            )
            .WithName("useBook");
        books
            .MapDelete("/{bookId:guid}/uses/{useId:guid}", (Guid bookId, Guid useId, BookDesk desk) =>
                desk.End(bookId, useId).Http()
            )
            .WithName("endBookUse");
    }
}
