using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Tool.Building;

/// <summary>
/// How General American phones can stand for reference (Southern British) sounds. Several British sounds are offered
/// for an American one, each only with some spellings and places; the cheapest alignment picks. Source: docs/data.md
/// (How it is built).
/// </summary>
public sealed class AmericanModel : IAlignmentModel
{
    private static readonly string[] Endings =
    [
        "s",
        "ing",
        "ings",
        "ed",
        "er",
        "ers",
        "est",
        "ly",
        "ful",
        "less",
        "ness",
        "ment",
        "ments",
        "able",
    ];

    private static readonly string[] Prefixes =
    [
        "un",
        "re",
        "de",
        "in",
        "im",
        "mis",
        "dis",
        "over",
        "under",
        "out",
        "inter",
        "pre",
        "non",
        "be",
        "up",
    ];

    private readonly ILookup<string, Rendering> byLetters;
    private readonly Func<string, bool> isWord;
    private readonly Func<string, bool> isBase;
    private readonly Func<string, bool> isBath;
    private readonly Func<string, string, bool> isForm;
    private readonly Func<string, bool> isOneWord;
    private readonly double[] costs;

    /// <param name="isWord">True for a real word: what bases and compound parts are known by.</param>
    /// <param name="isBase">True for a word that -ed and -es may be added to, however rare.</param>
    /// <param name="isBath">True for a word with the long a of bath.</param>
    /// <param name="isForm">True for a word that a dictionary makes from that base: agreed from agree, but not need
    /// from nee.</param>
    /// <param name="isOneWord">True for a word that only looks like two: macerate is not mace and rate.</param>
    public AmericanModel(
        Func<string, bool> isWord,
        Func<string, bool> isBase,
        Func<string, bool> isBath,
        Func<string, string, bool> isForm,
        Func<string, bool> isOneWord
    )
    {
        this.isForm = isForm;
        this.isOneWord = isOneWord;
        this.isWord = isWord;
        this.isBase = isBase;
        this.isBath = isBath;
        byLetters = Correspondence
            .All.Where(c => !c.IsBath)
            .SelectMany(AmericanPhones.Renderings)
            .ToLookup(r =>
                r.Correspondence.Grapheme.IsSplit ? r.Correspondence.Grapheme.Text[..1] : r.Correspondence.Grapheme.Text
            );
        costs = [.. Correspondence.All.Select(c => c.IsRegular ? 3.0 : 8.0)];
    }

    public IReadOnlyList<Rendering> RenderingsOf(string letters) =>
        byLetters[letters] as IReadOnlyList<Rendering> ?? [.. byLetters[letters]];

    public double Cost(Correspondence correspondence) => costs[correspondence.Index];

    /// <summary>Prices each correspondence by how often it was used: one round of expectation–maximisation.</summary>
    public void Learn(IEnumerable<Segmentation> alignments)
    {
        var counts = Correspondence.All.Select(c => c.IsRegular ? 2.0 : 0.2).ToArray();
        foreach (var part in alignments.SelectMany(a => a.Parts))
            counts[part.Index]++;
        var total = counts.Sum();
        for (var i = 0; i < counts.Length; i++)
            costs[i] = -Math.Log(counts[i] / total);
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

        if (
            rendering.Phones.Length > 1
            && rendering.Phones[^1] == "R"
            && AmericanPhones.IsVowel(next)
            && !BaseEndsHere(site)
        )
            return false;
        if (grapheme == "ed" && sounds == "ɪ+d")
            return atEnd && before is "T" or "D";
        if (grapheme is "ed" or "es")
            return atEnd && BaseOf(site.Letters, grapheme);
        if (grapheme == "e" && rest == "d" && before is "T" or "D" && first is "AH0" or "IH0")
            return false;
        if (
            grapheme == "y"
            && sounds == "ɪ"
            && site.Letters.StartsWith("ps", StringComparison.Ordinal)
            && site.LetterStart == 2
        )
            return false;
        if (rest == "d" && grapheme.Length > 1 && grapheme[^1] == 'e' && BaseOf(site.Letters, "ed"))
            return false;
        if (
            grapheme.Length > 1
            && grapheme[^1] == 'e'
            && !rendering.Correspondence.IsVowel
            && !MuteEMayStand(grapheme, site)
        )
            return false;
        if (
            grapheme.Length == 2
            && grapheme[1] == 'e'
            && !rendering.Correspondence.IsVowel
            && LongVowelStandsBefore(site)
        )
            return false;
        return (grapheme, sounds) switch
        {
            ("gu", _) => !(rest is ['e', ..] && EndsPart(site.Letters, site.LetterEnd + 1)),
            (_, "r") => AmericanPhones.IsVowel(next),
            ("a", "ɑː") when first is "AE0" or "AE1" => first == "AE1" && isBath(site.Letters),
            ("a", "æ") when first == "AE1" && isBath(site.Letters) => false,
            ("a", "ɑː") => !AfterW(site) && !rest.StartsWith("ll", StringComparison.Ordinal),
            ("e", "ɪ") when first == "IH1" => next != "R",
            ("u", "ə") when first == "AH0" && (site.LetterStart == 0 || IsFullAfterAffricate(before, next)) => false,
            ("u", "uː") when rendering.Phones is ["AH0"] => IsFullAfterAffricate(before, next),
            ("a", "ɒ") => AfterW(site)
                && rest
                    is not (
                        ['k' or 'g' or 'x' or 'c', ..]
                        or ['n', 'g', ..]
                        or "ll"
                        or "lls"
                        or ['l', not ('l' or 'a' or 'e' or 'i' or 'o' or 'u'), ..]
                        or ['t', 'e', 'r', ..]
                    ),
            ("e", "iː") when next == "R" => false,
            ("a" or "ai", "e") when next == "R" => false,
            ("i", _) when rest.StartsWith("ew", StringComparison.Ordinal) && next == "UW1" && first == "Y" => false,
            ("a" or "e" or "o", "ə") when first is "EH0" or "EH1" or "AO1" or "OW1" => IsWeakEnding(site),
            ("a", "ə") when first == "AE0" => site.LetterStart == 0 && rest is ['d', ..] or ['c', 'c', ..],
            ("a", "æ") when first == "AE0" => !(site.LetterStart == 0 && rest is ['d', ..] or ['c', 'c', ..]),
            ("a", "æ") when next == "R" && IsLongBeforeR(rest) => false,
            ("o", "ɒ") when next == "R" => !(rest is "ry" or "ries" or "ried" || IsLongBeforeR(rest)),
            ("i-e", "aɪ") when first is "AH0" or "IH0" => rest is "le" or "les",
            ("i", "ɪ" or "ə") when rest is "le" or "les" => false,
            ("au", "ɑː") => rest.StartsWith("gh", StringComparison.Ordinal)
                || rest.StartsWith("nt", StringComparison.Ordinal),
            ("a" or "e" or "o", "æ" or "e" or "eə" or "ɔː" or "əʊ") when IsWeakEnding(site) => false,
            ("ai" or "aire" or "ay", "eə") => next == "R" || grapheme == "aire",
            ("i", "aɪ") when first is "AH0" or "IH0" => rest.StartsWith("sation", StringComparison.Ordinal)
                || rest.StartsWith("zation", StringComparison.Ordinal),
            ("i", "ɪ" or "ə")
                when rest.StartsWith("sation", StringComparison.Ordinal)
                    || rest.StartsWith("zation", StringComparison.Ordinal) => false,
            ("i", "aɪ") when next == "R" && rest is "ring" or "rings" or "rer" => !isWord(
                site.Letters[..site.LetterEnd] + "re"
            ),
            ("i", "iː") when first == "Y" => !IsGlide(site),
            ("all", "l") => rest == "y" && site.Letters[..site.LetterStart].EndsWith("ic", StringComparison.Ordinal),
            ("a", "ɔː") => (
                rest is ['l', ..]
                && !(rest.Length > 1 && "aeiouy".Contains(rest[1], StringComparison.Ordinal))
                && !(AfterW(site) && rest is ['l', 'l', 'e' or 'o', ..])
            ) || rest.StartsWith("ter", StringComparison.Ordinal),
            ("a", "æ") when first == "EH1" => next == "R"
                && rest is not ("ry" or "ries")
                && !(rest is "ring" or "rer" && isWord(site.Letters[..site.LetterEnd] + "re")),
            ("a", "eə") or ("e", "ɪə") or ("e", "eə") or ("u", "j+ʊə") or ("u", "ʊə") or ("o", "ɔː") => next == "R"
                && rest is ['r', ..],
            ("e", "ɪ") when first == "EH0" => site.LetterStart == 0 && rest is ['m' or 'n' or 'x', ..],
            ("e", "e") when first == "EH0" => !(site.LetterStart == 0 && rest is ['m' or 'n' or 'x', ..]),
            ("i", "j") => IsGlide(site),
            ("c", "k") when rest is ['c', 'e' or 'i' or 'y', ..] => false,
            ("re", "ə") => atEnd || rest == "s",
            ("e", "iː") when first == "IY0" => atEnd || AmericanPhones.IsVowel(next),
            (_, "ʌ") when first == "AH0" => site.LetterStart == 0 || site.Phones.Count(AmericanPhones.IsVowel) == 1,
            (_, "ʌ") when first == "ER1" => rest.StartsWith("rr", StringComparison.Ordinal),
            ("al", "ɔː") => rest is ['k', ..],
            ("al", "ɑː") => rest is ['m' or 'f' or 'v', ..],
            ("n", "ŋ") => next is "K" or "G",
            ("l", "ə+l") => rest == "ed",
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

    /// <summary>
    /// True at the end of the letters, before a final s, or where a known base ends and a word or suffix follows.
    /// </summary>
    private bool EndsPart(string letters, int end)
    {
        var rest = letters[end..];
        if (rest.Length == 0 || rest == "s")
            return true;
        return isWord(letters[..end])
            && (
                rest is "ly" or "ful" or "fully" or "less" or "ness" or "ment" or "ments" or "some"
                || (rest.Length >= 3 && isWord(rest) && end >= 3 && !isOneWord(letters))
            );
    }

    private bool MuteEMayStand(string grapheme, AlignmentSite site) =>
        EndsPart(site.Letters, site.LetterEnd)
        || (grapheme is "ge" or "ce" && site.Letters[site.LetterEnd] is 'o' or 'a');

    /// <summary>
    /// Before a vowel an r-coloured vowel keeps its r only where a base ends: hear|ing, not sur|gery.
    /// </summary>
    private bool BaseEndsHere(AlignmentSite site) =>
        site.LetterEnd >= 3
        && (
            Endings.Contains(site.Letters[site.LetterEnd..])
            || (site.Letters[site.LetterEnd..] == "y" && site.LetterEnd - site.LetterStart == 3)
        )
        && (isWord(site.Letters[..site.LetterEnd]) || isWord(site.Letters[..site.LetterEnd] + "e"));

    /// <summary>
    /// True after a single vowel letter that says its long name: the e that follows belongs to a split digraph (eve,
    /// not have).
    /// </summary>
    private static bool LongVowelStandsBefore(AlignmentSite site)
    {
        if (
            site.LetterStart == 0
            || site.PhoneStart == 0
            || (site.LetterStart > 1 && "aeiou".Contains(site.Letters[site.LetterStart - 2], StringComparison.Ordinal))
        )
            return false;
        return (site.Letters[site.LetterStart - 1], site.Phones[site.PhoneStart - 1])
            is
                ('a', "EY1")
                or
                ('e', "IY1")
                or
                ('i' or 'y', "AY1")
                or
                ('o', "OW1")
                or
                ('u', "UW1");
    }

    /// <summary>
    /// A vowel before r is long where i and another vowel follow (glorious, librarian), and in parent, flora, chorus.
    /// </summary>
    private static bool IsLongBeforeR(string rest) =>
        (
            rest.Length > 2
            && rest.StartsWith("ri", StringComparison.Ordinal)
            && "aou".Contains(rest[2], StringComparison.Ordinal)
        )
        || rest is "ra" or "ras" or "rus" or "rum"
        || rest.StartsWith("rent", StringComparison.Ordinal);

    /// <summary>
    /// In -ary, -ery, -ory and -mony after the stress, the vowel is weak in Britain (military, territory).
    /// </summary>
    private static bool IsWeakEnding(AlignmentSite site)
    {
        var rest = site.Letters[site.LetterEnd..];
        var ending =
            rest is "ry" or "ries" or "rily"
            || (
                site.Letters[site.LetterStart] == 'o'
                && rest is "ny" or "nies"
                && site.Letters[..site.LetterStart].EndsWith('m')
            );
        return ending && site.Phones.Take(site.PhoneStart).Any(p => p[^1] == '1');
    }

    /// <summary>
    /// The i of onion and million is the sound j; elsewhere (senior, view) the source's glide is a vowel or belongs to
    /// the next grapheme.
    /// </summary>
    private static bool IsGlide(AlignmentSite site)
    {
        var rest = site.Letters[site.LetterEnd..];
        return rest.StartsWith("on", StringComparison.Ordinal) || rest.StartsWith("ant", StringComparison.Ordinal);
    }

    /// <summary>educate and congratulate keep a full u in Britain; century and fortunate don't.</summary>
    private static bool IsFullAfterAffricate(string before, string next) =>
        before is "CH" or "JH" && next is "L" or "K" or "T";

    private bool BaseOf(string letters, string suffix)
    {
        var stem = letters[..^2];
        return stem.Length >= 2
            && (
                IsBase(stem)
                || (stem[^1] == 'e' ? isForm(letters, stem + "e") : IsBase(stem + "e"))
                || (stem[^1] == 'i' && IsBase(stem[..^1] + "y"))
                || (stem.Length > 2 && stem[^1] == stem[^2] && IsBase(stem[..^1]))
            )
            && (suffix != "es" || stem[^1] is 's' or 'x' or 'z' or 'h' or 'c' or 'g');
    }

    /// <summary>A word, or one with a prefix or another word before it (unclenched, paintbrushes).</summary>
    private bool IsBase(string letters) =>
        isBase(letters)
        || Enumerable
            .Range(2, Math.Max(0, letters.Length - 4))
            .Any(cut =>
                isWord(letters[cut..]) && (Prefixes.Contains(letters[..cut]) || (cut >= 3 && isWord(letters[..cut])))
            );

    private static bool AfterW(AlignmentSite site)
    {
        var before = site.Letters[..site.LetterStart];
        return before is [.., 'w'] or [.., 'w', 'h'] or [.., 'q', 'u'];
    }
}
