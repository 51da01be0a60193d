using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons;

/// <summary>
/// Seconds an item of each kind takes, and how many items a lesson of a given length starts from. What does not fit is trimmed from
/// Revisit first, then from Practise extras; Teach and Apply keep their minimum. Source: docs/handbook.md, section 7 (Pace).
/// </summary>
public static class Pace
{
    /// <summary>The lengths of lessons with a pattern of their own, in minutes.</summary>
    public static ImmutableArray<int> Lengths { get; } = [15, 20, 25, 30];

    /// <summary>Seconds between two activities: hands down, boards up.</summary>
    private const int ChangeOver = 20;

    /// <summary>Items to start from: cards, recent words, tricky words so far, words to read, words to spell, and of what there is room for besides.</summary>
    public readonly record struct Items(int Cards, int Recent, int Tricky, int Read, int Spell, int Extra);

    public static Items ItemsFor(int minutes) => minutes switch
    {
        <= 15 => new Items(6, 3, 2, 6, 2, 4),
        <= 20 => new Items(8, 4, 3, 6, 4, 5),
        <= 25 => new Items(14, 7, 5, 10, 6, 6),
        _ => new Items(16, 9, 6, 12, 8, 8),
    };

    public static int SecondsEach(ActivityKind kind) => kind switch
    {
        ActivityKind.GraphemeCards => 6,
        ActivityKind.RecentWords => 15,
        ActivityKind.TrickySoFar => 12,
        ActivityKind.OralBlending => 20,
        ActivityKind.NewCorrespondence => 150,
        ActivityKind.NewPattern => 180,
        ActivityKind.NewTrickyWord => 60,
        ActivityKind.Formation => 120,
        ActivityKind.SpotGrapheme => 10,
        ActivityKind.ReadWords => 25,
        ActivityKind.SpellWords => 45,
        ActivityKind.ReadSentence => 150,
        ActivityKind.SoundToSpellings => 20,
        ActivityKind.WordChain => 18,
        ActivityKind.MadeUpWords => 15,
        ActivityKind.MissingGrapheme => 25,
        _ => 90,
    };

    public static Activity Timed(Activity activity) => activity with { Seconds = ChangeOver + (Math.Max(1, activity.Items.Length) * SecondsEach(activity.Kind)) };

    /// <summary>
    /// The parts cut to the lesson's length: last items of Revisit go first, then of spelling, then of reading, never below two; then
    /// whole activities, the last of Revisit first. One activity always stays in a part.
    /// </summary>
    public static ImmutableArray<LessonPart> Fit(ImmutableArray<LessonPart> parts, int minutes)
    {
        bool TooLong() => parts.Sum(p => p.Seconds) > minutes * 60;
        foreach (var cut in (ReadOnlySpan<Func<ImmutableArray<LessonPart>, PartKind, ImmutableArray<LessonPart>?>>)[Shorter, WithoutLast])
        {
            foreach (var kind in (ReadOnlySpan<PartKind>)[PartKind.Revisit, PartKind.Practise])
            {
                while (TooLong() && cut(parts, kind) is { } less) parts = less;
            }
        }
        return parts;
    }

    /// <summary>The parts with one more activity in one of them, where the lesson has room for it; else as they are.</summary>
    /// <param name="before">It goes before the first activity of this kind, else last.</param>
    public static ImmutableArray<LessonPart> WithRoomFor(ImmutableArray<LessonPart> parts, PartKind kind, Activity? activity, ActivityKind before, int minutes)
    {
        if (activity is null || parts.Sum(p => p.Seconds) + activity.Seconds > minutes * 60) return parts;
        return [.. parts.Select(p => p.Kind != kind ? p : p with { Activities = p.Activities.ToList().FindIndex(a => a.Kind == before) is var at and >= 0 ? p.Activities.Insert(at, activity) : p.Activities.Add(activity) })];
    }

    private static ImmutableArray<LessonPart>? WithoutLast(ImmutableArray<LessonPart> parts, PartKind kind)
    {
        var part = parts.Single(p => p.Kind == kind);
        return part.Activities.Length < 2 ? null : [.. parts.Select(p => p == part ? p with { Activities = p.Activities[..^1] } : p)];
    }

    private static ImmutableArray<LessonPart>? Shorter(ImmutableArray<LessonPart> parts, PartKind kind)
    {
        var part = parts.Single(p => p.Kind == kind);
        var longest = part.Activities.Where(a => a.Items.Length > 2).OrderByDescending(a => a.Kind == ActivityKind.SpellWords).ThenByDescending(a => a.Seconds).FirstOrDefault();
        if (longest is null) return null;
        var victim = longest.Items.LastOrDefault(i => !i.Kept && !(i is WordItem w && kind == PartKind.Practise && longest.Kind == ActivityKind.ReadWords && w.Reasons.Any(r => r.Code.StartsWith("uses", StringComparison.Ordinal))))
            ?? longest.Items.LastOrDefault(i => !i.Kept);
        if (victim is null) return null;
        var shorter = Timed(longest with { Items = longest.Items.Remove(victim) });
        return [.. parts.Select(p => p == part ? p with { Activities = p.Activities.Replace(longest, shorter) } : p)];
    }
}
