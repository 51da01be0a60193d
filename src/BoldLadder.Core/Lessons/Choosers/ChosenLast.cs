using System.Collections.Frozen;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// Words that a lesson chooses only where it has no others: little words that mean nothing alone, words only called
/// out, and words that a teacher would not pick. Each was put there by a person (data/inventory/chosen-last.tsv).
/// Source: docs/handbook.md, section 7 (Choosing words).
/// </summary>
public static class ChosenLast
{
    private static readonly FrozenSet<string> Words = InventoryData
        .Rows("chosen-last.tsv")
        .Select(r => r[0])
        .ToFrozenSet(StringComparer.Ordinal);

    public static bool Has(Word word) =>
        Words.Contains(word.Spelling)
        || word.Patterns.HasFlag(Spelling.Patterns.Contraction)
        || (word.Suffix is { } suffix && Words.Contains(suffix.Base));

    /// <summary>
    /// The words without those that are chosen last; all of them where fewer than <paramref name="enough"/> are left.
    /// </summary>
    public static IReadOnlyList<Word> LeftOutOf(IReadOnlyList<Word> words, int enough)
    {
        var good = words.Where(w => !Has(w)).ToList();
        return good.Count >= Math.Min(enough, words.Count) ? good : words;
    }
}
