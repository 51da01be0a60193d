using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>A move that would make a ladder better.</summary>
/// <param name="After">Id of the rung it would follow; null to be first.</param>
/// <param name="Reading">How many words are readable earlier, each counted once for every rung it gains.</param>
/// <param name="Fixes">Warnings that would go.</param>
/// <param name="Sooner">Words that children know and could read earlier, the widest moves first.</param>
public sealed record MoveSuggestion(
    string RungId, string? After, int From, int To, long Reading, ImmutableArray<LadderWarning> Fixes, ImmutableArray<Word> Sooner);

/// <summary>
/// Moves worth trying: never one that brings a warning that was not there. Source: docs/handbook.md, sections 7 and 8.
/// </summary>
public static class MoveSuggestions
{
    /// <summary>Moves that look best at a glance and are then worked out in full.</summary>
    private const int Looked = 40;

    /// <summary>How far a rung with a warning is tried.</summary>
    private const int Near = 12;
    private const int MostWarned = 6;
    private const int Examples = 6;

    /// <summary>The best place for a rung; null when it stands best where it is.</summary>
    public static MoveSuggestion? ForRung(Ladder ladder, int rung, WordIndex index) =>
        Best(ladder, rung, PlaceAnswers.Of(ladder, rung, index), index);

    /// <summary>The moves that gain most, one for a rung, the best first: those that end a warning before those that only make words readable earlier.</summary>
    public static ImmutableArray<MoveSuggestion> Of(Ladder ladder, WordIndex index, int count)
    {
        var now = LadderAnalysis.Of(ladder, index);
        var here = PlaceAnswers.Answer(-1, now);
        var warned = Enumerable.Range(0, ladder.Rungs.Length).Where(r => !now.Rungs[r].Warnings.IsEmpty).Take(MostWarned)
            .Select(r => Best(ladder, r, PlaceAnswers.Of(ladder, r, index, Near), index)).OfType<MoveSuggestion>().ToList();
        var promising = EarlierMoves(ladder, index).OrderByDescending(m => m.Gain).Take(Looked).ToList();
        var worked = promising.AsParallel().AsOrdered()
            .Select(m => (m.From, Answer: PlaceAnswers.Answer(m.To, LadderAnalysis.Of(ladder.Moved(m.From, m.To), index)))).ToList()
            .Where(m => IsBetter(m.Answer, here)).Select(m => Suggestion(ladder, m.From, here, m.Answer, index));
        return [.. warned.Concat(worked).OrderByDescending(m => m.Fixes.Length).ThenByDescending(m => m.Reading).DistinctBy(m => m.RungId).Take(count)];
    }

    /// <summary>The best of the answers for a rung; null where it stands best where it is.</summary>
    public static MoveSuggestion? Best(Ladder ladder, int rung, ImmutableArray<PlaceAnswer> answers, WordIndex index)
    {
        var here = answers.Single(a => a.To == rung);
        var best = answers.Where(a => IsBetter(a, here)).OrderBy(a => a.Warnings.Length).ThenByDescending(a => a.Reading).ThenBy(a => Math.Abs(a.To - rung)).FirstOrDefault();
        return best is null ? null : Suggestion(ladder, rung, here, best, index);
    }

    /// <summary>No new kind of trouble on any rung, and fewer warnings, or as many and more words read earlier.</summary>
    private static bool IsBetter(PlaceAnswer there, PlaceAnswer here) =>
        there.Warnings.Length < here.Warnings.Length || (there.Warnings.Length == here.Warnings.Length && there.Reading > here.Reading && IsSame(there.Warnings, here.Warnings));

    private static bool IsSame(ImmutableArray<LadderWarning> one, ImmutableArray<LadderWarning> other) =>
        one.Select(w => w.Kind).Order().SequenceEqual(other.Select(w => w.Kind).Order());

    private static MoveSuggestion Suggestion(Ladder ladder, int from, PlaceAnswer here, PlaceAnswer there, WordIndex index)
    {
        var moved = ladder.Moved(from, there.To);
        var sooner = LadderComparison.Of(ladder, moved, new HashSet<string> { ladder.Rungs[from].Id }, index).Earlier;
        var left = there.Warnings.Select(w => (w.Kind, moved.Rungs[w.Rung].Id)).ToHashSet();
        return new MoveSuggestion(ladder.Rungs[from].Id, there.To == 0 ? null : moved.Rungs[there.To - 1].Id, from, there.To, there.Reading - here.Reading,
            [.. here.Warnings.Where(w => !left.Contains((w.Kind, ladder.Rungs[w.Rung].Id)))],
            [.. sooner.Select(m => m.Word).Where(w => w.IsKnown).Take(Examples)]);
    }

    /// <summary>
    /// For each move of a rung to an earlier place what it gains in reading, from the two highest rungs of each word: a word whose highest is
    /// the moved rung comes down to the next highest or the new place; words between come one rung later.
    /// </summary>
    private static IEnumerable<(int From, int To, long Gain)> EarlierMoves(Ladder ladder, WordIndex index)
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
            for (var to = from - 1; to >= 0; to--)
            {
                pushed += newWords[to];
                var gain = nextHighest[from].Sum(next => (long)(from - Math.Max(to, next + (next >= to ? 1 : 0)))) - pushed;
                if (gain > 0) yield return (from, to, gain);
            }
        }
    }
}
