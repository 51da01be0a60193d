using BoldLadder.School.Jobs;
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
        // Backups are of the whole server: a school's state says nothing of them.
        school
            .MapGet("/backup", (BackupDesk desk) => desk.Last().Http())
            .WithMetadata(AskedEachTime.It)
            .WithName("getBackup");
        school
            .MapPost("/backup", (BackupRequest request, BackupDesk desk) => desk.Ask(request).Http())
            .WithName("askForBackup");
        school
            .MapPost("/look-round", (LookRoundRequest request, LookRoundDesk desk) => desk.Make(request).Http())
            .WithName("makeLookRound");
        school.MapDelete("/look-round", (LookRoundDesk desk) => desk.Delete().Http()).WithName("deleteLookRound");
    }
}
