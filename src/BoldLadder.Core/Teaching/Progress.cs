using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Teaching;

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

    /// <summary>What the group has in memory before the lesson that is <paramref name="ahead"/> rungs from now, as far as the log tells; what the last lesson missed counts for the next alone.</summary>
    public Memory MemoryAt(int ahead) => new()
    {
        Seen = Recall(ahead),
        Words = RecentWords(ahead),
        Newest = Newest(ahead),
        Missed = ahead == 0 && !facts.IsEmpty ? [.. facts[^1].Missed.Select(Correspondence.Parse)] : [],
    };

    public ImmutableArray<string> TrickyBefore(int ahead) => [.. Tricky.Concat(Remaining.Take(ahead).SelectMany(r => r.Tricky)).Distinct()];

    /// <summary>For each taught correspondence how many lessons ago it was taught or shown; what is planned until then counts as just seen.</summary>
    private Dictionary<Correspondence, int> Recall(int ahead)
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
    private Dictionary<string, int> RecentWords(int ahead)
    {
        var recent = new Dictionary<string, int>(StringComparer.Ordinal);
        for (var i = 0; i < facts.Length; i++)
        {
            foreach (var word in facts[i].Words) recent[word] = facts.Length - i + ahead;
        }
        return recent;
    }
}
