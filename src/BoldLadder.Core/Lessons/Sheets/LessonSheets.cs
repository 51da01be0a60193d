using System.Collections.Frozen;
using System.Collections.Immutable;
using BoldLadder.Core.Randomness;

namespace BoldLadder.Core.Lessons.Sheets;

/// <summary>
/// The sheets that a lesson as it is planned needs: what children write on or hold is laid out for paper, the same
/// items as on the board. Source: docs/handbook.md, section 6 (sheets).
/// </summary>
public static class LessonSheets
{
    private static readonly FrozenDictionary<ActivityKind, SheetKind> OnPaper = new Dictionary<ActivityKind, SheetKind>
    {
        [ActivityKind.SortWords] = SheetKind.SortColumns,
        [ActivityKind.HuntWords] = SheetKind.FindWords,
        [ActivityKind.PhraseSheet] = SheetKind.ChoosePicture,
        [ActivityKind.FillGap] = SheetKind.GapSentences,
        [ActivityKind.Crossword] = SheetKind.Crossword,
        [ActivityKind.ReadText] = SheetKind.ReadAText,
        [ActivityKind.HuntText] = SheetKind.ReadAText,
        [ActivityKind.StoryPrompt] = SheetKind.Story,
    }.ToFrozenDictionary();

    /// <param name="lesson">As it is shown, the school's way laid over it.</param>
    public static IEnumerable<PaperSheet> Of(Lesson lesson) =>
        lesson
            .Activities.Where(a => OnPaper.ContainsKey(a.Kind) && !a.Items.IsEmpty)
            .DistinctBy(a => (OnPaper[a.Kind], a.Items[0].Id[a.Items[0].Id.IndexOf(':', StringComparison.Ordinal)..]))
            .Select(Laid);

    private static PaperSheet Laid(Activity activity)
    {
        var kind = OnPaper[activity.Kind];
        return new PaperSheet(
            kind,
            SheetLevel.Same,
            activity.Items,
            ImmutableSortedDictionary<string, string>.Empty,
            [.. Seeded.For(0, $"bank:{activity.Items[0].Id}").Shuffle(SheetMaker.BankOf(kind, activity.Items))]
        );
    }
}
