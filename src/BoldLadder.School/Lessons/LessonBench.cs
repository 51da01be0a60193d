using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Editing;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Lessons;

/// <summary>A lesson laid out to be changed: what a command finds there, and what the planner needs for it.</summary>
public sealed class LessonBench(
    SchoolScope scope,
    LessonRequests requests,
    LessonMaking making,
    GroupDay day,
    StoredLesson lesson
)
{
    private const int LongestReason = 200;
    private const int MostNamed = 8;

    public Lesson Document => lesson.Document;

    /// <summary>What the planner draws with for this change: another with each version.</summary>
    public long Seed => lesson.Stamp.Seed + lesson.Version;

    /// <summary>The change that an undo or a redo took back; null for any other command.</summary>
    public int? Undoes { get; private set; }

    public Task<LessonRequest> Request() => requests.ForPlanning(day, day.RungOf(lesson.Document), Seed);

    public IReadOnlyList<ItemProblem> Problems(LessonRequest request) => requests.Problems(lesson.Document, request);

    public Answer<Lesson> WithActivity(string activityId, Func<Activity, Answer<Lesson>> change) =>
        Document.Find(activityId) is { } activity ? change(activity) : Refusal.Unusable("unknown-item");

    /// <summary>The activity that holds an item, changed.</summary>
    public Answer<Lesson> WithHolder(string itemId, Func<Activity, Answer<Lesson>> change) =>
        Document.Activities.FirstOrDefault(a => a.Items.Any(i => i.Id == itemId)) is { } holder
            ? change(holder)
            : Refusal.Unusable("unknown-item");

    /// <summary>The document with the activity's other items, or the refusal that there are none.</summary>
    public Answer<Lesson> Changed(Activity before, Activity after) =>
        before.Items.Select(i => i.Id).SequenceEqual(after.Items.Select(i => i.Id))
            ? Refusal.Unusable("no-others")
            : Document.With(after);

    /// <summary>What the day brings, made anew.</summary>
    public async Task<Answer<Lesson>> Anew()
    {
        if (day.Rung is null)
            return Refused.LadderClimbed;
        var made = LessonPlanner.Plan(await requests.ForPlanning(day, day.Rung, Seed));
        lesson.Stamp = making.Stamp(day, lesson.Stamp.Seed);
        return made;
    }

    /// <summary>Typed words in an activity, once they are found readable.</summary>
    public Answer<Lesson> Typed(LessonRequest request, Activity activity, string text, bool anyway)
    {
        if (text.Trim() is not { Length: > 0 and <= OwnItems.LongestText } typed)
            return Refusal.Unusable("text-missing", ("most", OwnItems.LongestText));
        if (ActivityFacts.Of(activity.Kind).Takes == TypedText.None)
            return Refusal.Unusable("takes-no-text");
        var (changed, verdicts) = OwnItems.Add(request, Document, activity, typed, requests.Places(day), anyway);
        if (changed is not null)
            return Document.With(changed);
        return verdicts.All(v => v.Status is OwnStatus.Decodable or OwnStatus.Tricky)
            ? Refusal.Unusable("takes-single-words")
            : Refusal.Unusable("not-readable").With("verdicts", LessonReading.Verdicts(day, verdicts));
    }

    /// <summary>
    /// A text of the school's own in the place of the one that is read, with what is taught before it.
    /// </summary>
    public async Task<Answer<Lesson>> WithText(Guid textId)
    {
        var text = await scope
            .Store.OwnTexts.AsNoTracking()
            .SingleOrDefaultAsync(
                t => t.Id == textId && t.Kind == OwnTextKind.Story && (t.IsShared || t.AuthorId == scope.UserId),
                scope.Stop
            );
        if (text is null)
            return Refusal.NotFound("unknown-text");
        var (changed, notYet) = TextInLesson.Put(
            await Request(),
            Document,
            new ChosenText(
                text.Title,
                SentenceCut.Of(text.Body, scope.Words.Finder, byLine: false),
                [.. text.Questions],
                text.First.ToHashSet(StringComparer.Ordinal),
                text.Told.ToHashSet(StringComparer.Ordinal)
            )
        );
        return changed is null
            ? Refusal.Unusable("text-not-readable", ("words", string.Join(", ", notYet.Take(MostNamed))))
            : changed;
    }

    /// <summary>Another group's lesson, as it is; what this group can't read is marked when it is shown.</summary>
    public async Task<Answer<Lesson>> Copied(Guid fromGroup, DateOnly fromDate)
    {
        if (!await scope.Groups.AnyAsync(g => g.Id == fromGroup, scope.Stop))
            return Refused.UnknownGroup;
        var from = await scope
            .DailyLessons.AsNoTracking()
            .SingleOrDefaultAsync(l => l.GroupId == fromGroup && l.Date == fromDate, scope.Stop);
        return from is null ? Refused.NoLesson : from.Document with { Remark = Document.Remark };
    }

    /// <summary>The word is kept from the group, or from the school by a lead, and another takes its place.</summary>
    public async Task<Answer<Lesson>> Ban(string itemId, string reason, bool forSchool)
    {
        if (Document.Activities.SelectMany(a => a.Items).FirstOrDefault(i => i.Id == itemId) is not { } item)
            return Refusal.Unusable("unknown-item");
        if (item is not IOfWord { Word: var word })
            return Refusal.Unusable("not-a-word");
        if (reason.Length > LongestReason)
            return Refusal.Unusable("reason-too-long", ("most", LongestReason));
        var request = await Request();
        if (forSchool)
        {
            if (scope.LeadOnly() is { } refused)
                return refused;
            if (reason.Length == 0)
                return Refusal.Unusable("reason-missing");
            await SchoolVerdicts.Say(scope, word, SchoolVerdict.Ban, null, reason);
        }
        else
        {
            var group = await scope.Store.Groups.SingleAsync(g => g.Id == lesson.GroupId, scope.Stop);
            group.Avoid = [.. group.Avoid.Append(word).Distinct().Order(StringComparer.Ordinal)];
            scope.Audit("word-kept-out", lesson.GroupId);
        }
        var without = request with { Avoid = request.Avoid.Append(word).ToHashSet() };
        bool Has(Item one) => one is IOfWord own && own.Word == word || ReadByChildren.Words(one).Contains(word);
        return Document
            .Activities.Where(a => a.Items.Any(Has))
            .ToList()
            .Aggregate(Document, (now, activity) =>
                LessonRepair.Of(
                    without,
                    now,
                    [.. activity.Items.Where(Has).Select(i => new ItemProblem(i.Id, [Reason.Of("left-out", word)]))]
                )
            );
    }

    /// <summary>
    /// This person's last change taken back, or done again; refused where someone else has changed the same since.
    /// </summary>
    public async Task<Answer<Lesson>> TakeBack(bool undo)
    {
        var changes = await making.Changes(lesson.Id);
        var (last, next) = UndoStacks.Of(
            changes.Where(c => c.UserId == scope.UserId).Select(c => new Undoable(c.Version, c.Undoes))
        );
        if ((undo ? last : next) is not { } version)
            return undo ? Refusal.Conflict("nothing-to-undo").About("lesson") : Refusal.Conflict("nothing-to-redo");
        var standing = UndoStacks.Standing(
            changes.Where(c => c.Version > version).Select(c => new Undoable(c.Version, c.Undoes))
        );
        var kept = await scope
            .Store.LessonUndos.AsNoTracking()
            .Where(u => u.LessonId == lesson.Id && (u.Version == version || standing.Contains(u.Version)))
            .ToListAsync(scope.Stop);
        if (kept.Find(u => u.Version == version) is not { } mine)
            return Refusal.Conflict("nothing-to-undo").About("lesson");
        if (
            LessonEditing.Collide(
                mine.Inverse.Edits,
                kept.Where(u => u.Version != version).SelectMany(u => u.Inverse.Edits)
            )
        )
        {
            return Refusal
                .Conflict("changed-meanwhile")
                .About("undo")
                .With("version", lesson.Version)
                .With("since", await making.Since(lesson.Id, version));
        }
        Undoes = version;
        lesson.Stamp = mine.StampBefore ?? lesson.Stamp;
        return LessonEditing.Apply(Document, mine.Inverse.Edits);
    }
}
