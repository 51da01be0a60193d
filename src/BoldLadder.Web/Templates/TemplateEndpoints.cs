using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Templates;

/// <summary>The template for a kind of day and a length.</summary>
/// <param name="Own">True when it is the school's; false for the shipped one.</param>
/// <param name="Weekday">1 for Monday; null for every day.</param>
/// <param name="Stamp">What If-Match gives back when it is saved or taken away.</param>
public sealed record TemplateView(LessonTemplate Template, int? Weekday, bool Own, string Stamp);

/// <param name="Templates">One for each kind of day and length: the school's, or else the shipped one; and the school's for single weekdays.</param>
/// <param name="NoStamp">The stamp of a weekday that has no template of its own yet, for its first one.</param>
public sealed record TemplatesView(IReadOnlyList<TemplateView> Templates, string NoStamp);

public sealed record TemplateRequest(LessonTemplate Template, int? Weekday = null);

/// <summary>What lessons are built from: shipped templates, and the school's own.</summary>
public static class TemplateEndpoints
{
    public static void MapTemplates(this IEndpointRouteBuilder school)
    {
        school.MapGet("/templates", async (SchoolScope scope, Stamps stamps) => TypedResults.Ok(await View(scope, stamps))).WithName("getTemplates");
        school.MapPut("/templates", Save).WithName("saveTemplate");
        school.MapDelete("/templates/{day}/{minutes:int}", Remove).WithName("removeTemplate");
    }

    private static async Task<TemplatesView> View(SchoolScope scope, Stamps stamps)
    {
        var own = await scope.Store.LessonTemplates.AsNoTracking().ToListAsync();
        var views = Enum.GetValues<LessonDay>().SelectMany(d => Pace.Lengths.Select(m => own.Find(t => t.Weekday is null && t.Document.Day == d && t.Document.Minutes == m) is { } mine
            ? new TemplateView(mine.Document, null, true, stamps.Of(mine.Document)) : new TemplateView(LessonTemplate.Shipped(d, m), null, false, stamps.Of<LessonTemplate?>(null))));
        return new TemplatesView([.. views, .. own.Where(t => t.Weekday is not null).OrderBy(t => t.Weekday).Select(t => new TemplateView(t.Document, t.Weekday, true, stamps.Of(t.Document)))],
            stamps.Of<LessonTemplate?>(null));
    }

    private static async Task<Results<Ok<TemplatesView>, ProblemHttpResult>> Save(
        TemplateRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, Stamps stamps)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        if (request.Weekday is { } named && !SchoolWeekday.Is(named)) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "bad-weekday", "Choose a day from Monday to Sunday, or every day.");
        try
        {
            request.Template.Checked();
        }
        catch (FormatException problem)
        {
            return Problem.Of(StatusCodes.Status422UnprocessableEntity, "bad-template", problem.Message);
        }
        await scope.LockSettings();
        var kept = Find(await scope.Store.LessonTemplates.ToListAsync(), request.Template.Day, request.Template.Minutes, request.Weekday);
        if (stamps.Stale(kept?.Document, ifMatch) is { } stale) return stale;
        if (kept is not null) kept.Document = request.Template;
        else scope.Store.LessonTemplates.Add(new StoredTemplate { SchoolId = scope.School.SchoolId, Id = Guid.CreateVersion7(), Weekday = request.Weekday, Document = request.Template });
        scope.Audit("template-saved", scope.School.SchoolId);
        await scope.Store.SaveChangesAsync();
        return TypedResults.Ok(await View(scope, stamps));
    }

    private static StoredTemplate? Find(List<StoredTemplate> all, LessonDay day, int minutes, int? weekday) => all.Find(t => t.Weekday == weekday && t.Document.Day == day && t.Document.Minutes == minutes);

    /// <summary>Back to the shipped template, or for a weekday to that of every day.</summary>
    private static async Task<Results<Ok<TemplatesView>, ProblemHttpResult>> Remove(
        string day, int minutes, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, Stamps stamps, int? weekday = null)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        await scope.LockSettings();
        if (Kebab.Parse<LessonDay>(day) is { } kind && Find(await scope.Store.LessonTemplates.ToListAsync(), kind, minutes, weekday) is { } kept)
        {
            if (stamps.Stale(kept.Document, ifMatch) is { } stale) return stale;
            scope.Store.LessonTemplates.Remove(kept);
            scope.Audit("template-removed", scope.School.SchoolId);
            await scope.Store.SaveChangesAsync();
        }
        return TypedResults.Ok(await View(scope, stamps));
    }
}
