using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using Xunit;

namespace BoldLadder.Core.Tests;

public class CalendarTests
{
    private static readonly DateOnly Monday = new(2026, 9, 7);

    /// <summary>A term from Monday on; some of its weeks closed.</summary>
    private static SchoolCalendar Term(int weeks, Rhythm rhythm, params int[] closedWeeks) =>
        new(
            [(Monday, Monday.AddDays((weeks * 7) - 3))],
            closedWeeks.SelectMany(w => Enumerable.Range(0, 5).Select(d => Monday.AddDays((w * 7) + d))),
            rhythm: rhythm
        );

    private static Ladder Rungs(int count) =>
        new(
            "test",
            "own",
            Patterns.None,
            [
                .. Correspondence
                    .All.Take(count)
                    .Select((c, i) => new Rung($"{i}", i < 2 ? "first" : "second", [c], Patterns.None, [], null)),
            ]
        );

    private static CalendarFit Fit(int rungs, SchoolCalendar calendar, bool hasBegun = true) =>
        CalendarFit.Of(Rungs(rungs).Rungs, calendar, Monday, hasBegun);

    private static List<DayKind> KindsOfWeek(SchoolCalendar calendar, int week) =>
        [
            .. calendar
                .Days.Zip(calendar.Kinds)
                .Where(d => d.First >= Monday.AddDays(week * 7) && d.First < Monday.AddDays((week + 1) * 7))
                .Select(d => d.Second),
        ];

    [Fact]
    public void A_rung_a_day_with_a_review_at_the_end_of_the_week()
    {
        var fit = Fit(5, Term(2, new Rhythm(1, 0, 0)));
        Assert.Equal(
            [Monday, Monday.AddDays(1), Monday.AddDays(2), Monday.AddDays(3), Monday.AddDays(7)],
            fit.Rungs.Select(r => r.Date!.Value)
        );
        Assert.Equal(DayKind.Review, fit.Days[4].Kind);
        Assert.Equal((4, true), (fit.Spare, fit.HasEnoughSpare));
        Assert.Equal((DayKind.Review, null), fit.On(Monday.AddDays(4)));
        Assert.Equal("4", fit.On(Monday.AddDays(7))!.Value.Rung!.Id);
        Assert.Null(fit.On(Monday.AddDays(8)));
        Assert.Equal(4, fit.RungsBefore(Monday.AddDays(7)));
    }

    [Fact]
    public void A_closed_friday_makes_thursday_the_review_day_and_lesson_days_may_be_fewer()
    {
        var closed = new SchoolCalendar(
            [(Monday, Monday.AddDays(4))],
            [Monday.AddDays(4)],
            rhythm: new Rhythm(1, 0, 0)
        );
        Assert.Equal([DayKind.New, DayKind.New, DayKind.New, DayKind.Review], closed.Kinds.AsEnumerable());
        var three = new SchoolCalendar(
            [(Monday, Monday.AddDays(11))],
            [],
            [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Thursday],
            new Rhythm(2, 0, 0)
        );
        Assert.Equal(6, three.Days.Length);
        Assert.Equal(
            Monday.AddDays(10),
            Assert.Single(three.Days.Zip(three.Kinds), d => d.Second == DayKind.Review).First
        );
    }

    [Fact]
    public void Nothing_new_comes_in_the_two_days_before_a_check_or_the_first_week_after_a_long_break()
    {
        var calendar = Term(10, new Rhythm(0, 6, 2), 6, 7);
        Assert.Equal(
            [DayKind.New, DayKind.New, DayKind.Settle, DayKind.Settle, DayKind.Check],
            KindsOfWeek(calendar, 5)
        );
        Assert.All(KindsOfWeek(calendar, 8), k => Assert.Equal(DayKind.Return, k));
        Assert.All(KindsOfWeek(calendar, 9), k => Assert.Equal(DayKind.New, k));
        Assert.All(KindsOfWeek(Term(10, new Rhythm(0, 6, 2), 6), 7), k => Assert.Equal(DayKind.Return, k));
        Assert.All(KindsOfWeek(Term(10, Rhythm.None, 6, 7), 8), k => Assert.Equal(DayKind.New, k));
    }

    [Fact]
    public void After_the_summer_comes_recap_but_not_for_a_group_that_is_new()
    {
        var autumn = Monday.AddDays(70);
        var calendar = new SchoolCalendar(
            [(Monday, Monday.AddDays(4)), (autumn, autumn.AddDays(25))],
            [],
            rhythm: new Rhythm(0, 0, 2)
        );
        Assert.Equal(10, calendar.Kinds.Count(k => k == DayKind.Recap));
        Assert.Equal(DayKind.Recap, calendar.KindFor(autumn.AddDays(11), hasBegun: true));
        Assert.Equal(DayKind.New, calendar.KindFor(autumn.AddDays(14), hasBegun: true));
        Assert.Equal(DayKind.New, calendar.KindFor(autumn, hasBegun: false));
        Assert.Equal(autumn, CalendarFit.Of(Rungs(3).Rungs, calendar, autumn, hasBegun: false).Rungs[0].Date);
        Assert.Equal(
            autumn.AddDays(14),
            CalendarFit.Of(Rungs(3).Rungs, calendar, autumn, hasBegun: true).Rungs[0].Date
        );
        Assert.Throws<ArgumentOutOfRangeException>(() => calendar.KindFor(autumn.AddDays(5), true));
        var without = new SchoolCalendar(
            [(Monday, Monday.AddDays(4)), (autumn, autumn.AddDays(25))],
            [],
            rhythm: new Rhythm(1, 0, 0)
        );
        Assert.Equal(
            (5, 0),
            (without.Kinds.Count(k => k == DayKind.Return), without.Kinds.Count(k => k == DayKind.Recap))
        );
    }

    [Fact]
    public void Rungs_that_no_day_is_left_for_are_told_and_one_day_more_is_enough()
    {
        var rhythm = new Rhythm(1, 0, 0);
        IEnumerable<WarningKind> Warnings(int rungs) =>
            Fit(rungs, Term(1, rhythm)).Warnings(Rungs(rungs), rhythm, []).Select(w => w.Kind);
        Assert.Equal([WarningKind.CalendarOverrun], Warnings(5));
        Assert.Empty(Warnings(4));
        Assert.Equal(-1, Fit(5, Term(1, rhythm)).Spare);
    }

    [Fact]
    public void A_rhythm_without_review_is_told_unless_the_ladder_has_review_days_of_its_own()
    {
        IEnumerable<WarningKind> Warnings(Ladder ladder, Rhythm rhythm) =>
            CalendarFit
                .Of(ladder.Rungs, Term(1, rhythm), Monday, true)
                .Warnings(ladder, rhythm, [])
                .Select(w => w.Kind);
        Assert.Equal([WarningKind.NoReview], Warnings(Rungs(1), new Rhythm(0, 6, 0)));
        Assert.Empty(Warnings(Rungs(1), Rhythm.Usual));
        var own = Rungs(1);
        Assert.Empty(
            Warnings(
                own with
                {
                    Rungs = own.Rungs.Add(
                        new Rung(
                            Id: "r",
                            Stage: "first",
                            Correspondences: [],
                            Patterns: Patterns.None,
                            Tricky: [],
                            Reason: null,
                            Kind: RungKind.Review
                        )
                    ),
                },
                Rhythm.None
            )
        );
    }

    [Theory]
    [InlineData("second")]
    [InlineData(null)]
    public void A_checkpoint_is_missed_the_day_after_its_date(string? what)
    {
        var ladder = Rungs(3);
        var fit = CalendarFit.Of(ladder.Rungs, Term(1, Rhythm.Usual), Monday, true);
        IEnumerable<WarningKind> Warnings(DateOnly by) =>
            fit.Warnings(
                    ladder,
                    Rhythm.Usual,
                    [new Checkpoint(by, what ?? ladder.Rungs[2].Correspondences[0].ReferenceNotation)]
                )
                .Select(w => w.Kind);
        Assert.Equal([WarningKind.CheckpointMissed], Warnings(Monday.AddDays(1)));
        Assert.Empty(Warnings(Monday.AddDays(2)));
    }

    [Fact]
    public void A_calendar_with_no_teaching_day_leaves_every_rung_without_one()
    {
        Assert.Equal(
            3,
            CalendarFit.Of(Rungs(3).Rungs, new SchoolCalendar([], []), Monday, true).Rungs.Count(r => r.Date is null)
        );
        Assert.Empty(new SchoolCalendar([(Monday, Monday.AddDays(4))], [], []).Days);
    }

    [Fact]
    public void A_lesson_that_slipped_moves_every_later_rung_by_a_day()
    {
        var calendar = Term(2, new Rhythm(1, 0, 0));
        var (onTime, late) = (
            CalendarFit.Of(Rungs(6).Rungs, calendar, Monday, true),
            CalendarFit.Of(Rungs(6).Rungs, calendar, Monday.AddDays(1), true)
        );
        Assert.Equal(Monday.AddDays(7), onTime.Rungs[4].Date);
        Assert.Equal(Monday.AddDays(8), late.Rungs[4].Date);
    }

    [Fact]
    public void A_quiet_day_goes_back_to_what_was_taught_last_and_teaches_nothing()
    {
        var request = Given.Request(30, 7);
        var day = QuietDay.Of(QuietDay.Id(DayKind.Review), request.Memory.Newest);
        Assert.Equal(request.Memory.Newest.Take(6), day.Correspondences);
        var lesson = LessonPlanner.Plan(request with { Today = day });
        Assert.Empty(lesson.Target);
        Assert.Equal([PartKind.Revisit, PartKind.Practise, PartKind.Apply], lesson.Parts.Select(p => p.Kind));
        Assert.True(lesson.Minutes <= request.Minutes);
        Assert.Empty(
            LessonCheck.Problems(
                lesson,
                request.Before,
                request.Before,
                request.TrickyBefore.ToHashSet(),
                Given.Lexicon
            )
        );
        var read = lesson.Find("practise-read")!.Items.OfType<WordItem>().Select(w => Given.Word(w.Word)).ToList();
        Assert.True(read.Count(w => Usable.Shows(day, w)) * 3 >= read.Count * 2);
    }

    [Fact]
    public void A_sorting_day_goes_back_to_its_family()
    {
        var ladder = Given.SoundsFirst;
        var sort = ladder.Rungs.First(r => r.Kind == RungKind.Sort);
        var newest = ladder.Rungs.Take(ladder.IndexOf(sort.Id)).Reverse().SelectMany(r => r.Correspondences).ToList();
        var filled = QuietDay.Filled(sort, ladder, [.. newest]);
        Assert.Equal(["c", "ck", "k"], filled.Correspondences.Select(c => c.Grapheme.Text).Order());
        Assert.Same(ladder.Rungs[3], QuietDay.Filled(ladder.Rungs[3], ladder, [.. newest]));
        Assert.True(QuietDay.IsId("recap-day") && !QuietDay.IsId("new-day") && !QuietDay.IsId("sh=ʃ"));
    }
}
