using BoldLadder.Core.Words;

namespace BoldLadder.Core.Activities.Chains;

/// <summary>
/// Words with their neighbours: those one change away, found when they are first asked for. Words are looked up by a
/// 64-bit hash of their graphemes, one of them left open; what is found is then compared grapheme by grapheme.
/// </summary>
internal sealed class ChainGraph
{
    private const uint Open = uint.MaxValue;

    private readonly int[][] graphemes;
    private readonly Rows open;
    private readonly Rows whole;
    private readonly List<(int Word, ChainChange Change)>?[] neighbours;

    /// <summary>For each word one more than the word it was last compared with; 0 for none.</summary>
    private readonly int[] lookedAtFor;

    public ChainGraph(IReadOnlyList<Word> words)
    {
        Words = words;
        neighbours = new List<(int, ChainChange)>?[words.Count];
        var numbers = new Dictionary<string, int>(StringComparer.Ordinal);
        graphemes = new int[words.Count][];
        lookedAtFor = new int[words.Count];
        (open, whole) = (new(words.Count * 4), new(words.Count));
        // From the last to the first: a row gives what was put in last first.
        for (var i = words.Count - 1; i >= 0; i--)
        {
            var parts = words[i].Segmentation.Parts;
            var own = graphemes[i] = new int[parts.Length];
            for (var p = 0; p < own.Length; p++)
            {
                if (!numbers.TryGetValue(parts[p].Grapheme.Text, out own[p]))
                    numbers[parts[p].Grapheme.Text] = own[p] = numbers.Count;
            }
            whole.Put(Hash(own), i);
            for (var gap = 0; gap < own.Length; gap++)
                open.Put(Hash(own, gap, replaces: true), i);
        }
    }

    public IReadOnlyList<Word> Words { get; }

    public IReadOnlyList<(int Word, ChainChange Change)> From(int word) => neighbours[word] ??= Find(word);

    private List<(int, ChainChange)> Find(int word)
    {
        var own = graphemes[word];
        var suspects = new List<int>();
        for (var gap = 0; gap < own.Length; gap++)
            open.AddTo(suspects, Hash(own, gap, replaces: true));
        for (var at = 0; at <= own.Length; at++)
            open.AddTo(suspects, Hash(own, at, replaces: false));
        for (var gap = 0; gap < own.Length; gap++)
            whole.AddTo(suspects, Hash([.. own[..gap], .. own[(gap + 1)..]]));
        var found = new List<(int, ChainChange)>();
        foreach (var other in suspects)
        {
            if (lookedAtFor[other] == word + 1)
                continue;
            lookedAtFor[other] = word + 1;
            if (ChainSteps.Between(Words[word].Segmentation, Words[other].Segmentation) is { } change)
                found.Add((other, change));
        }
        return found;
    }

    /// <summary>The graphemes with one left open at a place: instead of the one there, or put in before it.</summary>
    private static ulong Hash(ReadOnlySpan<int> graphemes, int at = int.MaxValue, bool replaces = true)
    {
        var hash = Fnv.Start;
        for (var i = 0; i < graphemes.Length; i++)
        {
            if (i == at)
                hash = Fnv.With(hash, Open);
            if (i != at || !replaces)
                hash = Fnv.With(hash, (uint)graphemes[i]);
        }
        return at == graphemes.Length ? Fnv.With(hash, Open) : hash;
    }

    /// <summary>Words by key, several to a key: each entry points to the next of its row.</summary>
    private sealed class Rows(int capacity)
    {
        private const int End = -1;

        private readonly Dictionary<ulong, int> first = new(capacity);
        private readonly List<(int Word, int Next)> entries = new(capacity);

        public void Put(ulong key, int word)
        {
            entries.Add((word, first.GetValueOrDefault(key, End)));
            first[key] = entries.Count - 1;
        }

        public void AddTo(List<int> words, ulong key)
        {
            for (var at = first.GetValueOrDefault(key, End); at != End; at = entries[at].Next)
                words.Add(entries[at].Word);
        }
    }
}
