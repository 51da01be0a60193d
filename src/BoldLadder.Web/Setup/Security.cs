using System.Security.Claims;
using System.Threading.RateLimiting;
using BoldLadder.Store;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Identity;

namespace BoldLadder.Web.Setup;

/// <summary>Sign-in by cookie, antiforgery, rate limits and response headers (OWASP ASVS level 2).</summary>
public static class Security
{
    public const string SignInLimit = "sign-in";
    private const string ContentPolicy =
        "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    public static void AddSecurity(this IServiceCollection services)
    {
        services.AddIdentityCore<User>(AccountRules).AddEntityFrameworkStores<BoldContext>().AddSignInManager();
        services.AddAuthentication(IdentityConstants.ApplicationScheme).AddCookie(IdentityConstants.ApplicationScheme, options =>
        {
            options.Cookie.Name = "__Host-bold";
            options.Cookie.Path = "/";
            options.Cookie.SecurePolicy = CookieSecurePolicy.Always;
            options.Cookie.SameSite = SameSiteMode.Strict;
            options.Cookie.HttpOnly = true;
            options.ExpireTimeSpan = TimeSpan.FromHours(10);
            options.Events.OnRedirectToLogin = context => Answer(context.HttpContext, StatusCodes.Status401Unauthorized);
            options.Events.OnRedirectToAccessDenied = context => Answer(context.HttpContext, StatusCodes.Status403Forbidden);
        });
        services.AddAuthorizationBuilder().SetFallbackPolicy(new AuthorizationPolicyBuilder().RequireAuthenticatedUser().Build());
        services.AddAntiforgery(options =>
        {
            options.HeaderName = "X-XSRF-TOKEN";
            options.Cookie = new AlwaysSecureCookie { Name = "__Host-bold-xsrf", Path = "/", SameSite = SameSiteMode.Strict, HttpOnly = true, IsEssential = true };
        });
        services.AddDataProtection().SetApplicationName("BoldLadder").PersistKeysToDbContext<BoldContext>();
        services.AddRateLimiter(options =>
        {
            options.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
            options.AddPolicy(SignInLimit, context => RateLimitPartition.GetFixedWindowLimiter(
                context.Connection.RemoteIpAddress?.ToString() ?? "", _ => new FixedWindowRateLimiterOptions { PermitLimit = 30, Window = TimeSpan.FromMinutes(1) }));
        });
    }

    /// <summary>Long passwords of any letters; ten wrong tries lock an account for five minutes.</summary>
    public static void AccountRules(IdentityOptions options)
    {
        options.Password.RequiredLength = 12;
        options.Password.RequireDigit = options.Password.RequireLowercase = options.Password.RequireUppercase = options.Password.RequireNonAlphanumeric = false;
        options.User.RequireUniqueEmail = true;
        options.Lockout.MaxFailedAccessAttempts = 10;
        options.Lockout.DefaultLockoutTimeSpan = TimeSpan.FromMinutes(5);
    }

    public static void UseSecurityHeaders(this WebApplication app) => app.Use((context, next) =>
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = ContentPolicy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        if (context.Request.Path.StartsWithSegments("/api")) headers.CacheControl = "no-store";
        return next(context);
    });

    /// <summary>Refuses unsafe requests without a valid antiforgery token; added once to the whole API.</summary>
    public static async ValueTask<object?> CheckAntiforgery(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var http = context.HttpContext;
        if (HttpMethods.IsGet(http.Request.Method) || HttpMethods.IsHead(http.Request.Method)) return await next(context);
        return await http.RequestServices.GetRequiredService<IAntiforgery>().IsRequestValidAsync(http)
            ? await next(context)
            : Problem.Of(StatusCodes.Status400BadRequest, "stale-page", "This page is out of date. Reload it and try again; nothing was changed.");
    }

    /// <summary>The id of who is signed in.</summary>
    public static Guid Id(this ClaimsPrincipal user) => Guid.Parse(user.FindFirstValue(ClaimTypes.NameIdentifier)!);

    /// <summary>
    /// Marks the cookie Secure without asking for HTTPS: browsers treat loopback as secure, but antiforgery refuses plain HTTP when
    /// its own secure policy says always.
    /// </summary>
    private sealed class AlwaysSecureCookie : CookieBuilder
    {
        public override CookieOptions Build(HttpContext context, DateTimeOffset expiresFrom)
        {
            var options = base.Build(context, expiresFrom);
            options.Secure = true;
            return options;
        }
    }

    private static Task Answer(HttpContext context, int status)
    {
        context.Response.StatusCode = status;
        return Task.CompletedTask;
    }
}
