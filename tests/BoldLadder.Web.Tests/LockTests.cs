using System.Net;
using BoldLadder.School.Groups;
using BoldLadder.School.People;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>
/// A locked screen opens nothing until its person shows who they are. Source: docs/handbook.md, section 10.
/// </summary>
public sealed class LockTests : IAsyncLifetime
{
    private const string Pin = "4071";
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string Groups => $"/api/schools/{school.School}/groups";

    private async Task Lock() => (await lead.Send(HttpMethod.Post, "/api/account/lock")).EnsureSuccessStatusCode();

    private Task<HttpResponseMessage> Unlock(string secret) =>
        lead.Send(HttpMethod.Post, "/api/account/unlock", new Unlocking(secret));

    private Task<HttpResponseMessage> SetPin(string? pin, string password = TestSchool.Password) =>
        lead.Send(HttpMethod.Post, "/api/account/pin", new PinChange(password, pin));

    [Fact]
    public async Task A_locked_session_opens_nothing_and_goes_on_with_the_PIN_or_the_password()
    {
        (await SetPin(Pin)).EnsureSuccessStatusCode();
        Assert.True((await lead.Get<AccountView>("/api/account")).HasPin);
        foreach (var secret in new[] { Pin, TestSchool.Password })
        {
            await Lock();
            Assert.Equal(HttpStatusCode.Unauthorized, (await lead.Send(HttpMethod.Get, Groups)).StatusCode);
            Assert.Equal(
                HttpStatusCode.Unauthorized,
                (await lead.Send(HttpMethod.Put, lead.Lesson(school.Otters, TestSchool.Today))).StatusCode
            );
            Assert.Equal(HttpStatusCode.Unauthorized, (await lead.Send(HttpMethod.Get, "/api/account")).StatusCode);
            Assert.Equal(HttpStatusCode.NoContent, (await lead.Send(HttpMethod.Get, "/api/session")).StatusCode);
            Assert.Equal("wrong-secret", await Code(await Unlock("0000"), HttpStatusCode.UnprocessableEntity));
            (await Unlock(secret)).EnsureSuccessStatusCode();
            Assert.NotEmpty(await lead.Get<List<GroupView>>(Groups));
        }
    }

    [Fact]
    public async Task After_five_wrong_tries_only_signing_in_anew_helps()
    {
        (await SetPin(Pin)).EnsureSuccessStatusCode();
        await Lock();
        for (var i = 0; i < 5; i++)
            Assert.Equal("wrong-secret", await Code(await Unlock($"{i}{i}{i}7"), HttpStatusCode.UnprocessableEntity));
        Assert.Equal("locked-out", await Code(await Unlock(Pin), HttpStatusCode.Conflict));
        Assert.Equal("locked-out", await Code(await Unlock(TestSchool.Password), HttpStatusCode.Conflict));
        (await lead.Send(HttpMethod.Delete, "/api/session")).EnsureSuccessStatusCode();
        Assert.NotEmpty(await (await school.As("lead")).Get<List<GroupView>>(Groups));
    }

    [Fact]
    public async Task A_PIN_signs_nobody_in_locks_one_session_alone_and_takes_the_password()
    {
        Assert.Equal(
            "wrong-password",
            await Code(await SetPin(Pin, "not-this-one-at-all"), HttpStatusCode.UnprocessableEntity)
        );
        foreach (var weak in new[] { "123", "1111", "3456", "9876", "12a4", "123456789" })
            Assert.Equal("weak-pin", await Code(await SetPin(weak), HttpStatusCode.UnprocessableEntity));
        (await SetPin(Pin)).EnsureSuccessStatusCode();
        var elsewhere = await school.As("lead");
        await Lock();
        Assert.NotEmpty(await elsewhere.Get<List<GroupView>>(Groups));
        var anybody = await school.As(null);
        await TestClient.Problem(
            await anybody.Send(HttpMethod.Post, "/api/session", new { email = "lead@test.example", password = Pin }),
            HttpStatusCode.Unauthorized
        );
        (await Unlock(Pin)).EnsureSuccessStatusCode();
        (await SetPin(null)).EnsureSuccessStatusCode();
        await Lock();
        Assert.Equal("wrong-secret", await Code(await Unlock(Pin), HttpStatusCode.UnprocessableEntity));
        Assert.Contains("pin-set", await school.AsOwner(s => s.AccountEvents.Select(e => e.Action).ToListAsync()));
    }

    private static async Task<string> Code(HttpResponseMessage answer, HttpStatusCode status) =>
        (await TestClient.Problem(answer, status)).GetProperty("type").GetString()!["bold:".Length..];
}
