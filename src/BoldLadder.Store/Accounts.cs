namespace BoldLadder.Store;

/// <summary>
/// A person signed in somewhere: what the cookie names. Ends by signing out, by time, with a new password, or when the
/// account is locked.
/// </summary>
public sealed class UserSession
{
    public required Guid Id { get; init; }

    public required Guid UserId { get; init; }

    public required DateTime StartedAt { get; init; }

    /// <summary>When it was last used, to some minutes.</summary>
    public required DateTime SeenAt { get; set; }

    /// <summary>When the person last showed who they are: by signing in, or asked again.</summary>
    public DateTime ConfirmedAt { get; set; }

    /// <summary>Since when it opens nothing until its person shows who they are; null while it is open.</summary>
    public DateTime? LockedAt { get; set; }

    /// <summary>Wrong tries since it was locked.</summary>
    public int WrongTries { get; set; }

    public DateTime? EndedAt { get; set; }
}

/// <summary>What happened at the door. Append-only; no address, no name, nothing that was typed.</summary>
public sealed class AccountEvent
{
    public required Guid Id { get; init; }

    /// <summary>Null where no account has the address that was typed.</summary>
    public Guid? UserId { get; init; }

    public required DateTime At { get; init; }

    /// <summary>A code: signed-in, sign-in-failed, password-changed.</summary>
    public required string Action { get; init; }
}

/// <summary>Wrong tries to sign in under one name from one place, whether there is such an account or not.</summary>
public sealed class SignInTries
{
    /// <summary>A hash of what was typed and where it came from.</summary>
    public required byte[] Key { get; init; }

    public required int Failed { get; set; }

    /// <summary>No further try is looked at before this.</summary>
    public required DateTime WaitsUntil { get; set; }
}

/// <summary>A one-time way to choose another password: made by a lead, known by the hash of its code.</summary>
public sealed class PasswordReset
{
    public required Guid Id { get; init; }

    public required Guid UserId { get; init; }

    public required byte[] CodeHash { get; init; }

    public required Guid MadeBy { get; init; }

    public required DateTime ExpiresAt { get; init; }

    /// <summary>When it was used, or ended by a newer one.</summary>
    public DateTime? EndedAt { get; set; }
}

/// <summary>The one-time way to make the first school of a server on which there is nobody yet.</summary>
public sealed class FirstRun
{
    public required Guid Id { get; init; }

    public required byte[] CodeHash { get; init; }

    public required DateTime ExpiresAt { get; init; }

    public DateTime? EndedAt { get; set; }
}
