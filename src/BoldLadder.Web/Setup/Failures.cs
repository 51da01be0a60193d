using System.Net.Sockets;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.EntityFrameworkCore;
using Npgsql;

namespace BoldLadder.Web.Setup;

/// <summary>
/// What an exception means to whoever asked, in one place: unreadable input, two at once, no room, or our own fault.
/// The request's transaction has been rolled back by then, so nothing was changed.
/// </summary>
public sealed class Failures : IExceptionHandler
{
    /// <summary>Adds the handler; only our own faults are logged as errors.</summary>
    public static void Add(IServiceCollection services)
    {
        services.AddExceptionHandler<Failures>();
        services.Configure<ExceptionHandlerOptions>(options =>
            options.SuppressDiagnosticsCallback = context =>
                StatusOf(context.HttpContext, context.Exception) is not null
        );
    }

    public async ValueTask<bool> TryHandleAsync(
        HttpContext httpContext,
        Exception exception,
        CancellationToken cancellationToken
    )
    {
        switch (StatusOf(httpContext, exception))
        {
            case StatusCodes.Status503ServiceUnavailable:
                await Limits.Busy(httpContext);
                return true;
            case { } status:
                await Problem.Of(status).ExecuteAsync(httpContext);
                return true;
            default:
                return false;
        }
    }

    /// <summary>The status of a failure that is not ours; null for one that is.</summary>
    private static int? StatusOf(HttpContext context, Exception exception) =>
        exception switch
        {
            BadHttpRequestException bad => bad.StatusCode,
            _ when Find<DbUpdateConcurrencyException>(exception) is not null => StatusCodes.Status409Conflict,
            _ when Find<PostgresException>(exception) is { } refusal => StatusOf(refusal.SqlState),
            // No connection: the server is gone, or the pool is empty.
            _ when Find<NpgsqlException>(exception) is not null || Find<SocketException>(exception) is not null =>
                StatusCodes.Status503ServiceUnavailable,
            _ when Reading.IsReading(context) => StatusCodes.Status400BadRequest,
            _ => null,
        };

    private static int? StatusOf(string sqlState) =>
        sqlState switch
        {
            PostgresErrorCodes.UniqueViolation
            or PostgresErrorCodes.SerializationFailure
            or PostgresErrorCodes.DeadlockDetected => StatusCodes.Status409Conflict,
            PostgresErrorCodes.LockNotAvailable
            or PostgresErrorCodes.QueryCanceled
            or PostgresErrorCodes.TooManyConnections
            or PostgresErrorCodes.CannotConnectNow
            or PostgresErrorCodes.AdminShutdown
            or PostgresErrorCodes.CrashShutdown => StatusCodes.Status503ServiceUnavailable,
            _ => null,
        };

    private static T? Find<T>(Exception? exception)
        where T : Exception
    {
        for (; exception is not null; exception = exception.InnerException)
            if (exception is T found)
                return found;
        return null;
    }
}
