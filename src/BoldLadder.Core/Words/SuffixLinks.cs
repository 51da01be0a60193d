using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Which base and suffix with its join would rebuild the letters of a word. Letters only: whether the base is a word,
/// and what the word is made of, others know. Source: docs/handbook.md, section 4 (suffix, joins).
/// </summary>
public static class SuffixLinks
{
    private const int ShortestBase = 2;

    private static readonly (string Letters, Patterns Suffix)[] BeforeVowel =
    [
        ("ed", Patterns.SuffixEd),
        ("ing", Patterns.SuffixIng),
        ("est", Patterns.SuffixEst),
        ("er", Patterns.SuffixEr),
        ("y", Patterns.SuffixY),
    ];

    /// <summary>The possible links, for each suffix the likeliest first.</summary>
    public static IEnumerable<SuffixLink> Of(string word) =>
        OfS(word)
            .Concat(OfLy(word))
            .Concat(BeforeVowel.SelectMany(s => Joined(word, s.Letters, s.Suffix)))
            .Where(l => l.Base.Length >= ShortestBase);

    private static IEnumerable<SuffixLink> OfS(string word)
    {
        if (!word.EndsWith('s') || word.EndsWith("ss", StringComparison.Ordinal))
            yield break;
        if (word.EndsWith("ies", StringComparison.Ordinal))
            yield return new SuffixLink(word[..^3] + "y", Patterns.SuffixS, Patterns.JoinYToI);
        if (word.EndsWith("es", StringComparison.Ordinal))
        {
            yield return new SuffixLink(word[..^2], Patterns.SuffixEs, Patterns.None);
            yield return new SuffixLink(word[..^1], Patterns.SuffixEs, Patterns.JoinDropE);
            if (word.Length > 5 && word[^3] == word[^4])
                yield return new SuffixLink(word[..^3], Patterns.SuffixEs, Patterns.JoinDouble);
        }
        yield return new SuffixLink(word[..^1], Patterns.SuffixS, Patterns.None);
        if (word.EndsWith("oes", StringComparison.Ordinal))
            yield return new SuffixLink(word[..^2], Patterns.SuffixS, Patterns.None);
    }

    /// <summary>quickly, happily; gently (gentle), fully (full), whose l does for both.</summary>
    private static IEnumerable<SuffixLink> OfLy(string word)
    {
        if (!word.EndsWith("ly", StringComparison.Ordinal) || word.Length < 4)
            yield break;
        yield return new SuffixLink(word[..^2], Patterns.SuffixLy, Patterns.None);
        if (word[^3] == 'i')
            yield return new SuffixLink(word[..^3] + "y", Patterns.SuffixLy, Patterns.JoinYToI);
        if (word[^3] == 'l')
            yield return new SuffixLink(word[..^1], Patterns.SuffixLy, Patterns.None);
        else if (!IsVowelLetter(word[^3]))
            yield return new SuffixLink(word[..^1] + "e", Patterns.SuffixLy, Patterns.JoinDropE);
    }

    private static IEnumerable<SuffixLink> Joined(string word, string letters, Patterns suffix)
    {
        if (word.Length <= letters.Length + 1 || !word.EndsWith(letters, StringComparison.Ordinal))
            yield break;
        var stem = word[..^letters.Length];
        if (stem.Length > 2 && stem[^1] == stem[^2])
            yield return new SuffixLink(stem[..^1], suffix, Patterns.JoinDouble);
        yield return new SuffixLink(stem + "e", suffix, Patterns.JoinDropE);
        if (!stem.EndsWith('e') || suffix == Patterns.SuffixIng)
            yield return new SuffixLink(stem, suffix, Patterns.None);
        if (stem.EndsWith('i') && suffix != Patterns.SuffixIng)
            yield return new SuffixLink(stem[..^1] + "y", suffix, Patterns.JoinYToI);
    }

    private static bool IsVowelLetter(char letter) => letter is 'a' or 'e' or 'i' or 'o' or 'u';
}
