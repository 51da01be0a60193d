using System.Net;
using System.Text;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Teaching;
using BoldLadder.Formats.Dates;
using BoldLadder.School.Calendars;
using BoldLadder.School.Weeks;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Dates of a school in, and a group's lessons out, as files that calendar programs know.</summary>
public sealed class CalendarFileTests : IAsyncLifetime
{
    private TestSchool school = null!;

    public async Task InitializeAsync() => school = await TestSchool.Open();

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest) => $"/api/schools/{school.School}/{rest}";

    private async Task<MadeFeed> Make(TestClient who, Guid group, TimeOnly? starts = null) =>
        await TestClient.Read<MadeFeed>(await who.Send(HttpMethod.Post, At("feeds"), new NewFeed(group, starts)));

    private static async Task<DatedFile> Fetch(TestClient who, string path)
    {
        var answer = await who.Send(HttpMethod.Get, path);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        Assert.Equal("text/calendar", answer.Content.Headers.ContentType!.MediaType);
        return DatesIcal.Read(await answer.Content.ReadAsByteArrayAsync());
    }

    [Fact]
    public async Task A_calendar_program_sees_the_same_lessons_as_the_week()
    {
        var teacher = await school.As("teacher");
        var lesson = await teacher.Open(school.Otters, TestSchool.Today);
        (await teacher.Close(lesson, LessonOutcome.Taught)).EnsureSuccessStatusCode();
        await teacher.Open(school.Otters, TestSchool.Today.AddDays(2));
        var made = await Make(teacher, school.Otters);
        var program = await school.As(null);
        var events = (await Fetch(program, made.Path)).Events;
        var week = await teacher.Get<WeekView>(At($"weeks/{TestSchool.Today:yyyy-MM-dd}?weeks=2"));
        var shown = week
            .Groups.Single()
            .Days.Where(d => d.Label is not null && d.Date >= TestSchool.Today)
            .Select(d => (d.Date, $"Otters: {d.Label}"))
            .ToList();
        Assert.True(shown.Count > 5);
        Assert.Equal(
            shown,
            events.Where(e => e.First >= TestSchool.Today && e.First <= shown[^1].Date).Select(e => (e.First, e.Name))
        );
        Assert.All(events, e => Assert.Equal(e.First, e.Last));
        // Nothing but lessons: no name of a child, no note.
        Assert.Equal(events.Length, events.Select(e => e.First).Distinct().Count());
    }

    [Fact]
    public async Task An_address_opens_no_more_than_who_made_it_may_see_and_ends_when_they_say()
    {
        var teacher = await school.As("teacher");
        var program = await school.As(null);
        var made = await Make(teacher, school.Otters, new TimeOnly(9, 10));
        Assert.Equal(new TimeOnly(9, 10), Assert.Single(made.Feeds).StartsAt);
        await Fetch(program, made.Path);
        // Another group is not theirs, another's addresses are not shown and not ended.
        await TestClient.Problem(
            await teacher.Send(HttpMethod.Post, At("feeds"), new NewFeed(school.Kestrels, null)),
            HttpStatusCode.NotFound
        );
        var lead = await school.As("lead");
        Assert.Empty(await lead.Get<List<FeedView>>(At("feeds")));
        await TestClient.Problem(
            await lead.Send(HttpMethod.Delete, At($"feeds/{made.Feeds[0].Id}")),
            HttpStatusCode.NotFound
        );
        // The group is taken from them, then given back.
        var given = await school.AsOwner(async s =>
        {
            var row = await s.GroupTeachers.FirstAsync(t =>
                t.GroupId == school.Otters && s.Users.Any(u => u.Id == t.UserId && u.Email == "teacher@test.example")
            );
            s.GroupTeachers.Remove(row);
            return row;
        });
        await Gone(made.Path);
        await school.AsOwner(s =>
        {
            s.GroupTeachers.Add(given);
            return Task.FromResult(0);
        });
        await Fetch(program, made.Path);
        // A key with another school's, one letter other, or none at all opens nothing; nor does one that was ended.
        await Gone(made.Path.Replace($"{school.School:N}", $"{school.OtherSchool:N}", StringComparison.Ordinal));
        await Gone(made.Path.Replace("/lessons", "2/lessons", StringComparison.Ordinal));
        await Gone("/api/calendars/x/lessons.ics");
        Assert.Empty(
            await TestClient.Read<List<FeedView>>(
                await teacher.Send(HttpMethod.Delete, At($"feeds/{made.Feeds[0].Id}"))
            )
        );
        await Gone(made.Path);

        async Task Gone(string path) =>
            await TestClient.Problem(await program.Send(HttpMethod.Get, path), HttpStatusCode.NotFound);
    }

    private async Task<HttpResponseMessage> Look(
        TestClient who,
        byte[] content,
        CalendarSettings settings,
        bool? dayFirst = null
    ) =>
        await who.Send(
            HttpMethod.Post,
            At("calendar/files/look"),
            new DatesFile(content, dayFirst, [], settings.Terms, settings.Closed, settings.LessonDays)
        );

    [Fact]
    public async Task Dates_of_a_file_are_looked_at_and_saved_with_the_calendar()
    {
        var lead = await school.As("lead");
        var calendar = await lead.Get<CalendarView>(At("calendar"));
        var file = Encoding.UTF8.GetBytes(
            "name,first,last\nAutumn,2026-09-02,2026-12-18\nHalf term,2026-10-26,2026-10-30\nSpring,2027-01-05,2027-03-26\n"
        );
        var seen = await TestClient.Read<DatesPreview>(await Look(lead, file, calendar.Settings));
        Assert.Equal([DateMeaning.Term, DateMeaning.Closed, DateMeaning.Term], seen.Lines.Select(l => l.Meaning));
        // Nothing is kept by looking.
        Assert.Equal(calendar.Stamp, (await lead.Get<CalendarView>(At("calendar"))).Stamp);
        var saved = await TestClient.Read<CalendarView>(
            await lead.Send(
                HttpMethod.Post,
                At("calendar"),
                calendar.Settings with
                {
                    Terms = seen.Terms,
                    Closed = seen.Closed,
                },
                stamp: calendar.Stamp
            )
        );
        Assert.Equal(["Autumn", "Spring"], saved.Settings.Terms.Select(t => t.Name));
        // Half term, and the day that was closed before.
        Assert.Equal(6, saved.Settings.Closed.Count);
    }

    [Fact]
    public async Task A_file_that_is_none_of_dates_says_what_to_do()
    {
        var lead = await school.As("lead");
        var settings = (await lead.Get<CalendarView>(At("calendar"))).Settings;
        byte[] picture = [0x89, (byte)'P', (byte)'N', (byte)'G', 0x0d, 0x0a];
        foreach (
            var (content, code) in new[]
            {
                (picture, "not-a-table"),
                (Encoding.UTF8.GetBytes("a,b\nc,d\n"), "no-date-column"),
                (
                    Encoding.UTF8.GetBytes("date\n" + string.Concat(Enumerable.Repeat("2026-09-03\n", 1001))),
                    "too-many-dates"
                ),
                (Encoding.UTF8.GetBytes(string.Concat(Enumerable.Repeat("2026-09-03\n", 10_001))), "table-too-long"),
            }
        )
        {
            var problem = await TestClient.Problem(
                await Look(lead, content, settings),
                HttpStatusCode.UnprocessableEntity
            );
            Assert.Equal($"bold:{code}", problem.GetProperty("type").GetString());
        }
        // A calendar of a whole school is larger than other requests may be.
        var large = string.Concat(
            Enumerable.Repeat(
                $"BEGIN:VEVENT\r\nDTSTART:20260903\r\nDESCRIPTION:{new string('x', 1000)}\r\nEND:VEVENT\r\n",
                700
            )
        );
        Assert.Equal(
            700,
            (
                await TestClient.Read<DatesPreview>(
                    await Look(lead, Encoding.UTF8.GetBytes($"BEGIN:VCALENDAR\r\n{large}END:VCALENDAR\r\n"), settings)
                )
            )
                .Lines
                .Count
        );
        var asked = await TestClient.Read<DatesPreview>(
            await Look(lead, Encoding.UTF8.GetBytes("x,03/04/2026\n"), settings)
        );
        Assert.Equal("03/04/2026", asked.InDoubt);
        Assert.Equal(
            new DateOnly(2026, 3, 4),
            (
                await TestClient.Read<DatesPreview>(
                    await Look(lead, Encoding.UTF8.GetBytes("x,03/04/2026\n"), settings, dayFirst: false)
                )
            )
                .Lines[0]
                .First
        );
    }
}
