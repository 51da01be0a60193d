using System.Collections.Immutable;

namespace BoldLadder.Core.Ladders.Editing;

/// <summary>
/// Changes a ladder by steps, all or none, with the steps that take it back; and says when two people's changes get in
/// each other's way.
/// </summary>
public static class LadderEditing
{
    /// <summary>More rungs than three school years have teaching days: a ladder stays below.</summary>
    public const int MostRungs = 600;

    /// <summary>Letters in the name of a stage, a rung's id, a reason.</summary>
    public const int LongestName = 120;

    /// <exception cref="RefusedException">A step can't be done; none is.</exception>
    public static (Ladder After, ImmutableArray<LadderStep> Inverse) Apply(Ladder ladder, IEnumerable<LadderStep> steps)
    {
        var inverse = new List<LadderStep>();
        foreach (var step in steps)
        {
            var after = step.Apply(ladder);
            inverse.InsertRange(0, step.Inverse(ladder));
            ladder = after;
        }
        return (ladder, [.. inverse]);
    }

    /// <summary>
    /// True when the steps change or rely on something in common: then they can't just be done one after the other.
    /// </summary>
    public static bool Collide(IEnumerable<LadderStep> mine, IEnumerable<LadderStep> theirs)
    {
        var (one, other) = (Keys(mine), Keys(theirs));
        return one.Writes.Overlaps(other.Writes)
            || one.Writes.Overlaps(other.Reads)
            || one.Reads.Overlaps(other.Writes);
    }

    /// <summary>The rungs that the steps move or change.</summary>
    public static ImmutableHashSet<string> Touched(IEnumerable<LadderStep> steps) =>
        [.. steps.SelectMany(s => s.Touched())];

    private static (HashSet<string> Writes, HashSet<string> Reads) Keys(IEnumerable<LadderStep> steps)
    {
        var all = steps.ToList();
        return ([.. all.SelectMany(s => s.Writes())], [.. all.SelectMany(s => s.Reads())]);
    }
}
