using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>
/// Changes one activity of a lesson that stands, and leaves the others as they are: choose others, another one, add an
/// activity. Seeded as the planner is. Source: docs/handbook.md, section 6.
/// </summary>
public static class LessonChanges
{
    /// <summary>How far back an earlier target is looked for when today's has too few words.</summary>
    private const int EarlierTargets = 12;

    /// <summary>
    /// A text or sentence that is to make way counts as read so long ago that nobody wants it again soon.
    /// </summary>
    private const int LongAgo = 50;

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
            [HuntItem hunt] => hunt.Words.Length,
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
        var sentencesToGo = toGo.SelectMany(ReadByChildren.Sentences).ToHashSet();
        var staying = lesson
            .Activities.Where(a => a.Id != activity.Id)
            .SelectMany(a => a.Items.Concat(a.Levels?.Support ?? []).Concat(a.Levels?.Stretch ?? []))
            .Concat(activity.Items.Where(i => i.Kept))
            .ToList();
        var met = staying.SelectMany(ReadByChildren.Sentences).ToHashSet();
        var cards = staying.OfType<CardItem>().Select(c => c.Correspondence).ToHashSet();
        if (activity.Kind == ActivityKind.ReadWords)
            return new LessonWork(elsewhere)
            {
                SetSize = activity.Items.Length,
                ToGo = makingWay,
                Met = met,
                MetCards = cards,
                SentencesToGo = sentencesToGo,
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
                MetCards = cards,
                SentencesToGo = sentencesToGo,
            }
            : new LessonWork(elsewhere)
            {
                ToGo = makingWay,
                Met = met,
                MetCards = cards,
                SentencesToGo = sentencesToGo,
            };
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
    /// What could be added to a part, a kind that it does not have yet each, with what it would hold; null where there
    /// is too little.
    /// </summary>
    public static IEnumerable<(ActivityKind Kind, Activity? Activity)> Addable(
        LessonRequest request,
        Lesson lesson,
        PartKind part,
        long seed
    )
    {
        var standing = lesson.Activities.Select(a => a.Kind).ToHashSet();
        return ActivityFacts
            .All.Where(f => f.Part == part && !standing.Contains(f.Kind))
            .Select(f => (f.Kind, Another(request, lesson, part, f.Kind, seed)));
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
        ImmutableArray<ActivityKind> kinds =
        [
            .. Addable(request, lesson, part, request.Seed)
                .Where(a => a.Kind != kind && a.Activity is not null)
                .Select(a => a.Kind)
                .Order(),
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
