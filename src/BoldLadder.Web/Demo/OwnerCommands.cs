using BoldLadder.School.Marks;
using BoldLadder.School.Transfer;
using BoldLadder.Store;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Demo;

/// <summary>
/// What runs as the owner of the tables, before the app serves: <c>migrate</c>, and <c>load-demo FILE</c>, which
/// migrates, loads the demo school once and writes its accounts, made for this install, to the file; and
/// <c>rebuild-memories</c>.
/// </summary>
public static class OwnerCommands
{
    public static async Task<int> Run(string[] args)
    {
        var builder = Host.CreateApplicationBuilder();
        builder
            .Logging.SetMinimumLevel(LogLevel.Warning)
            .AddFilter("Microsoft.EntityFrameworkCore.Database.Command", LogLevel.None);
        builder.Services.AddDbContext<BoldContext>(options =>
            options.UseNpgsql(builder.Configuration.GetConnectionString("Owner")).UseSnakeCaseNamingConvention()
        );
        builder.Services.AddIdentityCore<User>(Security.AccountRules).AddEntityFrameworkStores<BoldContext>();
        builder.Services.Configure<PasswordHasherOptions>(options => options.IterationCount = Security.PasswordRounds);
        builder.Services.AddSchools(builder.Configuration);
        using var host = builder.Build();
        using var scope = host.Services.CreateScope();
        if (args is ["write-schemas", var folder])
        {
            // For who works on the product: docs/formats follows the tables.
            await File.WriteAllTextAsync(
                Path.Combine(folder, "school.schema.json"),
                SchoolSchema.Of(scope.ServiceProvider.GetRequiredService<BoldContext>()) + "\n"
            );
            foreach (var (name, schema) in DocumentSchemas.All)
                await File.WriteAllTextAsync(Path.Combine(folder, name), schema + "\n");
            return 0;
        }
        if (args is ["rebuild-memories", .. var named])
            return await Rebuild(host.Services, named);
        if (args is not (["migrate"] or ["load-demo", _]))
        {
            await Console.Error.WriteLineAsync(
                "Usage: BoldLadder.Web migrate | load-demo ACCOUNTS-FILE | rebuild-memories [SCHOOL-ID…] | write-schemas FOLDER"
            );
            return 2;
        }
        await scope.ServiceProvider.GetRequiredService<BoldContext>().Database.MigrateAsync();
        if (args is ["load-demo", var file])
            await scope.ServiceProvider.GetRequiredService<DemoSchool>().Load(file);
        return 0;
    }

    /// <summary>Makes what children remember anew, of the schools that are named, or of all.</summary>
    private static async Task<int> Rebuild(IServiceProvider services, IReadOnlyList<string> named)
    {
        var schools = new List<Guid>();
        foreach (var name in named)
        {
            if (!Guid.TryParse(name, out var id))
            {
                await Console.Error.WriteLineAsync($"{name} is no id of a school. It stands in the address: /s/ID/…");
                return 2;
            }
            schools.Add(id);
        }
        if (schools.Count == 0)
        {
            using var scope = services.CreateScope();
            var store = scope.ServiceProvider.GetRequiredService<BoldContext>();
            schools = await store.Schools.IgnoreQueryFilters().Select(s => s.SchoolId).ToListAsync();
        }
        foreach (var school in schools)
        {
            var count = await services.GetRequiredService<MemoryRebuild>().Of(school, CancellationToken.None);
            if (count is null)
            {
                await Console.Error.WriteLineAsync($"There is no school {school}. Leave it out for all schools.");
                return 1;
            }
            Console.WriteLine($"{school}: {count} memories made anew");
        }
        return 0;
    }
}
