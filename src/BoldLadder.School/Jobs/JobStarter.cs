using System.Text.Json;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Jobs;

/// <summary>Keeps a job and puts it in the line once that is committed.</summary>
public sealed class JobStarter(SchoolScope scope, IJobQueue queue)
{
    /// <summary>Jobs of a school that may wait or run at once.</summary>
    private const int MostOpen = 30;

    /// <param name="id">Made by who asks, so that what is sent twice is done once.</param>
    public async Task<Answer<JobView>> Start<T>(Guid id, string kind, T input)
    {
        if (id == Guid.Empty)
            return Refusal.Unusable("id-missing").About("job");
        await scope.Lock(id);
        if (await scope.Store.Jobs.AsNoTracking().SingleOrDefaultAsync(j => j.Id == id, scope.Stop) is { } known)
            return JobView.Of(known);
        var open = await scope.Store.Jobs.CountAsync(
            j => j.State == JobState.Waiting || j.State == JobState.Running,
            scope.Stop
        );
        if (open >= MostOpen)
            return Refusal.Conflict("too-many-jobs", ("most", MostOpen));
        var job = new StoredJob
        {
            SchoolId = scope.School.SchoolId,
            Id = id,
            Kind = kind,
            MadeBy = scope.UserId,
            MadeAt = scope.UtcNow,
            State = JobState.Waiting,
            Input = JsonSerializer.SerializeToUtf8Bytes(input, JsonSerializerOptions.Web),
        };
        scope.Store.Jobs.Add(job);
        await scope.Save();
        if (kind != JobTables.Elsewhere)
            scope.AfterRelease(() => queue.Put(job.SchoolId, job.Id));
        return JobView.Of(job);
    }

    /// <summary>What a job of this kind was given.</summary>
    public static T Read<T>(byte[] input) =>
        JsonSerializer.Deserialize<T>(input, JsonSerializerOptions.Web)
        ?? throw new InvalidOperationException("A job was given nothing.");
}
