using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons;

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
/// <param name="Picture">What shows it, to come after the reading; likewise, null where no picture is sure.</param>
/// <param name="Hunt">Where what is hunted stands in it; likewise.</param>
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
    ImmutableArray<string>? Blend = null,
    string? Picture = null,
    ImmutableArray<HuntedPlace>? Hunt = null
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

/// <summary>A riddle that the adult says; the answer holds the sound and is never printed.</summary>
public sealed record ClueItem(string Id, bool Kept, string Word, string Clue, ImmutableArray<Reason> Reasons)
    : Item(Id, Kept),
        IOfWord,
        IExplained;

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

/// <summary>A place with several things in it, whose words are written.</summary>
/// <param name="Backdrop">Its picture's name in data/pictures.</param>
public sealed record SceneItem(
    string Id,
    bool Kept,
    string Backdrop,
    ImmutableArray<SceneThing> Things,
    ImmutableArray<Reason> Reasons
) : Item(Id, Kept), IExplained;

/// <param name="Marks">For each letter of the word the place of its grapheme.</param>
/// <param name="Upper">True for what is in the sky or on the shelf, false for what is on the ground.</param>
public sealed record SceneThing(string Word, string Picture, ImmutableArray<int> Marks, bool Upper, ThingSize Size);

/// <summary>How large a thing is beside the others.</summary>
public enum ThingSize
{
    Small,
    Medium,
    Large,
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
