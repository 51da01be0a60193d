using System.Security.Claims;
using BoldLadder.School.People;
using BoldLadder.School.Refusals;
using BoldLadder.Store;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;

namespace BoldLadder.Web.People;

/// <summary>One's own account: password, second factor, where one is signed in.</summary>
public static class AccountEndpoints
{
    public static void MapAccount(this IEndpointRouteBuilder api)
    {
        var account = api.MapGroup("/account");
        account
            .MapGet("", (ClaimsPrincipal who, AccountDesk desk) => desk.Show(who.Id(), Sessions.IdOf(who)))
            .WithName("getAccount");
        account
            .MapDelete("/sessions/{sessionId:guid}", (Guid sessionId, ClaimsPrincipal who, AccountDesk desk) =>
                desk.EndSession(who.Id(), sessionId).Http()
            )
            .WithName("endSession");
        account
            .MapPost("/lock", (ClaimsPrincipal who, LockDesk desk) => desk.Lock(who.Id(), Sessions.IdOf(who)).Http())
            .WithName("lockSession");
        var guarded = account.MapGroup("").RequireRateLimiting(Limits.SignIn);
        guarded
            .MapPost(
                "/password",
                async (PasswordChange change, ClaimsPrincipal who, AccountDesk desk, SignInManager<User> cookie) =>
                    await GoOn(await desk.ChangePassword(who.Id(), change), who, desk, cookie)
            )
            .WithName("changePassword");
        guarded
            .MapPost("/unlock", (Unlocking wanted, ClaimsPrincipal who, LockDesk desk) =>
                desk.Unlock(who.Id(), Sessions.IdOf(who), wanted).Http()
            )
            .WithName("unlockSession");
        guarded
            .MapPost("/pin", (PinChange wanted, ClaimsPrincipal who, LockDesk desk) =>
                desk.SetPin(who.Id(), wanted).Http()
            )
            .WithName("setPin");
        guarded
            .MapPost("/confirmation", (PasswordCheck check, ClaimsPrincipal who, AccountDesk desk) =>
                desk.Confirm(who.Id(), Sessions.IdOf(who), check).Http()
            )
            .WithName("confirmAccount");
        guarded
            .MapPost(
                "/second-factor/key",
                async Task<Results<Ok<FactorKey>, ProblemHttpResult>> (
                    ClaimsPrincipal who,
                    AccountDesk desk,
                    SignInManager<User> cookie
                ) =>
                {
                    var begun = await desk.BeginFactor(who.Id());
                    if (begun.Refusal is { } refusal)
                        return Problem.Of(refusal);
                    await Sessions.GoOn(begun.Value.User, who, cookie);
                    return TypedResults.Ok(begun.Value.Key);
                }
            )
            .WithName("beginSecondFactor");
        guarded
            .MapPost(
                "/second-factor",
                async Task<Results<Ok<RecoveryCodes>, ProblemHttpResult>> (
                    FactorCode code,
                    ClaimsPrincipal who,
                    AccountDesk desk,
                    SignInManager<User> cookie
                ) =>
                {
                    var on = await desk.TurnFactorOn(who.Id(), code);
                    if (on.Refusal is { } refusal)
                        return Problem.Of(refusal);
                    await desk.EndOthers(who.Id(), Sessions.IdOf(who));
                    await Sessions.GoOn(on.Value.User, who, cookie);
                    return TypedResults.Ok(on.Value.Codes);
                }
            )
            .WithName("turnSecondFactorOn");
        guarded
            .MapPost("/second-factor/codes", (PasswordCheck check, ClaimsPrincipal who, AccountDesk desk) =>
                desk.NewCodes(who.Id(), check).Http()
            )
            .WithName("makeRecoveryCodes");
        guarded
            .MapPost(
                "/second-factor/off",
                async (PasswordCheck check, ClaimsPrincipal who, AccountDesk desk, SignInManager<User> cookie) =>
                    await GoOn(await desk.TurnFactorOff(who.Id(), check), who, desk, cookie)
            )
            .WithName("turnSecondFactorOff");
    }

    /// <summary>Every other session of the person ends, this one goes on.</summary>
    private static async Task<Results<NoContent, ProblemHttpResult>> GoOn(
        Answer<User> changed,
        ClaimsPrincipal who,
        AccountDesk desk,
        SignInManager<User> cookie
    )
    {
        if (changed.Refusal is { } refusal)
            return Problem.Of(refusal);
        await desk.EndOthers(who.Id(), Sessions.IdOf(who));
        await Sessions.GoOn(changed.Value, who, cookie);
        return TypedResults.NoContent();
    }
}
