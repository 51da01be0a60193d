namespace BoldLadder.School.People;

public enum LetterKind
{
    Invitation,
    PasswordReset,
}

/// <summary>A link that goes to a person by mail.</summary>
/// <param name="Language">In which it is written.</param>
/// <param name="Path">What comes after the server's own address, its key behind the #.</param>
public sealed record Letter(
    LetterKind Kind,
    string To,
    string SchoolName,
    string Language,
    string Path,
    DateTime ExpiresAt,
    TimeZoneInfo Zone
);

/// <summary>Sends letters where the host has a way to. Without one, people copy links.</summary>
public interface ILetters
{
    bool CanSend { get; }

    /// <summary>True for an address that a letter can go to.</summary>
    bool IsAddress(string address);

    /// <summary>Sends it; false when that did not work, and the link has to be copied.</summary>
    Task<bool> Send(Letter letter, CancellationToken stop);
}

/// <summary>Where there is no way to send any.</summary>
public sealed class NoLetters : ILetters
{
    public bool CanSend => false;

    public bool IsAddress(string address) => false;

    public Task<bool> Send(Letter letter, CancellationToken stop) => Task.FromResult(false);
}
