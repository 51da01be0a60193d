using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.People;

/// <summary>What opens a locked screen: the PIN, or the password.</summary>
public sealed record Unlocking(string Secret);

/// <param name="Pin">Four to eight digits; null to do without.</param>
public sealed record PinChange(string Password, string? Pin);

/// <summary>
/// Locks a session on a device that others may come by: it opens nothing until its person shows who they are, by a PIN
/// or the password, and then goes on where it was. Source: docs/handbook.md, section 10.
/// </summary>
public sealed class LockDesk(
    BoldContext store,
    Accounts accounts,
    IPasswordHasher<User> hasher,
    AccountLog log,
    Clock clock
)
{
    private const int FewestDigits = 4;
    private const int MostDigits = 8;

    /// <summary>Wrong tries after which only signing in anew helps.</summary>
    private const int MostTries = 5;

    public async Task<Answer<Done>> Lock(Guid userId, Guid? session)
    {
        var now = clock.UtcNow;
        await Own(userId, session)
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.LockedAt, now).SetProperty(x => x.WrongTries, 0));
        return Done.It;
    }

    public async Task<Answer<Done>> Unlock(Guid userId, Guid? session, Unlocking wanted)
    {
        if (await Own(userId, session).SingleOrDefaultAsync() is not { } locked)
            return Refusal.NotFound("unknown-session");
        if (locked.WrongTries >= MostTries)
            return Refusal.Conflict("locked-out");
        var user = await store.Users.SingleAsync(u => u.Id == userId);
        // Counted before it is looked at, so that tries at the same moment are no more than are free.
        await Own(userId, session).ExecuteUpdateAsync(s => s.SetProperty(x => x.WrongTries, x => x.WrongTries + 1));
        if (!IsPin(user, wanted.Secret) && !await accounts.Is(user, wanted.Secret))
            return Refusal.Unusable("wrong-secret");
        await Own(userId, session)
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.LockedAt, (DateTime?)null).SetProperty(x => x.WrongTries, 0));
        return Done.It;
    }

    public async Task<Answer<Done>> SetPin(Guid userId, PinChange wanted)
    {
        if (
            wanted.Pin is { } pin
            && (
                pin.Length is < FewestDigits or > MostDigits
                || !pin.All(char.IsAsciiDigit)
                || pin.Distinct().Count() < 2
                || "01234567890".Contains(pin, StringComparison.Ordinal)
                || "09876543210".Contains(pin, StringComparison.Ordinal)
            )
        )
            return Refusal.Unusable("weak-pin", ("fewest", FewestDigits), ("most", MostDigits));
        var user = await store.Users.SingleAsync(u => u.Id == userId);
        if (!await accounts.Is(user, wanted.Password))
            return Refusal.Unusable("wrong-password");
        user.PinHash = wanted.Pin is null ? null : hasher.HashPassword(user, wanted.Pin);
        log.Record(wanted.Pin is null ? "pin-off" : "pin-set", userId);
        await store.SaveChangesAsync();
        return Done.It;
    }

    private bool IsPin(User user, string secret) =>
        user.PinHash is { } hash
        && secret.Length is >= FewestDigits and <= MostDigits
        && hasher.VerifyHashedPassword(user, hash, secret) != PasswordVerificationResult.Failed;

    private IQueryable<UserSession> Own(Guid userId, Guid? session) =>
        store.UserSessions.Where(s => s.Id == session && s.UserId == userId && s.EndedAt == null);
}
