using BoldLadder.School.Style;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Style;

/// <summary>Our school's way: house style, and the notes on how it teaches each correspondence.</summary>
public static class StyleEndpoints
{
    public static void MapStyle(this IEndpointRouteBuilder school)
    {
        school.MapGet("/style", (StyleDesk desk) => TypedResults.Ok(desk.View())).WithName("getStyle");
        school
            .MapGet("/style/sample", (string accent, string? switches, StyleDesk desk) =>
                desk.TrySample(accent, switches).Http()
            )
            .WithName("getStyleSample");
        school
            .MapPost(
                "/style",
                (StyleRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, StyleDesk desk) =>
                    desk.Save(request, ifMatch).Http()
            )
            .WithName("saveStyle");
        school
            .MapGet("/notes", async (StyleDesk desk) =>
                TypedResults.Ok(new NotesView(await desk.Notes(), StyleDesk.NoStamp))
            )
            .WithName("getNotes");
        school
            .MapPost("/notes", (Note note, [FromHeader(Name = "If-Match")] string? ifMatch, StyleDesk desk) =>
                desk.SaveNote(note, ifMatch).Http()
            )
            .WithName("saveNote");
        school
            .MapGet("/way/file", async (WayDesk desk) =>
                TypedResults.File(await desk.Write(), "application/json", "way.json")
            )
            .WithName("getWayFile");
        school
            .MapPost("/way/file/look", (WayFile file, WayDesk desk) => desk.Look(file).Http())
            .TakesFile(1)
            .WithName("lookAtWayFile");
        school
            .MapPost("/way/file", (WayFile file, [FromHeader(Name = "If-Match")] string? ifMatch, WayDesk desk) =>
                desk.ReadIn(file, ifMatch).Http()
            )
            .TakesFile(1)
            .WithName("readWayFile");
    }
}
