using BoldLadder.School.Words;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BoldLadder.Web.Words;

/// <summary>The school's own pictures: brought by leads, shown by whoever has their address.</summary>
public static class PictureEndpoints
{
    public static void MapOwnPictures(this IEndpointRouteBuilder school)
    {
        school
            .MapGet("/pictures", async (PictureDesk desk) => TypedResults.Ok(await desk.List()))
            .WithName("listPictures");
        school
            .MapPost("/pictures", (NewPicture picture, PictureDesk desk) => desk.Keep(picture).Http())
            .TakesFile(PictureDesk.Megabytes)
            .WithName("keepPicture");
        school
            .MapDelete("/pictures/{pictureId:guid}", (Guid pictureId, PictureDesk desk) =>
                desk.Delete(pictureId).Http()
            )
            .WithName("deletePicture");
    }

    /// <summary>Pages that show a lesson without a session (cover, phone) show its pictures too.</summary>
    public static void MapPictureFiles(this IEndpointRouteBuilder api) =>
        api.MapGet(
                "/pictures/{ownerId:guid}/{pictureId:guid}",
                async Task<Results<FileContentHttpResult, ProblemHttpResult>> (
                    Guid ownerId,
                    Guid pictureId,
                    PictureDesk desk,
                    CancellationToken stop
                ) =>
                {
                    var found = await desk.Open(ownerId, pictureId, stop);
                    return found.Refusal is { } refusal
                        ? Problem.Of(refusal)
                        : TypedResults.File(found.Value.Content, found.Value.IsSvg ? "image/svg+xml" : "image/png");
                }
            )
            .AllowAnonymous()
            .WithName("getPicture");
}
