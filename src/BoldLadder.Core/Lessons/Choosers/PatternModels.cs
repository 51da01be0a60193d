using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// How a word with a pattern is built, as it is modelled: base and ending, the consonants that are blended and the
/// rest, syllables, the words of a compound. Source: docs/handbook.md, sections 4 (Pattern) and 6 (Teach).
/// </summary>
internal static class PatternModels
{
    /// <summary>Null where the pattern does not show in how the word is built.</summary>
    public static PatternModel? Of(Word word, Patterns pattern)
    {
        if (word.Suffix is { } suffix && (suffix.Suffix == pattern || suffix.Join == pattern))
            return new PatternModel(word.Spelling, [suffix.Base, Ending(suffix.Suffix)], JoinOf(suffix), 1);
        if (pattern is Patterns.AdjacentStart or Patterns.AdjacentEnd)
            return Blended(word, pattern == Patterns.AdjacentStart);
        if (pattern == Patterns.Compound && word.Compound.Length > 1)
            return new PatternModel(word.Spelling, word.Compound, null, -1);
        return pattern is Patterns.TwoSyllables or Patterns.ThreeSyllables && Syllables.Of(word) is { Length: > 1 } cut
            ? new PatternModel(word.Spelling, cut, null, -1)
            : null;
    }

    private static string Ending(Patterns suffix) => suffix.Id().Replace("suffix-", "", StringComparison.Ordinal);

    private static string? JoinOf(SuffixLink suffix) =>
        suffix.Join == Patterns.None ? null : suffix.Join.Id().Replace("join-", "", StringComparison.Ordinal);

    /// <summary>The consonants at the start or at the end of the word as one part, the rest as the other.</summary>
    private static PatternModel? Blended(Word word, bool atStart)
    {
        var parts = word.Segmentation.Parts;
        var vowels = parts.Select((p, i) => (p, i)).Where(p => p.p.IsVowel).Select(p => p.i).ToList();
        if (vowels.Count == 0 || parts.Any(p => p.Grapheme.IsSplit))
            return null;
        var cut = atStart ? vowels[0] : vowels[^1] + 1;
        string Letters(IEnumerable<Correspondence> some) => string.Concat(some.Select(p => p.Grapheme.Text));
        var (first, second) = (Letters(parts.Take(cut)), Letters(parts.Skip(cut)));
        return (atStart ? cut : parts.Length - cut) < 2
            ? null
            : new PatternModel(word.Spelling, [first, second], null, atStart ? 0 : 1);
    }
}
