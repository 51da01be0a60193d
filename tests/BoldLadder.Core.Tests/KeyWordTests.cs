using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using Xunit;

namespace BoldLadder.Core.Tests;

public class KeyWordTests
{
    private static readonly KeyWords KeyWords = new(Given.Lexicon);

    [Theory]
    [InlineData("sh=ʃ")]
    [InlineData("x=k+s")]
    [InlineData("u-e=j+uː")]
    [InlineData("c=k")]
    [InlineData("th=ð")]
    public void A_key_word_has_its_correspondence_and_children_know_it(string notation)
    {
        var word = Given.Word(KeyWords.Of(Correspondence.Parse(notation)));
        Assert.True(word.Contains(Correspondence.Parse(notation)) && word.IsKnown, word.Spelling);
    }

    [Fact]
    public void The_sounds_own_key_word_is_kept_where_it_is_spelled_so() =>
        Assert.Equal("rain", KeyWords.Of(Correspondence.Parse("ai=eɪ")));
}
