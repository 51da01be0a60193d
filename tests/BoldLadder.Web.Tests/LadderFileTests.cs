using System.Net;
using System.Text;
using BoldLadder.Core.Ladders;
using BoldLadder.Formats.Ladders;
using BoldLadder.School.Ladders;
using BoldLadder.School.Words;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Ladders in and out: what a school has written down goes in, what is here goes out and comes back.</summary>
public sealed class LadderFileTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest) => $"/api/schools/{school.School}/{rest}";

    private string Ladder(string rest) => At($"ladders/{school.Ladder}/{rest}");

    private async Task<byte[]> File(string kind)
    {
        var answer = await lead.Send(HttpMethod.Get, Ladder($"versions/1/file?kind={kind}"));
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return await answer.Content.ReadAsByteArrayAsync();
    }

    [Fact]
    public async Task An_order_of_a_hundred_lines_goes_in_and_doubts_are_asked_with_two_choices()
    {
        var read = await TestClient.Read<List<PastedRung>>(
            await lead.Send(
                HttpMethod.Post,
                At("orders/look"),
                new PastedOrder("1. s\nm, t | the\nth\nwhat now?\nai as in rain\n-ed")
            )
        );
        Assert.Equal([1, 2, 3, 4, 5, 6], read.Select(r => r.Line));
        var doubt = Assert.Single(read[2].Parts);
        Assert.Equal(["th=θ", "th=ð"], doubt.Meanings.Select(m => m.Notation).OrderDescending());
        Assert.All(doubt.Meanings, m => Assert.NotEmpty(m.Words));
        Assert.NotEmpty(read[3].Unread);
        Assert.Equal(["suffix-ed"], read[5].Patterns);

        var settled = read.Where(r => r.Unread.Count == 0)
            .Select(r => new OrderedRung([.. r.Parts.Select(p => p.Meanings[^1].Notation)], r.Patterns, r.Tricky))
            .ToList();
        var wanted = new OrderedLadder(Guid.NewGuid(), "Our old order", settled);
        await TestClient.Read<LadderSummary>(await lead.Send(HttpMethod.Post, At("orders"), wanted));
        await TestClient.Read<LadderSummary>(await lead.Send(HttpMethod.Post, At("orders"), wanted));
        var draft = await lead.Get<LadderView>(At($"ladders/{wanted.Id}/draft"));
        Assert.Equal(["s", "m t", "th", "ai", "suffix-ed"], draft.Rungs.Select(r => r.Label));
        Assert.Equal(["the"], draft.Rungs[1].Tricky);
    }

    [Theory]
    [InlineData("csv")]
    [InlineData("json")]
    public async Task A_ladder_that_was_saved_reads_back_as_it_was(string kind)
    {
        await lead.Send(HttpMethod.Put, Ladder("draft"));
        var file = await File(kind);
        var same = await TestClient.Read<LadderFileView>(
            await lead.Send(HttpMethod.Post, Ladder("draft/file/look"), new LadderFile(file))
        );
        Assert.Empty(same.Lines);
        Assert.Empty(same.Problems);
        Assert.Equal(
            "nothing-to-do",
            await Code(await lead.Send(HttpMethod.Post, Ladder("draft/file"), new LadderFile(file), version: 1))
        );
    }

    [Fact]
    public void Every_shipped_ladder_comes_back_from_its_table()
    {
        foreach (var ladder in school.App.Services.GetRequiredService<WordData>().Ladders.Values)
        {
            var (rungs, problems) = LadderCsv.Read(LadderCsv.Write(ladder));
            Assert.Empty(problems);
            Assert.Equal(LadderDocument.Write(ladder), LadderDocument.Write(ladder with { Rungs = rungs }));
        }
    }

    [Fact]
    public async Task An_edited_table_says_what_it_changes_and_can_be_undone()
    {
        var begun = await TestClient.Read<LadderView>(await lead.Send(HttpMethod.Put, Ladder("draft")));
        var lines = Encoding.UTF8.GetString(await File("csv")).TrimStart('\uFEFF').Split("\r\n").ToList();
        // A line goes up by one, one goes, a new one comes.
        (lines[3], lines[4]) = (lines[4], lines[3]);
        lines.RemoveAt(10);
        lines.Insert(12, ",own,ph=f,,,,,");
        var edited = new LadderFile(Encoding.UTF8.GetBytes(string.Join("\r\n", lines)));
        var looked = await TestClient.Read<LadderFileView>(
            await lead.Send(HttpMethod.Post, Ladder("draft/file/look"), edited)
        );
        Assert.NotEmpty(looked.Lines);
        var after = await TestClient.Read<LadderView>(
            await lead.Send(HttpMethod.Post, Ladder("draft/file"), edited, version: begun.Draft!.Version)
        );
        Assert.Equal(begun.Rungs[3].Id, after.Rungs[2].Id);
        Assert.Equal("ph", after.Rungs[11].Label);
        var undone = await TestClient.Read<LadderView>(
            await lead.Send(HttpMethod.Post, Ladder("draft/undo"), version: after.Draft!.Version)
        );
        Assert.Equal(begun.Rungs.Select(r => r.Id), undone.Rungs.Select(r => r.Id));
    }

    [Fact]
    public async Task What_can_not_be_read_in_a_table_is_said_line_by_line_and_nothing_is_changed()
    {
        await lead.Send(HttpMethod.Put, Ladder("draft"));
        var broken = new LadderFile(
            """
            rung,stage,teaches,patterns,kind
            x,own,sh=zz,,
            y,own,s=s,no-such,
            y,own,t=t,,
            z,own,p=p,,party
            """u8.ToArray()
        );
        var looked = await TestClient.Read<LadderFileView>(
            await lead.Send(HttpMethod.Post, Ladder("draft/file/look"), broken)
        );
        Assert.Equal(
            [(2, "teaches"), (3, "patterns"), (4, "rung"), (5, "kind")],
            looked.Problems.Select(p => (p.Line, p.Column))
        );
        Assert.Equal(
            "ladder-line",
            await Code(await lead.Send(HttpMethod.Post, Ladder("draft/file"), broken, version: 1))
        );
        foreach (
            var (content, code) in new[]
            {
                ("a,b\n1,2\n", "ladder-column"),
                ("{\"format\":9}", "not-a-ladder"),
                ("\u0089PNG", "ladder-column"),
            }
        )
            Assert.Equal(
                code,
                await Code(
                    await lead.Send(
                        HttpMethod.Post,
                        Ladder("draft/file/look"),
                        new LadderFile(Encoding.UTF8.GetBytes(content))
                    )
                )
            );
    }

    private static async Task<string> Code(
        HttpResponseMessage answer,
        HttpStatusCode status = HttpStatusCode.UnprocessableEntity
    ) => (await TestClient.Problem(answer, status)).GetProperty("type").GetString()!["bold:".Length..];
}
