using System.Collections.Immutable;
using System.Reflection;
using System.Text.Json.Serialization;
using BoldLadder.Core;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.School.Refusals;

namespace BoldLadder.School.Lessons;

/// <summary>
/// A change to a planned lesson that someone asks for. Each kind says itself what becomes of the document, so that none
/// can be forgotten.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "type")]
[JsonDerivedType(typeof(KeepItem), "keep")]
[JsonDerivedType(typeof(ChooseOthers), "choose-others")]
[JsonDerivedType(typeof(ReplaceItem), "replace-one")]
[JsonDerivedType(typeof(DropItem), "drop-item")]
[JsonDerivedType(typeof(BanWord), "ban")]
[JsonDerivedType(typeof(AddText), "add-text")]
[JsonDerivedType(typeof(UseText), "use-text")]
[JsonDerivedType(typeof(AddActivity), "add-activity")]
[JsonDerivedType(typeof(DropActivity), "drop-activity")]
[JsonDerivedType(typeof(MoveActivity), "move-activity")]
[JsonDerivedType(typeof(SetLength), "set-length")]
[JsonDerivedType(typeof(SetRemark), "set-remark")]
[JsonDerivedType(typeof(SetChecklist), "set-checklist")]
[JsonDerivedType(typeof(CopyLesson), "copy")]
[JsonDerivedType(typeof(RepairLesson), "repair")]
[JsonDerivedType(typeof(PlanAgain), "plan-again")]
[JsonDerivedType(typeof(UndoChange), "undo")]
[JsonDerivedType(typeof(RedoChange), "redo")]
public abstract record LessonCommand
{
    private static readonly Dictionary<Type, string> Codes = typeof(LessonCommand)
        .GetCustomAttributes<JsonDerivedTypeAttribute>()
        .ToDictionary(a => a.DerivedType, a => (string)a.TypeDiscriminator!);

    private protected LessonCommand() { }

    /// <summary>How the command is kept in the lesson's history: keep, plan-again.</summary>
    internal string Code => CodeOf(GetType());

    /// <summary>The activity or item it is about; null when it is the whole lesson.</summary>
    internal virtual string? Subject => null;

    public static string CodeOf(Type command) => Codes[command];

    internal abstract Task<Answer<Lesson>> On(LessonBench bench);

    private protected static Task<Answer<Lesson>> At(Answer<Lesson> answer) => Task.FromResult(answer);
}

/// <summary>The item stays when others are chosen, or no longer.</summary>
public sealed record KeepItem(string ItemId, bool Kept = true) : LessonCommand
{
    internal override string Subject => ItemId;

    internal override Task<Answer<Lesson>> On(LessonBench bench) =>
        At(
            bench.WithHolder(ItemId, holder =>
                bench.Document.With(
                    holder with
                    {
                        Items = [.. holder.Items.Select(i => i.Id == ItemId ? i with { Kept = Kept } : i)],
                    }
                )
            )
        );
}

/// <summary>Other items for all of the activity that are not kept.</summary>
public sealed record ChooseOthers(string ActivityId) : LessonCommand
{
    internal override string Subject => ActivityId;

    internal override async Task<Answer<Lesson>> On(LessonBench bench)
    {
        var request = await bench.Request();
        return bench.WithActivity(ActivityId, activity =>
            bench.Changed(activity, LessonChanges.Refill(request, bench.Document, activity, bench.Seed))
        );
    }
}

/// <summary>Another item in the place of one.</summary>
public sealed record ReplaceItem(string ItemId) : LessonCommand
{
    internal override string Subject => ItemId;

    internal override async Task<Answer<Lesson>> On(LessonBench bench)
    {
        var request = await bench.Request();
        return bench.WithHolder(ItemId, holder =>
            bench.Changed(holder, LessonChanges.ReplaceOne(request, bench.Document, holder, ItemId, bench.Seed))
        );
    }
}

/// <summary>Leaves an item out.</summary>
public sealed record DropItem(string ItemId) : LessonCommand
{
    internal override string Subject => ItemId;

    internal override async Task<Answer<Lesson>> On(LessonBench bench)
    {
        var request = await bench.Request();
        return bench.WithHolder(ItemId, holder =>
        {
            var left = holder.Items.RemoveAll(i => i.Id == ItemId);
            return left.IsEmpty
                ? Refusal.Unusable("last-item")
                : bench.Document.With(Pace.Holding(holder, left, request.Pace));
        });
    }
}

/// <summary>The item's word is never to come again, in this group or in the school; another takes its place.</summary>
/// <param name="Text">Why; needed for the school.</param>
public sealed record BanWord(string ItemId, string? Text = null, bool ForSchool = false) : LessonCommand
{
    internal override string Subject => ItemId;

    internal override Task<Answer<Lesson>> On(LessonBench bench) => bench.Ban(ItemId, (Text ?? "").Trim(), ForSchool);
}

/// <summary>A word or a sentence that was typed, judged before it is taken.</summary>
/// <param name="Anyway">A sentence is taken although words in it can't be read yet: the adult reads them.</param>
public sealed record AddText(string ActivityId, string Text, bool Anyway = false) : LessonCommand
{
    internal override string Subject => ActivityId;

    internal override async Task<Answer<Lesson>> On(LessonBench bench)
    {
        var request = await bench.Request();
        return bench.WithActivity(ActivityId, activity => bench.Typed(request, activity, Text, Anyway));
    }
}

/// <summary>A text of the school's own in the place of the one that is read.</summary>
public sealed record UseText(Guid TextId) : LessonCommand
{
    internal override Task<Answer<Lesson>> On(LessonBench bench) => bench.WithText(TextId);
}

/// <summary>
/// One more activity; where there are too few words for it, the refusal says what could be done instead.
/// </summary>
/// <param name="Place">Where in the part, from 0; null for last.</param>
public sealed record AddActivity(PartKind Part, ActivityKind Kind, int? Place = null) : LessonCommand
{
    private const int MostActivities = 24;

    internal override async Task<Answer<Lesson>> On(LessonBench bench)
    {
        if (!ActivityFacts.Of(Kind).MayStandIn(Part))
            return Refusal.Unusable("wrong-part");
        if (bench.Document.Activities.Count() >= MostActivities)
            return Refusal.Unusable("too-many-activities", ("most", MostActivities));
        var request = await bench.Request();
        if (LessonChanges.Another(request, bench.Document, Part, Kind, bench.Seed) is { } made)
            return bench.Document.WithNew(Part, Place ?? int.MaxValue, made);
        var instead = LessonChanges.InsteadOf(request, bench.Document, Part, Kind);
        return Refusal
            .Unusable("too-few-words")
            .With("kinds", instead.Kinds.Select(k => k.Code()).ToList())
            .With("earlier", instead.Earlier?.ReferenceNotation);
    }
}

/// <summary>What a story is to have, as a teacher put it together.</summary>
public sealed record SetChecklist(string ItemId, IReadOnlyList<CheckLine> Lines) : LessonCommand
{
    internal override string Subject => ItemId;

    internal override Task<Answer<Lesson>> On(LessonBench bench) =>
        At(
            Lines.Count > CheckLine.MostLines || Lines.Any(l => !l.IsUsable)
                ? Refusal.Unusable("bad-checklist", ("lines", CheckLine.MostLines), ("most", CheckLine.LongestText))
                : bench.WithHolder(ItemId, holder =>
                    bench.Document.With(
                        holder with
                        {
                            Items =
                            [
                                .. holder.Items.Select(i =>
                                    i is PromptItem prompt && i.Id == ItemId
                                        ? prompt with
                                        {
                                            Checklist = [.. Lines.Select(l => l with { Text = l.Text.Trim() })],
                                        }
                                        : i
                                ),
                            ],
                        }
                    )
                )
        );
}

/// <summary>Leaves an activity out.</summary>
public sealed record DropActivity(string ActivityId) : LessonCommand
{
    internal override string Subject => ActivityId;

    internal override Task<Answer<Lesson>> On(LessonBench bench) =>
        At(
            bench.WithActivity(ActivityId, activity =>
                bench.Document.Activities.Count() < 2
                    ? Refusal.Unusable("last-activity")
                    : bench.Document.Without(activity.Id)
            )
        );
}

/// <summary>Puts an activity to another place in its part, from 0.</summary>
public sealed record MoveActivity(string ActivityId, int Place) : LessonCommand
{
    internal override string Subject => ActivityId;

    internal override Task<Answer<Lesson>> On(LessonBench bench) =>
        At(
            bench.WithActivity(ActivityId, activity =>
                bench.Document with
                {
                    Parts =
                    [
                        .. bench.Document.Parts.Select(p =>
                            p.Activities.Contains(activity) ? p with { Activities = Moved(p.Activities, activity) } : p
                        ),
                    ],
                }
            )
        );

    private ImmutableArray<Activity> Moved(ImmutableArray<Activity> all, Activity activity) =>
        all.Remove(activity).Insert(Math.Clamp(Place, 0, all.Length - 1), activity);
}

/// <summary>How long an activity takes.</summary>
public sealed record SetLength(string ActivityId, int Seconds) : LessonCommand
{
    private const int Shortest = 30;
    private const int Longest = 1800;

    internal override string Subject => ActivityId;

    internal override Task<Answer<Lesson>> On(LessonBench bench) =>
        At(
            bench.WithActivity(ActivityId, activity =>
                Seconds is >= Shortest and <= Longest
                    ? bench.Document.With(activity with { Seconds = Seconds, SetByHand = true })
                    : Refusal.Unusable("bad-length", ("least", Shortest / 60.0), ("most", Longest / 60))
            )
        );
}

/// <summary>The teacher's note.</summary>
public sealed record SetRemark(string? Text) : LessonCommand
{
    internal const int Longest = 1000;

    internal override Task<Answer<Lesson>> On(LessonBench bench)
    {
        var remark = (Text ?? "").Trim();
        return At(
            remark.Length > Longest
                ? Refusal.Unusable("remark-too-long", ("most", Longest))
                : bench.Document with
                {
                    Remark = remark.Length == 0 ? null : remark,
                }
        );
    }
}

/// <summary>The lesson of another group, checked again for this one.</summary>
public sealed record CopyLesson(Guid FromGroup, DateOnly FromDate) : LessonCommand
{
    internal override Task<Answer<Lesson>> On(LessonBench bench) => bench.Copied(FromGroup, FromDate);
}

/// <summary>Replaces only what can't be read any more.</summary>
public sealed record RepairLesson : LessonCommand
{
    internal override async Task<Answer<Lesson>> On(LessonBench bench)
    {
        var request = await bench.Request();
        return LessonRepair.Of(request, bench.Document, bench.Problems(request));
    }
}

/// <summary>Made anew for what the group comes to on the day.</summary>
public sealed record PlanAgain : LessonCommand
{
    internal override Task<Answer<Lesson>> On(LessonBench bench) => bench.Anew();
}

/// <summary>Takes back this person's last change that was not taken back.</summary>
public sealed record UndoChange : LessonCommand
{
    internal override Task<Answer<Lesson>> On(LessonBench bench) => bench.TakeBack(undo: true);
}

/// <summary>Does again what this person took back last.</summary>
public sealed record RedoChange : LessonCommand
{
    internal override Task<Answer<Lesson>> On(LessonBench bench) => bench.TakeBack(undo: false);
}
