using System.Buffers;

namespace BoldLadder.Core.Spelling;

/// <summary>
/// What the letters round a grapheme say about its sound: c before e, o at the end of a word, a after w, a single vowel
/// letter before one consonant and a vowel, a syllable that is not the first. A small number, alike for alike places.
/// Source: docs/handbook.md, sections 3 and 4 (usual positions).
/// </summary>
public static class LetterContext
{
    /// <summary>Every context is below it.</summary>
    public const int Count = 80;

    /// <summary>Every coarse context is below it.</summary>
    public const int CoarseCount = 10;

    private static readonly SearchValues<char> VowelLetters = SearchValues.Create("aeiouy");

    private enum Next
    {
        End,
        SoftVowel,
        OtherVowel,
        OneConsonantThenVowel,
        Closed,
    }

    /// <summary>
    /// The context of the letters from <paramref name="start"/> to before <paramref name="end"/>; of a split digraph,
    /// of its first letter.
    /// </summary>
    public static int Of(ReadOnlySpan<char> word, int start, int end) =>
        ((int)NextOf(word[end..]) * 16)
        + (start == 0 ? 1 : 0)
        + (AfterW(word, start) ? 2 : 0)
        + (AfterOneVowelLetter(word, start) ? 4 : 0)
        + (word[..start].ContainsAny(VowelLetters) ? 8 : 0);

    /// <summary>
    /// What follows, and whether a word starts here: for letters that are hardly seen in the full context.
    /// </summary>
    public static int CoarseOf(ReadOnlySpan<char> word, int start, int end) =>
        ((int)NextOf(word[end..]) * 2) + (start == 0 ? 1 : 0);

    private static Next NextOf(ReadOnlySpan<char> rest)
    {
        if (rest.IsEmpty)
            return Next.End;
        if (IsVowel(rest[0]))
            return rest[0] is 'e' or 'i' or 'y' ? Next.SoftVowel : Next.OtherVowel;
        var consonants = rest.Length > 1 && rest[..2] is "ch" or "sh" or "th" or "ph" ? 2 : 1;
        return rest.Length > consonants && IsVowel(rest[consonants]) ? Next.OneConsonantThenVowel : Next.Closed;
    }

    private static bool AfterW(ReadOnlySpan<char> word, int start) =>
        (start > 0 && word[start - 1] == 'w') || (start > 1 && word[(start - 2)..start] is "wh" or "qu");

    private static bool AfterOneVowelLetter(ReadOnlySpan<char> word, int start) =>
        start > 0 && IsVowel(word[start - 1]) && (start == 1 || !IsVowel(word[start - 2]));

    private static bool IsVowel(char letter) => VowelLetters.Contains(letter);
}
