using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class ReachTests
{
    /// <summary>The rung by trying each one: slow, and plainly right.</summary>
    private static int? ByTrying(string word, Leniencies leniencies, Accent accent)
    {
        for (var rung = -1; rung < Given.LettersFirst.Rungs.Length; rung++)
        {
            if (Given.LettersFirst.TaughtAfter(rung + 1, leniencies, accent).CanRead(Given.Word(word)))
                return rung;
        }
        return null;
    }

    [Fact]
    public void The_rung_of_a_word_is_the_first_after_which_it_can_be_read() =>
        Gen.Int[0, 20_000]
            .Select(Gen.Int[0, 63], Gen.Int[0, Accent.All.Length - 1])
            .Sample(
                (at, leniencies, accent) =>
                {
                    var word = Given.Lexicon.Words[at];
                    Assert.Equal(
                        ByTrying(word.Spelling, (Leniencies)leniencies, Accent.All[accent]),
                        Given.LettersFirst.ReachIn((Leniencies)leniencies, Accent.All[accent]).RungOf(word)
                    );
                },
                iter: 60
            );

    [Fact]
    public void A_tricky_word_graduates_or_is_never_decodable_on_the_ladder()
    {
        var reach = Given.LettersFirst.ReachIn(Leniencies.All, Accent.SouthernBritish);
        Assert.Equal(Given.RungOf("e=iː"), reach.RungOf(Given.Word("he")));
        Assert.Null(reach.RungOf(Given.Word("one")));
    }

    [Theory]
    [InlineData("said", "s=s d=d", "ai")]
    [InlineData("was", "w=w a=æ s=s", "a s")]
    [InlineData("what", "w=w a=æ t=t", "wh a")]
    [InlineData("cat", "c=k a=æ t=t", "")]
    public void The_tricky_part_is_what_was_not_taught(string word, string taught, string tricky)
    {
        var parts = Given.Word(word).Segmentation.Parts;
        Assert.Equal(
            tricky,
            string.Join(' ', Given.Taught(taught).TrickyPlaces(Given.Word(word)).Select(p => parts[p].Grapheme.Text))
        );
    }
}
