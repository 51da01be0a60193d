using System.Collections.Frozen;
using System.Collections.Immutable;

namespace BoldLadder.Core.Spelling;

/// <summary>
/// A reading of letters that no list of words has, with its share of the likelihood among those found (0 to 1).
/// </summary>
public sealed record Guess(Segmentation Segmentation, double Share);

/// <summary>
/// Reads a word from its letters alone: the likeliest rows of correspondences by what follows what in known words
/// (three in a row, shorter rows where three were never seen). Source: docs/handbook.md, section 4 (Segmentation).
/// </summary>
public sealed class Guesser
{
    /// <summary>Longer strings are not guessed: no word is so long, and the work grows with the length.</summary>
    public const int LongestWord = 40;

    private const int BeamWidth = 64;
    private const int LongestGrapheme = 4;
    private const double BackOff = 0.4;

    /// <summary>What may follow the e of a split digraph: the end, or a suffix that leaves it.</summary>
    private static readonly string[] AfterSplit = ["", "s", "ly", "ful", "less", "ness", "ment", "ments"];

    private static readonly FrozenDictionary<string, Correspondence[]> ByLetters = Correspondence
        .All.Where(c => !c.IsBath && !c.Grapheme.IsSplit)
        .GroupBy(c => c.Grapheme.Text)
        .ToFrozenDictionary(g => g.Key, g => g.ToArray());

    private static readonly FrozenDictionary<char, Correspondence[]> Splits = Correspondence
        .All.Where(c => c.Grapheme.IsSplit && c.Grapheme.Text[2] == 'e')
        .GroupBy(c => c.Grapheme.Text[0])
        .ToFrozenDictionary(g => g.Key, g => g.ToArray());

    private static readonly int Edge = Correspondence.All.Length;
    private static readonly int Size = Edge + 1;

    private readonly double[] single = new double[Size];
    private readonly Dictionary<int, int> pairs = [];
    private readonly Dictionary<long, int> triples = [];
    private readonly int[] before = new int[Size];

    /// <param name="known">The segmentations of known words.</param>
    public Guesser(IEnumerable<Segmentation> known)
    {
        var counts = new int[Size];
        foreach (var word in known)
        {
            var (a, b) = (Edge, Edge);
            foreach (var part in word.Parts)
            {
                Count(a, b, part.Index);
                counts[part.Index]++;
                (a, b) = (b, part.Index);
            }
            Count(a, b, Edge);
            counts[Edge]++;
        }
        // Every correspondence keeps a small chance, so that any letters have a reading.
        var total = counts.Sum() + (Size * 0.01);
        for (var i = 0; i < Size; i++)
            single[i] = Math.Log((counts[i] + 0.01) / total);
    }

    private sealed record Row(int Before, int Last, double Score, Correspondence? Part, Row? Rest);

    /// <summary>
    /// The likeliest readings of lower-case letters a to z, best first; none when there is another sign among them or
    /// they are too many.
    /// </summary>
    public ImmutableArray<Guess> Read(string letters, int most = 5)
    {
        if (letters.Length is 0 or > LongestWord || letters.AsSpan().ContainsAnyExceptInRange('a', 'z'))
            return [];
        var beams = new List<Row>[letters.Length + 1];
        for (var i = 0; i < beams.Length; i++)
            beams[i] = [];
        beams[0].Add(new Row(Edge, Edge, 0, null, null));
        for (var at = 0; at < letters.Length; at++)
        {
            foreach (var row in Best(beams[at], BeamWidth))
                Extend(row, letters, at, beams);
        }
        var whole = Best(beams[^1].Select(r => r with { Score = r.Score + Chance(r.Before, r.Last, Edge) }), most)
            .ToList();
        if (whole.Count == 0)
            return [];
        var sum = whole.Sum(r => Math.Exp(r.Score - whole[0].Score));
        return [.. whole.Select(r => new Guess(Unrolled(r), Math.Exp(r.Score - whole[0].Score) / sum))];
    }

    /// <summary>
    /// How likely a segmentation is as a word, as a logarithm: for comparing readings of the same letters.
    /// </summary>
    public double Likelihood(Segmentation segmentation)
    {
        var (a, b, score) = (Edge, Edge, 0.0);
        foreach (var part in segmentation.Parts)
        {
            score += Chance(a, b, part.Index);
            (a, b) = (b, part.Index);
        }
        return score + Chance(a, b, Edge);
    }

    private static IEnumerable<Row> Best(IEnumerable<Row> rows, int most) =>
        rows.OrderByDescending(r => r.Score).Take(most);

    private static Segmentation Unrolled(Row row)
    {
        var parts = new List<Correspondence>();
        for (var at = row; at?.Part is not null; at = at.Rest)
            parts.Add(at.Part);
        parts.Reverse();
        return new Segmentation([.. parts]);
    }

    private void Extend(Row row, string letters, int at, List<Row>[] beams)
    {
        for (var length = 1; length <= Math.Min(LongestGrapheme, letters.Length - at); length++)
        {
            foreach (var part in Graphemes(letters, at, length))
                beams[at + length].Add(After(row, part));
        }
        if (!Splits.TryGetValue(letters[at], out var splits))
            return;
        foreach (var (inside, length) in InsideSplit(letters, at + 1))
        {
            foreach (var split in splits)
                beams[at + 1 + length + 1].Add(inside.Aggregate(After(row, split), After));
        }
    }

    /// <summary>
    /// The consonants a split digraph at this place can go round: one grapheme, or s and t, with an e behind that may
    /// close it.
    /// </summary>
    private static IEnumerable<(Correspondence[] Inside, int Length)> InsideSplit(string letters, int at)
    {
        for (var length = 1; length <= Math.Min(LongestGrapheme, letters.Length - at - 1); length++)
        {
            if (letters[at + length] != 'e' || !AfterSplit.Contains(letters[(at + length + 1)..]))
                continue;
            if (letters.AsSpan(at, length) is "st")
                yield return ([Correspondence.Parse("s=s"), Correspondence.Parse("t=t")], length);
            foreach (var part in Graphemes(letters, at, length).Where(p => !p.IsVowel))
                yield return ([part], length);
        }
    }

    private static IEnumerable<Correspondence> Graphemes(string letters, int at, int length) =>
        ByLetters.TryGetValue(letters.Substring(at, length), out var found) ? found : [];

    private Row After(Row row, Correspondence part) =>
        new(row.Last, part.Index, row.Score + Chance(row.Before, row.Last, part.Index), part, row);

    private double Chance(int a, int b, int c)
    {
        if (triples.TryGetValue(Triple(a, b, c), out var three))
            return Math.Log((double)three / pairs[Pair(a, b)]);
        if (pairs.TryGetValue(Pair(b, c), out var two))
            return Math.Log(BackOff * two / before[b]);
        return Math.Log(BackOff * BackOff) + single[c];
    }

    private void Count(int a, int b, int c)
    {
        triples[Triple(a, b, c)] = triples.GetValueOrDefault(Triple(a, b, c)) + 1;
        pairs[Pair(b, c)] = pairs.GetValueOrDefault(Pair(b, c)) + 1;
        if (a == Edge && b == Edge)
            pairs[Pair(Edge, Edge)] = pairs.GetValueOrDefault(Pair(Edge, Edge)) + 1;
        before[b]++;
    }

    private static int Pair(int a, int b) => (a * Size) + b;

    private static long Triple(int a, int b, int c) => (((long)a * Size) + b) * Size + c;
}
