using System.Diagnostics;

namespace BoldLadder.Web.Tests;

/// <summary>The app as a process of its own, which a test may kill.</summary>
internal static class AppProcess
{
    public static Process Start(string database, params (string Key, string Value)[] settings)
    {
        var start = new ProcessStartInfo("dotnet", "BoldLadder.Web.dll")
        {
            WorkingDirectory = AppContext.BaseDirectory,
        };
        start.Environment["ConnectionStrings__App"] = TestSchool.AppRole(database);
        start.Environment["ASPNETCORE_URLS"] = "http://127.0.0.1:0";
        start.Environment["Logging__LogLevel__Default"] = "Warning";
        foreach (var (key, value) in settings)
            start.Environment[key] = value;
        return Process.Start(start)!;
    }
}
