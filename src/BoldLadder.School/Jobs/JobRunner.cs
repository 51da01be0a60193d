using System.Diagnostics.Metrics;
using System.Globalization;
using System.Text.Json;
using BoldLadder.Core;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace BoldLadder.School.Jobs;

/// <summary>
/// Runs a job that is kept: in one unit of work of who made it, which also says that it is done. So a process that is
/// killed leaves nothing half done, and the job is run again from its beginning.
/// </summary>
public sealed class JobRunner(IServiceScopeFactory scopes, Clock clock)
{
    /// <summary>What a host asks for to count jobs that ended, by kind and state.</summary>
    public const string MeterName = "BoldLadder";

    private const int MostTries = 3;

    private static readonly Counter<long> Ended = new Meter(MeterName).CreateCounter<long>("bold.jobs.ended");

    /// <exception cref="OperationCanceledException">The process ends; the job is to be run again.</exception>
    public async Task Run(Guid school, Guid id, CancellationToken stop)
    {
        if (await Begin(school, id, stop) is not { } job)
            return;
        var progress = new JobProgress(scopes, school, id, stop);
        Refusal? refusal;
        try
        {
            refusal = await Work(job, progress, stop);
        }
        catch (OperationCanceledException) when (progress.IsCancelled)
        {
            await End(job, JobState.Cancelled, null);
            return;
        }
        catch (RefusedException refused)
        {
            refusal = Refused.Of(refused);
        }
        catch (Exception) when (!stop.IsCancellationRequested)
        {
            await End(job, JobState.Failed, JobFailed);
            throw;
        }
        if (refusal is not null)
            await End(job, JobState.Failed, refusal);
    }

    private static readonly Refusal JobFailed = Refusal.Conflict("job-failed");

    /// <summary>The job, said to be running; null when it has ended or is not there.</summary>
    private async Task<StoredJob?> Begin(Guid school, Guid id, CancellationToken stop)
    {
        await using var beside = scopes.CreateAsyncScope();
        var store = beside.ServiceProvider.GetRequiredService<BoldContext>();
        await using var transaction = await store.Database.BeginTransactionAsync(stop);
        store.EnterSchool(Guid.Empty, school);
        if (await store.Jobs.SingleOrDefaultAsync(j => j.Id == id, stop) is not { EndedAt: null, Input: not null } job)
            return null;
        (job.State, job.Tries) = (JobState.Running, job.Tries + 1);
        if (job.IsToCancel || job.Tries > MostTries)
        {
            Close(job, job.IsToCancel ? JobState.Cancelled : JobState.Failed, job.IsToCancel ? null : JobFailed);
            await store.SaveChangesAsync(stop);
            await transaction.CommitAsync(stop);
            return null;
        }
        await store.SaveChangesAsync(stop);
        await transaction.CommitAsync(stop);
        return job;
    }

    /// <summary>Does it; gives why it was refused.</summary>
    private async Task<Refusal?> Work(StoredJob job, JobProgress progress, CancellationToken stop)
    {
        await using var inside = scopes.CreateAsyncScope();
        var services = inside.ServiceProvider;
        var scope = services.GetRequiredService<SchoolScope>();
        if (!await scope.Open(job.MadeBy, job.SchoolId, stop))
            return Refused.UnknownSchool;
        CultureInfo.CurrentUICulture = CultureInfo.GetCultureInfo(scope.School.Language);
        if (scope.ReaderOnly() is { } reader)
            return reader;
        // Where two processes have it, one runs it and the other finds it done.
        await scope.Lock(job.Id);
        var row = await scope.Store.Jobs.AsNoTracking().SingleAsync(j => j.Id == job.Id, stop);
        if (row.EndedAt is not null)
            return null;
        var work = services.GetServices<IJobWork>().Single(w => w.Kind == job.Kind);
        var answer = await work.Run(job.Input!, progress);
        if (answer.Refusal is { } refusal)
            return refusal;
        var (count, file, name) = answer.Value;
        var now = await scope.Store.Jobs.SingleAsync(j => j.Id == job.Id, stop);
        Close(now, JobState.Done, null);
        (now.Done, now.Total, now.Result, now.ResultName) = (count, count, file, name);
        await scope.Save();
        await scope.Release();
        Count(job, JobState.Done);
        return null;
    }

    private async Task End(StoredJob job, JobState state, Refusal? refusal)
    {
        await using var beside = scopes.CreateAsyncScope();
        var store = beside.ServiceProvider.GetRequiredService<BoldContext>();
        await using var transaction = await store.Database.BeginTransactionAsync();
        store.EnterSchool(Guid.Empty, job.SchoolId);
        Close(await store.Jobs.SingleAsync(j => j.Id == job.Id), state, refusal);
        await store.SaveChangesAsync();
        await transaction.CommitAsync();
        Count(job, state);
    }

    private static void Count(StoredJob job, JobState state) =>
        Ended.Add(1, new("kind", job.Kind), new("state", state.Code()));

    private void Close(StoredJob job, JobState state, Refusal? refusal) =>
        (job.State, job.EndedAt, job.Input, job.Refusal, job.RefusalArguments) = (
            state,
            clock.UtcNow,
            null,
            refusal?.Sentence,
            refusal is null ? null : JsonSerializer.Serialize(refusal.Arguments, JsonSerializerOptions.Web)
        );
}
