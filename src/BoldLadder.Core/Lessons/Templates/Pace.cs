using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons.Templates;

/// <summary>
/// How long activities take, and what is cut when a lesson is too long: items of Revisit first, then Practise extras;
/// Teach and Apply keep their minimum, Practise has its most.
/// Source: docs/handbook.md, section 7 (Pace).
/// </summary>
public static class Pace
{
    /// <summary>The lengths of lessons with a pattern of their own, in minutes.</summary>
    public static ImmutableArray<int> Lengths { get; } = [15, 20, 25, 30];

    /// <summary>Seconds between two activities: hands down, boards up.</summary>
    public const int ChangeOver = 15;

    /// <summary>Practise never takes more of a lesson than this, and Apply never less than that.</summary>
    public const double MostPractise = 0.45;
    public const double LeastApply = 0.2;

    /// <summary>No more is cut from an activity than leaves so many items.</summary>
    private const int FewestOther = 3;
    private const int FewestRead = 4;
    private const int FewestSpelled = 2;

    /// <summary>A group is never taken to be faster or slower than this.</summary>
    private const double Fastest = 0.8;
    private const double Slowest = 1.6;

    /// <summary>How much one lesson says about a group's pace.</summary>
    private const double OfOneLesson = 0.3;

    public static int NearestLength(int minutes) => Lengths.MinBy(l => Math.Abs(l - minutes));

    /// <param name="pace">How long the group takes for what is planned as 1.</param>
    public static Activity Timed(Activity activity, double pace = 1) =>
        activity.SetByHand
            ? activity
            : activity with
            {
                Seconds =
                    ChangeOver
                    + (int)Math.Round(pace * Math.Max(1, Counted(activity)) * ActivityFacts.Of(activity.Kind).Seconds),
            };

    /// <summary>
    /// The activity with other items: as long as they take this group, and with the steps of its release over as many.
    /// </summary>
    public static Activity Holding(Activity activity, ImmutableArray<Item> items, double pace) =>
        Timed(activity with { Items = items, Steps = activity.Steps?.Over(items.Length) }, pace);

    /// <summary>
    /// A sort or a hunt takes its time by its words, ten of which make one item of the table; a text by its sentences.
    /// </summary>
    private static double Counted(Activity activity) =>
        activity.Items.Sum(i =>
            i switch
            {
                SortItem sort => sort.Words.Length / 10.0,
                TextItem text => Math.Max(1, text.Sentences.Length / 5.0),
                CrosswordItem crossword => crossword.Lines.Length / 6.0,
                HuntItem hunt => hunt.Words.Length / 10.0,
                _ => 1,
            }
        );

    /// <summary>
    /// A group's pace from its lessons, oldest first: what was planned up to where each stopped, in seconds, and the
    /// seconds it had. A lesson taught to its end took what was planned.
    /// </summary>
    public static double Of(IEnumerable<(int PlannedSeconds, int HadSeconds)> lessons)
    {
        var pace = 1.0;
        foreach (var (planned, had) in lessons.Where(l => l.PlannedSeconds > 0))
            pace += OfOneLesson * (Math.Clamp((double)had / planned, Fastest, Slowest) - pace);
        return Math.Round(Math.Clamp(pace, Fastest, Slowest), 2);
    }

    /// <summary>
    /// Seconds that a plan for so many minutes may fill: a minute stays free, in a long lesson two, for what always
    /// takes longer.
    /// </summary>
    public static int ToFill(int minutes) => (minutes - (NearestLength(minutes) > 20 ? 2 : 1)) * 60;

    /// <summary>
    /// The parts cut to the lesson's length: items of Revisit go first, then Practise extras, what only helps, then
    /// items of spelling and of reading, at last whole activities of Revisit. Apply keeps what it has.
    /// </summary>
    public static ImmutableArray<LessonPart> Fit(ImmutableArray<LessonPart> parts, int minutes, double pace = 1)
    {
        foreach (
            var cut in (ReadOnlySpan<Func<ImmutableArray<LessonPart>, ImmutableArray<LessonPart>?>>)
                [
                    p => Shorter(p, PartKind.Revisit, FewestOther, pace, a => !IsNeeded(a)),
                    p => WithoutLast(p, PartKind.Practise, IsExtra),
                    p => WithoutLast(p, PartKind.Revisit, a => !IsNeeded(a)),
                    WithoutHelp,
                    p => Shorter(p, PartKind.Practise, FewestRead, pace),
                    p => ShorterSpelling(p, FewestSpelled, pace),
                    p => ShorterApply(p, FewestSpelled, pace),
                    p => ShorterSpelling(p, 1, pace),
                    p => WithoutLast(p, PartKind.Teach, a => a.Kind == ActivityKind.SetBeside),
                    p => Shorter(p, PartKind.Practise, FewestOther, pace),
                    p => ShorterApply(p, 1, pace),
                    p =>
                        WithoutLast(p, PartKind.Apply, _ => true) is { } less && !HasTooLittleApply(less) ? less : null,
                    p => Shorter(p, PartKind.Revisit, FewestOther, pace, a => a.Kind is not ActivityKind.GraphemeCards),
                    p => WithoutLast(p, PartKind.Practise, a => a.Kind is not ActivityKind.ReadWords),
                    p => WithoutLast(p, PartKind.Revisit, a => a.Kind is ActivityKind.TrickySoFar),
                    p => WithoutLast(p, PartKind.Revisit, a => a.Kind is not ActivityKind.GraphemeCards),
                    p => WithoutLast(p, PartKind.Practise, _ => true),
                    p => WithoutLast(p, PartKind.Apply, _ => true),
                ]
        )
        {
            while (parts.Sum(p => p.Seconds) > ToFill(minutes) && cut(parts) is { } less)
                parts = less;
        }
        foreach (
            var cut in (ReadOnlySpan<Func<ImmutableArray<LessonPart>, ImmutableArray<LessonPart>?>>)
                [
                    p => WithoutLast(p, PartKind.Practise, IsExtra),
                    p => ShorterSpelling(p, FewestSpelled, pace),
                    p => Shorter(p, PartKind.Practise, FewestRead, pace),
                    p => ShorterSpelling(p, 1, pace),
                    p => Shorter(p, PartKind.Practise, FewestOther, pace),
                    p => WithoutLast(p, PartKind.Practise, a => a.Kind == ActivityKind.SpellWords),
                ]
        )
        {
            while (HasTooMuchPractice(parts) && cut(parts) is { } less)
                parts = less;
        }
        return parts;
    }

    /// <summary>
    /// The parts with less beside Apply, where it has too little of the lesson and no more can be had for it.
    /// </summary>
    public static ImmutableArray<LessonPart> Spared(ImmutableArray<LessonPart> parts, double pace = 1)
    {
        foreach (
            var cut in (ReadOnlySpan<Func<ImmutableArray<LessonPart>, ImmutableArray<LessonPart>?>>)
                [
                    p => WithoutLast(p, PartKind.Practise, IsExtra),
                    p => WithoutLast(p, PartKind.Revisit, a => !IsNeeded(a)),
                    p => ShorterSpelling(p, FewestSpelled, pace),
                    p => Shorter(p, PartKind.Practise, FewestRead, pace),
                    WithoutHelp,
                ]
        )
        {
            while (HasTooLittleApply(parts) && cut(parts) is { } less)
                parts = less;
        }
        return parts;
    }

    /// <summary>True where Practise takes more of the lesson than it should.</summary>
    public static bool HasTooMuchPractice(ImmutableArray<LessonPart> parts) =>
        SecondsOf(parts, PartKind.Practise) > MostPractise * parts.Sum(p => p.Seconds);

    /// <summary>True where Apply has less of the lesson than it should.</summary>
    public static bool HasTooLittleApply(ImmutableArray<LessonPart> parts) =>
        SecondsOf(parts, PartKind.Apply) < LeastApply * parts.Sum(p => p.Seconds);

    private static int SecondsOf(ImmutableArray<LessonPart> parts, PartKind kind) =>
        parts.Where(p => p.Kind == kind).Sum(p => p.Seconds);

    private static bool IsExtra(Activity activity) =>
        activity.Kind
            is not (
                ActivityKind.ReadWords
                or ActivityKind.SpellWords
                or ActivityKind.SortWords
                or ActivityKind.OralBlending
            );

    /// <summary>What every Revisit has: the cards, the tricky words read and written, what was missed.</summary>
    private static bool IsNeeded(Activity activity) =>
        activity.Kind
            is ActivityKind.GraphemeCards
                or ActivityKind.TrickySoFar
                or ActivityKind.SpellTricky
                or ActivityKind.LastMiss;

    /// <summary>With an item less in Apply, where that leaves it its share.</summary>
    private static ImmutableArray<LessonPart>? ShorterApply(
        ImmutableArray<LessonPart> parts,
        int fewest,
        double pace
    ) => Shorter(parts, PartKind.Apply, fewest, pace) is { } less && !HasTooLittleApply(less) ? less : null;

    private static ImmutableArray<LessonPart>? WithoutHelp(ImmutableArray<LessonPart> parts)
    {
        var help = parts
            .SelectMany(p => p.Activities)
            .LastOrDefault(a =>
                ActivityFacts.Of(a.Kind).Helps && parts.Any(p => p.Activities.Contains(a) && p.Activities.Length > 1)
            );
        return help is null ? null : [.. parts.Select(p => p with { Activities = p.Activities.Remove(help) })];
    }

    /// <summary>Without the last of a part's activities that may go; one always stays.</summary>
    private static ImmutableArray<LessonPart>? WithoutLast(
        ImmutableArray<LessonPart> parts,
        PartKind kind,
        Func<Activity, bool> mayGo
    )
    {
        var part = parts.FirstOrDefault(p => p.Kind == kind);
        return part is null || part.Activities.Length < 2 || part.Activities.LastOrDefault(mayGo) is not { } gone
            ? null
            : [.. parts.Select(p => p == part ? p with { Activities = p.Activities.Remove(gone) } : p)];
    }

    private static ImmutableArray<LessonPart>? ShorterSpelling(
        ImmutableArray<LessonPart> parts,
        int fewest,
        double pace
    ) => Shorter(parts, PartKind.Practise, fewest, pace, a => a.Kind == ActivityKind.SpellWords);

    /// <summary>
    /// With an item less in the longest activity of a part that has more than the fewest: the last that may go, rather
    /// one without what is new.
    /// </summary>
    private static ImmutableArray<LessonPart>? Shorter(
        ImmutableArray<LessonPart> parts,
        PartKind kind,
        int fewest,
        double pace,
        Func<Activity, bool>? only = null
    )
    {
        var part = parts.FirstOrDefault(p => p.Kind == kind);
        var longest = part
            ?.Activities.Where(a =>
                a.Items.Length > Math.Max(fewest, ActivityFacts.Of(a.Kind).Fewest)
                && a.Kind is not (ActivityKind.WordChain or ActivityKind.SpellTricky)
                && (only?.Invoke(a) ?? a.Kind != ActivityKind.SpellWords)
            )
            .MaxBy(a => a.Seconds);
        if (part is null || longest is null)
            return null;
        var victim = longest.Items.LastOrDefault(i =>
            !i.Kept && !(i is WordItem w && kind == PartKind.Practise && w.Reasons.Any(Reason.IsUse))
        ) ?? longest.Items.LastOrDefault(i => !i.Kept);
        if (victim is null)
            return null;
        var shorter = Holding(longest, longest.Items.Remove(victim), pace);
        return [.. parts.Select(p => p == part ? p with { Activities = p.Activities.Replace(longest, shorter) } : p)];
    }
}
