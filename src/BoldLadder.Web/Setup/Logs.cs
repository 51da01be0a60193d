using System.Globalization;
using Serilog;
using Serilog.Events;

namespace BoldLadder.Web.Setup;

/// <summary>
/// The log in files that last over restarts and never fill the disk, where setting <c>LogFolder</c> names a folder: one
/// a day, cut at a size, the oldest removed.
/// It has no names, addresses, bodies or cookies.
/// </summary>
public static class Logs
{
    private const int FileBytes = 8 * 1024 * 1024;
    private const int Files = 30;

    public static void AddLogFiles(this WebApplicationBuilder builder)
    {
        if (builder.Configuration["LogFolder"] is not { Length: > 0 } folder)
            return;
        builder.Services.AddSerilog(log =>
            log.MinimumLevel.Information()
                .MinimumLevel.Override("Microsoft", LogEventLevel.Warning)
                .MinimumLevel.Override("Microsoft.Hosting.Lifetime", LogEventLevel.Information)
                .MinimumLevel.Override("Microsoft.AspNetCore.DataProtection", LogEventLevel.Error)
                .MinimumLevel.Override("Microsoft.AspNetCore.Antiforgery", LogEventLevel.Error)
                .MinimumLevel.Override("Microsoft.EntityFrameworkCore", LogEventLevel.Error)
                .WriteTo.File(
                    Path.Combine(folder, "bold-.log"),
                    formatProvider: CultureInfo.InvariantCulture,
                    rollingInterval: RollingInterval.Day,
                    fileSizeLimitBytes: FileBytes,
                    rollOnFileSizeLimit: true,
                    retainedFileCountLimit: Files
                )
        );
    }
}
