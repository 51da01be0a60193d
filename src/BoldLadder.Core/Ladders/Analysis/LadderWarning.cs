using System.Collections.Immutable;
using System.Globalization;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>
/// What can be wrong with a rung's place. Source: docs/handbook.md, section 7 (Ladder analysis) and section 8.
/// </summary>
public enum WarningKind
{
    /// <summary>Fewer than five usable words, and no reason given. Arguments: how many.</summary>
    Thin,

    /// <summary>A look-alike letter too near. Arguments: the other grapheme, rungs between, rungs asked for.</summary>
    LookAlike,

    /// <summary>A sound-alike too near. Arguments as <see cref="LookAlike"/>.</summary>
    SoundAlike,

    /// <summary>
    /// A second spelling of a sound too soon. Arguments: the first spelling, rungs between, rungs asked for.
    /// </summary>
    SecondSpelling,

    /// <summary>
    /// A second sound of a spelling too soon. Arguments: the first sound, rungs between, rungs asked for.
    /// </summary>
    SecondSound,

    /// <summary>The same correspondence again. Arguments: its notation, the number of the first rung.</summary>
    TaughtTwice,

    /// <summary>A whole before its parts. Arguments: the whole, the part that must come first.</summary>
    WholeBeforePart,

    /// <summary>A suffix before there is a base to add it to. Arguments: the suffix's id.</summary>
    SuffixBeforeBase,

    /// <summary>
    /// A tricky word that is readable by then. Arguments: the word, the number of the rung that makes it readable.
    /// </summary>
    TrickyAfterReadable,

    /// <summary>More than five new tricky words within five rungs. Arguments: how many.</summary>
    TooManyTricky,

    /// <summary>No new tricky word for long, while common words can't be read. Arguments: rungs without one.</summary>
    NoTrickyForLong,

    /// <summary>Tricky words easily mixed up within a week. Arguments: the two words.</summary>
    TrickyMixedUp,

    /// <summary>The accent makes no difference here. Arguments: what is taught, what it sounds the same as.</summary>
    AccentMerges,

    /// <summary>
    /// Too few words can be read early. Arguments: how many, how many there should be, after so many rungs.
    /// </summary>
    FewWordsEarly,

    /// <summary>Fewer than two vowels among the first eight. Arguments: how many.</summary>
    FewVowelsEarly,

    /// <summary>More than four consonants in a row among the first twelve. Arguments: how many.</summary>
    ConsonantsInARow,

    /// <summary>Fewer than half of the first six consonants can be held. Arguments: how many.</summary>
    FewHeld,

    /// <summary>
    /// A rule of the ladder's school of order is broken. Arguments: the rule's code, what comes too late or too early.
    /// </summary>
    ApproachLeft,

    /// <summary>No teaching day is left for the rung. Arguments: none.</summary>
    CalendarOverrun,

    /// <summary>No review day in the rhythm. Arguments: none; stands on the first rung.</summary>
    NoReview,

    /// <summary>Taught after the date it must be taught by. Arguments: what, the date (ISO).</summary>
    CheckpointMissed,
}

/// <summary>One warning on a rung, as data: screens own the sentence.</summary>
public sealed record LadderWarning(int Rung, WarningKind Kind, ImmutableArray<string> Arguments)
{
    /// <param name="arguments">Strings and whole numbers.</param>
    public static LadderWarning On(int rung, WarningKind kind, params ImmutableArray<object> arguments) =>
        new(rung, kind, [.. arguments.Select(a => Convert.ToString(a, CultureInfo.InvariantCulture)!)]);

    public bool Equals(LadderWarning? other) =>
        other is not null && Rung == other.Rung && Kind == other.Kind && Arguments.SequenceEqual(other.Arguments);

    public override int GetHashCode() => HashCode.Combine(Rung, Kind, Arguments.Length);
}
