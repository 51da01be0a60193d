using System.Net;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.School.Calendars;
using BoldLadder.School.Groups;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>A ladder's draft: changed by two at once, undone, tried, published.</summary>
public sealed class DraftTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;
    private LadderView begun = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
        begun = await TestClient.Read<LadderView>(await lead.Send(HttpMethod.Put, Draft()));
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string Path(string rest) => $"/api/schools/{school.School}/ladders/{school.Ladder}{rest}";

    private string Draft(string rest = "") => Path("/draft" + rest);

    private Task<HttpResponseMessage> Send(TestClient who, int version, string name, params LadderStep[] steps) =>
        who.Send(HttpMethod.Post, Draft("/changes"), new LadderEdit(name, steps), version: version);

    private async Task<LadderView> Do(TestClient who, int version, params LadderStep[] steps) =>
        await TestClient.Read<LadderView>(await Send(who, version, "move", steps));

    private static string Order(LadderView ladder) => string.Join(' ', ladder.Rungs.Select(r => r.Id));

    private string Id(int rung) => begun.Rungs[rung].Id;

    [Fact]
    public async Task A_draft_is_begun_once_and_leaves_the_published_version_alone()
    {
        var again = await TestClient.Read<LadderView>(await lead.Send(HttpMethod.Put, Draft()));
        Assert.Equal((1, 0, 1), (again.Draft!.Version, again.Draft.Changes, again.Version));
        var moved = await Do(lead, 1, new MoveRung(Id(9), Id(3)));
        Assert.Equal((2, 1), (moved.Draft!.Version, moved.Draft.Changes));
        Assert.Equal(Id(9), moved.Rungs[4].Id);
        Assert.Equal(Order(begun), Order(await lead.Get<LadderView>(Path("/versions/1"))));
    }

    [Fact]
    public async Task Ten_changes_are_undone_step_by_step_and_done_again()
    {
        var orders = new List<string> { Order(begun) };
        var ladder = begun;
        for (var i = 0; i < 10; i++)
        {
            ladder = await Do(lead, ladder.Draft!.Version, new MoveRung(Id(20 + i), Id(i)));
            orders.Add(Order(ladder));
        }
        for (var i = 9; i >= 0; i--)
        {
            ladder = await TestClient.Read<LadderView>(await lead.Send(HttpMethod.Post, Draft("/undo")));
            Assert.Equal(orders[i], Order(ladder));
        }
        Assert.Equal((false, true, 0), (ladder.Draft!.CanUndo, ladder.Draft.CanRedo, ladder.Draft.Changes));
        await TestClient.Problem(await lead.Send(HttpMethod.Post, Draft("/undo")), HttpStatusCode.Conflict);
        for (var i = 1; i <= 10; i++)
            ladder = await TestClient.Read<LadderView>(await lead.Send(HttpMethod.Post, Draft("/redo")));
        Assert.Equal(orders[10], Order(ladder));
        ladder = await TestClient.Read<LadderView>(await lead.Send(HttpMethod.Post, Draft("/undo")));
        Assert.Equal(orders[9], Order(ladder));
        ladder = await Do(lead, ladder.Draft!.Version, new MoveRung(Id(0), Id(5)));
        Assert.False(ladder.Draft!.CanRedo);
    }

    [Fact]
    public async Task Two_leads_changes_that_do_not_touch_are_both_kept_and_each_undoes_their_own()
    {
        var deputy = await school.As("deputy");
        var theirs = await Do(deputy, 1, new MoveRung(Id(30), Id(25)));
        var mine = await Do(lead, 1, new MoveRung(Id(9), Id(3)));
        Assert.Equal((3, 2), (mine.Draft!.Version, mine.Draft.Changes));
        var undone = await TestClient.Read<LadderView>(await deputy.Send(HttpMethod.Post, Draft("/undo")));
        Assert.Equal(Order(begun with { Rungs = [.. MovedTo(begun.Rungs, 9, 4)] }), Order(undone));
        Assert.NotEqual(Order(theirs), Order(undone));
    }

    private static IEnumerable<RungView> MovedTo(IReadOnlyList<RungView> rungs, int from, int to)
    {
        var list = rungs.ToList();
        list.RemoveAt(from);
        list.Insert(to, rungs[from]);
        return list;
    }

    [Fact]
    public async Task A_change_that_gets_in_the_way_is_refused_and_both_are_shown()
    {
        var deputy = await school.As("deputy");
        await Do(deputy, 1, new MoveRung(Id(9), Id(25)));
        var problem = await TestClient.Problem(
            await Send(lead, 1, "move", new MoveRung(Id(9), Id(3))),
            HttpStatusCode.Conflict
        );
        var since = problem.GetProperty("since")[0];
        Assert.Equal(("deputy", "move"), (since.GetProperty("by").GetString(), since.GetProperty("name").GetString()));
        Assert.Equal(
            ["i", "10", "26"],
            since
                .GetProperty("lines")[0]
                .GetProperty("arguments")
                .EnumerateArray()
                .Select(a => a.GetString()!.Replace(begun.Rungs[9].Label, "i", StringComparison.Ordinal))
        );
        // Looked at, the same change is made again on what is there now.
        var mine = await Do(lead, problem.GetProperty("version").GetInt32(), new MoveRung(Id(9), Id(3)));
        Assert.Equal(Id(9), mine.Rungs[4].Id);
        // What another has built on can't be taken back over their head.
        await TestClient.Problem(await deputy.Send(HttpMethod.Post, Draft("/undo")), HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task Two_changes_at_the_same_moment_are_both_there_afterwards()
    {
        var deputy = await school.As("deputy");
        await Task.WhenAll(
            Send(lead, 1, "move", new MoveRung(Id(9), Id(3))),
            Send(deputy, 1, "move", new MoveRung(Id(40), Id(35))),
            Send(lead, 1, "stage", new NameStage(Id(60), "Mine"))
        );
        var now = await lead.Get<LadderView>(Draft());
        Assert.Equal((4, 3), (now.Draft!.Version, now.Draft.Changes));
    }

    [Fact]
    public async Task A_trial_says_what_would_happen_and_changes_nothing()
    {
        var planned = await lead.Open(school.Otters, TestSchool.Today);
        var at = begun.Rungs.ToList().FindIndex(r => r.Id == planned.RungId);
        var trial = await TestClient.Read<TrialView>(
            await lead.Send(
                HttpMethod.Post,
                Draft("/trials"),
                new LadderTrial([new MoveRung(planned.RungId, Id(at + 20))])
            )
        );
        Assert.Equal(begun.Rungs[at + 1].Label, Assert.Single(trial.Lessons).Expected);
        Assert.True(trial.Later.Count > 0 && trial.Later.Examples.All(m => m.After > m.Before));
        Assert.Equal(begun.Rungs.Count, trial.Rungs.Count);
        Assert.Equal(1, (await lead.Get<LadderView>(Draft())).Draft!.Version);
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, Draft("/trials"), new LadderTrial([new MoveRung("nowhere", null)])),
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_broken_rule_is_named_on_its_rung_and_the_best_place_is_offered()
    {
        var k = begun.Rungs.ToList().FindIndex(r => r.Label == "u-e u-e");
        var broken = await Do(lead, 1, new MoveRung(Id(k), Id(0)));
        Assert.Contains(broken.Rungs.Single(r => r.Id == Id(k)).Warnings, w => w.Code == "approach-left");
        var places = await lead.Get<PlacesView>(Draft($"/rungs/{Uri.EscapeDataString(Id(k))}/places"));
        Assert.Equal(begun.Rungs.Count, places.Places.Count);
        Assert.True(places.Best!.To > 20 && places.Best.Fixes.Count > 0);
        var suggestions = await lead.Get<List<MoveView>>(Draft("/suggestions"));
        Assert.Contains(suggestions, s => s.RungId == Id(k));
        var mended = await TestClient.Read<LadderView>(
            await Send(lead, 2, "suggestion", new MoveRung(Id(k), places.Best.After))
        );
        Assert.DoesNotContain(mended.Rungs, r => r.Warnings.Any(w => w.Code == "approach-left"));
    }

    [Fact]
    public async Task A_draft_is_published_under_a_name_and_groups_follow_when_they_are_moved()
    {
        await Do(lead, 1, new MoveRung(Id(50), Id(40)), new PlaceTricky("people", Id(45)));
        var published = await TestClient.Read<LadderView>(
            await lead.Send(
                HttpMethod.Post,
                Draft("/publication"),
                new PublishRequest("After the spring review", [school.Otters]),
                version: 2
            )
        );
        Assert.Equal((2, 0, false), (published.Version, published.Draft!.Changes, published.Draft.CanUndo));
        var groups = await lead.Get<List<GroupView>>($"/api/schools/{school.School}/groups");
        Assert.Equal([("Kestrels", 1), ("Otters", 2)], groups.Select(g => (g.Name, g.LadderVersion)));
        var history = await lead.Get<HistoryView>(Path("/history"));
        Assert.Equal(
            [(2, "After the spring review", "lead"), (1, "", null)],
            history.Versions.Select(v => (v.Version, v.Name, v.By))
        );
        var lines = await lead.Get<List<Core.Lessons.Reason>>(Path("/versions/1/difference?to=2"));
        Assert.Equal(["moved", "tricky-placed"], lines.Select(l => l.Code));

        // The old version comes back as a change that can be undone.
        var restored = await TestClient.Read<LadderView>(
            await lead.Send(HttpMethod.Post, Draft("/restoration"), new RestoreRequest(1))
        );
        Assert.Equal(Order(begun), Order(restored));
        Assert.Equal(2, restored.Draft!.Changes);
        Assert.Equal("restore", Assert.Single((await lead.Get<HistoryView>(Path("/history"))).Changes).Name);
        Assert.Equal(
            HttpStatusCode.NoContent,
            (
                await lead.Send(
                    HttpMethod.Post,
                    $"/api/schools/{school.School}/groups/{school.Kestrels}/ladder",
                    new MoveGroupRequest(school.Ladder, 2),
                    version: 1
                )
            ).StatusCode
        );
    }

    [Theory]
    [InlineData("letters-first", 1, 124)]
    [InlineData("sounds-first", 1, 152)]
    [InlineData("short-vowels-first", 1, 125)]
    [InlineData("blank", 0, 0)]
    public async Task A_new_ladder_starts_from_a_shipped_one_or_from_nothing(string from, int version, int rungs)
    {
        var id = Guid.CreateVersion7();
        var ladders = $"/api/schools/{school.School}/ladders";
        var made = await TestClient.Read<LadderSummary>(
            await lead.Send(HttpMethod.Post, ladders, new NewLadder(id, "Ours", from))
        );
        Assert.Equal(version, made.LatestVersion);
        Assert.Equal(
            made,
            await TestClient.Read<LadderSummary>(
                await lead.Send(HttpMethod.Post, ladders, new NewLadder(id, "Ours", from))
            )
        );
        var draft = await TestClient.Read<LadderView>(await lead.Send(HttpMethod.Put, $"{ladders}/{id}/draft"));
        Assert.Equal(rungs, draft.Rungs.Count);
        Assert.All(draft.Rungs, r => Assert.Empty(r.Warnings));
        if (rungs > 0)
            return;
        Assert.Equal("empty-ladder", Assert.Single(draft.Problems).Code);
        await TestClient.Problem(
            await lead.Send(
                HttpMethod.Post,
                $"{ladders}/{id}/draft/publication",
                new PublishRequest("None", []),
                version: 1
            ),
            HttpStatusCode.UnprocessableEntity
        );
        var one = await TestClient.Read<LadderView>(
            await lead.Send(
                HttpMethod.Post,
                $"{ladders}/{id}/draft/changes",
                new LadderEdit("add", [new InsertRung(new RungDocument("m=m", "Start", ["m=m"], [], []), null)]),
                version: 1
            )
        );
        Assert.Equal("one-rung", Assert.Single(one.Problems).Code);
    }

    [Fact]
    public async Task What_can_not_be_done_is_refused_with_a_sentence()
    {
        foreach (
            var (status, steps) in new (HttpStatusCode, LadderStep[])[]
            {
                (HttpStatusCode.UnprocessableEntity, []),
                (HttpStatusCode.UnprocessableEntity, [new MoveRung("nowhere", null)]),
                (HttpStatusCode.UnprocessableEntity, [new PlaceTricky("qqxz", Id(3))]),
                (HttpStatusCode.UnprocessableEntity, [new NameStage(Id(3), " ")]),
            }
        )
        {
            var problem = await TestClient.Problem(await Send(lead, 1, "move", steps), status);
            Assert.EndsWith(".", problem.GetProperty("detail").GetString(), StringComparison.Ordinal);
        }
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, Draft("/changes"), new LadderEdit("move", [])),
            HttpStatusCode.PreconditionRequired
        );
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, Draft("/publication"), new PublishRequest("x", []), version: 9),
            HttpStatusCode.Conflict
        );
        await TestClient.Problem(
            await lead.Send(
                HttpMethod.Post,
                $"/api/schools/{school.School}/ladders",
                new NewLadder(Guid.NewGuid(), "Ours", "elsewhere")
            ),
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task Four_hundred_rungs_and_a_calendar_without_a_teaching_day_have_a_sentence()
    {
        var steps = Enumerable
            .Range(0, 400 - begun.Rungs.Count)
            .Select(i => (LadderStep)new InsertRung(new RungDocument($"more-{i}", "More", ["sh=ʃ"], [], []), null))
            .ToArray();
        var full = await Do(lead, 1, steps);
        Assert.Equal(("very-long", "400"), (full.Problems.Single().Code, full.Problems.Single().Arguments[0]));
        Assert.Contains(full.Rungs.Single(r => r.Id == "sh=ʃ").Warnings, w => w.Code == "taught-twice");
        await school.AsOwner(s => s.Terms.Where(t => t.SchoolId == school.School).ExecuteDeleteAsync());
        Assert.Contains((await lead.Get<LadderView>(Path("/versions/1"))).Problems, p => p.Code == "no-teaching-day");
        Assert.All((await lead.Get<LadderDatesView>(Path("/versions/1/dates"))).Groups, g =>
            Assert.Equal((0, true), (g.Planned.Count, g.Spare < 0))
        );
    }

    [Fact]
    public async Task Tricky_words_say_when_they_become_readable_and_which_part_is_tricky()
    {
        var tricky = await lead.Get<TrickyWordsView>(Draft("/tricky-words"));
        var the = tricky.Placed.Single(t => t.Word == "the");
        Assert.True(the.Readable > the.Rung);
        Assert.Contains("th", the.Part);
        Assert.Equal(begun.Rungs.Sum(r => r.Tricky.Count), tricky.Placed.Count);
        var without = await Do(lead, 1, new PlaceTricky("the", null));
        Assert.DoesNotContain(without.Rungs, r => r.Tricky.Contains("the"));
        Assert.Contains((await lead.Get<TrickyWordsView>(Draft("/tricky-words"))).Suggested, t => t.Word == "the");
    }
}
