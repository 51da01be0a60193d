using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Tool.Building;

/// <summary>
/// How General American phones can stand for reference (Southern British) sounds. Several British sounds are offered for an
/// American one, each only with some spellings and places; the cheapest alignment picks. Source: docs/data.md (How it is built).
/// </summary>
public sealed class AmericanModel : IAlignmentModel
{
    private static readonly string[] Endings = ["s", "ing", "ings", "ed", "er", "ers", "est", "ly", "ful", "less", "ness", "ment", "ments", "able"];

    private readonly ILookup<string, Rendering> byLetters;
    private readonly Func<string, bool> isWord;
    private readonly Func<string, bool> isBath;
    private readonly double[] costs;

    /// <param name="isWord">True for a real word: what bases and compound parts are known by.</param>
    /// <param name="isBath">True for a word with the long a of bath.</param>
    public AmericanModel(Func<string, bool> isWord, Func<string, bool> isBath)
    {
        this.isWord = isWord;
        this.isBath = isBath;
        byLetters = Correspondence.All.Where(c => !c.IsBath).SelectMany(AmericanPhones.Renderings)
            .ToLookup(r => r.Correspondence.Grapheme.IsSplit ? r.Correspondence.Grapheme.Text[..1] : r.Correspondence.Grapheme.Text);
        costs = [.. Correspondence.All.Select(c => c.IsRegular ? 3.0 : 8.0)];
    }

    public IReadOnlyList<Rendering> RenderingsOf(string letters) => byLetters[letters] as IReadOnlyList<Rendering> ?? [.. byLetters[letters]];

    public double Cost(Correspondence correspondence) => costs[correspondence.Index];

    /// <summary>Prices each correspondence by how often it was used: one round of expectation–maximisation.</summary>
    public void Learn(IEnumerable<Segmentation> alignments)
    {
        var counts = Correspondence.All.Select(c => c.IsRegular ? 2.0 : 0.2).ToArray();
        foreach (var part in alignments.SelectMany(a => a.Parts)) counts[part.Index]++;
        var total = counts.Sum();
        for (var i = 0; i < counts.Length; i++) costs[i] = -Math.Log(counts[i] / total);
    }

    public bool MayCloseSplit(string letters, int end) => EndsPart(letters, end);

    public bool Allows(Rendering rendering, AlignmentSite site)
    {
        var grapheme = rendering.Correspondence.Grapheme.Text;
        var sounds = rendering.Correspondence.SoundText;
        var next = site.PhoneEnd < site.Phones.Length ? site.Phones[site.PhoneEnd] : "";
        var before = site.PhoneStart > 0 ? site.Phones[site.PhoneStart - 1] : "";
        var rest = site.Letters[site.LetterEnd..];
        var first = rendering.Phones.Length > 0 ? rendering.Phones[0] : "";
        var atEnd = rest.Length == 0;

        if (rendering.Phones.Length > 1 && rendering.Phones[^1] == "R" && AmericanPhones.IsVowel(next) && !BaseEndsHere(site)) return false;
        if (grapheme is "ed" or "es") return atEnd && BaseOf(site.Letters, grapheme) && (sounds != "ɪ+d" || before is "T" or "D");
        if (rest == "d" && grapheme.Length > 1 && grapheme[^1] == 'e' && BaseOf(site.Letters, "ed")) return false;
        if (grapheme.Length > 1 && grapheme[^1] == 'e' && !rendering.Correspondence.IsVowel && !MuteEMayStand(grapheme, site)) return false;
        return (grapheme, sounds) switch
        {
            (_, "r") => AmericanPhones.IsVowel(next),
            ("a", "ɑː") when first is "AE0" or "AE1" => first == "AE1" && isBath(site.Letters),
            ("a", "æ") when first == "AE1" && isBath(site.Letters) => false,
            ("a", "ɑː") => !AfterW(site) && !rest.StartsWith("ll", StringComparison.Ordinal),
            ("e", "ɪ") when first == "IH1" => next != "R",
            ("u", "ə") when first == "AH0" && site.LetterStart == 0 => false,
            ("a", "ɒ") => AfterW(site) && rest is not (['k' or 'g' or 'x' or 'c', ..] or ['n', 'g', ..] or "ll" or "lls" or ['l', not 'l', ..]),
            ("e", "iː") when next == "R" => false,
            ("a" or "ai", "e") when next == "R" => false,
            ("a", "ɔː") => (rest is ['l', ..] && !(AfterW(site) && rest is ['l', 'l', 'e' or 'o', ..])) || rest.StartsWith("ter", StringComparison.Ordinal),
            ("a", "æ") when first == "EH1" => next == "R" && !(rest is "ring" or "ry" or "rer" && isWord(site.Letters[..site.LetterEnd] + "re")),
            ("a", "eə") or ("e", "ɪə") or ("e", "eə") or ("u", "j+ʊə") or ("u", "ʊə") or ("o", "ɔː") => next == "R" && rest is ['r', ..],
            ("o", "ɒ") when next == "R" => !(rest is "ry" or "ries" or "ried"),
            ("o", "ə") when first == "OW0" => !atEnd,
            ("e", "iː") when first == "IY0" => atEnd || AmericanPhones.IsVowel(next),
            (_, "ʌ") when first == "AH0" => site.LetterStart == 0 || site.Phones.Count(AmericanPhones.IsVowel) == 1,
            (_, "ʌ") when first == "ER1" => rest.StartsWith("rr", StringComparison.Ordinal),
            ("al", "ɔː") => rest is ['k', ..],
            ("al", "ɑː") => rest is ['m' or 'f' or 'v', ..],
            ("n", "ŋ") => next is "K" or "G",
            ("le", "ə+l") => EndsPart(site.Letters, site.LetterEnd),
            ("u" or "u-e" or "ue" or "ew" or "eu", "j+uː") when first is "UW1" or "UW0" => before is "T" or "D" or "N",
            ("u" or "u-e" or "ue" or "ew" or "eu", "uː") => before is not ("T" or "D" or "N"),
            ("ge" or "ce", _) when rest is ['o' or 'a', ..] => true,
            ("m", "ə+m") => atEnd && before is "Z" or "DH",
            ("t", "tʃ") => rest is ['u', ..],
            ("ti", "ʃ") or ("ci", "ʃ") or ("si", _) => !atEnd,
            ("y", "ɪ") when atEnd => false,
            _ => true,
        };
    }

    /// <summary>True at the end of the letters, before a final s, or where a known base ends and a word or suffix follows.</summary>
    private bool EndsPart(string letters, int end)
    {
        var rest = letters[end..];
        if (rest.Length == 0 || rest == "s") return true;
        return isWord(letters[..end]) && (rest is "ly" or "ful" or "fully" or "less" or "ness" or "ment" or "ments" or "some" || (rest.Length >= 3 && isWord(rest) && end >= 3));
    }

    private bool MuteEMayStand(string grapheme, AlignmentSite site) =>
        EndsPart(site.Letters, site.LetterEnd) || (grapheme is "ge" or "ce" && site.Letters[site.LetterEnd] is 'o' or 'a');

    /// <summary>Before a vowel an r-coloured vowel keeps its r only where a base ends: hear|ing, not sur|gery.</summary>
    private bool BaseEndsHere(AlignmentSite site) =>
        site.LetterEnd >= 3
        && (Endings.Contains(site.Letters[site.LetterEnd..]) || (site.Letters[site.LetterEnd..] == "y" && site.LetterEnd - site.LetterStart == 3))
        && (isWord(site.Letters[..site.LetterEnd]) || isWord(site.Letters[..site.LetterEnd] + "e"));

    private bool BaseOf(string letters, string suffix)
    {
        var stem = letters[..^2];
        return stem.Length >= 2 && (isWord(stem) || isWord(stem + "e") || (stem[^1] == 'i' && isWord(stem[..^1] + "y")) || (stem.Length > 2 && stem[^1] == stem[^2] && isWord(stem[..^1])))
            && (suffix != "es" || stem[^1] is 's' or 'x' or 'z' or 'h' or 'c' or 'g');
    }

    private static bool AfterW(AlignmentSite site)
    {
        var before = site.Letters[..site.LetterStart];
        return before is [.., 'w'] or [.., 'w', 'h'] or [.., 'q', 'u'];
    }
}
