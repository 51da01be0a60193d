using System.Net;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Style;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;
using BoldLadder.School.Calendars;
using BoldLadder.School.Groups;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Style;
using BoldLadder.School.Templates;
using BoldLadder.School.Words;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Several at the same moment: none ends in a 500, and nobody's change is lost unsaid.</summary>
public sealed class RaceTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;
    private TestClient deputy = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        (lead, deputy) = (await school.As("lead"), await school.As("deputy"));
        // Tokens are fetched before the race.
        foreach (var client in new[] { lead, deputy })
            await client.Send(HttpMethod.Post, Api("ladders"), new { });
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string Api(string path) => $"/api/schools/{school.School}/{path}";

    private static async Task<List<HttpStatusCode>> AtOnce(int count, Func<int, Task<HttpResponseMessage>> send) =>
        [.. (await Task.WhenAll(Enumerable.Range(0, count).Select(send))).Select(a => a.StatusCode).Order()];

    [Fact]
    public async Task Words_that_are_let_come_again_at_once_all_come_again()
    {
        var words = new[] { "pin", "pan", "sat", "sit", "mat", "map", "tap", "nap" };
        await school.AsOwner(async s => (await s.Groups.SingleAsync(g => g.Id == school.Otters)).Avoid = words);
        Assert.All(
            await AtOnce(words.Length, i =>
                lead.Send(HttpMethod.Delete, Api($"groups/{school.Otters}/kept-out/{words[i]}"))
            ),
            s => Assert.Equal(HttpStatusCode.NoContent, s)
        );
        Assert.Empty((await school.AsOwner(s => s.Groups.SingleAsync(g => g.Id == school.Otters))).Avoid);
    }

    [Fact]
    public async Task Of_two_calendars_saved_from_one_page_the_second_is_told_and_the_first_kept()
    {
        var seen = await lead.Get<CalendarView>(Api("calendar"));
        CalendarSettings With(int day) =>
            seen.Settings with
            {
                Closed = [.. seen.Settings.Closed, TestSchool.Today.AddDays(day)],
            };
        Assert.Equal(
            [HttpStatusCode.OK, HttpStatusCode.Conflict, HttpStatusCode.Conflict, HttpStatusCode.Conflict],
            await AtOnce(4, i =>
                (i % 2 == 0 ? lead : deputy).Send(HttpMethod.Post, Api("calendar"), With(7 + i), stamp: seen.Stamp)
            )
        );
        var now = await lead.Get<CalendarView>(Api("calendar"));
        Assert.Equal(seen.Settings.Closed.Count + 1, now.Settings.Closed.Count);
        // Who was told can lay theirs over it knowingly.
        var refused = await TestClient.Problem(
            await deputy.Send(HttpMethod.Post, Api("calendar"), With(12), stamp: seen.Stamp),
            HttpStatusCode.Conflict
        );
        Assert.Equal(now.Stamp, refused.GetProperty("stamp").GetString());
        Assert.Equal(
            HttpStatusCode.OK,
            (await deputy.Send(HttpMethod.Post, Api("calendar"), With(12), stamp: now.Stamp)).StatusCode
        );
        await TestClient.Problem(
            await deputy.Send(HttpMethod.Post, Api("calendar"), With(12)),
            HttpStatusCode.PreconditionRequired
        );
    }

    [Fact]
    public async Task Of_two_styles_saved_from_one_page_the_second_is_told()
    {
        var seen = await lead.Get<StyleView>(Api("style"));
        Assert.Equal(
            [HttpStatusCode.OK, HttpStatusCode.Conflict],
            await AtOnce(2, i =>
                (i == 0 ? lead : deputy).Send(
                    HttpMethod.Post,
                    Api("style"),
                    new StyleRequest(
                        seen.Accent,
                        seen.Style with
                        {
                            Counting = Counting.Sounds,
                            TrickyWay = i == 0 ? TrickyWay.Boxes : TrickyWay.ByHeart,
                        }
                    ),
                    stamp: seen.Stamp
                )
            )
        );
        Assert.Equal(Counting.Sounds, (await lead.Get<StyleView>(Api("style"))).Style.Counting);
    }

    [Fact]
    public async Task Of_notes_words_and_templates_written_at_once_one_is_kept_and_the_others_are_told()
    {
        var notes = await lead.Get<NotesView>(Api("notes"));
        Assert.Equal(
            [HttpStatusCode.OK, .. Enumerable.Repeat(HttpStatusCode.Conflict, 3)],
            await AtOnce(4, i =>
                lead.Send(
                    HttpMethod.Post,
                    Api("notes"),
                    new Note("sh=ʃ", $"shoe {i}", "", "", ""),
                    stamp: notes.NoStamp
                )
            )
        );
        var word = await lead.Get<WordView>(Api("words/ship"));
        Assert.Equal(
            [HttpStatusCode.OK, .. Enumerable.Repeat(HttpStatusCode.Conflict, 3)],
            await AtOnce(4, i =>
                lead.Send(
                    HttpMethod.Put,
                    Api("words/ship/verdict"),
                    new SchoolWordRequest(SchoolVerdict.Ban, $"Reason {i}."),
                    stamp: word.Stamp
                )
            )
        );
        word = await lead.Get<WordView>(Api("words/ship"));
        Assert.Equal(
            [HttpStatusCode.NoContent, .. Enumerable.Repeat(HttpStatusCode.NotFound, 3)],
            await AtOnce(4, _ => lead.Send(HttpMethod.Delete, Api("words/ship/verdict"), stamp: word.Stamp))
        );
        var templates = await lead.Get<TemplatesView>(Api("templates"));
        var own = LessonTemplate.Shipped(LessonDay.New, 20);
        Assert.Equal(
            [HttpStatusCode.OK, .. Enumerable.Repeat(HttpStatusCode.Conflict, 3)],
            await AtOnce(4, i =>
                lead.Send(
                    HttpMethod.Put,
                    Api("templates"),
                    new TemplateRequest(
                        own with
                        {
                            Parts =
                            [
                                .. own.Parts.Select(p =>
                                    p with
                                    {
                                        Slots = [.. p.Slots.Select(s => s with { Items = s.Items + (i % 2) })],
                                    }
                                ),
                            ],
                        }
                    ),
                    stamp: templates.NoStamp
                )
            )
        );
        var kept = (await lead.Get<TemplatesView>(Api("templates"))).Templates.Single(t => t.Own);
        // Taken away four times it is gone: the one answer is as true for the last as for the first.
        Assert.All(await AtOnce(4, _ => lead.Send(HttpMethod.Delete, Api("templates/new/20"), stamp: kept.Stamp)), s =>
            Assert.Equal(HttpStatusCode.OK, s)
        );
    }

    [Fact]
    public async Task A_ladder_made_six_times_under_one_id_is_made_once()
    {
        var id = Guid.NewGuid();
        Assert.All(
            await AtOnce(6, _ =>
                lead.Send(HttpMethod.Post, Api("ladders"), new NewLadder(id, "Ours", "letters-first"))
            ),
            s => Assert.Equal(HttpStatusCode.OK, s)
        );
        Assert.Equal(1, await school.AsOwner(s => s.LadderVersions.CountAsync(v => v.LadderId == id)));
        // Another ladder under its id is no second try.
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, Api("ladders"), new NewLadder(id, "Another", "blank")),
            HttpStatusCode.Conflict
        );
    }

    [Fact]
    public async Task A_draft_published_by_a_double_click_is_published_once()
    {
        var draft = await TestClient.Read<LadderView>(
            await lead.Send(HttpMethod.Put, Api($"ladders/{school.Ladder}/draft"))
        );
        draft = await TestClient.Read<LadderView>(
            await lead.Send(
                HttpMethod.Post,
                Api($"ladders/{school.Ladder}/draft/changes"),
                new LadderEdit("move", [new MoveRung(draft.Rungs[20].Id, draft.Rungs[22].Id)]),
                version: 1
            )
        );
        Assert.All(
            await AtOnce(4, _ =>
                lead.Send(
                    HttpMethod.Post,
                    Api($"ladders/{school.Ladder}/draft/publication"),
                    new PublishRequest("Autumn", [school.Otters]),
                    version: draft.Draft!.Version
                )
            ),
            s => Assert.Equal(HttpStatusCode.OK, s)
        );
        Assert.Equal(
            [1, 2],
            await school.AsOwner(s =>
                s.LadderVersions.Where(v => v.LadderId == school.Ladder).Select(v => v.Version).Order().ToListAsync()
            )
        );
        Assert.Equal(2, (await school.AsOwner(s => s.Groups.SingleAsync(g => g.Id == school.Otters))).LadderVersion);
        Assert.Equal(1, await school.AsOwner(s => s.Audit.CountAsync(a => a.Action == "group-moved")));
    }

    [Fact]
    public async Task Cover_given_ten_times_at_once_leaves_one_link()
    {
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        Assert.All(await AtOnce(10, _ => lead.Send(HttpMethod.Post, lead.Lesson(lesson.Id) + "/cover")), s =>
            Assert.Equal(HttpStatusCode.OK, s)
        );
        Assert.Equal(1, await school.AsOwner(s => s.CoverPasses.CountAsync(p => !p.Ended)));
    }

    [Fact]
    public async Task A_cover_link_ends_with_its_givers_role_and_its_opening_is_recorded()
    {
        var teacher = await school.As("teacher");
        var lesson = await teacher.Open(school.Otters, TestSchool.Today);
        var pass = await TestClient.Read<School.Cover.CoverPassView>(
            await teacher.Send(HttpMethod.Post, teacher.Lesson(lesson.Id) + "/cover")
        );
        var stranger = await school.As(null);
        Assert.Equal(
            HttpStatusCode.OK,
            (await stranger.Send(HttpMethod.Post, "/api/cover", new { key = pass.Key })).StatusCode
        );
        Assert.Equal(1, await school.AsOwner(s => s.Audit.CountAsync(a => a.Action == "cover-opened")));
        await school.AsOwner(s => s.GroupTeachers.ExecuteDeleteAsync());
        await TestClient.Problem(
            await stranger.Send(HttpMethod.Post, "/api/cover", new { key = pass.Key }),
            HttpStatusCode.Forbidden
        );
    }

    [Fact]
    public async Task An_entry_id_of_another_lesson_closes_nothing_and_a_closing_is_told_to_who_missed_it()
    {
        var (otters, kestrels) = (
            await lead.Open(school.Otters, TestSchool.Today),
            await lead.Open(school.Kestrels, TestSchool.Today)
        );
        var entry = Guid.CreateVersion7();
        await TestClient.Read<LessonView>(await lead.Close(otters, LessonOutcome.Taught, entry: entry));
        Assert.Equal(
            "bold:id-taken",
            (
                await TestClient.Problem(
                    await lead.Close(kestrels, LessonOutcome.Taught, entry: entry),
                    HttpStatusCode.UnprocessableEntity
                )
            )
                .GetProperty("type")
                .GetString()
        );
        var late = await TestClient.Problem(await deputy.Change(otters, new PlanAgain()), HttpStatusCode.Conflict);
        Assert.Equal(
            "close",
            Assert.Single(late.GetProperty("since").EnumerateArray()).GetProperty("command").GetString()
        );
    }

    [Fact]
    public async Task A_group_that_someone_moved_meanwhile_is_not_moved_again_unseen()
    {
        var move = new MoveGroupRequest(school.Ladder, 1);
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, Api($"groups/{school.Otters}/ladder"), move, version: 7),
            HttpStatusCode.Conflict
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await lead.Send(HttpMethod.Post, Api($"groups/{school.Otters}/ladder"), move, version: 1)).StatusCode
        );
    }

    [Fact]
    public async Task A_version_from_the_future_is_no_version()
    {
        var draft = await TestClient.Read<LadderView>(
            await lead.Send(HttpMethod.Put, Api($"ladders/{school.Ladder}/draft"))
        );
        var edit = new LadderEdit("move", [new MoveRung(draft.Rungs[20].Id, draft.Rungs[22].Id)]);
        await TestClient.Problem(
            await lead.Send(
                HttpMethod.Post,
                Api($"ladders/{school.Ladder}/draft/changes"),
                edit,
                version: int.MaxValue
            ),
            HttpStatusCode.UnprocessableEntity
        );
    }
}
