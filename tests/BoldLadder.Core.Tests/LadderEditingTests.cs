using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class LadderEditingTests
{
    private static readonly Ladder Twelve = Given.LettersFirst with { Rungs = Given.LettersFirst.Rungs[..12] };
    private static readonly ImmutableArray<string> Ids = [.. Twelve.Rungs.Select(r => r.Id)];
    private static readonly Gen<string> AnId = Gen.Int[0, 11].Select(i => Ids[i]);
    private static readonly Gen<string?> Anchor = Gen.Int[-1, 11].Select(i => i < 0 ? null : Ids[i]);
    private static readonly ImmutableArray<string> Words = [.. Twelve.Rungs.SelectMany(r => r.Tricky), "said", "one"];
    private static readonly Gen<string> AWord = Gen.Int[0, Words.Length - 1].Select(i => Words[i]);

    private static readonly Gen<LadderStep> AStep = Gen.OneOf<LadderStep>(
        Gen.Select(AnId, Anchor, (id, after) => (LadderStep)new MoveRung(id, after == id ? null : after)),
        AnId.Select(id => (LadderStep)new RemoveRung(id)),
        Gen.Select(Gen.Int[0, 999], Anchor, (n, after) =>
            (LadderStep)new InsertRung(new RungDocument($"new-{n}", "mine", ["oa=əʊ"], [], []), after)
        ),
        AnId.Select(id => (LadderStep)new TeachOn(id, ["ai=eɪ"], ["suffix-s"])),
        Gen.Select(AWord, Anchor, (word, on) => (LadderStep)new PlaceTricky(word, on)),
        Gen.Select(AnId, Gen.Bool.Select(b => b ? "first" : "second"), (id, stage) =>
            (LadderStep)new NameStage(id, stage)
        ),
        AnId.Select(id => (LadderStep)new GiveReason(id, "oral-work")),
        Gen.Const((LadderStep)new FreePatterns(["capitals"]))
    );

    private static readonly Gen<LadderStep[]> Edit = AStep.Array[1, 4];

    private static Ladder? Try(Ladder ladder, IEnumerable<LadderStep> steps)
    {
        try
        {
            return LadderEditing.Apply(ladder, steps).After;
        }
        catch (RefusedException)
        {
            return null;
        }
    }

    private static string Order(Ladder ladder) => string.Join(' ', ladder.Rungs.Select(r => r.Id));

    [Fact]
    public void A_change_and_its_inverse_leave_the_ladder_as_it_was() =>
        Edit.Sample(steps =>
        {
            if (Try(Twelve, steps) is null)
                return;
            var (after, inverse) = LadderEditing.Apply(Twelve, steps);
            Assert.Equal(LadderDocument.Write(Twelve), LadderDocument.Write(LadderEditing.Apply(after, inverse).After));
        });

    [Fact]
    public void Changes_that_do_not_collide_give_the_same_ladder_in_either_order() =>
        Gen.Select(Edit, Edit)
            .Sample(
                (mine, theirs) =>
                {
                    if (
                        LadderEditing.Collide(mine, theirs)
                        || Try(Twelve, mine) is not { } one
                        || Try(Twelve, theirs) is not { } other
                    )
                        return;
                    var (first, second) = (
                        Sorted(LadderEditing.Apply(one, theirs).After),
                        Sorted(LadderEditing.Apply(other, mine).After)
                    );
                    Assert.Equal(LadderDocument.Write(first), LadderDocument.Write(second));
                }
            );

    /// <summary>The order of tricky words on a rung means nothing.</summary>
    private static Ladder Sorted(Ladder ladder) =>
        ladder with
        {
            Rungs = [.. ladder.Rungs.Select(r => r with { Tricky = r.Tricky.Sort(StringComparer.Ordinal) })],
        };

    [Fact]
    public void The_difference_of_two_ladders_makes_the_one_from_the_other() =>
        AStep
            .Array[1, 9]
            .Sample(steps =>
            {
                if (Try(Twelve, steps) is not { } after)
                    return;
                Assert.Equal(
                    LadderDocument.Write(after),
                    LadderDocument.Write(LadderEditing.Apply(Twelve, LadderDifference.Between(Twelve, after)).After)
                );
                Assert.Equal(
                    LadderDocument.Write(Twelve),
                    LadderDocument.Write(LadderEditing.Apply(after, LadderDifference.Between(after, Twelve)).After)
                );
            });

    [Fact]
    public void One_rung_moved_reads_as_one_move_however_far()
    {
        var moved = Twelve.Moved(9, 1);
        Assert.Equal(new MoveRung(Ids[9], Ids[0]), Assert.Single(LadderDifference.Between(Twelve, moved)));
        Assert.Empty(LadderDifference.Between(Twelve, Twelve));
    }

    [Fact]
    public void Several_rungs_are_cut_and_pasted_in_their_order()
    {
        var after = LadderEditing.Apply(Twelve, [new MoveRung(Ids[2], Ids[7]), new MoveRung(Ids[4], Ids[2])]).After;
        Assert.Equal(
            string.Join(' ', [Ids[0], Ids[1], Ids[3], Ids[5], Ids[6], Ids[7], Ids[2], Ids[4], .. Ids[8..]]),
            Order(after)
        );
    }

    [Fact]
    public void A_tricky_word_stands_on_one_rung_only()
    {
        var word = Twelve.Rungs.First(r => r.Tricky.Length > 0).Tricky[0];
        var after = LadderEditing.Apply(Twelve, [new PlaceTricky(word, Ids[11])]).After;
        Assert.Equal(Ids[11], Assert.Single(after.Rungs, r => r.Tricky.Contains(word)).Id);
    }

    public static TheoryData<LadderStep, string> Refused =>
        new()
        {
            { new MoveRung("nowhere", null), "unknown-rung" },
            { new MoveRung(Ids[1], "nowhere"), "unknown-rung" },
            { new MoveRung(Ids[1], Ids[1]), "after-itself" },
            { new InsertRung(new RungDocument(Ids[3], "mine", [], [], []), null), "rung-exists" },
            { new InsertRung(new RungDocument("new", "mine", ["sh=q"], [], []), null), "unknown-teaching" },
            {
                new InsertRung(new RungDocument("new", "mine", ["sh=ʃ"], [], [], Kind: "review"), null),
                "teaches-on-a-quiet-day"
            },
            { new InsertRung(new RungDocument("new", "mine", [], [], [], Kind: "holiday"), null), "unknown-teaching" },
            { new InsertRung(new RungDocument("new", "mine", [], ["suffix-q"], []), null), "unknown-teaching" },
            { new NameStage(Ids[1], ""), "bad-name.rung" },
            { new NameStage(Ids[1], new string('x', 121)), "bad-name.rung" },
            { new NameStage(Ids[1], "two\nlines"), "bad-name.rung" },
            { new PlaceTricky(" ", Ids[1]), "bad-name.rung" },
            { new TeachOn(Ids[1], ["a"], []), "unknown-teaching" },
        };

    [Theory]
    [MemberData(nameof(Refused))]
    public void A_step_that_cannot_be_done_is_refused_by_name(LadderStep step, string code) =>
        Assert.Equal(
            code,
            Assert
                .Throws<RefusedException>(() => LadderEditing.Apply(Twelve, [new NameStage(Ids[0], "changed"), step]))
                .Code
        );

    [Fact]
    public void A_ladder_has_an_end()
    {
        var full = Twelve with
        {
            Rungs = [.. Enumerable.Range(0, LadderEditing.MostRungs).Select(i => Twelve.Rungs[0] with { Id = $"{i}" })],
        };
        Assert.Equal(
            "too-many-rungs",
            Assert
                .Throws<RefusedException>(() =>
                    LadderEditing.Apply(full, [new InsertRung(new RungDocument("more", "mine", [], [], []), null)])
                )
                .Code
        );
        Assert.Equal(
            LadderEditing.MostRungs,
            LadderEditing
                .Apply(
                    full with
                    {
                        Rungs = full.Rungs[1..],
                    },
                    [new InsertRung(new RungDocument("more", "mine", [], [], []), null)]
                )
                .After.Rungs.Length
        );
    }

    [Fact]
    public void A_move_tells_which_words_come_earlier_and_later_but_not_those_only_pushed_along()
    {
        var index = new WordIndex(Given.Lexicon, Leniencies.All, Accent.SouthernBritish);
        var ladder = Given.LettersFirst;
        var sh = Given.RungOf("sh=ʃ");
        var steps = new LadderStep[] { new MoveRung(ladder.Rungs[sh].Id, ladder.Rungs[sh + 4].Id) };
        var comparison = LadderComparison.Of(
            ladder,
            LadderEditing.Apply(ladder, steps).After,
            LadderEditing.Touched(steps),
            index
        );
        Assert.Empty(comparison.Gained);
        Assert.Empty(comparison.Lost);
        Assert.Empty(comparison.Earlier);
        var ship = Assert.Single(comparison.Later, m => m.Word.Spelling == "ship");
        Assert.Equal((sh, sh + 4), (ship.Before, ship.After));
        Assert.All(comparison.Later, m =>
            Assert.Contains("sh", m.Word.Segmentation.Graphemes, StringComparison.Ordinal)
        );
        Assert.DoesNotContain(comparison.Later, m => m.Word.Spelling == "chip");
    }

    [Fact]
    public void Taking_a_rung_off_loses_words_and_putting_it_back_gains_them()
    {
        var index = new WordIndex(Given.Lexicon, Leniencies.All, Accent.SouthernBritish);
        var without = LadderEditing.Apply(Given.LettersFirst, [new RemoveRung("sh=ʃ")]).After;
        var lost = LadderComparison.Of(Given.LettersFirst, without, new HashSet<string> { "sh=ʃ" }, index).Lost;
        var gained = LadderComparison.Of(without, Given.LettersFirst, new HashSet<string> { "sh=ʃ" }, index).Gained;
        Assert.Contains(lost, m => m.Word.Spelling == "fish");
        Assert.Equal(lost.Select(m => m.Word), gained.Select(m => m.Word));
    }

    [Theory]
    [InlineData("\u202eturned round")]
    [InlineData("hidden\u2066mark")]
    [InlineData(" space in front")]
    public void A_new_rung_is_refused_with_a_reason_or_a_name_that_can_not_be_seen_as_it_is_written(string text)
    {
        foreach (
            var rung in new[]
            {
                new RungDocument("new", "Stage", ["sh=ʃ"], [], [], text),
                new RungDocument("new", text, ["sh=ʃ"], [], []),
                new RungDocument("new", "Stage", ["sh=ʃ"], [], [], new string('x', 121)),
            }
        )
        {
            Assert.Equal(
                "bad-name.rung",
                Assert
                    .Throws<RefusedException>(() =>
                        LadderEditing.Apply(Given.LettersFirst, [new InsertRung(rung, null)])
                    )
                    .Code
            );
        }
    }
}
