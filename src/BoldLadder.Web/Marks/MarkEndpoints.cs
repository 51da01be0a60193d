using BoldLadder.School.Marks;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Marks;

/// <summary>Marks of a lesson, and what is remembered.</summary>
public static class MarkEndpoints
{
    public static void MapMarks(this IEndpointRouteBuilder school)
    {
        var marks = school.MapGroup("/lessons/{lessonId:guid}/marks");
        marks.MapGet("", (Guid lessonId, MarkDesk desk) => desk.Show(lessonId).Http()).WithName("getMarks");
        marks
            .MapPost("", (Guid lessonId, MarksGiven given, MarkDesk desk) => desk.Take(lessonId, given).Http())
            .WithMetadata(ReadersToo.It)
            .WithName("takeMarks");
        marks
            .MapPost("/attempt", (Guid lessonId, AttemptAsked asked, MarkDesk desk) =>
                desk.Judge(lessonId, asked).Http()
            )
            .WithMetadata(ReadersToo.It)
            .WithName("judgeAttempt");
        school
            .MapGet("/groups/{groupId:guid}/memory", (Guid groupId, GroupTodayDesk desk) => desk.Show(groupId).Http())
            .WithName("getGroupMemory");
        school
            .MapGet("/children/{childId:guid}/memory", (Guid childId, ChildMemoryDesk desk) =>
                desk.Show(childId).Http()
            )
            .WithName("getChildMemory");
        school.MapGet("/memory", (SchoolMemoryDesk desk) => desk.Show().Http()).WithName("getSchoolMemory");
        var catchUp = school.MapGroup("/groups/{groupId:guid}/catch-up");
        catchUp.MapGet("", (Guid groupId, CatchUpDesk desk) => desk.Needs(groupId).Http()).WithName("getCatchUpNeeds");
        catchUp
            .MapPost("/plan", (Guid groupId, CatchUpAsked asked, CatchUpDesk desk) => desk.Make(groupId, asked).Http())
            .WithMetadata(ReadersToo.It)
            .WithName("makeCatchUp");
        catchUp
            .MapPost("", (Guid groupId, CatchUpHeld held, CatchUpDesk desk) => desk.Keep(groupId, held).Http())
            .WithMetadata(ReadersToo.It)
            .WithName("keepCatchUp");
    }
}
