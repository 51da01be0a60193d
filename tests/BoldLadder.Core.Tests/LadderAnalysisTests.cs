using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class LadderAnalysisTests
{
    private static readonly WordIndex Index = new(Given.Lexicon, Leniencies.All, Accent.SouthernBritish);

    /// <summary>
    /// A rung of notations, pattern ids and tricky words: <c>"a=æ suffix-s !the"</c>; a dot is a rung with nothing new.
    /// </summary>
    private static Rung Rung(string text, int at)
    {
        var parts = text.Split(' ', StringSplitOptions.RemoveEmptyEntries).Where(p => p != ".").ToList();
        return new Rung(
            $"{at}",
            "all",
            [.. parts.Where(p => p.Contains('=', StringComparison.Ordinal)).Select(Correspondence.Parse)],
            PatternIds.Parse(
                parts.Where(p =>
                    p.Contains('-', StringComparison.Ordinal) && !p.Contains('=', StringComparison.Ordinal)
                )
            ),
            [.. parts.Where(p => p[0] == '!').Select(p => p[1..])],
            "oral-work"
        );
    }

    /// <summary>Suffixes and joins need teaching, all else is free.</summary>
    private static Ladder Ladder(params string[] rungs) =>
        new(
            "test",
            "letters-first",
            Patterns.AdjacentStart
                | Patterns.AdjacentEnd
                | Patterns.TwoSyllables
                | Patterns.ThreeSyllables
                | Patterns.Compound
                | Patterns.Contraction
                | Patterns.Capitals,
            [.. rungs.Select(Rung)]
        );

    /// <summary>The first text, rungs with nothing new, and the last text so many rungs after it.</summary>
    private static Ladder Apart(string first, string last, int gap) =>
        Ladder([first, .. Enumerable.Repeat(".", gap - 1), last]);

    private static List<WarningKind> Kinds(Ladder ladder, Accent? accent = null) =>
        [
            .. LadderAnalysis
                .Of(ladder, accent is null ? Index : new WordIndex(Given.Lexicon, Leniencies.All, accent))
                .Warnings.Select(w => w.Kind),
        ];

    [Theory]
    [InlineData("b=b", "d=d", 10, WarningKind.LookAlike)]
    [InlineData("m=m", "n=n", 3, WarningKind.LookAlike)]
    [InlineData("f=f", "th=θ", 3, WarningKind.SoundAlike)]
    [InlineData("ai=eɪ", "ay=eɪ", 10, WarningKind.SecondSpelling)]
    [InlineData("ow=aʊ", "ow=əʊ", 10, WarningKind.SecondSound)]
    public void Two_that_are_mixed_up_must_be_so_many_rungs_apart(string one, string other, int rungs, WarningKind kind)
    {
        var warning = Assert.Single(LadderAnalysis.Of(Apart(one, other, rungs - 1), Index).Warnings);
        Assert.Equal((kind, rungs - 1), (warning.Kind, warning.Rung));
        Assert.Empty(Kinds(Apart(one, other, rungs)));
    }

    [Fact]
    public void Look_alikes_on_one_rung_are_nearest_of_all_but_a_family_may_share_a_rung()
    {
        Assert.Equal([WarningKind.LookAlike], Kinds(Ladder("b=b d=d")));
        Assert.Empty(Kinds(Ladder("er=ə er=ɜː", "ue=uː ew=uː")));
    }

    [Fact]
    public void A_bath_word_is_usable_on_the_rung_of_its_long_a()
    {
        var ladder = Ladder("p=p th=θ b=b g=g l=l ss=s", "a=ɑː");
        var taught = ladder.TaughtAfter(2, Leniencies.All, Accent.SouthernBritish);
        Assert.Equal(
            Usable.Showing(ladder.Rungs[1], taught, Given.Lexicon.ForLessons).Count(),
            LadderAnalysis.Of(ladder, Index).Rungs[1].UsableWords
        );
        Assert.True(LadderAnalysis.Of(ladder, Index).Rungs[1].UsableWords >= 3);
    }

    [Theory]
    [InlineData("c=k", "k=k")]
    [InlineData("k=k", "ck=k")]
    [InlineData("l=l", "ll=l")]
    public void Spellings_that_go_together_need_no_distance(string one, string other) =>
        Assert.DoesNotContain(WarningKind.SecondSpelling, Kinds(Ladder("c=k", one, other)));

    [Theory]
    [InlineData("a=æ", "a-e=eɪ")]
    [InlineData("u=ʌ", "qu=k+w")]
    [InlineData("ch=tʃ", "tch=tʃ")]
    [InlineData("c=k", "ck=k")]
    [InlineData("s=s", "ss=s")]
    [InlineData("suffix-ing", "join-double")]
    public void A_whole_comes_after_its_part(string part, string whole)
    {
        Assert.Contains(WarningKind.WholeBeforePart, Kinds(Apart(whole, part, 20)));
        Assert.DoesNotContain(WarningKind.WholeBeforePart, Kinds(Apart(part, whole, 20)));
    }

    [Fact]
    public void A_correspondence_taught_twice_is_told_with_the_first_rung()
    {
        var warning = Assert.Single(LadderAnalysis.Of(Ladder("m=m", "a=æ", "m=m"), Index).Warnings);
        Assert.Equal(LadderWarning.On(2, WarningKind.TaughtTwice, "m=m", "1"), warning);
    }

    [Fact]
    public void A_rung_with_fewer_than_five_usable_words_and_no_reason_is_thin()
    {
        Ladder Without(Ladder ladder) =>
            ladder with
            {
                Rungs = [.. ladder.Rungs.Select(r => r with { Reason = null })],
            };
        var some = Without(Ladder("a=æ t=t", "s=s p=p", "n=n"));
        var analysis = LadderAnalysis.Of(some, Index);
        Assert.All(analysis.Rungs, r =>
            Assert.Equal(r.UsableWords < Usable.Enough, r.Warnings.Any(w => w.Kind == WarningKind.Thin))
        );
        Assert.Contains(analysis.Rungs, r => r.Warnings.Any(w => w.Kind == WarningKind.Thin));
        Assert.Contains(analysis.Rungs, r => r.UsableWords >= Usable.Enough);
        Assert.DoesNotContain(WarningKind.Thin, Kinds(Ladder("a=æ t=t")));
    }

    [Fact]
    public void A_suffix_waits_for_a_base()
    {
        Assert.Contains(WarningKind.SuffixBeforeBase, Kinds(Ladder("a=æ", "suffix-s", "c=k t=t")));
        Assert.DoesNotContain(WarningKind.SuffixBeforeBase, Kinds(Ladder("a=æ", "c=k t=t", "suffix-s")));
    }

    [Fact]
    public void A_tricky_word_comes_before_the_rung_that_makes_it_readable()
    {
        Assert.DoesNotContain(WarningKind.TrickyAfterReadable, Kinds(Ladder("h=h !he", "e=iː")));
        Assert.Contains(
            LadderWarning.On(1, WarningKind.TrickyAfterReadable, "he", "2"),
            LadderAnalysis.Of(Ladder("h=h", "e=iː !he"), Index).Warnings
        );
    }

    [Fact]
    public void At_most_five_new_tricky_words_come_within_five_rungs()
    {
        Assert.DoesNotContain(
            WarningKind.TooManyTricky,
            Kinds(Ladder("!one !said", ".", ".", ".", "!was !two !who", "!come"))
        );
        Assert.Contains(
            WarningKind.TooManyTricky,
            Kinds(Ladder(".", "!one !said", ".", ".", "!was !two !who", "!come"))
        );
    }

    [Fact]
    public void Long_stretches_without_a_tricky_word_are_told()
    {
        string[] Quiet(int rungs) => ["!the", .. Enumerable.Repeat(".", rungs)];
        Assert.DoesNotContain(WarningKind.NoTrickyForLong, Kinds(Ladder(Quiet(14))));
        Assert.Contains(WarningKind.NoTrickyForLong, Kinds(Ladder(Quiet(15))));
    }

    [Fact]
    public void Tricky_words_easily_mixed_up_are_a_week_apart()
    {
        Assert.Contains(WarningKind.TrickyMixedUp, Kinds(Apart("!there", "!where", 4)));
        Assert.DoesNotContain(WarningKind.TrickyMixedUp, Kinds(Apart("!there", "!where", 5)));
    }

    [Fact]
    public void What_the_accent_makes_no_difference_to_is_told()
    {
        var ladder = Apart("u=ʌ", "u=ʊ", 12);
        Assert.Equal([WarningKind.AccentMerges], Kinds(ladder, Accent.NorthernEnglish));
        Assert.Empty(Kinds(ladder));
    }

    [Fact]
    public void The_shipped_ladder_has_no_warning() =>
        Assert.Empty(
            LadderAnalysis
                .Of(Given.LettersFirst, Index)
                .Warnings.Select(w =>
                    $"{Given.LettersFirst.Rungs[w.Rung].Label}: {w.Kind} {string.Join(' ', w.Arguments)}"
                )
        );

    [Fact]
    public void Words_and_text_only_ever_grow_and_agree_with_what_can_be_read()
    {
        var rungs = LadderAnalysis.Of(Given.LettersFirst, Index).Rungs;
        Assert.Equal(rungs.OrderBy(r => r.WordsSoFar), rungs);
        Assert.All(rungs.Zip(rungs.Skip(1)), pair =>
            Assert.True(pair.First.TextShare <= pair.Second.TextShare && pair.Second.TextShare <= 1)
        );
        for (var rung = 0; rung < rungs.Length; rung++)
        {
            var taught = Given.LettersFirst.TaughtAfter(rung + 1, Leniencies.All, Accent.SouthernBritish);
            Assert.Equal(Given.Lexicon.ForLessons.Count(taught.CanRead), rungs[rung].WordsSoFar);
            Assert.Equal(
                Usable.Showing(Given.LettersFirst.Rungs[rung], taught, Given.Lexicon.ForLessons).Count(),
                rungs[rung].UsableWords
            );
        }
        Assert.Contains("he", rungs[Given.RungOf("e=iː")].Graduates);
    }

    [Fact]
    public void A_word_has_the_same_rung_as_its_reach() =>
        Gen.Int[0, Index.Words.Length - 1]
            .Select(Gen.Int[0, 123], Gen.Int[0, 123])
            .Sample(
                (at, one, other) =>
                {
                    var ladder = Given.LettersFirst with
                    {
                        Rungs = Given
                            .LettersFirst.Rungs.SetItem(one, Given.LettersFirst.Rungs[other])
                            .SetItem(other, Given.LettersFirst.Rungs[one]),
                    };
                    Assert.Equal(
                        ladder.ReachIn(Leniencies.All, Accent.SouthernBritish).RungOf(Index.Words[at]) ?? int.MaxValue,
                        Index.Rungs(ladder)[at]
                    );
                },
                iter: 40
            );

    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    [InlineData(400)]
    public void A_ladder_of_any_length_is_analysed(int rungs)
    {
        var ladder = Ladder([.. Enumerable.Range(0, rungs).Select(i => Correspondence.All[i].Notation)]);
        Assert.Equal(rungs, LadderAnalysis.Of(ladder, Index).Rungs.Length);
    }

    /// <summary>
    /// A ladder of these letters, a rung each, and one for the rest of twelve, so that it counts as begun.
    /// </summary>
    private static Ladder Start(string letters) =>
        Ladder([
            .. letters.Select(Sound),
            string.Join(' ', "eiunbdrfglspmtao".Except(letters).Take(12 - letters.Length).Select(Sound)),
        ]);

    private static string Sound(char letter) =>
        Correspondence
            .All.First(c =>
                c.Grapheme.Text == $"{letter}"
                && (
                    c.SoundText == $"{letter}"
                    || "æeɪɒʌ".Contains(c.SoundText, StringComparison.Ordinal)
                    || c.Notation == "c=k"
                )
            )
            .Notation;

    private static bool Warns(Ladder ladder, WarningKind kind, params string[] arguments) =>
        LadderAnalysis
            .Of(ladder, Index)
            .Warnings.Any(w => w.Kind == kind && arguments.SequenceEqual(w.Arguments.Take(arguments.Length)));

    [Fact]
    public void Too_few_words_early_are_told_and_enough_are_not()
    {
        Assert.True(Warns(Start("mnsrlta"), WarningKind.FewWordsEarly, "0", "3", "4"));
        Assert.False(Warns(Given.LettersFirst, WarningKind.FewWordsEarly));
        Assert.DoesNotContain(WarningKind.FewWordsEarly, Kinds(Ladder("m=m", "n=n", "s=s", "r=r", "l=l", "t=t")));
    }

    [Fact]
    public void One_vowel_among_the_first_eight_is_too_few_and_two_are_enough()
    {
        Assert.True(Warns(Start("mastprnl"), WarningKind.FewVowelsEarly, "1"));
        Assert.False(Warns(Start("mastprno"), WarningKind.FewVowelsEarly));
    }

    [Fact]
    public void Five_consonants_in_a_row_are_too_many_and_four_are_not()
    {
        Assert.True(Warns(Start("amstpn"), WarningKind.ConsonantsInARow, "5"));
        Assert.False(Warns(Start("amstpo"), WarningKind.ConsonantsInARow));
    }

    [Fact]
    public void Half_of_the_first_six_consonants_are_to_be_held()
    {
        Assert.True(Warns(Start("tapbodsm"), WarningKind.FewHeld, "2"));
        Assert.False(Warns(Start("tapbosml"), WarningKind.FewHeld));
    }

    [Theory]
    [InlineData("letters-first", "letters-before-teams", "m=m|ai=eɪ|n=n", "m=m|n=n|ai=eɪ")]
    [InlineData("letters-first", "consonant-teams-early", "m=m|ai=eɪ|ee=iː|oa=əʊ|sh=ʃ", "m=m|ai=eɪ|ee=iː|sh=ʃ|oa=əʊ")]
    [InlineData("letters-first", "one-spelling-each", "ai=eɪ|ay=eɪ|ee=iː", "ai=eɪ|ee=iː|ay=eɪ")]
    [InlineData("sounds-first", "new-sound-each", "ai=eɪ|ay=eɪ|ee=iː", "ai=eɪ|ee=iː|ay=eɪ")]
    [InlineData("short-vowels-first", "short-before-long", "a=æ|ee=iː|i=ɪ", "a=æ|i=ɪ|ee=iː")]
    [InlineData("short-vowels-first", "short-before-long", "a=æ|ee=iː|m=m", "a=æ|m=m|ee=iː")]
    [InlineData("short-vowels-first", "splits-before-pairs", "a=æ|ee=iː|a-e=eɪ", "a=æ|a-e=eɪ|ee=iː")]
    [InlineData("short-vowels-first", "ar-and-or-first", "ar=ɑː|er=ɜː|or=ɔː", "ar=ɑː|or=ɔː|er=ɜː")]
    public void A_rule_of_the_school_of_order_that_is_broken_is_named(
        string approach,
        string rule,
        string broken,
        string kept
    )
    {
        Assert.True(Warns(Ladder(broken.Split('|')) with { Approach = approach }, WarningKind.ApproachLeft, rule));
        Assert.False(Warns(Ladder(kept.Split('|')) with { Approach = approach }, WarningKind.ApproachLeft));
        Assert.False(Warns(Ladder(broken.Split('|')) with { Approach = "own" }, WarningKind.ApproachLeft));
    }

    [Fact]
    public void A_sound_family_closed_by_a_sort_may_be_met_in_a_few_days()
    {
        var family = Ladder("ai=eɪ", "ay=eɪ") with { Approach = "own" };
        Assert.True(Warns(family, WarningKind.SecondSpelling));
        Assert.False(
            Warns(
                family with
                {
                    Rungs = family.Rungs.Add(
                        new Rung(
                            Id: "sort",
                            Stage: "all",
                            Correspondences: [],
                            Patterns: Patterns.None,
                            Tricky: [],
                            Reason: null,
                            Kind: RungKind.Sort
                        )
                    ),
                },
                WarningKind.SecondSpelling
            )
        );
    }
}
