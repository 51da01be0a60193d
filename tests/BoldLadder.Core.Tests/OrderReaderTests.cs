using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Pasted;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>An order that a school already has is read as it was written down.</summary>
public class OrderReaderTests
{
    private static readonly OrderReader Reader = new(
        new WordFinder(Given.Lexicon),
        new CorrespondenceTable(Given.Lexicon, Accents.Accent.SouthernBritish)
    );

    private static string Read(string text) =>
        string.Join(
            " / ",
            Reader
                .Read(text)
                .Select(l =>
                    l.IsRead
                        ? string.Join(
                            ' ',
                            l.Parts.Select(p => string.Join('?', p.Choices.Select(c => c.Notation)))
                                .Concat(l.Patterns.Each().Select(p => p.Id()))
                                .Concat(l.Tricky.Select(t => $"|{t}"))
                        )
                        : $"aside: {string.Join(' ', l.Unread)}"
                )
        );

    [Theory]
    [InlineData("sh", "sh=ʃ")]
    [InlineData("SH", "sh=ʃ")]
    [InlineData("12. sh", "sh=ʃ")]
    [InlineData("• sh", "sh=ʃ")]
    [InlineData("ai as in rain", "ai=eɪ")]
    [InlineData("ow (cow)", "ow=aʊ")]
    [InlineData("ow (as in snow)", "ow=əʊ")]
    [InlineData("ow - snow", "ow=əʊ")]
    [InlineData("ow: snow, show", "ow=əʊ")]
    [InlineData("th /ð/", "th=ð")]
    [InlineData("th=θ", "th=θ")]
    [InlineData("a_e", "a-e=eɪ")]
    [InlineData("a–e as in cake", "a-e=eɪ")]
    [InlineData("-ed", "suffix-ed")]
    [InlineData("– ing", "aside: – ing")]
    [InlineData("-ing", "suffix-ing")]
    [InlineData("two syllables", "two-syllables")]
    [InlineData("contractions", "contraction")]
    [InlineData("s a t", "s=s a=æ t=t")]
    [InlineData("ff, ll & ss", "ff=f ll=l ss=s")]
    [InlineData("sh | the, to said", "sh=ʃ |the |to |said")]
    [InlineData("| the I", "|the |i")]
    [InlineData("igh (night) | some", "igh=aɪ |some")]
    public void A_line_is_read_in_any_plain_form(string line, string read) => Assert.Equal(read, Read(line));

    [Fact]
    public void What_letters_say_next_is_what_the_lines_above_have_not_taught()
    {
        Assert.Equal(["ow=aʊ", "ow=əʊ"], Read("ow").Split('?').Order(StringComparer.Ordinal));
        Assert.Equal("ow=aʊ / ow=əʊ", Read("ow (cow)\now"));
        Assert.Equal("c=k / c=s", Read("c\nc"));
        Assert.StartsWith("a=æ / a=", Read("a\na"), StringComparison.Ordinal);
    }

    [Fact]
    public void What_can_not_be_read_is_kept_aside_with_its_number()
    {
        var lines = Reader.Read("s\n\nrevise set 1\nzq\nsh | blorptic\n");
        Assert.Equal([1, 3, 4, 5], lines.Select(l => l.Line));
        Assert.Equal([true, false, false, false], lines.Select(l => l.IsRead));
        Assert.Equal("sh | blorptic", lines[3].Text);
        // A page pasted as one line is no rung, and costs no time.
        Assert.False(Assert.Single(Reader.Read($"a in x{new string(' ', 90_000)}x")).IsRead);
    }

    /// <summary>Every shipped order, written down as a school would with an example, comes back.</summary>
    [Fact]
    public void A_shipped_ladder_written_down_comes_back()
    {
        foreach (var ladder in Given.Ladders)
        {
            var rungs = ladder.Rungs.Where(r => r.TeachesSomething).ToList();
            var text = string.Join(
                '\n',
                rungs.Select(r =>
                    string.Join(
                        ", ",
                        r.Correspondences.Select(c =>
                                r.Correspondences.Length == 1 && ModelWords.Chosen(c) is [var model, ..]
                                    ? $"{c.Grapheme.Text} as in {model}"
                                    : c.Notation
                            )
                            .Concat(r.Patterns.Each().Select(p => p.Id()))
                    ) + (r.Tricky.IsEmpty ? "" : $" | {string.Join(' ', r.Tricky)}")
                )
            );
            var read = Reader.Read(text);
            Assert.Equal(rungs.Count, read.Length);
            foreach (var (rung, line) in rungs.Zip(read))
            {
                Assert.True(line.IsRead, $"{line.Text}: {string.Join(' ', line.Unread)}");
                Assert.Equal(rung.Correspondences, line.Parts.Select(p => p.Choices[0]));
                Assert.Equal((rung.Patterns, rung.Tricky.Length), (line.Patterns, line.Tricky.Length));
            }
        }
    }
}
