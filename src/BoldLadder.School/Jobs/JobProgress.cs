using System.Diagnostics;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace BoldLadder.School.Jobs;

/// <summary>
/// Says how far a job is, beside the job's own transaction so that others see it at once, and hears when it is to be
/// cancelled.
/// </summary>
public sealed class JobProgress(IServiceScopeFactory scopes, Guid school, Guid job, CancellationToken stop)
{
    private static readonly TimeSpan Pause = TimeSpan.FromMilliseconds(400);
    private readonly Stopwatch since = Stopwatch.StartNew();
    private int total = -1;

    /// <summary>True once somebody asked for it to be cancelled.</summary>
    public bool IsCancelled { get; private set; }

    /// <summary>Says how far it is, not more often than anybody can see.</summary>
    /// <exception cref="OperationCanceledException">It is to be cancelled, or the process ends.</exception>
    public async Task Report(int done, int of)
    {
        stop.ThrowIfCancellationRequested();
        if (of == total && since.Elapsed < Pause)
            return;
        total = of;
        since.Restart();
        await using var beside = scopes.CreateAsyncScope();
        var store = beside.ServiceProvider.GetRequiredService<BoldContext>();
        await using var transaction = await store.Database.BeginTransactionAsync(stop);
        store.EnterSchool(Guid.Empty, school);
        var row = await store.Jobs.SingleAsync(j => j.Id == job, stop);
        (row.Done, row.Total) = (done, of);
        await store.SaveChangesAsync(stop);
        await transaction.CommitAsync(stop);
        IsCancelled = row.IsToCancel;
        if (IsCancelled)
            throw new OperationCanceledException("The job is to be cancelled.");
    }
}
