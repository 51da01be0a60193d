using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// Adds easier and harder items of the same target to the words that are read or spelled, and the steps of their
/// release. Source: docs/handbook.md, sections 5 and 6.
/// </summary>
internal static class Leveled
{
    private const int OfEach = 2;

    public static Activity With(LessonWork work, Activity activity)
    {
        if (activity.Kind is not (ActivityKind.ReadWords or ActivityKind.SpellWords))
            return activity;
        var shown = activity.Items.OfType<WordItem>().ToList();
        if (shown.Count == 0)
            return activity;
        var (least, most) = (shown.Min(w => w.Taps), shown.Max(w => w.Taps));
        var names = shown.Select(w => w.Word).ToHashSet();
        var others = work
            .Own.Where(w =>
                (w.IsKnown || w.Band == Band.Teach)
                && w.Segmentation.Taps <= most + OfEach
                && !names.Contains(w.Spelling)
                && (activity.Kind == ActivityKind.ReadWords || !Choosers.SpellingChoosers.HasTwin(work.Request, w))
            )
            .ToList();
        var support = work.Choice($"{activity.Id}:support")
            .Take(
                others.Where(w => w.IsKnown && w.Suffix is null && w.Segmentation.Taps <= Math.Max(2, least)),
                OfEach
            );
        var stretch = work.Choice($"{activity.Id}:stretch")
            .Take(
                others.Where(w =>
                    w.Segmentation.Taps >= most + 1 || (w.Segmentation.Taps >= most && w.Suffix is not null)
                ),
                OfEach,
                support
            );
        WordItem Item(string level, Word word) =>
            ItemMaker.OfWord(
                $"{activity.Id}:{level}",
                word,
                WordChoice.Explain(work.Request, word),
                meaning: ItemMaker.MeaningFor(work.Request, word)
            );
        var levels =
            support.Count + stretch.Count == 0
                ? null
                : new Levels(
                    [.. support.Select(w => Item("support", w))],
                    [.. stretch.Select(w => Item("stretch", w))]
                );
        return activity with
        {
            Levels = levels,
            Steps = activity.Kind == ActivityKind.ReadWords ? work.Request.Release?.Over(activity.Items.Length) : null,
        };
    }
}
