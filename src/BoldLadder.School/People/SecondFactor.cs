using System.Security.Cryptography;
using System.Text;
using BoldLadder.Store;
using Microsoft.AspNetCore.Identity;

namespace BoldLadder.School.People;

/// <summary>
/// A code besides the password: of an authenticator app (RFC 6238), or one of ten that were written down for when the
/// phone is gone. None opens the door twice.
/// </summary>
public sealed class SecondFactor(UserManager<User> users, BoldContext store, AccountLog log)
{
    public const int RecoveryCodes = 10;
    private const int AppDigits = 6;

    /// <summary>The key that an app is given, in letters; made when there is none yet.</summary>
    public async Task<string> Key(User user)
    {
        if (await users.GetAuthenticatorKeyAsync(user) is { } known)
            return known;
        await users.ResetAuthenticatorKeyAsync(user);
        return (await users.GetAuthenticatorKeyAsync(user))!;
    }

    /// <summary>Turns it on when the app shows the right code; null when it does not.</summary>
    public async Task<IReadOnlyList<string>?> TurnOn(User user, string code)
    {
        if (!await IsOfApp(user, code))
            return null;
        await users.SetTwoFactorEnabledAsync(user, true);
        log.Record("second-factor-on", user.Id);
        await store.SaveChangesAsync();
        return await NewRecoveryCodes(user);
    }

    /// <summary>Ten new codes for when the phone is gone; those before are good for nothing.</summary>
    public async Task<IReadOnlyList<string>> NewRecoveryCodes(User user) =>
        [.. await users.GenerateNewTwoFactorRecoveryCodesAsync(user, RecoveryCodes) ?? []];

    public async Task TurnOff(User user)
    {
        await users.SetTwoFactorEnabledAsync(user, false);
        await users.ResetAuthenticatorKeyAsync(user);
        log.Record("second-factor-off", user.Id);
        await store.SaveChangesAsync();
    }

    public Task<int> CodesLeft(User user) => users.CountRecoveryCodesAsync(user);

    /// <summary>True for a code that opens the door now.</summary>
    public async Task<bool> Opens(User user, string code)
    {
        var plain = code.Replace(" ", "", StringComparison.Ordinal);
        if (plain.Length == AppDigits && plain.All(char.IsAsciiDigit))
            return await IsOfApp(user, plain);
        if (!(await users.RedeemTwoFactorRecoveryCodeAsync(user, plain)).Succeeded)
            return false;
        log.Record("recovery-code-used", user.Id);
        return true;
    }

    private async Task<bool> IsOfApp(User user, string code)
    {
        var plain = code.Replace(" ", "", StringComparison.Ordinal);
        var hash = SHA256.HashData(Encoding.UTF8.GetBytes($"{user.Id} {plain}"));
        if (
            user.UsedCode is { } used && CryptographicOperations.FixedTimeEquals(used, hash)
            || !await users.VerifyTwoFactorTokenAsync(user, TokenOptions.DefaultAuthenticatorProvider, plain)
        )
            return false;
        user.UsedCode = hash;
        await users.UpdateAsync(user);
        return true;
    }
}
