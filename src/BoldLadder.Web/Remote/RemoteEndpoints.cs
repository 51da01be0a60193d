using BoldLadder.School.Remote;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Remote;

/// <summary>A phone as remote: opened by the board's window, and the link between the two.</summary>
public static class RemoteEndpoints
{
    public static void MapRemotes(this IEndpointRouteBuilder school) =>
        school
            .MapPost("/lessons/{lessonId:guid}/remote", (Guid lessonId, RemoteDesk desk) => desk.Open(lessonId).Http())
            .WithMetadata(ReadersToo.It)
            .WithName("openRemote");

    /// <summary>The link is open to whoever has a token or a code.</summary>
    public static void MapRemoteLink(this IEndpointRouteBuilder app) =>
        app.MapHub<RemoteHub>("/link/remote").AllowAnonymous().RequireRateLimiting(Limits.SignIn);
}
