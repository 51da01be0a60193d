using BoldLadder.Formats.Calendars;
using BoldLadder.School.Calendars;
using BoldLadder.Web.Setup;
using BoldLadder.Wording;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BoldLadder.Web.Calendars;

/// <summary>Groups' lessons as calendars to subscribe to: made and ended by people, fetched by programs.</summary>
public static class FeedEndpoints
{
    public static void MapFeeds(this IEndpointRouteBuilder school)
    {
        school.MapGet("/feeds", (FeedDesk desk) => desk.List().Http()).WithName("listFeeds");
        school.MapPost("/feeds", (NewFeed wanted, FeedDesk desk) => desk.Make(wanted).Http()).WithName("makeFeed");
        school
            .MapDelete("/feeds/{feedId:guid}", (Guid feedId, FeedDesk desk) => desk.End(feedId).Http())
            .WithName("endFeed");
    }

    /// <summary>A calendar program knows nothing but the address, so the secret is in it.</summary>
    public static void MapCalendarPrograms(this IEndpointRouteBuilder api) =>
        api.MapGet(
                "/calendars/{key}/lessons.ics",
                async Task<Results<ContentHttpResult, ProblemHttpResult>> (
                    string key,
                    FeedDesk desk,
                    CancellationToken stop
                ) =>
                {
                    var opened = await desk.Open(key, stop);
                    return opened.Refusal is { } refusal
                        ? Problem.Of(refusal)
                        : TypedResults.Text(Written(opened.Value), "text/calendar; charset=utf-8");
                }
            )
            .AllowAnonymous()
            .RequireRateLimiting(Limits.SignIn)
            .WithName("openCalendar");

    private static string Written(GroupCalendar calendar)
    {
        var catalogue = Catalogue.Of(calendar.Language);
        return LessonsIcal.Write(
            $"{calendar.GroupName}, {calendar.SchoolName}",
            calendar.Days.Select(d => new CalendarLesson(
                Id: d.Id,
                Date: d.Date,
                Title: $"{calendar.GroupName}: {catalogue.Label(d.Label)}",
                Minutes: d.Minutes
            )),
            calendar.StartsAt,
            calendar.Zone,
            calendar.MadeAt
        );
    }
}
