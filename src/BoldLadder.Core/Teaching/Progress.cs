using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Teaching;

/// <summary>
/// Where a group stands on its ladder. What was taught comes from the log alone, so reordering the ladder takes nothing
/// away; what is next is the ladder's first rungs with something not in the log. Source: docs/handbook.md, section 4
/// (Decodable).
/// </summary>
public sealed class Progress
{
    private readonly Standing standing;
    private readonly Ladder ladder;
    private readonly ImmutableArray<Correspondence> taught;

    public Progress(Ladder ladder, Standing standing)
    {
        (this.ladder, this.standing) = (ladder, standing);
        taught = [.. standing.Taught.Select(t => Correspondence.Parse(t.What))];
        Correspondences = CorrespondenceSet.Of(taught);
        Patterns = PatternIds.Parse(standing.Patterns.Select(p => p.What));
        Remaining = [.. StillToCome()];
    }

    public CorrespondenceSet Correspondences { get; }

    public Patterns Patterns { get; }

    /// <summary>Tricky words taught so far, oldest first.</summary>
    public ImmutableArray<string> Tricky => standing.Tricky;

    /// <summary>Rungs with something still to teach, in the ladder's order.</summary>
    public ImmutableArray<Rung> Remaining { get; }

    /// <summary>True when the group has been taught something.</summary>
    public bool HasBegun => Correspondences.Count > 0 || Patterns != Patterns.None;

    /// <summary>
    /// Tricky words of rungs that the group has behind it, never taught to it: put there after it had passed.
    /// </summary>
    public IEnumerable<string> MissedTricky => ladder.Rungs.Except(Remaining).SelectMany(r => r.Tricky).Except(Tricky);

    /// <summary>
    /// The day on which the last of what a rung teaches was taught first; of a quiet rung the day it was held last;
    /// null while it was not.
    /// </summary>
    public DateOnly? TaughtOn(Rung rung)
    {
        if (!rung.TeachesSomething)
            return standing.Rungs.TryGetValue(rung.Id, out var held) ? held : null;
        var firsts = rung
            .Correspondences.Select(c => standing.Taught.FirstOrDefault(t => t.What == c.Notation)?.First)
            .Concat(rung.Patterns.Each().Select(p => standing.Patterns.FirstOrDefault(t => t.What == p.Id())?.First));
        return firsts.Max();
    }

    /// <summary>
    /// What counts as taught before the lesson that is <paramref name="ahead"/> rungs from now: the log, plus what the
    /// ladder plans until then.
    /// </summary>
    public Taught Before(int ahead, Leniencies leniencies, Accent accent)
    {
        var planned = Remaining.Take(ahead).ToList();
        return new Taught(
            Correspondences.Add(planned.SelectMany(r => r.Correspondences)),
            planned.Aggregate(Patterns, (all, r) => all | r.Patterns),
            ladder.Free,
            ladder.Allow(leniencies),
            accent
        );
    }

    private IEnumerable<Rung> StillToCome()
    {
        var nothingLater = true;
        // A day that brings nothing new is behind the group once it was held, or once a later rung was taught.
        return ladder.Rungs.Reverse().Where(IsToCome).ToList().AsEnumerable().Reverse();

        bool IsToCome(Rung rung)
        {
            if (!rung.TeachesSomething)
                return nothingLater
                    && !standing.Rungs.ContainsKey(rung.Id)
                    && (rung.Tricky.IsEmpty || !rung.Tricky.All(Tricky.Contains));
            var toCome =
                !rung.Correspondences.All(Correspondences.Contains) || (rung.Patterns & ~Patterns) != Patterns.None;
            nothingLater &= toCome;
            return toCome;
        }
    }

    /// <summary>
    /// What the group has in memory before the lesson that is <paramref name="ahead"/> rungs from now, as far as the
    /// log tells; what the last lesson missed counts for the next alone.
    /// </summary>
    public Memory MemoryAt(int ahead) =>
        new()
        {
            Seen = Recall(ahead),
            Words = standing.Words.ToDictionary(
                w => w.What,
                w => standing.Lessons - w.Lesson + 1 + ahead,
                StringComparer.Ordinal
            ),
            Newest = Newest(ahead),
            Missed = ahead == 0 ? [.. standing.Missed.Select(Correspondence.Parse)] : [],
        };

    public ImmutableArray<string> TrickyBefore(int ahead) =>
        [.. Tricky.Concat(Remaining.Take(ahead).SelectMany(r => r.Tricky)).Distinct()];

    /// <summary>
    /// For each taught correspondence how many lessons ago it was taught or shown; what is planned until then counts as
    /// just seen.
    /// </summary>
    private Dictionary<Correspondence, int> Recall(int ahead)
    {
        var recall = standing.Seen.ToDictionary(
            s => Correspondence.Parse(s.What),
            s => standing.Lessons - s.Lesson + 1 + ahead
        );
        for (var i = 0; i < Math.Min(ahead, Remaining.Length); i++)
        {
            foreach (var c in Remaining[i].Correspondences)
                recall[c] = ahead - i;
        }
        return recall;
    }

    /// <summary>
    /// Correspondences by when they were taught, or will be before the lesson that is <paramref name="ahead"/> lessons
    /// from now; the newest first.
    /// </summary>
    public ImmutableArray<Correspondence> Newest(int ahead) =>
        [.. taught.Concat(Remaining.Take(ahead).SelectMany(r => r.Correspondences)).Reverse().Distinct()];
}
