using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Editing;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Lessons;

/// <summary>Makes lessons, keeps what is changed of them, closes them.</summary>
public sealed class LessonMaking(SchoolScope scope, GroupDays groupDays, LessonRequests requests, Standings standings)
{
    public const string Engine = "5";

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
            Document = LessonPlanner.Plan(await requests.ForPlanning(day, rung, seed)),
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
        var day = await groupDays.Day(group, next.Date);
        if (day.Rung is null)
            return;
        var stamp = next.Stamp;
        next.Stamp = Stamp(day, stamp.Seed);
        Keep(
            next,
            LessonPlanner.Plan(await requests.ForPlanning(day, day.Rung, stamp.Seed)),
            stamp,
            LessonCommand.CodeOf(typeof(PlanAgain))
        );
        await scope.Save();
    }

    /// <summary>
    /// Closes a lesson and writes what was taught to the log; the lesson and the log are saved by who calls.
    /// </summary>
    /// <param name="earlier">Entries of the same day that this one may correct.</param>
    public async Task<TeachingLogEntry> Close(StoredLesson lesson, CloseRequest request, List<TeachingLogEntry> earlier)
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
        lesson.Took = request.Took is { Count: > 0 } took
            ? took.Where(t => lesson.Document.Find(t.Key) is not null).ToDictionary()
            : lesson.Took;
        if (request.Remark?.Trim() is { } remark)
            lesson.Document = lesson.Document with { Remark = remark.Length == 0 ? null : remark };
        lesson.Version++;
        scope.Audit("lesson-closed", lesson.Id);
        // What takes changes back is kept no longer than someone could want it: a lesson that is over stays as it is.
        var over = scope
            .Store.Lessons.Where(l => l.GroupId == lesson.GroupId && l.Date <= lesson.Date)
            .Select(l => l.Id);
        await scope.Store.LessonUndos.Where(u => over.Contains(u.LessonId)).ExecuteDeleteAsync(scope.Stop);
        return entry;
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

    private static long SeedOf(Guid group, DateOnly date) =>
        BitConverter.ToInt64(group.ToByteArray(), 8) ^ date.DayNumber;
}
