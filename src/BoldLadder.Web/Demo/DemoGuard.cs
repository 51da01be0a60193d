using System.Net;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Demo;

/// <summary>Demo accounts have printed passwords: with one present the app serves this machine only.</summary>
public static class DemoGuard
{
    /// <exception cref="InvalidOperationException">A demo account is present and an address is not loopback.</exception>
    public static async Task Check(WebApplication app)
    {
        var addresses = app.Configuration["urls"]?.Split(';', StringSplitOptions.RemoveEmptyEntries) ?? [];
        if (Array.TrueForAll(addresses, IsLoopback)) return;
        await using var scope = app.Services.CreateAsyncScope();
        if (!await scope.ServiceProvider.GetRequiredService<BoldContext>().Users.AnyAsync(u => u.IsDemo)) return;
        throw new InvalidOperationException("The demo school is loaded, so the app serves only http://127.0.0.1. Remove the demo accounts, or bind to loopback.");
    }

    private static bool IsLoopback(string address) =>
        Uri.TryCreate(address, UriKind.Absolute, out var uri) && (uri.Host == "localhost" || (IPAddress.TryParse(uri.Host.Trim('[', ']'), out var ip) && IPAddress.IsLoopback(ip)));
}
