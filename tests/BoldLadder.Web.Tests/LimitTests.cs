using System.Diagnostics;
using System.Net;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Much at once, and much after another: answered or refused, never broken.</summary>
public sealed class LimitTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string Api(string path) => $"/api/schools/{school.School}/{path}";

    [Fact]
    public async Task Two_hundred_requests_at_once_are_answered_or_refused_with_when_to_come_back()
    {
        await lead.Open(school.Otters, TestSchool.Today);
        var lesson = lead.Lesson(school.Otters, TestSchool.Today);
        var answers = await Task.WhenAll(
            Enumerable
                .Range(0, 200)
                .Select(i =>
                    lead.Send(
                        HttpMethod.Get,
                        i % 4 == 0 ? "/api/session"
                            : i % 4 == 1 ? lesson
                            : Api("groups")
                    )
                )
        );
        foreach (var answer in answers.Where(a => a.StatusCode != HttpStatusCode.OK))
        {
            await TestClient.Problem(answer, HttpStatusCode.ServiceUnavailable);
            Assert.NotNull(answer.Headers.RetryAfter);
        }
        Assert.True(answers.Count(a => a.StatusCode == HttpStatusCode.OK) >= 100);
        // And it goes on as before.
        Assert.Equal(HttpStatusCode.OK, (await lead.Send(HttpMethod.Get, Api("groups"))).StatusCode);
    }

    [Fact]
    public async Task Health_is_asked_of_the_database_once_a_second_however_often_it_is_asked()
    {
        var answers = await Task.WhenAll(Enumerable.Range(0, 300).Select(_ => lead.Http.GetAsync("/health")));
        Assert.All(answers, a => Assert.Equal(HttpStatusCode.OK, a.StatusCode));
    }

    [Fact]
    public async Task Too_many_tries_from_one_address_are_told_when_to_come_back()
    {
        var client = await school.As(null);
        HttpResponseMessage? refused = null;
        for (var i = 0; i < 200 && refused is null; i++)
        {
            var answer = await client.Send(HttpMethod.Post, "/api/cover", new { key = "x" });
            if (answer.StatusCode == HttpStatusCode.TooManyRequests)
                refused = answer;
        }
        Assert.InRange(refused!.Headers.RetryAfter!.Delta!.Value.TotalSeconds, 1, 60);
        await TestClient.Problem(refused, HttpStatusCode.TooManyRequests);
    }

    [Fact]
    public async Task Heavy_analyses_of_one_person_wait_for_each_other_and_not_for_everyone()
    {
        await lead.Send(HttpMethod.Put, Api($"ladders/{school.Ladder}/draft"));
        var deputy = await school.As("deputy");
        var heavy = Enumerable
            .Range(0, 12)
            .Select(i =>
                lead.Send(
                    HttpMethod.Get,
                    Api($"ladders/{school.Ladder}/draft/rungs/{Uri.EscapeDataString("sh=ʃ")}/places?again={i}")
                )
            )
            .ToList();
        Assert.Equal(HttpStatusCode.OK, (await deputy.Send(HttpMethod.Get, Api("groups"))).StatusCode);
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await deputy.Send(
                    HttpMethod.Get,
                    Api($"ladders/{school.Ladder}/draft/rungs/{Uri.EscapeDataString("ch=tʃ")}/places")
                )
            ).StatusCode
        );
        var answers = await Task.WhenAll(heavy);
        Assert.Contains(answers, a => a.StatusCode == HttpStatusCode.OK);
        Assert.All(answers.Where(a => a.StatusCode != HttpStatusCode.OK), a =>
            Assert.Equal((HttpStatusCode.ServiceUnavailable, true), (a.StatusCode, a.Headers.RetryAfter is not null))
        );
        Assert.Contains(answers, a => a.StatusCode == HttpStatusCode.ServiceUnavailable);
    }

    /// <summary>
    /// Each is a process of its own: all in the long sweep, else the one way that was open and the one that must stay
    /// so.
    /// </summary>
    public static TheoryData<string, string, bool> Addresses =>
        Environment.GetEnvironmentVariable("BOLD_DEEP") == "1"
            ? new()
            {
                { "ASPNETCORE_HTTP_PORTS", "0", false },
                { "Kestrel__Endpoints__A__Url", "http://0.0.0.0:0", false },
                { "ASPNETCORE_URLS", "http://[::]:0", false },
                { "ASPNETCORE_URLS", "http://127.0.0.1:0", true },
            }
            : new()
            {
                { "Kestrel__Endpoints__A__Url", "http://0.0.0.0:0", false },
                { "ASPNETCORE_URLS", "http://127.0.0.1:0", true },
            };

    [Theory]
    [MemberData(nameof(Addresses))]
    public async Task With_a_demo_account_the_app_serves_this_machine_only_wherever_its_address_is_set(
        string setting,
        string value,
        bool serves
    )
    {
        await school.AsOwner(async store =>
        {
            await Task.CompletedTask;
            foreach (var user in store.Users.ToList())
                user.IsDemo = true;
            return 0;
        });
        var start = new ProcessStartInfo("dotnet", [typeof(Program).Assembly.Location])
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            WorkingDirectory = AppContext.BaseDirectory,
        };
        start.Environment["ConnectionStrings__App"] = TestSchool.AppRole(school.Database);
        start.Environment[setting] = value;
        using var app = Process.Start(start)!;
        var errors = app.StandardError.ReadToEndAsync();
        var output = Output(app);
        try
        {
            if (serves)
            {
                Assert.Contains(
                    "Now listening",
                    await output.WaitAsync(TimeSpan.FromSeconds(60)),
                    StringComparison.Ordinal
                );
            }
            else
            {
                await app.WaitForExitAsync().WaitAsync(TimeSpan.FromSeconds(60));
                Assert.NotEqual(0, app.ExitCode);
                Assert.Contains("serves only http://127.0.0.1", await errors + await output, StringComparison.Ordinal);
            }
        }
        finally
        {
            if (!app.HasExited)
                app.Kill();
        }

        static async Task<string> Output(Process app)
        {
            var all = "";
            while (await app.StandardOutput.ReadLineAsync() is { } line)
            {
                all += line + "\n";
                if (line.Contains("Now listening", StringComparison.Ordinal))
                    break;
            }
            return all;
        }
    }
}
