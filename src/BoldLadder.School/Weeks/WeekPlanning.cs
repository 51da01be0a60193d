using System.Globalization;
using BoldLadder.School.Jobs;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;

namespace BoldLadder.School.Weeks;

/// <summary>What is done with many lessons at once.</summary>
public enum PlanningWish
{
    /// <summary>Days without a lesson get one.</summary>
    Plan,

    /// <summary>What can't be read any more is replaced.</summary>
    Repair,

    /// <summary>Lessons for another rung than the day's are made anew.</summary>
    PlanAgain,
}

/// <param name="Id">Made by who asks, so that what is sent twice is done once.</param>
public sealed record PlanningRequest(Guid Id, PlanningWish Wish, IReadOnlyList<PlanningPlace> Places);

/// <param name="LessonId">The lesson as it was seen, of <paramref name="Version"/>; null where there is none.</param>
public sealed record PlanningPlace(Guid GroupId, DateOnly Date, Guid? LessonId, int Version);

/// <summary>
/// Many lessons planned, mended or made anew in the background, day by day, each on what the ones before it show. A
/// lesson that someone planned or changed meanwhile stays as it is.
/// </summary>
public sealed class WeekPlanning(SchoolScope scope, LessonDesk lessons) : IJobWork
{
    public const string KindOfJob = "plan-lessons";

    public string Kind => KindOfJob;

    public async Task<Answer<JobResult>> Run(byte[] input, JobProgress progress)
    {
        var request = JobStarter.Read<PlanningRequest>(input);
        // In one order for all, so that no two wait for each other.
        foreach (var group in request.Places.Select(p => p.GroupId).Distinct().Order())
            await scope.Lock(group);
        var (done, at) = (0, 0);
        foreach (var place in request.Places.OrderBy(p => p.Date))
        {
            await progress.Report(at++, request.Places.Count);
            if ((await One(request.Wish, place)).Refusal is null)
                done++;
            scope.Store.ChangeTracker.Clear();
        }
        await progress.Report(at, request.Places.Count);
        return new JobResult(done);
    }

    private Task<Answer<LessonView>> One(PlanningWish wish, PlanningPlace place) =>
        wish == PlanningWish.Plan
            ? lessons.Open(place.GroupId, place.Date)
            : lessons.Change(
                place.LessonId ?? Guid.Empty,
                wish == PlanningWish.Repair ? new RepairLesson() : new PlanAgain(),
                place.Version.ToString(CultureInfo.InvariantCulture)
            );
}
