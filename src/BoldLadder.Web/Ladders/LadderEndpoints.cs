using BoldLadder.School.Ladders;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Ladders;

/// <summary>
/// The school's ladders: what there is, a new one, and a published version with what each rung unlocks.
/// </summary>
public static class LadderEndpoints
{
    public static void MapLadders(this IEndpointRouteBuilder school)
    {
        school.MapGet("/ladders", (LadderDesk desk) => desk.List().Http()).WithName("listLadders");
        school.MapGet("/teachables", (LadderDesk desk) => TypedResults.Ok(desk.Teachables)).WithName("listTeachables");
        school
            .MapPost("/ladders", (NewLadder request, LadderDesk desk) => desk.Make(request).Http())
            .WithName("makeLadder");
        school
            .MapPost("/ladders/{ladderId:guid}/name", (Guid ladderId, Renaming request, LadderDesk desk) =>
                desk.Rename(ladderId, request).Http()
            )
            .WithName("renameLadder");
        var version = school.MapGroup("/ladders/{ladderId:guid}/versions/{version:int}");
        version
            .MapGet("", (Guid ladderId, int version, LadderDesk desk) => desk.Show(ladderId, version).Http())
            .WithName("getLadder");
        version
            .MapGet("/rungs/{rungId}/words", (Guid ladderId, int version, string rungId, LadderDesk desk) =>
                desk.ShowWords(ladderId, version, rungId).Http()
            )
            .WithName("getRungWords");
        version
            .MapGet("/tricky-words", (Guid ladderId, int version, LadderDesk desk) =>
                desk.ShowTricky(ladderId, version).Http()
            )
            .WithName("getTrickyWords");
    }
}
