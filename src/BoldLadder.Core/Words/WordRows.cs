using System.Collections.Immutable;
using System.Numerics;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Words as rows of numbers, so that thousands of them are looked through in microseconds: what each needs in an accent, a word after another. A need is a
/// correspondence's index, or <see cref="NeedOf"/> a pattern. Made once, safe to share.
/// </summary>
public sealed class WordRows
{
    /// <summary>More patterns than there are: a bit of an integer each.</summary>
    public const int MostPatterns = 32;

    private const int NoSuffix = -1;
    private const int Unchanged = -1;

    private readonly int[] starts;
    private readonly int[] endings;
    private readonly int[] ends;

    /// <summary>A word after another: its correspondences outside the suffix, those inside, its patterns.</summary>
    private readonly int[] needs;

    /// <summary>Where among <see cref="needs"/> a join changed the base of a word, and what the base has there: either will do.</summary>
    private readonly int[] changedAt;
    private readonly int[] ofBase;
    private readonly int[] suffixes;
    private readonly Lazy<int[][]> having;

    public WordRows(ImmutableArray<Word> words, Accent accent)
    {
        Words = words;
        (starts, endings, ends) = (new int[words.Length + 1], new int[words.Length], new int[words.Length]);
        (changedAt, ofBase, suffixes) = (new int[words.Length], new int[words.Length], new int[words.Length]);
        var all = new List<int>(words.Length * 6);
        for (var i = 0; i < words.Length; i++)
        {
            var (word, asked) = (words[i], words[i].NeedsIn(accent));
            starts[i] = all.Count;
            (changedAt[i], ofBase[i]) = asked.OfBase is { } stem ? (all.Count + asked.ChangedAt, stem.Index) : (Unchanged, Unchanged);
            endings[i] = all.Count + asked.Parts.Length - (word.Suffix?.Parts ?? 0);
            foreach (var part in asked.Parts) all.Add(part.Index);
            ends[i] = all.Count;
            foreach (var pattern in word.Patterns.Each()) all.Add(NeedOf(pattern));
            suffixes[i] = word.Suffix is { } suffix ? BitOf(suffix.Suffix) : NoSuffix;
        }
        starts[^1] = all.Count;
        needs = [.. all];
        having = new(EachHaving);
    }

    /// <summary>How many needs there are.</summary>
    public static int Needs { get; } = Correspondence.All.Length + MostPatterns;

    public ImmutableArray<Word> Words { get; }

    /// <summary>What a pattern, given as a single flag, is called among the needs.</summary>
    public static int NeedOf(Patterns pattern) => Correspondence.All.Length + BitOf(pattern);

    /// <summary>The place of a pattern, given as a single flag, among the patterns.</summary>
    public static int BitOf(Patterns pattern) => BitOperations.TrailingZeroCount((int)pattern);

    /// <summary>The indices of the correspondences a word needs, in word order.</summary>
    public ReadOnlySpan<int> PartsOf(int word) => needs.AsSpan(starts[word], ends[word] - starts[word]);

    /// <summary>The places of the words in which a need stands as the reference has it, in order.</summary>
    public IReadOnlyList<int> Having(int need) => having.Value[need];

    /// <summary>True when all that a word needs is met; a place that a join changed by the word's own correspondence or its base's.</summary>
    /// <param name="met">For each need whether it is met.</param>
    /// <param name="taught">The patterns that were taught: a suffix among them supplies the correspondences inside it.</param>
    public bool AreMet(int word, ReadOnlySpan<bool> met, Patterns taught)
    {
        for (var at = starts[word]; at < endings[word]; at++)
        {
            if (!met[needs[at]] && !(at == changedAt[word] && met[ofBase[word]])) return false;
        }
        for (var at = ends[word]; at < starts[word + 1]; at++)
        {
            if (!met[needs[at]]) return false;
        }
        if (suffixes[word] != NoSuffix && ((int)taught & (1 << suffixes[word])) != 0) return true;
        for (var at = endings[word]; at < ends[word]; at++)
        {
            if (!met[needs[at]]) return false;
        }
        return true;
    }

    /// <summary>
    /// The highest rank among what a word needs: of a place that a join changed the lower of the two, of a suffix that is taught before what is inside it
    /// the suffix's own.
    /// </summary>
    /// <param name="ranks">The rank of each need.</param>
    /// <param name="taught">For each pattern, by its place, the rank at which it is taught; being free is not enough.</param>
    /// <param name="lowest">What a word that needs nothing has.</param>
    public int Highest(int word, ReadOnlySpan<int> ranks, ReadOnlySpan<int> taught, int lowest)
    {
        var highest = Math.Max(HighestInBody(word, ranks, lowest), HighestOf(ranks, ends[word], starts[word + 1], lowest));
        return suffixes[word] == NoSuffix ? highest : Math.Max(highest, Math.Min(taught[suffixes[word]], HighestOf(ranks, endings[word], ends[word], lowest)));
    }

    /// <summary>The highest rank among what a word needs that is below a limit.</summary>
    public int HighestBelow(int word, ReadOnlySpan<int> ranks, int limit, int lowest)
    {
        var highest = lowest;
        for (var at = starts[word]; at < starts[word + 1]; at++)
        {
            if (RankAt(word, at, ranks) is var rank && rank < limit && rank > highest) highest = rank;
        }
        return highest;
    }

    private int RankAt(int word, int at, ReadOnlySpan<int> ranks) => at == changedAt[word] ? Math.Min(ranks[needs[at]], ranks[ofBase[word]]) : ranks[needs[at]];

    private int HighestInBody(int word, ReadOnlySpan<int> ranks, int lowest)
    {
        var at = changedAt[word];
        if (at == Unchanged) return HighestOf(ranks, starts[word], endings[word], lowest);
        return Math.Max(RankAt(word, at, ranks), Math.Max(HighestOf(ranks, starts[word], at, lowest), HighestOf(ranks, at + 1, endings[word], lowest)));
    }

    private int HighestOf(ReadOnlySpan<int> ranks, int from, int to, int lowest)
    {
        var highest = lowest;
        foreach (var need in needs.AsSpan(from, to - from))
        {
            var rank = ranks[need];
            if (rank > highest) highest = rank;
        }
        return highest;
    }

    private int[][] EachHaving()
    {
        var lists = new List<int>[Needs];
        for (var need = 0; need < Needs; need++) lists[need] = [];
        for (var i = 0; i < Words.Length; i++)
        {
            foreach (var part in Words[i].Required.Distinct()) lists[part.Index].Add(i);
            foreach (var pattern in Words[i].Patterns.Each()) lists[NeedOf(pattern)].Add(i);
        }
        return [.. lists.Select(l => l.ToArray())];
    }
}
