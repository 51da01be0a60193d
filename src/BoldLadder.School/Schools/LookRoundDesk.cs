using BoldLadder.School.Jobs;
using BoldLadder.School.Refusals;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Schools;

/// <param name="Id">Of the job, made by who asks.</param>
public sealed record LookRoundRequest(Guid Id);

/// <summary>
/// A school to look round in, full of invented people and lessons, beside a lead's own: made for one person, and
/// deleted by them.
/// </summary>
public sealed class LookRoundDesk(SchoolScope scope, JobStarter jobs)
{
    public const string KindOfJob = "look-round";

    public async Task<Answer<JobView>> Make(LookRoundRequest request)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        return await HasOne(scope) ? There : await jobs.Start(request.Id, KindOfJob, request);
    }

    public static readonly Refusal There = Refusal.Conflict("look-round-there");

    /// <summary>True when who works in a scope has a school to look round in.</summary>
    public static Task<bool> HasOne(SchoolScope scope)
    {
        var me = scope.UserId;
        return scope.Store.LookRounds.IgnoreQueryFilters().AnyAsync(l => l.MadeBy == me, scope.Stop);
    }

    /// <summary>Deletes the school that is open, if it was made to look round in by who asks.</summary>
    public async Task<Answer<Done>> Delete()
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        var me = scope.UserId;
        if (!await scope.Store.LookRounds.AnyAsync(l => l.MadeBy == me, scope.Stop))
            return Refusal.NotAllowed("no-look-round");
        await Leaving.Delete(scope.Store, scope.Stop);
        return Done.It;
    }
}
