using System.Security.Cryptography;
using System.Text;
using BoldLadder.School.People;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Session;

/// <summary>What came of a try to sign in.</summary>
/// <param name="User">Who signed in; null when nobody did.</param>
/// <param name="Wait">How long to wait before the next try is looked at; null when it was looked at.</param>
/// <param name="NeedsCode">True where the password is right, and a code of the second factor is to come.</param>
public readonly record struct SignInOutcome(User? User, TimeSpan? Wait, bool NeedsCode = false);

/// <summary>
/// Tries to sign in. Whether there is such an account can be told neither from the answer nor from how long it takes.
/// After ten wrong tries from one place the next ones wait, longer each time; from elsewhere the person still gets in,
/// so that nobody can be locked out.
/// </summary>
public sealed class SignIn(
    UserManager<User> users,
    IPasswordHasher<User> hasher,
    BoldContext store,
    AccountLog log,
    SecondFactor factor,
    Clock clock
)
{
    private const int FreeTries = 10;
    private const int FreeTriesFromAnywhere = 200;
    private static readonly TimeSpan FirstWait = TimeSpan.FromSeconds(30);
    private static readonly TimeSpan LongestWait = TimeSpan.FromMinutes(15);
    private static readonly TimeSpan LongestWaitFromAnywhere = TimeSpan.FromMinutes(1);
    private static readonly TimeSpan Forgotten = TimeSpan.FromHours(6);
    private static readonly User Nobody = new() { DisplayName = "" };
    private static string? nobodysHash;

    public async Task<SignInOutcome> Try(string email, string password, string? code, string address)
    {
        var name = users.NormalizeEmail(email)!;
        var (here, anywhere) = (Key(name, address), Key(name, ""));
        var wait = await Begin(here, FreeTries, LongestWait)
            ?? await Begin(anywhere, FreeTriesFromAnywhere, LongestWaitFromAnywhere);
        var user = await users.FindByEmailAsync(email);
        if (wait is not null)
        {
            await Record("sign-in-refused", user);
            return new SignInOutcome(null, wait);
        }
        var right = user is null ? IsNobodys(password) : await users.CheckPasswordAsync(user, password);
        if (!right || user is null || user.LockoutEnd > clock.UtcNow)
        {
            await Record("sign-in-failed", user);
            return default;
        }
        if (user.TwoFactorEnabled && string.IsNullOrWhiteSpace(code))
            return new SignInOutcome(null, null, NeedsCode: true);
        if (user.TwoFactorEnabled && !await factor.Opens(user, code!))
        {
            await Record("wrong-code", user);
            return new SignInOutcome(null, null, NeedsCode: true);
        }
        var (stale, now) = (clock.UtcNow - Forgotten, new[] { here, anywhere });
        await store.SignInTries.Where(t => now.Contains(t.Key) || t.WaitsUntil < stale).ExecuteDeleteAsync();
        return new SignInOutcome(user, null);
    }

    /// <summary>
    /// Counts a try before it is looked at, in one statement, so that tries at the same moment can't be more than are
    /// free; a right password forgets them.
    /// Null when it may be looked at, else how long to wait.
    /// </summary>
    private async Task<TimeSpan?> Begin(byte[] key, int free, TimeSpan longest)
    {
        var (first, most, forgotten) = (FirstWait.TotalSeconds, longest.TotalSeconds, Forgotten.TotalSeconds);
        // By the database's own clock, read under the row's lock: tries at the same moment see each other in order.
        var counted = await store.Database.ExecuteSqlAsync(
            $"""
            insert into sign_in_tries as t (key, failed, waits_until) values ({key}, 1, clock_timestamp())
            on conflict (key) do update set
                failed = case
                    when t.waits_until < clock_timestamp() - make_interval(secs => {forgotten}) then 1
                    else t.failed + 1 end,
                waits_until = clock_timestamp() + case
                    when t.waits_until < clock_timestamp() - make_interval(secs => {forgotten})
                        or t.failed + 1 < {free} then interval '0'
                    else make_interval(secs => least({most}, {first} * power(2, least(t.failed + 1 - {free}, 20)))) end
            where t.waits_until <= clock_timestamp()
            """
        );
        if (counted > 0)
            return null;
        var until = await store
            .SignInTries.Where(t => t.Key == key)
            .Select(t => (DateTime?)t.WaitsUntil)
            .SingleOrDefaultAsync()
            ?? clock.UtcNow;
        return until - clock.UtcNow is var wait && wait > TimeSpan.FromSeconds(1) ? wait : TimeSpan.FromSeconds(1);
    }

    /// <summary>Takes as long as looking at an account's password; never true.</summary>
    private bool IsNobodys(string password)
    {
        nobodysHash ??= hasher.HashPassword(Nobody, RandomNumberGenerator.GetHexString(32));
        hasher.VerifyHashedPassword(Nobody, nobodysHash, password);
        return false;
    }

    private Task Record(string action, User? user)
    {
        log.Record(action, user?.Id);
        return store.SaveChangesAsync();
    }

    private static byte[] Key(string name, string address) =>
        SHA256.HashData(Encoding.UTF8.GetBytes($"{name}\n{address}"));
}
