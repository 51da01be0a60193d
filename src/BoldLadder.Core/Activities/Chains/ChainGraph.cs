using BoldLadder.Core.Words;

namespace BoldLadder.Core.Activities.Chains;

/// <summary>
/// Words with their neighbours: those one change away, found when they are first asked for. Words are looked up by a 64-bit hash of their graphemes, one
/// of them left open; what is found is then compared grapheme by grapheme.
/// </summary>
internal sealed class ChainGraph
{
    private const int Open = -1;

    private readonly int[][] graphemes;
    private readonly Dictionary<ulong, List<int>> open;
    private readonly Dictionary<ulong, List<int>> whole;
    private readonly List<(int Word, ChainChange Change)>?[] neighbours;

    public ChainGraph(IReadOnlyList<Word> words)
    {
        Words = words;
        neighbours = new List<(int, ChainChange)>?[words.Count];
        var numbers = new Dictionary<string, int>(StringComparer.Ordinal);
        graphemes = new int[words.Count][];
        (open, whole) = (new(words.Count * 3), new(words.Count));
        for (var i = 0; i < words.Count; i++)
        {
            var parts = words[i].Segmentation.Parts;
            var own = graphemes[i] = new int[parts.Length];
            for (var p = 0; p < own.Length; p++)
            {
                if (!numbers.TryGetValue(parts[p].Grapheme.Text, out own[p])) numbers[parts[p].Grapheme.Text] = own[p] = numbers.Count;
            }
            Put(whole, Hash(own), i);
            for (var gap = 0; gap < own.Length; gap++) Put(open, Hash(own, gap, replaces: true), i);
        }
    }

    public IReadOnlyList<Word> Words { get; }

    public IReadOnlyList<(int Word, ChainChange Change)> From(int word) => neighbours[word] ??= Find(word);

    private List<(int, ChainChange)> Find(int word)
    {
        var own = graphemes[word];
        var suspects = new List<int>();
        for (var gap = 0; gap < own.Length; gap++) suspects.AddRange(open[Hash(own, gap, replaces: true)]);
        for (var at = 0; at <= own.Length; at++) suspects.AddRange(open.GetValueOrDefault(Hash(own, at, replaces: false), []));
        for (var gap = 0; gap < own.Length; gap++) suspects.AddRange(whole.GetValueOrDefault(Hash([.. own[..gap], .. own[(gap + 1)..]]), []));
        return [.. suspects.Distinct().Select(o => (Other: o, Change: ChainSteps.Between(Words[word].Segmentation, Words[o].Segmentation))).Where(o => o.Change is not null).Select(o => (o.Other, o.Change!.Value))];
    }

    /// <summary>The graphemes with one left open at a place: instead of the one there, or put in before it.</summary>
    private static ulong Hash(ReadOnlySpan<int> graphemes, int at = int.MaxValue, bool replaces = true)
    {
        var hash = 14695981039346656037UL;
        for (var i = 0; i < graphemes.Length; i++)
        {
            if (i == at) hash = Mixed(hash, Open);
            if (i != at || !replaces) hash = Mixed(hash, graphemes[i]);
        }
        return at == graphemes.Length ? Mixed(hash, Open) : hash;
    }

    private static ulong Mixed(ulong hash, int value) => unchecked((hash ^ (uint)value) * 1099511628211UL);

    private static void Put(Dictionary<ulong, List<int>> rows, ulong key, int word)
    {
        if (!rows.TryGetValue(key, out var row)) rows[key] = row = [];
        row.Add(word);
    }
}
