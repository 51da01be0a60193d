using System.Net;
using System.Security.Claims;
using BoldLadder.School.People;
using BoldLadder.Store;
using BoldLadder.Web.Session;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.HttpOverrides;
using Microsoft.AspNetCore.Identity;

namespace BoldLadder.Web.Setup;

/// <summary>Sign-in by cookie, antiforgery, rate limits and response headers (OWASP ASVS level 2).</summary>
public static class Security
{
    /// <summary>Rounds of PBKDF2 with SHA-512, as OWASP's cheat sheet asks.</summary>
    public const int PasswordRounds = 210_000;

    public static void AddSecurity(this IServiceCollection services, IConfiguration configuration)
    {
        services.Configure<PasswordHasherOptions>(options =>
            options.IterationCount = configuration.GetValue("PasswordRounds", PasswordRounds)
        );
        services
            .AddIdentityCore<User>(AccountRules)
            .AddEntityFrameworkStores<BoldContext>()
            .AddSignInManager()
            .AddTokenProvider<AuthenticatorTokenProvider<User>>(TokenOptions.DefaultAuthenticatorProvider);
        services
            .AddAuthentication(IdentityConstants.ApplicationScheme)
            .AddCookie(IdentityConstants.ApplicationScheme, options =>
            {
                options.Cookie.Name = "__Host-bold";
                options.Cookie.Path = "/";
                options.Cookie.SecurePolicy = CookieSecurePolicy.Always;
                options.Cookie.SameSite = SameSiteMode.Strict;
                options.Cookie.HttpOnly = true;
                options.ExpireTimeSpan = OpenSession.Longest;
                options.SlidingExpiration = false;
                options.Events.OnValidatePrincipal = Sessions.Validate;
                options.Events.OnRedirectToLogin = context =>
                    Answer(context.HttpContext, StatusCodes.Status401Unauthorized);
                options.Events.OnRedirectToAccessDenied = context =>
                    Answer(context.HttpContext, StatusCodes.Status403Forbidden);
            });
        services
            .AddAuthorizationBuilder()
            .SetFallbackPolicy(new AuthorizationPolicyBuilder().RequireAuthenticatedUser().Build());
        services.AddAntiforgery(options =>
        {
            options.HeaderName = "X-XSRF-TOKEN";
            options.Cookie = new AlwaysSecureCookie
            {
                Name = "__Host-bold-xsrf",
                Path = "/",
                SameSite = SameSiteMode.Strict,
                HttpOnly = true,
                IsEssential = true,
            };
        });
        services
            .AddDataProtection()
            .SetApplicationName("BoldLadder")
            .PersistKeysToDbContext<BoldContext>()
            .ProtectKeysOutsideTheDatabase(configuration);
        services.AddScoped<Sessions>();
        services.AddScoped<SignIn>();
        services.Configure<ForwardedHeadersOptions>(options => TrustProxies(options, configuration["KnownProxies"]));
    }

    /// <summary>
    /// Behind a proxy the address of who asks comes in a header: only a proxy that is named in the settings is
    /// believed.
    /// </summary>
    private static void TrustProxies(ForwardedHeadersOptions options, string? proxies)
    {
        if (string.IsNullOrWhiteSpace(proxies))
            return;
        options.ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto;
        options.KnownProxies.Clear();
        foreach (
            var proxy in proxies.Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
        )
            options.KnownProxies.Add(IPAddress.Parse(proxy));
    }

    /// <summary>
    /// Long passwords of any letters. Wrong tries are counted by <see cref="SignIn"/>, so Identity locks nobody out by
    /// itself.
    /// </summary>
    public static void AccountRules(IdentityOptions options)
    {
        options.Password.RequiredLength = Passwords.Shortest;
        options.Password.RequireDigit =
            options.Password.RequireLowercase =
            options.Password.RequireUppercase =
            options.Password.RequireNonAlphanumeric =
                false;
        options.User.RequireUniqueEmail = true;
    }

    /// <summary>Refuses unsafe requests without a valid antiforgery token; added once to the whole API.</summary>
    public static async ValueTask<object?> CheckAntiforgery(
        EndpointFilterInvocationContext context,
        EndpointFilterDelegate next
    )
    {
        var http = context.HttpContext;
        if (HttpMethods.IsGet(http.Request.Method) || HttpMethods.IsHead(http.Request.Method))
            return await next(context);
        return await http.RequestServices.GetRequiredService<IAntiforgery>().IsRequestValidAsync(http)
            ? await next(context)
            : Problem.Of(StatusCodes.Status400BadRequest, "stale-page");
    }

    /// <summary>The id of who is signed in.</summary>
    public static Guid Id(this ClaimsPrincipal user) => Guid.Parse(user.FindFirstValue(ClaimTypes.NameIdentifier)!);

    /// <summary>
    /// Marks the cookie Secure without asking for HTTPS: browsers treat loopback as secure, but antiforgery refuses
    /// plain HTTP when its own secure policy says always.
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
