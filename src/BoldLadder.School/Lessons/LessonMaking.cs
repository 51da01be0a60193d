using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Editing;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Texts;
using BoldLadder.School.Schools;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Lessons;

/// <summary>Turns a group and a date into a lesson, with what the store knows.</summary>
public sealed class LessonMaking(SchoolScope scope, Standings standings)
{
    public const string Engine = "5";

    public async Task<GroupDay> Day(Group group, DateOnly date) => await DayAt((await States([group]))[0], date);

    /// <summary>Any day: one that lies before others that are closed already is seen as it was then.</summary>
    public async Task<GroupDay> DayAt(GroupState state, DateOnly date) =>
        Day(
            state.IsAhead(date)
                ? state
                : State(
                    state.Group,
                    state.Ladder,
                    state.Calendar,
                    (await standings.Before(state.Group.Id, date)) with
                    {
                        Closed = state.Standing.Closed,
                    }
                ),
            date
        );

    /// <summary>Groups with what their days follow from, in as many queries for many as for one.</summary>
    public async Task<IReadOnlyList<GroupState>> States(IReadOnlyCollection<Group> groups)
    {
        var ladders = await scope.Ladders(groups.Select(g => (g.LadderId, g.LadderVersion)).Distinct());
        var standing = await standings.Of([.. groups.Select(g => g.Id)]);
        var states = new List<GroupState>();
        foreach (var group in groups)
            states.Add(
                State(
                    group,
                    ladders[(group.LadderId, group.LadderVersion)],
                    await scope.Calendar(group),
                    standing[group.Id]
                )
            );
        return states;
    }

    /// <summary>A group as it would be on a ladder: its own, or a draft of it.</summary>
    public GroupState State(Group group, Ladder ladder, SchoolCalendar calendar, Standing standing) =>
        new(
            group,
            ladder,
            calendar,
            standing,
            new DaysAhead(ladder, calendar, standing, standing.FirstOpen(scope.Today), scope.Way, scope.Words.Lexicon)
        );

    /// <summary>A day after all that are closed.</summary>
    public static GroupDay Day(GroupState state, DateOnly date) => new(state.Group, state.Days.On(date));

    /// <summary>
    /// The request for making something of a lesson: with what the group's last lessons showed, its pace, and the
    /// school's own templates and phrases.
    /// </summary>
    public async Task<LessonRequest> PlanningRequest(GroupDay day, Rung rung, long seed)
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
        var lessons = await scope
            .DailyLessons.AsNoTracking()
            .Where(l => l.GroupId == group.Id && l.Date < date && l.Status != LessonStatus.NotTaught)
            .OrderByDescending(l => l.Date)
            .Take(LessonHistory.Lessons)
            .ToListAsync(scope.Stop);
        return LessonHistory.Of(
            [.. lessons.Select(l => new ShownLesson(l.Document, l.Words, OutcomeOf(l.Status), l.StoppedAt))],
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
    public LessonRequest Request(GroupDay day, Rung rung, long seed) =>
        new(
            Before: day.Progress.Before(day.Ahead, scope.Leniencies, scope.Accent),
            Today: rung,
            Materials: scope.Words.Materials,
            TrickyBefore: day.Progress.TrickyBefore(day.Ahead),
            Memory: day.Progress.MemoryAt(day.Ahead),
            Minutes: day.Group.LessonMinutes,
            Seed: seed
        )
        {
            MadeUpInLessons = scope.Style.MadeUpWords == MadeUpWords.InLessons,
            MeaningsInLessons = scope.Style.Meanings,
            Release = scope.Style.Release is { IDo: 0, WeDo: 0, YouDo: 0 }
                ? null
                : new ReleaseSteps(scope.Style.Release.IDo, scope.Style.Release.WeDo, scope.Style.Release.YouDo),
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
            RungId = "",
            Kind = SessionKind.Lesson,
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

    /// <summary>
    /// Changes of what is taught that a person asks of the engine, or none: with no other, a lesson counts as nobody's
    /// work yet.
    /// </summary>
    private static readonly string[] ByEngine =
    [
        LessonCommand.CodeOf(typeof(PlanAgain)),
        LessonCommand.CodeOf(typeof(RepairLesson)),
        Closed,
    ];

    /// <summary>How a closing is kept in a lesson's history.</summary>
    private const string Closed = "close";

    /// <summary>Of these lessons, those that someone changed by hand since they were last made as a whole.</summary>
    public async Task<HashSet<Guid>> ChangedByHand(IReadOnlyCollection<Guid> lessons)
    {
        var changes = await scope
            .Store.LessonChanges.Where(c => lessons.Contains(c.LessonId))
            .Select(c => new
            {
                c.LessonId,
                c.Command,
                c.Version,
            })
            .ToListAsync(scope.Stop);
        return
        [
            .. changes
                .GroupBy(c => c.LessonId)
                .Where(l =>
                    l.OrderBy(c => c.Version)
                        .Aggregate(false, (byHand, c) =>
                            c.Command != ByEngine[0] && (byHand || !ByEngine.Contains(c.Command))
                        )
                )
                .Select(l => l.Key),
        ];
    }

    /// <summary>
    /// Makes the group's next planned lesson anew after one was closed, so that what was missed, or not taught, is in
    /// it; one that someone changed by hand stays.
    /// It can be undone like any change.
    /// </summary>
    public async Task RenewNext(Group group, DateOnly closed)
    {
        var next = await scope
            .DailyLessons.Where(l => l.GroupId == group.Id && l.Date > closed && l.Status == LessonStatus.Planned)
            .OrderBy(l => l.Date)
            .FirstOrDefaultAsync(scope.Stop);
        if (next is null || (await ChangedByHand([next.Id])).Count > 0)
            return;
        var day = await Day(group, next.Date);
        if (day.Rung is null)
            return;
        var stamp = next.Stamp;
        next.Stamp = Stamp(day, stamp.Seed);
        Keep(
            next,
            LessonPlanner.Plan(await PlanningRequest(day, day.Rung, stamp.Seed)),
            stamp,
            LessonCommand.CodeOf(typeof(PlanAgain))
        );
        await scope.Save();
    }

    /// <summary>
    /// Closes a lesson and writes what was taught to the log; the lesson and the log are saved by who calls.
    /// </summary>
    /// <param name="earlier">Entries of the same day that this one may correct.</param>
    public async Task Close(StoredLesson lesson, CloseRequest request, List<TeachingLogEntry> earlier)
    {
        AddChange(lesson, Closed, null, null);
        var entry = Entry(lesson, request, earlier);
        scope.Store.TeachingLog.Add(entry);
        await standings.Keep(entry);
        lesson.Status = request.Outcome switch
        {
            LessonOutcome.Taught => LessonStatus.Taught,
            LessonOutcome.Stopped => LessonStatus.Stopped,
            _ => LessonStatus.NotTaught,
        };
        lesson.StoppedAt = request.Outcome == LessonOutcome.Stopped ? request.StoppedAt : null;
        lesson.Version++;
        scope.Audit("lesson-closed", lesson.Id);
        // What takes changes back is kept no longer than someone could want it: a lesson that is over stays as it is.
        var over = scope
            .Store.Lessons.Where(l => l.GroupId == lesson.GroupId && l.Date <= lesson.Date)
            .Select(l => l.Id);
        await scope.Store.LessonUndos.Where(u => over.Contains(u.LessonId)).ExecuteDeleteAsync(scope.Stop);
    }

    private TeachingLogEntry Entry(StoredLesson lesson, CloseRequest request, List<TeachingLogEntry> earlier)
    {
        var fact = new Closing(request.Outcome, request.StoppedAt, request.Wobbled ?? []).Of(
            lesson.Document,
            lesson.Date,
            lesson.Document.Title.Rung
        );
        return new TeachingLogEntry
        {
            SchoolId = lesson.SchoolId,
            Id = request.EntryId,
            GroupId = lesson.GroupId,
            LessonId = lesson.Id,
            Date = lesson.Date,
            RungId = fact.RungId!,
            Outcome = request.Outcome,
            Correspondences = [.. fact.Correspondences],
            Patterns = [.. fact.Patterns],
            Tricky = [.. fact.Tricky],
            Seen = [.. fact.Seen],
            Words = [.. fact.Words],
            Missed = [.. fact.Missed],
            RecordedAt = scope.UtcNow,
            RecordedBy = scope.UserId,
            Supersedes = earlier
                .Where(e => earlier.TrueForAll(o => o.Supersedes != e.Id))
                .Select(e => (Guid?)e.Id)
                .SingleOrDefault(),
        };
    }

    /// <summary>
    /// Puts a changed document into a lesson, and keeps what takes the change back. The stamp may have been changed
    /// before; the one before that is told.
    /// </summary>
    /// <param name="command">The command's code.</param>
    /// <param name="undoes">The version that is taken back by it.</param>
    public void Keep(
        StoredLesson lesson,
        Lesson changed,
        LessonStamp stampBefore,
        string command,
        string? subject = null,
        int? undoes = null
    )
    {
        AddChange(lesson, command, subject, undoes);
        scope.Store.LessonUndos.Add(
            new LessonUndo
            {
                SchoolId = lesson.SchoolId,
                LessonId = lesson.Id,
                Version = lesson.Version + 1,
                Inverse = new LessonEdits(LessonEditing.Between(changed, lesson.Document)),
                StampBefore = stampBefore == lesson.Stamp ? null : stampBefore,
            }
        );
        lesson.Document = changed;
        lesson.Version++;
        Describe(lesson);
    }

    private void AddChange(StoredLesson lesson, string command, string? subject, int? undoes) =>
        scope.Store.LessonChanges.Add(
            new LessonChange
            {
                SchoolId = lesson.SchoolId,
                LessonId = lesson.Id,
                Version = lesson.Version + 1,
                Command = command,
                Subject = subject,
                Undoes = undoes,
                At = scope.UtcNow,
                UserId = scope.UserId,
            }
        );

    /// <summary>A lesson's changes in order, without what takes them back.</summary>
    public Task<List<LessonChange>> Changes(Guid lessonId) =>
        scope
            .Store.LessonChanges.AsNoTracking()
            .Where(c => c.LessonId == lessonId)
            .OrderBy(c => c.Version)
            .ToListAsync(scope.Stop);

    /// <summary>What was changed since a version.</summary>
    public Task<List<ChangeSince>> Since(Guid lessonId, int version) =>
        scope
            .Store.LessonChanges.Where(c => c.LessonId == lessonId && c.Version > version)
            .OrderBy(c => c.Version)
            .Select(c => new ChangeSince(c.Version, c.Command, c.Subject, c.At))
            .ToListAsync(scope.Stop);

    public LessonStamp Stamp(GroupDay day, long seed) =>
        new(Engine, scope.Words.Lexicon.Hash, day.Group.LadderId, day.Group.LadderVersion, scope.School.Accent, seed);

    /// <summary>Brings what queries need in line with the document.</summary>
    public static void Describe(StoredLesson lesson)
    {
        var items = lesson.Document.Activities.SelectMany(a => a.Items).ToList();
        lesson.RungId = lesson.Document.Title.Rung;
        lesson.Minutes = lesson.Document.Minutes;
        lesson.Words = [.. items.SelectMany(ReadByChildren.Words).Distinct()];
        lesson.Needs =
        [
            .. items
                .OfType<WordItem>()
                .Where(w => !w.Oral && w.Tricky.IsEmpty)
                .SelectMany(w => Segmentation.Parse(w.Graphemes, w.Phonemes).Parts.Select(p => p.Notation))
                .Concat(items.SelectMany(ReadByChildren.Correspondences).Select(c => c.ReferenceNotation))
                .Distinct()
                .Order(StringComparer.Ordinal),
        ];
    }

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
        (
            Problems(lesson.Document, Request(day, day.RungOf(lesson.Document), lesson.Stamp.Seed)).Count,
            day.Rung is { } due && due.Id != lesson.Document.Title.Rung ? TeachingDay.TitleOf(due).Label : null
        );

    /// <summary>Where on the group's ladder words become readable.</summary>
    public SentencePlaces Places(GroupDay day) => new(day.Ladder, scope.Leniencies, scope.Accent);

    public static List<VerdictView> Verdicts(GroupDay day, IEnumerable<OwnVerdict> verdicts)
    {
        WhenView? When(int? rung) =>
            rung is >= 0 and var at
                ? new WhenView(
                    day.Ladder.Rungs[at].Label,
                    day.Fit.Rungs.FirstOrDefault(r => r.Rung.Id == day.Ladder.Rungs[at].Id).Date
                )
                : null;
        return
        [
            .. verdicts.Select(v => new VerdictView(
                Written: v.Written,
                Status: v.Status,
                Graphemes: v.Segmentation?.Graphemes,
                Phonemes: v.Segmentation?.Phonemes,
                Needs: [.. v.Needs.Distinct().Select(n => new NeedView(n.ToString(), When(day.Ladder.WhenTaught(n))))],
                Readable: v.Status == OwnStatus.NotYet ? When(v.Rung) : null,
                Twin: v.Twin
            )),
        ];
    }

    public async Task<LessonView> View(StoredLesson lesson, GroupDay day)
    {
        var planned = lesson.Status == LessonStatus.Planned;
        var title = lesson.Document.Title;
        var problems = planned
            ? Problems(lesson.Document, Request(day, day.RungOf(lesson.Document), lesson.Stamp.Seed))
            : [];
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
            LessonMinutes: day.Group.LessonMinutes,
            Minutes: lesson.Minutes,
            Version: lesson.Version,
            Status: lesson.Status,
            StoppedAt: lesson.StoppedAt,
            Lesson: lesson.Document,
            Problems: problems,
            ExpectedRung: planned && day.Rung is { } expected && expected.Id != title.Rung
                ? TeachingDay.TitleOf(expected).Label
                : null,
            CanUndo: undo is not null,
            CanRedo: redo is not null
        );
    }

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

    private static long SeedOf(Guid group, DateOnly date) =>
        BitConverter.ToInt64(group.ToByteArray(), 8) ^ date.DayNumber;
}
