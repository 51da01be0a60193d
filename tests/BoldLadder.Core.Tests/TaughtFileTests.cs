using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using Xunit;

namespace BoldLadder.Core.Tests;

public class TaughtFileTests
{
    private static TaughtFile Read(params string[] lines) =>
        TaughtFile.Read(lines, Leniencies.None, Accent.SouthernBritish);

    [Fact]
    public void Correspondences_stand_a_line_each_typed_variants_and_blank_lines_allowed()
    {
        var read = Read("sh=ʃ", "", "  ee=i: ", "\uFEFFg=ɡ");
        Assert.Empty(read.Problems);
        Assert.Equal(CorrespondenceSet.Parse("sh=ʃ", "ee=iː", "g=g"), read.Taught.Correspondences);
    }

    [Fact]
    public void Patterns_are_free_until_one_is_listed()
    {
        Assert.Equal(Patterns.All, Read("a=æ").Taught.Free);
        var listed = Read("a=æ", "pattern: suffix-s").Taught;
        Assert.Equal((Patterns.SuffixS, Patterns.None), (listed.Patterns, listed.Free));
    }

    [Theory]
    [InlineData("ai=aʊ", "ai=eɪ")]
    [InlineData("shh=ʃ", "sh=ʃ")]
    [InlineData("igh=iː", "igh=aɪ")]
    public void An_unknown_correspondence_is_told_with_its_line_and_the_nearest(string line, string nearest)
    {
        var problem = Assert.Single(Read("a=æ", "", line, "t=t").Problems);
        Assert.Equal(3, problem.Line);
        Assert.Contains(nearest, problem.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("sheep")]
    [InlineData("=")]
    [InlineData("pattern: nonsense")]
    public void A_line_that_is_nothing_says_what_to_write(string line) =>
        Assert.True(Assert.Single(Read(line).Problems).Message.Length > 20);

    [Fact]
    public void A_very_long_line_is_not_repeated_whole() =>
        Assert.True(Assert.Single(Read(new string('x', 100_000)).Problems).Message.Length < 300);

    [Fact]
    public void The_accents_own_notation_is_understood()
    {
        var read = TaughtFile.Read(["ar=ɑː+r", "u=ʊ"], Leniencies.None, Accent.GeneralAmerican);
        Assert.Empty(read.Problems);
        Assert.Contains(Correspondence.Parse("ar=ɑː"), read.Taught.Correspondences);
        Assert.True(
            TaughtFile
                .Read(["c=k", "u=ʊ", "p=p"], Leniencies.None, Accent.NorthernEnglish)
                .Taught.CanRead(Given.Word("cup"))
        );
    }
}
