using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace BoldLadder.Store;

/// <summary>Used by `dotnet ef migrations add` only; never connects.</summary>
public sealed class DesignTimeFactory : IDesignTimeDbContextFactory<BoldContext>
{
    public BoldContext CreateDbContext(string[] args) =>
        new(Configure(new DbContextOptionsBuilder<BoldContext>(), "Host=localhost").Options);

    /// <summary>How every context of the project is set up.</summary>
    public static DbContextOptionsBuilder<BoldContext> Configure(
        DbContextOptionsBuilder<BoldContext> options,
        string connection
    )
    {
        options.UseNpgsql(connection).UseSnakeCaseNamingConvention();
        return options;
    }
}
