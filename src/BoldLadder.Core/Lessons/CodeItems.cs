using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons;

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

/// <summary>
/// What is new beside what was taught for the same sound, or with the same letters. The first is today's.
/// </summary>
/// <param name="BySound">True for spellings of one sound; false for sounds of one spelling.</param>
public sealed record BesideItem(string Id, bool Kept, bool BySound, ImmutableArray<BesideCard> Cards) : Item(Id, Kept);

/// <param name="Example">A word children can read that has it; null where there is none.</param>
public sealed record BesideCard(string Correspondence, string Grapheme, string Sounds, string KeyWord, string? Example);
