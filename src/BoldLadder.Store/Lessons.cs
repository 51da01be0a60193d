using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Editing;
using BoldLadder.Core.Teaching;

namespace BoldLadder.Store;

public enum LessonStatus
{
    Planned,
    Taught,
    Stopped,
    NotTaught,
}

/// <summary>What a group meets for.</summary>
public enum SessionKind
{
    /// <summary>The lesson of the day: at most one of a group on a date.</summary>
    Lesson,

    /// <summary>A few minutes for those who need something once more.</summary>
    CatchUp,

    /// <summary>Children are checked.</summary>
    Check,
}

/// <summary>
/// A group's session: its lesson on a day, a catch-up, a check. Known by its id; group and date are only how the lesson
/// of a day is found. The document is the truth; beside it stands what queries need. Frozen once it is closed.
/// </summary>
public sealed class StoredLesson : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid GroupId { get; init; }

    public required DateOnly Date { get; init; }

    public required SessionKind Kind { get; init; }

    /// <summary>The rung or quiet day of the document's title.</summary>
    public required string RungId { get; set; }

    public required Lesson Document { get; set; }

    /// <summary>Rises by one with each command; what If-Match names.</summary>
    public required int Version { get; set; }

    public required LessonStatus Status { get; set; }

    /// <summary>What made it: engine, lexicon, ladder version, accent, seed.</summary>
    public required LessonStamp Stamp { get; set; }

    public required int Minutes { get; set; }

    /// <summary>
    /// Correspondences its words need, and the words: kept beside the document by the same transaction.
    /// </summary>
    public required string[] Needs { get; set; }

    public required string[] Words { get; set; }

    public string? StoppedAt { get; set; }

    /// <summary>
    /// Seconds that its activities took on the board, by activity; null where it was not taught from one.
    /// </summary>
    public IReadOnlyDictionary<string, int>? Took { get; set; }
}

/// <summary>
/// Where a group stands: what its teaching log comes to, kept by whoever adds a line to the log. A group without a row
/// has its log folded.
/// </summary>
public sealed class GroupStanding : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid GroupId { get; init; }

    public required Standing Document { get; set; }

    /// <summary>Rises by one with each change.</summary>
    public required int Version { get; set; }
}

/// <summary>What a lesson was made by: making it again is promised only for an equal stamp.</summary>
public sealed record LessonStamp(
    string Engine,
    string Lexicon,
    Guid LadderId,
    int LadderVersion,
    string Accent,
    long Seed
);

/// <summary>A command that changed a lesson: who did what, kept for good.</summary>
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

    /// <summary>The version that an undo took back, or whose undo a redo took back.</summary>
    public int? Undoes { get; init; }

    public required DateTime At { get; init; }

    public required Guid UserId { get; init; }
}

/// <summary>
/// What takes a change of a lesson back. Kept until the lesson, or a later one of its group, is closed.
/// </summary>
public sealed class LessonUndo : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid LessonId { get; init; }

    /// <summary>The version that the change made.</summary>
    public required int Version { get; init; }

    public required LessonEdits Inverse { get; init; }

    /// <summary>What the lesson was made by before, where the change made it anew.</summary>
    public LessonStamp? StampBefore { get; init; }
}

/// <summary>Edits as a stored document.</summary>
public sealed record LessonEdits(ImmutableArray<LessonEdit> Edits)
{
    public static string Write(LessonEdits edits) => LessonEditing.Write(edits.Edits);

    public static LessonEdits Read(string json) => new(LessonEditing.Read(json));
}
