using BoldLadder.Core.Accents;
using BoldLadder.Core.Activities.MadeUp;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Commands;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class MadeUpTests
{
    private static readonly MadeUpJudge Judge = new(Given.Lexicon, null, Accent.SouthernBritish);

    private static Taught After(int rungs, Accent? accent = null) =>
        Given.LettersFirst.TaughtAfter(rungs, Leniencies.All, accent ?? Accent.SouthernBritish);

    [Fact]
    public void The_candidates_judged_by_hand_are_judged_so()
    {
        var rows = GoldScore.Rows("madeup.tsv").Select(r => (Gold: r, Judged: Judge.Judge(r[0]))).ToList();
        var misses = rows.Where(r => r.Judged.WillDo != (r.Gold[1] == "yes")).ToList();
        Assert.True(rows.Count >= 100);
        Assert.True(
            misses.Count <= rows.Count / 20,
            string.Join('\n', misses.Select(m => $"{m.Gold[0]} {m.Gold[1]} {m.Judged.Reason}"))
        );
        Assert.True(rows.Count(r => MadeUpCommand.Name(r.Judged.Reason) == r.Gold[2]) >= rows.Count * 0.95);
    }

    [Theory]
    [InlineData("ship", MadeUpReason.RealWord)]
    [InlineData("frogs", MadeUpReason.RealWord)]
    [InlineData("fone", MadeUpReason.SoundsLikeWord)]
    [InlineData("meg", MadeUpReason.Name)]
    [InlineData("fuk", MadeUpReason.Unsuitable)]
    [InlineData("fub", MadeUpReason.Unsuitable)]
    [InlineData("vuck", MadeUpReason.Unsuitable)]
    [InlineData("thock", MadeUpReason.None)]
    [InlineData("zibble", MadeUpReason.None)]
    [InlineData("glonk", MadeUpReason.None)]
    [InlineData("crapt", MadeUpReason.Unsuitable)]
    [InlineData("ckib", MadeUpReason.NotEnglish)]
    [InlineData("blif", MadeUpReason.NotEnglish)]
    [InlineData("jav", MadeUpReason.NotEnglish)]
    [InlineData("daj", MadeUpReason.NotEnglish)]
    [InlineData("vayp", MadeUpReason.SoundsLikeWord)]
    [InlineData("zayp", MadeUpReason.NotEnglish)]
    [InlineData("smom", MadeUpReason.NotEnglish)]
    [InlineData("wab", MadeUpReason.TwoReadings)]
    [InlineData("jopped", MadeUpReason.LooksSuffixed)]
    [InlineData("x", MadeUpReason.NotLetters)]
    [InlineData("two words", MadeUpReason.NotLetters)]
    [InlineData("zib😀", MadeUpReason.NotLetters)]
    [InlineData("thob", MadeUpReason.None)]
    public void Each_reason_has_its_case(string candidate, MadeUpReason reason) =>
        Assert.Equal(reason, Judge.Judge(candidate).Reason);

    [Fact]
    public void What_was_taught_decides_what_can_be_read_and_in_how_many_ways()
    {
        var one = new MadeUpJudge(Given.Lexicon, Given.Taught("z=z v=v n=n ow=aʊ"), Accent.SouthernBritish);
        var two = new MadeUpJudge(Given.Lexicon, Given.Taught("z=z v=v n=n ow=aʊ ow=əʊ"), Accent.SouthernBritish);
        Assert.Equal(MadeUpReason.None, one.Judge("vown").Reason);
        Assert.Equal(MadeUpReason.TwoReadings, two.Judge("vown").Reason);
        Assert.Equal(MadeUpReason.NotTaught, one.Judge("vesh").Reason);
    }

    [Fact]
    public void Every_word_that_is_made_passes_the_judge_and_is_read_with_what_was_taught() =>
        Gen.Int[8, 120]
            .Select(Gen.Long, Gen.Int[0, 2])
            .Sample(
                (rungs, seed, accent) =>
                {
                    var taught = After(rungs, Accent.All[accent]);
                    var judge = new MadeUpJudge(Given.Lexicon, taught, taught.Accent);
                    var made = new MadeUpMaker(Given.Lexicon, taught).Make(30, seed);
                    Assert.Distinct(made.Select(m => m.Spelling));
                    Assert.All(made, m =>
                    {
                        Assert.Equal(MadeUpReason.None, judge.Judge(m.Spelling).Reason);
                        Assert.True(m.Segmentation.Parts.All(taught.Correspondences.Contains), m.Spelling);
                        Assert.Equal(m.Spelling, m.Segmentation.Rejoin());
                    });
                },
                iter: Given.Deep ? 40 : 4
            );

    [Fact]
    public void The_same_seed_gives_the_same_words()
    {
        var maker = new MadeUpMaker(Given.Lexicon, After(50));
        Assert.Equal(maker.Make(20, 9).AsEnumerable(), new MadeUpMaker(Given.Lexicon, After(50)).Make(20, 9));
        Assert.NotEqual(maker.Make(20, 9).AsEnumerable(), maker.Make(20, 10));
    }

    [Fact]
    public void Each_has_the_correspondence_that_is_asked_for()
    {
        Correspondence[] with = [Correspondence.Parse("ai=eɪ")];
        var made = new MadeUpMaker(Given.Lexicon, After(60)).Make(10, 1, with);
        Assert.Equal(10, made.Length);
        Assert.All(made, m => Assert.Contains(with[0], m.Segmentation.Parts));
    }

    [Fact]
    public void Adjacent_consonants_wait_until_they_are_taught()
    {
        var taught = Given.Taught(
            "s=s a=æ t=t p=p i=ɪ n=n m=m d=d g=g o=ɒ b=b f=f j=dʒ z=z w=w v=v",
            free: Patterns.None
        );
        Assert.All(new MadeUpMaker(Given.Lexicon, taught).Make(20, 1), m =>
            Assert.Matches("^C?VC?$", m.Segmentation.Shape)
        );
    }

    [Fact]
    public void With_nothing_taught_there_is_nothing_to_make() =>
        Assert.Empty(new MadeUpMaker(Given.Lexicon, Taught.Nothing).Make(10, 1));
}
