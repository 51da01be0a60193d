using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Style;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Texts;
using BoldLadder.School.Children;
using BoldLadder.School.Marks;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Lessons;

/// <summary>What is asked of the planner for a day, and of the check for a lesson that was made.</summary>
public sealed class LessonRequests(SchoolScope scope, Places places, GroupMemories memories)
{
    /// <summary>
    /// The request for making something of a lesson: with what the group's last lessons showed, its pace, and the
    /// school's own templates and phrases.
    /// </summary>
    public async Task<LessonRequest> ForPlanning(GroupDay day, Rung rung, long seed)
    {
        var history = await History(day.Group, day.Date);
        var weekday = SchoolWeekday.Of(day.Date);
        var templates = await scope
            .Store.LessonTemplates.AsNoTracking()
            .Where(t => t.Weekday == null || t.Weekday == weekday)
            .ToListAsync(scope.Stop);
        var phrases = await scope
            .Store.TeachingNotes.Where(n => n.Phrase != "")
            .ToDictionaryAsync(n => n.Subject, n => n.Phrase, scope.Stop);
        var request = Of(day, rung, seed);
        var known = await memories.Of(day.Group.Id, day.Date);
        return request with
        {
            Memory = request.Memory.With(history) with
            {
                Marked = known.Due(day.Date),
                TrickyToRead = known.TrickyDue(Skill.Reading, day.Date),
                TrickyToWrite = known.TrickyDue(Skill.Spelling, day.Date),
            },
            Pace = history.Pace,
            Templates = [.. templates.OrderBy(t => t.Weekday is null).Select(t => t.Document)],
            Phrases = phrases,
            Names = await Names(day.Group, day.Date),
        };
    }

    /// <summary>What the children are called who are in a group on a day, without the letter behind.</summary>
    public async Task<HashSet<string>> Names(Group group, DateOnly date) =>
        (
            await places
                .On(date)
                .Where(p => p.GroupId == group.Id)
                .Join(scope.Store.Children, p => p.ChildId, c => c.ChildId, (p, c) => c.Name)
                .ToListAsync(scope.Stop)
        )
            .Select(n => n.Split(' ')[0])
            .ToHashSet(StringComparer.OrdinalIgnoreCase);

    /// <summary>What the group's last lessons before a day showed.</summary>
    private async Task<LessonHistory> History(Group group, DateOnly date)
    {
        var lessons = await scope
            .DailyLessons.AsNoTracking()
            .Where(l => l.GroupId == group.Id && l.Date < date && l.Status != LessonStatus.NotTaught)
            .OrderByDescending(l => l.Date)
            .Take(LessonHistory.Lessons)
            .ToListAsync(scope.Stop);
        return LessonHistory.Of(
            [.. lessons.Select(l => new ShownLesson(l.Document, l.Words, OutcomeOf(l.Status), l.StoppedAt, l.Took))],
            group.LessonMinutes
        );
    }

    private static LessonOutcome? OutcomeOf(LessonStatus status) =>
        status switch
        {
            LessonStatus.Taught => LessonOutcome.Taught,
            LessonStatus.Stopped => LessonOutcome.Stopped,
            LessonStatus.NotTaught => LessonOutcome.NotTaught,
            _ => null,
        };

    /// <summary>
    /// The request for a rung on a day, as far as checking needs it; the rung may differ from the expected one for a
    /// lesson planned earlier.
    /// </summary>
    public LessonRequest Of(GroupDay day, Rung rung, long seed) =>
        new(
            Before: day.Progress.Before(day.Ahead, scope.Leniencies, scope.Accent),
            Today: rung,
            Materials: scope.Words.Materials,
            TrickyBefore: day.Progress.TrickyBefore(day.Ahead),
            Memory: day.Progress.MemoryAt(day.Ahead),
            Minutes: day.Group.MinutesOn(day.Date),
            Seed: seed
        )
        {
            MadeUpInLessons = scope.Style.MadeUpWords == MadeUpWords.InLessons,
            MeaningsInLessons = scope.Style.Meanings,
            Release = scope.Style.Release is { IDo: 0, WeDo: 0, YouDo: 0 }
                ? null
                : new ReleaseSteps(scope.Style.Release.IDo, scope.Style.Release.WeDo, scope.Style.Release.YouDo),
            Chunks = scope.Style.Chunks,
            LooksBackOn = day.Calendar.LooksBackOn(day.Date),
            Avoid = day.Group.Avoid.ToHashSet(),
        };

    /// <summary>What of a document can't be read on the day of the request.</summary>
    public IReadOnlyList<ItemProblem> Problems(Lesson document, LessonRequest request) =>
        LessonCheck.Problems(
            document,
            request.Before,
            request.After,
            request.TrickyToday.ToHashSet(),
            scope.Words.Lexicon
        );

    /// <summary>
    /// How many items of a planned lesson can't be read on its day, and what the group comes to instead when it is
    /// something else.
    /// </summary>
    public (int Broken, string? Expected) Judged(GroupDay day, StoredLesson lesson) =>
        (Problems(day, lesson).Count, Expected(day, lesson));

    /// <summary>What of a stored lesson can't be read on its day.</summary>
    public IReadOnlyList<ItemProblem> Problems(GroupDay day, StoredLesson lesson) =>
        Problems(lesson.Document, Of(day, day.RungOf(lesson.Document), lesson.Stamp.Seed));

    /// <summary>What the group comes to on the day, when it is something else than the lesson was made for.</summary>
    public static string? Expected(GroupDay day, StoredLesson lesson) =>
        day.Rung is { } due && due.Id != lesson.Document.Title.Rung ? TeachingDay.TitleOf(due).Label : null;

    /// <summary>Where on the group's ladder words become readable.</summary>
    public SentencePlaces Places(GroupDay day) => new(day.Ladder, scope.Leniencies, scope.Accent);
}
