using System.Collections.Immutable;
using BoldLadder.Core.Accents;

namespace BoldLadder.Core.Words.Facts;

/// <summary>How often a rule of thumb is true in one case of it.</summary>
/// <param name="True">By running text and by words children know, 0 to 1.</param>
/// <param name="Words">How many known words the case is in.</param>
/// <param name="For">The commonest known words that follow it, a few.</param>
/// <param name="Against">The commonest known words that don't.</param>
public sealed record RuleRow(
    string Case,
    CountedShare True,
    int Words,
    ImmutableArray<string> For,
    ImmutableArray<string> Against
);

/// <summary>
/// Counts how often a rule of thumb is true, case by case: "two vowels together, the first says its name", pair by
/// pair.
/// Source: docs/handbook.md, sections 3 and 4 (Correspondence).
/// </summary>
public static class RuleTable
{
    private const int Examples = 5;

    /// <summary>The name of the row that has all cases together.</summary>
    public const string AllCases = "all";

    /// <summary>All cases together first, then each, the most frequent in known words first.</summary>
    public static ImmutableArray<RuleRow> Of(
        RuleOfThumb rule,
        Lexicon lexicon,
        Accent accent,
        IReadOnlySet<string>? leaveOut = null
    )
    {
        var counts = new Dictionary<string, Count>(StringComparer.Ordinal) { [AllCases] = new Count() };
        foreach (var word in CorrespondenceTable.Counted(lexicon, accent, leaveOut))
        {
            foreach (var (key, holds) in rule.Cases(word, accent.SoundsOfParts(word)))
            {
                counts[AllCases].Add(word, holds);
                if (!counts.TryGetValue(key, out var count))
                    counts[key] = count = new Count();
                count.Add(word, holds);
            }
        }
        return
        [
            .. counts
                .OrderBy(c => c.Key != AllCases)
                .ThenByDescending(c => c.Value.Words)
                .ThenBy(c => c.Key, StringComparer.Ordinal)
                .Select(c => c.Value.Row(c.Key)),
        ];
    }

    private sealed class Count
    {
        private readonly List<string>[] examples =
        [
            [],
            [],
        ];
        private readonly double[] text = new double[2];
        private readonly int[] words = new int[2];

        public int Words => words.Sum();

        public void Add(Word word, bool holds)
        {
            var side = holds ? 1 : 0;
            text[side] += CorrespondenceTable.Weight(word);
            if (!word.IsKnown)
                return;
            words[side]++;
            if (examples[side].Count < Examples && !examples[side].Contains(word.Spelling))
                examples[side].Add(word.Spelling);
        }

        public RuleRow Row(string key) =>
            new(
                key,
                new CountedShare(
                    text.Sum() == 0 ? null : text[1] / text.Sum(),
                    Words == 0 ? null : (double)words[1] / Words
                ),
                Words,
                [.. examples[1]],
                [.. examples[0]]
            );
    }
}
