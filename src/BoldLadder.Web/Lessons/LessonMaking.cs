using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Lessons;

/// <summary>Where a group's day stands: the ladder, what is taught before it, and the rung it comes to.</summary>
/// <param name="Ahead">How many lessons lie between now and the day.</param>
/// <param name="Rung">Null when the ladder is climbed.</param>
public sealed record GroupDay(Group Group, DateOnly Date, Ladder Ladder, SchoolCalendar Calendar, Progress Progress, int Ahead, Rung? Rung);

/// <summary>Turns a group and a date into a lesson, with what the store knows.</summary>
public sealed class LessonMaking(SchoolScope scope, WordData words)
{
    public const string Engine = "1";

    public async Task<GroupDay> Day(Group group, DateOnly date)
    {
        var ladder = (await scope.Ladder(group.LadderId, group.LadderVersion))!;
        var calendar = await scope.Calendar();
        var entries = await TeachingLogReader.Standing(scope, group.Id);
        var progress = new Progress(ladder, (await TeachingLogReader.Facts(scope, group.Id)).Where(f => f.Date < date));
        // Days from the first that is not closed yet: today, or the day after when today's lesson was closed.
        var lastClosed = entries.Where(e => e.Date >= scope.Today).Select(e => (DateOnly?)e.Date).Max();
        var from = lastClosed is { } last ? last.AddDays(1) : scope.Today;
        var ahead = date < from ? 0 : calendar.Count(from, date);
        return new GroupDay(group, date, ladder, calendar, progress, ahead, progress.Remaining.Skip(ahead).FirstOrDefault());
    }

    /// <summary>The request for a rung on a day; the rung may differ from the expected one for a lesson planned earlier.</summary>
    public LessonRequest Request(GroupDay day, Rung rung, long seed) => new(
        day.Progress.Before(day.Ahead, Leniencies.All, scope.Accent), rung, words.Lexicon, day.Progress.TrickyBefore(day.Ahead),
        day.Progress.Recall(day.Ahead), day.Progress.Newest(day.Ahead), day.Progress.RecentWords(day.Ahead), words.Sentences, day.Group.LessonMinutes, seed);

    /// <summary>A new planned lesson for the day, not yet saved.</summary>
    public StoredLesson Plan(GroupDay day, Rung rung)
    {
        var id = Guid.CreateVersion7();
        var seed = SeedOf(day.Group.Id, day.Date);
        var stored = new StoredLesson
        {
            SchoolId = scope.School.SchoolId,
            Id = id,
            GroupId = day.Group.Id,
            Date = day.Date,
            RungId = rung.Id,
            Document = LessonPlanner.Plan(Request(day, rung, seed)),
            Version = 1,
            Status = LessonStatus.Planned,
            Stamp = Stamp(day, seed),
            Minutes = 0,
            Needs = [],
            Words = [],
        };
        Describe(stored);
        return stored;
    }

    public LessonStamp Stamp(GroupDay day, long seed) => new(Engine, words.Lexicon.Hash, day.Group.LadderId, day.Group.LadderVersion, scope.School.Accent, seed);

    /// <summary>The rung a stored lesson teaches, as its own document says, so that no later ladder changes it.</summary>
    public static Rung RungOf(StoredLesson lesson, Ladder ladder) => ladder.Rungs.FirstOrDefault(r => r.Id == lesson.RungId)
        ?? new Rung(lesson.RungId, "", [.. lesson.Document.Target.Select(Core.Spelling.Correspondence.Parse)], Core.Spelling.PatternIds.Parse(lesson.Document.Patterns), [], null);

    /// <summary>Brings what queries need in line with the document.</summary>
    public static void Describe(StoredLesson lesson)
    {
        var shown = lesson.Document.Activities.SelectMany(a => a.Items).OfType<WordItem>().Where(w => !w.Oral).ToList();
        lesson.Minutes = lesson.Document.Minutes;
        lesson.Words = [.. shown.Select(w => w.Word).Distinct()];
        lesson.Needs = [.. shown.Where(w => w.Tricky.IsEmpty)
            .SelectMany(w => w.Graphemes.Split('|').Zip(w.Phonemes.Split('|'), (g, p) => $"{g}={p}")).Distinct().Order(StringComparer.Ordinal)];
    }

    public async Task<LessonView> View(StoredLesson lesson, GroupDay day)
    {
        var rung = RungOf(lesson, day.Ladder);
        var planned = lesson.Status == LessonStatus.Planned;
        var request = Request(day, rung, lesson.Stamp.Seed);
        IReadOnlyList<ItemProblem> problems = planned
            ? LessonCheck.Problems(lesson.Document, request.Before, request.After, request.TrickyToday.ToHashSet(), words.Lexicon)
            : [];
        var changes = planned && lesson.Version > 1 ? await scope.Store.LessonChanges.Where(c => c.LessonId == lesson.Id).Select(c => new { c.Version, c.Undoes }).ToListAsync() : [];
        return new LessonView(lesson.Id, lesson.GroupId, day.Group.Name, lesson.Date, lesson.Date == scope.Today,
            await Previous(day), day.Calendar.OnOrAfter(lesson.Date.AddDays(1)),
            lesson.RungId, rung.Label, rung.Stage, day.Group.LessonMinutes, lesson.Minutes, lesson.Version, lesson.Status, lesson.StoppedAt,
            lesson.Document, problems, planned && day.Rung is { } expected && expected.Id != lesson.RungId ? expected.Label : null,
            changes.Any(c => c.Undoes is null && changes.TrueForAll(u => u.Undoes != c.Version)));
    }

    /// <summary>The teaching day before, unless it is past and no lesson was kept of it.</summary>
    private async Task<DateOnly?> Previous(GroupDay day)
    {
        if (day.Calendar.Before(day.Date) is not { } before) return null;
        return before >= scope.Today || await scope.Store.Lessons.AnyAsync(l => l.GroupId == day.Group.Id && l.Date == before) ? before : null;
    }

    public static ProblemHttpResult LadderClimbed() => Problem.Of(StatusCodes.Status409Conflict, "ladder-climbed",
        "This group has been taught every rung of its ladder by then. Choose an earlier day, or move the group to another ladder.");

    private static long SeedOf(Guid group, DateOnly date) => BitConverter.ToInt64(group.ToByteArray(), 8) ^ date.DayNumber;
}
