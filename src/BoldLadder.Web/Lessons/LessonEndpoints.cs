using BoldLadder.Core.Lessons;
using BoldLadder.School.Lessons;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Lessons;

/// <summary>Opening, changing and closing a lesson: found by group and day, known by its id.</summary>
public static class LessonEndpoints
{
    public static void MapLessons(this IEndpointRouteBuilder school)
    {
        school
            .MapPut("/groups/{groupId:guid}/lessons/{date}", (Guid groupId, DateOnly date, LessonDesk desk) =>
                desk.Open(groupId, date).Http()
            )
            .WithMetadata(ReadersToo.It)
            .WithName("openLesson");
        school
            .MapGet("/groups/{groupId:guid}/lessons/{date}", (Guid groupId, DateOnly date, LessonDesk desk) =>
                desk.Show(groupId, date).Http()
            )
            .WithName("getLessonOfDay");
        var lesson = school.MapGroup("/lessons/{lessonId:guid}");
        lesson.MapGet("", (Guid lessonId, LessonDesk desk) => desk.Show(lessonId).Http()).WithName("getLesson");
        lesson
            .MapPost(
                "/commands",
                (
                    Guid lessonId,
                    LessonCommand command,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    LessonDesk desk
                ) => desk.Change(lessonId, command, ifMatch).Http()
            )
            .WithName("changeLesson");
        lesson
            .MapGet("/verdicts", (Guid lessonId, string text, string? part, LessonDesk desk) =>
                desk.Judge(lessonId, text, Kebab.Parse<PartKind>(part)).Http()
            )
            .WithName("getVerdicts");
        lesson
            .MapGet("/offers", (Guid lessonId, string? part, LessonDesk desk) =>
                desk.Offers(lessonId, Kebab.Parse<PartKind>(part)).Http()
            )
            .WithName("getOffers");
        lesson
            .MapPost(
                "/closing",
                (
                    Guid lessonId,
                    CloseRequest request,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    LessonDesk desk
                ) => desk.Close(lessonId, request, ifMatch).Http()
            )
            .WithName("closeLesson");
    }
}
