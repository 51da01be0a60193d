using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders;

/// <summary>What a rung's day is for. Source: docs/handbook.md, section 2.</summary>
public enum RungKind
{
    /// <summary>Something new, or only tricky words.</summary>
    Lesson,

    /// <summary>Nothing new: the last rungs again.</summary>
    Review,

    /// <summary>Each child is checked; nothing new.</summary>
    Assessment,

    /// <summary>Closes a sound family: its spellings are sorted; nothing new.</summary>
    Sort,
}

/// <summary>
/// One step of a ladder: what is new on a teaching day. Ids are stable: logs and lessons name them.
/// Source: docs/handbook.md, sections 2 and 4.
/// </summary>
/// <param name="Stage">The named stretch the rung belongs to.</param>
/// <param name="Correspondences">What is new to read and spell; none on a rung that teaches only a pattern.</param>
/// <param name="Tricky">Tricky words first met on this rung.</param>
/// <param name="Reason">Why the rung may be thin, as a code or in the school's words; null when it needs no
/// reason.</param>
public sealed record Rung(
    string Id,
    string Stage,
    ImmutableArray<Correspondence> Correspondences,
    Patterns Patterns,
    ImmutableArray<string> Tricky,
    string? Reason,
    RungKind Kind = RungKind.Lesson
)
{
    /// <summary>Chunks of the school's own that have their day here.</summary>
    public ImmutableArray<Chunk> Chunks { get; init; } = [];

    /// <summary>A day's label where the rung itself teaches nothing: screens put it into words.</summary>
    public const string ReviewLabel = "review-day";
    public const string AssessmentLabel = "assessment-day";
    public const string SortLabel = "sorting-day";
    public const string TrickyLabel = "tricky-day";

    /// <summary>What the rung is called: its graphemes, or its patterns' ids, or the kind of day it is.</summary>
    public string Label =>
        this switch
        {
            { Kind: RungKind.Review } => ReviewLabel,
            { Kind: RungKind.Assessment } => AssessmentLabel,
            { Kind: RungKind.Sort } => SortLabel,
            { Correspondences.Length: > 0 } => string.Join(' ', Correspondences.Select(c => c.Grapheme.Text)),
            { Patterns: not Patterns.None } => string.Join(' ', Patterns.Each().Select(p => p.Id())),
            { Chunks.Length: > 0 } => string.Join(' ', Chunks.Select(c => c.Text)),
            _ => TrickyLabel,
        };

    /// <summary>True when the rung has a correspondence or pattern of its own.</summary>
    public bool TeachesSomething => Correspondences.Length > 0 || Patterns != Patterns.None;

    /// <summary>True when words can have what the rung is about.</summary>
    public bool IsInWords => TeachesSomething || Chunks.Length > 0;
}

/// <summary>
/// The school's order for teaching, first rung first. Immutable; a change makes a new version.
/// Source: docs/handbook.md, sections 2 and 8.
/// </summary>
/// <param name="Approach">letters-first, sounds-first or short-vowels-first.</param>
/// <param name="Free">Patterns that need no teaching on this ladder.</param>
/// <param name="Withheld">Leniencies that this order does without, whatever the school lets in: sounds first keeps to
/// the chosen spelling.</param>
public sealed record Ladder(
    string Id,
    string Approach,
    Patterns Free,
    ImmutableArray<Rung> Rungs,
    Leniencies Withheld = Leniencies.None
)
{
    /// <summary>The ids of the shipped ladders, in the order they are offered in.</summary>
    public static ImmutableArray<string> Shipped { get; } = ["letters-first", "sounds-first", "short-vowels-first"];

    /// <summary>What of a school's leniencies this ladder lets in.</summary>
    public Leniencies Allow(Leniencies school) => school & ~Withheld;

    /// <summary>What has been taught when the first <paramref name="count"/> rungs have been.</summary>
    public Taught TaughtAfter(int count, Leniencies leniencies, Accent accent)
    {
        var done = Rungs.Take(count).ToList();
        return new Taught(
            CorrespondenceSet.Of(done.SelectMany(r => r.Correspondences)),
            done.Aggregate(Patterns.None, (all, r) => all | r.Patterns),
            Free,
            Allow(leniencies),
            accent
        );
    }

    /// <summary>What each rung teaches, as decoding asks for it.</summary>
    public IReadOnlyList<TaughtStep> Steps => [.. Rungs.Select(r => new TaughtStep(r.Correspondences, r.Patterns))];

    /// <summary>When each word becomes decodable on this ladder.</summary>
    public Reach ReachIn(Leniencies leniencies, Accent accent) => new(Steps, Free, Allow(leniencies), accent);

    /// <summary>The place of the rung with this id, or -1.</summary>
    public int IndexOf(string rungId)
    {
        for (var i = 0; i < Rungs.Length; i++)
        {
            if (Rungs[i].Id == rungId)
                return i;
        }
        return -1;
    }

    /// <summary>
    /// The same ladder with one rung taken out and put in so that it stands at <paramref name="to"/>.
    /// </summary>
    public Ladder Moved(int from, int to) => this with { Rungs = Rungs.RemoveAt(from).Insert(to, Rungs[from]) };

    /// <summary>
    /// The index of the first rung that teaches the correspondence or pattern of the obstacle; null when none does.
    /// </summary>
    public int? WhenTaught(Obstacle obstacle)
    {
        for (var i = 0; i < Rungs.Length; i++)
        {
            if (
                obstacle.Correspondence is { } c
                    ? Rungs[i].Correspondences.Contains(c)
                    : (Rungs[i].Patterns & obstacle.Pattern) != Patterns.None
            )
                return i;
        }
        return null;
    }
}
