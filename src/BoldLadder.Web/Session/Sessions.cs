using System.Globalization;
using System.Security.Claims;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;

namespace BoldLadder.Web.Session;

/// <summary>
/// Who is signed in, as rows: a cookie only names one, and each request asks whether it is alive. It ends by signing
/// out, after hours unused, at the latest after half a day, and for all of a person at once with a new password or when
/// the account is locked (OWASP ASVS 3.3).
/// </summary>
public sealed class Sessions(BoldContext store, Clock clock, IOptions<IdentityOptions> identity)
{
    public static readonly TimeSpan Longest = TimeSpan.FromHours(12);
    public static readonly TimeSpan LongestUnused = TimeSpan.FromHours(4);
    private static readonly TimeSpan SeenToThe = TimeSpan.FromMinutes(5);
    private const string SessionClaim = "bold:session";

    /// <summary>
    /// Asks of every request to the API whether its session is alive; other paths show nothing of a school.
    /// </summary>
    public static async Task Validate(CookieValidatePrincipalContext context)
    {
        // Who reads in a school is looked at together with the school, at its door.
        if (
            !context.HttpContext.Request.Path.StartsWithSegments("/api")
            || SchoolFilter.LooksAtTheDoor(context.HttpContext)
        )
            return;
        if (!await context.HttpContext.RequestServices.GetRequiredService<Sessions>().IsAlive(context.Principal))
            context.RejectPrincipal();
    }

    /// <summary>A new session, and the claim that names it in the cookie.</summary>
    public async Task<Claim> Begin(User user)
    {
        var session = new UserSession
        {
            Id = Guid.CreateVersion7(),
            UserId = user.Id,
            StartedAt = clock.UtcNow,
            SeenAt = clock.UtcNow,
        };
        store.UserSessions.Add(session);
        Record("signed-in", user.Id);
        await store.SaveChangesAsync();
        return new Claim(SessionClaim, session.Id.ToString("N", CultureInfo.InvariantCulture));
    }

    public async Task End(ClaimsPrincipal who)
    {
        if (IdOf(who) is not { } id)
            return;
        await store
            .UserSessions.Where(s => s.Id == id && s.EndedAt == null)
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.EndedAt, clock.UtcNow));
        Record("signed-out", who.Id());
        await store.SaveChangesAsync();
    }

    /// <summary>Ends all sessions of a person, this one too.</summary>
    public async Task EndAll(ClaimsPrincipal who)
    {
        var user = who.Id();
        await store
            .UserSessions.Where(s => s.UserId == user && s.EndedAt == null)
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.EndedAt, clock.UtcNow));
        Record("signed-out-everywhere", user);
        await store.SaveChangesAsync();
    }

    /// <summary>Adds a line to what happened at the door; saved by who calls.</summary>
    public void Record(string action, Guid? user) =>
        store.AccountEvents.Add(
            new AccountEvent
            {
                Id = Guid.CreateVersion7(),
                UserId = user,
                At = clock.UtcNow,
                Action = action,
            }
        );

    private async Task<bool> IsAlive(ClaimsPrincipal? who)
    {
        if (
            who is null
            || IdOf(who) is not { } id
            || who.FindFirstValue(identity.Value.ClaimsIdentity.SecurityStampClaimType) is not { } stamp
        )
            return false;
        var found = await store
            .UserSessions.Where(s => s.Id == id && s.EndedAt == null)
            .Join(
                store.Users,
                s => s.UserId,
                u => u.Id,
                (s, u) =>
                    new
                    {
                        s.StartedAt,
                        s.SeenAt,
                        u.SecurityStamp,
                        u.LockoutEnd,
                    }
            )
            .SingleOrDefaultAsync();
        return found is not null
            && found.SecurityStamp == stamp
            && await GoesOn(id, found.StartedAt, found.SeenAt, found.LockoutEnd);
    }

    /// <summary>Whether the session of who stands at a school's door is alive.</summary>
    public async Task<bool> IsAlive(ClaimsPrincipal who, Entrance seen) =>
        seen is { StartedAt: { } started, SeenAt: { } last }
        && IdOf(who) is { } id
        && seen.SecurityStamp == who.FindFirstValue(identity.Value.ClaimsIdentity.SecurityStampClaimType)
        && await GoesOn(id, started, last, seen.LockoutEnd);

    private async Task<bool> GoesOn(Guid id, DateTime started, DateTime seen, DateTimeOffset? lockedUntil)
    {
        var now = clock.UtcNow;
        if (lockedUntil > now || now - started > Longest || now - seen > LongestUnused)
            return false;
        if (now - seen > SeenToThe)
            await store.UserSessions.Where(s => s.Id == id).ExecuteUpdateAsync(s => s.SetProperty(x => x.SeenAt, now));
        return true;
    }

    /// <summary>The session that a cookie names; null where it names none.</summary>
    public static Guid? IdOf(ClaimsPrincipal who) =>
        Guid.TryParseExact(who.FindFirstValue(SessionClaim), "N", out var id) ? id : null;
}
