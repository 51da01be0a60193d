using System.Collections.Immutable;
using BoldLadder.Formats.Office;

namespace BoldLadder.School.Papers;

/// <summary>What a paper is about and for whom.</summary>
/// <param name="Paper">A4 or Letter.</param>
/// <param name="ReadingFont">Of what children read.</param>
public sealed record OnPaper(string GroupName, DateOnly Date, string Paper, string ReadingFont)
{
    public PagedText Paged(string title, Saying saying, ImmutableArray<Block> blocks) =>
        new(
            Title: title,
            Language: saying.Language,
            Paper: Paper,
            ReadingFont: ReadingFont,
            Footer: saying.Say("print.footer", ("group", GroupName), ("date", saying.Day(Date))),
            Blocks: blocks
        );
}
