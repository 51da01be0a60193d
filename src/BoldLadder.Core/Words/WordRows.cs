using System.Collections.Immutable;
using System.Numerics;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Words as rows of numbers, so that thousands of them are looked through in microseconds: what each needs in an
/// accent, a word after another. A need is a correspondence's index, or <see cref="NeedOf"/> a pattern. Made once, safe
/// to share.
/// </summary>
public sealed class WordRows
{
    /// <summary>More patterns than there are: a bit of an integer each.</summary>
    public const int MostPatterns = 32;

    private readonly int[] starts;
    private readonly int[] endings;
    private readonly int[] ends;

    /// <summary>A word after another: its correspondences outside the suffix, those inside, its patterns.</summary>
    private readonly int[] needs;

    /// <summary>
    /// Where among <see cref="needs"/> a join changed the base of a word, and what the base has there: either will do.
    /// </summary>
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
            (changedAt[i], ofBase[i]) = asked.OfBase is { } stem
                ? (all.Count + asked.ChangedAt, stem.Index)
                : (NeedRow.None, NeedRow.None);
            endings[i] = all.Count + asked.Parts.Length - (word.Suffix?.Parts ?? 0);
            foreach (var part in asked.Parts)
                all.Add(part.Index);
            ends[i] = all.Count;
            foreach (var pattern in word.Patterns.Each())
                all.Add(NeedOf(pattern));
            suffixes[i] = word.Suffix is { } suffix ? BitOf(suffix.Suffix) : NeedRow.None;
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

    /// <summary>What a word needs.</summary>
    public NeedRow this[int word]
    {
        get
        {
            var (start, ending, end) = (starts[word], endings[word], ends[word]);
            var changed = changedAt[word];
            return new(
                needs.AsSpan(start, ending - start),
                needs.AsSpan(ending, end - ending),
                needs.AsSpan(end, starts[word + 1] - end),
                changed == NeedRow.None ? NeedRow.None : changed - start,
                ofBase[word],
                suffixes[word]
            );
        }
    }

    private int[][] EachHaving()
    {
        var lists = new List<int>[Needs];
        for (var need = 0; need < Needs; need++)
            lists[need] = [];
        for (var i = 0; i < Words.Length; i++)
        {
            foreach (var part in Words[i].Required.Distinct())
                lists[part.Index].Add(i);
            foreach (var pattern in Words[i].Patterns.Each())
                lists[NeedOf(pattern)].Add(i);
        }
        return [.. lists.Select(l => l.ToArray())];
    }
}
