using System.Net;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Calendars;
using BoldLadder.School.Groups;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Style;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>The calendar with its quiet days, and our school's way.</summary>
public sealed class CalendarAndStyleTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string Path(string rest) => $"/api/schools/{school.School}{rest}";

    private async Task<CalendarSettings> Calendar() => (await lead.Get<CalendarView>(Path("/calendar"))).Settings;

    private async Task<HttpResponseMessage> Save(CalendarSettings calendar) =>
        await lead.Send(
            HttpMethod.Post,
            Path("/calendar"),
            calendar,
            stamp: (await lead.Get<CalendarView>(Path("/calendar"))).Stamp
        );

    private async Task<HttpResponseMessage> Save(StyleRequest style) =>
        await lead.Send(
            HttpMethod.Post,
            Path("/style"),
            style,
            stamp: (await lead.Get<StyleView>(Path("/style"))).Stamp
        );

    private async Task<HttpResponseMessage> Save(Note note)
    {
        var notes = await lead.Get<NotesView>(Path("/notes"));
        return await lead.Send(
            HttpMethod.Post,
            Path("/notes"),
            note,
            stamp: notes.Notes.FirstOrDefault(n => n.Subject == note.Subject)?.Stamp ?? notes.NoStamp
        );
    }

    private async Task<GroupDates> Otters() =>
        (await lead.Get<LadderDatesView>(Path($"/ladders/{school.Ladder}/versions/1/dates"))).Groups.Single(g =>
            g.Name == "Otters"
        );

    [Fact]
    public async Task With_a_rhythm_the_last_day_of_the_week_looks_back_and_the_rungs_move_on()
    {
        var before = await Otters();
        Assert.Equal(12, before.Taught.Count);
        Assert.Equal(TestSchool.Today, before.Planned[before.NextRungId!]);
        Assert.Empty(before.Quiet);

        await TestClient.Read<CalendarView>(await Save(await Calendar() with { ReviewWeeks = 1 }));
        var after = await Otters();
        // Friday is closed, so Thursday looks back.
        Assert.Equal((TestSchool.Today.AddDays(2), "review-day"), (after.Quiet[0].Date, after.Quiet[0].Kind));
        var third = school.OttersNext.ElementAt(2);
        Assert.Equal(
            (TestSchool.Today.AddDays(2), TestSchool.Today.AddDays(6)),
            (before.Planned[third.Id], after.Planned[third.Id])
        );
        var review = await lead.Open(school.Otters, TestSchool.Today.AddDays(2));
        Assert.Equal(("review-day", 0), (review.RungLabel, review.Lesson.Target.Length));
        Assert.DoesNotContain(review.Lesson.Parts, p => p.Kind == PartKind.Teach);
        Assert.Empty(review.Problems);
        Assert.Null(review.ExpectedRung);
        Assert.Equal(third.Label, (await lead.Open(school.Otters, TestSchool.Today.AddDays(6))).RungLabel);
    }

    [Fact]
    public async Task A_review_day_that_was_held_teaches_nothing_new()
    {
        await Save(
            await Calendar() with
            {
                ReviewWeeks = 1,
                Closed = [TestSchool.Today.AddDays(1), TestSchool.Today.AddDays(2), TestSchool.Today.AddDays(3)],
            }
        );
        var review = await lead.Open(school.Otters, TestSchool.Today);
        Assert.Equal("review-day", review.RungLabel);
        var closed = await TestClient.Read<LessonView>(await lead.Close(review, LessonOutcome.Taught));
        Assert.Equal(LessonStatus.Taught, closed.Status);
        Assert.Equal(12, (await Otters()).Taught.Count);
        var entry = await school.AsOwner(s => s.TeachingLog.SingleAsync(e => e.Date == TestSchool.Today));
        Assert.Equal(("review-day", 0, 0), (entry.RungId, entry.Correspondences.Length, entry.Tricky.Length));
        Assert.NotEmpty(entry.Seen);
    }

    [Fact]
    public async Task A_lesson_that_was_not_taught_slips_and_a_missed_checkpoint_is_told()
    {
        var due = school.OttersNext.First();
        await Save(
            await Calendar() with
            {
                Checkpoints =
                [
                    new CheckpointView(
                        Guid.CreateVersion7(),
                        "By now",
                        TestSchool.Today,
                        due.Correspondences[0].Notation
                    ),
                ],
            }
        );
        Assert.DoesNotContain((await Otters()).Warnings, w => w.Warning.Code == "checkpoint-missed");
        await lead.Close(await lead.Open(school.Otters, TestSchool.Today), LessonOutcome.NotTaught);
        var slipped = await Otters();
        Assert.Equal(TestSchool.Today.AddDays(1), slipped.Planned[due.Id]);
        var missed = Assert.Single(slipped.Warnings, w => w.Warning.Code == "checkpoint-missed");
        Assert.Equal(due.Id, missed.RungId);
    }

    [Fact]
    public async Task A_group_with_lesson_days_of_its_own_goes_at_its_own_pace()
    {
        var calendar = await Calendar();
        var both = await lead.Get<LadderDatesView>(Path($"/ladders/{school.Ladder}/versions/1/dates"));
        await TestClient.Read<CalendarView>(
            await Save(
                calendar with
                {
                    Groups =
                    [
                        .. calendar.Groups.Select(g =>
                            g.Name == "Otters" ? g with { LessonDays = [2, 4], LessonMinutes = 15 } : g
                        ),
                    ],
                }
            )
        );
        var dates = (await Otters()).Planned.Values.Order().Take(3).ToList();
        Assert.Equal([TestSchool.Today, TestSchool.Today.AddDays(2), TestSchool.Today.AddDays(7)], dates);
        Assert.Equal(
            both.Groups.Single(g => g.Name == "Kestrels").Planned,
            (await lead.Get<LadderDatesView>(Path($"/ladders/{school.Ladder}/versions/1/dates")))
                .Groups.Single(g => g.Name == "Kestrels")
                .Planned
        );
        await TestClient.Problem(
            await lead.Send(HttpMethod.Put, lead.Lesson(school.Otters, TestSchool.Today.AddDays(1))),
            HttpStatusCode.UnprocessableEntity
        );
        Assert.True((await lead.Open(school.Otters, TestSchool.Today.AddDays(2))).Minutes <= 15);
    }

    [Fact]
    public async Task A_calendar_that_can_not_be_is_refused_with_what_to_do()
    {
        var calendar = await Calendar();
        var term = calendar.Terms[0];
        foreach (
            var (code, wrong) in new (string, CalendarSettings)[]
            {
                ("no-lesson-day", calendar with { LessonDays = [] }),
                ("no-lesson-day", calendar with { LessonDays = [8] }),
                ("no-teaching-day", calendar with { Terms = [] }),
                ("term-backwards", calendar with { Terms = [term with { Last = term.First.AddDays(-1) }] }),
                ("terms-overlap", calendar with { Terms = [term, term with { Id = Guid.NewGuid(), Name = "Again" }] }),
                ("bad-rhythm", calendar with { CheckWeeks = 21 }),
                ("bad-name", calendar with { Terms = [term with { Name = "" }] }),
                (
                    "unknown-teaching",
                    calendar with
                    {
                        Checkpoints = [new CheckpointView(Guid.NewGuid(), "x", TestSchool.Today, "sh=zz")],
                    }
                ),
                ("no-lesson-day", calendar with { Groups = [calendar.Groups[0] with { LessonDays = [] }] }),
                ("bad-length", calendar with { Groups = [calendar.Groups[0] with { LessonMinutes = 17 }] }),
                (
                    "day-out-of-range",
                    calendar with
                    {
                        Terms = [term with { First = new(9999, 10, 1), Last = new(9999, 10, 10) }],
                    }
                ),
                ("day-out-of-range", calendar with { Closed = [new(1026, 12, 1)] }),
                (
                    "id-missing",
                    calendar with
                    {
                        Checkpoints = [new CheckpointView(Guid.Empty, "x", TestSchool.Today, "letters")],
                    }
                ),
            }
        )
        {
            Assert.Equal(
                $"bold:{code}",
                (await TestClient.Problem(await Save(wrong), HttpStatusCode.UnprocessableEntity))
                    .GetProperty("type")
                    .GetString()
            );
        }
        Assert.Equal(calendar.Terms, (await Calendar()).Terms);
    }

    [Fact]
    public async Task The_accent_and_leniencies_of_our_schools_way_change_what_the_ladder_does()
    {
        var southern = await lead.Get<LadderView>(Path($"/ladders/{school.Ladder}/versions/1"));
        Assert.All(southern.Rungs, r => Assert.Empty(r.Warnings));
        var style = await lead.Get<StyleView>(Path("/style"));
        var northern = style.Style with { Switches = [.. style.Accents[0].Switches, "putt-as-put"] };
        var sample = await lead.Get<List<SampleWord>>(
            Path("/style/sample?accent=southern-british&switches=putt-as-put")
        );
        Assert.Equal(
            ("p|ʌ|t", "p|ʊ|t"),
            (style.Sample.Single(w => w.Word == "putt").Phonemes, sample.Single(w => w.Word == "putt").Phonemes)
        );
        var saved = await TestClient.Read<StyleView>(await Save(new StyleRequest("southern-british", northern)));
        Assert.Equal(northern.Switches, saved.Style.Switches);
        var now = await lead.Get<LadderView>(Path($"/ladders/{school.Ladder}/versions/1"));
        Assert.Contains(now.Rungs, r => r.Warnings.Any(w => w.Code == "accent-merges"));

        await Save(new StyleRequest("southern-british", style.Style with { Leniencies = [] }));
        var strict = await lead.Get<LadderView>(Path($"/ladders/{school.Ladder}/versions/1"));
        Assert.True(strict.Rungs[40].Readable < southern.Rungs[40].Readable);
    }

    [Fact]
    public async Task A_style_that_can_not_be_is_refused_with_what_to_do()
    {
        var usual = HouseStyle.Usual;
        foreach (
            var (accent, wrong) in new (string, HouseStyle)[]
            {
                ("martian", usual),
                ("southern-british", usual with { Leniencies = ["all"] }),
                ("southern-british", usual with { Switches = ["x"] }),
                ("southern-british", usual with { Marks = usual.Marks with { Weight = 5 } }),
                ("southern-british", usual with { Labels = new Dictionary<string, string> { ["lesson"] = "x" } }),
                ("southern-british", usual with { Labels = new Dictionary<string, string> { ["revisit"] = " " } }),
                ("southern-british", usual with { Release = new Release(1, 2, 10) }),
                ("southern-british", usual with { Chunks = [new Chunk("ink", ["i=ɪ"])] }),
                ("southern-british", usual with { Chunks = [new Chunk("ank", ["i=ɪ", "n=ŋ", "k=k"])] }),
                ("southern-british", usual with { Lettering = new Lettering(true, [""]) }),
                ("southern-british", usual with { Format = 2 }),
            }
        )
        {
            var problem = await TestClient.Problem(
                await Save(new StyleRequest(accent, wrong)),
                HttpStatusCode.UnprocessableEntity
            );
            Assert.EndsWith(".", problem.GetProperty("detail").GetString(), StringComparison.Ordinal);
        }
        await TestClient.Read<StyleView>(
            await Save(
                new StyleRequest("southern-british", usual with { Chunks = [new Chunk("ink", ["i=ɪ", "n=ŋ", "k=k"])] })
            )
        );
    }

    [Fact]
    public async Task The_schools_key_word_stands_on_its_rung()
    {
        await Save(new Note("sh=ʃ", "shoe", "hush now", "lips round", "s then h"));
        await Save(new Note("sh=ʃ", "shed", "hush now", "lips round", "s then h"));
        Assert.Equal("shed", Assert.Single((await lead.Get<NotesView>(Path("/notes"))).Notes).KeyWord);
        var ladder = await lead.Get<LadderView>(Path($"/ladders/{school.Ladder}/versions/1"));
        Assert.Equal("shed", ladder.Rungs.SelectMany(r => r.Correspondences).Single(c => c.Notation == "sh=ʃ").KeyWord);
        await TestClient.Problem(await Save(new Note("zzz", "", "", "", "")), HttpStatusCode.UnprocessableEntity);
        await TestClient.Problem(
            await Save(new Note("sh=ʃ", new string('x', 401), "", "", "")),
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task The_mat_shows_what_was_taught_and_only_words_that_can_be_read()
    {
        var mat = await lead.Get<MatView>(Path($"/groups/{school.Otters}/mats/{TestSchool.Today:yyyy-MM-dd}"));
        var taught = school.OttersNext.Take(1).SelectMany(r => r.Correspondences).Select(c => c.Notation).ToList();
        Assert.Equal(taught, mat.New);
        Assert.Equal(14, mat.Stages.Sum(s => s.Cells.Count));
        var letters = mat.Stages.SelectMany(s => s.Cells).Select(c => c.Grapheme[0]).ToHashSet();
        Assert.NotEmpty(mat.Words);
        Assert.All(mat.Words.SelectMany(w => w.Words), w => Assert.All(w, letter => Assert.Contains(letter, letters)));
        var tomorrow = await lead.Get<MatView>(
            Path($"/groups/{school.Otters}/mats/{TestSchool.Today.AddDays(1):yyyy-MM-dd}")
        );
        Assert.True(tomorrow.WordCount > mat.WordCount);
    }
}
