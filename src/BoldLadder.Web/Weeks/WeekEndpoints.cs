using BoldLadder.School.Weeks;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Weeks;

/// <summary>The week screen, and what to have ready for some days.</summary>
public static class WeekEndpoints
{
    public static void MapWeeks(this IEndpointRouteBuilder school)
    {
        school
            .MapGet("/weeks/{date}", (DateOnly date, WeekDesk desk, int weeks = 1) => desk.Show(date, weeks).Http())
            .WithName("getWeek");
        school.MapGet("/weeks", (WeekDesk desk, int weeks = 1) => desk.Next(weeks).Http()).WithName("getNextWeek");
        school
            .MapPost("/weeks/planning", (PlanningRequest request, PlanningDesk desk) => desk.Start(request).Http())
            .WithName("planLessons");
        school
            .MapGet(
                "/groups/{groupId:guid}/gathering/{date}",
                (Guid groupId, DateOnly date, WeekDesk desk, int days = 1) => desk.Gather(groupId, date, days).Http()
            )
            .WithName("getGathering");
    }
}
