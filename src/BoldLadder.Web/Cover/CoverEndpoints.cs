using System.Security.Cryptography;
using System.Text;
using BoldLadder.Core.Lessons;
using BoldLadder.Store;
using BoldLadder.Web.Groups;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using BoldLadder.Web.Style;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Cover;

/// <summary>A new way in for a cover adult. The code is shown once; only its hash is kept.</summary>
/// <param name="Key">What follows the # in the cover page's address: it never reaches a server log.</param>
public sealed record CoverPassView(string Key, DateOnly Date);

public sealed record CoverRequest(string Key);

/// <summary>Today's lesson for a cover adult: nothing about any child, nothing but this lesson.</summary>
public sealed record CoverView(
    string SchoolName, string GroupName, DateOnly Date, string RungLabel, int LessonMinutes, int Minutes, string Language, string PaperSize, Lesson Lesson, StyleView Style, IReadOnlyList<NoteView> Notes);

/// <summary>Access to one lesson for one day, without an account. Source: docs/handbook.md, sections 1 and 10.</summary>
public static class CoverEndpoints
{
    private const int CodeLetters = 20;

    public static void MapCoverPasses(this IEndpointRouteBuilder school)
    {
        school.MapPost("/groups/{groupId:guid}/lessons/{date}/cover", Give).WithName("giveCover");
        school.MapDelete("/groups/{groupId:guid}/lessons/{date}/cover", End).WithName("endCover");
    }

    public static void MapCover(this IEndpointRouteBuilder api) =>
        api.MapPost("/cover", Open).AllowAnonymous().RequireRateLimiting(Limits.SignIn).WithName("openCover");

    private static async Task<Results<Ok<CoverPassView>, ProblemHttpResult>> Give(Guid groupId, DateOnly date, SchoolScope scope)
    {
        var (group, problem) = await GroupEndpoints.Find(scope, groupId);
        if (group is null) return problem!;
        if (date < scope.Today) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "day-is-past", "That day is past. Give cover for today or a later day.");
        if (!await scope.Store.Lessons.AnyAsync(l => l.GroupId == groupId && l.Date == date)) return Problem.NotFound("no-lesson", "No lesson has been planned for this day yet. Open the day to plan it.");
        // One link opens a lesson: a new one ends the one before.
        await scope.Lock(groupId);
        await EndAll(scope, groupId, date);
        var code = RandomNumberGenerator.GetString("abcdefghjkmnpqrstuvwxyz23456789", CodeLetters);
        scope.Store.CoverPasses.Add(new CoverPass { SchoolId = scope.School.SchoolId, Id = Guid.CreateVersion7(), GroupId = groupId, Date = date, CodeHash = Hash(code), MadeBy = scope.UserId, MadeAt = scope.UtcNow });
        scope.Audit("cover-given", groupId);
        await scope.Store.SaveChangesAsync();
        return TypedResults.Ok(new CoverPassView($"{scope.School.SchoolId:N}.{code}", date));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> End(Guid groupId, DateOnly date, SchoolScope scope)
    {
        var (group, problem) = await GroupEndpoints.Find(scope, groupId);
        if (group is null) return problem!;
        await EndAll(scope, groupId, date);
        scope.Audit("cover-ended", groupId);
        await scope.Store.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task EndAll(SchoolScope scope, Guid groupId, DateOnly date)
    {
        foreach (var pass in await scope.Store.CoverPasses.Where(p => p.GroupId == groupId && p.Date == date && !p.Ended).ToListAsync()) pass.Ended = true;
    }

    /// <summary>Whoever gave cover must still be able to: a pass is no wider than its giver's role.</summary>
    private static async Task<bool> MayStillGive(SchoolScope scope, CoverPass pass) =>
        await scope.Store.Memberships.AsNoTracking().SingleOrDefaultAsync(m => m.UserId == pass.MadeBy) is { } giver
        && (giver.Role == Role.Lead || await scope.Store.GroupTeachers.AnyAsync(t => t.GroupId == pass.GroupId && t.UserId == pass.MadeBy));

    /// <summary>The lesson, on its day only; every wrong key gets the same answer.</summary>
    private static async Task<Results<Ok<CoverView>, ProblemHttpResult>> Open(CoverRequest request, SchoolScope scope, LessonMaking making, WordData words, Stamps stamps)
    {
        var cut = request.Key.Split('.');
        if (cut.Length != 2 || cut[1].Length != CodeLetters || !Guid.TryParseExact(cut[0], "N", out var schoolId)) return Refused();
        await using var transaction = await scope.Begin();
        if (!await scope.EnterAsCover(schoolId)) return Refused();
        var hash = Hash(cut[1]);
        var pass = await scope.Store.CoverPasses.AsNoTracking().SingleOrDefaultAsync(p => p.CodeHash == hash);
        if (pass is null || pass.Ended || pass.Date != scope.Today || !await MayStillGive(scope, pass)) return Refused();
        var group = await scope.Store.Groups.AsNoTracking().SingleAsync(g => g.Id == pass.GroupId);
        if (await scope.Store.Lessons.AsNoTracking().SingleOrDefaultAsync(l => l.GroupId == pass.GroupId && l.Date == pass.Date) is not { } lesson) return Refused();
        var rung = LessonMaking.RungOf(lesson, await making.Day(group, pass.Date));
        // A teacher's own note is for the teacher.
        var view = new CoverView(scope.School.Name, group.Name, pass.Date, LessonMaking.LabelOf(rung), group.LessonMinutes, lesson.Minutes, scope.School.Language, scope.School.PaperSize,
            lesson.Document with { Remark = null }, StyleEndpoints.View(scope, words, stamps), await StyleEndpoints.Notes(scope, stamps));
        scope.Audit("cover-opened", pass.GroupId);
        await scope.Store.SaveChangesAsync();
        await scope.Release();
        return TypedResults.Ok(view);
    }

    private static ProblemHttpResult Refused() => Problem.Of(StatusCodes.Status403Forbidden, "cover-over", "This cover link does not open a lesson today. It works on its day only; ask the school for a new one.");

    private static byte[] Hash(string code) => SHA256.HashData(Encoding.UTF8.GetBytes(code));
}
