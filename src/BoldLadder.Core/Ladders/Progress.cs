using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders;

/// <summary>A line of the teaching log: what one lesson taught, and what it showed again.</summary>
/// <param name="RungId">The rung or quiet day that the lesson was for.</param>
public sealed record TaughtFact(
    DateOnly Date, ImmutableArray<string> Correspondences, ImmutableArray<string> Patterns, ImmutableArray<string> Tricky,
    ImmutableArray<string> Seen, ImmutableArray<string> Words, string? RungId = null)
{
    /// <summary>What wobbled or was not reached.</summary>
    public ImmutableArray<string> Missed { get; init; } = [];
}

/// <summary>
/// Where a group stands on its ladder. What was taught comes from the log alone, so reordering the ladder takes nothing away; what is
/// next is the ladder's first rungs with something not in the log. Source: docs/handbook.md, section 4 (Decodable).
/// </summary>
public sealed class Progress
{
    private readonly ImmutableArray<TaughtFact> facts;
    private readonly Ladder ladder;

    public Progress(Ladder ladder, IEnumerable<TaughtFact> log)
    {
        this.ladder = ladder;
        facts = [.. log.OrderBy(f => f.Date)];
        Correspondences = CorrespondenceSet.Parse(facts.SelectMany(f => f.Correspondences));
        Patterns = PatternIds.Parse(facts.SelectMany(f => f.Patterns));
        Tricky = [.. facts.SelectMany(f => f.Tricky).Distinct()];
        Remaining = [.. StillToCome()];
    }

    public CorrespondenceSet Correspondences { get; }

    public Patterns Patterns { get; }

    /// <summary>Tricky words taught so far, oldest first.</summary>
    public ImmutableArray<string> Tricky { get; }

    /// <summary>Rungs with something still to teach, in the ladder's order.</summary>
    public ImmutableArray<Rung> Remaining { get; }

    /// <summary>What the last lesson missed; it comes first in the next Revisit.</summary>
    public ImmutableArray<Correspondence> Missed => facts.IsEmpty ? [] : [.. facts[^1].Missed.Select(Correspondence.Parse)];

    /// <summary>True when the group has been taught something.</summary>
    public bool HasBegun => Correspondences.Count > 0 || Patterns != Patterns.None;

    /// <summary>Tricky words of rungs that the group has behind it, never taught to it: put there after it had passed.</summary>
    public IEnumerable<string> MissedTricky => ladder.Rungs.Except(Remaining).SelectMany(r => r.Tricky).Except(Tricky);

    /// <summary>What counts as taught before the lesson that is <paramref name="ahead"/> rungs from now: the log, plus what the ladder plans until then.</summary>
    public Taught Before(int ahead, Leniencies leniencies, Accent accent)
    {
        var planned = Remaining.Take(ahead).ToList();
        return new Taught(
            Correspondences.Add(planned.SelectMany(r => r.Correspondences)),
            planned.Aggregate(Patterns, (all, r) => all | r.Patterns),
            ladder.Free, ladder.Allow(leniencies), accent);
    }

    private IEnumerable<Rung> StillToCome()
    {
        var logged = facts.Select(f => f.RungId).ToHashSet();
        var nothingLater = true;
        // A day that brings nothing new is behind the group once it was held, or once a later rung was taught.
        return ladder.Rungs.Reverse().Where(IsToCome).ToList().AsEnumerable().Reverse();

        bool IsToCome(Rung rung)
        {
            if (!rung.TeachesSomething) return nothingLater && !logged.Contains(rung.Id) && (rung.Tricky.IsEmpty || !rung.Tricky.All(Tricky.Contains));
            var toCome = !rung.Correspondences.All(Correspondences.Contains) || (rung.Patterns & ~Patterns) != Patterns.None;
            nothingLater &= toCome;
            return toCome;
        }
    }

    public ImmutableArray<string> TrickyBefore(int ahead) => [.. Tricky.Concat(Remaining.Take(ahead).SelectMany(r => r.Tricky)).Distinct()];

    /// <summary>For each taught correspondence how many lessons ago it was taught or shown; what is planned until then counts as just seen.</summary>
    public IReadOnlyDictionary<Correspondence, int> Recall(int ahead)
    {
        var recall = new Dictionary<Correspondence, int>();
        for (var i = 0; i < facts.Length; i++)
        {
            foreach (var c in facts[i].Correspondences.Concat(facts[i].Seen).Select(Correspondence.Parse)) recall[c] = facts.Length - i + ahead;
        }
        for (var i = 0; i < Math.Min(ahead, Remaining.Length); i++)
        {
            foreach (var c in Remaining[i].Correspondences) recall[c] = ahead - i;
        }
        return recall;
    }

    /// <summary>Correspondences by when they were taught, or will be before the lesson that is <paramref name="ahead"/> lessons from now; the newest first.</summary>
    public ImmutableArray<Correspondence> Newest(int ahead) =>
        [.. facts.SelectMany(f => f.Correspondences).Select(Correspondence.Parse).Concat(Remaining.Take(ahead).SelectMany(r => r.Correspondences)).Reverse().Distinct()];

    /// <summary>For words of recent lessons how many lessons ago they were last used.</summary>
    public IReadOnlyDictionary<string, int> RecentWords(int ahead)
    {
        var recent = new Dictionary<string, int>(StringComparer.Ordinal);
        for (var i = 0; i < facts.Length; i++)
        {
            foreach (var word in facts[i].Words) recent[word] = facts.Length - i + ahead;
        }
        return recent;
    }
}
