using System.Collections.Immutable;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>What a ladder would be with one rung at a place.</summary>
/// <param name="To">The place, from 0; where the rung stands now is among the answers.</param>
/// <param name="Warnings">Warnings of the whole ladder.</param>
/// <param name="Reading">Words that children know, readable after each rung, added up over the rungs: one word a rung
/// earlier is one more.</param>
public sealed record PlaceAnswer(int To, ImmutableArray<LadderWarning> Warnings, long Reading);

/// <summary>
/// The answers for all places that one rung could be dragged to, worked out side by side. Source: docs/handbook.md,
/// section 7 (Ladder analysis).
/// </summary>
public static class PlaceAnswers
{
    /// <param name="within">Only places so near are tried.</param>
    /// <param name="sideBySide">How many are worked out at once; all the machine can when none is given.</param>
    /// <exception cref="OperationCanceledException">Stopped on the way.</exception>
    public static ImmutableArray<PlaceAnswer> Of(
        Ladder ladder,
        int rung,
        WordIndex index,
        int within = int.MaxValue,
        int? sideBySide = null,
        CancellationToken stop = default
    )
    {
        var first = Math.Max(0, rung - (long)within);
        var last = Math.Min(ladder.Rungs.Length - 1, rung + (long)within);
        return
        [
            .. Enumerable
                .Range((int)first, (int)(last - first) + 1)
                .AsParallel()
                .AsOrdered()
                .WithDegreeOfParallelism(sideBySide ?? Environment.ProcessorCount)
                .WithCancellation(stop)
                .Select(to => Answer(to, LadderAnalysis.Of(ladder.Moved(rung, to), index))),
        ];
    }

    internal static PlaceAnswer Answer(int to, LadderAnalysis analysis) =>
        new(
            to,
            [.. analysis.Warnings],
            analysis.Rungs.Select((r, i) => (long)r.KnownWords * (analysis.Rungs.Length - i)).Sum()
        );
}
