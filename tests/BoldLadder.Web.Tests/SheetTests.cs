using System.Net;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.School.Printing;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Sheets of paper for a day of a group. Source: docs/handbook.md, section 6 (sheets).</summary>
public sealed class SheetTests : IAsyncLifetime
{
    private TestSchool school = null!;

    public async Task InitializeAsync() => school = await TestSchool.Open();

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest = "", string day = "2026-11-24") =>
        $"/api/schools/{school.School}/groups/{school.Otters}/sheets/{day}{rest}";

    [Fact]
    public async Task A_helper_sees_which_sheets_there_are_and_gets_the_same_one_for_the_same_seed()
    {
        var helper = await school.As("helper");
        var view = await helper.Get<SheetsView>(At());
        Assert.Contains(SheetKind.ReadAndMark, view.Kinds);
        async Task<string> Words(string rest) =>
            string.Join(
                ' ',
                (await helper.Get<PaperSheet>(At($"/read-and-mark{rest}"))).Items.OfType<WordItem>().Select(w => w.Word)
            );
        Assert.Equal(await Words(""), await Words("?level=same&seed=0"));
        Assert.NotEqual(await Words(""), await Words("?seed=1"));
    }

    [Fact]
    public async Task What_can_not_be_made_says_why()
    {
        var lead = await school.As("lead");
        async Task Refused(string code, string at) =>
            Assert.Equal(
                code,
                (await TestClient.Problem(await lead.Send(HttpMethod.Get, at), HttpStatusCode.UnprocessableEntity))
                    .GetProperty("title")
                    .GetString()
            );
        await Refused("unknown-sheet", At("/colouring"));
        await Refused("unknown-sheet", At("/boxes?level=hardest"));
        await Refused("too-little-for-sheet", At("/boxes?words=xyzzy"));
        await Refused("too-many-words", At($"/boxes?words={string.Join(',', Enumerable.Range(0, 401))}"));
        await Refused("outside-calendar", At("/boxes", "2026-11-28"));
    }
}
