using System.Security.Claims;
using BoldLadder.Store;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Session;

public sealed record SignInRequest(string Email, string Password);

/// <summary>Who is signed in, and where.</summary>
public sealed record SessionView(string Name, IReadOnlyList<SessionSchool> Schools);

public sealed record SessionSchool(Guid Id, string Name, Role Role, DateOnly Today, string Accent, string Language, string PaperSize);

public sealed record AntiforgeryView(string Token);

/// <summary>Signing in and out. The antiforgery token is fetched anew after each.</summary>
public static class SessionEndpoints
{
    private const int MostRaces = 5;

    public static void MapSession(this IEndpointRouteBuilder api)
    {
        api.MapGet("/antiforgery", (IAntiforgery antiforgery, HttpContext context) =>
            TypedResults.Ok(new AntiforgeryView(antiforgery.GetAndStoreTokens(context).RequestToken!))).AllowAnonymous().WithName("getAntiforgery");
        api.MapGet("/session", Show).AllowAnonymous().WithName("getSession");
        api.MapPost("/session", SignIn).AllowAnonymous().RequireRateLimiting(Security.SignInLimit).WithName("signIn");
        api.MapDelete("/session", async (SignInManager<User> signIn) =>
        {
            await signIn.SignOutAsync();
            return TypedResults.NoContent();
        }).WithName("signOut");
    }

    private static async Task<Results<Ok<SessionView>, ProblemHttpResult>> SignIn(SignInRequest request, SignInManager<User> signIn, BoldContext store, Clock clock)
    {
        if (string.IsNullOrWhiteSpace(request.Email) || string.IsNullOrEmpty(request.Password) || request.Email.Length > 256 || request.Password.Length > 256)
        {
            return Problem.Of(StatusCodes.Status400BadRequest, "sign-in-incomplete", "Type your email address and your password.");
        }
        var user = await signIn.UserManager.FindByEmailAsync(request.Email);
        var result = user is null ? SignInResult.Failed : await signIn.PasswordSignInAsync(user, request.Password, isPersistent: false, lockoutOnFailure: true);
        for (var tries = 0; tries < MostRaces && user is not null && !result.Succeeded && !result.IsLockedOut; tries++)
        {
            // A wrong try at the same moment changed the account's row first: the right password is tried again on the row as it is now.
            if (!await signIn.UserManager.CheckPasswordAsync(user, request.Password)) break;
            await store.Entry(user).ReloadAsync();
            result = await signIn.PasswordSignInAsync(user, request.Password, isPersistent: false, lockoutOnFailure: true);
        }
        if (!result.Succeeded)
        {
            return Problem.Of(StatusCodes.Status401Unauthorized, result.IsLockedOut ? "sign-in-locked" : "sign-in-failed", result.IsLockedOut
                ? "Too many wrong tries for this account. Wait five minutes, then try again."
                : "That email address and password don't match. Check both and try again.");
        }
        return TypedResults.Ok(await View(user!.Id, store, clock));
    }

    /// <summary>No content when nobody is signed in: asking is no error.</summary>
    private static async Task<Results<Ok<SessionView>, NoContent>> Show(ClaimsPrincipal user, BoldContext store, Clock clock) =>
        user.Identity?.IsAuthenticated == true ? TypedResults.Ok(await View(user.Id(), store, clock)) : TypedResults.NoContent();

    private static async Task<SessionView> View(Guid userId, BoldContext store, Clock clock)
    {
        await using var transaction = await store.Database.BeginTransactionAsync();
        await store.EnterSchool(userId, Guid.Empty);
        var name = await store.Users.Where(u => u.Id == userId).Select(u => u.DisplayName).SingleAsync();
        var schools = await store.Memberships.IgnoreQueryFilters().Where(m => m.UserId == userId)
            .Join(store.Schools.IgnoreQueryFilters(), m => m.SchoolId, s => s.SchoolId, (m, s) => new { m.Role, School = s })
            .OrderBy(x => x.School.Name).ToListAsync();
        return new SessionView(name, [.. schools.Select(x => new SessionSchool(
            x.School.SchoolId, x.School.Name, x.Role, clock.Today(x.School), x.School.Accent, x.School.Language, x.School.PaperSize))]);
    }
}
