using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Makes the segmentation of a word that is built from words that are known: a suffix with its join, a possessive, a
/// prefix, or two words written as one (zapping, fox's, unzip, sandpit). Source: docs/handbook.md, section 4 (Pattern);
/// conventions in docs/data.md.
/// </summary>
/// <param name="find">Gives the word with a spelling, or null.</param>
/// <param name="links">Which bases a word may have, the likeliest first; without it every base that rebuilds its
/// letters.</param>
public sealed class Derivation(Func<string, Word?> find, Func<string, IEnumerable<SuffixLink>>? links = null)
{
    private const int ShortestPart = 3;
    private const double RarestPart = 3.0;

    private static readonly string[] LikeEndings =
    [
        "ally",
        "ties",
        "tie",
        "die",
        "lie",
        "able",
        "age",
        "ages",
        "ant",
        "ants",
        "ate",
        "dies",
        "ice",
        "inn",
        "ion",
        "ions",
        "ist",
        "less",
        "lies",
        "nary",
        "ring",
        "rings",
        "sing",
        "tin",
        "ting",
        "ton",
        "tons",
        "her",
        "hers",
        "ness",
    ];

    private static readonly (string Letters, string[] Parts)[] Endings =
    [
        ("ness", ["n=n", "e=ə", "ss=s"]),
        ("less", ["l=l", "e=ə", "ss=s"]),
        ("ful", ["f=f", "u=ə", "l=l"]),
        ("ment", ["m=m", "e=ə", "n=n", "t=t"]),
    ];

    private static readonly (string Letters, string[] Parts)[] Prefixes =
    [
        ("un", ["u=ʌ", "n=n"]),
        ("re", ["r=r", "e=iː"]),
        ("dis", ["d=d", "i=ɪ", "s=s"]),
        ("mis", ["m=m", "i=ɪ", "s=s"]),
        ("non", ["n=n", "o=ɒ", "n=n"]),
        ("over", ["o=əʊ", "v=v", "er=ə"]),
        ("under", ["u=ʌ", "n=n", "d=d", "er=ə"]),
        ("out", ["ou=aʊ", "t=t"]),
    ];

    /// <summary>The word made from known ones, the likeliest way first; null when there is no way.</summary>
    public Word? Of(string spelling)
    {
        var made = Possessive(spelling)
            ?? Suffixed(spelling)
            ?? Ended(spelling)
            ?? Compound(spelling)
            ?? Prefixed(spelling);
        return made is not null && made.Segmentation.Rejoin() == spelling ? made : null;
    }

    private Word? Possessive(string spelling)
    {
        if (!spelling.EndsWith("'s", StringComparison.Ordinal) || find(spelling[..^2]) is not { } owner)
            return null;
        return Make(
            spelling,
            owner,
            [.. owner.Segmentation.Parts, Correspondence.Parse($"'s={EndingSounds.OfS(owner.Segmentation)}")],
            null,
            WordFlags.Contraction,
            owner
        );
    }

    private Word? Suffixed(string spelling)
    {
        return (links ?? SuffixLinks.Of)(spelling)
            .Where(l => !(l is { Suffix: Patterns.SuffixLy, Join: Patterns.None } && find(l.Base + "le") is not null))
            .Select(l => (Link: l, Stem: find(l.Base)))
            .Where(l => l.Stem is not null)
            // hearses come from a hearse, not from hears
            .OrderByDescending(l => links is not null || l.Stem!.Suffix is null)
            .Select(l =>
                Inflection.Of(spelling, l.Link, l.Stem!.Segmentation) is { } found
                    ? Make(spelling, l.Stem!, found.Parts, l.Link, WordFlags.None)
                    : null
            )
            .FirstOrDefault(w => w is not null);
    }

    /// <summary>-ness, -less, -ful and -ment, which no pattern teaches.</summary>
    private Word? Ended(string spelling)
    {
        foreach (
            var (letters, ending) in Endings.Where(s =>
                spelling.Length > s.Letters.Length + 1 && spelling.EndsWith(s.Letters, StringComparison.Ordinal)
            )
        )
        {
            var stem = spelling[..^letters.Length];
            if (find(stem) is { } whole)
                return Make(
                    spelling,
                    whole,
                    [.. whole.Segmentation.Parts, .. ending.Select(Correspondence.Parse)],
                    null,
                    WordFlags.None
                );
            if (
                !stem.EndsWith('i')
                || find(stem[..^1] + "y") is not { } y
                || y.Segmentation.Parts is not [.. var before, { Grapheme.Text: "y" } last]
            )
                continue;
            if (Correspondence.Find("i", last.SoundText) is { } i)
                return Make(spelling, y, [.. before, i, .. ending.Select(Correspondence.Parse)], null, WordFlags.None);
        }
        return null;
    }

    private Word? Compound(string spelling)
    {
        for (var cut = spelling.Length - ShortestPart; cut >= ShortestPart; cut--)
        {
            if (find(spelling[..cut]) is not { Suffix: null } first || find(spelling[cut..]) is not { } second)
                continue;
            if (!MayStandInCompound(first) || !MayStandInCompound(second))
                continue;
            return new Word(
                spelling,
                new Segmentation([.. first.Segmentation.Parts, .. second.Segmentation.Parts]),
                Math.Min(first.Zipf, second.Zipf) - 2,
                Worse(first, second),
                Shared(first) | Shared(second),
                null
            )
            {
                Compound = [first.Spelling, second.Spelling],
                PartsOfSpeech = second.PartsOfSpeech,
            };
        }
        return null;
    }

    /// <summary>
    /// Nouns, verbs and adjectives that people use; ally and ties are too like endings to be looked for.
    /// </summary>
    private static bool MayStandInCompound(Word word) =>
        word.Zipf >= RarestPart
        && !LikeEndings.Contains(word.Spelling)
        && (
            word.PartsOfSpeech
            & (PartsOfSpeech.Noun | PartsOfSpeech.Verb | PartsOfSpeech.Adjective | PartsOfSpeech.Preposition)
        ) != PartsOfSpeech.None;

    private Word? Prefixed(string spelling)
    {
        foreach (
            var (letters, beginning) in Prefixes.Where(p =>
                spelling.StartsWith(p.Letters, StringComparison.Ordinal)
                && spelling.Length - p.Letters.Length >= ShortestPart
            )
        )
        {
            if (find(spelling[letters.Length..]) is not { } rest)
                continue;
            return new Word(
                spelling,
                new Segmentation([.. beginning.Select(Correspondence.Parse), .. rest.Segmentation.Parts]),
                rest.Zipf - 2,
                rest.Suitability,
                Shared(rest),
                Prefixed(letters, rest.Suffix)
            )
            {
                PartsOfSpeech = rest.PartsOfSpeech,
            };
        }
        return null;
    }

    private static Word Make(
        string spelling,
        Word stem,
        ImmutableArray<Correspondence> parts,
        SuffixLink? link,
        WordFlags flags,
        Word? owner = null
    ) =>
        new(spelling, new Segmentation(parts), stem.Zipf - 1, stem.Suitability, Shared(stem) | flags, link)
        {
            Topics = stem.Topics,
            PartsOfSpeech = stem.PartsOfSpeech,
            Owner = owner,
        };

    /// <summary>
    /// unzipped is unzip with -ed where there is unzip; of untamed there is no base, since nobody untames.
    /// </summary>
    private SuffixLink? Prefixed(string letters, SuffixLink? suffix) =>
        suffix is not null && find(letters + suffix.Base) is not null
            ? suffix with
            {
                Base = letters + suffix.Base,
            }
            : null;

    /// <summary>What a made word has from a word it is made of.</summary>
    private static WordFlags Shared(Word word) =>
        word.Flags
        & (
            WordFlags.Bath
            | WordFlags.Cloth
            | WordFlags.Cure
            | WordFlags.BritishOnly
            | WordFlags.AmericanOnly
            | WordFlags.Heteronym
            | WordFlags.Name
            | WordFlags.Place
            | WordFlags.Capital
        );

    private static Suitability Worse(Word one, Word other) =>
        (Suitability)Math.Max((int)one.Suitability, (int)other.Suitability);
}
