using System.Net;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Words;
using BoldLadder.School.Calendars;
using BoldLadder.School.Cover;
using BoldLadder.School.Lessons;
using BoldLadder.School.Templates;
using BoldLadder.School.Weeks;
using BoldLadder.School.Words;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Weeks, gathering, cover, words and templates.</summary>
public sealed class PlanningTests : IAsyncLifetime
{
    private static readonly DateOnly Today = TestSchool.Today;
    private static readonly int Weekday = SchoolWeekday.Of(Today);
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private async Task<HttpResponseMessage> Say(string word, SchoolWordRequest verdict)
    {
        var known = await lead.Send(HttpMethod.Get, Api($"words/{word}"));
        return await lead.Send(
            HttpMethod.Put,
            Api($"words/{word}/verdict"),
            verdict,
            stamp: known.IsSuccessStatusCode ? (await TestClient.Read<WordView>(known)).Stamp : "none"
        );
    }

    private async Task<string> StampOf(int? weekday) =>
        await lead.Get<TemplatesView>(Api("templates")) is var all
        && all.Templates.FirstOrDefault(t => t.Weekday == weekday && t.Template is { Day: LessonDay.New, Minutes: 20 })
            is { } own
            ? own.Stamp
            : all.NoStamp;

    private string Api(string path) => $"/api/schools/{school.School}/{path}";

    [Fact]
    public async Task A_week_shows_what_each_day_brings_what_is_planned_and_what_was_changed()
    {
        var lesson = await lead.Open(school.Otters, Today);
        await lead.Changed(lesson, new SetRemark("Hall today."));
        var week = await lead.Get<WeekView>(Api($"weeks/{Today:yyyy-MM-dd}?weeks=2"));
        Assert.Equal((10, DayOfWeek.Monday), (week.Days.Count, week.From.DayOfWeek));
        var otters = week.Groups.Single(g => g.Name == "Otters");
        var days = otters.Days.ToDictionary(d => d.Date);
        Assert.Equal((LessonStatus.Planned, true, 2), (days[Today].Status, days[Today].Edited, days[Today].Version));
        Assert.Equal((null, 0), (days[Today.AddDays(1)].Status, days[Today.AddDays(1)].Version));
        Assert.Equal(school.OttersNext.Skip(1).First().Label, days[Today.AddDays(1)].Label);
        Assert.Null(days[Today.AddDays(3)].Label);
        Assert.True(days[Today.AddDays(-1)].IsPast);
        Assert.Equal(lesson.Minutes, otters.Minutes);
        Assert.Equal(
            ["Otters"],
            (await (await school.As("teacher")).Get<WeekView>(Api($"weeks/{Today:yyyy-MM-dd}"))).Groups.Select(g =>
                g.Name
            )
        );
    }

    [Fact]
    public async Task A_school_with_lessons_on_sunday_sees_plans_and_builds_them_by_their_day()
    {
        var sunday = Today.AddDays(5);
        Assert.Equal(DayOfWeek.Sunday, sunday.DayOfWeek);
        var calendar = await lead.Get<CalendarView>(Api("calendar"));
        (
            await lead.Send(
                HttpMethod.Post,
                Api("calendar"),
                calendar.Settings with
                {
                    LessonDays = [1, 2, 3, 4, 7],
                },
                stamp: calendar.Stamp
            )
        ).EnsureSuccessStatusCode();
        var week = await lead.Get<WeekView>(Api($"weeks/{Today:yyyy-MM-dd}?weeks=2"));
        Assert.Equal(
            [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday, DayOfWeek.Thursday, DayOfWeek.Sunday],
            week.Days.Take(5).Select(d => d.DayOfWeek)
        );
        Assert.Equal(10, week.Days.Count);
        Assert.Equal(sunday, week.Days[4]);
        Assert.NotNull(week.Groups[0].Days[4].Label);

        var shipped = LessonTemplate.Shipped(LessonDay.New, 20);
        var own = shipped with
        {
            Parts =
            [
                .. shipped.Parts.Select(p =>
                    p.Kind == PartKind.Practise
                        ? p with
                        {
                            Slots = [new Slot([ActivityKind.HasSound], false, SlotNeed.Must, 6), .. p.Slots],
                        }
                        : p
                ),
            ],
        };
        await TestClient.Read<TemplatesView>(
            await lead.Send(HttpMethod.Put, Api("templates"), new TemplateRequest(own, 7), stamp: await StampOf(7))
        );
        Assert.Equal(
            ActivityKind.HasSound,
            (await lead.Open(school.Otters, sunday))
                .Lesson.Parts.Single(p => p.Kind == PartKind.Practise)
                .Activities[0]
                .Kind
        );
    }

    [Theory]
    [InlineData("2026-11-24", "2026-11-23")]
    [InlineData("2026-11-28", "2026-11-30")]
    [InlineData("2026-11-29", "2026-11-30")]
    [InlineData("2027-02-20", "2027-02-15")]
    public async Task The_week_that_opens_is_that_of_the_next_lesson(string today, string monday)
    {
        school.Serve(("Today", today));
        lead = await school.As("lead");
        Assert.Equal(
            DateOnly.Parse(monday, System.Globalization.CultureInfo.InvariantCulture),
            (await lead.Get<WeekView>(Api("weeks"))).From
        );
    }

    [Fact]
    public async Task Lessons_planned_one_after_another_don_t_repeat_each_other()
    {
        var first = await lead.Open(school.Otters, Today);
        var second = await lead.Open(school.Otters, Today.AddDays(1));
        var shared = Read(first).Intersect(Read(second)).Count();
        Assert.True(shared <= Read(second).Count / 3, $"{shared} words of {Read(second).Count} come again");

        static List<string> Read(LessonView lesson) =>
            [.. lesson.Lesson.Find("practise-read")!.Items.SelectMany(ReadByChildren.Words)];
    }

    [Fact]
    public async Task Gathering_lists_each_card_once_and_every_tile_a_chain_or_a_dictation_needs()
    {
        var lessons = new List<LessonView>
        {
            await lead.Open(school.Otters, Today),
            await lead.Open(school.Otters, Today.AddDays(1)),
        };
        var view = await lead.Get<GatheringView>(Api($"groups/{school.Otters}/gathering/{Today:yyyy-MM-dd}?days=5"));
        Assert.Equal(2, view.Lessons);
        Assert.Equal(
            view.Gathering.Cards.Length,
            view.Gathering.Cards.Select(c => c.Correspondence).Distinct().Count()
        );
        foreach (
            var spelled in lessons
                .SelectMany(l => l.Lesson.Activities.Where(a => a.Kind == ActivityKind.SpellWords))
                .SelectMany(a => a.Items)
                .OfType<WordItem>()
        )
        {
            Assert.All(spelled.Graphemes.Split('|').GroupBy(g => g), g =>
                Assert.True(view.Gathering.Tiles.Single(t => t.Grapheme == g.Key).Count >= g.Count())
            );
        }
        await TestClient.Problem(
            await lead.Send(HttpMethod.Get, Api($"groups/{school.Otters}/gathering/{Today:yyyy-MM-dd}?days=99")),
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_cover_link_opens_its_lesson_on_its_day_only_and_without_the_teachers_note()
    {
        var lesson = await lead.Open(school.Otters, Today);
        await lead.Changed(lesson, new SetRemark("For me alone."));
        var pass = await TestClient.Read<CoverPassView>(
            await lead.Send(HttpMethod.Post, lead.Lesson(lesson.Id) + "/cover")
        );
        var stranger = await school.As(null);
        var view = await TestClient.Read<CoverView>(
            await stranger.Send(HttpMethod.Post, "/api/cover", new { key = pass.Key })
        );
        Assert.Equal(("Otters", Today, null), (view.GroupName, view.Date, view.Lesson.Remark));
        Assert.Equal(lesson.Lesson.Activities.Select(a => a.Id), view.Lesson.Activities.Select(a => a.Id));
        await TestClient.Problem(await stranger.Send(HttpMethod.Get, Api("groups")), HttpStatusCode.Unauthorized);
        foreach (
            var wrong in new[]
            {
                "",
                "x",
                pass.Key[..^1] + "2",
                $"{school.OtherSchool:N}.{pass.Key.Split('.')[1]}",
                $"{Guid.NewGuid():N}.{pass.Key.Split('.')[1]}",
            }
        )
        {
            if (wrong != pass.Key)
                await TestClient.Problem(
                    await stranger.Send(HttpMethod.Post, "/api/cover", new { key = wrong }),
                    HttpStatusCode.Forbidden
                );
        }
        Assert.DoesNotContain(await school.AsOwner(s => s.CoverPasses.Select(p => p.CodeHash).ToListAsync()), h =>
            System.Text.Encoding.UTF8.GetString(h) == pass.Key.Split('.')[1]
        );
        school.Serve(
            ("Today", Today.AddDays(1).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture))
        );
        await TestClient.Problem(
            await (await school.As(null)).Send(HttpMethod.Post, "/api/cover", new { key = pass.Key }),
            HttpStatusCode.Forbidden
        );
    }

    [Fact]
    public async Task Cover_can_be_ended_and_is_not_given_for_a_day_without_a_lesson()
    {
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, lead.Lesson(Guid.NewGuid()) + "/cover"),
            HttpStatusCode.NotFound
        );
        var lesson = await lead.Open(school.Otters, Today);
        var pass = await TestClient.Read<CoverPassView>(
            await lead.Send(HttpMethod.Post, lead.Lesson(lesson.Id) + "/cover")
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await lead.Send(HttpMethod.Delete, lead.Lesson(lesson.Id) + "/cover")).StatusCode
        );
        await TestClient.Problem(
            await (await school.As(null)).Send(HttpMethod.Post, "/api/cover", new { key = pass.Key }),
            HttpStatusCode.Forbidden
        );
    }

    [Theory]
    [InlineData("with=sh&at=end", "fish", "ship")]
    [InlineData("with=ow%3Daʊ", "cow", "snow")]
    [InlineData("letters=igh", "light", "like")]
    [InlineData("rhyme=cake", "snake", "cat")]
    [InlineData("pattern=suffix-ing", "running", "ring")]
    [InlineData("shape=CVC&with=ee", "feet", "tree")]
    public async Task Words_are_found_by_what_is_in_them(string query, string has, string hasNot)
    {
        var found = (await lead.Get<WordsView>(Api($"words?ladderId={school.Ladder}&version=1&{query}")))
            .Words.Select(w => w.Word)
            .ToList();
        Assert.Contains(has, found);
        Assert.DoesNotContain(hasNot, found);
    }

    [Fact]
    public async Task Words_of_a_rung_are_those_it_makes_readable()
    {
        var rung = school.OttersNext.First(r => r.Label == "sh");
        var own = await lead.Get<WordsView>(
            Api($"words?ladderId={school.Ladder}&version=1&rung={Uri.EscapeDataString(rung.Id)}")
        );
        Assert.Contains(own.Words, w => w.Word == "ship" && w.Rung == "sh");
        Assert.DoesNotContain(own.Words, w => w.Word == "pin");
        Assert.Contains(
            (
                await lead.Get<WordsView>(
                    Api(
                        $"words?ladderId={school.Ladder}&version=1&soFar=true&rung={Uri.EscapeDataString(rung.Id)}&letters=pin"
                    )
                )
            ).Words,
            w => w.Word == "pin"
        );
        foreach (var bad in new[] { "with=qqq", "pattern=none", "rung=none", $"letters={new string('a', 99)}" })
            await TestClient.Problem(
                await lead.Send(HttpMethod.Get, Api($"words?ladderId={school.Ladder}&version=1&{bad}")),
                HttpStatusCode.UnprocessableEntity
            );
    }

    [Fact]
    public async Task A_word_that_a_child_found_gets_a_verdict_for_each_group()
    {
        var known = await lead.Get<WordView>(Api("words/ship"));
        Assert.Equal(
            ("sh|i|p", 3, "CVC", WordSource.Lexicon),
            (known.Graphemes, known.Taps, known.Shape, known.Source)
        );
        var otters = known.Groups.Single(g => g.Group == "Otters").Verdict;
        Assert.Equal((OwnStatus.NotYet, "sh=ʃ"), (otters.Status, otters.Needs.Single().What));
        Assert.NotEmpty(known.Rhymes);
        Assert.All(known.Rhymes, r => Assert.EndsWith("ip", r, StringComparison.Ordinal));
        Assert.Contains(known.OneSoundApart, p => p is { Word: "shop", Sound: "ɪ", Other: "ɒ" });
        Assert.Equal(WordSource.Guessed, (await lead.Get<WordView>(Api("words/brumpeltosh"))).Source);
        await TestClient.Problem(await lead.Send(HttpMethod.Get, Api("words/%20%20")), HttpStatusCode.NotFound);
        await TestClient.Problem(await lead.Send(HttpMethod.Get, Api("words/12345")), HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_school_keeps_a_word_out_corrects_one_and_takes_it_back()
    {
        var ban = new SchoolWordRequest(SchoolVerdict.Ban, "A nickname here.");
        Assert.Equal(SchoolVerdict.Ban, (await TestClient.Read<SchoolWordView>(await Say("ship", ban))).Verdict);
        Assert.Equal(Suitability.Never, (await lead.Get<WordView>(Api("words/ship"))).Suitability);
        Assert.True(
            (await lead.Get<WordsView>(Api($"words?ladderId={school.Ladder}&version=1&letters=ship")))
                .Words.Single(w => w.Word == "ship")
                .KeptOut
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (
                await lead.Send(
                    HttpMethod.Delete,
                    Api("words/ship/verdict"),
                    stamp: (await lead.Get<WordView>(Api("words/ship"))).Stamp
                )
            ).StatusCode
        );
        Assert.Equal(Suitability.Use, (await lead.Get<WordView>(Api("words/ship"))).Suitability);
        await TestClient.Read<SchoolWordView>(
            await Say("often", new SchoolWordRequest(SchoolVerdict.Correct, "We say the t.", "o|f|t|e|n", "ɒ|f|t|ə|n"))
        );
        Assert.Equal("o|f|t|e|n", (await lead.Get<WordView>(Api("words/often"))).Graphemes);
        await TestClient.Problem(
            await Say("often", new SchoolWordRequest(SchoolVerdict.Correct, "Wrong.", "o|f|e|n", "ɒ|f|ə|n")),
            HttpStatusCode.UnprocessableEntity
        );
        await TestClient.Problem(
            await Say("often", new SchoolWordRequest(SchoolVerdict.Ban, " ")),
            HttpStatusCode.UnprocessableEntity
        );
        await TestClient.Problem(await Say("zzxq", ban), HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_template_of_the_schools_own_builds_the_next_lessons_of_its_weekday()
    {
        var shipped = LessonTemplate.Shipped(LessonDay.New, 20);
        var own = shipped with
        {
            Parts =
            [
                .. shipped.Parts.Select(p =>
                    p.Kind == PartKind.Practise
                        ? p with
                        {
                            Slots = [new Slot([ActivityKind.HasSound], false, SlotNeed.Must, 6), .. p.Slots],
                        }
                        : p
                ),
            ],
        };
        var views = await TestClient.Read<TemplatesView>(
            await lead.Send(
                HttpMethod.Put,
                Api("templates"),
                new TemplateRequest(own, Weekday),
                stamp: await StampOf(Weekday)
            )
        );
        Assert.Contains(views.Templates, t => t.Own && t.Weekday == Weekday);
        Assert.Equal(
            ActivityKind.HasSound,
            (await lead.Open(school.Otters, Today))
                .Lesson.Parts.Single(p => p.Kind == PartKind.Practise)
                .Activities[0]
                .Kind
        );
        Assert.NotEqual(
            ActivityKind.HasSound,
            (await lead.Open(school.Otters, Today.AddDays(1)))
                .Lesson.Parts.Single(p => p.Kind == PartKind.Practise)
                .Activities[0]
                .Kind
        );
        var wrong = own with
        {
            Parts =
            [
                .. own.Parts.Select(p =>
                    p.Kind == PartKind.Revisit
                        ? p with
                        {
                            Slots = [new Slot([ActivityKind.NewCorrespondence], false, SlotNeed.Must, 1)],
                        }
                        : p
                ),
            ],
        };
        await TestClient.Problem(
            await lead.Send(HttpMethod.Put, Api("templates"), new TemplateRequest(wrong), stamp: await StampOf(null)),
            HttpStatusCode.UnprocessableEntity
        );
        Assert.DoesNotContain(
            (
                await TestClient.Read<TemplatesView>(
                    await lead.Send(
                        HttpMethod.Delete,
                        Api($"templates/new/20?weekday={Weekday}"),
                        stamp: await StampOf(Weekday)
                    )
                )
            ).Templates,
            t => t.Own
        );
    }
}
