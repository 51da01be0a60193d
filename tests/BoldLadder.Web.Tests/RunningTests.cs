using System.Net;
using System.Net.Sockets;
using BoldLadder.School.Jobs;
using BoldLadder.School.Lessons;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>
/// What whoever runs a server asks of it: whether it may be sent work, and numbers (docs/running.md).
/// </summary>
public sealed class RunningTests : IAsyncLifetime
{
    private TestSchool school = null!;

    public async Task InitializeAsync() => school = await TestSchool.Open();

    public async Task DisposeAsync() => await school.DisposeAsync();

    [Fact]
    public async Task A_server_is_ready_when_its_database_is_of_its_own_version()
    {
        var anybody = await school.As(null);
        Assert.Equal(HttpStatusCode.OK, (await anybody.Send(HttpMethod.Get, "/ready")).StatusCode);
        await TestSchool.Sql(
            school.Database,
            "delete from \"__EFMigrationsHistory\" where migration_id like '%ChildrenAndJobs'"
        );
        Assert.Equal(HttpStatusCode.ServiceUnavailable, (await anybody.Send(HttpMethod.Get, "/ready")).StatusCode);
    }

    [Fact]
    public async Task What_is_kept_no_longer_goes_and_nothing_else()
    {
        var lead = await school.As("lead");
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        (await lead.Change(lesson, new SetRemark("x"))).EnsureSuccessStatusCode();
        await TestSchool.Sql(
            school.Database,
            "insert into audit select school_id, gen_random_uuid(), user_id, at - interval '4 years', action, subject from audit"
        );
        var kept = await school.AsOwner(async s => (await s.Audit.CountAsync(), await s.LessonChanges.CountAsync()));
        Assert.Equal(kept.Item1 / 2, await school.AsOwner(s => Retention.Tidy(s, 36, CancellationToken.None)));
        // However little is asked for, a year and a month stays.
        Assert.Equal(0, await school.AsOwner(s => Retention.Tidy(s, 0, CancellationToken.None)));
        Assert.Equal(
            (kept.Item1 / 2, kept.Item2),
            await school.AsOwner(async s => (await s.Audit.CountAsync(), await s.LessonChanges.CountAsync()))
        );
    }

    [Fact]
    public async Task The_setting_says_how_long_is_kept()
    {
        var lead = await school.As("lead");
        var old = (await lead.Open(school.Otters, TestSchool.Today)).Id;
        await lead.Open(school.Kestrels, TestSchool.Today);
        await TestSchool.Sql(
            school.Database,
            $"update audit set at = now() - interval '20 months' where subject = '{old}'"
        );
        Task<List<Guid>> Subjects() => school.AsOwner(s => s.Audit.Select(a => a.Subject).ToListAsync());
        Assert.Equal(2, (await Subjects()).Count);
        school.Serve(("Jobs", "true"), ("KeepMonths", "14"));
        _ = school.App.Server;
        for (var i = 0; i < 200 && (await Subjects()).Contains(old); i++)
            await Task.Delay(50);
        Assert.NotEqual(old, Assert.Single(await Subjects()));
    }

    [Fact]
    public async Task A_lead_sees_when_the_last_backup_was_proven()
    {
        var lead = await school.As("lead");
        var at = $"/api/schools/{school.School}/backup";
        Assert.Null((await lead.Get<BackupView>(at)).ProvenAt);
        // Where nobody makes any, none can be asked for.
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, at, new BackupRequest(Guid.NewGuid())),
            HttpStatusCode.Conflict
        );
        await TestSchool.Sql(
            school.Database,
            "insert into backups values (gen_random_uuid(), '2026-11-23T02:00:00Z', 10), (gen_random_uuid(), '2026-11-24T02:00:00Z', 12)"
        );
        Assert.Equal(
            new BackupView(new DateTime(new DateOnly(2026, 11, 24), new TimeOnly(2, 0), DateTimeKind.Utc), 12),
            await lead.Get<BackupView>(at)
        );
        await TestClient.Problem(await (await school.As("teacher")).Send(HttpMethod.Get, at), HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task Metrics_are_at_a_port_of_their_own_and_name_nobody()
    {
        var (port, metrics) = (FreePort(), FreePort());
        using var process = AppProcess.Start(
            school.Database,
            ("ASPNETCORE_URLS", $"http://127.0.0.1:{port}"),
            ("MetricsPort", $"{metrics}"),
            ("Hosts", "127.0.0.1")
        );
        try
        {
            using var http = new HttpClient();
            var path = $"http://127.0.0.1:{port}/api/schools/{school.School}/groups";
            for (var i = 0; i < 600 && await Status(http, path) is null; i++)
                await Task.Delay(100);
            Assert.Equal(HttpStatusCode.Unauthorized, await Status(http, path));
            var numbers = await http.GetStringAsync($"http://127.0.0.1:{metrics}/metrics");
            Assert.Contains("http_server_request_duration_seconds_count", numbers, StringComparison.Ordinal);
            Assert.Contains("/api/schools/{schoolId:guid}/groups", numbers, StringComparison.Ordinal);
            Assert.DoesNotContain($"{school.School}", numbers, StringComparison.OrdinalIgnoreCase);
            Assert.Contains("dotnet_gc_", numbers, StringComparison.Ordinal);
            // Nothing else at that port, and no numbers at the other.
            Assert.Equal(HttpStatusCode.NotFound, await Status(http, $"http://127.0.0.1:{metrics}/api/facts"));
            using var elsewhere = await http.GetAsync(new Uri($"http://127.0.0.1:{port}/metrics"));
            Assert.DoesNotContain(
                "http_server_request",
                await elsewhere.Content.ReadAsStringAsync(),
                StringComparison.Ordinal
            );
        }
        finally
        {
            process.Kill();
        }
    }

    private static async Task<HttpStatusCode?> Status(HttpClient http, string address)
    {
        try
        {
            return (await http.GetAsync(new Uri(address))).StatusCode;
        }
        catch (HttpRequestException)
        {
            return null;
        }
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
