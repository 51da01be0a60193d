using System.Collections.Immutable;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Teaching;

/// <summary>
/// A day that brings nothing new, as a rung that the planner can make a lesson for: it names what the day goes back to.
/// Source: docs/handbook.md, sections 2 and 8 (review day).
/// </summary>
public static class QuietDay
{
    /// <summary>
    /// So many of the correspondences taught last are gone over on a review day, and on a longer recap.
    /// </summary>
    private const int Last = 6;
    private const int LongAgo = 18;

    /// <summary>The id and label of a quiet day of the rhythm: review-day, recap-day.</summary>
    public static string Id(DayKind kind) => $"{kind.Code()}-day";

    /// <summary>True when the id is that of a quiet day of the rhythm.</summary>
    public static bool IsId(string rungId) => Ids.Contains(rungId);

    private static readonly ImmutableHashSet<string> Ids =
    [
        .. Enum.GetValues<DayKind>().Where(k => k is not (DayKind.New or DayKind.Spare)).Select(Id),
    ];

    /// <summary>The rung for a quiet day of the rhythm, going back to what was taught last.</summary>
    /// <param name="newest">What was taught, the newest first.</param>
    public static Rung Of(string id, ImmutableArray<Correspondence> newest) =>
        new(
            Id: id,
            Stage: "",
            Correspondences: [.. newest.Take(id == Id(DayKind.Recap) ? LongAgo : Last)],
            Patterns: Patterns.None,
            Tricky: [],
            Reason: null,
            Kind: RungKind.Review
        );

    /// <summary>
    /// A quiet rung of the ladder with what it goes back to: a sorting day to its family, any other to what was taught
    /// last. Rungs that bring something new are left as they are.
    /// </summary>
    public static Rung Filled(Rung rung, Ladder ladder, ImmutableArray<Correspondence> newest)
    {
        if (rung.Kind == RungKind.Lesson && (rung.IsInWords || rung.Tricky.Length > 0))
            return rung;
        var sounds = ladder
            .Rungs.Where(r => r.Stage == rung.Stage)
            .SelectMany(r => r.Correspondences)
            .Select(c => c.SoundText)
            .ToHashSet();
        var family = newest.Where(c => sounds.Contains(c.SoundText)).ToList();
        return rung with
        {
            Kind = rung.Kind == RungKind.Lesson ? RungKind.Review : rung.Kind,
            Correspondences = rung.Kind == RungKind.Sort && family.Count > 0 ? [.. family] : [.. newest.Take(Last)],
        };
    }
}
