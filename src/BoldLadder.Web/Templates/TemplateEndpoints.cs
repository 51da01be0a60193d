using BoldLadder.Core.Lessons.Templates;
using BoldLadder.School.Templates;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Templates;

/// <summary>What lessons are built from: shipped templates, and the school's own.</summary>
public static class TemplateEndpoints
{
    public static void MapTemplates(this IEndpointRouteBuilder school)
    {
        school.MapGet("/templates", (TemplateDesk desk) => desk.View().Http()).WithName("getTemplates");
        school
            .MapPost("/templates/fit", (SlotRequest request, TemplateDesk desk) => desk.Fit(request).Http())
            .WithName("tryTemplateSlot");
        school
            .MapPut(
                "/templates",
                (TemplateRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, TemplateDesk desk) =>
                    desk.Save(request, ifMatch).Http()
            )
            .WithName("saveTemplate");
        school
            .MapDelete(
                "/templates/{day}/{minutes:int}",
                (
                    string day,
                    int minutes,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    TemplateDesk desk,
                    int? weekday = null
                ) => desk.Remove(Kebab.Parse<LessonDay>(day), minutes, ifMatch, weekday).Http()
            )
            .WithName("removeTemplate");
    }
}
