using System.Net;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Demo;

/// <summary>
/// Demo accounts have printed passwords: with one present the app serves this machine only. Asked of each address just
/// before it is bound, wherever it was set.
/// </summary>
public sealed class DemoGuard
{
    private bool hasDemo;

    /// <summary>Looks for demo accounts; before the app starts.</summary>
    public async Task Look(IServiceProvider services)
    {
        await using var scope = services.CreateAsyncScope();
        hasDemo = await scope.ServiceProvider.GetRequiredService<BoldContext>().Users.AnyAsync(u => u.IsDemo);
    }

    /// <exception cref="InvalidOperationException">A demo account is present and the address is not
    /// loopback.</exception>
    public void Check(EndPoint address)
    {
        if (!hasDemo || (address is IPEndPoint ip && IPAddress.IsLoopback(ip.Address)))
            return;
        throw new InvalidOperationException(
            "The demo school is loaded, so the app serves only http://127.0.0.1. Remove the demo accounts, or bind to loopback."
        );
    }
}
