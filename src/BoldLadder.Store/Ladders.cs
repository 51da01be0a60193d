using System.Collections.Immutable;
using System.Text.Json;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Teaching;

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

    /// <summary>What the version is called in the history.</summary>
    public string Name { get; init; } = "";

    public Guid? PublishedBy { get; init; }
}

/// <summary>What the leads are working on: one draft for a ladder, shared by them.</summary>
public sealed class LadderDraft : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid LadderId { get; init; }

    public required Ladder Document { get; set; }

    /// <summary>Rises by one with each change, over all drafts of the ladder; what If-Match names.</summary>
    public required int Version { get; set; }

    /// <summary>The published version it started from; 0 for none.</summary>
    public required int BasedOn { get; set; }

    /// <summary>
    /// The draft's version when it was last the same as the published one: nothing before it is undone.
    /// </summary>
    public required int Since { get; set; }
}

/// <summary>A change to a draft, with the steps that take it back.</summary>
public sealed class LadderChange : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid LadderId { get; init; }

    /// <summary>The draft's version that it made.</summary>
    public required int Version { get; init; }

    /// <summary>
    /// move, add, remove, split, merge, teach, tricky, stage, reason, free, suggestion, restore, undo, redo.
    /// </summary>
    public required string Name { get; init; }

    public required LadderSteps Steps { get; init; }

    public required LadderSteps Inverse { get; init; }

    /// <summary>The change that this one takes back: an undo a change, a redo an undo.</summary>
    public int? Undoes { get; init; }

    public required DateTime At { get; init; }

    public required Guid UserId { get; init; }
}

/// <summary>Steps as a stored document.</summary>
public sealed record LadderSteps(ImmutableArray<LadderStep> Steps)
{
    private static readonly JsonSerializerOptions Json = new()
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        AllowOutOfOrderMetadataProperties = true,
        RespectRequiredConstructorParameters = true,
    };

    public static string Write(LadderSteps steps) => JsonSerializer.Serialize(steps.Steps, Json);

    public static LadderSteps Read(string json) =>
        new(JsonSerializer.Deserialize<ImmutableArray<LadderStep>>(json, Json));
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

    /// <summary>Lengths of weekdays that have another one, from Monday; 0 for the usual one. Null for none.</summary>
    public int[]? WeekdayMinutes { get; set; }

    /// <summary>
    /// The weekdays on which it has lessons, 1 for Monday; null for the school's: a catch-up group may go at its own
    /// pace.
    /// </summary>
    public int[]? LessonDays { get; set; }

    /// <summary>Words that are not to come in this group's lessons: no reason is kept.</summary>
    public string[] Avoid { get; set; } = [];

    /// <summary>The first day on which it is no group any more; what it was taught stays readable. Null while it
    /// goes on.</summary>
    public DateOnly? EndedOn { get; set; }

    /// <summary>How long the lesson of a day is.</summary>
    public int MinutesOn(DateOnly date) =>
        WeekdayMinutes?.ElementAtOrDefault(SchoolWeekday.Of(date) - 1) is > 0 and var minutes ? minutes : LessonMinutes;
}

/// <summary>A group given to a teacher.</summary>
public sealed class GroupTeacher : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid GroupId { get; init; }

    public required Guid UserId { get; init; }

    /// <summary>The weekdays on which they take it, 1 for Monday; null for all. They see it on every day.</summary>
    public int[]? Weekdays { get; set; }
}

/// <summary>
/// What was taught to a group on a day: a fact that no change of ladder takes back. Append-only; a later entry for the
/// same lesson supersedes. The id is made by the client, so sending it twice records it once.
/// </summary>
public sealed class TeachingLogEntry : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid GroupId { get; init; }

    /// <summary>
    /// The lesson that was closed; null for what a group had been taught before its lessons were kept.
    /// </summary>
    public Guid? LessonId { get; init; }

    public required DateOnly Date { get; init; }

    public required string RungId { get; init; }

    public required LessonOutcome Outcome { get; init; }

    /// <summary>
    /// Reference notations, ids of patterns, tricky words: what counts as taught from this lesson on.
    /// </summary>
    public required string[] Correspondences { get; init; }

    public required string[] Patterns { get; init; }

    public required string[] Tricky { get; init; }

    /// <summary>What the lesson showed again, for the next Revisit: notations and words.</summary>
    public required string[] Seen { get; init; }

    public required string[] Words { get; init; }

    /// <summary>What wobbled, or was not reached, in reference notation: it comes first in the next Revisit.</summary>
    public string[] Missed { get; init; } = [];

    public required DateTime RecordedAt { get; init; }

    public required Guid RecordedBy { get; init; }

    public Guid? Supersedes { get; init; }
}
