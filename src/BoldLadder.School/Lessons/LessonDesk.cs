using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Marks;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Lessons;

/// <summary>
/// Opening, changing and closing a lesson. A lesson is known by its id; group and date are only how the lesson of a day
/// is found.
/// </summary>
public sealed class LessonDesk(
    SchoolScope scope,
    GroupDays groupDays,
    LessonRequests requests,
    LessonMaking making,
    LessonReading reading,
    LessonShelf shelf,
    EvidenceBooks books,
    StyleDesk style
)
{
    /// <summary>Nothing takes longer than this on a board, in seconds.</summary>
    private const int LongestActivity = 4 * 60 * 60;

    /// <summary>The lesson of the day, planned first where there is none: asking twice changes nothing.</summary>
    public async Task<Answer<LessonView>> Open(Guid groupId, DateOnly date)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        var day = await groupDays.Day(found.Value, date);
        if (!day.Calendar.IsTeachingDay(date))
            return Refusal.Unusable("outside-calendar");
        // Most often it is there already, and nobody has to wait for anyone.
        if (await Shown(groupId, date) is { } there)
            return await reading.View(there, day);
        if (scope.ReaderOnly() is not null)
            return Refusal.NotAllowed("reader-only").About("lesson");
        await scope.Lock(groupId);
        if (await OfDay(groupId, date) is { } stored)
            return await reading.View(stored, day);
        if (date < scope.Today)
            return Refusal.Unusable("day-is-past").About("lesson");
        if (day.Rung is null)
            return Refused.LadderClimbed;
        var lesson = await making.Plan(day, day.Rung);
        scope.Store.Lessons.Add(lesson);
        scope.Audit("lesson-planned", lesson.Id);
        await scope.Save();
        return await reading.View(lesson, day);
    }

    /// <summary>The lesson of the day, if there is one.</summary>
    public async Task<Answer<LessonView>> Show(Guid groupId, DateOnly date)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        return await Shown(groupId, date) is { } stored
            ? await reading.View(stored, await groupDays.Day(found.Value, date))
            : Refused.NoLesson;
    }

    public async Task<Answer<LessonView>> Show(Guid lessonId)
    {
        var found = await Find(lessonId);
        if (found.Refusal is { } unknown)
            return unknown;
        var (group, lesson) = found.Value;
        return await reading.View(lesson, await groupDays.Day(group, lesson.Date));
    }

    /// <summary>Carries a command out on the version that was seen.</summary>
    public async Task<Answer<LessonView>> Change(Guid lessonId, LessonCommand command, string? seen)
    {
        var found = await Locked(lessonId);
        if (found.Refusal is { } unknown)
            return unknown;
        var (group, lesson) = found.Value;
        if (await Stale(lesson, seen) is { } stale)
            return stale;
        if (lesson.Status != LessonStatus.Planned)
            return Refusal.Conflict("lesson-closed");
        var day = await groupDays.Day(group, lesson.Date);
        var (bench, stamp) = (new LessonBench(scope, requests, making, day, lesson), lesson.Stamp);
        var changed = await command.On(bench);
        if (changed.Refusal is { } refusal)
            return refusal;
        making.Keep(lesson, changed.Value, stamp, command.Code, command.Subject, bench.Undoes);
        await scope.Save();
        return await reading.View(lesson, day);
    }

    /// <summary>
    /// What could be added to a part of a planned lesson, with what each would hold if it is added now.
    /// </summary>
    public async Task<Answer<List<OfferView>>> Offers(Guid lessonId, PartKind? part)
    {
        var found = await Find(lessonId);
        if (found.Refusal is { } unknown)
            return unknown;
        if (part is not { } asked)
            return Refusal.Unusable("wrong-part");
        var (group, lesson) = found.Value;
        if (lesson.Status != LessonStatus.Planned)
            return Refusal.Conflict("lesson-closed");
        var bench = new LessonBench(scope, requests, making, await groupDays.Day(group, lesson.Date), lesson);
        var way = await style.Way();
        return LessonChanges
            .Addable(await bench.Request(), lesson.Document, asked, bench.Seed)
            .Select(a => new OfferView(a.Kind, a.Activity is { } made ? way.Over(made, lesson.Document.Target) : null))
            .ToList();
    }

    /// <summary>
    /// What the group can do in the lesson with a word or sentence that is being typed; of Revisit, before what is new.
    /// </summary>
    public async Task<Answer<List<VerdictView>>> Judge(Guid lessonId, string text, PartKind? part)
    {
        var found = await Find(lessonId);
        if (found.Refusal is { } unknown)
            return unknown;
        if (text.Length > OwnItems.LongestText)
            return Refusal.Unusable("text-missing", ("most", OwnItems.LongestText));
        var (group, lesson) = found.Value;
        var day = await groupDays.Day(group, lesson.Date);
        var request = requests.Of(day, day.RungOf(lesson.Document), lesson.Stamp.Seed);
        var (taught, tricky) =
            part == PartKind.Revisit ? (request.Before, request.TrickyBefore) : (request.After, request.TrickyToday);
        return LessonReading.Verdicts(
            day,
            OwnItems.Judge(text, taught, tricky.ToHashSet(), scope.Words.Lexicon, requests.Places(day))
        );
    }

    public async Task<Answer<LessonView>> Close(Guid lessonId, CloseRequest request, string? seen)
    {
        var found = await Locked(lessonId);
        if (found.Refusal is { } unknown)
            return unknown;
        var (group, lesson) = found.Value;
        var entries = await scope
            .Store.TeachingLog.AsNoTracking()
            .Where(e => e.LessonId == lesson.Id)
            .ToListAsync(scope.Stop);
        if (entries.Exists(e => e.Id == request.EntryId))
            return await reading.View(lesson, await groupDays.Day(group, lesson.Date));
        if (await scope.Store.TeachingLog.AnyAsync(e => e.Id == request.EntryId, scope.Stop))
            return Refusal.Unusable("id-taken").About("closing");
        if (await Stale(lesson, seen) is { } stale)
            return stale;
        if (lesson.Date > scope.Today)
            return Refusal.Unusable("day-to-come");
        if (
            request.EntryId == Guid.Empty
            || (
                request.Outcome == LessonOutcome.Stopped
                && (request.StoppedAt is null || lesson.Document.Find(request.StoppedAt) is null)
            )
        )
        {
            return Refusal.Unusable("closing-incomplete");
        }
        if (request.Took?.Values.Any(s => s is < 0 or > LongestActivity) == true)
            return Refusal.Unusable("took-impossible");
        if (request.Remark?.Trim().Length > SetRemark.Longest)
            return Refusal.Unusable("remark-too-long", ("most", SetRemark.Longest));
        var line = await making.Close(lesson, request, entries);
        await scope.Save();
        await books.Closed(line);
        await scope.Save();
        await making.RenewNext(group, lesson.Date);
        return await reading.View(lesson, await groupDays.Day(group, lesson.Date));
    }

    private Task<StoredLesson?> OfDay(Guid groupId, DateOnly date) =>
        scope.DailyLessons.SingleOrDefaultAsync(l => l.GroupId == groupId && l.Date == date, scope.Stop);

    /// <summary>The same to look at.</summary>
    private async Task<StoredLesson?> Shown(Guid groupId, DateOnly date) =>
        (await shelf.Of(scope.DailyLessons.Where(l => l.GroupId == groupId && l.Date == date))).SingleOrDefault();

    /// <summary>A lesson of one of this person's groups, with the group.</summary>
    private async Task<Answer<(Group Group, StoredLesson Lesson)>> Find(Guid lessonId)
    {
        var found = await scope
            .Store.Lessons.Where(l => l.Id == lessonId)
            .Join(scope.Groups, l => l.GroupId, g => g.Id, (l, g) => new { Group = g, Lesson = l })
            .SingleOrDefaultAsync(scope.Stop);
        return found is null ? Refused.UnknownLesson : (found.Group, found.Lesson);
    }

    /// <summary>The same, one at a time for the lesson's group, as the last one left it.</summary>
    private async Task<Answer<(Group Group, StoredLesson Lesson)>> Locked(Guid lessonId)
    {
        if (
            await scope
                .Store.Lessons.Where(l => l.Id == lessonId)
                .Select(l => (Guid?)l.GroupId)
                .SingleOrDefaultAsync(scope.Stop)
            is not { } groupId
        )
            return Refused.UnknownLesson;
        await scope.Lock(groupId);
        return await Find(lessonId);
    }

    /// <summary>
    /// The refusal of a change that was made on another version: with what has happened since, so that nothing is lost.
    /// </summary>
    private async Task<Refusal?> Stale(StoredLesson lesson, string? seen)
    {
        if (Stamps.Number(seen) is not { } version)
            return Refused.VersionMissing;
        if (version == lesson.Version)
            return null;
        return Refusal
            .Conflict("changed-meanwhile")
            .About("lesson")
            .With("version", lesson.Version)
            .With("since", await making.Since(lesson.Id, version));
    }
}
