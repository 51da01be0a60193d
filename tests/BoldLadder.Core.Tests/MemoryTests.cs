using BoldLadder.Core.Accents;
using BoldLadder.Core.Marking;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Simulation;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words.Facts;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>What a child remembers, by what was seen. Source: docs/memory.md.</summary>
public class MemoryTests
{
    private static readonly DateOnly Monday = new(2026, 11, 2);
    private static readonly MemoryTarget Ai = MemoryTarget.Of(Correspondence.Parse("ai=eɪ"));
    private static readonly Difficulty Difficulty = new(new CorrespondenceTable(Given.Lexicon, Accent.SouthernBritish));

    private static Evidence On(int day, Seen seen, EvidenceSource source = EvidenceSource.AsWritten) =>
        new(Guid.NewGuid(), Ai, Skill.Spelling, seen, source, Monday.AddDays(day));

    private static Remembered After(params (int Day, Seen Seen)[] seen) =>
        Remembered.Of(seen.Select(s => On(s.Day, s.Seen)), MemoryModel.Begins);

    [Fact]
    public void What_is_right_after_longer_holds_longer()
    {
        var massed = After((0, Seen.Right), (1, Seen.Right), (2, Seen.Right));
        var spaced = After((0, Seen.Right), (3, Seen.Right), (9, Seen.Right));
        Assert.True(spaced.Holds > massed.Holds * 1.5, $"{spaced.Holds} {massed.Holds}");
        Assert.True(massed.Holds > MemoryModel.Begins);
    }

    [Fact]
    public void A_miss_shortens_what_it_holds_and_a_plausible_spelling_shortens_it_less()
    {
        var before = After((0, Seen.Right), (3, Seen.Right)).Holds;
        var missed = After((0, Seen.Right), (3, Seen.Right), (6, Seen.Wrong)).Holds;
        var plausible = After((0, Seen.Right), (3, Seen.Right), (6, Seen.Plausible)).Holds;
        Assert.True(missed < before);
        Assert.InRange(plausible, missed, before * 2);
    }

    [Fact]
    public void It_fades_by_half_in_its_half_life_and_a_holiday_counts_as_its_days()
    {
        var known = After((0, Seen.Right));
        var days = (int)Math.Round(known.Holds);
        Assert.InRange(known.On(Monday.AddDays(days)), 0.4, 0.6);
        Assert.Equal(1, known.On(Monday));
        Assert.True(known.On(Monday.AddDays(14)) < known.On(Monday.AddDays(7)));
    }

    [Fact]
    public void What_all_said_together_counts_for_little()
    {
        var alone = Remembered.Of([On(0, Seen.Right), On(5, Seen.Right)], MemoryModel.Begins);
        var together = Remembered.Of(
            [On(0, Seen.NearlyAll, EvidenceSource.WholeGroup), On(5, Seen.NearlyAll, EvidenceSource.WholeGroup)],
            MemoryModel.Begins
        );
        Assert.True(together.Holds - MemoryModel.Begins < (alone.Holds - MemoryModel.Begins) / 2);
        Assert.False(together.IsOwn);
    }

    [Fact]
    public void No_order_in_which_it_comes_in_changes_what_a_day_comes_to() =>
        Gen.Select(Gen.Int[0, 12], Gen.Enum<Seen>(), Gen.Enum<EvidenceSource>(), On)
            .List[0, 24]
            .Sample(
                rows =>
                {
                    var known = Remembered.Of(rows, MemoryModel.Begins);
                    var other = Remembered.Of(Enumerable.Reverse(rows), MemoryModel.Begins);
                    Assert.Equal(RememberedDocument.Write(known), RememberedDocument.Write(other));
                },
                iter: 2_000
            );

    [Fact]
    public void Grown_row_by_row_it_is_what_all_rows_come_to() =>
        Gen.Select(Gen.Int[0, 3], Gen.Enum<Seen>(), (d, s) => (d, s))
            .List[1, 20]
            .Sample(
                steps =>
                {
                    var day = 0;
                    var rows = steps.ConvertAll(s => On(day += s.d, s.s));
                    var grown = rows.Aggregate(Remembered.Nothing(MemoryModel.Begins), (k, r) => k.With(r)!);
                    var folded = Remembered.Of(rows, MemoryModel.Begins);
                    Assert.Equal(RememberedDocument.Write(folded), RememberedDocument.Write(grown));
                    Assert.Equal(grown, RememberedDocument.Read(RememberedDocument.Write(grown)));
                },
                iter: 2_000
            );

    [Fact]
    public void A_row_of_an_earlier_day_is_not_added_but_asks_for_all() =>
        Assert.Null(After((5, Seen.Right)).With(On(3, Seen.Right)));

    [Fact]
    public void It_is_secure_once_it_was_right_on_three_days_and_is_still_there()
    {
        MemoryVerdict Of(int day, params (int, Seen)[] seen) => MemoryVerdict.Of(After(seen), Monday.AddDays(day));
        Assert.Equal(MemoryState.Secure, Of(11, (0, Seen.Right), (4, Seen.Right), (10, Seen.Right)).State);
        Assert.Equal(MemoryState.NotYet, Of(5, (0, Seen.Right), (4, Seen.Right)).State);
        Assert.Equal(MemoryState.NotYet, Of(5, (4, Seen.Shown)).State);
        Assert.Equal(MemoryState.Wobbling, Of(12, (0, Seen.Right), (4, Seen.Right), (10, Seen.Wrong)).State);
        Assert.Equal(MemoryState.Wobbling, Of(300, (0, Seen.Right), (4, Seen.Right), (10, Seen.Right)).State);
        var reasons = Of(12, (0, Seen.Right), (4, Seen.Right), (10, Seen.Wrong)).Reasons;
        Assert.Contains(reasons, r => r is { Code: "right-days", Count: 2 } && r.Day == Monday.AddDays(4));
        Assert.Contains(reasons, r => r.Code == "missed-on" && r.Day == Monday.AddDays(10));
    }

    [Fact]
    public void A_child_who_was_away_has_no_evidence_but_that()
    {
        var known = Remembered.Of([On(0, Seen.MissedTeaching)], MemoryModel.Begins);
        Assert.Null(known.SeenOn);
        Assert.Equal(0, known.On(Monday.AddDays(1)));
        Assert.Contains(MemoryVerdict.Of(known, Monday).Reasons, r => r.Code == "missed-teaching");
    }

    [Fact]
    public void What_often_says_something_else_or_has_many_letters_begins_shorter()
    {
        double Begins(string one, Skill skill = Skill.Reading) =>
            Difficulty.Begins(MemoryTarget.Of(Correspondence.Parse(one)), skill);
        Assert.True(Begins("m=m") < Begins("f=f"));
        Assert.True(Begins("igh=aɪ") < Begins("ee=iː"));
        Assert.True(Begins("ow=əʊ") < Begins("sh=ʃ"));
    }

    [Fact]
    public void What_most_children_missed_comes_back_before_what_they_hold_and_nothing_stays_away_for_ever()
    {
        var held = MemoryTarget.Of(Correspondence.Parse("s=s"));
        var old = MemoryTarget.Of(Correspondence.Parse("t=t"));
        Dictionary<MemoryTarget, Remembered> Child(bool missed) =>
            new()
            {
                [Ai] = After((0, Seen.Right), (4, missed ? Seen.Wrong : Seen.Right)),
                [held] = After((0, Seen.Right), (2, Seen.Right), (4, Seen.Right)),
                [old] = After((-60, Seen.Right), (-50, Seen.Right), (-40, Seen.Right), (-28, Seen.Right)),
            };
        var due = GroupDue.Of([Child(true), Child(true), Child(false)], Monday.AddDays(5));
        Assert.Equal([old, Ai, held], due.Select(d => d.Target));
        Assert.Equal([DueWhy.LongUnseen, DueWhy.MissedBy], due.Take(2).Select(d => d.Why));
        Assert.Equal(2, due[1].Children);
        Assert.Empty(GroupDue.Of([], Monday));
    }

    [Fact]
    public void Targets_are_stored_as_text_and_read_again()
    {
        foreach (var text in new[] { "ai=eɪ", "pattern:suffix-s", "tricky:said" })
        {
            Assert.True(MemoryTarget.TryParse(text, out var target));
            Assert.Equal(text, target.ToString());
        }
        foreach (var text in new[] { "", "tricky:", "pattern:", "no target" })
            Assert.False(MemoryTarget.TryParse(text, out _));
    }

    [Fact]
    public void A_marked_word_gives_a_verdict_for_each_grapheme_but_those_of_its_tricky_part()
    {
        var marker = new Marker(new PlausibleSpellings(Given.Lexicon, Accent.SouthernBritish));
        var heap = Given.Lexicon.Find("heap")!;
        Assert.Equal(
            [Seen.Right, Seen.Plausible, Seen.Right],
            WordEvidence.Of(heap, [], marker.Mark(heap, "heep")).Select(s => s.Seen)
        );
        var said = Given.Lexicon.Find("said")!;
        var seen = WordEvidence.Of(said, [1], marker.Mark(said, "sed")).ToList();
        Assert.Equal(["s=s", "d=d", "tricky:said"], seen.Select(s => s.Target.ToString()));
        Assert.Equal(Seen.Wrong, seen[^1].Seen);
    }

    [Theory]
    [InlineData(ForgettingLaw.Exponential)]
    [InlineData(ForgettingLaw.Power)]
    [InlineData(ForgettingLaw.TwoStores)]
    public void Virtual_classes_hold_more_by_our_memory_than_by_chance_and_the_same_seed_is_the_same_year(
        ForgettingLaw law
    )
    {
        YearResult Year(RevisitPolicy policy, int lessons) =>
            new VirtualYear(
                ladder: Given.LettersFirst,
                materials: Given.Materials,
                difficulty: Difficulty,
                law: law,
                policy: policy,
                minutes: 20,
                seed: 77
            ).Run(lessons);
        var lessons = Given.Deep ? 190 : 60;
        var ours = Year(RevisitPolicy.Ours, lessons);
        Assert.True(ours.Mean > Year(RevisitPolicy.Random, lessons).Mean);
        Assert.Equal(ours.Children.AsEnumerable(), Year(RevisitPolicy.Ours, lessons).Children.AsEnumerable());
        Assert.InRange(ours.Worst, 0, ours.Mean);
    }

    private static Evidence Wrote(string target, string written, Seen seen, int day, string word = "x") =>
        new(
            Id: Guid.NewGuid(),
            Target: MemoryTarget.Of(Correspondence.Parse(target)),
            Skill: Skill.Spelling,
            Seen: seen,
            Source: EvidenceSource.AsWritten,
            Day: Monday.AddDays(day),
            Word: word,
            Written: written
        );

    [Fact]
    public void Confusions_have_a_name_from_the_second_time_and_patterns_of_sound_are_told_when_they_last()
    {
        var th = Enumerable.Range(0, 4).Select(d => Wrote("th=θ", "f", Seen.Wrong, d) with { AsSpoken = true });
        var found = Confusions.Of([
            .. th,
            Wrote("b=b", "d", Seen.LookAlike, 0),
            Wrote("b=b", "d", Seen.LookAlike, 0),
            Wrote("e=e", "i", Seen.Wrong, 1),
            Wrote("e=e", "I", Seen.Wrong, 2),
            Wrote("oa=əʊ", "ow", Seen.Plausible, 1),
            Wrote("oa=əʊ", "ow", Seen.Plausible, 3),
            Wrote("n=n", "", Seen.Missing, 3),
            Wrote("n=n", "", Seen.Missing, 4),
            Wrote("t=t", "", Seen.Missing, 4),
            Wrote("s=s", "s", Seen.Right, 4),
        ]);
        Assert.Equal(
            [
                ("th=θ", ConfusionKind.AsSpoken, "f", 4),
                ("n=n", ConfusionKind.LeftOut, "", 2),
                ("oa=əʊ", ConfusionKind.Spelling, "ow", 2),
                ("e=e", ConfusionKind.Vowel, "i", 2),
                ("b=b", ConfusionKind.LookAlike, "d", 2),
            ],
            found.Select(c => (c.Target.ToString(), c.Kind, c.Written, c.Times)).AsEnumerable()
        );
        Assert.Equal(["th=θ"], found.Where(c => c.IsOfSound).Select(c => c.Target.ToString()));
        Assert.Equal(1, found.Single(c => c.Kind == ConfusionKind.LookAlike).Days);
    }

    [Theory]
    [InlineData("b=b", "d")]
    [InlineData("e=e", "i")]
    [InlineData("th=θ", "f")]
    public void Words_to_contrast_differ_in_the_one_grapheme_alone(string target, string written)
    {
        var one = Correspondence.Parse(target);
        var pairs = ContrastWords.Of([.. Given.Lexicon.Known], one, written).Take(3).ToList();
        Assert.NotEmpty(pairs);
        Assert.All(pairs, p =>
        {
            var differ = p.One.Required.Zip(p.Other.Required).Where(r => r.First != r.Second).ToList();
            Assert.Equal((one, written), (Assert.Single(differ).First, differ[0].Second.Grapheme.Text));
        });
        Assert.Equal(pairs.Count * 2, pairs.SelectMany(p => new[] { p.One, p.Other }).Distinct().Count());
    }

    [Fact]
    public void What_was_missed_or_wrong_lately_is_needed_until_it_was_right_or_made_up_for()
    {
        var wrong = MemoryTarget.Of(Correspondence.Parse("b=b"));
        var missed = Remembered.Of([On(1, Seen.MissedTeaching), On(2, Seen.Shown)], MemoryModel.Begins);
        var weak = After((0, Seen.Right), (3, Seen.Wrong));
        ChildNeeds Needs(Remembered one, int day, params (MemoryTarget Target, DateOnly Day)[] madeUp) =>
            ChildNeeds.Of(
                new Dictionary<MemoryTarget, Remembered> { [Ai] = one, [wrong] = weak },
                madeUp.ToLookup(m => m.Target, m => m.Day),
                Monday.AddDays(day)
            );
        var needs = Needs(missed, 4);
        Assert.Equal([Ai], needs.Missed.AsEnumerable());
        Assert.Equal([wrong], needs.Weak.AsEnumerable());
        Assert.True(needs.IsMuch);
        Assert.False(Needs(missed, 4, (Ai, Monday.AddDays(3))).IsMuch);
        Assert.Empty(Needs(missed.With(On(3, Seen.Right))!, 4).Missed);
        Assert.Empty(Needs(missed, 4, (wrong, Monday.AddDays(4))).Weak);
        Assert.NotEmpty(Needs(missed, 4, (wrong, Monday.AddDays(2))).Weak);
        Assert.Empty(Needs(missed, ChildNeeds.DaysBack + 4).Missed);
    }
}
