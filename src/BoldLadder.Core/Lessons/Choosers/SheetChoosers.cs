using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The activities of Apply that fill a sheet: phrases with pictures, a text to hunt through. Source: docs/handbook.md,
/// section 6 (Apply).
/// </summary>
internal static class SheetChoosers
{
    private const int FewestPhrases = 4;
    private const int MostPhrases = 8;
    private const int FewestToHunt = 3;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.PhraseSheet, PhraseSheet),
        new(ActivityKind.HuntText, (work, id, count) => ApplyChoosers.Texts(work, id, FewestToHunt)),
    ];

    /// <summary>Phrases, each with pictures to choose from: enough for a sheet, or none.</summary>
    private static IEnumerable<Item> PhraseSheet(LessonWork work, string id, int count)
    {
        ImmutableArray<Item> phrases =
        [
            .. ApplyChoosers.Phrases(work, id, Math.Clamp(count, FewestPhrases, MostPhrases)),
        ];
        return phrases.Length < FewestPhrases ? [] : phrases;
    }
}
