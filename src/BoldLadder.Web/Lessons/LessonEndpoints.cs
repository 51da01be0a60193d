using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Teaching;
using BoldLadder.Store;
using BoldLadder.Web.Groups;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Lessons;

/// <summary>Opening, changing and closing a lesson.</summary>
public static class LessonEndpoints
{
    public static void MapLessons(this IEndpointRouteBuilder school)
    {
        school.MapPut("/groups/{groupId:guid}/lessons/{date}", Open).WithName("openLesson");
        school.MapGet("/groups/{groupId:guid}/lessons/{date}", Show).WithName("getLesson");
        school.MapPost("/groups/{groupId:guid}/lessons/{date}/commands", Change).WithName("changeLesson");
        school.MapGet("/groups/{groupId:guid}/lessons/{date}/verdicts", Judge).WithName("getVerdicts");
        school.MapPost("/groups/{groupId:guid}/lessons/{date}/closing", Close).WithName("closeLesson");
    }

    private static ProblemHttpResult NotPlanned() => Problem.NotFound("no-lesson", "No lesson has been planned for this day yet. Open the day to plan it.");

    private static ProblemHttpResult OutsideCalendar() => Problem.Of(StatusCodes.Status422UnprocessableEntity, "outside-calendar",
        "There are no lessons on that day: it is outside the school's terms, a weekend or a closed day. Choose a teaching day.");

    /// <summary>The stored lesson, planned first where there is none: sending it twice changes nothing.</summary>
    private static async Task<Results<Ok<LessonView>, ProblemHttpResult>> Open(Guid groupId, DateOnly date, SchoolScope scope, LessonMaking making)
    {
        var (group, problem) = await GroupEndpoints.Find(scope, groupId);
        if (group is null) return problem!;
        var day = await making.Day(group, date);
        if (!day.Calendar.IsTeachingDay(date)) return OutsideCalendar();
        await scope.Lock(groupId);
        if (await Stored(scope, groupId, date) is { } stored) return TypedResults.Ok(await making.View(stored, day));
        if (date < scope.Today)
        {
            return Problem.Of(StatusCodes.Status422UnprocessableEntity, "day-is-past", "That day is past and no lesson was planned for it. Open today or a later day.");
        }
        if (day.Rung is null) return LessonMaking.LadderClimbed();
        var lesson = await making.Plan(day, day.Rung);
        scope.Store.Lessons.Add(lesson);
        scope.Audit("lesson-planned", lesson.Id);
        await scope.Store.SaveChangesAsync();
        return TypedResults.Ok(await making.View(lesson, day));
    }

    private static async Task<Results<Ok<LessonView>, ProblemHttpResult>> Show(Guid groupId, DateOnly date, SchoolScope scope, LessonMaking making)
    {
        var (group, problem) = await GroupEndpoints.Find(scope, groupId);
        if (group is null) return problem!;
        return await Stored(scope, groupId, date) is { } stored ? TypedResults.Ok(await making.View(stored, await making.Day(group, date))) : NotPlanned();
    }

    private static async Task<Results<Ok<LessonView>, ProblemHttpResult>> Change(
        Guid groupId, DateOnly date, LessonCommand command, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, LessonMaking making, LessonChanges changes)
    {
        var (group, problem) = await GroupEndpoints.Find(scope, groupId);
        if (group is null) return problem!;
        await scope.Lock(groupId);
        if (await Stored(scope, groupId, date) is not { } lesson) return NotPlanned();
        if (await Stale(scope, lesson, ifMatch) is { } stale) return stale;
        if (lesson.Status != LessonStatus.Planned)
        {
            return Problem.Of(StatusCodes.Status409Conflict, "lesson-closed", "This lesson is closed and stays as it was taught. Open another day to plan.");
        }
        var day = await making.Day(group, date);
        var undone = command.Type == LessonCommandType.Undo ? await LastChange(scope, lesson) : null;
        var change = making.Change(lesson, System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(command.Type.ToString()), command.ItemId ?? command.ActivityId, undone?.Version);
        var (changed, refusal) = await changes.Apply(day, lesson, command, undone);
        if (refusal is not null) return refusal;
        scope.Store.LessonChanges.Add(change);
        if (command.Type is LessonCommandType.PlanAgain)
        {
            lesson.RungId = day.Rung!.Id;
            lesson.Stamp = making.Stamp(day, lesson.Stamp.Seed);
        }
        lesson.Document = changed!;
        lesson.Version++;
        LessonMaking.Describe(lesson);
        await scope.Store.SaveChangesAsync();
        return TypedResults.Ok(await making.View(lesson, day));
    }

    /// <summary>What the group can do on the day with a word or sentence that is being typed; of Revisit, before what is new.</summary>
    private static async Task<Results<Ok<IReadOnlyList<VerdictView>>, ProblemHttpResult>> Judge(Guid groupId, DateOnly date, string text, string? part, SchoolScope scope, LessonMaking making, SchoolLexicon words)
    {
        var (group, problem) = await GroupEndpoints.Find(scope, groupId);
        if (group is null) return problem!;
        if (text.Length > OwnItems.LongestText) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "text-missing", $"Type a word or a sentence of up to {OwnItems.LongestText} letters.");
        var day = await making.Day(group, date);
        var rung = await Stored(scope, groupId, date) is { } stored ? LessonMaking.RungOf(stored, day) : day.Rung;
        if (rung is null) return LessonMaking.LadderClimbed();
        var request = making.Request(day, rung, 0);
        var inRevisit = Kebab.Parse<PartKind>(part) == PartKind.Revisit;
        return TypedResults.Ok(making.Verdicts(day, OwnItems.Judge(text, inRevisit ? request.Before : request.After, (inRevisit ? request.TrickyBefore : request.TrickyToday).ToHashSet(), words.Lexicon, making.Places(day))));
    }

    private static async Task<Results<Ok<LessonView>, ProblemHttpResult>> Close(
        Guid groupId, DateOnly date, CloseRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, LessonMaking making)
    {
        var (group, problem) = await GroupEndpoints.Find(scope, groupId);
        if (group is null) return problem!;
        await scope.Lock(groupId);
        if (await Stored(scope, groupId, date) is not { } lesson) return NotPlanned();
        var entries = await scope.Store.TeachingLog.AsNoTracking().Where(e => e.GroupId == groupId && e.Date == date).ToListAsync();
        if (entries.Exists(e => e.Id == request.EntryId)) return TypedResults.Ok(await making.View(lesson, await making.Day(group, date)));
        if (await scope.Store.TeachingLog.AnyAsync(e => e.Id == request.EntryId)) return Problem.Unusable("id-taken", "Another lesson was closed under this id. Reload the page and close the lesson once more.");
        if (await Stale(scope, lesson, ifMatch) is { } stale) return stale;
        if (date > scope.Today)
        {
            return Problem.Of(StatusCodes.Status422UnprocessableEntity, "day-to-come", "This lesson is still to come. Close it on its day.");
        }
        if (request.EntryId == Guid.Empty || (request.Outcome == LessonOutcome.Stopped && (request.StoppedAt is null || lesson.Document.Find(request.StoppedAt) is null)))
        {
            return Problem.Of(StatusCodes.Status422UnprocessableEntity, "closing-incomplete", "Say which activity you stopped at: choose one of this lesson's.");
        }
        var day = await making.Day(group, date);
        making.Close(lesson, request, entries);
        await scope.Store.SaveChangesAsync();
        await making.RenewNext(group, date);
        return TypedResults.Ok(await making.View(lesson, await making.Day(group, date)));
    }

    private static Task<StoredLesson?> Stored(SchoolScope scope, Guid groupId, DateOnly date) =>
        scope.Store.Lessons.SingleOrDefaultAsync(l => l.GroupId == groupId && l.Date == date);

    private static async Task<LessonChange?> LastChange(SchoolScope scope, StoredLesson lesson)
    {
        var changes = await scope.Store.LessonChanges.AsNoTracking().Where(c => c.LessonId == lesson.Id).OrderByDescending(c => c.Version).ToListAsync();
        var undone = changes.Select(c => c.Undoes).OfType<int>().ToHashSet();
        return changes.Find(c => c.Undoes is null && !undone.Contains(c.Version));
    }

    /// <summary>The answer to a change that was made on another version: what has happened since, so that nothing is lost.</summary>
    private static async Task<ProblemHttpResult?> Stale(SchoolScope scope, StoredLesson lesson, string? ifMatch)
    {
        if (Stamps.Number(ifMatch) is not { } version) return Stamps.Missing();
        if (version == lesson.Version) return null;
        var since = await scope.Store.LessonChanges.Where(c => c.LessonId == lesson.Id && c.Version > version).OrderBy(c => c.Version)
            .Select(c => new ChangeSince(c.Version, c.Command, c.Subject, c.At)).ToListAsync();
        return Problem.Of(StatusCodes.Status409Conflict, "changed-meanwhile",
            "Someone changed this lesson meanwhile. It has been loaded again as it is now; make your change once more.",
            new() { ["version"] = lesson.Version, ["since"] = since });
    }
}
