using BoldLadder.School.Jobs;
using Npgsql;
using Quartz;

namespace BoldLadder.Web.Jobs;

/// <summary>
/// The line of jobs, in PostgreSQL by Quartz: any process of several takes the next, and takes over from one that is
/// there no more. The setting <c>Jobs</c> turns it off where a process is only to answer.
/// </summary>
public sealed partial class JobLine(ISchedulerFactory schedulers, ILogger<JobLine> log) : IJobQueue
{
    /// <summary>Jobs at once in a process: they share its two cores with who waits for an answer.</summary>
    private const int AtOnce = 2;
    private const int Connections = 6;
    private static readonly TimeSpan CheckIn = TimeSpan.FromSeconds(2);
    private static readonly TimeSpan Round = TimeSpan.FromSeconds(20);
    private static readonly TimeSpan Day = TimeSpan.FromDays(1);

    public async Task Put(Guid schoolId, Guid jobId)
    {
        var key = SchoolJob.KeyOf(schoolId, jobId);
        try
        {
            var line = await schedulers.GetScheduler();
            if (await line.CheckExists(key))
            {
                // One that could not even be begun is set aside there; it is still to be done.
                await line.ResetTriggerFromErrorState(new TriggerKey(key.Name, key.Group));
                return;
            }
            await line.ScheduleJob(
                JobBuilder.Create<SchoolJob>().WithIdentity(key).RequestRecovery().Build(),
                TriggerBuilder.Create().WithIdentity(key.Name, key.Group).StartNow().Build()
            );
        }
        catch (ObjectAlreadyExistsException)
        {
            // Another process put it there at the same moment.
        }
        catch (SchedulerException problem)
        {
            // The job is kept, and whoever asked is told so; the next round puts it in the line.
            NotPut(problem);
        }
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "A job could not be put in the line; the next round does it.")]
    private partial void NotPut(Exception problem);

    /// <param name="runs">False where nothing is to be run, whatever the settings say.</param>
    public static void Add(IServiceCollection services, IConfiguration configuration, bool runs)
    {
        if (!runs || !configuration.GetValue("Jobs", true))
        {
            services.AddSingleton<IJobQueue, NoLine>();
            return;
        }
        services.AddSingleton<IJobQueue, JobLine>();
        var connection = new NpgsqlConnectionStringBuilder(configuration.GetConnectionString("App"))
        {
            MaxPoolSize = Connections,
        };
        services.AddQuartz(quartz =>
        {
            quartz.SchedulerName = "bold";
            quartz.SchedulerId = "AUTO";
            quartz.InterruptJobsOnShutdown = true;
            quartz.UseDefaultThreadPool(AtOnce);
            quartz.UsePersistentStore(kept =>
            {
                kept.UseProperties = true;
                kept.PerformSchemaValidation = false;
                kept.UseSystemTextJsonSerializer();
                kept.UsePostgres(connection.ConnectionString);
                kept.UseClustering(cluster =>
                {
                    cluster.CheckinInterval = CheckIn;
                    cluster.CheckinMisfireThreshold = CheckIn;
                });
            });
            Repeat<JobRound>(quartz, "round", Round);
            Repeat<RetentionRound>(quartz, "retention", Day);
        });
        services.AddQuartzHostedService(quartz => quartz.WaitForJobsToComplete = false);
    }

    /// <summary>What is done at the start, and again each so often, by one process of several.</summary>
    private static void Repeat<T>(IServiceCollectionQuartzConfigurator quartz, string name, TimeSpan each)
        where T : IJob
    {
        var key = new JobKey(name, "bold");
        quartz.AddJob<T>(key, job => job.StoreDurably());
        quartz.AddTrigger(trigger =>
            trigger
                .ForJob(key)
                .WithIdentity(name, "bold")
                .StartNow()
                .WithSimpleSchedule(s =>
                    s.WithInterval(each).RepeatForever().WithMisfireHandlingInstructionNextWithRemainingCount()
                )
        );
    }

    /// <summary>Where no job is run: a process that runs them finds what is kept on its next round.</summary>
    private sealed class NoLine : IJobQueue
    {
        public Task Put(Guid schoolId, Guid jobId) => Task.CompletedTask;
    }
}
