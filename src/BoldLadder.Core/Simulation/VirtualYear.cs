using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Simulation;

/// <summary>What a year came to: the mean share of what was taught that a child still has at its end, and that of the
/// tenth of the children who have least.</summary>
/// <param name="Children">The mean of each child.</param>
public sealed record YearResult(double Mean, double Worst, ImmutableArray<double> Children);

/// <summary>
/// A virtual class taught for a year by the real planner, with Revisit and a share of Practise chosen by a policy; all
/// policies have the same lessons of the same minutes. The same seed is the same class, whatever the policy. Source:
/// docs/memory.md.
/// </summary>
public sealed class VirtualYear(
    Ladder ladder,
    Materials materials,
    Difficulty difficulty,
    ForgettingLaw law,
    RevisitPolicy policy,
    int minutes,
    long seed
)
{
    /// <summary>How much of a look it is when the whole class says a card, or reads a word.</summary>
    private const double OnCard = 0.5;
    private const double InWord = 0.22;
    private const double Written = 0.8;

    /// <summary>A word that was misheard or a letter that slipped, of a hundred.</summary>
    private const double Slip = 0.03;
    private const int WeeksBetween = 6;
    private const int DaysInWeek = 7;
    private const int SchoolDays = 5;
    private static readonly DateOnly Begins = new(2026, 9, 7);

    private readonly List<Correspondence> taught = [];
    private readonly Dictionary<Correspondence, int> places = [];
    private readonly Dictionary<Correspondence, (int Box, int Lesson)> boxes = [];
    private readonly Seeded draws = Seeded.For(seed, $"year:{policy}");

    public YearResult Run(int lessons)
    {
        var targets = ladder.Rungs.SelectMany(r => r.Correspondences).Distinct().ToList();
        for (var i = 0; i < targets.Count; i++)
            places[targets[i]] = i;
        var children = new VirtualClass(law, targets.Count, Seeded.For(seed, "class"));
        var known = new Dictionary<MemoryTarget, Remembered>[children.Children];
        for (var child = 0; child < known.Length; child++)
            known[child] = [];
        var series = new LessonSeries(ladder, materials, Leniencies.All, Accent.SouthernBritish, minutes, seed);
        var day = 0;
        for (var lesson = 0; lesson < lessons && series.HasNext; lesson++)
        {
            day = DayOf(lesson);
            var (request, made) = series.PlanNext(r => r with { Memory = Chosen(r.Memory, known, lesson, day) });
            Hold(children, known, request, made, lesson, day);
        }
        return Result(children, day + 1);
    }

    /// <summary>Five days a week, a week off after each six.</summary>
    private static int DayOf(int lesson)
    {
        var week = lesson / SchoolDays;
        return ((week + (week / WeeksBetween)) * DaysInWeek) + (lesson % SchoolDays);
    }

    /// <summary>The memory that the planner is given.</summary>
    private Memory Chosen(Memory memory, Dictionary<MemoryTarget, Remembered>[] known, int lesson, int day)
    {
        return memory with { Marked = Due(known, lesson, day) };
    }

    private ImmutableArray<DueTarget> Due(Dictionary<MemoryTarget, Remembered>[] known, int lesson, int day)
    {
        IEnumerable<Correspondence> order = policy switch
        {
            RevisitPolicy.Random => draws.Shuffle(taught),
            RevisitPolicy.NewestOnly => Enumerable.Reverse(taught),
            RevisitPolicy.FixedRound => taught
                .Index()
                .OrderBy(t => boxes.GetValueOrDefault(t.Item, (0, t.Index - 10_000)).Item2)
                .Select(t => t.Item),
            RevisitPolicy.Boxes => taught.OrderBy(t =>
                boxes.TryGetValue(t, out var box) ? box.Lesson + (1 << box.Box) : lesson
            ),
            _ => [],
        };
        if (policy != RevisitPolicy.Ours)
            return [.. order.Select(c => new DueTarget(MemoryTarget.Of(c), 0, DueWhy.Round, 0, null))];
        return GroupDue.Of(known, Begins.AddDays(day));
    }

    private void Hold(
        VirtualClass children,
        Dictionary<MemoryTarget, Remembered>[] known,
        LessonRequest request,
        Lesson made,
        int lesson,
        int day
    )
    {
        var looks = Looks(made, request.Lexicon);
        var today = request.Today.Correspondences;
        var date = Begins.AddDays(day);
        // The same children are away whatever the policy.
        var away = Seeded.For(seed, $"away:{lesson}");
        for (var child = 0; child < children.Children; child++)
        {
            var isAway = children.IsAway(child, away);
            var luck = Seeded.For(seed, $"luck:{lesson}:{child}");
            foreach (var one in today)
                Teach(children, known[child], child, one, day, date, isAway);
            if (isAway)
                continue;
            foreach (var (one, share, isMarked) in looks)
            {
                if (!places.TryGetValue(one, out var place))
                    continue;
                // What was missed is taught to the child when it comes by.
                if (!children.IsTaught(child, place))
                    children.Teach(child, place, day, 0.6);
                var found = children.Practise(child, place, day, share, luck.Fraction());
                if (isMarked && luck.Fraction() < Slip)
                    found = !found;
                var seen =
                    !isMarked ? Seen.Shown
                    : found ? Seen.Right
                    : Seen.Wrong;
                See(known[child], one, seen, isMarked ? EvidenceSource.ByException : EvidenceSource.Lesson, date);
            }
        }
        foreach (var one in today.Where(c => !taught.Contains(c)))
            taught.Add(one);
        foreach (var (one, _, _) in looks.Where(l => taught.Contains(l.One)))
            boxes[one] = Boxed(children, one, lesson, day);
    }

    private void Teach(
        VirtualClass children,
        Dictionary<MemoryTarget, Remembered> known,
        int child,
        Correspondence one,
        int day,
        DateOnly date,
        bool isAway
    )
    {
        if (!isAway && places.TryGetValue(one, out var place) && !children.IsTaught(child, place))
            children.Teach(
                child,
                place,
                day,
                difficulty.Begins(MemoryTarget.Of(one), Skill.Reading) / MemoryModel.Begins
            );
        See(known, one, isAway ? Seen.MissedTeaching : Seen.Shown, EvidenceSource.Lesson, date);
    }

    /// <summary>What of ours is known of the child grows.</summary>
    private void See(
        Dictionary<MemoryTarget, Remembered> known,
        Correspondence one,
        Seen seen,
        EvidenceSource source,
        DateOnly date
    )
    {
        if (policy != RevisitPolicy.Ours)
            return;
        var target = MemoryTarget.Of(one);
        var evidence = new Evidence(Guid.Empty, target, Skill.Reading, seen, source, date);
        known[target] = (
            known.GetValueOrDefault(target) ?? Remembered.Nothing(difficulty.Begins(target, Skill.Reading))
        ).With(evidence)!;
    }

    /// <summary>A card goes on a box when most of the class would have it, as a teacher hears.</summary>
    private (int Box, int Lesson) Boxed(VirtualClass children, Correspondence one, int lesson, int day)
    {
        var before = boxes.GetValueOrDefault(one).Box;
        if (!places.TryGetValue(one, out var place))
            return (before, lesson);
        var have = Enumerable.Range(0, children.Children).Count(c => children.Recall(c, place, day) > 0.5);
        return (have * 4 >= children.Children * 3 ? Math.Min(4, before + 1) : 0, lesson);
    }

    /// <summary>What each child looks for in a lesson, each once in a way: on cards, in words read, in words written.
    /// </summary>
    private static List<(Correspondence One, double Share, bool IsMarked)> Looks(Lesson made, Lexicon lexicon)
    {
        var cards = made
            .Activities.Where(a => a.Kind != ActivityKind.NewCorrespondence)
            .SelectMany(a => a.Items)
            .OfType<CardItem>()
            .SelectMany(ReadByChildren.Correspondences)
            .Distinct()
            .Select(c => (c, OnCard, false));
        IEnumerable<Correspondence> In(IEnumerable<Activity> activities) =>
            activities
                .SelectMany(a => a.Items)
                .SelectMany(ReadByChildren.Words)
                .Distinct()
                .Select(lexicon.Find)
                .OfType<Word>()
                .SelectMany(w => w.Required)
                .Distinct();
        var written = made.Activities.Where(a => a.Kind == ActivityKind.SpellWords).ToList();
        return
        [
            .. cards,
            .. In(made.Activities.Except(written)).Select(c => (c, InWord, false)),
            .. In(written).Select(c => (c, Written, true)),
        ];
    }

    private YearResult Result(VirtualClass children, int day)
    {
        ImmutableArray<double> means =
        [
            .. Enumerable
                .Range(0, children.Children)
                .Select(child => taught.Average(t => children.Recall(child, places[t], day)))
                .Order(),
        ];
        return new YearResult(means.Average(), means.Take(Math.Max(1, means.Length / 10)).Average(), means);
    }
}
