using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Section 4 of the handbook (suffix, joins): what a base with a suffix is made of.</summary>
public class InflectionTests
{
    [Theory]
    [InlineData("hopped", "hop", Patterns.SuffixEd, Patterns.JoinDouble, "h|o|pp|ed", "h|ɒ|p|t")]
    [InlineData("hoped", "hope", Patterns.SuffixEd, Patterns.JoinDropE, "h|o|p|ed", "h|əʊ|p|t")]
    [InlineData("wanted", "want", Patterns.SuffixEd, Patterns.None, "w|a|n|t|ed", "w|ɒ|n|t|ɪ+d")]
    [InlineData("cried", "cry", Patterns.SuffixEd, Patterns.JoinYToI, "c|r|i|ed", "k|r|aɪ|d")]
    [InlineData("dishes", "dish", Patterns.SuffixEs, Patterns.None, "d|i|sh|es", "d|ɪ|ʃ|ɪ+z")]
    [InlineData("dogs", "dog", Patterns.SuffixS, Patterns.None, "d|o|g|s", "d|ɒ|g|z")]
    [InlineData("gently", "gentle", Patterns.SuffixLy, Patterns.JoinDropE, "g|e|n|t|l|y", "dʒ|e|n|t|l|iː")]
    public void A_suffix_is_said_as_the_base_asks(
        string word,
        string stem,
        Patterns suffix,
        Patterns join,
        string graphemes,
        string phonemes
    )
    {
        var made = Inflection.Of(word, new SuffixLink(stem, suffix, join), Given.Word(stem).Segmentation);
        Assert.Equal((graphemes, phonemes), (made?.Graphemes, made?.Phonemes));
    }

    [Theory]
    [InlineData("hoped", "hop", Patterns.SuffixEd, Patterns.JoinDouble)]
    [InlineData("dishs", "dish", Patterns.SuffixS, Patterns.None)]
    [InlineData("doges", "dog", Patterns.SuffixEs, Patterns.None)]
    [InlineData("hopier", "hop", Patterns.SuffixEr, Patterns.JoinYToI)]
    public void What_the_letters_do_not_bear_out_is_no_form(string word, string stem, Patterns suffix, Patterns join) =>
        Assert.Null(Inflection.Of(word, new SuffixLink(stem, suffix, join), Given.Word(stem).Segmentation));
}
