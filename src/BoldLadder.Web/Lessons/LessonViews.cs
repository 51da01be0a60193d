using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Teaching;
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
/// <param name="Kind">What to add.</param>
/// <param name="Part">The part to add to.</param>
/// <param name="Place">Where an activity goes in its part, from 0.</param>
/// <param name="Text">What was typed: words, a sentence, a remark, the reason of a ban.</param>
/// <param name="Seconds">How long an activity is to take.</param>
/// <param name="ForSchool">A ban for the whole school; else the word is kept from this group only.</param>
/// <param name="FromGroup">The group whose lesson of <paramref name="FromDate"/> is copied.</param>
public sealed record LessonCommand(
    LessonCommandType Type, string? ActivityId = null, string? ItemId = null, bool? Kept = null, ActivityKind? Kind = null, PartKind? Part = null, int? Place = null,
    string? Text = null, int? Seconds = null, bool? ForSchool = null, Guid? FromGroup = null, DateOnly? FromDate = null);

public enum LessonCommandType
{
    /// <summary>Item: stays when others are chosen, or no longer.</summary>
    Keep,

    /// <summary>Activity: other items for all that are not kept.</summary>
    ChooseOthers,

    /// <summary>Item: another one in its place.</summary>
    ReplaceOne,

    /// <summary>Item: left out.</summary>
    DropItem,

    /// <summary>Item: its word is never to come again, in this group or in the school; another takes its place.</summary>
    Ban,

    /// <summary>Activity: a word or a sentence that was typed, judged before it is taken.</summary>
    AddText,

    /// <summary>Part: one more activity.</summary>
    AddActivity,

    /// <summary>Activity: left out.</summary>
    DropActivity,

    /// <summary>Activity: to another place in its part.</summary>
    MoveActivity,

    /// <summary>Activity: how long it takes.</summary>
    SetLength,

    /// <summary>Whole lesson: the teacher's note.</summary>
    SetRemark,

    /// <summary>Whole lesson: as another group's, checked again for this one.</summary>
    Copy,

    /// <summary>Whole lesson: only what can't be read any more is replaced.</summary>
    Repair,

    /// <summary>Whole lesson: made anew for what the group comes to on the day.</summary>
    PlanAgain,

    /// <summary>Takes back the last change that was not taken back.</summary>
    Undo,
}

/// <param name="EntryId">Made by the client, so that sending it twice records it once.</param>
/// <param name="StoppedAt">The activity reached, for stopped.</param>
/// <param name="Wobbled">Reference notations that wobbled in the group: they come first in the next Revisit.</param>
public sealed record CloseRequest(Guid EntryId, LessonOutcome Outcome, string? StoppedAt = null, IReadOnlyList<string>? Wobbled = null);

/// <summary>A change someone else made, in the answer to a stale version.</summary>
public sealed record ChangeSince(int Version, string Command, string? Subject, DateTime At);

/// <summary>A typed word, judged for a day.</summary>
/// <param name="Status">decodable, tricky, not-yet, unknown or left-out.</param>
/// <param name="Needs">What is not taught, each with when it is.</param>
/// <param name="Readable">When the word can be read; null when it can be today, or never on this ladder.</param>
public sealed record VerdictView(string Written, OwnStatus Status, string? Graphemes, string? Phonemes, IReadOnlyList<NeedView> Needs, WhenView? Readable, string? Twin);

/// <param name="What">Reference notation or pattern id.</param>
public sealed record NeedView(string What, WhenView? When);

/// <param name="Rung">What the rung teaches.</param>
/// <param name="Date">Its day; null when it was taught, or no day is left for it.</param>
public sealed record WhenView(string Rung, DateOnly? Date);
