using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace BoldLadder.Core.Lessons;

/// <summary>The four parts, in their order. Source: docs/handbook.md, section 6.</summary>
public enum PartKind
{
    Revisit,
    Teach,
    Practise,
    Apply,
}

/// <summary>
/// What the group does in an activity, in the order of the parts. Source: docs/handbook.md, section 6.
/// </summary>
public enum ActivityKind
{
    // Revisit
    GraphemeCards,
    LastMiss,
    SoundToSpellings,
    OralBlending,
    OralSegmenting,
    Clues,
    RecentWords,
    TrickySoFar,
    SpellTricky,
    TrickyAtSpeed,
    DictateSounds,
    EarlierSet,
    FirstAndRest,
    WhichWasSaid,
    ChunkCards,
    AtTheEnd,
    WhereIsIt,
    StartAndEnd,

    // Teach
    HearSound,
    NewCorrespondence,
    WhereItStands,
    MouthCue,
    MemoryPhrase,
    Formation,
    SpotGrapheme,
    SetBeside,
    NewTrickyWord,
    NewPattern,
    NewSuffix,
    NewChunk,
    CutSyllables,

    // Practise
    ReadWords,
    ReadUnmarked,
    ReadAtSpeed,
    ReadAidedUnaided,
    MadeUpWords,
    WordChain,
    WordLines,
    SpellWords,
    MissingGrapheme,
    ChooseSpelling,
    SortWords,
    HasSound,
    FindInWords,
    HuntPage,
    PictureToWord,
    LabelPicture,
    ThreeWays,
    LikeLines,
    DictateName,
    WordThenPicture,
    BaseThenEnding,
    ContrastPairs,
    HuntWords,
    ChunkWords,

    // Apply
    ReadSentence,
    OralSentence,
    PhraseToPicture,
    DictateSentence,
    OwnSentence,
    ReadText,
    Crossword,
    FillGap,
    StoryPrompt,
    PhraseSheet,
    HuntText,
    Unscramble,
    MendSentence,
    PictureScene,
}

/// <summary>How children answer in an activity. Source: docs/handbook.md, section 6.</summary>
public enum ResponseMode
{
    SayTogether,
    OneChild,
    ShowOnBoards,
    ShowOnFingers,
    HoldUpOrStayStill,
    Listen,
}

/// <summary>
/// A lesson with its finished items: once stored, this is the truth, whatever the engine would make today. It is stored
/// and served as it is written here, so renaming a property is a change of format. Format 2. Source: docs/handbook.md,
/// section 6.
/// </summary>
/// <param name="Title">What the lesson is for.</param>
/// <param name="Target">Reference notations of what is new today; empty on a pattern rung.</param>
/// <param name="Patterns">Ids of patterns new today.</param>
/// <param name="Notes">What the planner had to do differently, as data.</param>
/// <param name="Remark">The teacher's own note for the day; null for none.</param>
public sealed record Lesson(
    int Format,
    LessonTitle Title,
    ImmutableArray<string> Target,
    ImmutableArray<string> Patterns,
    ImmutableArray<LessonPart> Parts,
    ImmutableArray<Reason> Notes,
    string? Remark = null
)
{
    public const int CurrentFormat = 2;

    [JsonIgnore]
    public IEnumerable<Activity> Activities => Parts.SelectMany(p => p.Activities);

    /// <summary>Whole minutes, rounded up.</summary>
    [JsonIgnore]
    public int Minutes => (Parts.Sum(p => p.Seconds) + 59) / 60;

    public Activity? Find(string activityId) => Activities.FirstOrDefault(a => a.Id == activityId);

    /// <summary>The lesson without an activity; a part that is left empty goes, too.</summary>
    public Lesson Without(string activityId) =>
        this with
        {
            Parts =
            [
                .. Parts
                    .Select(p => p with { Activities = p.Activities.RemoveAll(a => a.Id == activityId) })
                    .Where(p => p.Activities.Length > 0),
            ],
        };

    /// <summary>The lesson with one more activity; its part is made where there is none.</summary>
    /// <param name="place">From 0; beyond the end of the part for last.</param>
    public Lesson WithNew(PartKind part, int place, Activity added)
    {
        var parts = Parts.Any(p => p.Kind == part)
            ? Parts
            : [.. Parts.Append(new LessonPart(part, [])).OrderBy(p => p.Kind)];
        return this with
        {
            Parts =
            [
                .. parts.Select(p =>
                    p.Kind == part
                        ? p with
                        {
                            Activities = p.Activities.Insert(Math.Clamp(place, 0, p.Activities.Length), added),
                        }
                        : p
                ),
            ],
        };
    }

    public Lesson With(Activity changed) =>
        this with
        {
            Parts =
            [
                .. Parts.Select(p =>
                    p with
                    {
                        Activities = [.. p.Activities.Select(a => a.Id == changed.Id ? changed : a)],
                    }
                ),
            ],
        };
}

/// <summary>What a lesson is for, as it was when it was made, so that no later ladder changes it.</summary>
/// <param name="Rung">The id of the rung, or of the quiet day.</param>
/// <param name="Label">What it is called: its graphemes, its patterns' ids, or the kind of day.</param>
/// <param name="Stage">The stretch of the ladder it belongs to; empty where that is not known.</param>
public sealed record LessonTitle(string Rung, string Label, string Stage);

public sealed record LessonPart(PartKind Kind, ImmutableArray<Activity> Activities)
{
    public int Seconds => Activities.Sum(a => a.Seconds);
}

/// <param name="Id">Stable within the lesson; commands name it.</param>
/// <param name="Seconds">How long it takes: from its items and the seconds each kind takes, or as a teacher set
/// it.</param>
/// <param name="Steps">How the items are released, where the school does so: the first few shown by the adult, the next
/// done together, the rest alone.</param>
/// <param name="Levels">Easier and harder items of the same target; null where there are none.</param>
/// <param name="SetByHand">True when a teacher set the length: it stays when items change.</param>
public sealed record Activity(
    string Id,
    ActivityKind Kind,
    ResponseMode Response,
    int Seconds,
    ImmutableArray<Item> Items,
    ReleaseSteps? Steps = null,
    Levels? Levels = null,
    bool SetByHand = false
);

/// <summary>
/// How many items of an activity the adult shows, the group does together, and children do alone, in the order of the
/// items.
/// </summary>
public sealed record ReleaseSteps(int IDo, int WeDo, int YouDo)
{
    /// <summary>
    /// The steps over so many items: what the adult shows, what is done together, the rest alone, or together where
    /// none is done alone; null for all together.
    /// </summary>
    public ReleaseSteps? Over(int items)
    {
        if (IDo + WeDo + YouDo == 0)
            return null;
        var shows = Math.Min(IDo, Math.Max(0, items - 1));
        var together = YouDo == 0 ? items - shows : Math.Min(WeDo, items - shows);
        return new ReleaseSteps(shows, together, items - shows - together);
    }
}

/// <summary>
/// The same activity for who needs it easier, or wants it harder. Source: docs/handbook.md, section 6 (Support and
/// stretch).
/// </summary>
/// <param name="Reasons">Why there are none of one sort: no-easier, no-harder; null in lessons made before there
/// were any.</param>
public sealed record Levels(
    ImmutableArray<Item> Support,
    ImmutableArray<Item> Stretch,
    ImmutableArray<Reason>? Reasons = null
);

/// <summary>A reason or a remark: a code and its arguments. Screens and prints own the sentences.</summary>
public sealed record Reason(string Code, ImmutableArray<string> Arguments)
{
    public static Reason Of(string code, params ImmutableArray<string> arguments) => new(code, arguments);

    /// <summary>That a word shows something of what is asked for: uses, uses-pattern.</summary>
    public static bool IsUse(Reason reason) => reason.Code.StartsWith("uses", StringComparison.Ordinal);

    public bool Equals(Reason? other) =>
        other is not null && Code == other.Code && Arguments.SequenceEqual(other.Arguments);

    public override int GetHashCode() => HashCode.Combine(Code, Arguments.Length);
}
