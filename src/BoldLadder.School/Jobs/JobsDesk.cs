using System.Text.Json.Serialization;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Jobs;

/// <summary>A job as screens show it.</summary>
/// <param name="Done">How far it is, of <paramref name="Total"/>; 0 of 0 while that is not known.</param>
/// <param name="Refusal">
/// The key of the sentence that says why it was not done; null when it was, or is not yet.
/// </param>
/// <param name="RefusalArguments">What the sentence needs, as JSON.</param>
/// <param name="FileName">What it made and can be fetched; null for nothing.</param>
public sealed record JobView(
    Guid Id,
    string Kind,
    JobState State,
    int Done,
    int Total,
    DateTime MadeAt,
    DateTime? EndedAt,
    [property: JsonIgnore] string? Refusal,
    [property: JsonIgnore] string? RefusalArguments,
    string? FileName
)
{
    /// <summary>The sentence that says why it was not done, in the school's language.</summary>
    public string? Problem { get; init; }

    internal static JobView Of(StoredJob job) =>
        new(
            Id: job.Id,
            Kind: job.Kind,
            State: job.State,
            Done: job.Done,
            Total: job.Total,
            MadeAt: job.MadeAt,
            EndedAt: job.EndedAt,
            Refusal: job.Refusal,
            RefusalArguments: job.RefusalArguments,
            FileName: job.ResultName
        );
}

/// <summary>A file that a job made.</summary>
public sealed record JobFile(string Name, byte[] Content);

/// <summary>What runs in the background for a person, and what came of it.</summary>
public sealed class JobsDesk(SchoolScope scope)
{
    private const int Shown = 20;

    private static readonly Refusal UnknownJob = Refusal.NotFound("unknown-job");

    private IQueryable<StoredJob> Mine
    {
        get
        {
            var me = scope.UserId;
            return scope.Store.Jobs.Where(j => j.MadeBy == me);
        }
    }

    /// <summary>One's own jobs, the newest first.</summary>
    public async Task<List<JobView>> List() =>
        await Mine.OrderByDescending(j => j.MadeAt)
            .Take(Shown)
            .Select(j => new JobView(
                Id: j.Id,
                Kind: j.Kind,
                State: j.State,
                Done: j.Done,
                Total: j.Total,
                MadeAt: j.MadeAt,
                EndedAt: j.EndedAt,
                Refusal: j.Refusal,
                RefusalArguments: j.RefusalArguments,
                FileName: j.Result == null ? null : j.ResultName
            ))
            .ToListAsync(scope.Stop);

    /// <summary>
    /// Asks for it to be cancelled: what it has done so far is taken back. One that has ended stays as it is.
    /// </summary>
    public async Task<Answer<List<JobView>>> Cancel(Guid id)
    {
        if (await Mine.SingleOrDefaultAsync(j => j.Id == id, scope.Stop) is not { } job)
            return UnknownJob;
        if (job.EndedAt is null)
            job.IsToCancel = true;
        // What waits for someone else is not begun any more; nobody may come for long.
        if (job is { Kind: JobTables.Elsewhere, State: JobState.Waiting })
            (job.State, job.EndedAt, job.Input) = (JobState.Cancelled, scope.UtcNow, null);
        await scope.Save();
        return await List();
    }

    public async Task<Answer<JobFile>> Fetch(Guid id)
    {
        if (await Mine.AsNoTracking().SingleOrDefaultAsync(j => j.Id == id, scope.Stop) is not { } job)
            return UnknownJob;
        if (scope.LeadOnly() is { } refused)
            return refused;
        return job is { Result: { } file, ResultName: { } name }
            ? new JobFile(name, file)
            : Refusal.NotFound("job-file-gone");
    }
}
