using System.Globalization;
using BoldLadder.School;
using BoldLadder.School.Jobs;
using BoldLadder.School.People;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.School.Work;
using BoldLadder.Web.Demo;
using BoldLadder.Web.Mail;
using BoldLadder.Web.Schools;

namespace BoldLadder.Web.Setup;

/// <summary>The use cases, with what the settings say.</summary>
public static class Rooms
{
    public static void AddSchools(this IServiceCollection services, IConfiguration configuration)
    {
        services.AddSingleton(TimeProvider.System);
        services.AddSingleton(time => new Clock(
            time.GetRequiredService<TimeProvider>(),
            configuration["Today"] is { Length: > 0 } day
                ? DateOnly.ParseExact(day, "yyyy-MM-dd", CultureInfo.InvariantCulture)
                : null
        ));
        services.AddSingleton(_ => new WordData(configuration["DataFolder"]));
        services.AddSingleton(_ => new WorkCache(configuration.GetValue("CacheMegabytes", WorkCache.UsualMegabytes)));
        services.AddSingleton(_ => Passwords.Shipped());
        services.AddSingleton<KeptAnswers>();
        services.AddLetters(configuration);
        services.AddUseCases();
        services.AddScoped<DemoSchool>();
        services.AddScoped<IJobWork, LookRoundJob>();
    }
}
