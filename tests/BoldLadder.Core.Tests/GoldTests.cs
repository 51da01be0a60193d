using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool;
using BoldLadder.Tool.Commands;
using Xunit;

namespace BoldLadder.Core.Tests;

public class GoldTests
{
    [Theory]
    [InlineData("first", 200)]
    [InlineData("1-500", 100)]
    [InlineData("501-2000", 100)]
    [InlineData("2001-5000", 100)]
    [InlineData("5001-20000", 100)]
    [InlineData("odd", 100)]
    [InlineData("unread 1-1000", 50)]
    [InlineData("unread 1001-3000", 50)]
    [InlineData("unread 3001-6000", 50)]
    [InlineData("unread 6001-12000", 49)]
    [InlineData("unread again, 31", 180)]
    [InlineData("unread again, 47", 180)]
    [InlineData("unread again, 59", 180)]
    public void The_words_judged_by_hand_are_segmented_and_sounded_right(string stretch, int words)
    {
        var score = GoldScore.Of(
            Given.Lexicon,
            Accent.SouthernBritish,
            GoldScore.Rows("segmentation.tsv").Where(r => r[0] == stretch)
        );
        Assert.True(score.Words >= words);
        Assert.True(score.Segmentation >= 0.995, string.Join('\n', score.Misses));
        Assert.True(score.Sounds >= 0.99, string.Join('\n', score.Misses));
    }

    [Fact]
    public void A_wrong_lexicon_scores_low()
    {
        var wrong = new Word("cat", Segmentation.Parse("c|a|t", "s|eɪ|t"), 5, Suitability.Use, WordFlags.None, null);
        Assert.Equal(
            0,
            GoldScore
                .Of(
                    new Lexicon([wrong], ""),
                    Accent.SouthernBritish,
                    [
                        ["first", "cat", "c|a|t", "k|æ|t", ""],
                    ]
                )
                .Sounds
        );
    }

    [Theory]
    [InlineData("jumped", "j|u|m|p|ed", "dʒ|ʌ|m|p|t")]
    [InlineData("wanted", "w|a|n|t|ed", "w|ɒ|n|t|ɪ+d")]
    [InlineData("boxes", "b|o|x|es", "b|ɒ|k+s|ɪ+z")]
    [InlineData("likes", "l|i-e|k|s", "l|aɪ|k|s")]
    [InlineData("baker", "b|a|k|er", "b|eɪ|k|ə")]
    [InlineData("face", "f|a-e|c", "f|eɪ|s")]
    [InlineData("cage", "c|a-e|g", "k|eɪ|dʒ")]
    [InlineData("dance", "d|a|n|ce", "d|ɑː|n|s")]
    [InlineData("horse", "h|or|se", "h|ɔː|s")]
    [InlineData("have", "h|a|ve", "h|æ|v")]
    [InlineData("ball", "b|a|ll", "b|ɔː|l")]
    [InlineData("could", "c|oul|d", "k|ʊ|d")]
    [InlineData("singer", "s|i|ng|er", "s|ɪ|ŋ|ə")]
    [InlineData("story", "s|t|o|r|y", "s|t|ɔː|r|iː")]
    public void The_conventions_hold(string word, string graphemes, string phonemes)
    {
        var segmentation = Given.Word(word).Segmentation;
        Assert.Equal((graphemes, phonemes), (segmentation.Graphemes, segmentation.Phonemes));
    }

    [Theory]
    [InlineData("hats", "hat", Patterns.SuffixS, Patterns.None)]
    [InlineData("hoped", "hope", Patterns.SuffixEd, Patterns.JoinDropE)]
    [InlineData("stopped", "stop", Patterns.SuffixEd, Patterns.JoinDouble)]
    [InlineData("cried", "cry", Patterns.SuffixEd, Patterns.JoinYToI)]
    [InlineData("bigger", "big", Patterns.SuffixEr, Patterns.JoinDouble)]
    [InlineData("quickly", "quick", Patterns.SuffixLy, Patterns.None)]
    public void A_suffixed_word_knows_its_base_and_join(string word, string stem, Patterns suffix, Patterns join) =>
        Assert.Equal(new SuffixLink(stem, suffix, join), Given.Word(word).Suffix);

    [Theory]
    [InlineData("corner")]
    [InlineData("king")]
    [InlineData("bus")]
    [InlineData("number")]
    public void A_word_that_only_ends_like_one_has_no_suffix(string word) => Assert.Null(Given.Word(word).Suffix);

    [Fact]
    public void Every_row_reads_back_as_it_was_written() =>
        Assert.All(
            ProjectFolders
                .LexiconShards()
                .SelectMany(s => s.Split('\n', StringSplitOptions.RemoveEmptyEntries).Skip(1)),
            row => Assert.Equal(row, LexiconRow.Write(LexiconRow.Read(row)))
        );

    [Theory]
    [InlineData("kill")]
    [InlineData("gun")]
    [InlineData("beer")]
    public void Themes_unfit_for_children_are_only_there_when_asked_for(string word) =>
        Assert.Equal(Suitability.Ask, Given.Word(word).Suitability);
}
