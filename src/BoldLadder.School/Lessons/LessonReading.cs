using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Lessons;

/// <summary>A stored lesson as screens see it.</summary>
public sealed class LessonReading(SchoolScope scope, LessonRequests requests, StyleDesk style)
{
    /// <summary>
    /// A rung of the group's ladder with its day; null for none, and for what is taught from the start.
    /// </summary>
    public static WhenView? When(GroupDay day, int? rung) =>
        rung is >= 0 and var at
            ? new WhenView(
                day.Ladder.Rungs[at].Label,
                day.Fit.Rungs.FirstOrDefault(r => r.Rung.Id == day.Ladder.Rungs[at].Id).Date
            )
            : null;

    public static List<VerdictView> Verdicts(GroupDay day, IEnumerable<OwnVerdict> verdicts)
    {
        return
        [
            .. verdicts.Select(v => new VerdictView(
                Written: v.Written,
                Status: v.Status,
                Graphemes: v.Segmentation?.Graphemes,
                Phonemes: v.Segmentation?.Phonemes,
                Needs:
                [
                    .. v.Needs.Distinct().Select(n => new NeedView(n.ToString(), When(day, day.Ladder.WhenTaught(n)))),
                ],
                Readable: v.Status == OwnStatus.NotYet ? When(day, v.Rung) : null,
                Twin: v.Twin
            )),
        ];
    }

    public async Task<LessonView> View(StoredLesson lesson, GroupDay day)
    {
        var planned = lesson.Status == LessonStatus.Planned;
        var title = lesson.Document.Title;
        var problems = planned ? requests.Problems(day, lesson) : [];
        var own =
            planned && lesson.Version > 1
                ? await scope
                    .Store.LessonChanges.Where(c => c.LessonId == lesson.Id && c.UserId == scope.UserId)
                    .OrderBy(c => c.Version)
                    .Select(c => new Undoable(c.Version, c.Undoes))
                    .ToListAsync(scope.Stop)
                : [];
        var (undo, redo) = UndoStacks.Of(own);
        return new LessonView(
            Id: lesson.Id,
            GroupId: lesson.GroupId,
            GroupName: day.Group.Name,
            Date: lesson.Date,
            IsToday: lesson.Date == scope.Today,
            Previous: await Previous(day),
            Next: day.Calendar.OnOrAfter(lesson.Date.AddDays(1)),
            RungId: title.Rung,
            RungLabel: title.Label,
            Stage: title.Stage,
            LessonMinutes: day.Group.MinutesOn(day.Date),
            Minutes: lesson.Minutes,
            Version: lesson.Version,
            Status: lesson.Status,
            StoppedAt: lesson.StoppedAt,
            Lesson: (await style.Way()).Over(lesson.Document),
            Problems: problems,
            ExpectedRung: planned ? LessonRequests.Expected(day, lesson) : null,
            CanUndo: undo is not null,
            CanRedo: redo is not null,
            Tray: Tray(lesson, day)
        );
    }

    private List<string>? Tray(StoredLesson lesson, GroupDay day) =>
        lesson.Document.Activities.Any(a => a.Kind == ActivityKind.WordChain)
            ? requests
                .Of(day, day.RungOf(lesson.Document), lesson.Stamp.Seed)
                .After.Correspondences.Select(c => c.Grapheme.Text)
                .Distinct()
                .OrderBy(g => g.Length)
                .ThenBy(g => g, StringComparer.Ordinal)
                .ToList()
            : null;

    /// <summary>The teaching day before, unless it is past and no lesson was kept of it.</summary>
    private async Task<DateOnly?> Previous(GroupDay day)
    {
        if (day.Calendar.Before(day.Date) is not { } before)
            return null;
        return
            before >= scope.Today
            || await scope.DailyLessons.AnyAsync(l => l.GroupId == day.Group.Id && l.Date == before, scope.Stop)
            ? before
            : null;
    }
}
