using System.Collections.Frozen;
using System.Collections.Immutable;
using BoldLadder.Core.Lessons.Templates;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// What fills one kind of activity; what else is to be known of the kind says <see cref="ActivityFacts"/>. Items obey
/// section 7 of docs/handbook.md.
/// </summary>
/// <param name="Choose">The items for an activity with this id, at most as many as asked.</param>
public sealed record Chooser(ActivityKind Kind, Func<LessonWork, string, int, IEnumerable<Item>> Choose)
{
    /// <summary>The chooser of each kind: adding a kind means adding a row to one of these lists.</summary>
    public static FrozenDictionary<ActivityKind, Chooser> All { get; } =
        RevisitChoosers
            .All.Concat(TeachChoosers.All)
            .Concat(ReadingChoosers.All)
            .Concat(SpellingChoosers.All)
            .Concat(ApplyChoosers.All)
            .Concat(EarChoosers.All)
            .Concat(TrickyChoosers.All)
            .Concat(AgainChoosers.All)
            .Concat(BuildChoosers.All)
            .Concat(SheetChoosers.All)
            .Concat(ContrastChoosers.All)
            .Concat(OrderChoosers.All)
            .Concat(ChunkChoosers.All)
            .Concat(SceneChooser.All)
            .ToFrozenDictionary(c => c.Kind);

    /// <summary>An activity of the kind; null when there is too little to choose from.</summary>
    public static Activity? Make(LessonWork work, ActivityKind kind, PartKind part, int count, string? id = null)
    {
        var facts = ActivityFacts.Of(kind);
        var own = id ?? facts.IdIn(part);
        ImmutableArray<Item> items = [.. All[kind].Choose(work, own, count).DistinctBy(i => i.Id)];
        if (items.Length < Math.Max(1, Math.Min(facts.Fewest, count)))
        {
            work.Settle([]);
            return null;
        }
        var made = new Activity(
            own,
            kind,
            facts.Response,
            0,
            items,
            facts.Released ? work.Request.Release?.Over(items.Length) : null
        );
        made = Leveled.With(work, made);
        work.Settle([.. made.Items, .. made.Levels?.Support ?? [], .. made.Levels?.Stretch ?? []]);
        return Pace.Timed(made, work.Request.Pace);
    }
}
