using System.Collections.Immutable;
using System.Text.Json;

namespace BoldLadder.Core.Lessons.Editing;

/// <summary>
/// Takes a change of a lesson back: as edits, so that what others changed meanwhile stays, and says when two changes
/// get in each other's way.
/// </summary>
public static class LessonEditing
{
    public static Lesson Apply(Lesson lesson, IEnumerable<LessonEdit> edits) =>
        edits.Aggregate(lesson, (now, edit) => edit.Apply(now));

    /// <summary>The edits that make one lesson of the other; what is the same in both is not touched.</summary>
    public static ImmutableArray<LessonEdit> Between(Lesson from, Lesson to)
    {
        var edits = Small(from, to).ToImmutableArray();
        return LessonDocument.Write(Apply(from, edits)) == LessonDocument.Write(to) ? edits : [new MakeAnew(to)];
    }

    /// <summary>True when both write the same: then one can't be taken back under the other.</summary>
    public static bool Collide(IEnumerable<LessonEdit> mine, IEnumerable<LessonEdit> theirs)
    {
        var (one, other) = (
            mine.SelectMany(e => e.Writes()).ToHashSet(),
            theirs.SelectMany(e => e.Writes()).ToHashSet()
        );
        return one.Count > 0
            && other.Count > 0
            && (one.Contains(LessonEdit.Everything) || other.Contains(LessonEdit.Everything) || one.Overlaps(other));
    }

    public static string Write(ImmutableArray<LessonEdit> edits) =>
        JsonSerializer.Serialize(edits, LessonDocument.Json);

    /// <exception cref="FormatException">No edits of a known kind.</exception>
    public static ImmutableArray<LessonEdit> Read(string json)
    {
        try
        {
            return JsonSerializer.Deserialize<ImmutableArray<LessonEdit>>(json, LessonDocument.Json);
        }
        catch (JsonException problem)
        {
            throw new FormatException($"These edits of a lesson are not readable: {problem.Message}", problem);
        }
    }

    private static IEnumerable<LessonEdit> Small(Lesson from, Lesson to)
    {
        if (from.Remark != to.Remark)
            yield return new WriteRemark(to.Remark);
        foreach (var part in from.Parts)
        {
            foreach (var gone in part.Activities.Where(a => to.Find(a.Id) is null))
                yield return new TakeActivity(part.Kind, gone.Id);
        }
        foreach (var part in to.Parts)
        {
            for (var place = 0; place < part.Activities.Length; place++)
            {
                var activity = part.Activities[place];
                if (from.Find(activity.Id) is not { } before)
                    yield return new PutActivity(part.Kind, place, activity);
                else if (!Same(before, activity))
                    yield return new ChangeActivity(activity);
            }
            var ids = part.Activities.Select(a => a.Id).ToImmutableArray();
            var stayed = from
                .Parts.FirstOrDefault(p => p.Kind == part.Kind)
                ?.Activities.Select(a => a.Id)
                .Where(ids.Contains);
            if (stayed is not null && !stayed.SequenceEqual(ids.Where(stayed.Contains)))
                yield return new OrderActivities(part.Kind, ids);
        }
    }

    private static bool Same(Activity one, Activity other) =>
        ReferenceEquals(one, other)
        || JsonSerializer.Serialize(one, LessonDocument.Json) == JsonSerializer.Serialize(other, LessonDocument.Json);
}
