using BoldLadder.School.Calendars;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Calendars;

/// <summary>The school's calendar, and ladders laid on it.</summary>
public static class CalendarEndpoints
{
    public static void MapCalendars(this IEndpointRouteBuilder school)
    {
        school.MapGet("/calendar", (CalendarDesk desk) => desk.View().Http()).WithName("getCalendar");
        school
            .MapPost(
                "/calendar",
                (CalendarSettings wanted, [FromHeader(Name = "If-Match")] string? ifMatch, CalendarDesk desk) =>
                    desk.Save(wanted, ifMatch).Http()
            )
            .WithName("saveCalendar");
        school
            .MapPost("/calendar/files/look", (DatesFile file, DatesDesk desk) => desk.Look(file).Http())
            .TakesFile(1)
            .WithName("lookAtDates");
        school
            .MapGet(
                "/ladders/{ladderId:guid}/versions/{version:int}/dates",
                (Guid ladderId, int version, CalendarDesk desk) => desk.Dates(ladderId, version).Http()
            )
            .WithName("getDates");
        school
            .MapGet("/ladders/{ladderId:guid}/draft/dates", (Guid ladderId, CalendarDesk desk) =>
                desk.DraftDates(ladderId).Http()
            )
            .WithName("getDraftDates");
    }
}
