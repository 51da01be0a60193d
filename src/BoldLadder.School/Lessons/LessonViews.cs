using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Teaching;
using BoldLadder.Store;

namespace BoldLadder.School.Lessons;

/// <summary>A lesson as screens, board and print show it: one payload.</summary>
/// <param name="Previous">The teaching day before, and <paramref name="Next"/> the one after.</param>
/// <param name="Problems">What of a planned lesson the group can't read on its day any more.</param>
/// <param name="ExpectedRung">The rung the group would come to on this day, when it is another than the planned
/// one.</param>
/// <param name="Tray">Every grapheme taught by the end of the lesson, for tiles; null where the lesson lays no
/// tiles.</param>
public sealed record LessonView(
    Guid Id,
    Guid GroupId,
    string GroupName,
    DateOnly Date,
    bool IsToday,
    DateOnly? Previous,
    DateOnly? Next,
    string RungId,
    string RungLabel,
    string Stage,
    int LessonMinutes,
    int Minutes,
    int Version,
    LessonStatus Status,
    string? StoppedAt,
    Lesson Lesson,
    IReadOnlyList<ItemProblem> Problems,
    string? ExpectedRung,
    bool CanUndo,
    bool CanRedo,
    IReadOnlyList<string>? Tray
);

/// <param name="EntryId">Made by the client, so that sending it twice records it once.</param>
/// <param name="StoppedAt">The activity reached, for stopped.</param>
/// <param name="Wobbled">Reference notations that wobbled in the group: they come first in the next Revisit.</param>
/// <param name="Took">Seconds that activities took on the board, by activity: the next lessons are timed by them. What
/// is no activity of the lesson is passed over.</param>
/// <param name="Remark">A note of the teacher's on the lesson; null leaves the one that is there.</param>
public sealed record CloseRequest(
    Guid EntryId,
    LessonOutcome Outcome,
    string? StoppedAt = null,
    IReadOnlyList<string>? Wobbled = null,
    IReadOnlyDictionary<string, int>? Took = null,
    string? Remark = null
);

/// <summary>A change someone else made, in the answer to a stale version.</summary>
public sealed record ChangeSince(int Version, string Command, string? Subject, DateTime At);

/// <summary>A typed word, judged for a day.</summary>
/// <param name="Status">decodable, tricky, not-yet, unknown or left-out.</param>
/// <param name="Needs">What is not taught, each with when it is.</param>
/// <param name="Readable">When the word can be read; null when it can be today, or never on this ladder.</param>
public sealed record VerdictView(
    string Written,
    OwnStatus Status,
    string? Graphemes,
    string? Phonemes,
    IReadOnlyList<NeedView> Needs,
    WhenView? Readable,
    string? Twin
);

/// <param name="What">Reference notation or pattern id.</param>
public sealed record NeedView(string What, WhenView? When);

/// <param name="Rung">What the rung teaches.</param>
/// <param name="Date">Its day; null when it was taught, or no day is left for it.</param>
public sealed record WhenView(string Rung, DateOnly? Date);

/// <summary>An activity that could be added to a part.</summary>
/// <param name="Activity">What it would hold; null where there is too little for it on this day.</param>
public sealed record OfferView(ActivityKind Kind, Activity? Activity);
