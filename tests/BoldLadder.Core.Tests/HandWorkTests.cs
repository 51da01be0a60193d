using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool;
using BoldLadder.Tool.Building;
using BoldLadder.Tool.Commands;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// A row that people wrote and that means nothing fails the build, and says where it stands. Source: docs/data.md.
/// </summary>
public class HandWorkTests
{
    private static readonly HandWork Hand = HandWork.Read(ProjectFolders.Data);

    private static Dictionary<string, Word> Words =>
        Given.Lexicon.Words.Concat(Given.Lexicon.Names).DistinctBy(w => w.Spelling).ToDictionary(w => w.Spelling);

    [Fact]
    public void Every_row_means_something_today() => Assert.Empty(HandCheck.Complaints(Hand, Words));

    [Fact]
    public void A_row_about_a_word_that_is_not_there_is_named_with_file_and_line()
    {
        var words = Words;
        Assert.True(words.Remove("corner"));
        var complaint = Assert.Single(HandCheck.Complaints(Hand, words), c =>
            c.Contains("bases.tsv", StringComparison.Ordinal)
        );
        Assert.Matches(@"bases\.tsv:\d+: corner is not a word of the lexicon\.$", complaint);
    }

    [Fact]
    public void A_word_that_is_no_longer_cut_as_it_was_read_is_named()
    {
        var words = Words;
        var word = words["need"];
        words["need"] = new Word(
            "need",
            Segmentation.Parse("n|e|ed", "n|iː|d"),
            word.Zipf,
            word.Suitability,
            word.Flags,
            null
        );
        Assert.Contains(HandCheck.Complaints(Hand, words), c =>
            c.Contains("need was read as n|ee|d", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData("ship\tsh|ip\tʃ|ɪ|p", "2: ship: ")]
    [InlineData("ship\tsh|o|p\tʃ|ɒ|p", "2: ship cuts \"shop\", not \"ship\".")]
    [InlineData("ship", "2: ship has 1 columns; there should be at least 2.")]
    public void A_row_that_cannot_be_read_is_named_with_its_line(string row, string complaint)
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllText(file, "word\tgraphemes\tphonemes\n" + row + "\n");
            var problem = Assert.Throws<FormatException>(() => Assert.Single(HandRow.Read(file)).Cut(1, 2));
            Assert.StartsWith($"{file}:{complaint}", problem.Message, StringComparison.Ordinal);
        }
        finally
        {
            File.Delete(file);
        }
    }

    [Fact]
    public void Each_word_that_a_synthesiser_says_otherwise_was_judged_as_it_is_today_with_a_reason()
    {
        var words = Words;
        Assert.All(Hand.SecondOpinion, row =>
        {
            Assert.True(
                words[row[0]].Segmentation.Phonemes == row[1],
                row.Bad("is said otherwise than when it was judged").Message
            );
            Assert.False(SecondOpinion.IsAlike(row[1], row[2]), row.Bad("differs in nothing that counts").Message);
            Assert.True(row[3].Length > 10, row.Bad("has no reason").Message);
        });
        Assert.Equal(Hand.SecondOpinion.Count, Hand.SecondOpinion.DistinctBy(r => r[0]).Count());
    }

    [Theory]
    [InlineData("b|ə|n|ɑː|n|ə", "bənɑːnɐ", true)]
    [InlineData("f|ɑː", "fɑːɹ", true)]
    [InlineData("h|æ|p|iː", "hæpi", true)]
    [InlineData("w|ɒ|n", "wʌn", false)]
    [InlineData("ʃ|iː|p", "ʃɪp", false)]
    [InlineData("b|uː|k", "bʊk", false)]
    public void Only_weak_vowels_and_a_last_r_are_levelled_before_two_sayings_are_compared(
        string ours,
        string heard,
        bool alike
    ) => Assert.Equal(alike, SecondOpinion.IsAlike(ours, heard));

    [Fact]
    public void A_judgement_that_no_longer_holds_and_one_that_is_missing_are_named()
    {
        var judged = new[]
        {
            new HandRow("second-opinion.tsv", 2, ["one", "w+ʌ|n", "wɒn", "both are said"]),
            new HandRow("second-opinion.tsv", 3, ["salt", "s|ɔː|l|t", "sɒlt", "both are said"]),
        };
        var complaints = SecondOpinionCommand
            .Complaints([new("one", "w+ʌ|n", "wɒn"), new("fault", "f|ɔː|l|t", "fɒlt")], judged)
            .ToList();
        Assert.Equal(
            [
                "fault\tf|ɔː|l|t\tfɒlt\t",
                "second-opinion.tsv:3: salt is not said otherwise any more, or not among the words: remove the row.",
            ],
            complaints
        );
        Assert.Contains(
            "was judged with",
            Assert.Single(
                SecondOpinionCommand.Complaints([new("one", "w|ʌ|n", "wɒn"), new("salt", "s|ɔː|l|t", "sɒlt")], judged)
            ),
            StringComparison.Ordinal
        );
    }
}
