namespace BoldLadder.Web.Setup;

/// <summary>
/// The headers of every answer (OWASP ASVS level 2), set when it starts, so that no error page can lose them.
/// </summary>
public static class Headers
{
    private const string ContentPolicy =
        "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
    private const string DevicePolicy = "camera=(), geolocation=(), microphone=(self), payment=(), usb=()";

    /// <summary>What the front end's build names by content: it never changes under its name.</summary>
    private static readonly PathString Built = "/assets";

    public static void UseSecurityHeaders(this WebApplication app) =>
        app.Use(
            (context, next) =>
            {
                context.Response.OnStarting(() =>
                {
                    var headers = context.Response.Headers;
                    headers.ContentSecurityPolicy = ContentPolicy;
                    headers.XContentTypeOptions = "nosniff";
                    headers["Referrer-Policy"] = "no-referrer";
                    headers["Permissions-Policy"] = DevicePolicy;
                    headers["Cross-Origin-Opener-Policy"] = headers["Cross-Origin-Resource-Policy"] = "same-origin";
                    headers.CacheControl = CacheControl(context);
                    return Task.CompletedTask;
                });
                return next(context);
            }
        );

    /// <summary>A school's own pictures: another one has another address.</summary>
    private static readonly PathString Pictures = "/api/pictures";

    private static string CacheControl(HttpContext context) =>
        context.Response.StatusCode == StatusCodes.Status200OK && context.Request.Path.StartsWithSegments(Pictures)
            ? "private, max-age=86400, immutable"
        : context.Request.Path.StartsWithSegments("/api")
        || context.Response.StatusCode >= StatusCodes.Status400BadRequest
            ? "no-store"
        : context.Request.Path.StartsWithSegments(Built) ? "public, max-age=31536000, immutable"
        : "no-cache";

    /// <summary>
    /// Answers only to the names the app goes by; a request for another gets a sentence, with the headers.
    /// </summary>
    public static void UseKnownHosts(this WebApplication app)
    {
        var hosts = app.Configuration["Hosts"]
            ?.Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .ToHashSet(StringComparer.OrdinalIgnoreCase)
            ?? [];
        app.Use(
            (context, next) =>
                hosts.Contains(context.Request.Host.Host)
                    ? next(context)
                    : Problem.Of(StatusCodes.Status400BadRequest, "unknown-host").ExecuteAsync(context)
        );
    }

    /// <summary>
    /// An address without a use says so, signed in or not: where there is nothing, no such method, or another kind of
    /// body.
    /// </summary>
    public static void UseKnownAddresses(this WebApplication app) =>
        app.Use(
            (context, next) =>
                context.GetEndpoint() switch
                {
                    RouteEndpoint => next(context),
                    // Routing's own answers: 405, 415.
                    { RequestDelegate: { } refusal } => refusal(context),
                    // A page could be asked for so; the API has no such method.
                    _ when HttpMethods.IsHead(context.Request.Method)
                            && context.Request.Path.StartsWithSegments("/api") => Problem
                        .Of(StatusCodes.Status405MethodNotAllowed)
                        .ExecuteAsync(context),
                    _ => Problem.Of(StatusCodes.Status404NotFound).ExecuteAsync(context),
                }
        );
}
