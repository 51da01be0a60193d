using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

public class SyllableTests
{
    [Theory]
    [InlineData("cat")]
    [InlineData("cake")]
    [InlineData("jumped")]
    [InlineData("rab·bit")]
    [InlineData("pa·per")]
    [InlineData("rob·in")]
    [InlineData("tick·et")]
    [InlineData("nap·kin")]
    [InlineData("mon·ster")]
    [InlineData("chil·dren")]
    [InlineData("pump·kin")]
    [InlineData("se·cret")]
    [InlineData("be·gin")]
    [InlineData("li·on")]
    [InlineData("sun·set")]
    [InlineData("tooth·brush")]
    [InlineData("want·ed")]
    [InlineData("box·es")]
    [InlineData("jump·ing")]
    [InlineData("hop·ping")]
    [InlineData("ba·king")]
    [InlineData("sing·er")]
    [InlineData("fin·ger")]
    [InlineData("quick·ly")]
    [InlineData("use·less")]
    [InlineData("ta·ble")]
    [InlineData("can·dle")]
    [InlineData("bot·tle")]
    [InlineData("tick·le")]
    [InlineData("cas·tle")]
    [InlineData("gar·den")]
    [InlineData("fin·ish")]
    [InlineData("an·i·mal")]
    [InlineData("el·e·phant")]
    [InlineData("ba·na·na")]
    [InlineData("um·brel·la")]
    [InlineData("kan·ga·roo")]
    [InlineData("hos·pi·tal")]
    [InlineData("but·ter·fly")]
    [InlineData("fa·ther")]
    [InlineData("moth·er")]
    [InlineData("tax·i")]
    public void A_word_is_cut_as_on_a_board(string cut) =>
        Assert.Equal(cut, string.Join('·', Syllables.Of(Given.Word(cut.Replace("·", "", StringComparison.Ordinal)))));

    [Fact]
    public void Syllables_join_to_the_word_and_each_has_one_heard_vowel() => Assert.All(Given.Lexicon.Words, w =>
        {
            var pieces = Syllables.Of(w);
            Assert.Equal(w.Spelling, string.Concat(pieces));
            Assert.DoesNotContain("", pieces);
            Assert.Equal(Math.Max(1, w.Segmentation.Syllables), pieces.Length);
        });
}
