using System.Collections.Concurrent;
using System.Collections.Immutable;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>
/// The words of a lexicon as rows of numbers, so that a whole ladder is judged again while a rung is dragged. Made once for a lexicon, an
/// accent and leniencies; safe to share. Source: docs/handbook.md, section 7 (Ladder analysis).
/// </summary>
public sealed class WordIndex
{
    private const int NoSuffix = -1;
    private const int Unchanged = -1;

    /// <summary>Rarer words make a five-hundredth of running text, and no lesson.</summary>
    private const double Rarest = 2.5;

    private readonly int[] bodyStarts;
    private readonly int[] endingStarts;
    private readonly int[] ends;

    /// <summary>A word after another: its correspondences outside the suffix, those inside, its patterns.</summary>
    private readonly int[] needs;

    /// <summary>Where among <see cref="needs"/> a join changed the base of a word, or -1, and what the base has there: either will do.</summary>
    private readonly int[] changedAt;
    private readonly int[] ofBase;
    private readonly Patterns[] patterns;
    private readonly int[] suffixes;
    private readonly double[] weights;
    private readonly bool[] known;
    private readonly Leniencies leniencies;
    private readonly ConcurrentDictionary<Leniencies, int[][]> letIn = new();
    private readonly Dictionary<string, int> places = new(StringComparer.Ordinal);

    public WordIndex(Lexicon lexicon, Leniencies leniencies, Accent accent)
    {
        Accent = accent;
        Words = [.. lexicon.Words.Where(w => w.Zipf >= Rarest || w.IsForLessons)];
        this.leniencies = leniencies;
        var words = Words;
        ends = new int[words.Length];
        (bodyStarts, endingStarts, patterns, suffixes, weights) = (new int[words.Length + 1], new int[words.Length], new Patterns[words.Length], new int[words.Length], new double[words.Length]);
        (changedAt, ofBase) = (new int[words.Length], new int[words.Length]);
        var foreign = accent.SoundsR ? WordFlags.BritishOnly : WordFlags.AmericanOnly;
        var all = new List<int>();
        for (var i = 0; i < words.Length; i++)
        {
            var (word, asked) = (words[i], words[i].NeedsIn(accent));
            var parts = asked.Parts;
            bodyStarts[i] = all.Count;
            (changedAt[i], ofBase[i]) = asked.OfBase is { } stem ? (all.Count + asked.ChangedAt, stem.Index) : (Unchanged, Unchanged);
            endingStarts[i] = all.Count + parts.Length - (word.Suffix?.Parts ?? 0);
            foreach (var part in parts) all.Add(part.Index);
            ends[i] = all.Count;
            foreach (var pattern in word.Patterns.Each()) all.Add(Ranks.NeedOf(pattern));
            patterns[i] = word.Patterns;
            suffixes[i] = word.Suffix is { } suffix ? (int)suffix.Suffix : NoSuffix;
            weights[i] = word.Flags.HasFlag(foreign) ? 0 : Math.Pow(10, word.Zipf);
            places[word.Spelling] = i;
        }
        bodyStarts[^1] = all.Count;
        needs = [.. all];
        known = [.. words.Select(w => w.IsKnown)];
        ForLessons = [.. Enumerable.Range(0, words.Length).Where(i => words[i].IsForLessons)];
    }

    public Accent Accent { get; }

    /// <summary>The words that are looked at, commonest first: all for lessons, and all but the rarest.</summary>
    public ImmutableArray<Word> Words { get; }

    /// <summary>The places among <see cref="Words"/> of those that may stand in a lesson.</summary>
    internal ImmutableArray<int> ForLessons { get; }

    /// <summary>For each word how often it stands in a billion words of running text; 0 for spellings that the accent's readers don't meet.</summary>
    internal ReadOnlySpan<double> Weights => weights;

    internal bool IsKnown(int word) => known[word];

    internal Patterns PatternsOf(int word) => patterns[word];

    /// <summary>The indices of the correspondences a word needs, in word order.</summary>
    internal ReadOnlySpan<int> NeedsOf(int word) => needs.AsSpan()[bodyStarts[word]..ends[word]];

    internal int? PlaceOf(string spelling) => places.TryGetValue(spelling, out var place) ? place : null;

    /// <summary>For each of <see cref="Words"/> the rung after which it is decodable; -1 from the start, <see cref="int.MaxValue"/> never.</summary>
    public int[] Rungs(Ladder ladder)
    {
        var rungs = new int[patterns.Length];
        Rungs(ladder, rungs);
        return rungs;
    }

    internal void Rungs(Ladder ladder, Span<int> rungs)
    {
        var ranks = new Ranks(ladder, letIn.GetOrAdd(ladder.Allow(leniencies), allowed => Ranks.LetIn(allowed, Accent)));
        var ofNeeds = ranks.OfNeeds;
        for (var i = 0; i < rungs.Length; i++)
        {
            var highest = Math.Max(HighestInBody(ofNeeds, i), Highest(ofNeeds, ends[i], bodyStarts[i + 1]));
            if (suffixes[i] != NoSuffix) highest = Math.Max(highest, Math.Min(ranks.OfTaught((Patterns)suffixes[i]), Highest(ofNeeds, endingStarts[i], ends[i])));
            rungs[i] = highest;
        }
    }

    /// <summary>For each word that children know and a rung of the ladder makes readable that rung, and the highest of the others it needs; -1 for none.</summary>
    internal IEnumerable<(int Highest, int Next)> TwoHighest(Ladder ladder)
    {
        var rungs = Rungs(ladder);
        var ranks = new Ranks(ladder, letIn.GetOrAdd(ladder.Allow(leniencies), allowed => Ranks.LetIn(allowed, Accent)));
        foreach (var word in ForLessons)
        {
            if (!known[word] || rungs[word] < 0 || rungs[word] == Ranks.Never) continue;
            var next = Ranks.FromTheStart;
            for (var at = bodyStarts[word]; at < bodyStarts[word + 1]; at++)
            {
                if (RungAt(ranks.OfNeeds, word, at) is var rung && rung < rungs[word] && rung > next) next = rung;
            }
            yield return (rungs[word], next);
        }
    }

    /// <summary>The rung of one need; of a place that a join changed, the earlier of the word's own and its base's.</summary>
    private int RungAt(ReadOnlySpan<int> ofNeeds, int word, int at) => at == changedAt[word] ? Math.Min(ofNeeds[needs[at]], ofNeeds[ofBase[word]]) : ofNeeds[needs[at]];

    private int HighestInBody(ReadOnlySpan<int> ofNeeds, int word)
    {
        var at = changedAt[word];
        if (at == Unchanged) return Highest(ofNeeds, bodyStarts[word], endingStarts[word]);
        return Math.Max(RungAt(ofNeeds, word, at), Math.Max(Highest(ofNeeds, bodyStarts[word], at), Highest(ofNeeds, at + 1, endingStarts[word])));
    }

    private int Highest(ReadOnlySpan<int> ofNeeds, int from, int to)
    {
        var highest = Ranks.FromTheStart;
        foreach (var need in needs.AsSpan(from, to - from))
        {
            var rung = ofNeeds[need];
            if (rung > highest) highest = rung;
        }
        return highest;
    }
}
