using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Marking;

/// <summary>
/// What became of one grapheme of a word that a child spelled. Source: docs/handbook.md, section 7 (Marking).
/// </summary>
public enum Verdict
{
    Ok,

    /// <summary>A plausible other spelling of the sound in the accent: heep for heap.</summary>
    Alt,
    Wrong,
    Missing,

    /// <summary>A look-alike letter: dun for bun.</summary>
    Reversed,
}

/// <summary>What else may be said of a grapheme that is not right.</summary>
[Flags]
public enum MarkNotes
{
    None = 0,

    /// <summary>Its letters are there, in another order: form for from.</summary>
    Order = 1,

    /// <summary>
    /// It may be how the child says the word, by accent or speech: fin for thin. Never an error in reading.
    /// </summary>
    AsSpoken = 2,
}

/// <summary>The mark for one grapheme of the target.</summary>
/// <param name="Written">The letters the child wrote for it; empty when it is missing.</param>
public sealed record GraphemeMark(Correspondence Target, Verdict Verdict, string Written, MarkNotes Notes);

/// <summary>Letters that belong to no grapheme of the target.</summary>
/// <param name="Before">They stand before the grapheme at this place, from 0; the number of graphemes when they come
/// last.</param>
/// <param name="OutOfOrder">True when they are those of a missing grapheme.</param>
public sealed record ExtraLetters(string Letters, int Before, bool OutOfOrder);

/// <summary>A marked attempt: a verdict for each grapheme of the target.</summary>
public sealed record Mark(ImmutableArray<GraphemeMark> Graphemes, ImmutableArray<ExtraLetters> Extra, bool Whole)
{
    /// <summary>One for each grapheme that is right.</summary>
    public int Ticks => Graphemes.Count(g => g.Verdict == Verdict.Ok);

    public int OutOf => Graphemes.Length;

    /// <summary>All notes there are, in the marks and the extra letters.</summary>
    public MarkNotes Notes =>
        Graphemes.Aggregate(MarkNotes.None, (all, g) => all | g.Notes)
        | (Extra.Any(e => e.OutOfOrder) ? MarkNotes.Order : MarkNotes.None);
}

/// <summary>The attempt can't be marked; the message says what to do.</summary>
public sealed class AttemptRefusedException(string message) : Exception(message);
