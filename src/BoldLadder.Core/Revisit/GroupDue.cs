using System.Collections.Immutable;

namespace BoldLadder.Core.Revisit;

/// <summary>Why a target is due for a group, the strongest reason first.</summary>
public enum DueWhy
{
    /// <summary>Children got it wrong when it was last marked.</summary>
    MissedBy,

    /// <summary>Nobody saw it for so long that it comes back whatever is remembered.</summary>
    LongUnseen,

    /// <summary>Children are likely to be forgetting it.</summary>
    Fading,

    /// <summary>It is held, and comes round.</summary>
    Round,
}

/// <summary>A target with how much it is needed by a group, and why.</summary>
/// <param name="Need">The share of the group that is likely to have lost it, the slowest counted more; over 1 for what
/// comes before all else.</param>
/// <param name="Children">Of how many children the reason speaks.</param>
/// <param name="Seen">The day the group saw it last; null for never.</param>
public sealed record DueTarget(MemoryTarget Target, double Need, DueWhy Why, int Children, DateOnly? Seen);

/// <summary>
/// What is due for a group on a day: asked of each child's memory and weighed over the group, with a ceiling on how
/// long anything may go unseen. For one child it is the same. Source: docs/handbook.md, section 7 (Revisit choice).
/// </summary>
public static class GroupDue
{
    /// <summary>What nobody saw for so many days comes back before all else, but for what was missed last.</summary>
    public const int LongestUnseen = 18;

    private const double Lost = 0.5;

    /// <param name="children">For each child what is known of it, by target; a child without a target does not have it.
    /// For a group of which no child is known, the group itself.</param>
    /// <param name="day">The day for which it is asked.</param>
    public static ImmutableArray<DueTarget> Of(
        IReadOnlyList<IReadOnlyDictionary<MemoryTarget, Remembered>> children,
        DateOnly day
    )
    {
        var targets = children.SelectMany(c => c.Keys).Distinct().ToList();
        if (targets.Count == 0)
            return [];
        var weights = children.Select(c => Weight(c, targets, day)).ToList();
        return
        [
            .. targets
                .Select(t => Of(t, children, weights, day))
                .OrderByDescending(d => d.Need)
                .ThenBy(d => d.Target.ToString(), StringComparer.Ordinal),
        ];
    }

    /// <summary>How much more a child counts that has little of what was taught.</summary>
    private const double Slower = 5;

    /// <summary>
    /// How much it counts that nobody saw it for long: the slowest have lost most of what was not seen.
    /// </summary>
    private const double Unseen = 0.5;

    /// <summary>
    /// Of what a child has lost, how much counts in any case, and how much by what is still there: a card brings back
    /// what is half there, and does little for what is gone.
    /// </summary>
    private const double Gone = 0.5;
    private const double HalfThere = 1;

    /// <summary>How much it counts that children had it wrong last time.</summary>
    private const double LastMissed = 0.05;

    /// <summary>The less a child has of all that was taught, the more it counts.</summary>
    private static double Weight(
        IReadOnlyDictionary<MemoryTarget, Remembered> child,
        List<MemoryTarget> targets,
        DateOnly day
    ) => 1 + (Slower * (1 - targets.Average(t => child.GetValueOrDefault(t)?.On(day) ?? 0)));

    private static DueTarget Of(
        MemoryTarget target,
        IReadOnlyList<IReadOnlyDictionary<MemoryTarget, Remembered>> children,
        List<double> weights,
        DateOnly day
    )
    {
        DateOnly? seen = null;
        var (missed, lost) = (0, 0);
        var (gone, all) = (0.0, 0.0);
        for (var i = 0; i < children.Count; i++)
        {
            var known = children[i].GetValueOrDefault(target);
            var recall = known?.On(day) ?? 0;
            if (known?.SeenOn is { } on && !(seen >= on))
                seen = on;
            if (known?.Last is { IsMiss: true })
                missed++;
            if (recall < Lost)
                lost++;
            gone += weights[i] * (1 - recall) * (Gone + (HalfThere * recall));
            all += weights[i];
        }
        var unseen = seen is { } before ? Math.Min(1, (day.DayNumber - before.DayNumber) / (double)LongestUnseen) : 0;
        var need = (gone / all) + (LastMissed * missed / children.Count) + (Unseen * unseen);
        if (seen is { } last && day.DayNumber - last.DayNumber >= LongestUnseen)
            return new DueTarget(target, need + 1, DueWhy.LongUnseen, 0, seen);
        return missed > 0 ? new DueTarget(target, need, DueWhy.MissedBy, missed, seen)
            : lost > 0 ? new DueTarget(target, need, DueWhy.Fading, lost, seen)
            : new DueTarget(target, need, DueWhy.Round, 0, seen);
    }
}
