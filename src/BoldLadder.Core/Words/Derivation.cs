using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Makes the segmentation of a word that is built from words that are known: a suffix with its join, a possessive, a prefix, or two
/// words written as one (zapping, fox's, unzip, sandpit). Source: docs/handbook.md, section 4 (Pattern); conventions in docs/data.md.
/// </summary>
/// <param name="find">Gives the word with a spelling, or null.</param>
public sealed class Derivation(Func<string, Word?> find)
{
    private const int ShortestPart = 3;
    private const double RarestPart = 3.0;

    private static readonly string[] LikeEndings = ["ally", "ties", "tie", "die", "lie", "able", "age", "ages", "ant", "ants", "ate", "dies", "ice", "inn", "ion", "ions", "ist", "less", "lies", "nary", "ring", "rings", "sing", "tin", "ting", "ton", "tons", "her", "hers", "ness"];

    private static readonly (string Letters, Patterns Suffix, string[] Parts)[] VowelSuffixes =
    [
        ("ing", Patterns.SuffixIng, ["i=ɪ", "ng=ŋ"]),
        ("est", Patterns.SuffixEst, ["e=ɪ", "s=s", "t=t"]),
        ("er", Patterns.SuffixEr, ["er=ə"]),
        ("y", Patterns.SuffixY, ["y=iː"]),
    ];

    private static readonly (string Letters, Patterns Suffix, string[] Parts)[] ConsonantSuffixes =
    [
        ("ly", Patterns.SuffixLy, ["l=l", "y=iː"]),
        ("ness", Patterns.None, ["n=n", "e=ə", "ss=s"]),
        ("less", Patterns.None, ["l=l", "e=ə", "ss=s"]),
        ("ful", Patterns.None, ["f=f", "u=ə", "l=l"]),
        ("ment", Patterns.None, ["m=m", "e=ə", "n=n", "t=t"]),
    ];

    private static readonly (string Letters, string[] Parts)[] Prefixes =
    [
        ("un", ["u=ʌ", "n=n"]), ("re", ["r=r", "e=iː"]), ("dis", ["d=d", "i=ɪ", "s=s"]), ("mis", ["m=m", "i=ɪ", "s=s"]),
        ("non", ["n=n", "o=ɒ", "n=n"]), ("over", ["o=əʊ", "v=v", "er=ə"]), ("under", ["u=ʌ", "n=n", "d=d", "er=ə"]), ("out", ["ou=aʊ", "t=t"]),
    ];

    /// <summary>The word made from known ones, the likeliest way first; null when there is no way.</summary>
    public Word? Of(string spelling)
    {
        var made = Possessive(spelling) ?? Plural(spelling) ?? Past(spelling) ?? Suffixed(spelling) ?? Compound(spelling) ?? Prefixed(spelling);
        return made is not null && made.Segmentation.Rejoin() == spelling ? made : null;
    }

    private Word? Possessive(string spelling)
    {
        if (!spelling.EndsWith("'s", StringComparison.Ordinal) || find(spelling[..^2]) is not { } owner) return null;
        return Make(spelling, owner, owner.Segmentation.Parts, [$"'s={EndingSounds.OfS(owner)}"], null, WordFlags.Contraction);
    }

    private Word? Plural(string spelling)
    {
        if (!spelling.EndsWith('s') || spelling.EndsWith("ss", StringComparison.Ordinal)) return null;
        if (find(spelling[..^1]) is { } stem && !stem.Spelling.EndsWith('s'))
        {
            if (!IsHissing(stem)) return Make(spelling, stem, stem.Segmentation.Parts, [$"s={EndingSounds.OfS(stem)}"], Patterns.SuffixS, Patterns.None);
            return stem.Spelling.EndsWith('e') && WithoutE(stem) is { } cut ? Make(spelling, stem, cut, ["es=ɪ+z"], Patterns.SuffixEs, Patterns.None) : null;
        }
        if (!spelling.EndsWith("es", StringComparison.Ordinal)) return null;
        if (find(spelling[..^2]) is { } hissing && IsHissing(hissing))
        {
            return Make(spelling, hissing, hissing.Segmentation.Parts, ["es=ɪ+z"], Patterns.SuffixEs, Patterns.None);
        }
        if (find(spelling[..^2]) is { } openO && openO.Segmentation.Parts[^1].Notation == "o=əʊ")
        {
            return Make(spelling, openO, [.. openO.Segmentation.Parts[..^1], Correspondence.Parse("oe=əʊ")], ["s=z"], Patterns.SuffixS, Patterns.None);
        }
        return spelling.EndsWith("ies", StringComparison.Ordinal) && find(spelling[..^3] + "y") is { } y && YToI(y, "ie") is { } parts
            ? Make(spelling, y, parts, ["s=z"], Patterns.SuffixS, Patterns.JoinYToI) : null;
    }

    private static bool IsHissing(Word word) => EndingSounds.LastOf(word) == EndingSounds.Last.Hissing;

    private Word? Past(string spelling)
    {
        if (!spelling.EndsWith("ed", StringComparison.Ordinal) || spelling.Length < 4) return null;
        foreach (var (stem, parts, join) in Joined(spelling, spelling[..^2], "l=ə+l"))
        {
            return Make(spelling, stem, parts, [$"ed={EndingSounds.OfEd(stem)}"], Patterns.SuffixEd, join);
        }
        return null;
    }

    private Word? Suffixed(string spelling)
    {
        foreach (var (letters, suffix, ending) in VowelSuffixes.Where(s => spelling.Length > s.Letters.Length + 1 && spelling.EndsWith(s.Letters, StringComparison.Ordinal)))
        {
            foreach (var (stem, parts, join) in Joined(spelling, spelling[..^letters.Length], "l=l")) return Make(spelling, stem, parts, ending, suffix, join);
        }
        foreach (var (letters, suffix, ending) in ConsonantSuffixes.Where(s => spelling.Length > s.Letters.Length + 1 && spelling.EndsWith(s.Letters, StringComparison.Ordinal)))
        {
            var stem = spelling[..^letters.Length];
            if (find(stem) is { } whole && !(letters == "ly" && stem.EndsWith('l') && stem.EndsWith("le", StringComparison.Ordinal)))
            {
                return Make(spelling, whole, whole.Segmentation.Parts, ending, suffix == Patterns.None ? null : suffix, Patterns.None);
            }
            if (stem.EndsWith('i') && find(stem[..^1] + "y") is { } y && YToI(y, "i") is { } parts)
            {
                return Make(spelling, y, parts, ending, suffix == Patterns.None ? null : suffix, Patterns.JoinYToI);
            }
        }
        return null;
    }

    private Word? Compound(string spelling)
    {
        for (var cut = spelling.Length - ShortestPart; cut >= ShortestPart; cut--)
        {
            if (find(spelling[..cut]) is not { Suffix: null } first || find(spelling[cut..]) is not { } second) continue;
            if (!MayStandInCompound(first) || !MayStandInCompound(second)) continue;
            return new Word(spelling, new Segmentation([.. first.Segmentation.Parts, .. second.Segmentation.Parts]),
                Math.Min(first.Zipf, second.Zipf) - 2, Worse(first, second), Shared(first) | Shared(second), null)
            {
                Compound = [first.Spelling, second.Spelling],
                PartsOfSpeech = second.PartsOfSpeech,
            };
        }
        return null;
    }

    /// <summary>Nouns, verbs and adjectives that people use; ally and ties are too like endings to be looked for.</summary>
    private static bool MayStandInCompound(Word word) => word.Zipf >= RarestPart && !LikeEndings.Contains(word.Spelling)
        && (word.PartsOfSpeech & (PartsOfSpeech.Noun | PartsOfSpeech.Verb | PartsOfSpeech.Adjective | PartsOfSpeech.Preposition)) != PartsOfSpeech.None;

    private Word? Prefixed(string spelling)
    {
        foreach (var (letters, beginning) in Prefixes.Where(p => spelling.StartsWith(p.Letters, StringComparison.Ordinal) && spelling.Length - p.Letters.Length >= ShortestPart))
        {
            if (find(spelling[letters.Length..]) is not { } rest) continue;
            return new Word(spelling, new Segmentation([.. beginning.Select(Correspondence.Parse), .. rest.Segmentation.Parts]), rest.Zipf - 2, rest.Suitability, Shared(rest), rest.Suffix)
            {
                PartsOfSpeech = rest.PartsOfSpeech,
            };
        }
        return null;
    }

    /// <summary>The bases of a suffix that starts with a vowel, with their parts as they stand before it and the join.</summary>
    private IEnumerable<(Word Stem, ImmutableArray<Correspondence> Parts, Patterns Join)> Joined(string spelling, string stem, string fromLe)
    {
        if (stem.Length > 2 && stem[^1] == stem[^2] && find(stem[..^1]) is { } single && Doubled(single) is { } doubled) yield return (single, doubled, Patterns.JoinDouble);
        if (find(stem + "e") is { } ending && WithoutE(ending, fromLe) is { } cut) yield return (ending, cut, Patterns.JoinDropE);
        if (find(stem) is { } whole && !stem.EndsWith('e')) yield return (whole, whole.Segmentation.Parts, Patterns.None);
        if (stem.EndsWith('i') && !spelling.EndsWith("ing", StringComparison.Ordinal) && find(stem[..^1] + "y") is { } y && YToI(y, "i") is { } parts) yield return (y, parts, Patterns.JoinYToI);
    }

    /// <summary>The parts of a base whose final e makes way: a split digraph leaves its vowel letter, ce leaves c, are leaves ar, le what its suffix asks for.</summary>
    private static ImmutableArray<Correspondence>? WithoutE(Word stem, string fromLe = "l=l")
    {
        var parts = stem.Segmentation.Parts;
        if (parts[^1].Notation == "le=ə+l") return parts.SetItem(parts.Length - 1, Correspondence.Parse(fromLe));
        for (var i = parts.Length - 1; i >= Math.Max(0, parts.Length - 3); i--)
        {
            if (!parts[i].Grapheme.IsSplit || parts[i].Grapheme.Text[2] != 'e') continue;
            return Replaced(parts, i, parts[i].Grapheme.Text[..1]);
        }
        return parts[^1].Grapheme.Text is [.., 'e'] and { Length: > 1 } text ? Replaced(parts, parts.Length - 1, text[..^1]) : null;
    }

    private static ImmutableArray<Correspondence>? Doubled(Word stem)
    {
        var last = stem.Segmentation.Parts[^1].Grapheme.Text;
        return last.Length == 1 && !stem.Segmentation.Parts[^1].IsVowel ? Replaced(stem.Segmentation.Parts, stem.Segmentation.Parts.Length - 1, last + last) : null;
    }

    private static ImmutableArray<Correspondence>? YToI(Word stem, string letters) =>
        stem.Segmentation.Parts[^1].Grapheme.Text == "y" ? Replaced(stem.Segmentation.Parts, stem.Segmentation.Parts.Length - 1, letters) : null;

    private static ImmutableArray<Correspondence>? Replaced(ImmutableArray<Correspondence> parts, int place, string letters) =>
        Correspondence.Find(letters, parts[place].SoundText) is { } found ? parts.SetItem(place, found) : null;

    private static Word Make(string spelling, Word stem, ImmutableArray<Correspondence> parts, string[] ending, Patterns? suffix, Patterns join) =>
        Make(spelling, stem, parts, ending, suffix is { } s ? new SuffixLink(stem.Spelling, s, join) : null, WordFlags.None);

    private static Word Make(string spelling, Word stem, ImmutableArray<Correspondence> parts, string[] ending, SuffixLink? link, WordFlags flags) =>
        new(spelling, new Segmentation([.. parts, .. ending.Select(Correspondence.Parse)]), stem.Zipf - 1, stem.Suitability, Shared(stem) | flags, link)
        {
            Topics = stem.Topics,
            PartsOfSpeech = stem.PartsOfSpeech,
        };

    /// <summary>What a made word has from a word it is made of.</summary>
    private static WordFlags Shared(Word word) => word.Flags & (WordFlags.Bath | WordFlags.Cloth | WordFlags.Cure | WordFlags.BritishOnly | WordFlags.AmericanOnly | WordFlags.Heteronym | WordFlags.Name | WordFlags.Place | WordFlags.Capital);

    private static Suitability Worse(Word one, Word other) => (Suitability)Math.Max((int)one.Suitability, (int)other.Suitability);
}
