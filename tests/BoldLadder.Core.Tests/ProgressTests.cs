using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using Xunit;

namespace BoldLadder.Core.Tests;

public class ProgressTests
{
    private static readonly DateOnly Monday = new(2026, 11, 23);

    /// <summary>Four rungs: a d, m, p, t; "to" with the last but one.</summary>
    private static readonly Ladder Short = new(
        "short",
        "letters-first",
        Patterns.All,
        [Rung("a=æ d=d"), Rung("m=m"), Rung("p=p", "to"), Rung("t=t")]
    );

    private static Rung Rung(string correspondences, string tricky = "") =>
        new(
            correspondences,
            "letters",
            [.. CorrespondenceSet.Parse(correspondences.Split(' '))],
            Patterns.None,
            Split(tricky),
            null
        );

    private static TaughtFact Fact(
        int day,
        string correspondences,
        string seen = "",
        string tricky = "",
        string words = ""
    ) => new(Monday.AddDays(day), Split(correspondences), [], Split(tricky), Split(seen), Split(words));

    private static ImmutableArray<string> Split(string text) =>
        [.. text.Split(' ', StringSplitOptions.RemoveEmptyEntries)];

    [Fact]
    public void What_was_taught_comes_from_the_log_whatever_the_ladder_says_now()
    {
        var log = new[] { Fact(0, "sh=ʃ ee=iː"), Fact(1, "a=æ d=d") };
        var reversed = Short with { Rungs = [.. Short.Rungs.Reverse()] };
        var (before, after) = (new Progress(Short, Standing.Of(log)), new Progress(reversed, Standing.Of(log)));
        Assert.Equal(before.Correspondences, after.Correspondences);
        Assert.Equal(4, after.Correspondences.Count);
        Assert.Equal("m", before.Remaining[0].Label);
        Assert.NotEqual(before.Remaining[0], after.Remaining[0]);
    }

    [Fact]
    public void A_day_ahead_counts_what_the_plan_teaches_until_then()
    {
        var progress = new Progress(Short, Standing.Of([Fact(0, "a=æ d=d")]));
        Assert.False(progress.Before(0, Leniencies.All, Accent.SouthernBritish).CanRead(Given.Word("map")));
        Assert.True(progress.Before(2, Leniencies.All, Accent.SouthernBritish).CanRead(Given.Word("map")));
        Assert.Equal(["p=p", "m=m"], progress.Newest(2).Take(2).Select(c => c.Notation));
    }

    [Fact]
    public void Recall_counts_lessons_since_something_was_taught_or_shown()
    {
        var progress = new Progress(
            Short,
            Standing.Of([Fact(0, "a=æ d=d", words: "dad"), Fact(1, "m=m", seen: "a=æ"), Fact(2, "p=p")])
        );
        var recall = progress.MemoryAt(0).Seen;
        Assert.Equal(
            (3, 2, 1),
            (
                recall[Correspondence.Parse("d=d")],
                recall[Correspondence.Parse("a=æ")],
                recall[Correspondence.Parse("p=p")]
            )
        );
        Assert.Equal(3, progress.MemoryAt(0).Words["dad"]);
    }

    [Fact]
    public void Tricky_words_are_those_taught_and_those_planned_until_then()
    {
        var progress = new Progress(Short, Standing.Of([Fact(0, "a=æ d=d", tricky: "the")]));
        Assert.Equal("the", Assert.Single(progress.TrickyBefore(0)));
        Assert.Equal(["the", "to"], progress.TrickyBefore(2).Order());
    }

    [Fact]
    public void The_calendar_knows_terms_weekends_and_closed_days()
    {
        var calendar = new SchoolCalendar([(Monday, Monday.AddDays(11))], [Monday.AddDays(1)]);
        Assert.Equal(9, calendar.Days.Length);
        Assert.False(calendar.IsTeachingDay(Monday.AddDays(1)));
        Assert.Equal(Monday.AddDays(7), calendar.OnOrAfter(Monday.AddDays(5)));
        Assert.Equal(Monday, calendar.Before(Monday.AddDays(2)));
        Assert.Null(calendar.OnOrAfter(Monday.AddDays(12)));
        Assert.Empty(new SchoolCalendar([(Monday, Monday.AddDays(-1))], []).Days);
    }

    [Fact]
    public void A_day_with_nothing_new_is_behind_a_group_once_it_was_held_or_a_later_rung_was_taught()
    {
        var review = new Rung(
            Id: "look-back",
            Stage: "letters",
            Correspondences: [],
            Patterns: Patterns.None,
            Tricky: [],
            Reason: null,
            Kind: RungKind.Review
        );
        var ladder = Short with { Rungs = Short.Rungs.Insert(1, review) };
        Assert.Equal(review, new Progress(ladder, Standing.Of([Fact(0, "a=æ d=d")])).Remaining[0]);
        Assert.Equal(
            "m",
            new Progress(ladder, Standing.Of([Fact(0, "a=æ d=d"), Fact(1, "") with { RungId = "look-back" }]))
                .Remaining[0]
                .Label
        );
        Assert.Equal("p", new Progress(ladder, Standing.Of([Fact(0, "a=æ d=d"), Fact(1, "m=m")])).Remaining[0].Label);
    }

    [Fact]
    public void A_rung_of_tricky_words_alone_is_climbed_when_they_were_taught()
    {
        var ladder = Short with
        {
            Rungs = Short.Rungs.Insert(1, new Rung("tricky", "letters", [], Patterns.None, ["the", "no"], null)),
        };
        Assert.Equal("tricky", new Progress(ladder, Standing.Of([Fact(0, "a=æ d=d", tricky: "the")])).Remaining[0].Id);
        Assert.Equal("m", new Progress(ladder, Standing.Of([Fact(0, "a=æ d=d", tricky: "the no")])).Remaining[0].Label);
    }

    [Fact]
    public void A_tricky_word_put_on_a_rung_that_was_passed_is_missed()
    {
        Assert.Equal(
            ["to"],
            new Progress(Short, Standing.Of([Fact(0, "a=æ d=d"), Fact(1, "m=m"), Fact(2, "p=p")])).MissedTricky
        );
        Assert.Empty(new Progress(Short, Standing.Of([Fact(0, "a=æ d=d"), Fact(1, "m=m")])).MissedTricky);
    }
}
