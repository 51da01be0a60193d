using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons.Templates;

/// <summary>
/// How long activities take, and what is cut when a lesson is too long: items of Revisit first, then Practise extras;
/// Teach and Apply keep their minimum.
/// Source: docs/handbook.md, section 7 (Pace).
/// </summary>
public static class Pace
{
    /// <summary>The lengths of lessons with a pattern of their own, in minutes.</summary>
    public static ImmutableArray<int> Lengths { get; } = [15, 20, 25, 30];

    /// <summary>Seconds between two activities: hands down, boards up.</summary>
    public const int ChangeOver = 20;

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
    /// A sort takes its time by its words, ten of which make one item of the table; a text by its sentences.
    /// </summary>
    private static double Counted(Activity activity) =>
        activity.Items.Sum(i =>
            i switch
            {
                SortItem sort => sort.Words.Length / 10.0,
                TextItem text => Math.Max(1, text.Sentences.Length / 5.0),
                CrosswordItem crossword => crossword.Lines.Length / 6.0,
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
    /// The parts cut to the lesson's length: last items of Revisit go first, then of spelling, then of reading, never
    /// below two; then whole activities, the last of Revisit first. One activity always stays in a part.
    /// </summary>
    public static ImmutableArray<LessonPart> Fit(ImmutableArray<LessonPart> parts, int minutes, double pace = 1)
    {
        bool TooLong() => parts.Sum(p => p.Seconds) > minutes * 60;
        foreach (
            var cut in (ReadOnlySpan<Func<ImmutableArray<LessonPart>, PartKind, double, ImmutableArray<LessonPart>?>>)
                [Shorter, WithoutLast]
        )
        {
            foreach (var kind in (ReadOnlySpan<PartKind>)[PartKind.Revisit, PartKind.Practise])
            {
                while (TooLong() && cut(parts, kind, pace) is { } less)
                    parts = less;
            }
        }
        // What teaches something new stays; what only helps may go, and then the last of Apply.
        while (TooLong() && WithoutHelp(parts) is { } less)
            parts = less;
        return parts;
    }

    private static ImmutableArray<LessonPart>? WithoutHelp(ImmutableArray<LessonPart> parts)
    {
        var help = parts
            .SelectMany(p => p.Activities)
            .LastOrDefault(a =>
                ActivityFacts.Of(a.Kind).Helps && parts.Any(p => p.Activities.Contains(a) && p.Activities.Length > 1)
            );
        return help is null ? null : [.. parts.Select(p => p with { Activities = p.Activities.Remove(help) })];
    }

    private static ImmutableArray<LessonPart>? WithoutLast(ImmutableArray<LessonPart> parts, PartKind kind, double pace)
    {
        var part = parts.FirstOrDefault(p => p.Kind == kind);
        return part is null || part.Activities.Length < 2
            ? null
            : [.. parts.Select(p => p == part ? p with { Activities = p.Activities[..^1] } : p)];
    }

    private static ImmutableArray<LessonPart>? Shorter(ImmutableArray<LessonPart> parts, PartKind kind, double pace)
    {
        var part = parts.FirstOrDefault(p => p.Kind == kind);
        var longest = part
            ?.Activities.Where(a =>
                a.Items.Length > Math.Max(2, ActivityFacts.Of(a.Kind).Fewest) && a.Kind != ActivityKind.WordChain
            )
            .OrderByDescending(a => a.Kind == ActivityKind.SpellWords)
            .ThenByDescending(a => a.Seconds)
            .FirstOrDefault();
        if (part is null || longest is null)
            return null;
        var victim = longest.Items.LastOrDefault(i =>
            !i.Kept && !(i is WordItem w && kind == PartKind.Practise && w.Reasons.Any(Reason.IsUse))
        ) ?? longest.Items.LastOrDefault(i => !i.Kept);
        if (victim is null)
            return null;
        var left = longest.Items.Remove(victim);
        var shorter = Holding(longest, left, pace);
        return [.. parts.Select(p => p == part ? p with { Activities = p.Activities.Replace(longest, shorter) } : p)];
    }
}
