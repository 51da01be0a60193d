using System.Globalization;
using System.Threading.RateLimiting;

namespace BoldLadder.Web.Setup;

/// <summary>
/// How much is done at once. What does not fit is refused with 503 and what has been asked too often with 429, both
/// with Retry-After: a refusal is an answer, so that nothing waits until it breaks.
/// </summary>
public static class Limits
{
    /// <summary>Tries to sign in, or to open a cover link, from one address.</summary>
    public const string SignIn = "sign-in";

    /// <summary>Analyses that take a core for a second: one at a time for each person, a few waiting.</summary>
    public const string Heavy = "heavy";

    /// <summary>Connections to the database; PostgreSQL has room for sixty.</summary>
    public const int Connections = 40;

    /// <summary>
    /// Requests to the API at once: fewer than there are connections, since one may need two for a moment.
    /// </summary>
    private const int AtOnce = 32;
    private const int Waiting = 96;
    private const int HeavyWaiting = 4;

    /// <summary>
    /// A school of two hundred adults behind one address signs in within a few minutes of each other.
    /// </summary>
    private const int SignInsAMinute = 120;
    private const string Soon = "2";

    public static void AddLimits(this IServiceCollection services)
    {
        services.AddRateLimiter(options =>
        {
            options.OnRejected = (rejected, _) => new ValueTask(Refuse(rejected.HttpContext, rejected.Lease));
            options.AddPolicy(SignIn, context =>
                RateLimitPartition.GetFixedWindowLimiter(
                    context.Connection.RemoteIpAddress?.ToString() ?? "",
                    _ => new FixedWindowRateLimiterOptions
                    {
                        PermitLimit = SignInsAMinute,
                        Window = TimeSpan.FromMinutes(1),
                    }
                )
            );
            options.AddPolicy(Heavy, context =>
                RateLimitPartition.GetConcurrencyLimiter(
                    context.User.Identity?.IsAuthenticated == true ? context.User.Id() : Guid.Empty,
                    _ => new ConcurrencyLimiterOptions { PermitLimit = 1, QueueLimit = HeavyWaiting }
                )
            );
        });
    }

    /// <summary>
    /// Lets so many requests to the API in at once that none has to wait for a connection until it fails.
    /// </summary>
    public static void UseRoom(this WebApplication app)
    {
        var room = new ConcurrencyLimiter(
            new ConcurrencyLimiterOptions
            {
                PermitLimit = AtOnce,
                QueueLimit = Waiting,
                QueueProcessingOrder = QueueProcessingOrder.OldestFirst,
            }
        );
        app.Lifetime.ApplicationStopped.Register(room.Dispose);
        app.Use(
            async (context, next) =>
            {
                if (!context.Request.Path.StartsWithSegments("/api"))
                {
                    await next(context);
                    return;
                }
                using var lease = await room.AcquireAsync(1, context.RequestAborted);
                if (lease.IsAcquired)
                    await next(context);
                else
                    await Busy(context);
            }
        );
    }

    /// <summary>
    /// The answer when there is no room, or the database can't be reached: nothing was done, try again soon.
    /// </summary>
    public static Task Busy(HttpContext context)
    {
        context.Response.Headers.RetryAfter = Soon;
        return Problem.Of(StatusCodes.Status503ServiceUnavailable).ExecuteAsync(context);
    }

    private static Task Refuse(HttpContext context, RateLimitLease lease)
    {
        if (!lease.TryGetMetadata(MetadataName.RetryAfter, out var after))
            return Busy(context);
        context.Response.Headers.RetryAfter = Math.Ceiling(Math.Max(1, after.TotalSeconds))
            .ToString(CultureInfo.InvariantCulture);
        return Problem.Of(StatusCodes.Status429TooManyRequests).ExecuteAsync(context);
    }
}
