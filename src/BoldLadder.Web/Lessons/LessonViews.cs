using BoldLadder.Core.Lessons;
using BoldLadder.Store;

namespace BoldLadder.Web.Lessons;

/// <summary>A lesson as screens, board and print show it: one payload.</summary>
/// <param name="Previous">The teaching day before, and <paramref name="Next"/> the one after.</param>
/// <param name="Problems">What of a planned lesson the group can't read on its day any more.</param>
/// <param name="ExpectedRung">The rung the group would come to on this day, when it is another than the planned one.</param>
public sealed record LessonView(
    Guid Id, Guid GroupId, string GroupName, DateOnly Date, bool IsToday, DateOnly? Previous, DateOnly? Next,
    string RungId, string RungLabel, string Stage, int LessonMinutes, int Minutes, int Version, LessonStatus Status, string? StoppedAt,
    Lesson Lesson, IReadOnlyList<ItemProblem> Problems, string? ExpectedRung, bool CanUndo);

/// <summary>A change to a planned lesson. Which fields are needed depends on the type.</summary>
public sealed record LessonCommand(LessonCommandType Type, string? ActivityId = null, string? ItemId = null, bool? Kept = null);

public enum LessonCommandType
{
    /// <summary>Item: stays when others are chosen, or no longer.</summary>
    Keep,

    /// <summary>Activity: other items for all that are not kept.</summary>
    ChooseOthers,

    /// <summary>Item: another one in its place.</summary>
    ReplaceOne,

    /// <summary>Whole lesson: made anew for what the group comes to on the day.</summary>
    PlanAgain,

    /// <summary>Takes back the last change that was not taken back.</summary>
    Undo,
}

/// <param name="EntryId">Made by the client, so that sending it twice records it once.</param>
/// <param name="StoppedAt">The activity reached, for stopped.</param>
public sealed record CloseRequest(Guid EntryId, LessonOutcome Outcome, string? StoppedAt = null);

/// <summary>A change someone else made, in the answer to a stale version.</summary>
public sealed record ChangeSince(int Version, string Command, string? Subject, DateTime At);
