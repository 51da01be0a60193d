using System.Text.Json;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Words;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Lessons;

/// <summary>What each command does to a lesson's document.</summary>
public sealed class LessonChanges(SchoolScope scope, LessonMaking making)
{
    private const int LongestRemark = 1000;
    private const int LongestReason = 200;
    private const int ShortestSeconds = 30;
    private const int LongestSeconds = 1800;
    private const int MostActivities = 24;

    /// <summary>A changed document, or why the command can't be carried out.</summary>
    private readonly record struct Outcome(Lesson? Changed, ProblemHttpResult? Refusal)
    {
        public static implicit operator Outcome(Lesson changed) => new(changed, null);

        public static implicit operator Outcome(ProblemHttpResult refusal) => new(null, refusal);
    }

    /// <summary>The changed document, or why the command can't be carried out.</summary>
    public async Task<(Lesson? Changed, ProblemHttpResult? Refusal)> Apply(GroupDay day, StoredLesson lesson, LessonCommand command, LessonChange? undone)
    {
        var outcome = await Applied(day, lesson, command, undone);
        return (outcome.Changed, outcome.Refusal);
    }

    private async Task<Outcome> Applied(GroupDay day, StoredLesson lesson, LessonCommand command, LessonChange? undone)
    {
        var document = lesson.Document;
        var seed = lesson.Stamp.Seed + lesson.Version;
        Task<LessonRequest> Request() => making.PlanningRequest(day, LessonMaking.RungOf(lesson, day), seed);
        switch (command.Type)
        {
            case LessonCommandType.PlanAgain:
                return day.Rung is null ? LessonMaking.LadderClimbed() : LessonPlanner.Plan(await making.PlanningRequest(day, day.Rung, seed));
            case LessonCommandType.Undo:
                if (undone is null) return Problem.Of(StatusCodes.Status409Conflict, "nothing-to-undo", "There is nothing left to undo in this lesson.");
                (lesson.RungId, lesson.Stamp) = (undone.RungBefore ?? lesson.RungId, undone.StampBefore ?? lesson.Stamp);
                return undone.Before;
            case LessonCommandType.SetRemark:
                var remark = (command.Text ?? "").Trim();
                return remark.Length > LongestRemark ? Problem.Unusable("remark-too-long", $"Keep the note to {LongestRemark} letters. Shorten it and save again.") : document with { Remark = remark.Length == 0 ? null : remark };
            case LessonCommandType.Copy:
                return await Copied(lesson, command);
            case LessonCommandType.Repair:
                var request = await Request();
                return LessonRepair.Of(request, document, making.Problems(document, request));
            case LessonCommandType.AddActivity:
                return Added(await Request(), document, command, seed);
        }
        var activity = command.ItemId is { } itemId ? document.Activities.FirstOrDefault(a => a.Items.Any(i => i.Id == itemId)) : document.Find(command.ActivityId ?? "");
        if (activity is null) return Problem.Unusable("unknown-item", "That activity or item is not in this lesson. Reload the lesson and choose again.");
        return command.Type switch
        {
            LessonCommandType.DropActivity => document.Activities.Count() < 2 ? Problem.Unusable("last-activity", "A lesson needs at least one activity. Add another before you leave this one out.") : LessonRepair.Without(document, activity.Id),
            LessonCommandType.MoveActivity => Moved(document, activity, command.Place ?? 0),
            LessonCommandType.SetLength => command.Seconds is >= ShortestSeconds and <= LongestSeconds and var seconds ? document.With(activity with { Seconds = seconds, SetByHand = true })
                : Problem.Unusable("bad-length", $"An activity takes {ShortestSeconds / 60.0} to {LongestSeconds / 60} minutes. Choose a length between."),
            LessonCommandType.AddText => WithText(await Request(), day, document, activity, command.Text ?? ""),
            LessonCommandType.ChooseOthers => Others(document, activity, LessonPlanner.Refill(await Request(), document, activity, seed)),
            _ when command.ItemId is null => Problem.Unusable("unknown-item", "Say which item of the activity is meant. Reload the lesson and choose again."),
            LessonCommandType.Keep => document.With(activity with { Items = [.. activity.Items.Select(i => i.Id == command.ItemId ? i with { Kept = command.Kept ?? true } : i)] }),
            LessonCommandType.ReplaceOne => Others(document, activity, LessonPlanner.ReplaceOne(await Request(), document, activity, command.ItemId, seed)),
            LessonCommandType.DropItem => Dropped(await Request(), document, activity, command.ItemId),
            LessonCommandType.Ban => await Banned(await Request(), lesson, activity, command),
            _ => Problem.Unusable("unknown-command", "This change is not known. Reload the page and try again."),
        };
    }

    /// <summary>The document with the activity's other items, or the answer that there are none.</summary>
    private static Outcome Others(Lesson document, Activity before, Activity after) => before.Items.Select(i => i.Id).SequenceEqual(after.Items.Select(i => i.Id))
        ? Problem.Unusable("no-others", "There is nothing else to choose from for this group today. What is there stays.") : document.With(after);

    private static Outcome Dropped(LessonRequest request, Lesson document, Activity activity, string itemId)
    {
        var left = activity.Items.RemoveAll(i => i.Id == itemId);
        return left.IsEmpty ? Problem.Unusable("last-item", "This is the activity's last item. Leave the whole activity out instead.") : document.With(Pace.Holding(activity, left, request.Pace));
    }

    private static Lesson Moved(Lesson document, Activity activity, int place) => document with
    {
        Parts = [.. document.Parts.Select(p => p.Activities.Contains(activity) ? p with { Activities = p.Activities.Remove(activity).Insert(Math.Clamp(place, 0, p.Activities.Length - 1), activity) } : p)],
    };

    /// <summary>One more activity; where there are too few words for it, the answer says what could be done instead.</summary>
    private static Outcome Added(LessonRequest request, Lesson document, LessonCommand command, long seed)
    {
        if (command.Kind is not { } kind || command.Part is not { } part || !ActivityFacts.Of(kind).MayStandIn(part)) return Problem.Unusable("wrong-part", "That activity does not belong in this part. Choose one from the part's list.");
        if (document.Activities.Count() >= MostActivities) return Problem.Unusable("too-many-activities", $"Keep to {MostActivities} activities. Leave one out first.");
        if (LessonPlanner.Another(request, document, part, kind, seed) is { } made)
        {
            var parts = document.Parts.Any(p => p.Kind == part) ? document.Parts : [.. document.Parts.Append(new LessonPart(part, [])).OrderBy(p => p.Kind)];
            return document with { Parts = [.. parts.Select(p => p.Kind == part ? p with { Activities = p.Activities.Insert(Math.Clamp(command.Place ?? int.MaxValue, 0, p.Activities.Length), made) } : p)] };
        }
        var instead = LessonPlanner.InsteadOf(request, document, part, kind);
        return Problem.Unusable("too-few-words", "There are too few words for this activity on this day. Choose another, or go back to an earlier target.", new()
        {
            ["kinds"] = instead.Kinds.Select(k => JsonNamingPolicy.KebabCaseLower.ConvertName(k.ToString())).ToList(),
            ["earlier"] = instead.Earlier?.ReferenceNotation,
        });
    }

    private Outcome WithText(LessonRequest request, GroupDay day, Lesson document, Activity activity, string text)
    {
        if (text.Trim() is not { Length: > 0 and <= OwnItems.LongestText } typed) return Problem.Unusable("text-missing", $"Type a word or a sentence of up to {OwnItems.LongestText} letters.");
        if (ActivityFacts.Of(activity.Kind).Takes == TypedText.None) return Problem.Unusable("takes-no-text", "This activity does not take typed words. Type them into one that is read or spelled.");
        var inRevisit = document.Parts.Single(p => p.Activities.Contains(activity)).Kind == PartKind.Revisit;
        var (changed, verdicts) = OwnItems.Add(request, activity, inRevisit, typed, making.Places(day));
        if (changed is null && verdicts.All(v => v.Status is OwnStatus.Decodable or OwnStatus.Tricky)) return Problem.Unusable("takes-single-words", "This activity takes single words. Type the parts one by one, or put the word into a sentence.");
        return changed is not null ? document.With(changed)
            : Problem.Unusable("not-readable", "This can't be read on this day. The verdict says what it needs; choose another word, or wait.", new() { ["verdicts"] = making.Verdicts(day, verdicts) });
    }

    /// <summary>Another group's lesson, as it is; what this group can't read is marked when it is shown.</summary>
    private async Task<Outcome> Copied(StoredLesson lesson, LessonCommand command)
    {
        if (!await scope.Groups.AnyAsync(g => g.Id == command.FromGroup)) return Problem.NotFound("unknown-group", "There is no such group among yours. Choose one from the list of groups.");
        var from = await scope.Store.Lessons.AsNoTracking().SingleOrDefaultAsync(l => l.GroupId == command.FromGroup && l.Date == command.FromDate);
        if (from is null) return Problem.NotFound("no-lesson", "That group has no lesson planned for that day. Open it there first.");
        lesson.RungId = from.RungId;
        return from.Document with { Remark = lesson.Document.Remark };
    }

    /// <summary>The word is kept from the group, or from the school by a lead, and another takes its place.</summary>
    private async Task<Outcome> Banned(LessonRequest request, StoredLesson lesson, Activity activity, LessonCommand command)
    {
        if (activity.Items.First(i => i.Id == command.ItemId) is not IOfWord { Word: var word }) return Problem.Unusable("not-a-word", "Only a word can be kept out. Choose another item instead.");
        var reason = (command.Text ?? "").Trim();
        if (reason.Length > LongestReason) return Problem.Unusable("reason-too-long", $"Keep the reason to {LongestReason} letters.");
        if (command.ForSchool == true)
        {
            if (scope.LeadOnly() is { } refused) return refused;
            if (reason.Length == 0) return Problem.Unusable("reason-missing", "Say in a few words why the school does not want this word, so that others understand.");
            await SetVerdict(scope, word, SchoolVerdict.Ban, null, reason);
        }
        else
        {
            var group = await scope.Store.Groups.SingleAsync(g => g.Id == lesson.GroupId);
            group.Avoid = [.. group.Avoid.Append(word).Distinct().Order(StringComparer.Ordinal)];
            scope.Audit("word-kept-out", lesson.GroupId);
        }
        var without = request with { Avoid = request.Avoid.Append(word).ToHashSet() };
        var document = lesson.Document;
        bool Has(Item item) => item is IOfWord own && own.Word == word || ReadByChildren.Words(item).Contains(word);
        foreach (var own in document.Activities.Where(a => a.Items.Any(Has)).ToList())
        {
            document = LessonRepair.Of(without, document, [.. own.Items.Where(Has).Select(i => new ItemProblem(i.Id, [Reason.Of("left-out", word)]))]);
        }
        return document;
    }

    /// <summary>Records what the school says of a word; says it anew where it had said something.</summary>
    public static async Task SetVerdict(SchoolScope scope, string spelling, SchoolVerdict verdict, Core.Spelling.Segmentation? cut, string reason)
    {
        await scope.LockSettings();
        if (await scope.Store.SchoolWords.SingleOrDefaultAsync(w => w.Spelling == spelling) is { } known)
        {
            (known.Verdict, known.Graphemes, known.Phonemes, known.Reason, known.UserId, known.At) = (verdict, cut?.Graphemes, cut?.Phonemes, reason, scope.UserId, scope.UtcNow);
        }
        else
        {
            scope.Store.SchoolWords.Add(new StoredWord { SchoolId = scope.School.SchoolId, Spelling = spelling, Verdict = verdict, Graphemes = cut?.Graphemes, Phonemes = cut?.Phonemes, Reason = reason, UserId = scope.UserId, At = scope.UtcNow });
        }
        scope.Audit($"word-{verdict.ToString().ToLowerInvariant()}", scope.School.SchoolId);
    }
}
