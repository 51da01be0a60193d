using BoldLadder.Core.Lessons;
using BoldLadder.Store;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BoldLadder.Web.Lessons;

/// <summary>What each command does to a lesson's document.</summary>
public static class LessonChanges
{
    /// <summary>The changed document, or why the command can't be carried out.</summary>
    public static (Lesson? Changed, ProblemHttpResult? Refusal) Apply(LessonMaking making, GroupDay day, StoredLesson lesson, LessonCommand command, LessonChange? undone)
    {
        var document = lesson.Document;
        var seed = lesson.Stamp.Seed + lesson.Version;
        LessonRequest Request(long withSeed) => making.Request(day, LessonMaking.RungOf(lesson, day), withSeed);
        var activity = command.ItemId is { } itemId
            ? document.Activities.FirstOrDefault(a => a.Items.Any(i => i.Id == itemId))
            : document.Find(command.ActivityId ?? "");
        switch (command.Type)
        {
            case LessonCommandType.PlanAgain:
                return day.Rung is null ? (null, LessonMaking.LadderClimbed()) : (LessonPlanner.Plan(making.Request(day, day.Rung, seed)), null);
            case LessonCommandType.Undo:
                return undone is null
                    ? (null, Problem.Of(StatusCodes.Status409Conflict, "nothing-to-undo", "There is nothing left to undo in this lesson."))
                    : (undone.Before, null);
            case LessonCommandType.Keep when activity is not null && command.ItemId is not null:
                return (document.With(activity with { Items = [.. activity.Items.Select(i => i.Id == command.ItemId ? i with { Kept = command.Kept ?? true } : i)] }), null);
            case LessonCommandType.ChooseOthers when activity is not null:
                return Others(document, activity, LessonPlanner.Refill(Request(seed), document, activity, seed));
            case LessonCommandType.ReplaceOne when activity is not null && command.ItemId is not null:
                return Others(document, activity, LessonPlanner.ReplaceOne(Request(seed), document, activity, command.ItemId, seed));
            default:
                return (null, Problem.Of(StatusCodes.Status422UnprocessableEntity, "unknown-item", "That activity or item is not in this lesson. Reload the lesson and choose again."));
        }
    }

    /// <summary>The document with the activity's other items, or the answer that there are none.</summary>
    private static (Lesson? Changed, ProblemHttpResult? Refusal) Others(Lesson document, Activity before, Activity after) =>
        before.Items.Select(i => i.Id).SequenceEqual(after.Items.Select(i => i.Id))
            ? (null, Problem.Of(StatusCodes.Status422UnprocessableEntity, "no-others", "There is nothing else to choose from for this group today. What is there stays."))
            : (document.With(after), null);
}
