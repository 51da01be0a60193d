using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words.Facts;

/// <summary>A correspondence of a word, with where it stands.</summary>
/// <param name="InBase">Null inside a suffix.</param>
/// <param name="InSyllable">A double that is cut in its middle (rab·bit) ends the syllable before.</param>
internal readonly record struct SitedPart(Correspondence Part, Place InWord, Place? InBase, Place InSyllable)
{
    public static IEnumerable<SitedPart> Of(Word word, Accent accent)
    {
        var parts = word.NeedsIn(accent).Parts;
        var body = parts.Length - (word.Suffix?.Parts ?? 0);
        var starts = word.Segmentation.LetterStarts();
        // A compound has two bases.
        var second =
            word.Compound.IsEmpty ? body
            : starts.IndexOf(word.Compound[0].Length) is var at and > 0 ? at
            : body;
        var cuts = Cuts(word);
        for (var i = 0; i < parts.Length; i++)
        {
            yield return new SitedPart(
                parts[i],
                Places.Of(i, parts.Length),
                i >= body ? null
                    : i < second ? Places.Of(i, second)
                    : Places.Of(i - second, body - second),
                InSyllableOf(starts, cuts, i, parts[i], word.Spelling.Length)
            );
        }
    }

    private static Place InSyllableOf(
        System.Collections.Immutable.ImmutableArray<int> starts,
        HashSet<int> cuts,
        int at,
        Correspondence part,
        int letters
    )
    {
        if (starts[at] == 0 || cuts.Contains(starts[at]))
            return Place.Start;
        var end = at + 1 < starts.Length ? starts[at + 1] : letters;
        if (part.Grapheme.IsSplit)
            return Place.Middle;
        for (var letter = starts[at] + 1; letter <= end; letter++)
        {
            if (letter == letters || cuts.Contains(letter))
                return Place.End;
        }
        return Place.Middle;
    }

    /// <summary>The letters at which a syllable begins, the first one aside. Words of one vowel have none.</summary>
    private static HashSet<int> Cuts(Word word)
    {
        if (word.Segmentation.Syllables < 2)
            return [];
        var cuts = new HashSet<int>();
        var at = 0;
        foreach (var syllable in Syllables.Of(word))
            cuts.Add(at += syllable.Length);
        cuts.Remove(word.Spelling.Length);
        return cuts;
    }
}
