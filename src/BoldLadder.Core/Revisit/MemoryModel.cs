namespace BoldLadder.Core.Revisit;

/// <summary>
/// How a memory grows and fades, as docs/memory.md tells: half of it is gone after its half-life; a success lengthens
/// the half-life, the more the longer ago it was; a miss shortens it. Days are days of the calendar, so that a holiday
/// counts as what it is. The numbers were chosen on simulated classes other than those that are reported.
/// </summary>
public static class MemoryModel
{
    /// <summary>Days after which half is gone of what was taught once and is of middling difficulty.</summary>
    public const double Begins = 3;

    /// <summary>Nothing is forgotten sooner, and nothing is held longer, than this; in days.</summary>
    public const double Shortest = 0.5;
    public const double Longest = 400;

    /// <summary>From this share right on, a day counts as a success; in hundredths.</summary>
    public const int Success = 60;

    private const double GrowsAtOnce = 0.15;
    private const double GrowsSpaced = 2.4;
    private const double Shrinks = 0.6;

    /// <summary>
    /// What being shown does without anyone looking: a part of what a success would.
    /// </summary>
    private const double Unlooked = 0.35;

    /// <summary>The share of children like this one who would still have it: 1 at once, a half after the half-life.
    /// </summary>
    /// <param name="halfLife">In days.</param>
    /// <param name="days">Since it was last seen.</param>
    public static double Recall(double halfLife, double days) => Math.Pow(2, -Math.Max(0, days) / halfLife);

    /// <summary>The half-life after a day on which something was seen.</summary>
    /// <param name="halfLife">Before it, in days.</param>
    /// <param name="days">Since it was seen before; null for the first time.</param>
    /// <param name="score">How much of it was right, from 0 to 1.</param>
    /// <param name="weight">How much that says of the child, from 0 to 1.</param>
    public static double After(double halfLife, int? days, double score, double weight)
    {
        var recall = days is { } d ? Recall(halfLife, d) : 1;
        var sure = Math.Min(1, weight);
        var grown = halfLife * (1 + GrowsAtOnce + (GrowsSpaced * (1 - recall)));
        var shrunk = halfLife * (1 - Shrinks);
        var seen = (score * grown) + ((1 - score) * shrunk);
        return Math.Clamp(halfLife + (sure * (seen - halfLife)), Shortest, Longest);
    }

    /// <summary>How much one thing that was seen says of a child, and how much of it was right; both in hundredths.
    /// </summary>
    public static (int Weight, int Score) Of(Seen seen, EvidenceSource source) =>
        seen switch
        {
            Seen.NearlyAll => (20, 90),
            Seen.Half => (20, 50),
            Seen.Few => (20, 15),
            Seen.Shown => ((int)(Unlooked * 100), 100),
            Seen.MissedTeaching => (0, 0),
            _ => (source == EvidenceSource.ByException && seen == Seen.Right ? 60 : 100, Score(seen)),
        };

    private static int Score(Seen seen) =>
        seen switch
        {
            Seen.Right => 100,
            Seen.Slow => 70,
            Seen.Helped => 30,
            Seen.Plausible => 40,
            Seen.LookAlike or Seen.Order => 30,
            _ => 0,
        };
}
