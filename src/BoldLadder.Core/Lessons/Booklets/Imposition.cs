using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons.Booklets;

/// <summary>How paper becomes a booklet of eight pages.</summary>
public enum Folding
{
    /// <summary>One sheet printed on one side, cut in its middle and folded to an eighth.</summary>
    OneSheet,

    /// <summary>Two sheets printed on both sides, one in the other, folded once.</summary>
    TwoSheets,
}

/// <param name="Page">From 0.</param>
/// <param name="Turned">True where it stands on its head.</param>
public sealed record PlacedPage(int Page, bool Turned);

/// <summary>One printed side of a sheet that lies on its long edge: its pages row by row.</summary>
public sealed record FoldedSide(int Columns, int Rows, ImmutableArray<PlacedPage> Pages);

/// <summary>Where each page of a booklet stands on the paper. Source: docs/handbook.md, section 6 (booklets).</summary>
public static class Imposition
{
    /// <summary>A booklet has these pages, its cover among them, on one sheet or on two.</summary>
    public const int Pages = 8;

    /// <summary>
    /// The sides in the order in which they are printed. Two sheets are turned over their short edge.
    /// </summary>
    public static ImmutableArray<FoldedSide> Sides(Folding folding) =>
        folding == Folding.OneSheet
            ?
            [
                // The upper row goes behind and over: the outer columns and the two pairs at the cut are the leaves.
                new FoldedSide(
                    4,
                    2,
                    [Turned(6), Turned(5), Turned(4), Turned(3), Upright(7), Upright(0), Upright(1), Upright(2)]
                ),
            ]
            :
            [
                .. Enumerable
                    .Range(0, Pages / 4)
                    .SelectMany(sheet =>
                        new[]
                        {
                            Spread(Pages - 1 - (2 * sheet), 2 * sheet),
                            Spread((2 * sheet) + 1, Pages - 2 - (2 * sheet)),
                        }
                    ),
            ];

    private static FoldedSide Spread(int left, int right) => new(2, 1, [Upright(left), Upright(right)]);

    private static PlacedPage Upright(int page) => new(page, false);

    private static PlacedPage Turned(int page) => new(page, true);
}
