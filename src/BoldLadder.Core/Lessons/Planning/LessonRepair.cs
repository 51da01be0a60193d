using System.Collections.Immutable;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Templates;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>
/// The smallest repair of a lesson that broke: only what can't be read is replaced, by another of its kind, or left out
/// where there is none; an activity that would be empty goes. All else stays as it was made. Source: docs/handbook.md,
/// section 4 (Decodable).
/// </summary>
public static class LessonRepair
{
    /// <summary>The lesson without the broken items; the same when none is.</summary>
    public static Lesson Of(LessonRequest request, Lesson lesson, IReadOnlyList<ItemProblem> problems)
    {
        if (problems.Count == 0)
            return lesson;
        var broken = problems.Select(p => p.ItemId).ToHashSet();
        foreach (var activity in lesson.Activities.ToList())
        {
            var levels = activity.Levels is { } l
                ? new Levels(Whole(l.Support, broken), Whole(l.Stretch, broken))
                : null;
            var repaired = activity with { Levels = levels };
            if (activity.Items.Any(i => broken.Contains(i.Id)))
                repaired = Repaired(request, lesson, repaired, broken);
            lesson = repaired.Items.IsEmpty ? lesson.Without(activity.Id) : lesson.With(repaired);
        }
        return lesson;
    }

    private static Activity Repaired(LessonRequest request, Lesson lesson, Activity activity, HashSet<string> broken)
    {
        // A chain hangs together: it is made anew.
        if (activity.Kind == ActivityKind.WordChain)
        {
            var fresh = LessonChanges.Refill(request, lesson, activity, request.Seed + 1);
            return fresh.Items.Any(i => broken.Contains(i.Id)) ? activity with { Items = [] } : fresh;
        }
        foreach (var item in activity.Items.Where(i => broken.Contains(i.Id)).ToList())
        {
            var replaced = LessonChanges.ReplaceOne(request, lesson, activity, item.Id, request.Seed + 1);
            activity = replaced.Items.Any(i => i.Id == item.Id)
                ? replaced with
                {
                    Items = replaced.Items.RemoveAll(i => i.Id == item.Id),
                }
                : replaced;
        }
        return activity.Items.IsEmpty ? activity : Pace.Holding(activity, activity.Items, request.Pace);
    }

    private static ImmutableArray<Item> Whole(ImmutableArray<Item> items, HashSet<string> broken) =>
        items.RemoveAll(i => broken.Contains(i.Id));
}
