using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>A word of the lexicon with all that is known of it. Immutable. Source: docs/data.md.</summary>
public sealed class Word
{
    private Needs? reference;
    private Needs? american;

    public Word(
        string spelling,
        Segmentation segmentation,
        double zipf,
        Suitability suitability,
        WordFlags flags,
        SuffixLink? suffix
    )
        : this(spelling, segmentation, zipf, suitability, flags, suffix, default) { }

    /// <param name="american">The sounds of each grapheme in General American, where they are not the projection's;
    /// default when they are.</param>
    public Word(
        string spelling,
        Segmentation segmentation,
        double zipf,
        Suitability suitability,
        WordFlags flags,
        SuffixLink? suffix,
        ImmutableArray<string> american
    )
    {
        Spelling = spelling;
        Zipf = zipf;
        Suitability = suitability;
        Flags = flags;
        Suffix = suffix;
        Segmentation = segmentation;
        American = american;
        Required = flags.HasFlag(WordFlags.Bath)
            ? [.. segmentation.Parts.Select(p => p.Notation == "a=ɑː" ? Correspondence.BathA : p)]
            : segmentation.Parts;
        Patterns = WordPatterns.Of(segmentation, suffix) | Marked(flags);
    }

    public string Spelling { get; }

    public Segmentation Segmentation { get; }

    /// <summary>
    /// How common the word is in speech: log10 of its uses in a billion words; 3 is rare, 6 very common.
    /// </summary>
    public double Zipf { get; }

    public Suitability Suitability { get; }

    public WordFlags Flags { get; }

    public SuffixLink? Suffix { get; }

    /// <summary>
    /// The sounds of each grapheme in General American where they are not what the accent's projection gives; default
    /// when they are.
    /// </summary>
    public ImmutableArray<string> American { get; }

    public Band Band { get; init; }

    public PartsOfSpeech PartsOfSpeech { get; init; }

    public Topics Topics { get; init; }

    /// <summary>The two words a compound is made of (sun, set); empty for other words.</summary>
    public ImmutableArray<string> Compound
    {
        get;
        init
        {
            field = value;
            if (value.IsEmpty)
                return;
            var second = Segmentation.LetterStarts().IndexOf(value[0].Length);
            Patterns = WordPatterns.Of(Segmentation, Suffix, Math.Max(0, second)) | Marked(Flags) | Patterns.Compound;
        }
    } = [];

    /// <summary>
    /// Whose it is, of a possessive (dog's, dog): who reads the owner and the s, reads it. Null for other words.
    /// </summary>
    public Word? Owner
    {
        get;
        init
        {
            field = value;
            if (value is not null)
                Patterns = value.Patterns | Marked(Flags);
        }
    }

    /// <summary>Further readings of the same letters (wind, lead), the likeliest first; empty for most words.</summary>
    public ImmutableArray<Segmentation> Also { get; init; } = [];

    /// <summary>The patterns that reading the word needs; of a compound, <see cref="Patterns.Compound"/> too.</summary>
    public Patterns Patterns { get; private init; }

    /// <summary>The correspondences in word order, the a of a bath word told apart.</summary>
    public ImmutableArray<Correspondence> Required { get; }

    /// <summary>Set by hand: most children know it at five.</summary>
    public bool IsKnown => Band == Band.Known;

    /// <summary>
    /// True for a word that may stand in a lesson: suitable, read by a person who put it in a band for children, one
    /// reading, used in Britain.
    /// Source: docs/handbook.md, section 7 (Choosing words; Known to children).
    /// </summary>
    public bool IsForLessons =>
        Suitability == Suitability.Use
        && Band is Band.Known or Band.Teach
        && (Flags & (WordFlags.Heteronym | WordFlags.AmericanOnly)) == WordFlags.None
        && Spelling.Length > 1;

    public bool Contains(Correspondence correspondence)
    {
        foreach (var part in Required)
        {
            if (part == correspondence)
                return true;
        }
        return false;
    }

    /// <summary>What reading the word needs in an accent: in General American new has ew=uː.</summary>
    public Needs NeedsIn(Accent accent) =>
        accent.SoundsR && !American.IsDefault
            ? american ??= new Needs(Americanised(Required, American), Suffix, Patterns)
            : Reference;

    /// <summary>Made when first asked for: a loaded lexicon has many words that nobody asks about.</summary>
    private Needs Reference => reference ??= new Needs(Required, Suffix, Patterns);

    /// <summary>True when one of its correspondences is in the set.</summary>
    public bool ContainsAny(CorrespondenceSet correspondences)
    {
        foreach (var part in Required)
        {
            if (correspondences.Contains(part))
                return true;
        }
        return false;
    }

    /// <summary>
    /// The same word with another suitability, or cut and said otherwise: then its accents follow the reference.
    /// </summary>
    public Word Changed(Suitability suitability, Segmentation? segmentation) =>
        Copy(
            suitability,
            segmentation ?? Segmentation,
            segmentation is null ? Suffix : null,
            segmentation is null ? American : default,
            Band == Band.NotForChildren && suitability == Suitability.Use ? Band.Teach : Band,
            Flags
        );

    /// <summary>The same word for a school that spells it so: it is nobody else's.</summary>
    public Word AtHome() =>
        Copy(
            Suitability,
            Segmentation,
            Suffix,
            American,
            Band,
            Flags & ~(WordFlags.AmericanOnly | WordFlags.BritishOnly)
        );

    /// <summary>The same word said otherwise in General American; default: as the accent's projection has it.</summary>
    public Word SaidInAmerica(ImmutableArray<string> sounds) =>
        Copy(Suitability, Segmentation, Suffix, sounds, Band, Flags);

    private Word Copy(
        Suitability suitability,
        Segmentation segmentation,
        SuffixLink? suffix,
        ImmutableArray<string> american,
        Band band,
        WordFlags flags
    ) =>
        new(
            spelling: Spelling,
            segmentation: segmentation,
            zipf: Zipf,
            suitability: suitability,
            flags: flags,
            suffix: suffix,
            american: american
        )
        {
            Band = band,
            PartsOfSpeech = PartsOfSpeech,
            Topics = Topics,
            Compound = Compound,
            Also = Also,
        };

    public override string ToString() => Spelling;

    private static Patterns Marked(WordFlags flags) =>
        (flags.HasFlag(WordFlags.Contraction) ? Patterns.Contraction : Patterns.None)
        | (flags.HasFlag(WordFlags.Capital) ? Patterns.Capitals : Patterns.None);

    /// <summary>
    /// The correspondences that are said: those of the inventory with the American sounds, the reference's where there
    /// is none.
    /// </summary>
    private static ImmutableArray<Correspondence> Americanised(
        ImmutableArray<Correspondence> parts,
        ImmutableArray<string> american
    )
    {
        var said = parts.ToBuilder();
        for (var i = 0; i < said.Count; i++)
        {
            var sounds =
                said[i].KeepsR && american[i].EndsWith("+r", StringComparison.Ordinal)
                    ? american[i][..^2]
                    : american[i];
            if (Accent.GeneralAmerican.Project(said[i]) == american[i])
                continue;
            said[i] = Correspondence.Find(said[i].Grapheme.Text, sounds) ?? said[i];
        }
        return said.ToImmutable();
    }
}

/// <summary>What reading one word asks for, in word order.</summary>
public sealed class Needs
{
    private readonly int[] numbers;
    private readonly int ending;
    private readonly int suffixAt;

    internal Needs(ImmutableArray<Correspondence> parts, SuffixLink? suffix, Patterns patterns)
    {
        Parts = parts;
        ending = parts.Length - (suffix?.Parts ?? 0);
        suffixAt = suffix is null ? NeedRow.None : WordRows.BitOf(suffix.Suffix);
        if (suffix is not null && JoinedBase.Of(parts[..ending], suffix.Base) is { } joined)
            (ChangedAt, OfBase) = joined;
        numbers = [.. parts.Select(p => p.Index), .. patterns.Each().Select(WordRows.NeedOf)];
    }

    public ImmutableArray<Correspondence> Parts { get; }

    /// <summary>The place at which a join changed the base; -1 when the base stands as it is.</summary>
    public int ChangedAt { get; } = NeedRow.None;

    /// <summary>
    /// What the base has at <see cref="ChangedAt"/>: o-e of hope, in hoped. Who reads hope, reads hoped.
    /// </summary>
    public Correspondence? OfBase { get; }

    /// <summary>The same as numbers.</summary>
    public NeedRow Row =>
        new(
            numbers.AsSpan(0, ending),
            numbers.AsSpan(ending, Parts.Length - ending),
            numbers.AsSpan(Parts.Length),
            ChangedAt,
            OfBase?.Index ?? NeedRow.None,
            suffixAt
        );
}
