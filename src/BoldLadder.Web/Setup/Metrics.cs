using System.Globalization;
using BoldLadder.School.Jobs;
using OpenTelemetry.Metrics;

namespace BoldLadder.Web.Setup;

/// <summary>
/// Numbers for whoever runs the server, in Prometheus' text format: requests by route template, the runtime, the pool
/// of connections, jobs that ended. No name, no id, no address is in them. On loopback alone, at a port of their own
/// (setting MetricsPort); without it there are none.
/// </summary>
public static class Metrics
{
    private const string Path = "/metrics";

    private static readonly string[] Meters =
    [
        "Microsoft.AspNetCore.Hosting",
        "Microsoft.AspNetCore.Server.Kestrel",
        "System.Runtime",
        "Npgsql",
        JobRunner.MeterName,
    ];

    public static void AddMetrics(this WebApplicationBuilder builder)
    {
        if (PortOf(builder.Configuration) is not { } port)
            return;
        var address = string.Create(CultureInfo.InvariantCulture, $"http://127.0.0.1:{port}");
        var served = builder.Configuration[WebHostDefaults.ServerUrlsKey];
        builder.WebHost.UseUrls([.. (served ?? "http://localhost:5000").Split(';'), address]);
        builder.Services.AddOpenTelemetry().WithMetrics(metrics => metrics.AddMeter(Meters).AddPrometheusExporter());
    }

    /// <summary>Answers at the port of the metrics, and nothing but them.</summary>
    public static void UseMetrics(this WebApplication app)
    {
        if (PortOf(app.Configuration) is not { } port)
            return;
        app.UseOpenTelemetryPrometheusScrapingEndpoint(context =>
            context.Connection.LocalPort == port && context.Request.Path == Path
        );
        app.Use(
            (context, next) =>
            {
                if (context.Connection.LocalPort != port)
                    return next(context);
                context.Response.StatusCode = StatusCodes.Status404NotFound;
                return Task.CompletedTask;
            }
        );
    }

    private static int? PortOf(IConfiguration configuration) =>
        configuration.GetValue<int?>("MetricsPort") is > 0 and var port ? port : null;
}
