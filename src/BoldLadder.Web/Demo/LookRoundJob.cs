using BoldLadder.School.Jobs;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;

namespace BoldLadder.Web.Demo;

/// <summary>Makes the demo school for one person, beside their own.</summary>
public sealed class LookRoundJob(SchoolScope scope, DemoSchool demo) : IJobWork
{
    public string Kind => LookRoundDesk.KindOfJob;

    public async Task<Answer<JobResult>> Run(byte[] input, JobProgress progress)
    {
        // Asked for twice before the first was made, there is still one.
        await scope.Lock(scope.UserId);
        if (await LookRoundDesk.HasOne(scope))
            return LookRoundDesk.There;
        var (own, done) = (scope.School.SchoolId, 0);
        await progress.Report(done, DemoSchool.Groups);
        await demo.MakeFor(scope.UserId, () => progress.Report(++done, DemoSchool.Groups));
        // What says that the job is done is a row of the school that asked for it.
        scope.Store.ChangeTracker.Clear();
        scope.Store.EnterSchool(scope.UserId, own);
        return new JobResult(DemoSchool.Groups);
    }
}
