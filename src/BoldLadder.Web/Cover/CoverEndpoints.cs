using BoldLadder.School.Cover;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Cover;

/// <summary>Cover: given and ended by who teaches the group, opened by whoever has the link.</summary>
public static class CoverEndpoints
{
    public static void MapCoverPasses(this IEndpointRouteBuilder school)
    {
        school
            .MapPost("/lessons/{lessonId:guid}/cover", (Guid lessonId, CoverDesk desk) => desk.Give(lessonId).Http())
            .WithName("giveCover");
        school
            .MapDelete("/lessons/{lessonId:guid}/cover", (Guid lessonId, CoverDesk desk) => desk.End(lessonId).Http())
            .WithName("endCover");
    }

    public static void MapCover(this IEndpointRouteBuilder api) =>
        api.MapPost("/cover", (CoverRequest request, CoverDesk desk, CancellationToken stop) =>
                desk.Open(request, stop).Http()
            )
            .AllowAnonymous()
            .RequireRateLimiting(Limits.SignIn)
            .WithName("openCover");
}
