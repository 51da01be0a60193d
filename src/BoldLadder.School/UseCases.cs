using BoldLadder.School.Children;
using BoldLadder.School.Groups;
using BoldLadder.School.Jobs;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Marks;
using BoldLadder.School.Papers;
using BoldLadder.School.People;
using BoldLadder.School.Printing;
using BoldLadder.School.Remote;
using BoldLadder.School.Schools;
using BoldLadder.School.Texts;
using BoldLadder.School.Transfer;
using BoldLadder.School.Weeks;
using BoldLadder.School.Words;
using BoldLadder.School.Work;
using Microsoft.Extensions.DependencyInjection;

namespace BoldLadder.School;

/// <summary>What a host adds to have the use cases: beside these a clock, word data, a cache and a store.</summary>
public static class UseCases
{
    public static void AddUseCases(this IServiceCollection services)
    {
        services.AddSingleton<HeavyWork>();
        services.AddSingleton<LadderStudy>();
        services.AddSingleton<SchoolLayers>();
        services.AddSingleton<MarkingFacts>();
        services.AddSingleton<RemoteRooms>();
        services.AddSingleton<PictureShelf>();
        services.AddScoped<SchoolScope>();
        services.AddScoped<AccountLog>();
        services.AddScoped<Accounts>();
        services.AddScoped<SecondFactor>();
        services.AddScoped<GroupPlaces>();
        services.AddScoped<Places>();
        services.AddScoped<ChildImport>();
        services.AddScoped<IJobWork>(s => s.GetRequiredService<ChildImport>());
        services.AddScoped<IJobWork, SchoolExport>();
        services.AddScoped<SchoolImport>();
        services.AddScoped<IJobWork>(s => s.GetRequiredService<SchoolImport>());
        services.AddScoped<IJobWork, WeekPlanning>();
        services.AddScoped<JobStarter>();
        services.AddSingleton<JobRunner>();
        services.AddScoped<LadderWork>();
        services.AddScoped<Drafts>();
        services.AddScoped<Standings>();
        services.AddScoped<LessonShelf>();
        services.AddScoped<GroupDays>();
        services.AddScoped<LessonRequests>();
        services.AddScoped<LessonMaking>();
        services.AddScoped<LessonReading>();
        services.AddScoped<EvidenceBooks>();
        services.AddScoped<GroupMemories>();
        services.AddScoped<CatchUps>();
        services.AddSingleton<MemoryRebuild>();
        services.AddScoped<ReadersLevels>();
        services.AddScoped<Shelves>();
        services.AddScoped<PaperDays>();
        services.AddScoped<TypedWords>();
        foreach (
            var desk in typeof(UseCases)
                .Assembly.GetExportedTypes()
                .Where(t => t.Name.EndsWith("Desk", StringComparison.Ordinal))
        )
            services.AddScoped(desk);
    }
}
