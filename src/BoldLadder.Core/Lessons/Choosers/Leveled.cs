using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// Adds easier and harder items of the same target to the words that are read or spelled, and the steps of their
/// release. Source: docs/handbook.md, sections 5 and 6.
/// </summary>
internal static class Leveled
{
    /// <summary>So many easier words, and so many harder ones.</summary>
    internal const int OfEach = 2;

    private static readonly Reason NoEasier = Reason.Of("no-easier");
    private static readonly Reason TheseAlone = Reason.Of("these-alone");
    private static readonly Reason NoHarder = Reason.Of("no-harder");

    public static Activity With(LessonWork work, Activity activity)
    {
        if (activity.Kind is not (ActivityKind.ReadWords or ActivityKind.SpellWords))
            return activity;
        var shown = activity.Items.OfType<WordItem>().ToList();
        if (shown.Count == 0)
            return activity;
        var lengths = shown.Select(w => w.Taps).Order().ToList();
        var (middle, most) = (lengths[lengths.Count / 2], lengths[^1]);
        var names = shown.Select(w => w.Word).ToHashSet();
        var others = work.Picked(work.Own)
            .Where(w =>
                (w.IsKnown || w.Band == Band.Teach)
                && w.Segmentation.Taps <= most + OfEach
                && !names.Contains(w.Spelling)
                && (activity.Kind == ActivityKind.ReadWords || Choosers.SpellingChoosers.MayBeDictated(work, w))
            )
            .ToList();
        var easy = others.Where(w => w.IsKnown && w.Suffix is null && w.Segmentation.Taps <= middle).ToList();
        var least = easy.Count == 0 ? 0 : easy.Min(w => w.Segmentation.Taps);
        var support = work.Choice($"{activity.Id}:support")
            .Take(easy.Where(w => w.Segmentation.Taps <= Math.Max(least, lengths[0])), OfEach);
        // Where all easy words are there already, the easiest of them are enough for who needs it easier.
        var again =
            support.Count > 0
                ? []
                : shown
                    .Select(w => work.Request.Lexicon.Find(w.Word))
                    .OfType<Word>()
                    .Where(w => work.IsOwn(w) && w.Segmentation.Taps <= middle)
                    .Take(OfEach)
                    .ToList();
        if (support.Count == 0 && shown.Count > again.Count)
            support = again;
        var stretch = work.Choice($"{activity.Id}:stretch")
            .Take(
                others.Where(w =>
                    w.Segmentation.Taps > most
                    || (w.Segmentation.Taps == most && (w.Suffix is not null || w.Segmentation.Syllables > 1))
                ),
                OfEach,
                support
            );
        WordItem Item(string level, Word word) =>
            ItemMaker.OfWord(
                $"{activity.Id}:{level}",
                word,
                WordChoice.Explain(work.Request, word),
                meaning: ItemMaker.MeaningFor(work.Request, word),
                sentence: activity.Kind == ActivityKind.SpellWords
                    ? shown.FirstOrDefault(w => w.Word == word.Spelling)?.Sentence
                        ?? SpellingChoosers.SaidWith(work, word)
                    : null
            );
        return activity with
        {
            Levels = new Levels(
                [.. support.Select(w => Item("support", w))],
                [.. stretch.Select(w => Item("stretch", w))],
                [
                    .. support.Count == 0 ? (ReadOnlySpan<Reason>)[NoEasier]
                    : support == again ? [TheseAlone]
                    : [],
                    .. stretch.Count == 0 ? (ReadOnlySpan<Reason>)[NoHarder] : [],
                ]
            ),
        };
    }
}
