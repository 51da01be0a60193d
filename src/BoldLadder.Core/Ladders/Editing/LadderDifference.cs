using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Editing;

/// <summary>
/// What must be done to one ladder to get another: as few moves as can be, so that it reads as what a person did. Used
/// to show a difference, and to bring an earlier version back as a change like any other.
/// </summary>
public static class LadderDifference
{
    public static ImmutableArray<LadderStep> Between(Ladder before, Ladder after)
    {
        var steps = new List<LadderStep>();
        var now = before;
        void Do(LadderStep step)
        {
            now = step.Apply(now);
            steps.Add(step);
        }

        foreach (
            var gone in before.Rungs.Where(r =>
                after.IndexOf(r.Id) is var at && (at < 0 || after.Rungs[at].Kind != r.Kind)
            )
        )
            Do(new RemoveRung(gone.Id));
        var kept = InOrder(now, after);
        string? previous = null;
        foreach (var rung in after.Rungs)
        {
            if (now.IndexOf(rung.Id) < 0)
                Do(new InsertRung(RungDocument.Of(rung with { Tricky = [] }), previous));
            else if (!kept.Contains(rung.Id))
                Do(new MoveRung(rung.Id, previous));
            previous = rung.Id;
        }
        foreach (var (was, rung) in now.Rungs.Zip(after.Rungs))
        {
            var chunks = rung.Chunks.Select(c => c.Notation).ToList();
            if (
                !was.Correspondences.SequenceEqual(rung.Correspondences)
                || was.Patterns != rung.Patterns
                || !was.Chunks.Select(c => c.Notation).SequenceEqual(chunks)
            )
            {
                Do(
                    new TeachOn(
                        rung.Id,
                        [.. rung.Correspondences.Select(c => c.Notation)],
                        [.. rung.Patterns.Each().Select(p => p.Id())],
                        chunks.Count == 0 ? null : chunks
                    )
                );
            }
            if (was.Stage != rung.Stage)
                Do(new NameStage(rung.Id, rung.Stage));
            if (was.Reason != rung.Reason)
                Do(new GiveReason(rung.Id, rung.Reason));
        }
        var tricky = after.Rungs.SelectMany(r => r.Tricky).ToHashSet();
        foreach (var gone in now.Rungs.SelectMany(r => r.Tricky).Where(t => !tricky.Contains(t)).ToList())
            Do(new PlaceTricky(gone, null));
        for (var i = 0; i < after.Rungs.Length; i++)
        {
            for (var at = 0; at < after.Rungs[i].Tricky.Length; at++)
            {
                var word = after.Rungs[i].Tricky[at];
                if (at >= now.Rungs[i].Tricky.Length || now.Rungs[i].Tricky[at] != word)
                    Do(new PlaceTricky(word, after.Rungs[i].Id, at));
            }
        }
        if (before.Free != after.Free)
            Do(new FreePatterns([.. after.Free.Each().Select(p => p.Id())]));
        return [.. steps];
    }

    /// <summary>
    /// The most rungs that stand in the same order on both: these need no move (the longest increasing run of places).
    /// </summary>
    private static HashSet<string> InOrder(Ladder before, Ladder after)
    {
        var places = before.Rungs.Select(r => after.IndexOf(r.Id)).ToList();
        var (length, from) = (new int[places.Count], new int[places.Count]);
        var best = -1;
        for (var i = 0; i < places.Count; i++)
        {
            (length[i], from[i]) = (1, -1);
            for (var j = 0; j < i; j++)
            {
                if (places[j] < places[i] && length[j] >= length[i])
                    (length[i], from[i]) = (length[j] + 1, j);
            }
            if (best < 0 || length[i] > length[best])
                best = i;
        }
        var kept = new HashSet<string>();
        for (var i = best; i >= 0; i = from[i])
            kept.Add(before.Rungs[i].Id);
        return kept;
    }
}
