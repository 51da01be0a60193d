using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders;

/// <summary>Which words a lesson may choose, and how much one is worth to a young reader.</summary>
public static class Usable
{
    /// <summary>The words of <paramref name="words"/> that a rung gives its lessons: readable after it, and using what it teaches.</summary>
    public static IEnumerable<Word> Showing(Rung rung, Taught after, IEnumerable<Word> words) =>
        words.Where(w => w.IsForLessons && Shows(rung, w) && after.CanRead(w));

    /// <summary>True when the word has what the rung teaches: one of its correspondences, or one of its patterns.</summary>
    public static bool Shows(Rung rung, Word word) =>
        rung.Correspondences.Any(word.Contains) || (word.Patterns & rung.Patterns) != Patterns.None
        || (word.Flags.HasFlag(WordFlags.Bath) && rung.Correspondences.Any(c => c.Notation == "a=ɑː"));
}
