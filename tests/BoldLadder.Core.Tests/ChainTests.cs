using BoldLadder.Core.Accents;
using BoldLadder.Core.Activities.Chains;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Commands;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class ChainTests
{
    private static readonly WordFinder Finder = new(Given.Lexicon);

    private static Taught After(int rungs) =>
        Given.LettersFirst.TaughtAfter(rungs, Leniencies.All, Accent.SouthernBritish);

    private static ChainMaker Maker(int rungs) => new(Given.Lexicon, After(rungs));

    private static ChainChange? Change(string from, string to) =>
        new ChainJudge(Finder, null).Judge([from, to])[1].Change;

    [Fact]
    public void The_steps_judged_by_hand_are_judged_so()
    {
        var judge = new ChainJudge(Finder, null);
        var rows = GoldScore.Rows("chains.tsv").Select(r => (Gold: r, Steps: judge.Judge([r[0], r[1]]))).ToList();
        var misses = rows.Where(r =>
                r.Steps.All(s => s.IsValid) != (r.Gold[2] == "yes")
                || (
                    r.Gold[2] == "yes"
                    && !string.Equals($"{r.Steps[1].Change}", r.Gold[3], StringComparison.OrdinalIgnoreCase)
                )
            )
            .ToList();
        Assert.True(rows.Count >= 60);
        Assert.True(
            misses.Count <= rows.Count / 20,
            string.Join('\n', misses.Select(m => $"{m.Gold[0]} {m.Gold[1]}: {m.Steps[1]}"))
        );
    }

    [Theory]
    [InlineData("cat", "chat", ChainChange.Initial)]
    [InlineData("cap", "cape", ChainChange.Medial)]
    [InlineData("top", "stop", ChainChange.Insert)]
    [InlineData("stop", "top", ChainChange.Delete)]
    [InlineData("fox", "fog", ChainChange.Final)]
    [InlineData("back", "bake", null)]
    [InlineData("from", "form", null)]
    [InlineData("cat", "cat", null)]
    public void A_step_changes_adds_or_drops_one_grapheme(string from, string to, ChainChange? change) =>
        Assert.Equal(change, Change(from, to));

    [Fact]
    public void The_judge_says_what_is_wrong_at_which_step()
    {
        var steps = new ChainJudge(Finder, After(20)).Judge(["hat", "hot", "hat", "zat", "flat", "rain", "fuck"]);
        Assert.Equal(
            [
                [],
                [],
                [ChainProblem.Repeated],
                [ChainProblem.NotReal],
                [ChainProblem.NotDecodable, ChainProblem.NotOneChange],
                [ChainProblem.NotDecodable, ChainProblem.NotOneChange],
                [ChainProblem.Unsuitable, ChainProblem.NotOneChange],
            ],
            steps.Select(s => s.Problems.ToArray())
        );
        Assert.Contains(steps[5].Needs, o => o.Correspondence?.Notation == "ai=eɪ");
    }

    [Fact]
    public void Every_chain_that_is_made_passes_the_judge() =>
        Gen.Int[6, 120]
            .Select(Gen.Int[2, 20], Gen.Long)
            .Sample(
                (rungs, length, seed) =>
                {
                    var ladder = (seed & 3) switch
                    {
                        0 => Given.SoundsFirst,
                        1 => Given.ShortVowelsFirst,
                        _ => Given.LettersFirst,
                    };
                    var accent = Accent.All[(int)((seed >>> 8) % Accent.All.Length)];
                    var taught = ladder.TaughtAfter(rungs, Leniencies.All, accent);
                    var chain = new ChainMaker(Given.Lexicon, taught).Make(new ChainRequest(length, [], seed));
                    Assert.InRange(chain.Length, 0, length);
                    var judged = new ChainJudge(Finder, taught).Judge(chain.Select(s => s.Word.Spelling));
                    Assert.All(judged, s => Assert.True(s.IsValid, $"{s.Word} {string.Join(' ', s.Problems)}"));
                    Assert.Equal(chain.Select(s => s.Change), judged.Select(s => s.Change));
                    Assert.Distinct(chain.Select(s => Lexicon.SoundsIn(accent, s.Word)));
                },
                iter: Given.Deep ? 200 : 12
            );

    [Fact]
    public void The_same_seed_gives_the_same_chain_and_another_seed_another()
    {
        var maker = Maker(40);
        string Chain(long seed) =>
            string.Join(' ', maker.Make(new ChainRequest(10, [], seed)).Select(s => s.Word.Spelling));
        Assert.Equal(
            Chain(5),
            string.Join(' ', Maker(40).Make(new ChainRequest(10, [], 5)).Select(s => s.Word.Spelling))
        );
        Assert.True(Enumerable.Range(0, 5).Select(i => Chain(i)).Distinct().Count() > 3);
    }

    [Fact]
    public void The_target_comes_as_often_as_it_can_and_the_place_of_change_varies()
    {
        var chain = Maker(70).Make(new ChainRequest(10, [Correspondence.Parse("ai=eɪ")], 1));
        Assert.Equal(10, chain.Length);
        Assert.True(chain.Count(s => s.Word.Contains(Correspondence.Parse("ai=eɪ"))) >= 8);
        Assert.True(chain.Zip(chain.Skip(1)).Count(p => p.First.Change == p.Second.Change) <= 3);
    }

    [Fact]
    public void A_floor_of_commonness_keeps_rare_words_out()
    {
        var chain = new ChainMaker(Given.Lexicon, After(60), rarestZipf: 4.5).Make(new ChainRequest(12, [], 3));
        Assert.All(chain, s => Assert.True(s.Word.Zipf >= 4.5 || s.Word.IsKnown));
    }

    [Fact]
    public void Where_there_is_no_such_chain_it_is_shorter_and_with_nothing_taught_there_is_none()
    {
        Assert.InRange(
            new ChainMaker(Given.Lexicon, Given.Taught("s=s a=æ t=t")).Make(new ChainRequest(30, [], 1)).Length,
            1,
            10
        );
        Assert.Empty(new ChainMaker(Given.Lexicon, Taught.Nothing).Make(new ChainRequest(10, [], 1)));
    }

    [Fact]
    public void Lines_share_no_word()
    {
        var lines = Maker(40).Lines(4, new ChainRequest(5, [], 2));
        Assert.Equal(4, lines.Length);
        Assert.Distinct(lines.SelectMany(l => l).Select(s => s.Word.Spelling));
    }

    [Fact]
    public void The_tiles_lay_every_word()
    {
        var chain = Maker(60).Make(new ChainRequest(15, [], 4));
        var tiles = ChainSteps.Tiles(chain.Select(s => s.Word.Segmentation)).ToLookup(t => t.Text);
        Assert.All(chain, s =>
            Assert.All(s.Word.Segmentation.Parts.GroupBy(p => p.Grapheme.Text), g =>
                Assert.True(tiles[g.Key].Count() >= g.Count())
            )
        );
    }
}
