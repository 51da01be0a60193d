using System.Collections.Frozen;

namespace BoldLadder.Core.Spelling;

/// <summary>
/// All ways to read letters with some correspondences, likely or not: what a child who was taught just these could say.
/// A split digraph closes at the end only. Source: docs/handbook.md, section 7 (Made-up words: one reading).
/// </summary>
public sealed class SpellingReader(Func<Correspondence, bool> allows)
{
    /// <summary>Longer letters have too many readings to be worth listing.</summary>
    public const int LongestWord = 14;

    private const int LongestGrapheme = 4;
    private const int MostReadings = 256;

    private readonly FrozenDictionary<string, Correspondence[]> byLetters = Correspondence
        .All.Where(c => !c.IsBath && allows(c))
        .GroupBy(c => c.Grapheme.Text)
        .ToFrozenDictionary(g => g.Key, g => g.ToArray(), StringComparer.Ordinal);

    /// <summary>The readings of lower-case letters; none when the letters can't all be read, or are too many.</summary>
    public IReadOnlyList<Segmentation> Read(string letters)
    {
        var found = new List<Segmentation>();
        if (letters.Length is > 0 and <= LongestWord)
            Go(letters, 0, [], found);
        return found;
    }

    private void Go(string letters, int at, List<Correspondence> parts, List<Segmentation> found)
    {
        if (found.Count >= MostReadings)
            return;
        if (at == letters.Length)
        {
            found.Add(new Segmentation([.. parts]));
            return;
        }
        for (var length = 1; length <= Math.Min(LongestGrapheme, letters.Length - at); length++)
        {
            foreach (var part in Of(letters.Substring(at, length)))
            {
                parts.Add(part);
                Go(letters, at + length, parts, found);
                parts.RemoveAt(parts.Count - 1);
            }
        }
        if (at + 2 >= letters.Length || letters[^1] != 'e')
            return;
        foreach (var split in Of($"{letters[at]}-e"))
        {
            foreach (var inside in Inside(letters[(at + 1)..^1]))
                found.Add(new Segmentation([.. parts, split, .. inside]));
        }
    }

    /// <summary>What a split digraph goes round: one consonant grapheme, or s and t.</summary>
    private IEnumerable<Correspondence[]> Inside(string letters)
    {
        foreach (var part in Of(letters))
        {
            if (!part.IsVowel)
                yield return [part];
        }
        if (letters != "st")
            yield break;
        foreach (var s in Of("s"))
        {
            foreach (var t in Of("t"))
                yield return [s, t];
        }
    }

    private Correspondence[] Of(string letters) => byLetters.GetValueOrDefault(letters, []);
}
