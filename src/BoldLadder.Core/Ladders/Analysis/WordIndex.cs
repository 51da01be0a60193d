using System.Collections.Concurrent;
using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>
/// The words of a lexicon as rows of numbers, so that a whole ladder is judged again while a rung is dragged. Made once
/// for a lexicon, an accent and leniencies; safe to share. Source: docs/handbook.md, section 7 (Ladder analysis).
/// </summary>
public sealed class WordIndex
{
    /// <summary>Rarer words make a five-hundredth of running text, and no lesson.</summary>
    private const double Rarest = 2.5;

    private readonly WordRows rows;
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
        rows = new WordRows(words, accent);
        weights = new double[words.Length];
        var foreign = accent.SoundsR ? WordFlags.BritishOnly : WordFlags.AmericanOnly;
        for (var i = 0; i < words.Length; i++)
        {
            weights[i] = words[i].Flags.HasFlag(foreign) ? 0 : Math.Pow(10, words[i].Zipf);
            places[words[i].Spelling] = i;
        }
        known = [.. words.Select(w => w.IsKnown)];
        ForLessons = [.. Enumerable.Range(0, words.Length).Where(i => words[i].IsForLessons)];
    }

    public Accent Accent { get; }

    /// <summary>The words that are looked at, commonest first: all for lessons, and all but the rarest.</summary>
    public ImmutableArray<Word> Words { get; }

    /// <summary>The places among <see cref="Words"/> of those that may stand in a lesson.</summary>
    internal ImmutableArray<int> ForLessons { get; }

    /// <summary>
    /// For each word how often it stands in a billion words of running text; 0 for spellings that the accent's readers
    /// don't meet.
    /// </summary>
    internal ReadOnlySpan<double> Weights => weights;

    internal bool IsKnown(int word) => known[word];

    internal Patterns PatternsOf(int word) => Words[word].Patterns;

    /// <summary>The indices of the correspondences a word needs, in word order.</summary>
    internal ReadOnlySpan<int> NeedsOf(int word) => rows.PartsOf(word);

    internal int? PlaceOf(string spelling) => places.TryGetValue(spelling, out var place) ? place : null;

    /// <summary>
    /// For each of <see cref="Words"/> the rung after which it is decodable; -1 from the start,
    /// <see cref="int.MaxValue"/> never.
    /// </summary>
    public int[] Rungs(Ladder ladder)
    {
        var rungs = new int[Words.Length];
        Rungs(ladder, rungs);
        return rungs;
    }

    internal void Rungs(Ladder ladder, Span<int> rungs)
    {
        var ranks = new Ranks(
            ladder.Steps,
            ladder.Free,
            letIn.GetOrAdd(ladder.Allow(leniencies), allowed => Ranks.LetIn(allowed, Accent))
        );
        for (var i = 0; i < rungs.Length; i++)
            rungs[i] = rows[i].Rank(ranks.OfNeeds, ranks.OfTaughtPatterns, Ranks.FromTheStart);
    }

    /// <summary>
    /// For each word that children know and a rung of the ladder makes readable that rung, and the highest of the
    /// others it needs; -1 for none.
    /// </summary>
    internal IEnumerable<(int Highest, int Next)> TwoHighest(Ladder ladder)
    {
        var rungs = Rungs(ladder);
        var ranks = new Ranks(
            ladder.Steps,
            ladder.Free,
            letIn.GetOrAdd(ladder.Allow(leniencies), allowed => Ranks.LetIn(allowed, Accent))
        );
        foreach (var word in ForLessons)
        {
            if (!known[word] || rungs[word] < 0 || rungs[word] == Ranks.Never)
                continue;
            yield return (rungs[word], rows[word].RankBelow(ranks.OfNeeds, rungs[word], Ranks.FromTheStart));
        }
    }
}
