using System.Net;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Calendars;
using BoldLadder.School.Groups;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

public sealed class LessonTests : IAsyncLifetime
{
    private static readonly DateOnly Today = TestSchool.Today;
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    [Fact]
    public async Task Opening_a_day_plans_it_once_and_keeps_it_as_made()
    {
        var first = await lead.Open(school.Otters, Today);
        var again = await lead.Open(school.Otters, Today);
        Assert.Equal((first.Id, first.Version), (again.Id, again.Version));
        Assert.Equal(LessonDocument.Write(first.Lesson), LessonDocument.Write(again.Lesson));
        Assert.True(first.IsToday);
        Assert.Equal(school.OttersNext.First().Label, first.RungLabel);
        Assert.Empty(first.Problems);
    }

    [Theory]
    [InlineData("2026-11-24", "2026-11-24", true)]
    [InlineData("2026-11-28", "2026-11-30", false)]
    [InlineData("2027-06-01", null, false)]
    public async Task Today_is_offered_when_it_is_a_teaching_day_else_the_next_one(
        string today,
        string? offered,
        bool isToday
    )
    {
        school.Serve(("Today", today));
        lead = await school.As("lead");
        var group = await Group();
        Assert.Equal(
            (offered, isToday),
            (group.LessonDate?.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture), group.IsToday)
        );
    }

    [Fact]
    public async Task Two_openings_at_once_make_one_lesson()
    {
        var lessons = await Task.WhenAll(Enumerable.Range(0, 6).Select(_ => lead.Open(school.Otters, Today)));
        Assert.Single(lessons.Select(l => l.Id).Distinct());
    }

    [Fact]
    public async Task The_next_days_come_to_the_next_rungs_past_closed_days_and_weekends()
    {
        Assert.Equal(
            school.OttersNext.Take(3).Select(r => r.Label),
            new[]
            {
                await lead.Open(school.Otters, Today),
                await lead.Open(school.Otters, Today.AddDays(1)),
                await lead.Open(school.Otters, Today.AddDays(2)),
            }.Select(l => l.RungLabel)
        );
        var monday = await lead.Open(school.Otters, Today.AddDays(6));
        Assert.Equal((school.OttersNext.ElementAt(3).Label, Today.AddDays(2)), (monday.RungLabel, monday.Previous));
    }

    [Theory]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(200)]
    public async Task A_day_without_lessons_says_so(int days)
    {
        var problem = await TestClient.Problem(
            await lead.Send(HttpMethod.Put, lead.Lesson(school.Otters, Today.AddDays(days))),
            HttpStatusCode.UnprocessableEntity
        );
        Assert.Equal("bold:outside-calendar", problem.GetProperty("type").GetString());
    }

    [Fact]
    public async Task An_unknown_group_a_past_day_and_a_wrong_date_say_what_to_do()
    {
        var unknown = await TestClient.Problem(
            await lead.Send(HttpMethod.Put, lead.Lesson(Guid.NewGuid(), Today)),
            HttpStatusCode.NotFound
        );
        Assert.Contains(
            "Choose one from the list",
            unknown.GetProperty("detail").GetString(),
            StringComparison.Ordinal
        );
        await TestClient.Problem(
            await lead.Send(HttpMethod.Put, lead.Lesson(school.Otters, Today.AddDays(-1))),
            HttpStatusCode.UnprocessableEntity
        );
        await TestClient.Problem(
            await lead.Send(HttpMethod.Put, $"/api/schools/{school.School}/groups/{school.Otters}/lessons/tomorrow"),
            HttpStatusCode.BadRequest
        );
        await TestClient.Problem(
            await lead.Send(HttpMethod.Get, lead.Lesson(school.Otters, Today)),
            HttpStatusCode.NotFound
        );
        await TestClient.Problem(await lead.Send(HttpMethod.Get, "/api/no-such-thing"), HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Choosing_others_keeping_and_undoing_each_make_a_version()
    {
        var lesson = await lead.Open(school.Otters, Today);
        var first = lesson.Lesson.Find("practise-read")!.Items[0].Id;
        var kept = await TestClient.Read<LessonView>(await lead.Change(lesson, new KeepItem(first)));
        var others = await TestClient.Read<LessonView>(await lead.Change(kept, new ChooseOthers("practise-read")));
        Assert.Contains(others.Lesson.Find("practise-read")!.Items, i => i.Id == first && i.Kept);
        Assert.NotEqual(Words(kept), Words(others));
        var back = await TestClient.Read<LessonView>(await lead.Change(others, new UndoChange()));
        Assert.Equal(Words(kept), Words(back));
        var further = await TestClient.Read<LessonView>(await lead.Change(back, new UndoChange()));
        Assert.DoesNotContain(further.Lesson.Activities.SelectMany(a => a.Items), i => i.Kept);
        Assert.Equal((5, false), (further.Version, further.CanUndo));
        await TestClient.Problem(await lead.Change(further, new UndoChange()), HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task What_was_taken_back_can_be_done_again_until_something_else_is_done()
    {
        var lesson = await lead.Open(school.Otters, Today);
        var others = await lead.Changed(lesson, new ChooseOthers("practise-read"));
        var back = await lead.Changed(others, new UndoChange());
        Assert.Equal((false, true), (back.CanUndo, back.CanRedo));
        var again = await lead.Changed(back, new RedoChange());
        Assert.Equal(Words(others), Words(again));
        Assert.Equal((true, false), (again.CanUndo, again.CanRedo));
        var backAgain = await lead.Changed(again, new UndoChange());
        Assert.Equal(Words(lesson), Words(backAgain));
        var noted = await lead.Changed(backAgain, new SetRemark("Hall."));
        Assert.False(noted.CanRedo);
        await TestClient.Problem(await lead.Change(noted, new RedoChange()), HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task A_person_takes_back_what_is_theirs_and_what_others_did_elsewhere_stays()
    {
        var teacher = await school.As("teacher");
        var lesson = await lead.Open(school.Otters, Today);
        var others = await lead.Changed(lesson, new ChooseOthers("practise-read"));
        var noted = await teacher.Changed(others, new SetRemark("Hall at ten."));
        var back = await lead.Changed(noted, new UndoChange());
        Assert.Equal(Words(lesson), Words(back));
        Assert.Equal("Hall at ten.", back.Lesson.Remark);
        Assert.False(back.CanUndo);
        var theirs = await TestClient.Read<LessonView>(await teacher.Send(HttpMethod.Get, teacher.Lesson(lesson.Id)));
        Assert.True(theirs.CanUndo);

        // The same activity changed by both: neither is lost, and the refusal says what came after.
        var mine = await lead.Changed(back, new ChooseOthers("practise-read"));
        var item = mine.Lesson.Find("practise-read")!.Items[0].Id;
        var after = await teacher.Changed(mine, new ReplaceItem(item));
        var problem = await TestClient.Problem(await lead.Change(after, new UndoChange()), HttpStatusCode.Conflict);
        Assert.Equal(
            "replace-one",
            problem.GetProperty("since").EnumerateArray().Single().GetProperty("command").GetString()
        );
    }

    [Fact]
    public async Task What_takes_changes_back_is_kept_until_the_lesson_is_over()
    {
        var lesson = await lead.Changed(await lead.Open(school.Otters, Today), new ChooseOthers("practise-read"));
        await lead.Changed(await lead.Open(school.Otters, Today.AddDays(1)), new SetRemark("Tomorrow."));
        Assert.Equal(2, await school.AsOwner(s => s.LessonUndos.CountAsync()));
        await TestClient.Read<LessonView>(await lead.Close(lesson, LessonOutcome.Taught));
        var kept = Assert.Single(await school.AsOwner(s => s.LessonUndos.ToListAsync()));
        Assert.NotEqual(lesson.Id, kept.LessonId);
        Assert.Equal(
            ["choose-others", "close"],
            await school.AsOwner(s =>
                s.LessonChanges.Where(c => c.LessonId == lesson.Id)
                    .OrderBy(c => c.Version)
                    .Select(c => c.Command)
                    .ToListAsync()
            )
        );
    }

    [Fact]
    public async Task Another_word_takes_the_place_of_one_and_stays_decodable()
    {
        var lesson = await lead.Open(school.Otters, Today);
        var item = lesson.Lesson.Find("practise-read")!.Items[1].Id;
        var changed = await TestClient.Read<LessonView>(await lead.Change(lesson, new ReplaceItem(item)));
        Assert.DoesNotContain(changed.Lesson.Find("practise-read")!.Items, i => i.Id == item);
        Assert.Equal(Words(lesson).Length - 1, Words(lesson).Intersect(Words(changed)).Count());
        Assert.Empty(changed.Problems);
    }

    [Fact]
    public async Task A_stale_version_is_told_what_changed_since_and_changes_nothing()
    {
        var lesson = await lead.Open(school.Otters, Today);
        var teacher = await school.As("teacher");
        await TestClient.Read<LessonView>(await teacher.Change(lesson, new ChooseOthers("practise-read")));
        var problem = await TestClient.Problem(
            await lead.Change(lesson, new ChooseOthers("revisit-cards")),
            HttpStatusCode.Conflict
        );
        Assert.Equal("bold:changed-meanwhile", problem.GetProperty("type").GetString());
        var since = problem.GetProperty("since").EnumerateArray().Single();
        Assert.Equal(
            ("choose-others", "practise-read"),
            (since.GetProperty("command").GetString(), since.GetProperty("subject").GetString())
        );
        Assert.Equal(2, (await lead.Open(school.Otters, Today)).Version);
    }

    [Fact]
    public async Task A_change_without_a_version_or_of_an_unknown_item_is_refused()
    {
        var lesson = await lead.Open(school.Otters, Today);
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, lead.Lesson(lesson.Id) + "/commands", new UndoChange()),
            (HttpStatusCode)428
        );
        await TestClient.Problem(
            await lead.Change(lesson, new KeepItem("practise-read:nonesuch")),
            HttpStatusCode.UnprocessableEntity
        );
        await TestClient.Problem(
            await lead.Change(lesson, new ChooseOthers("no-such-activity")),
            HttpStatusCode.UnprocessableEntity
        );
        var nothing = await TestClient.Problem(
            await lead.Change(lesson, new ChooseOthers("teach-correspondence")),
            HttpStatusCode.UnprocessableEntity
        );
        Assert.Equal("bold:no-others", nothing.GetProperty("type").GetString());
        Assert.Equal(1, (await lead.Open(school.Otters, Today)).Version);
    }

    [Fact]
    public async Task Closing_as_taught_records_once_and_freezes_the_lesson()
    {
        var lesson = await lead.Open(school.Otters, Today);
        var entry = Guid.CreateVersion7();
        var closed = await TestClient.Read<LessonView>(await lead.Close(lesson, LessonOutcome.Taught, entry: entry));
        await TestClient.Read<LessonView>(await lead.Close(lesson, LessonOutcome.Taught, entry: entry));
        Assert.Equal(LessonStatus.Taught, closed.Status);
        Assert.Equal(1, await school.AsOwner(s => s.TeachingLog.CountAsync(e => e.Date == Today)));
        var frozen = await TestClient.Problem(
            await lead.Change(closed, new ChooseOthers("practise-read")),
            HttpStatusCode.Conflict
        );
        Assert.Equal("bold:lesson-closed", frozen.GetProperty("type").GetString());
        Assert.Equal("f", (await lead.Open(school.Otters, Today.AddDays(1))).RungLabel);
        Assert.Equal(13, (await Group()).RungsTaught);
    }

    [Theory]
    [InlineData("revisit-cards", 12)]
    [InlineData("practise-read", 13)]
    public async Task A_lesson_that_stopped_counts_as_taught_once_it_got_past_teach(string stoppedAt, int rungs)
    {
        var lesson = await lead.Open(school.Otters, Today);
        await TestClient.Read<LessonView>(await lead.Close(lesson, LessonOutcome.Stopped, stoppedAt));
        Assert.Equal(rungs, (await Group()).RungsTaught);
    }

    [Fact]
    public async Task A_lesson_that_was_not_taught_comes_again_and_a_correction_supersedes_it()
    {
        var lesson = await lead.Open(school.Otters, Today);
        var missed = await TestClient.Read<LessonView>(await lead.Close(lesson, LessonOutcome.NotTaught));
        Assert.Equal((12, LessonStatus.NotTaught), ((await Group()).RungsTaught, missed.Status));
        var corrected = await TestClient.Read<LessonView>(await lead.Close(missed, LessonOutcome.Taught));
        Assert.Equal((13, LessonStatus.Taught), ((await Group()).RungsTaught, corrected.Status));
        Assert.Equal(2, await school.AsOwner(s => s.TeachingLog.CountAsync(e => e.Date == Today)));
    }

    [Fact]
    public async Task A_lesson_still_to_come_or_stopped_nowhere_is_not_closed()
    {
        await TestClient.Problem(
            await lead.Close(await lead.Open(school.Otters, Today.AddDays(1)), LessonOutcome.Taught),
            HttpStatusCode.UnprocessableEntity
        );
        await TestClient.Problem(
            await lead.Close(await lead.Open(school.Otters, Today), LessonOutcome.Stopped, "no-such-activity"),
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_teacher_sees_their_group_and_the_ladder_only()
    {
        var teacher = await school.As("teacher");
        Assert.Equal(
            ["Otters"],
            (await teacher.Get<List<GroupView>>($"/api/schools/{school.School}/groups")).Select(g => g.Name)
        );
        Assert.NotEmpty(
            (await teacher.Get<LadderView>($"/api/schools/{school.School}/ladders/{school.Ladder}/versions/1")).Rungs
        );
        await TestClient.Problem(
            await teacher.Send(HttpMethod.Get, teacher.Lesson(school.Kestrels, Today)),
            HttpStatusCode.NotFound
        );
        Assert.Equal(
            ["Otters"],
            (
                await teacher.Get<LadderDatesView>(
                    $"/api/schools/{school.School}/ladders/{school.Ladder}/versions/1/dates"
                )
            ).Groups.Select(g => g.Name)
        );
        await TestClient.Problem(
            await teacher.Send(HttpMethod.Get, $"/api/schools/{school.School}/audit"),
            HttpStatusCode.Forbidden
        );
    }

    [Fact]
    public async Task The_ladder_says_what_each_rung_unlocks()
    {
        var ladder = await lead.Get<LadderView>($"/api/schools/{school.School}/ladders/{school.Ladder}/versions/1");
        Assert.All(ladder.Rungs.Zip(ladder.Rungs.Skip(1)), pair =>
            Assert.True(pair.First.TextShare <= pair.Second.TextShare && pair.First.Readable <= pair.Second.Readable)
        );
        Assert.All(ladder.Rungs, r => Assert.Empty(r.Warnings));
        var sh = ladder.Rungs.Single(r => r.Id == "sh=ʃ");
        var words = await lead.Get<List<RungWord>>(
            $"/api/schools/{school.School}/ladders/{school.Ladder}/versions/1/rungs/{Uri.EscapeDataString(sh.Id)}/words"
        );
        Assert.Equal(sh.NewWords, words.Count);
        Assert.Contains(words, w => w.Graphemes == "sh|i|p");
        Assert.Equal(ladder.Rungs.Sum(r => r.NewWords), ladder.Rungs[^1].Readable);
        await TestClient.Problem(
            await lead.Send(HttpMethod.Get, $"/api/schools/{school.School}/ladders/{school.Ladder}/versions/9"),
            HttpStatusCode.NotFound
        );
        await TestClient.Problem(
            await lead.Send(
                HttpMethod.Get,
                $"/api/schools/{school.School}/ladders/{school.Ladder}/versions/1/rungs/none/words"
            ),
            HttpStatusCode.NotFound
        );
    }

    private static string[] Words(LessonView lesson) =>
        [.. lesson.Lesson.Find("practise-read")!.Items.Cast<WordItem>().Select(i => i.Word)];

    private async Task<GroupView> Group() =>
        (await lead.Get<List<GroupView>>($"/api/schools/{school.School}/groups")).Single(g => g.Name == "Otters");
}
