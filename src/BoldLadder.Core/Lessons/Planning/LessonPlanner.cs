using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;

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

    /// <summary>
    /// A text or sentence that is to make way counts as read so long ago that nobody wants it again soon.
    /// </summary>
    private const int LongAgo = 50;

    /// <summary>How far back an earlier target is looked for when today's has too few words.</summary>
    private const int EarlierTargets = 12;

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
            for (var i = 0; i < part.Slots.Length; i++)
            {
                if (part.Slots[i].Need != SlotNeed.Room)
                    filled[part.Kind][i] = Fill(work, part, part.Slots[i], filled, notes);
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

    /// <summary>The kinds by when they came last, the longest ago first; those that never came by chance.</summary>
    private static ImmutableArray<ActivityKind> InTurn(
        LessonRequest request,
        PartKind part,
        ImmutableArray<ActivityKind> kinds
    ) =>
        [
            .. Seeded
                .For(request.Seed, $"turn:{part}:{kinds[0]}")
                .Shuffle(kinds)
                .OrderByDescending(k => request.Memory.Kinds.GetValueOrDefault(k, int.MaxValue)),
        ];

    private static string Code(ActivityKind kind) => kind.Code();

    /// <summary>
    /// The activity with other items, those that are kept staying; the same activity when there is nothing to choose
    /// from.
    /// </summary>
    /// <param name="more">Items to choose from beyond as many as there are: where the first ones always come first, as
    /// the cards that are due.</param>
    public static Activity Refill(LessonRequest request, Lesson lesson, Activity activity, long seed, int more = 0)
    {
        var work = WorkOn(request with { Seed = seed }, lesson, activity);
        if (
            Chooser.Make(work, activity.Kind, PartOf(lesson, activity), Asked(activity) + more, activity.Id)
            is not { } fresh
        )
            return activity;
        fresh = fresh with
        {
            SetByHand = activity.SetByHand,
            Seconds = activity.SetByHand ? activity.Seconds : fresh.Seconds,
        };
        // A chain is one thing: with a word of another in it, it is none.
        if (activity.Kind == ActivityKind.WordChain)
            return fresh;
        var kept = activity.Items.Where(i => i.Kept).ToList();
        var others = fresh
            .Items.Where(i => kept.All(k => k.Id != i.Id))
            .OrderBy(i => activity.Items.Any(a => a.Id == i.Id))
            .ThenByDescending(i => IsOwn(request, i))
            .ToList();
        ImmutableArray<Item> items = [.. kept, .. others.Take(Math.Max(0, activity.Items.Length - kept.Count))];
        if (activity.Kind is ActivityKind.ReadWords or ActivityKind.SpellWords)
            items = WithoutExtraContrast(request, items);
        return Pace.Timed(fresh with { Items = items, Steps = fresh.Steps?.Over(items.Length) }, request.Pace);
    }

    /// <summary>
    /// How many things to ask the chooser for, to come out with as many items: a sort or a crossword is one item of
    /// many words.
    /// </summary>
    private static int Asked(Activity activity) =>
        activity.Items switch
        {
            [SortItem sort] => sort.Words.Length,
            [CrosswordItem crossword] => crossword.Lines.Length,
            _ => activity.Items.Length,
        };

    private static bool IsOwn(LessonRequest request, Item item) =>
        item is WordItem word && request.Lexicon.Find(word.Word) is { } found && Usable.Shows(request.Today, found);

    /// <summary>Drops words without today's correspondence until two thirds have it; what is kept stays.</summary>
    private static ImmutableArray<Item> WithoutExtraContrast(LessonRequest request, ImmutableArray<Item> items)
    {
        while (
            items.Count(i => IsOwn(request, i)) * 3 < items.Length * 2
            && items.LastOrDefault(i => !i.Kept && !IsOwn(request, i)) is { } extra
        )
            items = items.Remove(extra);
        return items;
    }

    /// <summary>The activity with another item in the place of one; the same activity when there is no other.</summary>
    public static Activity ReplaceOne(LessonRequest request, Lesson lesson, Activity activity, string itemId, long seed)
    {
        if (activity.Kind == ActivityKind.WordChain)
            return activity;
        var held = activity with { Items = [.. activity.Items.Select(i => i with { Kept = i.Id != itemId })] };
        var other = Other(0) ?? Other(activity.Items.Length);
        return other is null
            ? activity
            : activity with
            {
                Items = [.. activity.Items.Select(i => i.Id == itemId ? other : i)],
            };

        Item? Other(int more) =>
            Refill(request, lesson, held, seed, more).Items.FirstOrDefault(i => activity.Items.All(a => a.Id != i.Id));
    }

    /// <summary>
    /// The work on one activity of a lesson that stands: its words to read are the shared set, and what the activity
    /// shows is to make way.
    /// </summary>
    private static LessonWork WorkOn(LessonRequest request, Lesson lesson, Activity activity)
    {
        var toGo = activity.Items.Where(i => !i.Kept).ToList();
        var words = toGo.SelectMany(ReadByChildren.Words).Distinct().ToDictionary(w => w, _ => 1);
        var texts = toGo.Select(i =>
                i switch
                {
                    SentenceItem s => s.Text,
                    TextItem t => t.Title,
                    _ => null,
                }
            )
            .OfType<string>()
            .Distinct()
            .ToList();
        var recent = request.Memory.Texts.ToDictionary();
        foreach (var text in texts)
            recent[text] = toGo.OfType<TextItem>().Any() ? LongAgo : 1;
        var elsewhere = request with
        {
            Memory = request.Memory with
            {
                Words = request.Memory.Words.Where(r => !words.ContainsKey(r.Key)).Concat(words).ToDictionary(),
                Texts = recent,
            },
            RecentMadeUp = toGo.OfType<MadeUpItem>().Select(i => i.Word).ToHashSet(),
        };
        var makingWay = words.Keys.ToHashSet();
        var met = lesson
            .Activities.Where(a => a.Id != activity.Id)
            .SelectMany(a => a.Items.Concat(a.Levels?.Support ?? []).Concat(a.Levels?.Stretch ?? []))
            .Concat(activity.Items.Where(i => i.Kept))
            .SelectMany(ReadByChildren.Sentences)
            .ToHashSet();
        if (activity.Kind == ActivityKind.ReadWords)
            return new LessonWork(elsewhere)
            {
                SetSize = activity.Items.Length,
                ToGo = makingWay,
                Met = met,
            };
        var set = lesson
            .Activities.Where(a => a.Kind == ActivityKind.ReadWords)
            .SelectMany(a => a.Items.OfType<WordItem>())
            .Select(i => request.Lexicon.Find(i.Word))
            .OfType<Word>()
            .ToList();
        if (activity.Kind == ActivityKind.MissingGrapheme)
            set.RemoveAll(w => words.ContainsKey(w.Spelling));
        return set.Count > 0
            ? new LessonWork(elsewhere)
            {
                Set = set,
                ToGo = makingWay,
                Met = met,
            }
            : new LessonWork(elsewhere) { ToGo = makingWay, Met = met };
    }

    private static PartKind PartOf(Lesson lesson, Activity activity) =>
        lesson.Parts.First(p => p.Activities.Any(a => a.Id == activity.Id)).Kind;

    /// <summary>
    /// A new activity for a part of a lesson that stands; null when there is too little to fill it with.
    /// </summary>
    /// <param name="count">Items; null for what the template of such a lesson would have.</param>
    public static Activity? Another(
        LessonRequest request,
        Lesson lesson,
        PartKind part,
        ActivityKind kind,
        long seed,
        int? count = null
    )
    {
        var id = ActivityFacts.Of(kind).IdIn(part);
        for (var again = 2; lesson.Find(id) is not null; again++)
            id = string.Create(CultureInfo.InvariantCulture, $"{ActivityFacts.Of(kind).IdIn(part)}-{again}");
        var empty = new Activity(id, kind, ActivityFacts.Of(kind).Response, 0, []);
        return Chooser.Make(
            WorkOn(request with { Seed = seed }, lesson, empty),
            kind,
            part,
            count ?? UsualItems(kind, request.Minutes),
            id
        );
    }

    /// <summary>
    /// How many items an activity usually has in a lesson of a length: as the shipped template that has it says.
    /// </summary>
    private static int UsualItems(ActivityKind kind, int minutes) =>
        Enum.GetValues<LessonDay>()
            .SelectMany(d => LessonTemplate.Shipped(d, minutes).Parts)
            .SelectMany(p => p.Slots)
            .Where(s => s.Kinds.Contains(kind))
            .Select(s => s.Items)
            .FirstOrDefault(4);

    /// <summary>
    /// What to do when an activity can't be filled today: other activities of the part that can be, and the last target
    /// taught for which this one could be.
    /// </summary>
    public static Alternatives InsteadOf(LessonRequest request, Lesson lesson, PartKind part, ActivityKind kind)
    {
        var standing = lesson.Activities.Select(a => a.Kind).ToHashSet();
        ImmutableArray<ActivityKind> kinds =
        [
            .. ActivityFacts
                .All.Where(c => c.Part == part && c.Kind != kind && !standing.Contains(c.Kind))
                .Select(c => c.Kind)
                .Order()
                .Where(k => Another(request, lesson, part, k, request.Seed) is not null),
        ];
        foreach (var earlier in request.Memory.Newest.Take(EarlierTargets))
        {
            var then = request with
            {
                Today = request.Today with
                {
                    Correspondences = [earlier],
                    Patterns = Patterns.None,
                    Tricky = [],
                    Kind = RungKind.Lesson,
                },
            };
            if (Chooser.Make(new LessonWork(then), kind, part, UsualItems(kind, request.Minutes)) is not null)
                return new Alternatives(kinds, earlier);
        }
        return new Alternatives(kinds, null);
    }
}

/// <summary>What can be done instead of an activity that can't be filled.</summary>
/// <param name="Earlier">A correspondence taught before for which the activity could be filled; null when there is none
/// among the last.</param>
public sealed record Alternatives(ImmutableArray<ActivityKind> Kinds, Correspondence? Earlier);
