using System.Globalization;
using System.Security.Claims;
using BoldLadder.Store;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;

namespace BoldLadder.Web.Session;

/// <param name="Code">Of the second factor, once it was asked for.</param>
public sealed record SignInRequest(string Email, string Password, string? Code = null);

/// <summary>Who is signed in, and where.</summary>
public sealed record SessionView(string Name, IReadOnlyList<SessionSchool> Schools);

/// <param name="IsLookRound">True for one to look round in, which can be deleted.</param>
public sealed record SessionSchool(
    Guid Id,
    string Name,
    Role Role,
    DateOnly Today,
    string Accent,
    string Language,
    string PaperSize,
    bool IsLookRound
);

public sealed record AntiforgeryView(string Token);

/// <summary>Signing in and out. The antiforgery token is fetched anew after each.</summary>
public static class SessionEndpoints
{
    private const int Longest = 256;

    public static void MapSession(this IEndpointRouteBuilder api)
    {
        api.MapGet("/antiforgery", (IAntiforgery antiforgery, HttpContext context) =>
                TypedResults.Ok(new AntiforgeryView(antiforgery.GetAndStoreTokens(context).RequestToken!))
            )
            .AllowAnonymous()
            .WithName("getAntiforgery");
        api.MapGet("/session", Show).AllowAnonymous().WithName("getSession");
        api.MapPost("/session", SignIn).AllowAnonymous().RequireRateLimiting(Limits.SignIn).WithName("signIn");
        api.MapDelete("/session", (ClaimsPrincipal who, Sessions sessions, SignInManager<User> cookie) =>
                SignOut(sessions.End(who), cookie)
            )
            .WithName("signOut");
        api.MapDelete("/sessions", (ClaimsPrincipal who, Sessions sessions, SignInManager<User> cookie) =>
                SignOut(sessions.EndAll(who), cookie)
            )
            .WithName("signOutEverywhere");
    }

    private static async Task<NoContent> SignOut(Task ended, SignInManager<User> cookie)
    {
        await ended;
        await cookie.SignOutAsync();
        return TypedResults.NoContent();
    }

    /// <summary>One answer for a wrong password, an account there is not and one that is locked.</summary>
    private static async Task<Results<Ok<SessionView>, ProblemHttpResult>> SignIn(
        SignInRequest request,
        SignIn door,
        Sessions sessions,
        SignInManager<User> cookie,
        HttpContext context
    )
    {
        if (
            string.IsNullOrWhiteSpace(request.Email)
            || string.IsNullOrEmpty(request.Password)
            || request.Email.Length > Longest
            || request.Password.Length > Longest
        )
        {
            return Problem.Of(StatusCodes.Status400BadRequest, "sign-in-incomplete");
        }
        var (user, wait, needsCode) = await door.Try(
            request.Email,
            request.Password,
            request.Code,
            context.Connection.RemoteIpAddress?.ToString() ?? ""
        );
        if (wait is { } time)
        {
            context.Response.Headers.RetryAfter = Math.Ceiling(time.TotalSeconds)
                .ToString(CultureInfo.InvariantCulture);
            return Problem.Of(StatusCodes.Status429TooManyRequests);
        }
        if (user is null)
        {
            return !needsCode ? Problem.Of(StatusCodes.Status401Unauthorized, "sign-in-failed")
                : string.IsNullOrWhiteSpace(request.Code) ? Problem.Of(StatusCodes.Status401Unauthorized, "code-needed")
                : Problem.Of(StatusCodes.Status401Unauthorized, "wrong-code");
        }
        return TypedResults.Ok(await sessions.Open(user, cookie));
    }

    /// <summary>No content when nobody is signed in: asking is no error.</summary>
    private static async Task<Results<Ok<SessionView>, NoContent>> Show(ClaimsPrincipal user, Sessions sessions) =>
        user.Identity?.IsAuthenticated == true
            ? TypedResults.Ok(await sessions.View(user.Id()))
            : TypedResults.NoContent();
}
