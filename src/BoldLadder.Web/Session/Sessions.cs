using System.Globalization;
using System.Security.Claims;
using BoldLadder.School.People;
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
public sealed class Sessions(BoldContext store, AccountLog log, Clock clock, IOptions<IdentityOptions> identity)
{
    private static readonly TimeSpan SeenToThe = TimeSpan.FromMinutes(5);
    private const string SessionClaim = "bold:session";

    /// <summary>All that a locked session opens: unlocking, what that needs, and signing out.</summary>
    private static readonly (string Method, string Path)[] WhileLocked =
    [
        (HttpMethods.Post, "/api/account/unlock"),
        (HttpMethods.Get, "/api/antiforgery"),
        (HttpMethods.Delete, "/api/session"),
    ];

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
        var sessions = context.HttpContext.RequestServices.GetRequiredService<Sessions>();
        var request = context.HttpContext.Request;
        var evenLocked = WhileLocked.Any(w => w.Method == request.Method && request.Path == w.Path);
        if (!await sessions.IsAlive(context.Principal, evenLocked))
            context.RejectPrincipal();
    }

    /// <summary>The claim that names a session in a cookie.</summary>
    public static Claim ClaimOf(Guid session) => new(SessionClaim, session.ToString("N", CultureInfo.InvariantCulture));

    /// <summary>A new session, and the claim that names it in the cookie.</summary>
    public async Task<Claim> Begin(User user)
    {
        var session = new UserSession
        {
            Id = Guid.CreateVersion7(),
            UserId = user.Id,
            StartedAt = clock.UtcNow,
            SeenAt = clock.UtcNow,
            ConfirmedAt = clock.UtcNow,
        };
        store.UserSessions.Add(session);
        log.Record("signed-in", user.Id);
        await store.SaveChangesAsync();
        return ClaimOf(session.Id);
    }

    /// <summary>Begins a session for who has shown who they are, and says what they see.</summary>
    public async Task<SessionView> Open(User user, SignInManager<User> cookie)
    {
        await cookie.SignInWithClaimsAsync(user, isPersistent: false, [await Begin(user)]);
        return await View(user.Id);
    }

    /// <summary>
    /// Goes on with a session whose person has another password or factor: their stamp is another one, so each cookie
    /// with the one before ends.
    /// </summary>
    public static Task GoOn(User user, ClaimsPrincipal who, SignInManager<User> cookie) =>
        IdOf(who) is { } session
            ? cookie.SignInWithClaimsAsync(user, isPersistent: false, [ClaimOf(session)])
            : Task.CompletedTask;

    /// <summary>Who it is, and the schools they belong to.</summary>
    public async Task<SessionView> View(Guid userId)
    {
        await using var transaction = await store.Database.BeginTransactionAsync();
        store.EnterSchool(userId, Guid.Empty);
        var name = await store.Users.Where(u => u.Id == userId).Select(u => u.DisplayName).SingleAsync();
        var schools = await store
            .Memberships.IgnoreQueryFilters()
            .Where(m => m.UserId == userId && m.IsActive)
            .Join(
                store.Schools.IgnoreQueryFilters(),
                m => m.SchoolId,
                s => s.SchoolId,
                (m, s) => new { m.Role, School = s }
            )
            .OrderBy(x => x.School.Name)
            .ToListAsync();
        var lookRounds = await store.LookRounds.IgnoreQueryFilters().Select(l => l.SchoolId).ToListAsync();
        return new SessionView(
            name,
            [
                .. schools.Select(x => new SessionSchool(
                    Id: x.School.SchoolId,
                    Name: x.School.Name,
                    Role: x.Role,
                    Today: clock.Today(x.School),
                    Accent: x.School.Accent,
                    Language: x.School.Language,
                    PaperSize: x.School.PaperSize,
                    IsLookRound: lookRounds.Contains(x.School.SchoolId)
                )),
            ]
        );
    }

    public async Task End(ClaimsPrincipal who)
    {
        if (IdOf(who) is not { } id)
            return;
        await store
            .UserSessions.Where(s => s.Id == id && s.EndedAt == null)
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.EndedAt, clock.UtcNow));
        log.Record("signed-out", who.Id());
        await store.SaveChangesAsync();
    }

    /// <summary>Ends all sessions of a person, this one too.</summary>
    public async Task EndAll(ClaimsPrincipal who)
    {
        var user = who.Id();
        await store
            .UserSessions.Where(s => s.UserId == user && s.EndedAt == null)
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.EndedAt, clock.UtcNow));
        log.Record("signed-out-everywhere", user);
        await store.SaveChangesAsync();
    }

    private async Task<bool> IsAlive(ClaimsPrincipal? who, bool evenLocked)
    {
        if (
            who is null
            || IdOf(who) is not { } id
            || who.FindFirstValue(identity.Value.ClaimsIdentity.SecurityStampClaimType) is not { } stamp
        )
            return false;
        var found = await store
            .UserSessions.Where(s => s.Id == id && s.EndedAt == null && (evenLocked || s.LockedAt == null))
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
        if (lockedUntil > now || now - started > OpenSession.Longest || now - seen > OpenSession.LongestUnused)
            return false;
        if (now - seen > SeenToThe)
            await store.UserSessions.Where(s => s.Id == id).ExecuteUpdateAsync(s => s.SetProperty(x => x.SeenAt, now));
        return true;
    }

    /// <summary>The session that a cookie names; null where it names none.</summary>
    public static Guid? IdOf(ClaimsPrincipal who) =>
        Guid.TryParseExact(who.FindFirstValue(SessionClaim), "N", out var id) ? id : null;
}
