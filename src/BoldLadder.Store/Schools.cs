using BoldLadder.Core;
using BoldLadder.Core.Style;
using Microsoft.AspNetCore.Identity;

namespace BoldLadder.Store;

/// <summary>A person who signs in. Belongs to schools by membership; a role is never the person's own.</summary>
public sealed class User : IdentityUser<Guid>
{
    public required string DisplayName { get; set; }

    /// <summary>
    /// A hash of the code of the second factor that was used last, which does not open the door again; null for none.
    /// </summary>
    public byte[]? UsedCode { get; set; }

    /// <summary>A hash of the PIN that opens a locked screen; null for none. It opens nothing else.</summary>
    public string? PinHash { get; set; }

    /// <summary>
    /// True for an account of the demo school: the app refuses to serve beyond loopback while one exists.
    /// </summary>
    public bool IsDemo { get; set; }
}

/// <summary>What belongs to one school: its id comes first in every key.</summary>
public interface ISchoolOwned
{
    Guid SchoolId { get; }
}

/// <summary>A school with its settings.</summary>
public sealed class StoredSchool : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required string Name { get; set; }

    /// <summary>IANA zone: decides which day today is.</summary>
    public required string TimeZone { get; set; }

    /// <summary>
    /// Id of the accent profile. Interface language, spelling variety and paper size are settings of their own.
    /// </summary>
    public required string Accent { get; set; }

    public required string Language { get; set; }

    public required string SpellingVariety { get; set; }

    public required string PaperSize { get; set; }

    /// <summary>Our school's way; null for the usual one.</summary>
    public HouseStyle? Style { get; set; }

    /// <summary>The weekdays with lessons, 1 for Monday.</summary>
    public int[] LessonDays { get; set; } = [1, 2, 3, 4, 5];

    /// <summary>The rhythm: see <see cref="Core.Ladders.Calendars.Rhythm"/>.</summary>
    public int ReviewWeeks { get; set; } = 1;

    public int CheckWeeks { get; set; } = 6;

    public int RecapWeeks { get; set; } = 2;

    /// <summary>Another one each time what the school says of words changes; empty while it has said nothing.</summary>
    public Guid WordsStamp { get; set; }
}

/// <summary>A date from outside by which something must be taught.</summary>
public sealed class SchoolCheckpoint : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required string Name { get; set; }

    public required DateOnly Date { get; set; }

    /// <summary>A correspondence's notation, a pattern's id or a stage.</summary>
    public required string What { get; set; }
}

/// <summary>The school's own way to teach a correspondence or pattern.</summary>
public sealed class TeachingNote : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    /// <summary>Reference notation or pattern id.</summary>
    public required string Subject { get; init; }

    public required string KeyWord { get; set; }

    public required string Phrase { get; set; }

    public required string MouthCue { get; set; }

    public required string Formation { get; set; }
}

public enum Role
{
    /// <summary>Sees and does everything in the school.</summary>
    Lead,

    /// <summary>Sees the ladder, and the groups given to them, whose lessons they plan and change.</summary>
    Teacher,

    /// <summary>Sees and teaches the lessons of the groups given to them, and changes nothing.</summary>
    Helper,

    /// <summary>Sees all groups and what is reported of them, and changes nothing.</summary>
    Head,
}

/// <summary>What a role may, where rooms ask for the same.</summary>
public static class Roles
{
    /// <summary>The role of a code; null for none.</summary>
    public static Role? Parse(string code) =>
        Enum.GetValues<Role>().Where(r => r.Code() == code).Select(r => (Role?)r).FirstOrDefault();

    /// <summary>True for who sees every group; others see those given to them.</summary>
    public static bool SeesAllGroups(this Role role) => role is Role.Lead or Role.Head;

    /// <summary>True for who changes something; others only look.</summary>
    public static bool Changes(this Role role) => role is Role.Lead or Role.Teacher;
}

/// <summary>A person's role in a school.</summary>
public sealed class Membership : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid UserId { get; init; }

    public required Role Role { get; set; }

    /// <summary>False for who belongs here no more: they see nothing, and what they did keeps their name.</summary>
    public bool IsActive { get; set; } = true;
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
