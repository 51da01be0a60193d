using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace BoldLadder.Core.Lessons.Editing;

/// <summary>
/// A small change of a lesson's document, which names activities by id. Stored, so that it can be taken back.
/// </summary>
[JsonDerivedType(typeof(ChangeActivity), "change")]
[JsonDerivedType(typeof(PutActivity), "put")]
[JsonDerivedType(typeof(TakeActivity), "take")]
[JsonDerivedType(typeof(OrderActivities), "order")]
[JsonDerivedType(typeof(WriteRemark), "remark")]
[JsonDerivedType(typeof(MakeAnew), "anew")]
public abstract record LessonEdit
{
    /// <summary>What an edit writes when it writes everything.</summary>
    public const string Everything = "lesson";

    private protected LessonEdit() { }

    internal abstract Lesson Apply(Lesson lesson);

    /// <summary>What it writes, as keys: two edits with a key in common get in each other's way.</summary>
    internal abstract IEnumerable<string> Writes();

    private protected static string Key(string activityId) => $"activity:{activityId}";

    private protected static string Order(PartKind part) => $"order:{part}";
}

/// <summary>An activity as given, in the place of the one with its id.</summary>
public sealed record ChangeActivity(Activity Activity) : LessonEdit
{
    internal override Lesson Apply(Lesson lesson) => lesson.With(Activity);

    internal override IEnumerable<string> Writes() => [Key(Activity.Id)];
}

/// <summary>An activity added to a part.</summary>
/// <param name="Place">From 0.</param>
public sealed record PutActivity(PartKind Part, int Place, Activity Activity) : LessonEdit
{
    internal override Lesson Apply(Lesson lesson) => lesson.WithNew(Part, Place, Activity);

    internal override IEnumerable<string> Writes() => [Key(Activity.Id), Order(Part)];
}

/// <summary>Leaves an activity of a part out.</summary>
public sealed record TakeActivity(PartKind Part, string Id) : LessonEdit
{
    internal override Lesson Apply(Lesson lesson) => lesson.Without(Id);

    internal override IEnumerable<string> Writes() => [Key(Id), Order(Part)];
}

/// <summary>The order of a part's activities, by their ids; one that is not named goes last.</summary>
public sealed record OrderActivities(PartKind Part, ImmutableArray<string> Ids) : LessonEdit
{
    internal override Lesson Apply(Lesson lesson) =>
        lesson with
        {
            Parts =
            [
                .. lesson.Parts.Select(p =>
                    p.Kind == Part
                        ? p with
                        {
                            Activities =
                            [
                                .. p.Activities.OrderBy(a => Ids.IndexOf(a.Id) is >= 0 and var at ? at : Ids.Length),
                            ],
                        }
                        : p
                ),
            ],
        };

    internal override IEnumerable<string> Writes() => [Order(Part)];
}

/// <summary>The teacher's own note; null for none.</summary>
public sealed record WriteRemark(string? Remark) : LessonEdit
{
    internal override Lesson Apply(Lesson lesson) => lesson with { Remark = Remark };

    internal override IEnumerable<string> Writes() => ["remark"];
}

/// <summary>Another lesson altogether.</summary>
public sealed record MakeAnew([property: JsonConverter(typeof(LessonConverter))] Lesson Lesson) : LessonEdit
{
    internal override Lesson Apply(Lesson lesson) => Lesson;

    internal override IEnumerable<string> Writes() => [Everything];
}
