using System.Net;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Words;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.Web.Session;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>The school's own settings change what they promise, and nothing that they can't be is kept.</summary>
public sealed class SchoolSettingsTests : IAsyncLifetime
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

    private async Task<HttpResponseMessage> Save(Func<SchoolRequest, SchoolRequest> change, string? stamp = null)
    {
        var now = await lead.Get<SchoolView>(At("settings"));
        return await lead.Send(HttpMethod.Post, At("settings"), change(now.Settings), stamp: stamp ?? now.Stamp);
    }

    private async Task<Suitability> Of(string word) => (await lead.Get<WordView>(At($"words/{word}"))).Suitability;

    [Fact]
    public async Task The_spelling_decides_which_words_a_school_is_shown()
    {
        Assert.Equal(Suitability.Use, await Of("mum"));
        (await Save(s => s with { Spelling = "en-US" })).EnsureSuccessStatusCode();
        Assert.Equal((Suitability.Ask, Suitability.Use), (await Of("mum"), await Of("mom")));
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        Assert.DoesNotContain(
            "mum",
            lesson.Lesson.Activities.SelectMany(a => a.Items).SelectMany(ReadByChildren.Words)
        );
        (await Save(s => s with { Spelling = "en-GB" })).EnsureSuccessStatusCode();
        Assert.Equal(Suitability.Use, await Of("mum"));
    }

    [Fact]
    public async Task Name_zone_language_and_paper_are_seen_by_whoever_comes_next()
    {
        (
            await Save(s =>
                s with
                {
                    Name = "  Harbour Lane ",
                    TimeZone = "Pacific/Auckland",
                    Language = "en-US",
                    PaperSize = "Letter",
                }
            )
        ).EnsureSuccessStatusCode();
        var seen = (await (await school.As("teacher")).Get<SessionView>("/api/session")).Schools.Single();
        Assert.Equal(("Harbour Lane", "en-US", "Letter"), (seen.Name, seen.Language, seen.PaperSize));
    }

    [Fact]
    public async Task What_can_not_be_is_refused_and_so_is_what_someone_else_changed()
    {
        foreach (
            var change in new Func<SchoolRequest, SchoolRequest>[]
            {
                s => s with { Name = " " },
                s => s with { TimeZone = "Nowhere/Land" },
                s => s with { Language = "fr-FR" },
                s => s with { Spelling = "fr-FR" },
                s => s with { PaperSize = "A3" },
            }
        )
            await TestClient.Problem(await Save(change), HttpStatusCode.UnprocessableEntity);
        var before = (await lead.Get<SchoolView>(At("settings"))).Stamp;
        (await Save(s => s with { Name = "Another" })).EnsureSuccessStatusCode();
        await TestClient.Problem(await Save(s => s with { Name = "Mine" }, before), HttpStatusCode.Conflict);
        var teacher = await school.As("teacher");
        var view = await teacher.Get<SchoolView>(At("settings"));
        await TestClient.Problem(
            await teacher.Send(HttpMethod.Post, At("settings"), view.Settings, stamp: view.Stamp),
            HttpStatusCode.Forbidden
        );
    }
}
