using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
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
    public async Task Metrics_are_at_a_port_of_their_own_and_name_nobody()
    {
        var (port, metrics) = (FreePort(), FreePort());
        var start = new ProcessStartInfo("dotnet", "BoldLadder.Web.dll")
        {
            WorkingDirectory = AppContext.BaseDirectory,
        };
        start.Environment["ConnectionStrings__App"] = TestSchool.AppRole(school.Database);
        start.Environment["ASPNETCORE_URLS"] = $"http://127.0.0.1:{port}";
        start.Environment["MetricsPort"] = $"{metrics}";
        start.Environment["Hosts"] = "127.0.0.1";
        start.Environment["Logging__LogLevel__Default"] = "Warning";
        using var process = Process.Start(start)!;
        try
        {
            using var http = new HttpClient();
            var path = $"http://127.0.0.1:{port}/api/schools/{school.School}/groups";
            for (var i = 0; i < 200 && await Status(http, path) is null; i++)
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
