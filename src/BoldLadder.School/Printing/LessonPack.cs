using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Cards;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.Core.Lessons.Showing;
using BoldLadder.Core.Words;

namespace BoldLadder.School.Printing;

/// <summary>The paper of one lesson: its cards on pages, and its sheets.</summary>
/// <param name="Cards">By sort, each once.</param>
/// <param name="Sides">Without backs.</param>
public sealed record LessonPack(
    ImmutableArray<Card> Cards,
    CardGrid Grid,
    ImmutableArray<CardSide> Sides,
    ImmutableArray<PaperSheet> Sheets
)
{
    private static readonly ImmutableArray<CardKind> Kinds =
    [
        CardKind.Graphemes,
        CardKind.Words,
        CardKind.Tricky,
        CardKind.Pictures,
    ];

    /// <param name="lesson">As it is shown, the school's way laid over it.</param>
    public static LessonPack Of(Lesson lesson, Taught after, SchoolWay way, Lexicon lexicon) =>
        Of(lesson, [.. CardsOf(lesson, after, way, lexicon)], CardGrid.Of(CardSize.Hand));

    /// <param name="cards">Those that are to be printed.</param>
    public static LessonPack Of(Lesson lesson, ImmutableArray<Card> cards, CardGrid grid) =>
        new(cards, grid, CardPages.Lay(cards.Length, grid, backs: false), [.. LessonSheets.Of(lesson)]);

    /// <summary>The cards of a lesson, sort by sort, each once.</summary>
    public static IEnumerable<Card> CardsOf(Lesson lesson, Taught after, SchoolWay way, Lexicon lexicon) =>
        Kinds.SelectMany(kind =>
            CardMaking
                .OfLessons(kind, [lesson], after, way, lexicon)
                .Select(card => card with { Kind = kind })
                .DistinctBy(card => card.Key)
        );
}
