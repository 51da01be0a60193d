using BoldLadder.Core.Lessons.Home;
using BoldLadder.Formats.Office;

namespace BoldLadder.School.Papers;

/// <summary>What families get, as a document. Source: docs/handbook.md, section 6 (home sheet).</summary>
public static class HomePaper
{
    /// <param name="greeting">The school's own; empty for ours.</param>
    /// <param name="large">In large print.</param>
    public static PagedText Of(HomeSheet sheet, OnPaper on, Saying saying, string greeting, bool large)
    {
        var (plain, read) = large ? (18, 32) : (13, 24);
        var blocks = new List<Block>
        {
            new HeadingBlock(1, saying.Say("home.title", ("group", on.GroupName))),
            TextBlock.Of(greeting.Length > 0 ? greeting : saying.Say("home.greeting"), plain),
        };
        if (sheet.News.Length + sheet.Patterns.Length > 0)
            blocks.Add(new HeadingBlock(2, saying.Say("home.new", ("date", saying.Day(on.Date)))));
        else
            blocks.Add(new HeadingBlock(2, saying.Say("home.again")));
        foreach (var card in sheet.News)
        {
            blocks.Add(
                new TextBlock(
                    [
                        new Span(card.Grapheme + "   ", Reading: true, Bold: true),
                        new Span(saying.Plain(card.Sounds, card.KeyWord) + ". "),
                        new Span(saying.Say(card.CanBeHeld ? "home.held" : "home.short")),
                    ],
                    plain
                )
            );
        }
        foreach (var pattern in sheet.Patterns)
            blocks.Add(TextBlock.Of(saying.Of("pattern", pattern), plain));
        if (!sheet.Words.IsEmpty)
        {
            blocks.Add(new HeadingBlock(2, saying.Say("home.words")));
            blocks.Add(TextBlock.Of(saying.Say("home.wordsHow"), plain));
            blocks.Add(
                new GridBlock(
                    [
                        .. sheet
                            .Words.Chunk(3)
                            .Select(row =>
                                row.Select(w => new GridCell([new Span(w.Word, Reading: true)], read, Centred: true))
                                    .Concat(Enumerable.Repeat(GridCell.Empty, 3 - row.Length))
                                    .ToArray()
                            )
                            .Select(row => (System.Collections.Immutable.ImmutableArray<GridCell>)[.. row]),
                    ],
                    [1, 1, 1],
                    Ruled: true,
                    RowHeight: 16
                )
            );
        }
        if (!sheet.Tricky.IsEmpty)
        {
            blocks.Add(new HeadingBlock(2, saying.Say("home.tricky")));
            blocks.Add(TextBlock.Of(saying.Say("home.trickyHow"), plain));
            blocks.Add(TextBlock.Read(string.Join("      ", sheet.Tricky.Select(w => Written.Of(w.Word))), read));
        }
        if (sheet.Sentence is { } sentence)
        {
            blocks.Add(new HeadingBlock(2, saying.Say("home.sentence")));
            blocks.Add(TextBlock.Read(sentence, read));
        }
        blocks.Add(new HeadingBlock(2, saying.Say("home.play")));
        blocks.Add(TextBlock.Of(saying.Of("homeGame", sheet.Game), plain));
        return on.Paged(saying.Say("home.title", ("group", on.GroupName)), saying, [.. blocks]);
    }
}
