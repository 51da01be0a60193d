using BoldLadder.School.Jobs;
using BoldLadder.Store;
using Quartz;

namespace BoldLadder.Web.Jobs;

/// <summary>Runs a job that is kept: the name of the Quartz job is its id, the group its school's.</summary>
public sealed class SchoolJob(JobRunner runner) : IJob
{
    public static JobKey KeyOf(Guid school, Guid job) => new($"{job}", $"{school}");

    public Task Execute(IJobExecutionContext context)
    {
        var key = context.JobDetail.Key;
        return runner.Run(Guid.Parse(key.Group), Guid.Parse(key.Name), context.CancellationToken);
    }
}

/// <summary>
/// Looks for jobs that are in no line: their process was killed between keeping one and putting it there, or ended
/// while it ran. What jobs made goes after a day.
/// </summary>
[DisallowConcurrentExecution]
public sealed class JobRound(BoldContext store, IJobQueue queue) : IJob
{
    public async Task Execute(IJobExecutionContext context)
    {
        foreach (var job in await JobTables.Tidy(store, context.CancellationToken))
            await queue.Put(job.SchoolId, job.Id);
    }
}

/// <summary>Once a day goes what is kept no longer (setting <c>KeepMonths</c>).</summary>
[DisallowConcurrentExecution]
public sealed class RetentionRound(BoldContext store, IConfiguration settings) : IJob
{
    private const int UsualMonths = 36;

    public Task Execute(IJobExecutionContext context) =>
        Retention.Tidy(store, settings.GetValue("KeepMonths", UsualMonths), context.CancellationToken);
}
