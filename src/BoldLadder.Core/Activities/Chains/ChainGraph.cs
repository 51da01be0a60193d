using BoldLadder.Core.Words;

namespace BoldLadder.Core.Activities.Chains;

/// <summary>Words with their neighbours: those one change away. Made once for a set of words.</summary>
internal sealed class ChainGraph
{
    private readonly List<(int Word, ChainChange Change)>[] neighbours;

    public ChainGraph(IReadOnlyList<Word> words)
    {
        Words = words;
        neighbours = new List<(int, ChainChange)>[words.Count];
        for (var i = 0; i < words.Count; i++) neighbours[i] = [];
        var whole = new Dictionary<string, List<int>>(StringComparer.Ordinal);
        var gaps = new Dictionary<string, List<int>>(StringComparer.Ordinal);
        for (var i = 0; i < words.Count; i++)
        {
            var graphemes = words[i].Segmentation.Parts.Select(p => p.Grapheme.Text).ToArray();
            Put(whole, string.Join('|', graphemes), i);
            for (var gap = 0; gap < graphemes.Length; gap++) Put(gaps, WithGap(graphemes, gap, "*|"), i);
        }
        foreach (var alike in gaps.Values) JoinAll(alike);
        for (var i = 0; i < words.Count; i++)
        {
            var graphemes = words[i].Segmentation.Parts.Select(p => p.Grapheme.Text).ToArray();
            var shorter = Enumerable.Range(0, graphemes.Length).Select(gap => WithGap(graphemes, gap, "").TrimEnd('|')).Distinct();
            foreach (var other in shorter.SelectMany(s => whole.GetValueOrDefault(s, [])))
            {
                neighbours[i].Add((other, ChainChange.Delete));
                neighbours[other].Add((i, ChainChange.Insert));
            }
        }
    }

    public IReadOnlyList<Word> Words { get; }

    public IReadOnlyList<(int Word, ChainChange Change)> From(int word) => neighbours[word];

    private void JoinAll(List<int> alike)
    {
        foreach (var one in alike)
        {
            foreach (var other in alike)
            {
                if (one != other && ChainSteps.Between(Words[one].Segmentation, Words[other].Segmentation) is { } change) neighbours[one].Add((other, change));
            }
        }
    }

    private static string WithGap(string[] graphemes, int gap, string mark) =>
        string.Concat(graphemes.Select((g, i) => i == gap ? mark : g + "|"));

    private static void Put(Dictionary<string, List<int>> rows, string key, int word)
    {
        if (!rows.TryGetValue(key, out var row)) rows[key] = row = [];
        row.Add(word);
    }
}
