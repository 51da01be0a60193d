using System.Net;
using System.Text;
using BoldLadder.School.Children;
using BoldLadder.School.Jobs;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Children: who sees them, how they come in, how they go. Source: docs/handbook.md, section 10.</summary>
public sealed class ChildrenTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        school.Serve(("Jobs", "true"));
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest) => $"/api/schools/{school.School}/children{rest}";

    private static ChildFile Pasted(string text, Guid? group) =>
        new(Encoding.UTF8.GetBytes(text), true, null, group, []);

    private static ChildFile Table(string text) => new(Encoding.UTF8.GetBytes(text), false, null, null, []);

    private async Task<ImportPreview> Look(ChildFile file) =>
        await TestClient.Read<ImportPreview>(await lead.Send(HttpMethod.Post, At("/imports/look"), file));

    private async Task<JobView> TakeIn(ChildFile file, params LineChoice[] choices)
    {
        var id = Guid.NewGuid();
        var answer = await lead.Send(HttpMethod.Post, At("/imports"), new ImportRequest(id, file, choices));
        await TestClient.Read<JobView>(answer);
        return await Ended(id);
    }

    private async Task<JobView> Ended(Guid id)
    {
        for (var i = 0; i < 300; i++)
        {
            var job = (await lead.Get<List<JobView>>($"/api/schools/{school.School}/jobs")).Single(j => j.Id == id);
            if (job.EndedAt is not null)
                return job;
            await Task.Delay(100);
        }
        throw new TimeoutException("The job did not end.");
    }

    private async Task<IReadOnlyList<ChildView>> Children(TestClient? who = null) =>
        (await (who ?? lead).Get<ChildrenView>(At(""))).Children;

    [Fact]
    public async Task A_pasted_column_of_names_comes_in_and_the_same_again_is_asked_about()
    {
        var looked = await Look(Pasted("Aisha Begum\n\nTom\n12\nTom", school.Otters));
        Assert.Equal(
            [
                (1, "Aisha B", ImportState.New, ImportChoice.Add),
                (3, "Tom", ImportState.New, ImportChoice.Add),
                (4, "", ImportState.Unreadable, ImportChoice.Skip),
                (5, "Tom", ImportState.Twice, ImportChoice.Skip),
            ],
            looked.Lines.Select(l => (l.Line, l.Name, l.State, l.Usual))
        );
        Assert.Empty(await Children());
        var job = await TakeIn(
            Pasted("Aisha Begum\n\nTom\n12\nTom", school.Otters),
            new LineChoice(5, ImportChoice.Add)
        );
        Assert.Equal((JobState.Done, 3), (job.State, job.Done));
        Assert.Equal(["Aisha B", "Tom", "Tom"], (await Children()).Select(c => c.Name));
        Assert.All(await Children(), c => Assert.Equal((school.Otters, TestSchool.Today), (c.GroupId, c.Since)));

        var again = await Look(Pasted("Aisha B\nTom\nTom\nTom", school.Kestrels));
        Assert.Equal(
            [ImportState.Elsewhere, ImportState.Elsewhere, ImportState.Twice, ImportState.Twice],
            again.Lines.Select(l => l.State)
        );
        Assert.Equal(
            [ImportState.Here, ImportState.Here, ImportState.New],
            (await Look(Pasted("Aisha B\ntom\nBo", school.Otters))).Lines.Select(l => l.State)
        );
        await TakeIn(Pasted("Aisha B\nTom", school.Kestrels), new LineChoice(2, ImportChoice.Skip));
        var moved = (await Children()).Where(c => c.GroupId == school.Kestrels);
        Assert.Equal("Aisha B", Assert.Single(moved).Name);
        Assert.Equal(3, (await Children()).Count);
    }

    [Fact]
    public async Task A_table_goes_into_its_groups_and_says_what_it_left_out()
    {
        const string text = "Forename;Surname;Born;Class\nAisha;Begum;2021-05-06;otters\nBo;Lind;;Class 7\n";
        var looked = await Look(Table(text));
        Assert.Equal(["Born"], looked.LeftOut);
        Assert.Equal([school.Otters, null], looked.Groups.Select(g => g.GroupId));
        await TakeIn(Table(text) with { Groups = [new GroupMeant("Class 7", school.Kestrels)] });
        Assert.Equal(
            [("Aisha B", (Guid?)school.Otters), ("Bo L", school.Kestrels)],
            (await Children()).Select(c => (c.Name, c.GroupId))
        );
        var kept = await school.AsOwner(s =>
            s.Database.SqlQuery<string>($"select jobs::text as \"Value\" from jobs").ToListAsync()
        );
        Assert.All(kept, row => Assert.DoesNotContain("Begum", row, StringComparison.Ordinal));
    }

    [Fact]
    public async Task Five_thousand_rows_come_in_whole_with_progress()
    {
        var text = "name,class\n" + string.Concat(Enumerable.Range(0, 5000).Select(i => $"{Name(i)},Otters\n"));
        var job = await TakeIn(Table(text));
        Assert.Equal((JobState.Done, 5000, 5000), (job.State, job.Done, job.Total));
        Assert.Equal(5000, (await Children()).Count);

        static string Name(int i) => $"{(char)('A' + (i % 26))}{(char)('a' + (i / 26 % 26))}{(char)('a' + (i / 676))}";
    }

    [Fact]
    public async Task A_file_that_can_not_be_read_is_refused_and_nothing_comes_in()
    {
        Assert.Equal(
            "not-a-table",
            await Code(
                await lead.Send(
                    HttpMethod.Post,
                    At("/imports/look"),
                    new ChildFile([0x89, .. "PNG"u8], false, null, null, [])
                )
            )
        );
        Assert.Equal(
            "nobody-in-file",
            await Code(await lead.Send(HttpMethod.Post, At("/imports/look"), Pasted(" \n", null)))
        );
        Assert.Equal(
            "unknown-group",
            await Code(
                await lead.Send(HttpMethod.Post, At("/imports/look"), Pasted("Bo", Guid.NewGuid())),
                HttpStatusCode.NotFound
            )
        );
        Assert.Empty(await Children());
        Assert.Empty(await lead.Get<List<JobView>>($"/api/schools/{school.School}/jobs"));
    }

    [Fact]
    public async Task Who_takes_a_group_sees_its_children_and_says_who_is_away_and_no_more()
    {
        await TakeIn(Pasted("Aisha", school.Otters));
        await TakeIn(Pasted("Bo", school.Kestrels));
        await TakeIn(Pasted("Cy", null));
        var teacher = await school.As("teacher");
        var aisha = Assert.Single(await Children(teacher));
        Assert.Equal("Aisha", aisha.Name);
        var away = new AwayChange(TestSchool.Today, true);
        var answer = await teacher.Send(HttpMethod.Post, At($"/{aisha.Id}/away"), away);
        Assert.True((await TestClient.Read<ChildrenView>(answer)).Children.Single().IsAway);
        await teacher.Send(HttpMethod.Post, At($"/{aisha.Id}/away"), away with { IsAway = false });
        Assert.False((await Children(teacher)).Single().IsAway);
        var bo = (await Children()).Single(c => c.Name == "Bo");
        Assert.Equal(
            "unknown-child",
            await Code(await teacher.Send(HttpMethod.Post, At($"/{bo.Id}/away"), away), HttpStatusCode.NotFound)
        );
        foreach (
            var refused in new[]
            {
                await teacher.Send(HttpMethod.Post, At($"/{aisha.Id}"), new ChildChange("Anna", school.Otters, null)),
                await teacher.Send(HttpMethod.Post, At("/imports/look"), Pasted("Bo", school.Otters)),
                await teacher.Send(HttpMethod.Post, At($"/{aisha.Id}/export")),
                await teacher.Send(HttpMethod.Delete, At($"/{aisha.Id}")),
            }
        )
            Assert.Equal("lead-only", await Code(refused, HttpStatusCode.Forbidden));
        Assert.Equal(3, (await Children(await school.As("head"))).Count);
    }

    [Fact]
    public async Task A_child_is_in_a_group_from_a_day_to_a_day()
    {
        await TakeIn(Pasted("Aisha", school.Otters));
        var aisha = (await Children()).Single();
        await Change(new ChildChange("Aisha K", school.Kestrels, TestSchool.Today.AddDays(7)));
        Assert.Equal(
            ("Aisha K", school.Otters),
            ((await Children()).Single().Name, (await Children()).Single().GroupId)
        );
        var record = await Export();
        Assert.Equal(
            [
                ("Otters", TestSchool.Today, (DateOnly?)TestSchool.Today.AddDays(6)),
                ("Kestrels", TestSchool.Today.AddDays(7), null),
            ],
            record.Groups.Select(g => (g.Group, g.First, g.Last))
        );
        // Back to where it was: what was planned goes.
        await Change(new ChildChange("Aisha K", school.Otters, TestSchool.Today.AddDays(7)));
        Assert.Equal(
            ("Otters", (DateOnly?)null),
            ((await Export()).Groups.Single().Group, (await Export()).Groups.Single().Last)
        );
        await Change(new ChildChange("Aisha K", null, null));
        Assert.Null((await Children()).Single().GroupId);
        Assert.Empty((await Export()).Groups);
        Assert.Equal(
            "bad-child-name",
            await Code(await lead.Send(HttpMethod.Post, At($"/{aisha.Id}"), new ChildChange("Aisha Khan", null, null)))
        );

        async Task Change(ChildChange wanted) =>
            await TestClient.Read<ChildrenView>(await lead.Send(HttpMethod.Post, At($"/{aisha.Id}"), wanted));

        async Task<ChildRecord> Export() =>
            await TestClient.Read<ChildRecord>(await lead.Send(HttpMethod.Post, At($"/{aisha.Id}/export")));
    }

    [Fact]
    public async Task Erasing_a_child_leaves_no_name_anywhere_and_gives_a_receipt()
    {
        await TakeIn(Pasted("Quillon", school.Otters));
        var child = (await Children()).Single();
        await lead.Send(HttpMethod.Post, At($"/{child.Id}/away"), new AwayChange(TestSchool.Today, true));
        var receipt = await TestClient.Read<ErasureReceipt>(await lead.Send(HttpMethod.Delete, At($"/{child.Id}")));
        Assert.Equal((child.Id, 3L), (receipt.Number, receipt.Rows));
        Assert.Empty(await Children());
        Assert.Equal(
            "unknown-child",
            await Code(await lead.Send(HttpMethod.Delete, At($"/{child.Id}")), HttpStatusCode.NotFound)
        );
        var rows = await school.AsOwner(s =>
            s.Database.SqlQuery<string>(
                    $"""
                    select query_to_xml('select * from ' || quote_ident(table_name), true, false, '')::text as "Value"
                    from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'
                    """
                )
                .ToListAsync()
        );
        Assert.All(rows, r => Assert.DoesNotContain("Quillon", r, StringComparison.Ordinal));
        Assert.Contains(rows, r => r.Contains("child-erased", StringComparison.Ordinal));
    }

    [Fact]
    public async Task Export_and_erasure_ask_again_who_is_at_work()
    {
        await TakeIn(Pasted("Aisha", school.Otters));
        var child = (await Children()).Single();
        await school.AsOwner(s =>
            s.UserSessions.ExecuteUpdateAsync(u => u.SetProperty(x => x.ConfirmedAt, DateTime.UtcNow.AddMinutes(-11)))
        );
        Assert.Equal(
            "confirm-first",
            await Code(await lead.Send(HttpMethod.Post, At($"/{child.Id}/export")), HttpStatusCode.Forbidden)
        );
        Assert.Equal(
            "confirm-first",
            await Code(await lead.Send(HttpMethod.Delete, At($"/{child.Id}")), HttpStatusCode.Forbidden)
        );
        Assert.Single(await Children());
        Assert.Equal(
            "wrong-password",
            await Code(
                await lead.Send(HttpMethod.Post, "/api/account/confirmation", new { password = "not-this-one-at-all" })
            )
        );
        Assert.Equal(
            "confirm-first",
            await Code(await lead.Send(HttpMethod.Delete, At($"/{child.Id}")), HttpStatusCode.Forbidden)
        );
        (
            await lead.Send(HttpMethod.Post, "/api/account/confirmation", new { password = TestSchool.Password })
        ).EnsureSuccessStatusCode();
        await TestClient.Read<ErasureReceipt>(await lead.Send(HttpMethod.Delete, At($"/{child.Id}")));
    }

    private static async Task<string> Code(
        HttpResponseMessage answer,
        HttpStatusCode status = HttpStatusCode.UnprocessableEntity
    ) => (await TestClient.Problem(answer, status)).GetProperty("type").GetString()!["bold:".Length..];
}
