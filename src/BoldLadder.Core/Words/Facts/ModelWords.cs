using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words.Facts;

/// <summary>
/// Which of some words shows a correspondence best, as a teacher would choose: first those chosen by hand
/// (data/inventory/model-words.tsv), else a short base form that children know, a thing rather than an idea, with the
/// spelling where it usually stands. Source: docs/handbook.md, section 4 (Sound), section 6 (Teach).
/// </summary>
public static class ModelWords
{
    private static readonly Dictionary<Correspondence, string[]> ByHand = InventoryData
        .Rows("model-words.tsv")
        .ToDictionary(c => Correspondence.Parse(c[0]), c => c[1].Split(' '));

    /// <summary>
    /// The words chosen by hand, the best first; none for a correspondence that no ladder is likely to teach.
    /// </summary>
    public static IReadOnlyList<string> Chosen(Correspondence correspondence) =>
        ByHand.GetValueOrDefault(
            correspondence.IsBath ? Correspondence.Parse(correspondence.ReferenceNotation) : correspondence,
            []
        );

    /// <summary>Those of the words that have the correspondence, the best model first.</summary>
    public static IEnumerable<Word> Ordered(Correspondence correspondence, IEnumerable<Word> words)
    {
        var chosen = Chosen(correspondence);
        return words
            .Where(w => w.Contains(correspondence))
            .OrderBy(w => chosen.IndexOf(w.Spelling) is >= 0 and var place ? place : int.MaxValue)
            .ThenByDescending(w => w.IsKnown)
            .ThenBy(w => w.Suffix is not null || !w.Compound.IsEmpty)
            .ThenBy(w => Length(w))
            .ThenByDescending(w => w.PartsOfSpeech.HasFlag(PartsOfSpeech.Noun))
            .ThenBy(w => w.Required[0] != correspondence)
            .ThenByDescending(w => w.Zipf);
    }

    /// <summary>Words of two or three taps are as good as each other; longer ones are not.</summary>
    private static int Length(Word word) => Math.Max(3, word.Segmentation.Taps);

    private static int IndexOf(this IReadOnlyList<string> words, string word)
    {
        for (var i = 0; i < words.Count; i++)
        {
            if (words[i] == word)
                return i;
        }
        return -1;
    }
}
