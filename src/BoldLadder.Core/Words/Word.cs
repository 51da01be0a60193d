using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>Whether a word may be shown to children: never, only when a teacher asks for it, or freely. Handbook, section 9.</summary>
public enum Suitability
{
    Use,
    Ask,
    Never,
}

/// <summary>Facts about a word that the judgements need.</summary>
[Flags]
public enum WordFlags
{
    None = 0,

    /// <summary>Southern British long a, /æ/ in other accents.</summary>
    Bath = 1,

    /// <summary>A second common reading (read, wind): never alone in an item.</summary>
    Heteronym = 2,

    /// <summary>A spelling used in Britain only.</summary>
    BritishOnly = 4,

    /// <summary>A word or spelling used in America only.</summary>
    AmericanOnly = 8,

    /// <summary>Set by hand: most children know it at five.</summary>
    KnownAtFive = 16,
}

/// <summary>A word of the lexicon with all that is known of it. Immutable. Source: docs/data.md.</summary>
public sealed class Word
{
    public Word(string spelling, Segmentation segmentation, double zipf, Suitability suitability, WordFlags flags, SuffixLink? suffix)
    {
        Spelling = spelling;
        Zipf = zipf;
        Suitability = suitability;
        Flags = flags;
        Suffix = suffix;
        Segmentation = segmentation;
        var parts = segmentation.Parts
            .Select(p => flags.HasFlag(WordFlags.Bath) && p.Notation == "a=ɑː" ? Correspondence.BathA : p)
            .ToImmutableArray();
        var suffixParts = suffix?.Parts ?? 0;
        Body = CorrespondenceSet.Of(parts[..^suffixParts]);
        Ending = CorrespondenceSet.Of(parts[^suffixParts..]);
        Required = parts;
        Patterns = WordPatterns.Of(segmentation, suffix);
    }

    public string Spelling { get; }

    public Segmentation Segmentation { get; }

    /// <summary>How common the word is in speech: log10 of its uses in a billion words; 3 is rare, 6 very common.</summary>
    public double Zipf { get; }

    public Suitability Suitability { get; }

    public WordFlags Flags { get; }

    public SuffixLink? Suffix { get; }

    /// <summary>The patterns that reading the word needs.</summary>
    public Patterns Patterns { get; }

    /// <summary>The correspondences in word order, the a of a bath word told apart.</summary>
    public ImmutableArray<Correspondence> Required { get; }

    /// <summary>The correspondences needed outside the suffix.</summary>
    public CorrespondenceSet Body { get; }

    /// <summary>The correspondences inside the suffix; a taught suffix pattern supplies them.</summary>
    public CorrespondenceSet Ending { get; }

    public bool Contains(Correspondence correspondence) =>
        Body.Contains(correspondence) || Ending.Contains(correspondence);

    public override string ToString() => Spelling;
}
