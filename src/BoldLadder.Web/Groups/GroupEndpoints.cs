using BoldLadder.School.Groups;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Groups;

/// <summary>The groups this person may see, and what a group has been taught by a day.</summary>
public static class GroupEndpoints
{
    public static void MapGroups(this IEndpointRouteBuilder school)
    {
        school.MapGet("/groups", (GroupDesk desk) => desk.List().Http()).WithName("listGroups");
        school.MapPost("/groups", (NewGroup wanted, GroupsDesk desk) => desk.Make(wanted).Http()).WithName("makeGroup");
        school
            .MapPost("/groups/{groupId:guid}", (Guid groupId, GroupChange wanted, GroupsDesk desk) =>
                desk.Change(groupId, wanted).Http()
            )
            .WithName("changeGroup");
        school
            .MapDelete("/groups/{groupId:guid}", (Guid groupId, GroupsDesk desk) => desk.End(groupId).Http())
            .WithName("endGroup");
        school
            .MapPost("/groups/{groupId:guid}/ladder/look", (Guid groupId, MoveGroupRequest wanted, RegroupDesk desk) =>
                desk.LookAtMove(groupId, wanted).Http()
            )
            .WithName("lookAtMove");
        school
            .MapPost(
                "/groups/{groupId:guid}/ladder",
                (
                    Guid groupId,
                    MoveGroupRequest wanted,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    RegroupDesk desk
                ) => desk.Move(groupId, wanted, ifMatch).Http()
            )
            .WithName("moveGroup");
        school
            .MapPost("/groups/{groupId:guid}/split", (Guid groupId, SplitRequest wanted, RegroupDesk desk) =>
                desk.Split(groupId, wanted).Http()
            )
            .WithName("splitGroup");
        school
            .MapGet("/groups/{groupId:guid}/merge/{intoId:guid}", (Guid groupId, Guid intoId, RegroupDesk desk) =>
                desk.LookAtMerge(groupId, intoId).Http()
            )
            .WithName("lookAtMerge");
        school
            .MapPost("/groups/{groupId:guid}/merge/{intoId:guid}", (Guid groupId, Guid intoId, RegroupDesk desk) =>
                desk.Merge(groupId, intoId).Http()
            )
            .WithName("mergeGroup");
        school
            .MapPost("/new-year", (NewYearRequest wanted, NewYearDesk desk) => desk.Begin(wanted).Http())
            .WithName("beginYear");
        school.MapGet("/archive", (ArchiveDesk desk) => desk.List().Http()).WithName("listEndedGroups");
        school
            .MapGet("/archive/{groupId:guid}", (Guid groupId, ArchiveDesk desk) => desk.Show(groupId).Http())
            .WithName("getEndedGroup");
        school
            .MapGet(
                "/archive/{groupId:guid}/lessons/{lessonId:guid}",
                (Guid groupId, Guid lessonId, ArchiveDesk desk) => desk.ShowLesson(groupId, lessonId).Http()
            )
            .WithName("getArchivedLesson");
        school
            .MapGet("/groups/{groupId:guid}/mats/{date}", (Guid groupId, DateOnly date, MatDesk desk) =>
                desk.Show(groupId, date).Http()
            )
            .WithName("getMat");
    }
}
