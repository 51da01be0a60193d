using BoldLadder.School.Ladders;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Ladders;

/// <summary>A ladder's draft: begun, changed, tried, undone, published. Leads only, but all may look.</summary>
public static class DraftEndpoints
{
    public static void MapDrafts(this IEndpointRouteBuilder school)
    {
        var ladder = school.MapGroup("/ladders/{ladderId:guid}");
        ladder.MapPut("/draft", (Guid ladderId, DraftDesk desk) => desk.Begin(ladderId).Http()).WithName("beginDraft");
        ladder.MapGet("/draft", (Guid ladderId, DraftDesk desk) => desk.Show(ladderId).Http()).WithName("getDraft");
        ladder
            .MapGet("/draft/rungs/{rungId}/words", (Guid ladderId, string rungId, DraftDesk desk) =>
                desk.ShowWords(ladderId, rungId).Http()
            )
            .WithName("getDraftRungWords");
        ladder
            .MapGet("/draft/rungs/{rungId}/places", (Guid ladderId, string rungId, DraftDesk desk) =>
                desk.ShowPlaces(ladderId, rungId).Http()
            )
            .RequireRateLimiting(Limits.Heavy)
            .WithName("getPlaces");
        ladder
            .MapGet("/draft/tricky-words", (Guid ladderId, DraftDesk desk) => desk.ShowTricky(ladderId).Http())
            .WithName("getDraftTrickyWords");
        ladder
            .MapGet("/draft/suggestions", (Guid ladderId, DraftDesk desk) => desk.Suggest(ladderId).Http())
            .RequireRateLimiting(Limits.Heavy)
            .WithName("getSuggestions");
        ladder
            .MapPost(
                "/draft/changes",
                (Guid ladderId, LadderEdit edit, [FromHeader(Name = "If-Match")] string? ifMatch, DraftDesk desk) =>
                    desk.Change(ladderId, edit, ifMatch).Http()
            )
            .WithName("changeDraft");
        ladder
            .MapPost("/draft/trials", (Guid ladderId, LadderTrial trial, DraftDesk desk) =>
                desk.Try(ladderId, trial).Http()
            )
            .WithName("tryDraft");
        ladder
            .MapPost("/draft/undo", (Guid ladderId, DraftDesk desk) => desk.TakeBack(ladderId, undo: true).Http())
            .WithName("undoDraft");
        ladder
            .MapPost("/draft/redo", (Guid ladderId, DraftDesk desk) => desk.TakeBack(ladderId, undo: false).Http())
            .WithName("redoDraft");
        ladder
            .MapPost("/draft/restoration", (Guid ladderId, RestoreRequest request, DraftDesk desk) =>
                desk.Restore(ladderId, request).Http()
            )
            .WithName("restoreDraft");
        ladder
            .MapPost(
                "/draft/publication",
                (
                    Guid ladderId,
                    PublishRequest request,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    DraftDesk desk
                ) => desk.Publish(ladderId, request, ifMatch).Http()
            )
            .AsksAgain()
            .WithName("publishDraft");
        ladder
            .MapGet("/history", (Guid ladderId, DraftDesk desk) => desk.History(ladderId).Http())
            .WithName("getHistory");
        ladder
            .MapGet("/versions/{version:int}/difference", (Guid ladderId, int version, int? to, DraftDesk desk) =>
                desk.Difference(ladderId, version, to).Http()
            )
            .WithName("getDifference");
    }
}
