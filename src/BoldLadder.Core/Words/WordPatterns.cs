using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Recognises the patterns a word needs. Adjacent consonants and syllables are looked for in the base, so that cats
/// needs only its suffix. Source: docs/handbook.md, section 4 (Pattern).
/// </summary>
public static class WordPatterns
{
    public static Patterns Of(Segmentation segmentation, SuffixLink? suffix)
    {
        var body = segmentation.Parts.AsSpan()[..^(suffix?.Parts ?? 0)];
        var found = suffix is null ? Patterns.None : suffix.Suffix | suffix.Join;
        var vowels = 0;
        for (var i = 0; i < body.Length; i++)
        {
            if (body[i].IsVowel) vowels++;
            else if (i > 0 && !body[i - 1].IsVowel) found |= vowels > 0 ? Patterns.AdjacentEnd : Patterns.AdjacentStart;
        }
        return found | vowels switch
        {
            <= 1 => Patterns.None,
            2 => Patterns.TwoSyllables,
            _ => Patterns.TwoSyllables | Patterns.ThreeSyllables,
        };
    }
}
