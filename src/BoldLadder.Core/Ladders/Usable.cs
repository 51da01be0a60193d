using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders;

/// <summary>Which words a lesson may choose, and how much one is worth to a young reader.</summary>
public static class Usable
{
    /// <summary>Below this commonness a word that is not known at five is left out of lessons.</summary>
    private const double Uncommon = 3.6;

    /// <summary>
    /// True for a word that may stand in a lesson: suitable, one reading, used in Britain, and common or known at five.
    /// Source: docs/handbook.md, section 7 (Choosing words; Known to children).
    /// </summary>
    public static bool InLessons(Word word) =>
        word.Suitability == Suitability.Use
        && (word.Flags & (WordFlags.Heteronym | WordFlags.AmericanOnly)) == WordFlags.None
        && word.Spelling.Length > 1
        && (word.Zipf >= Uncommon || word.Flags.HasFlag(WordFlags.KnownAtFive));

    /// <summary>The words of <paramref name="words"/> that a rung gives its lessons: readable after it, and using what it teaches.</summary>
    public static IEnumerable<Word> Showing(Rung rung, Taught after, IEnumerable<Word> words) =>
        words.Where(w => InLessons(w) && Shows(rung, w) && after.CanRead(w));

    /// <summary>True when the word has what the rung teaches: one of its correspondences, or one of its patterns.</summary>
    public static bool Shows(Rung rung, Word word) =>
        rung.Correspondences.Any(word.Contains) || (word.Patterns & rung.Patterns) != Patterns.None
        || (word.Flags.HasFlag(WordFlags.Bath) && rung.Correspondences.Any(c => c.Notation == "a=ɑː"));
}
