using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using QRCoder;

namespace BoldLadder.School.People;

/// <summary>One's own account.</summary>
/// <param name="CodesLeft">How many written-down codes are left.</param>
public sealed record AccountView(
    string Name,
    string Email,
    bool HasSecondFactor,
    int CodesLeft,
    bool HasPin,
    IReadOnlyList<OwnSession> Sessions
);

/// <summary>A place where one is signed in.</summary>
public sealed record OwnSession(Guid Id, DateTime StartedAt, DateTime SeenAt, bool IsThis);

public sealed record PasswordChange(string Before, string After);

/// <summary>What an authenticator app is given.</summary>
/// <param name="Key">In letters, to type.</param>
/// <param name="Address">The same as an otpauth address.</param>
/// <param name="Picture">The address as a QR code (ISO/IEC 18004): rows of 1 for dark and 0 for light, with the quiet
/// zone round it.</param>
public sealed record FactorKey(string Key, string Address, IReadOnlyList<string> Picture);

public sealed record FactorCode(string Code);

public sealed record PasswordCheck(string Password);

public sealed record RecoveryCodes(IReadOnlyList<string> Codes);

/// <summary>
/// What a person does with their own account: name, password, second factor, where they are signed in. The session in
/// which it is done goes on; a new password or factor ends all others.
/// </summary>
public sealed class AccountDesk(BoldContext store, Accounts accounts, SecondFactor factor, AccountLog log, Clock clock)
{
    private const string Issuer = "Bold Ladder";

    private Task<User> Own(Guid userId) => store.Users.SingleAsync(u => u.Id == userId);

    public async Task<AccountView> Show(Guid userId, Guid? session)
    {
        var user = await Own(userId);
        var since = clock.UtcNow - OpenSession.Longest;
        var unused = clock.UtcNow - OpenSession.LongestUnused;
        return new AccountView(
            Name: user.DisplayName,
            Email: user.Email!,
            HasSecondFactor: user.TwoFactorEnabled,
            CodesLeft: user.TwoFactorEnabled ? await factor.CodesLeft(user) : 0,
            HasPin: user.PinHash is not null,
            Sessions: await store
                .UserSessions.Where(s =>
                    s.UserId == userId && s.EndedAt == null && s.StartedAt > since && s.SeenAt > unused
                )
                .OrderByDescending(s => s.SeenAt)
                .Select(s => new OwnSession(s.Id, s.StartedAt, s.SeenAt, s.Id == session))
                .ToListAsync()
        );
    }

    /// <summary>Ends one of one's own sessions.</summary>
    public async Task<Answer<Done>> EndSession(Guid userId, Guid session)
    {
        var now = clock.UtcNow;
        if (
            await store
                .UserSessions.Where(s => s.UserId == userId && s.Id == session && s.EndedAt == null)
                .ExecuteUpdateAsync(s => s.SetProperty(x => x.EndedAt, now)) == 0
        )
            return Refusal.NotFound("unknown-session");
        log.Record("session-ended", userId);
        await store.SaveChangesAsync();
        return Done.It;
    }

    /// <summary>Ends all of one's sessions but one.</summary>
    public async Task EndOthers(Guid userId, Guid? session)
    {
        var now = clock.UtcNow;
        await store
            .UserSessions.Where(s => s.UserId == userId && s.Id != session && s.EndedAt == null)
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.EndedAt, now));
    }

    public async Task<Answer<User>> ChangePassword(Guid userId, PasswordChange change) =>
        await accounts.ChangePassword(await Own(userId), change.Before, change.After);

    /// <summary>
    /// Shows again who is at work, before what can't be taken back. Wrong ones are counted at the door of the account.
    /// </summary>
    public async Task<Answer<Done>> Confirm(Guid userId, Guid? session, PasswordCheck check)
    {
        if (!await accounts.Is(await Own(userId), check.Password))
            return Refusal.Unusable("wrong-password");
        var now = clock.UtcNow;
        await store
            .UserSessions.Where(s => s.Id == session && s.UserId == userId && s.EndedAt == null)
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.ConfirmedAt, now));
        log.Record("confirmed", userId);
        await store.SaveChangesAsync();
        return Done.It;
    }

    /// <summary>True when the person has shown who they are lately, in this session.</summary>
    public async Task<bool> IsConfirmed(Guid userId, Guid? session)
    {
        var since = clock.UtcNow - OpenSession.ConfirmedFor;
        return await store.UserSessions.AnyAsync(s => s.Id == session && s.UserId == userId && s.ConfirmedAt > since);
    }

    /// <summary>A key for an app, while none is in use.</summary>
    public async Task<Answer<(User User, FactorKey Key)>> BeginFactor(Guid userId)
    {
        var user = await Own(userId);
        if (user.TwoFactorEnabled)
            return Refusal.Conflict("factor-is-on");
        var key = await factor.Key(user);
        var label = Uri.EscapeDataString($"{Issuer}:{user.Email}");
        var address = $"otpauth://totp/{label}?secret={key}&issuer={Uri.EscapeDataString(Issuer)}&digits=6";
        return (
            user,
            new FactorKey(
                string.Join(' ', key.ToLowerInvariant().Chunk(4).Select(c => new string(c))),
                address,
                Picture(address)
            )
        );
    }

    private static List<string> Picture(string address)
    {
        using var code = QRCodeGenerator.GenerateQrCode(address, QRCodeGenerator.ECCLevel.M);
        return code.ModuleMatrix.ConvertAll(row => string.Concat(row.Cast<bool>().Select(dark => dark ? '1' : '0')));
    }

    public async Task<Answer<(User User, RecoveryCodes Codes)>> TurnFactorOn(Guid userId, FactorCode code)
    {
        var user = await Own(userId);
        if (user.TwoFactorEnabled)
            return Refusal.Conflict("factor-is-on");
        return await factor.TurnOn(user, code.Code) is { } codes
            ? (user, new RecoveryCodes(codes))
            : Refusal.Unusable("wrong-code");
    }

    public async Task<Answer<RecoveryCodes>> NewCodes(Guid userId, PasswordCheck check)
    {
        var user = await Own(userId);
        if (!user.TwoFactorEnabled)
            return Refusal.Conflict("factor-is-off");
        return await accounts.Is(user, check.Password)
            ? new RecoveryCodes(await factor.NewRecoveryCodes(user))
            : Refusal.Unusable("wrong-password");
    }

    public async Task<Answer<User>> TurnFactorOff(Guid userId, PasswordCheck check)
    {
        var user = await Own(userId);
        if (!await accounts.Is(user, check.Password))
            return Refusal.Unusable("wrong-password");
        await factor.TurnOff(user);
        return user;
    }
}
