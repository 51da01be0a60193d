using BoldLadder.Core.Lessons;

namespace BoldLadder.Store;

public enum LessonStatus
{
    Planned,
    Taught,
    Stopped,
    NotTaught,
}

/// <summary>
/// A group's lesson on a day. The document is the truth; beside it stands what queries need. Frozen once it is closed.
/// </summary>
public sealed class StoredLesson : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid GroupId { get; init; }

    public required DateOnly Date { get; init; }

    public required string RungId { get; set; }

    public required Lesson Document { get; set; }

    /// <summary>Rises by one with each command; what If-Match names.</summary>
    public required int Version { get; set; }

    public required LessonStatus Status { get; set; }

    /// <summary>What made it: engine, lexicon, ladder version, accent, seed.</summary>
    public required LessonStamp Stamp { get; set; }

    public required int Minutes { get; set; }

    /// <summary>Correspondences its words need, and the words: kept beside the document by the same transaction.</summary>
    public required string[] Needs { get; set; }

    public required string[] Words { get; set; }

    public string? StoppedAt { get; set; }
}

/// <summary>What a lesson was made by: making it again is promised only for an equal stamp.</summary>
public sealed record LessonStamp(string Engine, string Lexicon, Guid LadderId, int LadderVersion, string Accent, long Seed);

/// <summary>A command that changed a lesson, with its inverse.</summary>
public sealed class LessonChange : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid LessonId { get; init; }

    /// <summary>The version it made.</summary>
    public required int Version { get; init; }

    /// <summary>The command's name, or close.</summary>
    public required string Command { get; init; }

    /// <summary>The activity or item it was about; null when it was the whole lesson.</summary>
    public string? Subject { get; init; }

    /// <summary>The document before: what undo puts back.</summary>
    public required Lesson Before { get; init; }

    /// <summary>The rung and the stamp before, which undo puts back too; null in changes made before they were kept.</summary>
    public string? RungBefore { get; init; }

    public LessonStamp? StampBefore { get; init; }

    /// <summary>The version that an undo took back.</summary>
    public int? Undoes { get; init; }

    public required DateTime At { get; init; }

    public required Guid UserId { get; init; }
}
