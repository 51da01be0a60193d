using System.Collections.Immutable;
using BoldLadder.Core.Lessons.Booklets;
using BoldLadder.Core.Lessons.Cards;
using BoldLadder.Core.Lessons.Choosers;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Cards on pages and pages on sheets. Source: docs/handbook.md, section 6 (cards, booklets).</summary>
public class CardTests
{
    public static TheoryData<CardSize> Sizes => [.. Enum.GetValues<CardSize>()];

    [Theory, MemberData(nameof(Sizes))]
    public void Every_card_stands_once_and_its_back_lies_behind_it_when_the_page_is_turned(CardSize size)
    {
        var grid = CardGrid.Of(size);
        Gen.Int[0, 200]
            .Sample(cards =>
            {
                var sides = CardPages.Lay(cards, grid, backs: true);
                Assert.Equal(2 * ((cards + grid.Count - 1) / grid.Count), sides.Length);
                Assert.Equal(
                    Enumerable.Range(0, cards),
                    sides.Where(s => !s.Back).SelectMany(s => s.Places).Where(p => p is not null).Select(p => p!.Value)
                );
                foreach (var page in sides.Chunk(2))
                {
                    Assert.Equal([false, true], page.Select(s => s.Back));
                    for (var row = 0; row < grid.Rows; row++)
                    for (var column = 0; column < grid.Columns; column++)
                        Assert.Equal(
                            page[0].Places[(row * grid.Columns) + column],
                            page[1].Places[(row * grid.Columns) + grid.Columns - 1 - column]
                        );
                }
            });
    }

    [Fact]
    public void Without_backs_there_is_a_side_for_each_full_page()
    {
        var grid = CardGrid.Of(CardSize.Hand);
        Assert.Equal(3, CardPages.Lay((2 * grid.Count) + 1, grid, backs: false).Length);
        Assert.Empty(CardPages.Lay(0, grid, backs: false));
    }

    /// <summary>
    /// Folded along its middle and pushed together, the outer columns are a leaf each, and so are the two middle pages
    /// of each row: the creases between columns 1 and 2 and columns 3 and 4 lie at the spine.
    /// </summary>
    [Fact]
    public void One_sheet_cut_and_folded_has_its_pages_in_order()
    {
        var side = Assert.Single(Imposition.Sides(Folding.OneSheet));
        PlacedPage At(int row, int column) => side.Pages[(row * side.Columns) + column];
        (PlacedPage, PlacedPage)[] leaves =
        [
            (At(0, 0), At(1, 0)),
            (At(1, 1), At(1, 2)),
            (At(0, 3), At(1, 3)),
            (At(0, 1), At(0, 2)),
        ];
        Assert.Equal(
            [(0, 1), (2, 3), (4, 5), (6, 7)],
            leaves.Select(l => (Math.Min(l.Item1.Page, l.Item2.Page), Math.Max(l.Item1.Page, l.Item2.Page))).Order()
        );
        for (var column = 0; column < side.Columns; column++)
        {
            // The upper row comes to stand upright when it is folded behind.
            Assert.True(At(0, column).Turned);
            Assert.False(At(1, column).Turned);
            // Even pages are right-hand ones: their spine is on their left, or on the right where they are turned.
            var spineOnLeft = column is 1 or 3;
            Assert.Equal(spineOnLeft, At(1, column).Page % 2 == 0);
            Assert.Equal(!spineOnLeft, At(0, column).Page % 2 == 0);
        }
        Assert.Equal((7, 0), (At(1, 0).Page, At(1, 1).Page));
    }

    [Fact]
    public void Two_sheets_in_each_other_have_their_pages_in_order()
    {
        var sides = Imposition.Sides(Folding.TwoSheets);
        Assert.Equal(4, sides.Length);
        // From the outer sheet in: the right half of a front carries the page before the left half of its back.
        var pages = new List<int>();
        for (var sheet = 0; sheet < 2; sheet++)
            pages.AddRange([sides[2 * sheet].Pages[1].Page, sides[(2 * sheet) + 1].Pages[0].Page]);
        for (var sheet = 1; sheet >= 0; sheet--)
            pages.AddRange([sides[(2 * sheet) + 1].Pages[1].Page, sides[2 * sheet].Pages[0].Page]);
        Assert.Equal(Enumerable.Range(0, Imposition.Pages), pages);
        Assert.All(sides.SelectMany(s => s.Pages), p => Assert.False(p.Turned));
    }

    [Fact]
    public void A_booklet_of_cards_has_all_in_their_order_and_says_what_it_leaves_out()
    {
        foreach (var kind in new[] { BookletKind.Tricky, BookletKind.Sounds })
        {
            Gen.Int[1, 120]
                .Sample(count =>
                {
                    var cards = Enumerable.Range(0, count).Select(i => Card.OfTile($"{i}")).ToImmutableArray();
                    var booklet = BookletMaker.OfCards(kind, cards);
                    Assert.Equal(Imposition.Pages, booklet.Pages.Length);
                    Assert.Equal(BookPageKind.Cover, booklet.Pages[0].Kind);
                    Assert.Equal(BookPageKind.Back, booklet.Pages[^1].Kind);
                    var shown = booklet.Pages.SelectMany(p => p.Cards).Select(c => c.Key);
                    Assert.Equal(cards.Select(c => c.Key), booklet.LeftOut.Concat(shown));
                    Assert.Equal(
                        Enumerable.Range(0, Imposition.Pages),
                        booklet.Sides.SelectMany(s => s.Pages).Select(p => p.Page).Order()
                    );
                    Assert.True(booklet.LeftOut.IsEmpty || booklet.Folding == Folding.TwoSheets);
                });
        }
    }

    [Fact]
    public void A_little_book_reads_like_its_text_and_its_pages_are_not_crowded()
    {
        var books = 0;
        foreach (var year in PlannedYears.All)
        foreach (var (request, _) in PlannedYears.Of(year).Where((_, i) => i % 17 == 9))
        {
            var work = new LessonWork(request);
            foreach (
                var text in Chooser
                    .All[Lessons.ActivityKind.ReadText]
                    .Choose(work, "book", 1)
                    .OfType<Lessons.TextItem>()
            )
            {
                books++;
                var book = BookletMaker.OfText(text, []);
                Assert.Equal(
                    text.Sentences.Select(s => s.Text),
                    book.Pages.SelectMany(p => p.Sentences).SkipLast(text.Questions.Length)
                );
                Assert.Equal(text.Questions, book.Pages[^1].Sentences);
                Assert.All(book.Pages, p => Assert.True(p.Kind != BookPageKind.Text || p.Sentences.Length <= 4));
            }
        }
        Assert.True(books > 10, $"{books}");
    }
}
