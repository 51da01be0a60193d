using BoldLadder.School.Ladders;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Ladders;

/// <summary>Ladders in and out: pasted, as a table, as JSON.</summary>
public static class LadderFileEndpoints
{
    public static void MapLadderFiles(this IEndpointRouteBuilder school)
    {
        school.MapGet("/orders", (StartDesk desk) => desk.List().Http()).WithName("listStarts");
        school
            .MapPost("/orders/look", (PastedOrder order, LadderFileDesk desk) => desk.Look(order).Http())
            .WithName("lookAtOrder");
        school
            .MapPost("/orders", (OrderedLadder wanted, LadderFileDesk desk) => desk.Make(wanted).Http())
            .WithName("makeOrderedLadder");
        var ladder = school.MapGroup("/ladders/{ladderId:guid}");
        ladder
            .MapGet("/versions/{version:int}/file", (Guid ladderId, int version, string? kind, LadderFileDesk desk) =>
                File(desk, ladderId, version, kind)
            )
            .WithName("getLadderFile");
        ladder
            .MapGet("/draft/file", (Guid ladderId, string? kind, LadderFileDesk desk) =>
                File(desk, ladderId, null, kind)
            )
            .WithName("getDraftFile");
        ladder
            .MapPost("/draft/file/look", (Guid ladderId, LadderFile file, LadderFileDesk desk) =>
                desk.LookBack(ladderId, file).Http()
            )
            .TakesFile(1)
            .WithName("lookAtLadderFile");
        ladder
            .MapPost(
                "/draft/file",
                (
                    Guid ladderId,
                    LadderFile file,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    LadderFileDesk desk
                ) => desk.ReadBack(ladderId, file, ifMatch).Http()
            )
            .TakesFile(1)
            .WithName("readLadderFile");
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> File(
        LadderFileDesk desk,
        Guid ladderId,
        int? version,
        string? kind
    )
    {
        var written = await desk.Write(ladderId, version, kind ?? "csv");
        return written.Refusal is { } refusal
            ? Problem.Of(refusal)
            : TypedResults.File(
                written.Value.Content,
                kind == "json" ? "application/json" : "text/csv",
                written.Value.Name
            );
    }
}
