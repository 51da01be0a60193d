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

/// <summary>What the group does in an activity. Source: docs/handbook.md, section 6.</summary>
public enum ActivityKind
{
    GraphemeCards,
    RecentWords,
    TrickySoFar,
    OralBlending,
    NewCorrespondence,
    NewPattern,
    NewTrickyWord,
    Formation,
    SpotGrapheme,
    ReadWords,
    SpellWords,
    ReadSentence,
    OralSentence,
    SoundToSpellings,
    WordChain,
    MadeUpWords,
    MissingGrapheme,
}

/// <summary>How children answer in an activity. Source: docs/handbook.md, section 6.</summary>
public enum ResponseMode
{
    SayTogether,
    OneChild,
    ShowOnBoards,
    HoldUpOrStayStill,
    Listen,
}

/// <summary>
/// A lesson with its finished items: once stored, this is the truth, whatever the engine would make today. Format 1.
/// Source: docs/handbook.md, section 6.
/// </summary>
/// <param name="Target">Reference notations of what is new today; empty on a pattern rung.</param>
/// <param name="Patterns">Ids of patterns new today.</param>
/// <param name="Notes">What the planner had to do differently, as data.</param>
public sealed record Lesson(
    int Format, ImmutableArray<string> Target, ImmutableArray<string> Patterns, ImmutableArray<LessonPart> Parts, ImmutableArray<Reason> Notes)
{
    public const int CurrentFormat = 1;

    [JsonIgnore]
    public IEnumerable<Activity> Activities => Parts.SelectMany(p => p.Activities);

    /// <summary>Whole minutes, rounded up.</summary>
    [JsonIgnore]
    public int Minutes => (Parts.Sum(p => p.Seconds) + 59) / 60;

    public Activity? Find(string activityId) => Activities.FirstOrDefault(a => a.Id == activityId);

    public Lesson With(Activity changed) => this with
    {
        Parts = [.. Parts.Select(p => p with { Activities = [.. p.Activities.Select(a => a.Id == changed.Id ? changed : a)] })],
    };
}

public sealed record LessonPart(PartKind Kind, ImmutableArray<Activity> Activities)
{
    public int Seconds => Activities.Sum(a => a.Seconds);
}

/// <param name="Id">Stable within the lesson; commands name it.</param>
/// <param name="Seconds">How long it takes: from its items and the seconds each kind takes.</param>
public sealed record Activity(string Id, ActivityKind Kind, ResponseMode Response, int Seconds, ImmutableArray<Item> Items);

/// <summary>A reason or a remark: a code and its arguments. Screens and prints own the sentences.</summary>
public sealed record Reason(string Code, ImmutableArray<string> Arguments)
{
    public static Reason Of(string code, params ImmutableArray<string> arguments) => new(code, arguments);

    public bool Equals(Reason? other) => other is not null && Code == other.Code && Arguments.SequenceEqual(other.Arguments);

    public override int GetHashCode() => HashCode.Combine(Code, Arguments.Length);
}

/// <summary>One thing children meet in an activity.</summary>
/// <param name="Id">Stable within the lesson: the activity's id and what the item shows.</param>
/// <param name="Kept">True when the teacher wants it kept while others are chosen.</param>
[JsonDerivedType(typeof(CardItem), "card")]
[JsonDerivedType(typeof(WordItem), "word")]
[JsonDerivedType(typeof(PatternItem), "pattern")]
[JsonDerivedType(typeof(SentenceItem), "sentence")]
[JsonDerivedType(typeof(MadeUpItem), "made-up")]
[JsonDerivedType(typeof(GapItem), "gap")]
[JsonDerivedType(typeof(SpellingsItem), "spellings")]
public abstract record Item(string Id, bool Kept);

/// <summary>A correspondence: a card, or what is new today.</summary>
/// <param name="Correspondence">Reference notation.</param>
/// <param name="Kind">single-letter, double, digraph, trigraph, four-letter or split-digraph.</param>
/// <param name="LetterNames">The letters to be named, in order.</param>
/// <param name="Positions">Where it stands in words, for what is new; null on a card.</param>
public sealed record CardItem(
    string Id, bool Kept, string Correspondence, string Grapheme, string Sounds, string KeyWord, bool CanBeHeld, string Kind,
    ImmutableArray<string> LetterNames, PositionFacts? Positions, ImmutableArray<Reason> Reasons) : Item(Id, Kept);

/// <summary>How often a correspondence stands at the start, in the middle and at the end of usable words, in whole percent, with an example of each.</summary>
public sealed record PositionFacts(int Start, int Middle, int End, string? StartExample, string? MiddleExample, string? EndExample);

/// <summary>A word with what its sound marks are drawn from.</summary>
/// <param name="Marks">For each letter of the word the place of its grapheme.</param>
/// <param name="Tricky">Places of the graphemes that make the tricky part; empty for a decodable word.</param>
/// <param name="Oral">True when only the adult says it: children see no print.</param>
public sealed record WordItem(
    string Id, bool Kept, string Word, string Graphemes, string Phonemes, ImmutableArray<int> Marks, int Taps,
    ImmutableArray<int> Tricky, bool Oral, ImmutableArray<Reason> Reasons) : Item(Id, Kept);

/// <summary>A made-up word: what it is read as, and what its sound marks are drawn from.</summary>
/// <param name="Marks">For each letter the place of its grapheme.</param>
public sealed record MadeUpItem(
    string Id, bool Kept, string Word, string Graphemes, string Phonemes, ImmutableArray<int> Marks, int Taps, ImmutableArray<Reason> Reasons) : Item(Id, Kept);

/// <summary>A word with one grapheme to be written in.</summary>
/// <param name="Marks">For each letter of the word the place of its grapheme.</param>
/// <param name="Gap">The place of the grapheme that is left out.</param>
public sealed record GapItem(string Id, bool Kept, string Word, string Graphemes, ImmutableArray<int> Marks, int Gap, ImmutableArray<Reason> Reasons) : Item(Id, Kept);

/// <summary>A sound, and the spellings of it that were taught: the answers.</summary>
/// <param name="Correspondences">Reference notations, the longest unseen first.</param>
public sealed record SpellingsItem(
    string Id, bool Kept, string Sounds, string KeyWord, ImmutableArray<string> Graphemes, ImmutableArray<string> Correspondences) : Item(Id, Kept);

/// <summary>A pattern new today, by its id.</summary>
public sealed record PatternItem(string Id, bool Kept, string Pattern) : Item(Id, Kept);

/// <summary>A caption or sentence with its words in order; punctuation stays on them.</summary>
public sealed record SentenceItem(string Id, bool Kept, string Text, ImmutableArray<SentenceWord> Words, ImmutableArray<Reason> Reasons) : Item(Id, Kept);

/// <param name="Status">decodable or tricky.</param>
public sealed record SentenceWord(string Text, string Status);
