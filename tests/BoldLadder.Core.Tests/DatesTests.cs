using System.Globalization;
using System.Text;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Formats.Calendars;
using BoldLadder.Formats.Dates;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Dates out of files that schools have: read as they are meant, asked about where that is open.</summary>
public sealed class DatesTests
{
    private static readonly int[] Weekdays = [1, 2, 3, 4, 5];
    private static readonly Dictionary<int, DateMeaning> NoChoices = [];

    private static DateOnly Day(string iso) => DateOnly.ParseExact(iso, "yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static DatedFile Csv(string text, bool? dayFirst = null) =>
        DatesCsv.Read(Encoding.UTF8.GetBytes(text), dayFirst);

    private static DatesMeant Meant(DatedFile file, params (int Line, DateMeaning Meaning)[] choices) =>
        DatesMeant.Of(file.Events, Weekdays, [], [], choices.ToDictionary(c => c.Line, c => c.Meaning));

    [Theory]
    [InlineData("2026-09-03", "2026-09-03")]
    [InlineData("2026/9/3", "2026-09-03")]
    [InlineData("2026-09-03T08:30:00", "2026-09-03")]
    [InlineData("3 September 2026", "2026-09-03")]
    [InlineData("Thursday 3rd September 2026", "2026-09-03")]
    [InlineData("Thu, 3 Sep 2026", "2026-09-03")]
    [InlineData("September 3, 2026", "2026-09-03")]
    [InlineData("3-Sep-2026", "2026-09-03")]
    [InlineData("3.9.2026", "2026-09-03")]
    [InlineData("23/09/2026", "2026-09-23")]
    [InlineData("09/23/26", "2026-09-23")]
    public void A_date_that_can_mean_one_day_is_that_day(string text, string iso)
    {
        var read = DateText.Read(text);
        Assert.Null(read.Problem);
        Assert.Equal(Day(iso), read.DayFirst ?? read.MonthFirst);
        Assert.False(read.IsInDoubt);
    }

    [Theory]
    [InlineData("03/04", "no-year")]
    [InlineData("3 April", "no-year")]
    [InlineData("April 3", "no-year")]
    [InlineData("31/02/2026", "no-such-day")]
    [InlineData("2026-02-30", "no-such-day")]
    [InlineData("next Monday", "unreadable")]
    [InlineData("=TODAY()", "unreadable")]
    [InlineData("45000", "unreadable")]
    public void What_is_no_date_says_why(string text, string problem) =>
        Assert.Equal(problem, DateText.Read(text).Problem);

    [Fact]
    public void Dates_of_two_numbers_are_asked_about_unless_the_file_shows_which_comes_first()
    {
        var asked = Csv("name,date\nInset,03/04/2026\nFair,05/06/2026\n");
        Assert.Equal("03/04/2026", asked.InDoubt);
        Assert.Equal(Day("2026-04-03"), Csv("name,date\nInset,03/04/2026\n", true).Events[0].First);
        Assert.Equal(Day("2026-03-04"), Csv("name,date\nInset,03/04/2026\n", false).Events[0].First);
        // One date that can be read one way alone shows it for all.
        var shown = Csv("name,date\nInset,03/04/2026\nFair,25/06/2026\n");
        Assert.Null(shown.InDoubt);
        Assert.Equal([Day("2026-04-03"), Day("2026-06-25")], shown.Events.Select(e => e.First));
        Assert.Equal(
            [Day("2026-03-04"), Day("2026-06-25")],
            Csv("03/04/2026;a\n06/25/2026;b").Events.Select(e => e.First)
        );
        // A file that contradicts itself shows nothing; what can't be in the order that is chosen is named by its line.
        var both = Csv("name,date\na,25/06/2026\nb,06/25/2026\nc,03/04/2026\n");
        Assert.Equal("03/04/2026", both.InDoubt);
        Assert.Equal([new DateProblem(3, "no-such-day", "06/25/2026")], both.Problems.AsEnumerable());
    }

    [Fact]
    public void Lines_that_can_not_be_read_are_named_and_the_others_taken()
    {
        var file = Csv(
            "\uFEFFTerm;Start date;End date\nAutumn;02.09.2026;18.12.2026\nSpring;;\nSummer;14.04;20.07\nOdd;05.06.2026;01.06.2026\nFar;01.01.1999;\n"
        );
        Assert.Equal(
            [("Autumn", Day("2026-09-02"), Day("2026-12-18"))],
            file.Events.Select(e => (e.Name, e.First, e.Last))
        );
        Assert.Equal(
            [(3, "no-date"), (4, "no-year"), (5, "backwards"), (6, "out-of-range")],
            file.Problems.Select(p => (p.Line, p.Code))
        );
    }

    [Theory]
    [InlineData("just,some,words\nand,no,dates\n", "no-date-column")]
    public void A_table_without_dates_is_refused(string text, string code) =>
        Assert.Equal(code, Assert.Throws<RefusedException>(() => Csv(text)).Code);

    [Fact]
    public void Terms_holidays_and_everything_else_are_told_apart()
    {
        var meant = Meant(
            Csv(
                """
                name,first,last
                Autumn term,2026-09-02,2026-12-18
                Half term,2026-10-26,2026-10-30
                Christmas holidays,2026-12-19,2027-01-04
                Spring term,2027-01-05,2027-03-26
                Staff training (no lessons),2027-01-05,
                Book fair,2026-11-09,2026-11-13
                School year 2026–27,2026-09-02,2027-07-20
                """
            )
        );
        Assert.Equal(
            [
                DateMeaning.Term,
                DateMeaning.Closed,
                DateMeaning.Closed,
                DateMeaning.Term,
                DateMeaning.Closed,
                DateMeaning.Other,
                DateMeaning.Other,
            ],
            meant.Lines.Select(l => l.Meaning)
        );
        Assert.Equal(["Autumn term", "Spring term"], meant.Terms.Select(t => t.Name));
        // A holiday between terms closes no day of one.
        Assert.Equal([0, 5, 0, 0, 1, 0, 0], meant.Lines.Select(l => l.ClosedDays));
        Assert.Equal(6, meant.Closed.Length);
        Assert.Contains(Day("2027-01-05"), meant.Closed);
    }

    [Fact]
    public void Terms_of_which_only_the_first_and_last_day_are_named_are_found()
    {
        var meant = Meant(
            Csv(
                "event,date\nAutumn term begins,2026-09-02\nTerm ends,2026-12-18\nSpring term starts,2027-01-05\nLast day of term,2027-03-26\n"
            )
        );
        Assert.Equal(
            [
                new SchoolTerm("Autumn term", Day("2026-09-02"), Day("2026-12-18")),
                new SchoolTerm("Spring term", Day("2027-01-05"), Day("2027-03-26")),
            ],
            meant.Terms.AsEnumerable()
        );
    }

    [Fact]
    public void What_a_person_or_the_file_says_of_a_line_stands()
    {
        var file = Csv("name,first,last,kind\nRed weeks,2026-09-02,2026-09-11,term\nFair,2026-09-03,2026-09-03,\n");
        Assert.Equal([DateMeaning.Term, DateMeaning.Other], Meant(file).Lines.Select(l => l.Meaning));
        var chosen = Meant(file, (3, DateMeaning.Closed), (2, DateMeaning.Term));
        Assert.Equal([Day("2026-09-03")], chosen.Closed.AsEnumerable());
        Assert.Empty(Meant(file, (2, DateMeaning.Other)).Terms);
    }

    [Fact]
    public void A_term_of_the_file_takes_the_place_of_one_that_it_overlaps_and_others_stay()
    {
        var meant = DatesMeant.Of(
            Csv("name,first,last\nAutumn,2026-09-02,2026-12-18\n").Events,
            Weekdays,
            [
                new SchoolTerm("First", Day("2026-09-01"), Day("2026-12-20")),
                new SchoolTerm("Second", Day("2027-01-05"), Day("2027-03-26")),
            ],
            [Day("2027-02-01")],
            NoChoices
        );
        Assert.Equal(["Autumn", "Second"], meant.Terms.Select(t => t.Name));
        Assert.Equal([Day("2027-02-01")], meant.Closed.AsEnumerable());
    }

    [Fact]
    public void A_thousand_holidays_of_a_century_close_each_day_once()
    {
        var file = Csv(
            "name,first,last\nAutumn,2026-09-02,2026-12-18\n"
                + string.Concat(Enumerable.Repeat("Holiday,2000-01-01,2099-12-31\n", 990))
        );
        var meant = Meant(file);
        Assert.Equal(78, meant.Closed.Length);
        Assert.All(meant.Lines.Skip(1), l => Assert.Equal(78, l.ClosedDays));
        // No term is so long, whoever says so.
        Assert.Single(Meant(file, (3, DateMeaning.Term)).Terms);
    }

    [Fact]
    public void A_calendar_is_read_event_by_event()
    {
        var file = DatesIcal.Read(
            Encoding.UTF8.GetBytes(
                """
                BEGIN:VCALENDAR
                VERSION:2.0
                PRODID:-//Test//EN
                BEGIN:VEVENT
                UID:1
                DTSTART;VALUE=DATE:20260902
                DTEND;VALUE=DATE:20261219
                SUMMARY:Autumn term
                END:VEVENT
                BEGIN:VEVENT
                UID:2
                DTSTART;VALUE=DATE:20261026
                DTEND;VALUE=DATE:20261031
                SUMMARY:Half term\, no
                  lessons
                END:VEVENT
                BEGIN:VEVENT
                UID:3
                DTSTART:20261111T180000Z
                DTEND:20261111T200000Z
                RRULE:FREQ=SECONDLY
                SUMMARY:Parents' evening
                END:VEVENT
                BEGIN:VEVENT
                UID:4
                SUMMARY:Some time
                END:VEVENT
                END:VCALENDAR
                """.ReplaceLineEndings("\r\n")
            )
        );
        Assert.Equal(
            [
                ("Autumn term", Day("2026-09-02"), Day("2026-12-18")),
                ("Half term, no lessons", Day("2026-10-26"), Day("2026-10-30")),
                ("Parents' evening", Day("2026-11-11"), Day("2026-11-11")),
            ],
            file.Events.Select(e => (e.Name, e.First, e.Last))
        );
        Assert.Equal([(3, "repeats"), (4, "no-date")], file.Problems.Select(p => (p.Line, p.Code)));
        Assert.Equal(5, Meant(file).Closed.Length);
    }

    [Theory]
    [InlineData("BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:nonsense\r\n")]
    [InlineData("BEGIN:VCALENDAR\r\n\u0001\u0002garbage\r\nEND:VEVENT")]
    public void A_broken_calendar_is_refused_with_one_sentence(string text)
    {
        var bytes = Encoding.UTF8.GetBytes(text);
        Assert.True(DatesIcal.Is(bytes));
        try
        {
            var file = DatesIcal.Read(bytes);
            Assert.Empty(file.Events);
        }
        catch (RefusedException refusal)
        {
            Assert.Equal("not-a-calendar", refusal.Code);
        }
    }

    [Fact]
    public void Lessons_leave_as_a_calendar_and_come_back_the_same()
    {
        CalendarLesson[] lessons =
        [
            new("a-20261124", Day("2026-11-24"), "Otters: sh, ch; \\ more", 20),
            new("a-20270330", Day("2027-03-30"), "Otters: ai", 25),
        ];
        var zone = TimeZoneInfo.FindSystemTimeZoneById("Europe/London");
        var made = new DateTime(Day("2026-11-24"), new TimeOnly(8, 0), DateTimeKind.Utc);
        var allDay = LessonsIcal.Write("Otters, School", lessons, null, zone, made);
        Assert.Equal(
            lessons.Select(l => (l.Title, l.Date, l.Date)),
            DatesIcal.Read(Encoding.UTF8.GetBytes(allDay)).Events.Select(e => (e.Name, e.First, e.Last))
        );
        Assert.Contains("TRANSP:TRANSPARENT", allDay, StringComparison.Ordinal);
        // At a time: in summer time it is an hour earlier in UTC.
        var timed = LessonsIcal.Write("Otters, School", lessons, new TimeOnly(9, 10), zone, made);
        Assert.Contains("DTSTART:20261124T091000Z", timed, StringComparison.Ordinal);
        Assert.Contains("DTEND:20270330T083500Z", timed, StringComparison.Ordinal);
        Assert.Contains("UID:a-20261124@", timed, StringComparison.Ordinal);
    }
}
