using BoldLadder.Core.Lessons;
using BoldLadder.School.Lessons;
using BoldLadder.School.People;
using BoldLadder.School.Printing;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Cover;

/// <summary>A new way in for a cover adult. The code is shown once; only its hash is kept.</summary>
/// <param name="Key">What follows the # in the cover page's address: it never reaches a server log.</param>
public sealed record CoverPassView(string Key, DateOnly Date);

public sealed record CoverRequest(string Key);

/// <summary>Today's lesson for a cover adult, with its sheets and cards: nothing about any child, nothing but this
/// lesson.</summary>
public sealed record CoverView(
    string SchoolName,
    string GroupName,
    DateOnly Date,
    string RungLabel,
    int LessonMinutes,
    int Minutes,
    string Language,
    string PaperSize,
    Lesson Lesson,
    LessonPack Pack,
    StyleView Style
);

/// <summary>
/// Access to one lesson for one day, without an account. Source: docs/handbook.md, sections 1 and 10.
/// </summary>
public sealed class CoverDesk(SchoolScope scope, GroupDays groupDays, LessonRequests requests, StyleDesk style)
{
    public async Task<Answer<CoverPassView>> Give(Guid lessonId)
    {
        if (await Find(lessonId) is not { } lesson)
            return Refused.UnknownLesson;
        if (lesson.Date < scope.Today)
            return Refusal.Unusable("day-is-past").About("cover");
        // One link opens a lesson: a new one ends the one before.
        await scope.Lock(lesson.GroupId);
        await EndAll(lessonId);
        var code = OneTimeCode.Make();
        scope.Store.CoverPasses.Add(
            new CoverPass
            {
                SchoolId = scope.School.SchoolId,
                Id = Guid.CreateVersion7(),
                GroupId = lesson.GroupId,
                LessonId = lessonId,
                Date = lesson.Date,
                CodeHash = OneTimeCode.Hash(code),
                MadeBy = scope.UserId,
                MadeAt = scope.UtcNow,
            }
        );
        scope.Audit("cover-given", lesson.GroupId);
        await scope.Save();
        return new CoverPassView(OneTimeCode.Key(scope.School.SchoolId, code), lesson.Date);
    }

    public async Task<Answer<Done>> End(Guid lessonId)
    {
        if (await Find(lessonId) is not { } lesson)
            return Refused.UnknownLesson;
        await EndAll(lessonId);
        scope.Audit("cover-ended", lesson.GroupId);
        await scope.Save();
        return Done.It;
    }

    /// <summary>A lesson of one of this person's groups.</summary>
    private Task<StoredLesson?> Find(Guid lessonId) =>
        scope
            .Store.Lessons.AsNoTracking()
            .SingleOrDefaultAsync(l => l.Id == lessonId && scope.Groups.Any(g => g.Id == l.GroupId), scope.Stop);

    private async Task EndAll(Guid lessonId)
    {
        foreach (
            var pass in await scope
                .Store.CoverPasses.Where(p => p.LessonId == lessonId && !p.Ended)
                .ToListAsync(scope.Stop)
        )
            pass.Ended = true;
    }

    /// <summary>Whoever gave cover must still be able to: a pass is no wider than its giver's role.</summary>
    private async Task<bool> MayStillGive(CoverPass pass) =>
        await scope
            .Store.Memberships.AsNoTracking()
            .SingleOrDefaultAsync(m => m.UserId == pass.MadeBy && m.IsActive, scope.Stop)
            is { } giver
        && giver.Role.Changes()
        && (
            giver.Role == Role.Lead
            || await scope.Store.GroupTeachers.AnyAsync(
                t => t.GroupId == pass.GroupId && t.UserId == pass.MadeBy,
                scope.Stop
            )
        );

    /// <summary>The lesson, on its day only; every wrong key gets the same answer.</summary>
    public async Task<Answer<CoverView>> Open(CoverRequest request, CancellationToken stop)
    {
        if (!OneTimeCode.TryRead(request.Key, out var schoolId, out var code))
            return Over;
        if (!await scope.OpenForGuest(schoolId, stop))
            return Over;
        var hash = OneTimeCode.Hash(code);
        var pass = await scope
            .Store.CoverPasses.AsNoTracking()
            .SingleOrDefaultAsync(p => p.CodeHash == hash, scope.Stop);
        if (pass is null || pass.Ended || pass.Date != scope.Today || !await MayStillGive(pass))
            return Over;
        var group = await scope.Store.Groups.AsNoTracking().SingleAsync(g => g.Id == pass.GroupId, scope.Stop);
        if (
            await scope.Store.Lessons.AsNoTracking().SingleOrDefaultAsync(l => l.Id == pass.LessonId, scope.Stop)
            is not { } lesson
        )
            return Over;
        var way = await style.Way();
        var day = await groupDays.Day(group, pass.Date);
        var shown = way.Over(lesson.Document);
        // A teacher's own note is for the teacher.
        var view = new CoverView(
            SchoolName: scope.School.Name,
            GroupName: group.Name,
            Date: pass.Date,
            RungLabel: lesson.Document.Title.Label,
            LessonMinutes: group.MinutesOn(pass.Date),
            Minutes: lesson.Minutes,
            Language: scope.School.Language,
            PaperSize: scope.School.PaperSize,
            Lesson: shown with
            {
                Remark = null,
            },
            Pack: LessonPack.Of(
                shown,
                requests.Of(day, day.RungOf(lesson.Document), lesson.Stamp.Seed).After,
                way,
                scope.Words.Lexicon
            ),
            Style: style.View()
        );
        scope.Audit("cover-opened", pass.GroupId);
        await scope.Save();
        await scope.Release();
        return view;
    }

    private static readonly Refusal Over = Refusal.NotAllowed("cover-over");
}
