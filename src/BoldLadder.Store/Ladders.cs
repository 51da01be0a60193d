using BoldLadder.Core.Ladders;

namespace BoldLadder.Store;

/// <summary>A ladder of the school's; its rungs are in its versions.</summary>
public sealed class SchoolLadder : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required string Name { get; set; }
}

/// <summary>A published version of a ladder: never changed afterwards.</summary>
public sealed class LadderVersion : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid LadderId { get; init; }

    /// <summary>1, 2, 3 …</summary>
    public required int Version { get; init; }

    public required Ladder Document { get; init; }

    public required DateTime PublishedAt { get; init; }
}

/// <summary>Children taught together. Follows one published version of a ladder until someone moves it.</summary>
public sealed class Group : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required string Name { get; set; }

    public required Guid LadderId { get; set; }

    public required int LadderVersion { get; set; }

    /// <summary>Length of its lessons: 15, 20, 25 or 30 minutes.</summary>
    public required int LessonMinutes { get; set; }
}

/// <summary>A group given to a teacher.</summary>
public sealed class GroupTeacher : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid GroupId { get; init; }

    public required Guid UserId { get; init; }
}

/// <summary>
/// What was taught to a group on a day: a fact that no change of ladder takes back. Append-only; a later entry for the same lesson
/// supersedes. The id is made by the client, so sending it twice records it once.
/// </summary>
public sealed class TeachingLogEntry : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid GroupId { get; init; }

    public required DateOnly Date { get; init; }

    public required string RungId { get; init; }

    public required LessonOutcome Outcome { get; init; }

    /// <summary>Reference notations, ids of patterns, tricky words: what counts as taught from this lesson on.</summary>
    public required string[] Correspondences { get; init; }

    public required string[] Patterns { get; init; }

    public required string[] Tricky { get; init; }

    /// <summary>What the lesson showed again, for the next Revisit: notations and words.</summary>
    public required string[] Seen { get; init; }

    public required string[] Words { get; init; }

    public required DateTime RecordedAt { get; init; }

    public required Guid RecordedBy { get; init; }

    public Guid? Supersedes { get; init; }
}

public enum LessonOutcome
{
    Taught,

    /// <summary>Stopped at an activity; what is new counts as taught if Teach was done.</summary>
    Stopped,
    NotTaught,
}
