using System.Collections.Immutable;
using System.Xml.Linq;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Activities.Crosswords;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Tool.Commands;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class CrosswordTests
{
    private static readonly IReadOnlyDictionary<string, string> Pictures = Given.Materials.Pictures;
    private static readonly CrosswordWords Words = new(Given.Lexicon, Given.Materials.Sentences, Pictures);

    private static Taught After(int rungs) =>
        Given.LettersFirst.TaughtAfter(rungs, Leniencies.All, Accent.SouthernBritish);

    private static HashSet<string> Tricky(int rungs) =>
        [.. Given.LettersFirst.Rungs.Take(rungs).SelectMany(r => r.Tricky)];

    private static ImmutableArray<CrosswordWord> For(int rungs, CrosswordCells cells = CrosswordCells.Letters) =>
        Words.For(After(rungs), Tricky(rungs), cells);

    private static CrosswordWord Plain(string word) =>
        new(word, [.. word.Select(c => c.ToString())], new CrosswordClue.Picture("none"));

    private static void IsSound(Crossword crossword)
    {
        var cells = crossword.Entries.SelectMany(e => e.Cells.Select(c => (e, c))).ToLookup(c => (c.c.Row, c.c.Column));
        Assert.All(cells, cell =>
        {
            Assert.InRange(cell.Key.Row, 0, crossword.Height - 1);
            Assert.InRange(cell.Key.Column, 0, crossword.Width - 1);
            Assert.Single(cell.Select(c => c.c.Cell).Distinct());
            Assert.Equal(cell.Count(), cell.Select(c => c.e.Across).Distinct().Count());
        });
        Assert.Distinct(crossword.Entries.Select(e => e.Word.Spelling));
        Assert.InRange(crossword.Width, 0, CrosswordFitter.Largest);
        Assert.InRange(crossword.Height, 0, CrosswordFitter.Largest);
        // No run of filled cells but the words themselves: nothing touches by chance.
        foreach (var entry in crossword.Entries)
        {
            var (row, column) = entry.Across ? (0, 1) : (1, 0);
            Assert.False(cells.Contains((entry.Row - row, entry.Column - column)));
            Assert.False(
                cells.Contains(
                    (entry.Row + (row * entry.Word.Cells.Length), entry.Column + (column * entry.Word.Cells.Length))
                )
            );
        }
        // Connected: from the first word all others are reached over crossings.
        var reached = new HashSet<CrosswordEntry>(crossword.Entries.Take(1));
        for (var grew = true; grew; )
        {
            var more = crossword
                .Entries.Where(e =>
                    !reached.Contains(e) && e.Cells.Any(c => cells[(c.Row, c.Column)].Any(o => reached.Contains(o.e)))
                )
                .ToList();
            grew = more.Count > 0;
            reached.UnionWith(more);
        }
        Assert.Equal(crossword.Entries.Length, reached.Count);
    }

    [Fact]
    public void Every_crossing_agrees_and_every_word_is_reached() =>
        Gen.Int[15, 120]
            .Select(Gen.Int[1, 14], Gen.Long)
            .Sample(
                (rungs, count, seed) =>
                {
                    var cells = (seed & 1) == 0 ? CrosswordCells.Letters : CrosswordCells.Graphemes;
                    var crossword = CrosswordFitter.Fit(For(rungs, cells), count, seed);
                    Assert.InRange(crossword.Entries.Length, 1, count);
                    IsSound(crossword);
                },
                iter: Given.Deep ? 100 : 8
            );

    [Fact]
    public void Ten_words_make_a_dense_crossword()
    {
        var crossword = CrosswordFitter.Fit(For(60), 10, 1);
        Assert.Equal(10, crossword.Entries.Length);
        Assert.True(crossword.Crossings >= 9);
        Assert.True(crossword.Density > 0.3, $"{crossword.Density}");
    }

    [Fact]
    public void The_same_seed_gives_the_same_crossword()
    {
        string Text(long seed) =>
            string.Join(
                ' ',
                CrosswordFitter
                    .Fit(For(40), 8, seed)
                    .Entries.Select(e => $"{e.Number}{(e.Across ? "a" : "d")}{e.Row},{e.Column}{e.Word.Spelling}")
            );
        Assert.Equal(Text(3), Text(3));
        Assert.NotEqual(Text(3), Text(4));
    }

    [Fact]
    public void Words_that_share_no_letter_leave_one_and_no_words_leave_none()
    {
        Assert.Single(CrosswordFitter.Fit([Plain("cat"), Plain("dog")], 2, 1).Entries);
        Assert.Empty(CrosswordFitter.Fit([], 5, 1).Entries);
        Assert.Equal(2, CrosswordFitter.Fit([Plain("cat"), Plain("tap")], 5, 1).Entries.Length);
    }

    [Fact]
    public void Every_clue_can_be_read_with_what_was_taught_and_points_at_its_word()
    {
        var (taught, tricky) = (After(45), Tricky(45));
        Assert.All(For(45), w =>
        {
            Assert.True(taught.CanRead(Given.Word(w.Spelling)));
            if (w.Clue is CrosswordClue.Picture picture)
                Assert.Equal(Pictures[w.Spelling], picture.Name);
            if (w.Clue is not CrosswordClue.MissingWord missing)
                return;
            var text = $"{missing.Before} {w.Spelling}{missing.After}";
            Assert.Contains(Given.Materials.Sentences.Readable(taught, tricky), s => s.Text == text);
        });
        Assert.Contains(For(45), w => w.Clue is CrosswordClue.MissingWord);
        Assert.Contains(For(45), w => w.Clue is CrosswordClue.Picture);
    }

    [Fact]
    public void With_a_box_for_each_grapheme_sheep_has_three_cells_and_no_word_has_a_split_digraph()
    {
        var words = For(80, CrosswordCells.Graphemes);
        Assert.Equal(["sh", "ee", "p"], words.Single(w => w.Spelling == "sheep").Cells.AsEnumerable());
        Assert.DoesNotContain(words, w => Given.Word(w.Spelling).Segmentation.Parts.Any(p => p.Grapheme.IsSplit));
    }

    [Fact]
    public void It_can_be_asked_to_practise_a_correspondence() =>
        Assert.All(
            Words.For(After(60), Tricky(60), CrosswordCells.Letters, w => w.Contains(Correspondence.Parse("ee=iː"))),
            w => Assert.Contains("ee", w.Spelling, StringComparison.Ordinal)
        );

    [Fact]
    public void The_drawing_has_a_box_for_each_cell_and_says_no_answer()
    {
        var crossword = CrosswordFitter.Fit(For(60), 8, 5);
        XNamespace svg = "http://www.w3.org/2000/svg";
        XElement Drawn(bool answers) => XElement.Parse(CrosswordSvg.Draw(crossword, _ => null, answers));
        Assert.Equal(
            crossword.Entries.SelectMany(e => e.Cells).Select(c => (c.Row, c.Column)).Distinct().Count(),
            Drawn(false).Elements(svg + "rect").Count()
        );
        Assert.True(Drawn(true).Elements(svg + "text").Count() > Drawn(false).Elements(svg + "text").Count());
        Assert.NotNull(PictureFiles.Drawing(Pictures.Values.First()));
    }

    [Fact]
    public void Every_picture_is_there_and_shows_a_word_that_may_stand_in_a_lesson()
    {
        Assert.True(Pictures.Count > 250);
        Assert.All(Pictures, p =>
        {
            Assert.NotNull(PictureFiles.Drawing(p.Value));
            Assert.Equal(Core.Words.Suitability.Use, Given.Word(p.Key).Suitability);
        });
    }
}
