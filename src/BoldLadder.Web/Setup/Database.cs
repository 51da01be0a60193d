using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Npgsql;

namespace BoldLadder.Web.Setup;

/// <summary>
/// How the app talks to PostgreSQL: fewer connections than it has room for, and no statement, lock or idle transaction
/// that holds one for ever.
/// </summary>
public static class Database
{
    private const string Patience =
        "-c statement_timeout=30s -c lock_timeout=10s -c idle_in_transaction_session_timeout=60s";
    private static readonly TimeSpan HealthIsFresh = TimeSpan.FromSeconds(1);

    public static void AddDatabase(this IServiceCollection services, IConfiguration configuration)
    {
        var connection = new NpgsqlConnectionStringBuilder(configuration.GetConnectionString("App"))
        {
            Options = Patience,
        };
        if (!connection.ContainsKey("Maximum Pool Size"))
            connection.MaxPoolSize = Limits.Connections;
        services.AddDbContext<BoldContext>(options =>
            options.UseNpgsql(connection.ConnectionString).UseSnakeCaseNamingConvention()
        );
    }

    /// <summary>
    /// Whether the app can reach its database. Asked of the database once a second at most, however often it is asked
    /// here.
    /// </summary>
    public static void MapHealth(this WebApplication app)
    {
        var (asked, asking) = (DateTimeOffset.MinValue, Task.FromResult(false));
        var turn = new Lock();
        app.MapGet("/health", async (IServiceScopeFactory scopes, TimeProvider time) =>
            {
                lock (turn)
                {
                    if (time.GetUtcNow() - asked > HealthIsFresh && asking.IsCompleted)
                        (asked, asking) = (time.GetUtcNow(), CanConnect(scopes));
                }
                return await asking ? Results.Ok("ok") : Results.StatusCode(StatusCodes.Status503ServiceUnavailable);
            })
            .AllowAnonymous()
            .ExcludeFromDescription();
    }

    /// <summary>
    /// Whether the app may be sent work: its database is there, and of the version that the app was made for.
    /// </summary>
    public static void MapReadiness(this WebApplication app) =>
        app.MapGet("/ready", async (BoldContext store, HttpContext http) =>
                await store.Database.CanConnectAsync(http.RequestAborted)
                && !(await store.Database.GetPendingMigrationsAsync(http.RequestAborted)).Any()
                    ? Results.Ok("ready")
                    : Results.StatusCode(StatusCodes.Status503ServiceUnavailable)
            )
            .AllowAnonymous()
            .RequireRateLimiting(Limits.SignIn)
            .ExcludeFromDescription();

    /// <summary>
    /// The least an endpoint can cost that asks the database once: what benchmarks measure others by, and there for
    /// them alone (setting Bench).
    /// </summary>
    public static void MapBare(this WebApplication app)
    {
        if (app.Configuration.GetValue("Bench", false))
            app.MapGet("/bench/bare", async (BoldContext store) =>
                    await store.Database.SqlQuery<int>($"select 1 as \"Value\"").SingleAsync()
                )
                .AllowAnonymous()
                .ExcludeFromDescription();
    }

    private static async Task<bool> CanConnect(IServiceScopeFactory scopes)
    {
        await using var scope = scopes.CreateAsyncScope();
        return await scope.ServiceProvider.GetRequiredService<BoldContext>().Database.CanConnectAsync();
    }
}
