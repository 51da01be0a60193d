using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;

namespace BoldLadder.Core.Lessons.Cards;

/// <summary>How large cards are, by what they are for.</summary>
public enum CardSize
{
    Wall,
    Hand,
    Table,
    Tile,
}

/// <summary>How many cards of a size a page has: a row of data/templates/cards.tsv.</summary>
public sealed record CardGrid(CardSize Size, int Columns, int Rows)
{
    private static readonly FrozenDictionary<CardSize, CardGrid> BySize = InventoryData
        .Rows("cards.tsv")
        .Select(r => new CardGrid(InventoryData.Parse<CardSize>(r[0]), Number(r[1]), Number(r[2])))
        .ToFrozenDictionary(g => g.Size);

    public int Count => Columns * Rows;

    /// <summary>A size without its row fails when the core is loaded.</summary>
    public static ImmutableArray<CardGrid> All { get; } = [.. Enum.GetValues<CardSize>().Select(s => BySize[s])];

    public static CardGrid Of(CardSize size) => BySize[size];

    private static int Number(string text) => int.Parse(text, CultureInfo.InvariantCulture);
}

/// <summary>One printed side of a page of cards.</summary>
/// <param name="Back">True where what is behind the cards stands.</param>
/// <param name="Places">Row by row, the place of the card among all; null where none stands.</param>
public sealed record CardSide(bool Back, ImmutableArray<int?> Places);

/// <summary>
/// Cards laid on pages; where they have backs a page of backs after each, from right to left, so that each lies behind
/// its card when the paper is turned over its long edge. Source: docs/handbook.md, section 6 (cards).
/// </summary>
public static class CardPages
{
    public static ImmutableArray<CardSide> Lay(int cards, CardGrid grid, bool backs)
    {
        var sides = ImmutableArray.CreateBuilder<CardSide>();
        for (var first = 0; first < cards; first += grid.Count)
        {
            var front = Enumerable.Range(first, grid.Count).Select(c => c < cards ? c : (int?)null).ToImmutableArray();
            sides.Add(new CardSide(false, front));
            if (backs)
                sides.Add(new CardSide(true, [.. front.Chunk(grid.Columns).SelectMany(row => row.Reverse())]));
        }
        return sides.ToImmutable();
    }
}
