using BoldLadder.Store;

namespace BoldLadder.School.People;

/// <summary>Who belongs to the school, and the links that are out.</summary>
/// <param name="CanMail">True where links can go by mail; else they are copied.</param>
public sealed record PeopleView(
    IReadOnlyList<PersonView> People,
    IReadOnlyList<InvitationView> Invitations,
    bool CanMail
);

/// <param name="Groups">The groups given to them; a lead and a head see all without.</param>
/// <param name="SeenAt">When they last used it; null for never.</param>
/// <param name="HasSecondFactor">True for who signs in with a code besides.</param>
public sealed record PersonView(
    Guid Id,
    string Name,
    string? Email,
    Role Role,
    bool IsActive,
    IReadOnlyList<Guid> Groups,
    DateTime? SeenAt,
    bool HasSecondFactor,
    bool IsYou
);

public sealed record InvitationView(
    Guid Id,
    string For,
    Role Role,
    IReadOnlyList<Guid> Groups,
    DateTime MadeAt,
    DateTime ExpiresAt
);

/// <summary>What a person is in the school from now on.</summary>
public sealed record PersonChange(Role Role, IReadOnlyList<Guid> Groups, bool IsActive);

/// <param name="Days">After so many days the link opens nothing.</param>
/// <param name="MailTo">Where the link goes by mail, which is not kept; null for a link to copy.</param>
public sealed record NewInvitation(
    Guid Id,
    string For,
    Role Role,
    IReadOnlyList<Guid> Groups,
    int Days,
    string? MailTo = null
);

/// <param name="ByMail">True when the link goes to the person's own address, too.</param>
public sealed record ResetRequest(bool ByMail);

/// <summary>A link to give: shown once.</summary>
/// <param name="Key">What follows the # of its address.</param>
/// <param name="Mailed">True when it went by mail; false when it should have and could not; null for one to
/// copy.</param>
public sealed record LinkView(string Key, DateTime ExpiresAt, bool? Mailed = null);

public sealed record JoiningKey(string Key);

/// <summary>What a link gives, for who has it.</summary>
/// <param name="Groups">Their names.</param>
public sealed record JoiningView(
    string School,
    string Language,
    string For,
    Role Role,
    IReadOnlyList<string> Groups,
    DateTime ExpiresAt
);

/// <summary>Somebody new comes in by a link.</summary>
public sealed record Joining(string Key, NewPerson Person);

/// <summary>The first school of a server, and its lead.</summary>
/// <param name="Key">The one-time code that the server printed.</param>
public sealed record NewSchool(
    string Key,
    string Name,
    string TimeZone,
    string Accent,
    string Language,
    NewPerson Lead
);

public sealed record NewPassword(string Key, string Password);
