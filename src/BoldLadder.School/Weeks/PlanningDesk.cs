using BoldLadder.School.Jobs;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;

namespace BoldLadder.School.Weeks;

/// <summary>Has many lessons of one's own groups planned in the background.</summary>
public sealed class PlanningDesk(SchoolScope scope, JobStarter jobs)
{
    private const int MostAtOnce = 400;

    public async Task<Answer<JobView>> Start(PlanningRequest request)
    {
        if (scope.ReaderOnly() is { } reader)
            return reader;
        if (request.Places.Count is 0 or > MostAtOnce)
            return Refusal.Unusable("too-many-lessons", ("most", MostAtOnce));
        foreach (var group in request.Places.Select(p => p.GroupId).Distinct())
        {
            if ((await scope.Group(group)).Refusal is { } unknown)
                return unknown;
        }
        return await jobs.Start(request.Id, WeekPlanning.KindOfJob, request);
    }
}
