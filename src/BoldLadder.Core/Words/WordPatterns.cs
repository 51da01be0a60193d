using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Recognises the patterns a word needs. Adjacent consonants are looked for at the start and at the end of the base, so
/// that cats needs only its suffix and picnic, where they meet between syllables, only its syllables; in a compound
/// they are looked for in each of its words. Source: docs/handbook.md, section 4 (Pattern).
/// </summary>
public static class WordPatterns
{
    /// <param name="second">How many correspondences the first word of a compound has; 0 for other words.</param>
    public static Patterns Of(Segmentation segmentation, SuffixLink? suffix, int second = 0)
    {
        var body = segmentation.Parts.AsSpan()[..^(suffix?.Parts ?? 0)];
        var found = suffix is null ? Patterns.None : suffix.Suffix | suffix.Join;
        found |=
            second is 0 || second >= body.Length ? Adjacent(body) : Adjacent(body[..second]) | Adjacent(body[second..]);
        return found
            | Vowels(body) switch
            {
                <= 1 => Patterns.None,
                2 => Patterns.TwoSyllables,
                _ => Patterns.TwoSyllables | Patterns.ThreeSyllables,
            };
    }

    private static Patterns Adjacent(ReadOnlySpan<Correspondence> body)
    {
        var (first, last) = (body.Length, -1);
        for (var i = 0; i < body.Length; i++)
        {
            if (!body[i].IsVowel)
                continue;
            first = Math.Min(first, i);
            last = i;
        }
        return (first is >= 2 && last >= 0 ? Patterns.AdjacentStart : Patterns.None)
            | (body.Length - 1 - last >= 2 ? Patterns.AdjacentEnd : Patterns.None);
    }

    private static int Vowels(ReadOnlySpan<Correspondence> body)
    {
        var vowels = 0;
        foreach (var part in body)
            vowels += part.IsVowel ? 1 : 0;
        return vowels;
    }
}
