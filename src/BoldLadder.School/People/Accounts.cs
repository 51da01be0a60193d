using BoldLadder.School.Refusals;
using BoldLadder.Store;
using Microsoft.AspNetCore.Identity;

namespace BoldLadder.School.People;

/// <summary>What a person types to have an account.</summary>
public sealed record NewPerson(string Name, string Email, string Password);

/// <summary>Accounts: one for a person, in however many schools. Saved in the transaction that is open.</summary>
public sealed class Accounts(UserManager<User> users, BoldContext store, Passwords passwords, AccountLog log)
{
    private const int LongestEmail = 254;

    /// <summary>Makes an account; refused where the address has one.</summary>
    public async Task<Answer<User>> Make(NewPerson person)
    {
        if (!Refused.IsName(person.Name))
            return Refused.BadName;
        if (!IsAddress(person.Email))
            return Refusal.Unusable("bad-email");
        if (passwords.Wrong(person.Password, person.Name, person.Email) is { } weak)
            return weak;
        if (await users.FindByEmailAsync(person.Email.Trim()) is not null)
            return Refusal.Conflict("email-taken");
        var user = new User
        {
            Id = Guid.CreateVersion7(),
            UserName = person.Email.Trim(),
            Email = person.Email.Trim(),
            DisplayName = person.Name.Trim(),
        };
        var made = await users.CreateAsync(user, person.Password);
        if (!made.Succeeded)
            return Refusal.Unusable("bad-email");
        log.Record("account-made", user.Id);
        return user;
    }

    /// <summary>True when the password is theirs; a wrong one is recorded.</summary>
    public async Task<bool> Is(User user, string password)
    {
        if (await users.CheckPasswordAsync(user, password))
            return true;
        log.Record("password-refused", user.Id);
        await store.SaveChangesAsync();
        return false;
    }

    /// <summary>Another password for who knows the one before; every other session ends by it.</summary>
    public async Task<Answer<User>> ChangePassword(User user, string before, string after)
    {
        if (passwords.Wrong(after, user.DisplayName, user.Email!) is { } weak)
            return weak;
        if (!await Is(user, before))
            return Refusal.Unusable("wrong-password");
        await Set(user, after);
        return user;
    }

    /// <summary>Another password without the one before: by a link that a lead made.</summary>
    public async Task<Answer<User>> ResetPassword(User user, string after)
    {
        if (passwords.Wrong(after, user.DisplayName, user.Email!) is { } weak)
            return weak;
        await Set(user, after);
        return user;
    }

    private async Task Set(User user, string password)
    {
        user.PasswordHash = users.PasswordHasher.HashPassword(user, password);
        // The stamp is in every cookie: all of them end.
        await users.UpdateSecurityStampAsync(user);
        log.Record("password-changed", user.Id);
        await store.SaveChangesAsync();
    }

    private static bool IsAddress(string email) =>
        email.Trim() is var plain
        && plain.Length is > 2 and <= LongestEmail
        && plain.IndexOf('@', StringComparison.Ordinal) is > 0 and var at
        && at == plain.LastIndexOf('@')
        && at < plain.Length - 1
        && !plain.Any(c => char.IsWhiteSpace(c) || char.IsControl(c));
}
