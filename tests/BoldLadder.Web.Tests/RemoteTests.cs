using System.Net;
using System.Text.Json;
using BoldLadder.School.Lessons;
using BoldLadder.School.Remote;
using Microsoft.AspNetCore.Http.Connections;
using Microsoft.AspNetCore.SignalR.Client;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>A phone that leads a board over the server. Source: docs/board.md (the phone).</summary>
public sealed class RemoteTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;
    private LessonView lesson = null!;
    private readonly List<HubConnection> links = [];

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
        lesson = await lead.Open(school.Otters, TestSchool.Today);
    }

    public async Task DisposeAsync()
    {
        foreach (var link in links)
            await link.DisposeAsync();
        await school.DisposeAsync();
    }

    private async Task<RemoteView> Open() =>
        await TestClient.Read<RemoteView>(await lead.Send(HttpMethod.Post, lead.Lesson(lesson.Id) + "/remote"));

    private async Task<HubConnection> Link()
    {
        var link = new HubConnectionBuilder()
            .WithUrl(new Uri(school.App.Server.BaseAddress, "/link/remote"), options =>
            {
                options.Transports = HttpTransportType.LongPolling;
                options.HttpMessageHandlerFactory = _ => school.App.Server.CreateHandler();
            })
            .Build();
        links.Add(link);
        await link.StartAsync();
        return link;
    }

    private static Task<string> Next(HubConnection link, string method)
    {
        var heard = new TaskCompletionSource<string>();
        if (method == "said")
            link.On<JsonElement>(method, message => heard.TrySetResult(message.GetProperty("is").GetString()!));
        else
            link.On(method, () => heard.TrySetResult(method));
        return heard.Task.WaitAsync(TimeSpan.FromSeconds(20));
    }

    [Fact]
    public async Task A_phone_comes_in_by_the_code_once_leads_comes_back_and_is_out_when_the_lesson_is_over()
    {
        var opened = await Open();
        Assert.Matches("^[0-9]{6}$", opened.Code);
        var (board, phone) = (await Link(), await Link());
        Assert.True(await board.InvokeAsync<bool>("Board", opened.Token));
        var joined = Next(board, "joined");
        var key = await phone.InvokeAsync<string?>("Phone", opened.Code[..3] + " " + opened.Code[3..]);
        Assert.NotNull(key);
        await joined;
        // The code is used up.
        Assert.Null(await (await Link()).InvokeAsync<string?>("Phone", opened.Code));

        var (atBoard, atPhone) = (Next(board, "said"), Next(phone, "said"));
        await phone.InvokeAsync("Say", new { Is = "event" });
        Assert.Equal("event", await atBoard);
        await board.InvokeAsync("Say", new { Is = "state" });
        Assert.Equal("state", await atPhone);

        // The phone's link was lost: it comes back by its key, not by the code.
        await phone.StopAsync();
        var again = await Link();
        Assert.Equal(key, await again.InvokeAsync<string?>("Phone", key));
        var over = Next(again, "over");
        // A phone ends nothing; the board does.
        await again.InvokeAsync("End");
        Assert.True(await (await Link()).InvokeAsync<bool>("Board", opened.Token));
        await board.InvokeAsync("End");
        await over;
        Assert.Null(await (await Link()).InvokeAsync<string?>("Phone", key));
        Assert.False(await (await Link()).InvokeAsync<bool>("Board", opened.Token));
    }

    [Fact]
    public async Task Who_guesses_codes_or_says_too_much_is_put_out_and_a_new_code_ends_the_one_before()
    {
        var first = await Open();
        var second = await Open();
        Assert.Null(await (await Link()).InvokeAsync<string?>("Phone", first.Code == second.Code ? "x" : first.Code));
        var guesser = await Link();
        var closed = new TaskCompletionSource();
        guesser.Closed += _ =>
        {
            closed.TrySetResult();
            return Task.CompletedTask;
        };
        for (var i = 0; i < 5; i++)
        {
            try
            {
                Assert.Null(await guesser.InvokeAsync<string?>("Phone", "wrong"));
            }
            catch (Exception) when (i == 4)
            {
                // The fifth answer may be lost with the link.
            }
        }
        await closed.Task.WaitAsync(TimeSpan.FromSeconds(20));

        var phone = await Link();
        Assert.NotNull(await phone.InvokeAsync<string?>("Phone", second.Code));
        var loud = new TaskCompletionSource();
        phone.Closed += _ =>
        {
            loud.TrySetResult();
            return Task.CompletedTask;
        };
        await phone.SendAsync("Say", new { Is = "event", Much = new string('x', 5000) });
        await loud.Task.WaitAsync(TimeSpan.FromSeconds(20));
    }

    [Fact]
    public async Task Only_who_teaches_the_group_opens_it()
    {
        var theirs = await lead.Open(school.Kestrels, TestSchool.Today);
        var teacher = await school.As("teacher");
        foreach (var (id, status) in new[] { (lesson.Id, HttpStatusCode.OK), (theirs.Id, HttpStatusCode.NotFound) })
        {
            var answer = await teacher.Send(HttpMethod.Post, teacher.Lesson(id) + "/remote");
            Assert.Equal(status, answer.StatusCode);
        }
    }
}
