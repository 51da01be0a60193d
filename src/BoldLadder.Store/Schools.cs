using Microsoft.AspNetCore.Identity;

namespace BoldLadder.Store;

/// <summary>A person who signs in. Belongs to schools by membership; a role is never the person's own.</summary>
public sealed class User : IdentityUser<Guid>
{
    public required string DisplayName { get; set; }

    /// <summary>True for an account of the demo school: the app refuses to serve beyond loopback while one exists.</summary>
    public bool IsDemo { get; set; }
}

/// <summary>What belongs to one school: its id comes first in every key.</summary>
public interface ISchoolOwned
{
    Guid SchoolId { get; }
}

/// <summary>A school with its settings.</summary>
public sealed class School : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required string Name { get; set; }

    /// <summary>IANA zone: decides which day today is.</summary>
    public required string TimeZone { get; set; }

    /// <summary>Id of the accent profile. Interface language, spelling variety and paper size are settings of their own.</summary>
    public required string Accent { get; set; }

    public required string Language { get; set; }

    public required string SpellingVariety { get; set; }

    public required string PaperSize { get; set; }
}

public enum Role
{
    /// <summary>Sees and does everything in the school.</summary>
    Lead,

    /// <summary>Sees the ladder, and the groups given to them.</summary>
    Teacher,
}

/// <summary>A person's role in a school.</summary>
public sealed class Membership : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid UserId { get; init; }

    public required Role Role { get; set; }
}

/// <summary>A run of weeks in which the school is open.</summary>
public sealed class Term : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required string Name { get; set; }

    public required DateOnly First { get; set; }

    public required DateOnly Last { get; set; }
}

/// <summary>A weekday inside a term on which there are no lessons.</summary>
public sealed class ClosedDay : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required DateOnly Date { get; init; }
}

/// <summary>Who changed what: no names, no content.</summary>
public sealed class AuditEntry : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid UserId { get; init; }

    public required DateTime At { get; init; }

    /// <summary>A code, lesson-closed.</summary>
    public required string Action { get; init; }

    /// <summary>The id of what was changed.</summary>
    public required Guid Subject { get; init; }
}
