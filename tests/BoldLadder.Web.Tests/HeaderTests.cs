using System.Net;
using System.Net.Sockets;
using System.Text;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>What every answer carries, wherever it comes from.</summary>
public sealed class HeaderTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private static void IsGuarded(HttpResponseMessage answer)
    {
        Assert.Contains(
            "default-src 'self'",
            answer.Headers.GetValues("Content-Security-Policy").Single(),
            StringComparison.Ordinal
        );
        Assert.Equal("nosniff", answer.Headers.GetValues("X-Content-Type-Options").Single());
        Assert.Equal("no-referrer", answer.Headers.GetValues("Referrer-Policy").Single());
        Assert.Equal("same-origin", answer.Headers.GetValues("Cross-Origin-Opener-Policy").Single());
        Assert.Equal("same-origin", answer.Headers.GetValues("Cross-Origin-Resource-Policy").Single());
        Assert.Contains("camera=()", answer.Headers.GetValues("Permissions-Policy").Single(), StringComparison.Ordinal);
        Assert.False(answer.Headers.Contains("Server"));
    }

    [Fact]
    public async Task A_fault_of_ours_has_every_security_header_and_says_nothing_of_itself()
    {
        // A table that is gone stands for any fault.
        await TestSchool.Sql(school.Database, "alter table teaching_notes rename to gone");
        var answer = await lead.Send(HttpMethod.Get, $"/api/schools/{school.School}/notes");
        IsGuarded(answer);
        var problem = await TestClient.Problem(answer, HttpStatusCode.InternalServerError);
        Assert.Equal("bold:went-wrong", problem.GetProperty("type").GetString());
        Assert.DoesNotContain("teaching_notes", problem.ToString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_database_that_is_away_is_told_as_busy_with_when_to_come_back()
    {
        using var way = new Way(new NpgsqlConnectionStringBuilder(TestSchool.AppRole(school.Database)).Port);
        school.Serve(
            ("ConnectionStrings:App", $"{TestSchool.AppRole(school.Database)};Port={way.Port};Timeout=3;Pooling=false")
        );
        lead = await school.As("lead");
        Assert.Equal(HttpStatusCode.OK, (await lead.Http.GetAsync("/health")).StatusCode);
        way.Close();
        var answer = await lead.Send(HttpMethod.Get, $"/api/schools/{school.School}/groups");
        IsGuarded(answer);
        Assert.NotNull(answer.Headers.RetryAfter);
        Assert.Equal(
            "bold:busy",
            (await TestClient.Problem(answer, HttpStatusCode.ServiceUnavailable)).GetProperty("type").GetString()
        );
        await Task.Delay(1100);
        Assert.Equal(HttpStatusCode.ServiceUnavailable, (await lead.Http.GetAsync("/health")).StatusCode);
    }

    /// <summary>A way to the database that can be closed.</summary>
    private sealed class Way : IDisposable
    {
        private readonly TcpListener listener = new(IPAddress.Loopback, 0);
        private readonly List<TcpClient> open = [];

        public Way(int to)
        {
            listener.Start();
            _ = Serve(to);
        }

        public int Port => ((IPEndPoint)listener.LocalEndpoint).Port;

        public void Close()
        {
            listener.Stop();
            open.ForEach(c => c.Dispose());
        }

        public void Dispose()
        {
            Close();
            listener.Dispose();
        }

        private async Task Serve(int to)
        {
            try
            {
                while (true)
                {
                    var (near, far) = (await listener.AcceptTcpClientAsync(), new TcpClient());
                    open.AddRange([near, far]);
                    await far.ConnectAsync(IPAddress.Loopback, to);
                    _ = near.GetStream()
                        .CopyToAsync(far.GetStream())
                        .ContinueWith(_ => far.Dispose(), TaskScheduler.Default);
                    _ = far.GetStream()
                        .CopyToAsync(near.GetStream())
                        .ContinueWith(_ => near.Dispose(), TaskScheduler.Default);
                }
            }
            catch (Exception closed) when (closed is SocketException or ObjectDisposedException)
            {
                // The way was closed.
            }
        }
    }

    [Theory]
    [InlineData("GET", "/api/no-such-thing", HttpStatusCode.NotFound)]
    [InlineData("GET", "/anything.js", HttpStatusCode.NotFound)]
    [InlineData("PATCH", "/api/session", HttpStatusCode.MethodNotAllowed)]
    [InlineData("HEAD", "/api/session", HttpStatusCode.MethodNotAllowed)]
    [InlineData("OPTIONS", "/api/session", HttpStatusCode.MethodNotAllowed)]
    public async Task An_address_without_a_use_says_so_signed_in_or_not(
        string method,
        string path,
        HttpStatusCode status
    )
    {
        foreach (var client in new[] { lead, await school.As(null) })
        {
            using var request = new HttpRequestMessage(new HttpMethod(method), path);
            var answer = await client.Http.SendAsync(request);
            IsGuarded(answer);
            if (method == "HEAD")
                Assert.Equal(status, answer.StatusCode);
            else
                await TestClient.Problem(answer, status);
        }
    }

    [Fact]
    public async Task What_is_not_json_is_told_so()
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/session")
        {
            Content = new StringContent("email=x", Encoding.UTF8, "application/x-www-form-urlencoded"),
        };
        await TestClient.Problem(await lead.Http.SendAsync(request), HttpStatusCode.UnsupportedMediaType);
    }

    [Fact]
    public async Task A_name_the_app_does_not_go_by_gets_a_sentence()
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/session");
        request.Headers.Host = "evil.example";
        var answer = await lead.Http.SendAsync(request);
        IsGuarded(answer);
        Assert.Equal(
            "bold:unknown-host",
            (await TestClient.Problem(answer, HttpStatusCode.BadRequest)).GetProperty("type").GetString()
        );
    }

    [Fact]
    public async Task Pages_are_asked_for_again_and_answers_of_the_api_are_not_stored()
    {
        using var http = school.App.CreateClient(new() { BaseAddress = new Uri("https://localhost") });
        Assert.True((await http.GetAsync("/api/session")).Headers.CacheControl!.NoStore);
        Assert.True((await http.GetAsync($"/api/schools/{school.School}/groups")).Headers.CacheControl!.NoStore);
        // A page of the front end, whatever its address: its own file where it was built, never an answer of the API.
        foreach (var page in new[] { "/", "/s/x/ladder", "/sign-in" })
            Assert.NotEqual(
                "application/problem+json",
                (await http.GetAsync(page)).Content.Headers.ContentType?.MediaType
            );
        Assert.True((await http.GetAsync("/nowhere.png")).Headers.CacheControl!.NoStore);
        Assert.True((await http.GetAsync("/health")).Headers.CacheControl!.NoCache);
    }

    [Theory]
    [InlineData("weeks/9999-12-31?weeks=2")]
    [InlineData("weeks/0001-01-01")]
    public async Task A_day_beyond_any_calendar_is_refused_with_a_sentence(string path) =>
        Assert.Equal(
            "bold:day-out-of-range",
            (
                await TestClient.Problem(
                    await lead.Send(HttpMethod.Get, $"/api/schools/{school.School}/{path}"),
                    HttpStatusCode.UnprocessableEntity
                )
            )
                .GetProperty("type")
                .GetString()
        );

    [Fact]
    public async Task Numbers_in_place_of_names_are_refused_and_nothing_of_them_is_stored()
    {
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        var closing = lead.Lesson(lesson.Id) + "/closing";
        await TestClient.Problem(
            await lead.Send(
                HttpMethod.Post,
                closing,
                raw: $$"""{"entryId":"{{Guid.NewGuid()}}","outcome":99}""",
                version: lesson.Version
            ),
            HttpStatusCode.BadRequest
        );
        await TestClient.Problem(
            await lead.Send(
                HttpMethod.Put,
                $"/api/schools/{school.School}/words/ship/verdict",
                raw: """{"verdict":-1,"reason":"x"}""",
                stamp: "x"
            ),
            HttpStatusCode.BadRequest
        );
        Assert.Equal(0, await school.AsOwner(s => s.TeachingLog.CountAsync(e => e.Date == TestSchool.Today)));
        Assert.Equal(LessonStatus.Planned, (await school.AsOwner(s => s.Lessons.SingleAsync())).Status);
    }

    [Theory]
    [InlineData("\u202eright to left")]
    [InlineData("hidden\u2066mark")]
    [InlineData("line\nbreak")]
    [InlineData(" ")]
    public async Task A_name_that_can_not_be_seen_as_it_is_written_is_refused(string name) =>
        Assert.Equal("bold:bad-name", (
                await TestClient.Problem(
                    await lead.Send(
                        HttpMethod.Post,
                        $"/api/schools/{school.School}/ladders",
                        new
                        {
                            id = Guid.NewGuid(),
                            name,
                            from = "blank",
                        }
                    ),
                    HttpStatusCode.UnprocessableEntity
                )
            ).GetProperty("type").GetString());
}
