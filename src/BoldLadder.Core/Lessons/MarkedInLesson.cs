using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons;

/// <summary>What of a lesson children's marks are about. Source: docs/handbook.md, section 7 (Marking).</summary>
public static class MarkedInLesson
{
    /// <summary>The words that children write when they are said, in the lesson's order.</summary>
    public static IEnumerable<string> SpelledWords(this Lesson lesson) =>
        lesson
            .Activities.Where(a =>
                a.Kind is ActivityKind.SpellWords or ActivityKind.SpellTricky or ActivityKind.DictateSentence
            )
            .SelectMany(a => a.Items)
            .SelectMany(ReadByChildren.Words)
            .Distinct(StringComparer.Ordinal);

    /// <summary>Its tricky words, each with the places of its tricky part.</summary>
    public static IReadOnlyDictionary<string, ImmutableArray<int>> TrickyParts(this Lesson lesson) =>
        lesson
            .Activities.SelectMany(a => a.Items)
            .OfType<WordItem>()
            .Where(w => w.Tricky.Length > 0)
            .DistinctBy(w => w.Word)
            .ToDictionary(w => w.Word, w => w.Tricky, StringComparer.Ordinal);
}
