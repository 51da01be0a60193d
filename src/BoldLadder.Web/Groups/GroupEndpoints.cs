using BoldLadder.School.Groups;
using BoldLadder.Web.Setup;

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
            .MapGet("/groups/{groupId:guid}/mats/{date}", (Guid groupId, DateOnly date, MatDesk desk) =>
                desk.Show(groupId, date).Http()
            )
            .WithName("getMat");
    }
}
