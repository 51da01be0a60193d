using BoldLadder.School.People;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;

namespace BoldLadder.Web.People;

/// <summary>
/// On a server where there is nobody yet: prints the one-time address that makes the first school. It stands on the
/// console of whoever started the server, and in no log file.
/// </summary>
public static class FirstRunNotice
{
    /// <summary>The page behind the address; the code follows its #.</summary>
    public const string Page = "/welcome";

    public static async Task Print(WebApplication app)
    {
        await using var scope = app.Services.CreateAsyncScope();
        if (await scope.ServiceProvider.GetRequiredService<FirstRunDesk>().Begin() is not { } code)
            return;
        app.Lifetime.ApplicationStarted.Register(() =>
        {
            var at = app.Configuration["Address"]
                ?? app.Services.GetRequiredService<IServer>()
                    .Features.Get<IServerAddressesFeature>()
                    ?.Addresses.First();
            Console.WriteLine($"There is no school here yet. Make the first one, once, at {at}{Page}#{code}");
        });
    }
}
