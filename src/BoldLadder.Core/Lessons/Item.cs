using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace BoldLadder.Core.Lessons;

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
[JsonDerivedType(typeof(ClueItem), "clue")]
[JsonDerivedType(typeof(BesideItem), "beside")]
[JsonDerivedType(typeof(SyllablesItem), "syllables")]
[JsonDerivedType(typeof(LineItem), "line")]
[JsonDerivedType(typeof(ChoiceItem), "choice")]
[JsonDerivedType(typeof(SortItem), "sort")]
[JsonDerivedType(typeof(PictureItem), "picture")]
[JsonDerivedType(typeof(TextItem), "text")]
[JsonDerivedType(typeof(CrosswordItem), "crossword")]
[JsonDerivedType(typeof(MissingWordItem), "missing-word")]
[JsonDerivedType(typeof(PromptItem), "prompt")]
[JsonDerivedType(typeof(PairItem), "pair")]
[JsonDerivedType(typeof(BuildItem), "build")]
[JsonDerivedType(typeof(HuntItem), "hunt")]
[JsonDerivedType(typeof(ScrambleItem), "scramble")]
[JsonDerivedType(typeof(MendItem), "mend")]
[JsonDerivedType(typeof(ChunkItem), "chunk")]
public abstract record Item(string Id, bool Kept);

/// <summary>
/// An item that is about one word of the lexicon, read, spelled or only said: what a teacher can ask never to see
/// again.
/// </summary>
public interface IOfWord
{
    string Word { get; }
}

/// <summary>An item that was chosen for reasons, and says them when it is asked why.</summary>
public interface IExplained
{
    ImmutableArray<Reason> Reasons { get; }
}

/// <summary>A correspondence: a card, or what is new today.</summary>
/// <param name="Correspondence">Reference notation.</param>
/// <param name="Kind">single-letter, double, digraph, trigraph, four-letter or split-digraph.</param>
/// <param name="LetterNames">The letters to be named, in order.</param>
/// <param name="Positions">Where it stands in words, for what is new; null on a card.</param>
/// <param name="Example">A word that children can read, with these letters for this sound; null where there is
/// none.</param>
/// <param name="Also">The other sounds the same letters were taught for: one card for all; null for none.</param>
/// <param name="Own">The school's own way with it, laid over when the lesson is shown; never stored.</param>
public sealed record CardItem(
    string Id,
    bool Kept,
    string Correspondence,
    string Grapheme,
    string Sounds,
    string KeyWord,
    bool CanBeHeld,
    string Kind,
    ImmutableArray<string> LetterNames,
    PositionFacts? Positions,
    ImmutableArray<Reason> Reasons,
    string? Example = null,
    ImmutableArray<CardSound>? Also = null,
    OwnWay? Own = null
) : Item(Id, Kept), IExplained;

/// <summary>Another sound that the letters of a card were taught for.</summary>
/// <param name="Example">A word that children can read; null where there is none.</param>
public sealed record CardSound(string Correspondence, string Sounds, string KeyWord, string? Example);

/// <summary>
/// How often a correspondence stands at the start, in the middle and at the end of usable words, in whole percent, with
/// an example of each.
/// </summary>
public sealed record PositionFacts(
    int Start,
    int Middle,
    int End,
    string? StartExample,
    string? MiddleExample,
    string? EndExample
);

/// <summary>A word with what its sound marks are drawn from.</summary>
/// <param name="Marks">For each letter of the word the place of its grapheme.</param>
/// <param name="Tricky">Places of the graphemes that make the tricky part; empty for a decodable word.</param>
/// <param name="Oral">True when only the adult says it: children see no print.</param>
/// <param name="Meaning">One line on what it means, for a word that children may not know; null where none is needed or
/// known.</param>
/// <param name="Sentence">Said with the word when it is dictated, where another word sounds the same; null where none
/// is needed.</param>
/// <param name="Chunks">The school's chunks in it, laid over when the lesson is shown; never stored.</param>
/// <param name="Blend">How the school blends it, step by step, the word last; likewise.</param>
public sealed record WordItem(
    string Id,
    bool Kept,
    string Word,
    string Graphemes,
    string Phonemes,
    ImmutableArray<int> Marks,
    int Taps,
    ImmutableArray<int> Tricky,
    bool Oral,
    ImmutableArray<Reason> Reasons,
    string? Meaning = null,
    string? Sentence = null,
    ImmutableArray<ChunkInWord>? Chunks = null,
    ImmutableArray<string>? Blend = null
) : Item(Id, Kept), IOfWord, IExplained;

/// <summary>A made-up word: what it is read as, and what its sound marks are drawn from.</summary>
/// <param name="Marks">For each letter the place of its grapheme.</param>
public sealed record MadeUpItem(
    string Id,
    bool Kept,
    string Word,
    string Graphemes,
    string Phonemes,
    ImmutableArray<int> Marks,
    int Taps,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IExplained;

/// <summary>A word with one grapheme to be written in.</summary>
/// <param name="Marks">For each letter of the word the place of its grapheme.</param>
/// <param name="Gap">The place of the grapheme that is left out.</param>
public sealed record GapItem(
    string Id,
    bool Kept,
    string Word,
    string Graphemes,
    ImmutableArray<int> Marks,
    int Gap,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IOfWord, IExplained;

/// <summary>A sound, and the spellings of it that were taught: the answers.</summary>
/// <param name="Correspondences">Reference notations, the longest unseen first.</param>
/// <param name="Reasons">Null in lessons made before there were any.</param>
public sealed record SpellingsItem(
    string Id,
    bool Kept,
    string Sounds,
    string KeyWord,
    ImmutableArray<string> Graphemes,
    ImmutableArray<string> Correspondences,
    ImmutableArray<Reason>? Reasons = null
) : Item(Id, Kept), IExplained
{
    ImmutableArray<Reason> IExplained.Reasons => Reasons ?? [];
}

/// <summary>A pattern new today, by its id, with words that have it.</summary>
/// <param name="Examples">Of a suffix an entry for each sound it has; of any other pattern one without a sound. Null in
/// lessons made before there were any.</param>
public sealed record PatternItem(string Id, bool Kept, string Pattern, ImmutableArray<PatternExample>? Examples = null)
    : Item(Id, Kept);

/// <param name="Sounds">What the suffix sounds like in these words; empty for a pattern without a sound of its
/// own.</param>
/// <param name="Models">How the words are built; null in lessons made before there were any.</param>
public sealed record PatternExample(
    string Sounds,
    ImmutableArray<string> Words,
    ImmutableArray<PatternModel>? Models = null
);

/// <summary>How a word is built, for showing it step by step: hop + ing, mi + lk, rab + bit.</summary>
/// <param name="Parts">Its parts in order, as they are before they are joined.</param>
/// <param name="Join">What happens where they meet: drop-e, double, y-to-i; null where nothing does.</param>
/// <param name="Marked">The place of the part that the pattern is about; -1 for none.</param>
public sealed record PatternModel(string Word, ImmutableArray<string> Parts, string? Join, int Marked);

/// <summary>A caption or sentence with its words in order; punctuation stays on them.</summary>
/// <param name="Pictures">Pictures to choose from, the one that fits first as stored; null where there are
/// none.</param>
public sealed record SentenceItem(
    string Id,
    bool Kept,
    string Text,
    ImmutableArray<SentenceWord> Words,
    ImmutableArray<Reason> Reasons,
    ImmutableArray<string>? Pictures = null
) : Item(Id, Kept), IExplained;

/// <param name="Status">decodable or tricky; told for a word of a teacher's own sentence that the adult reads.</param>
public sealed record SentenceWord(string Text, string Status)
{
    public const string Told = "told";
}

/// <summary>A riddle that the adult says; the answer holds the sound and is never printed.</summary>
public sealed record ClueItem(string Id, bool Kept, string Word, string Clue, ImmutableArray<Reason> Reasons)
    : Item(Id, Kept),
        IOfWord,
        IExplained;

/// <summary>
/// What is new beside what was taught for the same sound, or with the same letters. The first is today's.
/// </summary>
/// <param name="BySound">True for spellings of one sound; false for sounds of one spelling.</param>
public sealed record BesideItem(string Id, bool Kept, bool BySound, ImmutableArray<BesideCard> Cards) : Item(Id, Kept);

/// <param name="Example">A word children can read that has it; null where there is none.</param>
public sealed record BesideCard(string Correspondence, string Grapheme, string Sounds, string KeyWord, string? Example);

/// <summary>A word and its syllables, in order.</summary>
public sealed record SyllablesItem(
    string Id,
    bool Kept,
    string Word,
    ImmutableArray<string> Syllables,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IOfWord, IExplained;

/// <summary>A line of words, each one grapheme from the word before.</summary>
public sealed record LineItem(string Id, bool Kept, ImmutableArray<WordItem> Words) : Item(Id, Kept);

/// <summary>A word with one grapheme left out, and the spellings of its sound to choose from.</summary>
/// <param name="Options">Graphemes that were taught for the sound, the right one among them.</param>
public sealed record ChoiceItem(
    string Id,
    bool Kept,
    string Word,
    string Graphemes,
    ImmutableArray<int> Marks,
    int Gap,
    ImmutableArray<string> Options,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IOfWord, IExplained;

/// <summary>Words to be put under headings.</summary>
/// <param name="By">spelling, sound, position or suffix-sound.</param>
/// <param name="Words">In the order in which they are dealt.</param>
public sealed record SortItem(
    string Id,
    bool Kept,
    string By,
    ImmutableArray<string> Headings,
    ImmutableArray<SortedWord> Words
) : Item(Id, Kept);

/// <param name="Heading">The place of its heading.</param>
public sealed record SortedWord(string Word, ImmutableArray<int> Marks, int Heading);

/// <summary>A picture, and what children read or write with it.</summary>
/// <param name="Picture">Its name in data/pictures.</param>
/// <param name="Options">Words to choose from, the right one among them; empty when the word is written.</param>
/// <param name="Marks">Of the right word, for each letter the place of its grapheme.</param>
public sealed record PictureItem(
    string Id,
    bool Kept,
    string Picture,
    string Word,
    ImmutableArray<int> Marks,
    ImmutableArray<string> Options,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IOfWord, IExplained;

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

/// <summary>Two words that differ in one thing, to be read and built, or of which the adult says one.</summary>
/// <param name="By">In what they differ: split (cap, cape), spelling (rain, lane), letters that say something else
/// (cow, snow), sound, or ear.</param>
/// <param name="Said">Which of them is said, 0 or 1; null where both are read.</param>
public sealed record PairItem(
    string Id,
    bool Kept,
    string By,
    string First,
    ImmutableArray<int> FirstMarks,
    string Second,
    ImmutableArray<int> SecondMarks,
    int? Said,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IExplained;

/// <summary>A word that is written in steps: the base, what happens at the join, the ending.</summary>
public sealed record BuildItem(
    string Id,
    bool Kept,
    string Word,
    ImmutableArray<int> Marks,
    PatternModel Model,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IOfWord, IExplained;

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
public sealed record HuntedWord(string Word, ImmutableArray<int> Marks, int Target);

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

/// <summary>A chunk of the school's own, as a card.</summary>
/// <param name="Correspondences">Reference notations, in order.</param>
/// <param name="Example">A word that children can read; null where there is none.</param>
public sealed record ChunkItem(
    string Id,
    bool Kept,
    string Text,
    string Sounds,
    ImmutableArray<string> Correspondences,
    string? Example,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IExplained;
