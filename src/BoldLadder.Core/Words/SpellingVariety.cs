using System.Collections.Frozen;

namespace BoldLadder.Core.Words;

/// <summary>How a school spells: colour and mum, or color and mom.</summary>
public enum SpellingVariety
{
    British,
    American,
}

/// <summary>
/// What the shipped words, which are British, are in another variety: spellings of the other side are there only when a
/// teacher types them. Source: docs/handbook.md, section 9.
/// </summary>
public static class Varieties
{
    /// <summary>Words that count as one side's though both print them (data/inventory/varieties.tsv).</summary>
    private static readonly FrozenSet<string> British = InventoryData
        .Rows("varieties.tsv")
        .Where(r => r[1] == "gb")
        .Select(r => r[0])
        .ToFrozenSet(StringComparer.Ordinal);

    /// <summary>The variety of a language tag: en-US is American, all else British.</summary>
    public static SpellingVariety Of(string language) =>
        language == "en-US" ? SpellingVariety.American : SpellingVariety.British;

    /// <summary>The words that are otherwise in a variety, by spelling.</summary>
    public static Dictionary<string, Word> Changed(Lexicon shipped, SpellingVariety variety)
    {
        var changed = new Dictionary<string, Word>(StringComparer.Ordinal);
        if (variety == SpellingVariety.British)
            return changed;
        foreach (var word in shipped.Words)
        {
            if (word.IsForLessons && (word.Flags.HasFlag(WordFlags.BritishOnly) || British.Contains(word.Spelling)))
                changed[word.Spelling] = word.Changed(Suitability.Ask, null);
            else if (word.Flags.HasFlag(WordFlags.AmericanOnly) && word.Band is Band.Known or Band.Teach)
                changed[word.Spelling] = word.AtHome();
        }
        return changed;
    }
}
