using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Formats.Office;

namespace BoldLadder.School.Papers;

/// <summary>A crossword in a document: its boxes, and its clues.</summary>
internal static class CrosswordPaper
{
    private const int Points = 16;

    public static GridBlock Grid(CrosswordItem crossword, bool answers)
    {
        var letters = new Dictionary<(int, int), (char Letter, int Number)>();
        foreach (var line in crossword.Lines)
        {
            for (var i = 0; i < line.Word.Length; i++)
            {
                var at = (line.Row + (line.Across ? 0 : i), line.Column + (line.Across ? i : 0));
                var number = i == 0 ? line.Number : letters.GetValueOrDefault(at).Number;
                letters[at] = (line.Word[i], number);
            }
        }
        return new GridBlock(
            [
                .. Enumerable
                    .Range(0, crossword.Height)
                    .Select(row =>
                        (ImmutableArray<GridCell>)
                            [
                                .. Enumerable
                                    .Range(0, crossword.Width)
                                    .Select(column =>
                                        letters.TryGetValue((row, column), out var cell)
                                            ? new GridCell(
                                                [
                                                    new Span(cell.Number > 0 ? $"{cell.Number} " : "", Pale: true),
                                                    new Span(answers ? $"{cell.Letter}" : "", Reading: true),
                                                ],
                                                12
                                            )
                                            : GridCell.Blank
                                    ),
                            ]
                    ),
            ],
            [.. Enumerable.Repeat(1, crossword.Width)],
            Ruled: true,
            RowHeight: 11
        );
    }

    /// <summary>Across, then down: pictures, or sentences with the word left out.</summary>
    public static IEnumerable<Block> Clues(
        CrosswordItem crossword,
        Saying saying,
        Func<string, ImmutableArray<Span>> pictured
    )
    {
        foreach (var lines in crossword.Lines.GroupBy(l => l.Across).OrderByDescending(g => g.Key))
        {
            yield return new HeadingBlock(2, saying.Say(lines.Key ? "crossword.across" : "crossword.down"));
            foreach (var line in lines)
            {
                ImmutableArray<Span> clue = line.Picture is { } name
                    ? pictured(name)
                    : [new Span(line.Clue ?? "", Reading: true)];
                yield return new TextBlock([new Span($"{line.Number} "), .. clue], Points);
            }
        }
    }
}
