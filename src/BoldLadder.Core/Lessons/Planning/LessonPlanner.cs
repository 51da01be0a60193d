using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>
/// Plans the four parts of a lesson from the template of the day. Pure and seeded: the same request gives the same
/// lesson; each activity draws from its own stream, so choosing others for one moves no other. Source:
/// docs/handbook.md, sections 6 and 7.
/// </summary>
public static class LessonPlanner
{
    /// <summary>The order in which parts get what room is left.</summary>
    private static readonly ImmutableArray<PartKind> RoomGoesTo =
    [
        PartKind.Practise,
        PartKind.Apply,
        PartKind.Revisit,
        PartKind.Teach,
    ];

    public static Lesson Plan(LessonRequest request)
    {
        var work = new LessonWork(request);
        var day = LessonDays.Of(request, work.Own.Count);
        var length = Pace.NearestLength(request.Minutes);
        var template = request.Templates.FirstOrDefault(t => t.Day == day && t.Minutes == length)
            ?? LessonTemplate.Shipped(day, length);
        work.SetSize = template.SetSize;
        var notes = ImmutableArray.CreateBuilder<Reason>();
        if (day == LessonDay.FewWords)
            notes.Add(
                Reason.Of("few-words", request.Today.Label, work.Own.Count.ToString(CultureInfo.InvariantCulture))
            );

        var filled = template.Parts.ToDictionary(p => p.Kind, p => new Activity?[p.Slots.Length]);
        foreach (var part in template.Parts)
        {
            // What was missed has a place of its own; the cards come round it.
            foreach (
                var (i, slot) in part.Slots.Index().OrderByDescending(s => s.Item.Kinds[0] == ActivityKind.LastMiss)
            )
            {
                if (slot.Need != SlotNeed.Room)
                    filled[part.Kind][i] = Fill(work, part, slot, filled, notes);
            }
            if (
                filled[part.Kind].All(a => a is null)
                && part.Slots.Length > 0
                && Instead(work, part, filled) is { } instead
            )
                filled[part.Kind][0] = instead;
        }
        KeepOnly(filled, Pace.Fit(Parts(template, filled), request.Minutes, request.Pace));
        AddWhatThereIsRoomFor(work, template, filled, Pace.ToFill(request.Minutes));
        LengthenApply(work, template, filled, Pace.ToFill(request.Minutes));

        // A quiet day goes back to what its rung names, and teaches nothing.
        var news =
            request.Today.Kind == RungKind.Lesson
                ? request.Today
                : request.Today with
                {
                    Correspondences = [],
                    Patterns = Patterns.None,
                };
        return new Lesson(
            Lesson.CurrentFormat,
            TeachingDay.TitleOf(request.Today),
            [.. news.Correspondences.Select(c => c.Notation)],
            [.. news.Patterns.Each().Select(p => p.Id())],
            [.. Parts(template, filled).Where(p => p.Activities.Length > 0)],
            notes.ToImmutable()
        );
    }

    private static ImmutableArray<LessonPart> Parts(
        LessonTemplate template,
        Dictionary<PartKind, Activity?[]> filled
    ) => [.. template.Parts.Select(p => new LessonPart(p.Kind, [.. filled[p.Kind].OfType<Activity>()]))];

    /// <summary>
    /// The first of the slot's kinds that can be filled; where a must can't, or only with another kind than the first,
    /// the lesson says so.
    /// </summary>
    private static Activity? Fill(
        LessonWork work,
        TemplatePart part,
        Slot slot,
        Dictionary<PartKind, Activity?[]> filled,
        ImmutableArray<Reason>.Builder? notes = null
    )
    {
        var kinds = slot.TakeTurns ? InTurn(work.Request, part.Kind, slot.Kinds) : slot.Kinds;
        var used = filled.Values.SelectMany(a => a).OfType<Activity>().Select(a => a.Id).ToHashSet();
        foreach (var kind in kinds)
        {
            if (used.Contains(ActivityFacts.Of(kind).IdIn(part.Kind)))
                continue;
            if (Chooser.Make(work, kind, part.Kind, slot.Items) is not { } made)
                continue;
            if (slot.Need == SlotNeed.Must && !slot.TakeTurns && kind != kinds[0] && HasBegun(work.Request))
                notes?.Add(Reason.Of("too-few-for", Code(kinds[0]), Code(kind)));
            return made;
        }
        if (slot.Need == SlotNeed.Must && HasBegun(work.Request))
            notes?.Add(Reason.Of("too-few-for", Code(kinds[0])));
        return null;
    }

    private static bool HasBegun(LessonRequest request) => request.Before.Correspondences.Count > 0;

    /// <summary>What can be done in a part that would be empty.</summary>
    private static Activity? Instead(LessonWork work, TemplatePart part, Dictionary<PartKind, Activity?[]> filled)
    {
        ActivityKind kind = part.Kind switch
        {
            PartKind.Apply => ActivityKind.OralSentence,
            PartKind.Teach => ActivityKind.HearSound,
            _ when filled.Values.SelectMany(a => a).Any(a => a?.Kind == ActivityKind.OralBlending) =>
                ActivityKind.OralSegmenting,
            _ => ActivityKind.OralBlending,
        };
        return Fill(work, part, new Slot([kind], false, SlotNeed.IfAny, 4), filled);
    }

    private static void AddWhatThereIsRoomFor(
        LessonWork work,
        LessonTemplate template,
        Dictionary<PartKind, Activity?[]> filled,
        int seconds
    )
    {
        // The first such place of each part, then the second: Apply is not left out for the last of Practise.
        var places = template
            .Parts.SelectMany(p =>
                p.Slots.Select((s, i) => (Part: p, Slot: s, At: i))
                    .Where(x => x.Slot.Need == SlotNeed.Room)
                    .Select((x, round) => (x.Part, x.Slot, x.At, Round: round))
            )
            .OrderBy(p => p.Round)
            .ThenBy(p => RoomGoesTo.IndexOf(p.Part.Kind));
        foreach (var (part, slot, at, _) in places)
        {
            var left = seconds - filled.Values.SelectMany(a => a).OfType<Activity>().Sum(a => a.Seconds);
            foreach (var kind in slot.TakeTurns ? InTurn(work.Request, part.Kind, slot.Kinds) : slot.Kinds)
            {
                if (left < ActivityFacts.Of(kind).Seconds * work.Request.Pace)
                    continue;
                if (Fill(work, part, slot with { Kinds = [kind] }, filled) is not { } made)
                    continue;
                filled[part.Kind][at] = made;
                if (
                    made.Seconds <= left
                    && !(part.Kind == PartKind.Practise && Pace.HasTooMuchPractice(Parts(template, filled)))
                )
                    break;
                filled[part.Kind][at] = null;
                work.Free(made);
            }
        }
    }

    /// <summary>
    /// Where Apply has less than its share, more is read or said in it; what can't be added is cut from Practise.
    /// </summary>
    private static void LengthenApply(
        LessonWork work,
        LessonTemplate template,
        Dictionary<PartKind, Activity?[]> filled,
        int seconds
    )
    {
        if (!filled.TryGetValue(PartKind.Apply, out var apply))
            return;
        for (var more = 0; more < MostMore && Pace.HasTooLittleApply(Parts(template, filled)); more++)
        {
            if (!Lengthen(work, apply))
                break;
            if (Parts(template, filled) is var parts && parts.Sum(p => p.Seconds) > seconds)
                KeepOnly(filled, Pace.Fit(parts, work.Request.Minutes, work.Request.Pace));
        }
        KeepOnly(filled, Pace.Spared(Parts(template, filled), work.Request.Pace));
    }

    /// <summary>One item more in the first activity that can have one; false where none can.</summary>
    private static bool Lengthen(LessonWork work, Activity?[] activities)
    {
        for (var i = 0; i < activities.Length; i++)
        {
            if (activities[i] is not { } standing || !Lengthens.Contains(standing.Kind))
                continue;
            work.Free(standing);
            var longer = Chooser.Make(work, standing.Kind, PartKind.Apply, standing.Items.Length + 1, standing.Id);
            if (longer is not null && longer.Items.Length > standing.Items.Length)
            {
                activities[i] = longer;
                return true;
            }
            if (longer is not null)
                work.Free(longer);
            work.Settle(standing.Items);
        }
        return false;
    }

    /// <summary>The activities as the parts have them; those that they have no more are empty places.</summary>
    private static void KeepOnly(Dictionary<PartKind, Activity?[]> filled, ImmutableArray<LessonPart> parts)
    {
        var kept = parts.SelectMany(p => p.Activities).ToDictionary(a => a.Id);
        foreach (var places in filled.Values)
        {
            for (var i = 0; i < places.Length; i++)
                places[i] = places[i] is { } a ? kept.GetValueOrDefault(a.Id) : null;
        }
    }

    private const int MostMore = 6;

    private static readonly ImmutableArray<ActivityKind> Lengthens =
    [
        ActivityKind.ReadSentence,
        ActivityKind.OralSentence,
        ActivityKind.FillGap,
        ActivityKind.PhraseToPicture,
    ];

    /// <summary>
    /// The kinds by when they came last, the longest ago first; those that never came by chance. The last day of a week
    /// rather has a text.
    /// </summary>
    private static ImmutableArray<ActivityKind> InTurn(
        LessonRequest request,
        PartKind part,
        ImmutableArray<ActivityKind> kinds
    ) =>
        [
            .. Seeded
                .For(request.Seed, $"turn:{part}:{kinds[0]}")
                .Shuffle(kinds)
                .OrderByDescending(k => k == ActivityKind.ReadText && request.LooksBackOn > 0)
                .ThenByDescending(k => request.Memory.Kinds.GetValueOrDefault(k, int.MaxValue)),
        ];

    private static string Code(ActivityKind kind) => kind.Code();
}
