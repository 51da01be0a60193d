using BoldLadder.Core.Lessons;

namespace BoldLadder.Core.Teaching;

/// <summary>How often, or how long ago.</summary>
public sealed record Counted(string What, int Count);

/// <summary>
/// What is worth seeing of some lessons together before they are taught. Source: docs/handbook.md, section 7 (Choosing
/// words).
/// </summary>
public static class WeekLook
{
    private const int OftenRepeated = 3;
    private const int LongUnseen = 10;

    /// <summary>Words to read that come in three lessons or more, the most often first.</summary>
    public static IEnumerable<Counted> Repeats(IEnumerable<Lesson> lessons) =>
        lessons
            .SelectMany(l =>
                l.Activities.Where(a => a.Kind is ActivityKind.ReadWords or ActivityKind.RecentWords)
                    .SelectMany(a => a.Items)
                    .SelectMany(ReadByChildren.Words)
                    .Distinct()
            )
            .GroupBy(w => w)
            .Where(w => w.Count() >= OftenRepeated)
            .OrderByDescending(w => w.Count())
            .ThenBy(w => w.Key, StringComparer.Ordinal)
            .Select(w => new Counted(w.Key, w.Count()));

    /// <summary>
    /// Taught correspondences that none of the lessons shows and that were not seen for long: reference notations, with
    /// how many lessons ago.
    /// </summary>
    public static IEnumerable<Counted> Unseen(Memory memory, IEnumerable<Lesson> lessons)
    {
        var shown = lessons
            .SelectMany(l => l.Activities)
            .SelectMany(a => a.Items)
            .SelectMany(ReadByChildren.Correspondences)
            .Select(c => c.ReferenceNotation)
            .ToHashSet();
        return memory
            .Seen.Where(s => s.Value >= LongUnseen && !shown.Contains(s.Key.ReferenceNotation))
            .OrderByDescending(s => s.Value)
            .ThenBy(s => s.Key.Notation, StringComparer.Ordinal)
            .Select(s => new Counted(s.Key.ReferenceNotation, s.Value));
    }
}
