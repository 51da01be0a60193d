using BoldLadder.Core.Lessons.Booklets;
using BoldLadder.Core.Lessons.Cards;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.School.Printing;
using BoldLadder.School.Refusals;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BoldLadder.Web.Printing;

/// <summary>Everything for paper, and files for other programs.</summary>
public static class PrintingEndpoints
{
    private const string Slides = "application/vnd.openxmlformats-officedocument.presentationml.presentation";
    private const string Text = "application/vnd.openxmlformats-officedocument.wordprocessingml.document";

    public static void MapPrinting(this IEndpointRouteBuilder school)
    {
        var group = school.MapGroup("/groups/{groupId:guid}");
        group
            .MapGet(
                "/sheets/{date}",
                (
                    Guid groupId,
                    DateOnly date,
                    SheetDesk desk,
                    string? span = null,
                    string? rung = null,
                    string? words = null
                ) => desk.Show(groupId, date, Wanted(null, null, 0, span, rung, words)).Http()
            )
            .WithName("listSheets");
        group
            .MapGet(
                "/sheets/{date}/{kind}",
                (
                    Guid groupId,
                    DateOnly date,
                    string kind,
                    SheetDesk desk,
                    string level = "same",
                    long seed = 0,
                    string? span = null,
                    string? rung = null,
                    string? words = null
                ) => desk.Make(groupId, date, Wanted(kind, level, seed, span, rung, words)).Http()
            )
            .WithName("getSheet");
        group
            .MapGet(
                "/cards/{date}",
                (
                    Guid groupId,
                    DateOnly date,
                    CardDesk desk,
                    string kind = "graphemes",
                    string source = "taught",
                    string size = "hand",
                    bool backs = true,
                    int copies = 1,
                    string? words = null
                ) =>
                    desk.Show(
                            groupId,
                            date,
                            new CardsWanted(
                                Kebab.Parse<CardKind>(kind),
                                Kebab.Parse<CardSource>(source),
                                Kebab.Parse<CardSize>(size),
                                backs,
                                copies,
                                words
                            )
                        )
                        .Http()
            )
            .WithName("getCards");
        group
            .MapGet(
                "/booklets/{date}",
                (Guid groupId, DateOnly date, BookletDesk desk, string kind = "sounds", long seed = 0) =>
                    desk.Make(groupId, date, Kebab.Parse<BookletKind>(kind), seed).Http()
            )
            .WithName("getBooklet");
        group
            .MapGet("/home/{date}", (Guid groupId, DateOnly date, HomeDesk desk) => desk.Show(groupId, date).Http())
            .WithName("getHomeSheet");
        group
            .MapGet("/wall/{date}", (Guid groupId, DateOnly date, WallDesk desk) => desk.Show(groupId, date).Http())
            .WithName("getWall");
        group
            .MapGet("/pack/{date}", (Guid groupId, DateOnly date, PackDesk desk) => desk.OfLesson(groupId, date).Http())
            .WithName("getLessonPack");
        school
            .MapGet("/packs/{date}", (DateOnly date, PackDesk desk, string size = "hand", Guid? group = null) =>
                desk.Show(date, Kebab.Parse<CardSize>(size), group).Http()
            )
            .WithName("getPack");
        school.MapGet("/box", async (BoxDesk desk) => TypedResults.Ok(await desk.List())).WithName("listBox");
        school.MapPost("/box", (BoxChange change, BoxDesk desk) => desk.Change(change).Http()).WithName("changeBox");
        MapFiles(group.MapGroup("/files/{date}"));
    }

    private static void MapFiles(RouteGroupBuilder files)
    {
        files
            .MapGet("/slides.pptx", (Guid groupId, DateOnly date, FileDesk desk) =>
                File(desk.Slides(groupId, date), Slides)
            )
            .WithName("getSlides");
        files
            .MapGet("/plan.docx", (Guid groupId, DateOnly date, FileDesk desk, bool say = false) =>
                File(desk.Plan(groupId, date, say), Text)
            )
            .WithName("getPlanFile");
        files
            .MapGet(
                "/sheet.docx",
                (
                    Guid groupId,
                    DateOnly date,
                    FileDesk desk,
                    string kind = "read-and-mark",
                    string level = "same",
                    long seed = 0,
                    string? span = null,
                    string? rung = null,
                    string? words = null
                ) => File(desk.Sheet(groupId, date, Wanted(kind, level, seed, span, rung, words)), Text)
            )
            .WithName("getSheetFile");
        files
            .MapGet("/home.docx", (Guid groupId, DateOnly date, FileDesk desk, bool large = false) =>
                File(desk.Home(groupId, date, large), Text)
            )
            .WithName("getHomeFile");
        files
            .MapGet("/words.csv", (Guid groupId, DateOnly date, FileDesk desk) =>
                File(desk.Words(groupId, date), "text/csv")
            )
            .WithName("getWordsFile");
    }

    private static SheetWanted Wanted(
        string? kind,
        string? level,
        long seed,
        string? span,
        string? rung,
        string? words
    ) =>
        new(
            Kind: Kebab.Parse<SheetKind>(kind),
            Level: Kebab.Parse<SheetLevel>(level),
            Seed: seed,
            Span: Kebab.Parse<PaperSpan>(span) ?? PaperSpan.Day,
            Rung: rung,
            Words: words
        );

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> File(
        Task<Answer<PaperFile>> asked,
        string type
    )
    {
        var written = await asked;
        return written.Refusal is { } refusal
            ? Problem.Of(refusal)
            : TypedResults.File(written.Value.Content, type, written.Value.Name);
    }
}
