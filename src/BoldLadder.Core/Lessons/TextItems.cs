using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace BoldLadder.Core.Lessons;

/// <summary>A caption or sentence with its words in order; punctuation stays on them.</summary>
/// <param name="Pictures">Pictures to choose from, the one that fits first as stored, mixed when the lesson is shown;
/// null where there are none.</param>
/// <param name="Fits">The place of the one that fits, laid over when the lesson is shown; never stored.</param>
public sealed record SentenceItem(
    string Id,
    bool Kept,
    string Text,
    ImmutableArray<SentenceWord> Words,
    ImmutableArray<Reason> Reasons,
    ImmutableArray<string>? Pictures = null,
    int? Fits = null
) : Item(Id, Kept), IExplained;

/// <param name="Status">decodable or tricky; told for a word of a teacher's own sentence that the adult reads.</param>
/// <param name="Hunt">Where what is hunted stands in it, laid over when the lesson is shown; never stored.</param>
public sealed record SentenceWord(string Text, string Status, ImmutableArray<HuntedPlace>? Hunt = null)
{
    public const string Told = "told";
}

/// <summary>A short text with its questions.</summary>
/// <param name="Questions">Said by the adult.</param>
public sealed record TextItem(
    string Id,
    bool Kept,
    string Title,
    ImmutableArray<SentenceItem> Sentences,
    ImmutableArray<string> Questions,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IExplained;

/// <summary>A crossword as it is printed.</summary>
public sealed record CrosswordItem(string Id, bool Kept, int Width, int Height, ImmutableArray<CrosswordLine> Lines)
    : Item(Id, Kept);

/// <param name="Picture">The clue's picture; null when the clue is a sentence with a gap.</param>
/// <param name="Clue">The sentence, a line of underscores for the word; null when the clue is a picture.</param>
public sealed record CrosswordLine(
    int Number,
    bool Across,
    int Row,
    int Column,
    string Word,
    string? Picture,
    string? Clue
);

/// <summary>A sentence with a word left out, and words to choose from.</summary>
public sealed record MissingWordItem(
    string Id,
    bool Kept,
    string Before,
    string After,
    string Word,
    ImmutableArray<string> Options,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IOfWord, IExplained
{
    /// <summary>The sentence with the word in its place.</summary>
    [JsonIgnore]
    public string Whole =>
        Before.Length == 0 ? $"{char.ToUpperInvariant(Word[0])}{Word[1..]}{After}" : $"{Before} {Word}{After}";
}

/// <summary>Something to say or write about, with words to use.</summary>
/// <param name="Code">Which prompt: screens own its sentence.</param>
/// <param name="Words">Words children must use; they can read them.</param>
/// <param name="Checklist">What a story is to have, ticked when it comes; null for a prompt without.</param>
public sealed record PromptItem(
    string Id,
    bool Kept,
    string Code,
    ImmutableArray<string> Words,
    ImmutableArray<CheckLine>? Checklist = null
) : Item(Id, Kept);

/// <param name="Code">opening, place, problem or ending, whose sentence the screens own; phrase for one to use; own for
/// what a teacher typed.</param>
/// <param name="Text">Of a phrase or of one's own; empty for the others.</param>
public sealed record CheckLine(string Code, string Text)
{
    public const int LongestText = 80;
    public const int MostLines = 10;

    private static readonly ImmutableArray<string> Parts = ["opening", "place", "problem", "ending"];

    public static ImmutableArray<CheckLine> OfStory { get; } = [.. Parts.Select(p => new CheckLine(p, ""))];

    /// <summary>True for a line that can be kept.</summary>
    public bool IsUsable =>
        Parts.Contains(Code)
            ? Text.Length == 0
            : Code is "phrase" or "own" && Text.Trim().Length is > 0 and <= LongestText;
}

/// <summary>Many words in which several graphemes are hunted.</summary>
/// <param name="Targets">Reference notations of what is hunted.</param>
public sealed record HuntItem(
    string Id,
    bool Kept,
    ImmutableArray<string> Targets,
    ImmutableArray<string> Graphemes,
    ImmutableArray<HuntedWord> Words
) : Item(Id, Kept);

/// <param name="Target">The place of what it has among what is hunted; -1 for a word that has none.</param>
/// <param name="Hunt">Where what is hunted stands in it, laid over when the lesson is shown; never stored.</param>
public sealed record HuntedWord(
    string Word,
    ImmutableArray<int> Marks,
    int Target,
    ImmutableArray<HuntedPlace>? Hunt = null
);

/// <summary>A sentence whose words stand in another order.</summary>
public sealed record ScrambleItem(
    string Id,
    bool Kept,
    ImmutableArray<string> Pieces,
    string Whole,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IExplained;

/// <summary>A sentence without its capital letter and its marks, to be put right.</summary>
/// <param name="Point">What it is about: statement, question or list.</param>
public sealed record MendItem(
    string Id,
    bool Kept,
    string Given,
    string Right,
    string Point,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IExplained;
