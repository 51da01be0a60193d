using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Texts;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Lessons;

/// <summary>A group's day, with the group.</summary>
public sealed record GroupDay(Group Group, TeachingDay Day) : TeachingDay(Day);

/// <summary>Turns a group and a date into a lesson, with what the store knows.</summary>
public sealed class LessonMaking(SchoolScope scope, SchoolLexicon words)
{
    public const string Engine = "5";

    public async Task<GroupDay> Day(Group group, DateOnly date)
    {
        var ladder = (await scope.Ladder(group.LadderId, group.LadderVersion))!;
        return Day(group, date, ladder, await scope.Calendar(group), await TeachingLogReader.Standing(scope, group.Id));
    }

    /// <summary>The day as it would be on a ladder: the group's own, or a draft of it.</summary>
    public GroupDay Day(Group group, DateOnly date, Ladder ladder, SchoolCalendar calendar, List<TeachingLogEntry> log) =>
        new(group, TeachingDay.Of(date, ladder, calendar, TeachingLogReader.Facts(log), FirstOpen(log, scope.Today), new WayOfReading(scope.Accent, scope.Leniencies), words.Lexicon));

    /// <summary>The first day that is not closed yet: today, or the day after the last closed one.</summary>
    public static DateOnly FirstOpen(List<TeachingLogEntry> log, DateOnly today) => TeachingDay.FirstOpen(log.Select(e => e.Date), today);

    /// <summary>The request for making something of a lesson: with what the group's last lessons showed, its pace, and the school's own templates and phrases.</summary>
    public async Task<LessonRequest> PlanningRequest(GroupDay day, Rung rung, long seed)
    {
        var history = await History(day.Group, day.Date);
        var weekday = SchoolWeekday.Of(day.Date);
        var templates = await scope.Store.LessonTemplates.AsNoTracking().Where(t => t.Weekday == null || t.Weekday == weekday).ToListAsync();
        var phrases = await scope.Store.TeachingNotes.Where(n => n.Phrase != "").ToDictionaryAsync(n => n.Subject, n => n.Phrase);
        var request = Request(day, rung, seed);
        return request with
        {
            Memory = request.Memory.With(history),
            Pace = history.Pace,
            Templates = [.. templates.OrderBy(t => t.Weekday is null).Select(t => t.Document)],
            Phrases = phrases,
        };
    }

    /// <summary>What the group's last lessons before a day showed.</summary>
    private async Task<LessonHistory> History(Group group, DateOnly date)
    {
        var lessons = await scope.Store.Lessons.AsNoTracking().Where(l => l.GroupId == group.Id && l.Date < date && l.Status != LessonStatus.NotTaught)
            .OrderByDescending(l => l.Date).Take(LessonHistory.Lessons).ToListAsync();
        return LessonHistory.Of([.. lessons.Select(l => new ShownLesson(l.Document, l.Words, OutcomeOf(l.Status), l.StoppedAt))], group.LessonMinutes);
    }

    private static LessonOutcome? OutcomeOf(LessonStatus status) => status switch
    {
        LessonStatus.Taught => LessonOutcome.Taught,
        LessonStatus.Stopped => LessonOutcome.Stopped,
        LessonStatus.NotTaught => LessonOutcome.NotTaught,
        _ => null,
    };

    /// <summary>The request for a rung on a day, as far as checking needs it; the rung may differ from the expected one for a lesson planned earlier.</summary>
    public LessonRequest Request(GroupDay day, Rung rung, long seed) => new(
        day.Progress.Before(day.Ahead, scope.Leniencies, scope.Accent), rung, words.Materials, day.Progress.TrickyBefore(day.Ahead),
        day.Progress.MemoryAt(day.Ahead), day.Group.LessonMinutes, seed)
    {
        MadeUpInLessons = scope.Style.MadeUpWords == MadeUpWords.InLessons,
        MeaningsInLessons = scope.Style.Meanings,
        Release = scope.Style.Release is { IDo: 0, WeDo: 0, YouDo: 0 } ? null : new ReleaseSteps(scope.Style.Release.IDo, scope.Style.Release.WeDo, scope.Style.Release.YouDo),
        Avoid = day.Group.Avoid.ToHashSet(),
    };

    /// <summary>A new planned lesson for the day, not yet saved.</summary>
    public async Task<StoredLesson> Plan(GroupDay day, Rung rung)
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
            Document = LessonPlanner.Plan(await PlanningRequest(day, rung, seed)),
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

    /// <summary>Changes of what is taught that a person asks of the engine, or none: with no other, a lesson counts as nobody's work yet.</summary>
    private static readonly string[] ByEngine = ["plan-again", "repair", "close"];

    /// <summary>Of these lessons, those that someone changed by hand since they were last made as a whole.</summary>
    public async Task<HashSet<Guid>> ChangedByHand(IReadOnlyCollection<Guid> lessons)
    {
        var changes = await scope.Store.LessonChanges.Where(c => lessons.Contains(c.LessonId)).Select(c => new { c.LessonId, c.Command, c.Version }).ToListAsync();
        return [.. changes.GroupBy(c => c.LessonId).Where(l => l.OrderBy(c => c.Version).Aggregate(false, (byHand, c) => c.Command != "plan-again" && (byHand || !ByEngine.Contains(c.Command)))).Select(l => l.Key)];
    }

    /// <summary>
    /// Makes the group's next planned lesson anew after one was closed, so that what was missed, or not taught, is in it; one that someone changed by hand stays.
    /// It can be undone like any change.
    /// </summary>
    public async Task RenewNext(Group group, DateOnly closed)
    {
        var next = await scope.Store.Lessons.Where(l => l.GroupId == group.Id && l.Date > closed && l.Status == LessonStatus.Planned).OrderBy(l => l.Date).FirstOrDefaultAsync();
        if (next is null || (await ChangedByHand([next.Id])).Count > 0) return;
        var day = await Day(group, next.Date);
        if (day.Rung is null) return;
        scope.Store.LessonChanges.Add(Change(next, "plan-again", null, null));
        (next.RungId, next.Document, next.Stamp) = (day.Rung.Id, LessonPlanner.Plan(await PlanningRequest(day, day.Rung, next.Stamp.Seed)), Stamp(day, next.Stamp.Seed));
        next.Version++;
        Describe(next);
        await scope.Store.SaveChangesAsync();
    }

    /// <summary>Closes a lesson and writes what was taught to the log; saved by who calls.</summary>
    /// <param name="earlier">Entries of the same day that this one may correct.</param>
    public void Close(StoredLesson lesson, CloseRequest request, List<TeachingLogEntry> earlier)
    {
        scope.Store.LessonChanges.Add(Change(lesson, "close", null, null));
        scope.Store.TeachingLog.Add(Entry(lesson, request, earlier));
        lesson.Status = request.Outcome switch { LessonOutcome.Taught => LessonStatus.Taught, LessonOutcome.Stopped => LessonStatus.Stopped, _ => LessonStatus.NotTaught };
        lesson.StoppedAt = request.Outcome == LessonOutcome.Stopped ? request.StoppedAt : null;
        lesson.Version++;
        scope.Audit("lesson-closed", lesson.Id);
    }

    private TeachingLogEntry Entry(StoredLesson lesson, CloseRequest request, List<TeachingLogEntry> earlier)
    {
        var fact = new Closing(request.Outcome, request.StoppedAt, request.Wobbled ?? []).Of(lesson.Document, lesson.Date, lesson.RungId);
        return new TeachingLogEntry
        {
            SchoolId = lesson.SchoolId,
            Id = request.EntryId,
            GroupId = lesson.GroupId,
            Date = lesson.Date,
            RungId = lesson.RungId,
            Outcome = request.Outcome,
            Correspondences = [.. fact.Correspondences],
            Patterns = [.. fact.Patterns],
            Tricky = [.. fact.Tricky],
            Seen = [.. fact.Seen],
            Words = [.. fact.Words],
            Missed = [.. fact.Missed],
            RecordedAt = scope.UtcNow,
            RecordedBy = scope.UserId,
            Supersedes = earlier.Where(e => earlier.TrueForAll(o => o.Supersedes != e.Id)).Select(e => (Guid?)e.Id).SingleOrDefault(),
        };
    }

    /// <summary>A change as it is kept: with the document before, which undo puts back.</summary>
    public LessonChange Change(StoredLesson lesson, string command, string? subject, int? undoes) => new()
    {
        SchoolId = scope.School.SchoolId,
        LessonId = lesson.Id,
        Version = lesson.Version + 1,
        Command = command,
        Subject = subject,
        Before = lesson.Document,
        RungBefore = lesson.RungId,
        StampBefore = lesson.Stamp,
        Undoes = undoes,
        At = scope.UtcNow,
        UserId = scope.UserId,
    };

    public LessonStamp Stamp(GroupDay day, long seed) => new(Engine, words.Lexicon.Hash, day.Group.LadderId, day.Group.LadderVersion, scope.School.Accent, seed);

    /// <summary>The rung a stored lesson is for, as its own document says, so that no later ladder changes it.</summary>
    public static Rung RungOf(StoredLesson lesson, GroupDay day)
    {
        var newest = day.Progress.Newest(day.Ahead);
        if (QuietDay.IsId(lesson.RungId)) return QuietDay.Of(lesson.RungId, newest);
        var tricky = lesson.Document.Activities.Where(a => a.Kind == ActivityKind.NewTrickyWord).SelectMany(a => a.Items).OfType<WordItem>().Select(w => w.Word);
        return day.Ladder.Rungs.FirstOrDefault(r => r.Id == lesson.RungId) is { } rung
            ? QuietDay.Filled(rung with { Tricky = [.. tricky] }, day.Ladder, newest)
            : new Rung(lesson.RungId, "", [.. lesson.Document.Target.Select(Core.Spelling.Correspondence.Parse)], Core.Spelling.PatternIds.Parse(lesson.Document.Patterns), [.. tricky], null);
    }

    /// <summary>What a day is called on screens: by its rung, or by the kind of quiet day.</summary>
    public static string LabelOf(Rung rung) => QuietDay.IsId(rung.Id) ? rung.Id : rung.Label;

    /// <summary>Brings what queries need in line with the document.</summary>
    public static void Describe(StoredLesson lesson)
    {
        var items = lesson.Document.Activities.SelectMany(a => a.Items).ToList();
        lesson.Minutes = lesson.Document.Minutes;
        lesson.Words = [.. items.SelectMany(ReadByChildren.Words).Distinct()];
        lesson.Needs = [.. items.OfType<WordItem>().Where(w => !w.Oral && w.Tricky.IsEmpty)
            .SelectMany(w => Segmentation.Parse(w.Graphemes, w.Phonemes).Parts.Select(p => p.Notation))
            .Concat(items.SelectMany(ReadByChildren.Correspondences).Select(c => c.ReferenceNotation)).Distinct().Order(StringComparer.Ordinal)];
    }

    /// <summary>What of a document can't be read on the day of the request.</summary>
    public IReadOnlyList<ItemProblem> Problems(Lesson document, LessonRequest request) =>
        LessonCheck.Problems(document, request.Before, request.After, request.TrickyToday.ToHashSet(), words.Lexicon);

    /// <summary>Where on the group's ladder words become readable.</summary>
    public SentencePlaces Places(GroupDay day) => new(day.Ladder, scope.Leniencies, scope.Accent);

    public IReadOnlyList<VerdictView> Verdicts(GroupDay day, IEnumerable<OwnVerdict> verdicts)
    {
        WhenView? When(int? rung) => rung is >= 0 and var at ? new WhenView(day.Ladder.Rungs[at].Label, day.Fit.Rungs.FirstOrDefault(r => r.Rung.Id == day.Ladder.Rungs[at].Id).Date) : null;
        return [.. verdicts.Select(v => new VerdictView(v.Written, v.Status, v.Segmentation?.Graphemes, v.Segmentation?.Phonemes,
            [.. v.Needs.Distinct().Select(n => new NeedView(n.ToString(), When(day.Ladder.WhenTaught(n))))], v.Status == OwnStatus.NotYet ? When(v.Rung) : null, v.Twin))];
    }

    public async Task<LessonView> View(StoredLesson lesson, GroupDay day)
    {
        var rung = RungOf(lesson, day);
        var planned = lesson.Status == LessonStatus.Planned;
        var problems = planned ? Problems(lesson.Document, Request(day, rung, lesson.Stamp.Seed)) : [];
        var changes = planned && lesson.Version > 1 ? await scope.Store.LessonChanges.Where(c => c.LessonId == lesson.Id).Select(c => new { c.Version, c.Undoes }).ToListAsync() : [];
        return new LessonView(lesson.Id, lesson.GroupId, day.Group.Name, lesson.Date, lesson.Date == scope.Today,
            await Previous(day), day.Calendar.OnOrAfter(lesson.Date.AddDays(1)),
            lesson.RungId, LabelOf(rung), rung.Stage, day.Group.LessonMinutes, lesson.Minutes, lesson.Version, lesson.Status, lesson.StoppedAt,
            lesson.Document, problems, planned && day.Rung is { } expected && expected.Id != lesson.RungId ? LabelOf(expected) : null,
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
