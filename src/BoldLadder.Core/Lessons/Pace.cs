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

    /// <summary>Items to start from: cards, recent words, tricky words so far, words to read, words to spell.</summary>
    public readonly record struct Items(int Cards, int Recent, int Tricky, int Read, int Spell);

    public static Items ItemsFor(int minutes) => minutes switch
    {
        <= 15 => new Items(6, 3, 2, 6, 2),
        <= 20 => new Items(8, 4, 3, 6, 4),
        <= 25 => new Items(10, 5, 4, 8, 5),
        _ => new Items(12, 6, 4, 10, 6),
    };

    public static int SecondsEach(ActivityKind kind) => kind switch
    {
        ActivityKind.GraphemeCards => 6,
        ActivityKind.RecentWords => 15,
        ActivityKind.TrickySoFar => 12,
        ActivityKind.OralBlending => 20,
        ActivityKind.NewCorrespondence => 180,
        ActivityKind.NewPattern => 180,
        ActivityKind.NewTrickyWord => 60,
        ActivityKind.Formation => 120,
        ActivityKind.SpotGrapheme => 10,
        ActivityKind.ReadWords => 25,
        ActivityKind.SpellWords => 45,
        ActivityKind.ReadSentence => 120,
        _ => 90,
    };

    public static Activity Timed(Activity activity) => activity with { Seconds = Math.Max(1, activity.Items.Length) * SecondsEach(activity.Kind) };

    /// <summary>The parts cut to the lesson's length: last items of Revisit go first, then of spelling, then of reading, never below two.</summary>
    public static ImmutableArray<LessonPart> Fit(ImmutableArray<LessonPart> parts, int minutes)
    {
        ReadOnlySpan<PartKind> order = [PartKind.Revisit, PartKind.Practise];
        foreach (var kind in order)
        {
            while (parts.Sum(p => p.Seconds) > minutes * 60 && Shorter(parts, kind) is { } cut) parts = cut;
        }
        return parts;
    }

    private static ImmutableArray<LessonPart>? Shorter(ImmutableArray<LessonPart> parts, PartKind kind)
    {
        var part = parts.Single(p => p.Kind == kind);
        var longest = part.Activities.Where(a => a.Items.Length > 2).OrderByDescending(a => a.Kind == ActivityKind.SpellWords).ThenByDescending(a => a.Items.Length).FirstOrDefault();
        if (longest is null) return null;
        var victim = longest.Items.LastOrDefault(i => !i.Kept && !(i is WordItem w && kind == PartKind.Practise && longest.Kind == ActivityKind.ReadWords && w.Reasons.Any(r => r.Code.StartsWith("uses", StringComparison.Ordinal))))
            ?? longest.Items.LastOrDefault(i => !i.Kept);
        if (victim is null) return null;
        var shorter = Timed(longest with { Items = longest.Items.Remove(victim) });
        return [.. parts.Select(p => p == part ? p with { Activities = p.Activities.Replace(longest, shorter) } : p)];
    }
}
