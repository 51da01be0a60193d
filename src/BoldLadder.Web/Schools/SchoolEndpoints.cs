using BoldLadder.School.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Schools;

/// <summary>The school's own settings.</summary>
public static class SchoolEndpoints
{
    public static void MapSchool(this IEndpointRouteBuilder school)
    {
        school.MapGet("/settings", (SchoolDesk desk) => TypedResults.Ok(desk.Show())).WithName("getSchool");
        school
            .MapPost(
                "/settings",
                (SchoolRequest wanted, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolDesk desk) =>
                    desk.Save(wanted, ifMatch).Http()
            )
            .WithName("saveSchool");
    }
}
