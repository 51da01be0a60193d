using System.Diagnostics;
using Npgsql;

namespace BoldLadder.Web.Tests;

/// <summary>Runs PostgreSQL's own programs against the test cluster, as its owner.</summary>
internal static class PostgresTools
{
    public static Task<string> Dump(string database) => Run("pg_dump", database, [], null);

    public static Task Restore(string database, string sql) =>
        Run("psql", database, ["-q", "-v", "ON_ERROR_STOP=1", "-f", "-"], sql);

    private static async Task<string> Run(string program, string database, string[] arguments, string? input)
    {
        var owner = new NpgsqlConnectionStringBuilder(TestSchool.Owner(database));
        var start = new ProcessStartInfo(Path.Combine(Environment.GetEnvironmentVariable("BOLD_PG_BIN")!, program))
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            RedirectStandardInput = true,
        };
        foreach (
            var argument in (string[])
                [
                    "-h",
                    owner.Host!,
                    "-p",
                    owner.Port.ToString(System.Globalization.CultureInfo.InvariantCulture),
                    "-U",
                    owner.Username!,
                    "-d",
                    database,
                    .. arguments,
                ]
        )
            start.ArgumentList.Add(argument);
        start.Environment["PGPASSWORD"] = owner.Password;
        using var process = Process.Start(start)!;
        var output = process.StandardOutput.ReadToEndAsync();
        var errors = process.StandardError.ReadToEndAsync();
        if (input is not null)
            await process.StandardInput.WriteAsync(input);
        process.StandardInput.Close();
        await process.WaitForExitAsync();
        return process.ExitCode == 0 ? await output : throw new InvalidOperationException(await errors);
    }
}
