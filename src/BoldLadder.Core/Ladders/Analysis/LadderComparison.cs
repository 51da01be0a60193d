using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>A word that a change makes readable at another place; null is never.</summary>
/// <param name="Before">The place of the rung after which it could be read, from 0; -1 from the start.</param>
public sealed record MovedWord(Word Word, int? Before, int? After);

/// <summary>
/// What a change of a ladder does to the words for lessons: gained and lost altogether, earlier and later by rungs, the
/// widest moves first.
/// A word whose rung was only pushed along by others is not counted. Source: docs/handbook.md, section 7 (Ladder
/// analysis).
/// </summary>
public sealed record LadderComparison(
    ImmutableArray<MovedWord> Gained,
    ImmutableArray<MovedWord> Lost,
    ImmutableArray<MovedWord> Earlier,
    ImmutableArray<MovedWord> Later
)
{
    /// <param name="touched">Ids of the rungs that the change moved or altered.</param>
    public static LadderComparison Of(Ladder before, Ladder after, IReadOnlySet<string> touched, WordIndex index)
    {
        var (was, becomes) = (index.Rungs(before), index.Rungs(after));
        var moved = new List<MovedWord>();
        foreach (var word in index.ForLessons)
        {
            if (was[word] == becomes[word] || WasPushed(was[word], becomes[word]))
                continue;
            moved.Add(new MovedWord(index.Words[word], Place(was[word]), Place(becomes[word])));
        }
        // The words stand commonest first, and sorting keeps that order among equals.
        return new LadderComparison(
            [.. moved.Where(m => m.Before is null)],
            [.. moved.Where(m => m.After is null)],
            [.. moved.Where(m => m.After < m.Before).OrderByDescending(m => m.Before - m.After)],
            [.. moved.Where(m => m.After > m.Before).OrderByDescending(m => m.After - m.Before)]
        );

        bool WasPushed(int from, int to) =>
            from >= 0
            && to >= 0
            && from < before.Rungs.Length
            && to < after.Rungs.Length
            && before.Rungs[from].Id == after.Rungs[to].Id
            && !touched.Contains(after.Rungs[to].Id);
    }

    private static int? Place(int rung) => rung == Ranks.Never ? null : rung;
}
