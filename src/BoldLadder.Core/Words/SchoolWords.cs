using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>What a school says of a word.</summary>
public enum SchoolVerdict
{
    /// <summary>Never in our lessons.</summary>
    Ban,

    /// <summary>In our lessons, though it is only shown when asked for elsewhere.</summary>
    Allow,

    /// <summary>Cut or said otherwise here.</summary>
    Correct,
}

/// <summary>One word of a school's own layer, with the reason the school gave.</summary>
/// <param name="Segmentation">For a correction, how the school cuts and says the word; else null.</param>
public sealed record SchoolWord(string Spelling, SchoolVerdict Verdict, Segmentation? Segmentation, string Reason);

/// <summary>
/// Lays a school's own words over the shipped ones: a thin layer, the rest is shared. Source: docs/handbook.md,
/// sections 9 and 10.
/// </summary>
public static class SchoolWords
{
    /// <summary>
    /// The lexicon with a school's bans, allowances and corrections; the same lexicon when there are none. Words that
    /// must never reach a child can't be allowed.
    /// </summary>
    /// <param name="variety">How the school spells.</param>
    public static Lexicon Over(
        Lexicon shipped,
        IReadOnlyCollection<SchoolWord> layer,
        SpellingVariety variety = SpellingVariety.British
    )
    {
        var changed = Varieties.Changed(shipped, variety);
        if (layer.Count == 0 && changed.Count == 0)
            return shipped;
        foreach (var own in layer)
        {
            if ((changed.GetValueOrDefault(own.Spelling) ?? shipped.Find(own.Spelling)) is not { } word)
                continue;
            changed[own.Spelling] = own.Verdict switch
            {
                SchoolVerdict.Ban => word.Changed(Suitability.Never, null),
                SchoolVerdict.Allow when word.Suitability == Suitability.Ask => word.Changed(Suitability.Use, null),
                SchoolVerdict.Correct when own.Segmentation is { } cut => word.Changed(word.Suitability, cut),
                _ => word,
            };
        }
        return shipped.With(changed.ToImmutableDictionary(StringComparer.Ordinal));
    }

    /// <summary>
    /// How a school cuts and says a word, from what was typed: graphemes and sounds parted by bars, sh|i|p and ʃ|ɪ|p.
    /// </summary>
    /// <exception cref="RefusedException">They don't fit each other or the word.</exception>
    public static Segmentation Cut(string spelling, string graphemes, string phonemes)
    {
        Segmentation cut;
        try
        {
            cut = Segmentation.Parse(graphemes.Trim().ToLowerInvariant(), phonemes.Trim());
        }
        catch (FormatException)
        {
            throw new RefusedException("bad-cut.sounds", ("graphemes", graphemes), ("phonemes", phonemes));
        }
        return cut.Rejoin() == spelling
            ? cut
            : throw new RefusedException("bad-cut", ("graphemes", graphemes), ("word", spelling));
    }
}
