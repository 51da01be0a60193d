using System.Security.Claims;
using BoldLadder.School.People;
using BoldLadder.School.Refusals;
using BoldLadder.Store;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;

namespace BoldLadder.Web.People;

/// <summary>
/// Ways in for who has no account yet, or no password any more: each by a one-time key, in the body and never in an
/// address, and as few tries as for signing in.
/// </summary>
public static class JoiningEndpoints
{
    public static void MapJoining(this IEndpointRouteBuilder api)
    {
        var open = api.MapGroup("").AllowAnonymous().RequireRateLimiting(Limits.SignIn);
        open.MapPost(
                "/first-run",
                async (
                    NewSchool wanted,
                    FirstRunDesk desk,
                    Sessions sessions,
                    SignInManager<User> cookie,
                    CancellationToken stop
                ) => await Open(await desk.Make(wanted, stop), sessions, cookie)
            )
            .WithName("makeFirstSchool");
        open.MapPost("/joining/look", (JoiningKey key, JoiningDesk desk, CancellationToken stop) =>
                desk.Look(key, stop).Http()
            )
            .WithName("lookAtInvitation");
        open.MapPost(
                "/joining",
                async (
                    Joining request,
                    JoiningDesk desk,
                    Sessions sessions,
                    SignInManager<User> cookie,
                    CancellationToken stop
                ) => await Open(await desk.Join(request, stop), sessions, cookie)
            )
            .WithName("join");
        open.MapPost("/resets", (NewPassword request, ResetDesk desk, CancellationToken stop) =>
                desk.Choose(request, stop).Http()
            )
            .WithName("resetPassword");
        api.MapPost("/joining/mine", (JoiningKey key, ClaimsPrincipal who, JoiningDesk desk, CancellationToken stop) =>
                desk.Join(key, who.Id(), stop).Http()
            )
            .RequireRateLimiting(Limits.SignIn)
            .WithName("joinAsMyself");
    }

    private static async Task<Results<Ok<SessionView>, ProblemHttpResult>> Open(
        Answer<User> made,
        Sessions sessions,
        SignInManager<User> cookie
    ) => made.Refusal is { } refusal ? Problem.Of(refusal) : TypedResults.Ok(await sessions.Open(made.Value, cookie));
}
