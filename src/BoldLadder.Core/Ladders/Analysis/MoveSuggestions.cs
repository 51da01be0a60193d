using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>A move that would make a ladder better.</summary>
/// <param name="After">Id of the rung it would follow; null to be first.</param>
/// <param name="Reading">How many words are readable earlier, each counted once for every rung it gains.</param>
/// <param name="Fixes">Warnings that would go.</param>
/// <param name="Sooner">Words that children know and could read earlier, the widest moves first.</param>
public sealed record MoveSuggestion(
    string RungId,
    string? After,
    int From,
    int To,
    long Reading,
    ImmutableArray<LadderWarning> Fixes,
    ImmutableArray<Word> Sooner
);

/// <summary>
/// Moves worth trying: never one that brings a warning that was not there, and out of its stage only for a rung whose
/// move ends one. Source: docs/handbook.md, sections 7 and 8.
/// </summary>
public static class MoveSuggestions
{
    /// <summary>
    /// So many rungs that look best at a glance, and so many of those with a warning, are tried at every place.
    /// </summary>
    private const int Promising = 8;
    private const int Warned = 4;
    private const int Examples = 6;

    /// <summary>The best place for a rung; null when it stands best where it is.</summary>
    public static MoveSuggestion? ForRung(Ladder ladder, int rung, WordIndex index) =>
        Best(ladder, rung, PlaceAnswers.Of(ladder, rung, index), index);

    /// <summary>
    /// The moves that gain most, one for a rung, the best first: those that end a warning before those that only make
    /// words readable earlier.
    /// </summary>
    /// <param name="sideBySide">How many places are worked out at once; all the machine can when none is given.</param>
    public static ImmutableArray<MoveSuggestion> Of(
        Ladder ladder,
        WordIndex index,
        int count,
        int? sideBySide = null,
        CancellationToken stop = default
    )
    {
        var now = LadderAnalysis.Of(ladder, index);
        // A ladder without a warning has none to end, so that no rung may leave its stage.
        var anywhere = now.Warnings.Any();
        var promising = EarlierMoves(ladder, index, anywhere)
            .GroupBy(m => m.From)
            .OrderByDescending(r => r.Max(m => m.Gain))
            .Take(Promising)
            .Select(r => r.Key);
        var warned = Enumerable
            .Range(0, ladder.Rungs.Length)
            .Where(r => !now.Rungs[r].Warnings.IsEmpty)
            .Take(Warned)
            .ToList();
        var tried = promising
            .Except(warned)
            .Select(r => (Rung: r, Within: anywhere ? int.MaxValue : AcrossStage(ladder, r)))
            .Concat(warned.Select(r => (Rung: r, Within: int.MaxValue)));
        return
        [
            .. tried
                .Select(r =>
                    Best(ladder, r.Rung, PlaceAnswers.Of(ladder, r.Rung, index, r.Within, sideBySide, stop), index)
                )
                .OfType<MoveSuggestion>()
                .OrderByDescending(m => m.Fixes.Length)
                .ThenByDescending(m => m.Reading)
                .Take(count),
        ];
    }

    /// <summary>The best of the answers for a rung; null where it stands best where it is.</summary>
    public static MoveSuggestion? Best(Ladder ladder, int rung, ImmutableArray<PlaceAnswer> answers, WordIndex index)
    {
        var here = answers.Single(a => a.To == rung);
        var best = answers
            .Where(a => IsBetter(a, here) && MayGo(ladder, rung, a, here))
            .OrderBy(a => a.Warnings.Length)
            .ThenByDescending(a => a.Reading)
            .ThenBy(a => Math.Abs(a.To - rung))
            .FirstOrDefault();
        return best is null ? null : Suggestion(ladder, rung, here, best, index);
    }

    /// <summary>
    /// No new kind of trouble on any rung, and fewer warnings, or as many and more words read earlier.
    /// </summary>
    private static bool IsBetter(PlaceAnswer there, PlaceAnswer here) =>
        there.Warnings.Length < here.Warnings.Length
        || (
            there.Warnings.Length == here.Warnings.Length
            && there.Reading > here.Reading
            && IsSame(there.Warnings, here.Warnings)
        );

    /// <summary>How far a rung can go either way before it leaves its stage.</summary>
    private static int AcrossStage(Ladder ladder, int rung)
    {
        var (first, last) = (rung, rung);
        while (first > 0 && ladder.Rungs[first - 1].Stage == ladder.Rungs[rung].Stage)
            first--;
        while (last + 1 < ladder.Rungs.Length && ladder.Rungs[last + 1].Stage == ladder.Rungs[rung].Stage)
            last++;
        return Math.Max(rung - first, last - rung) + 1;
    }

    private static bool MayGo(Ladder ladder, int from, PlaceAnswer there, PlaceAnswer here)
    {
        var moved = ladder.Moved(from, there.To);
        var stage = ladder.Rungs[from].Stage;
        return there.Warnings.Length < here.Warnings.Length
            || (there.To > 0 && moved.Rungs[there.To - 1].Stage == stage)
            || (there.To + 1 < moved.Rungs.Length && moved.Rungs[there.To + 1].Stage == stage);
    }

    private static bool IsSame(ImmutableArray<LadderWarning> one, ImmutableArray<LadderWarning> other) =>
        one.Select(w => w.Kind).Order().SequenceEqual(other.Select(w => w.Kind).Order());

    private static MoveSuggestion Suggestion(
        Ladder ladder,
        int from,
        PlaceAnswer here,
        PlaceAnswer there,
        WordIndex index
    )
    {
        var moved = ladder.Moved(from, there.To);
        var sooner = LadderComparison.Of(ladder, moved, new HashSet<string> { ladder.Rungs[from].Id }, index).Earlier;
        var left = there.Warnings.Select(w => (w.Kind, moved.Rungs[w.Rung].Id)).ToHashSet();
        return new MoveSuggestion(
            RungId: ladder.Rungs[from].Id,
            After: there.To == 0 ? null : moved.Rungs[there.To - 1].Id,
            From: from,
            To: there.To,
            Reading: there.Reading - here.Reading,
            Fixes: [.. here.Warnings.Where(w => !left.Contains((w.Kind, ladder.Rungs[w.Rung].Id)))],
            Sooner: [.. sooner.Select(m => m.Word).Where(w => w.IsKnown).Take(Examples)]
        );
    }

    /// <summary>
    /// For each move of a rung to an earlier place, within its stage or anywhere, what it gains in reading, from the
    /// two highest rungs of each word: a word whose highest is the moved rung comes down to the next highest or the new
    /// place; words between come one rung later.
    /// </summary>
    private static IEnumerable<(int From, int To, long Gain)> EarlierMoves(
        Ladder ladder,
        WordIndex index,
        bool anywhere
    )
    {
        var newWords = new int[ladder.Rungs.Length];
        var nextHighest = Enumerable.Range(0, ladder.Rungs.Length).Select(_ => new List<int>()).ToArray();
        foreach (var (highest, next) in index.TwoHighest(ladder))
        {
            newWords[highest]++;
            nextHighest[highest].Add(next);
        }
        for (var from = 1; from < ladder.Rungs.Length; from++)
        {
            long pushed = 0;
            bool IsOfStage(int rung) => anywhere || ladder.Rungs[rung].Stage == ladder.Rungs[from].Stage;
            for (var to = from - 1; to >= 0; to--)
            {
                pushed += newWords[to];
                var gain =
                    nextHighest[from].Sum(next => (long)(from - Math.Max(to, next + (next >= to ? 1 : 0)))) - pushed;
                if (gain > 0 && (IsOfStage(to) || (to > 0 && IsOfStage(to - 1))))
                    yield return (from, to, gain);
            }
        }
    }
}
