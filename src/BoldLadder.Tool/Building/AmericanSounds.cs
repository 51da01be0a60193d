using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>
/// What an American says for each grapheme of a word whose segmentation is settled: the phones of the source laid over
/// the graphemes.
/// Only what a listener would notice counts as different from the accent's projection: another consonant, another
/// stressed vowel.
/// Source: docs/data.md (How it is built).
/// </summary>
public static class AmericanSounds
{
    private const double Strange = 6;
    private const int MostPhones = 4;

    private static readonly Dictionary<string, string> Symbols = new()
    {
        ["P"] = "p",
        ["B"] = "b",
        ["T"] = "t",
        ["D"] = "d",
        ["K"] = "k",
        ["G"] = "g",
        ["F"] = "f",
        ["V"] = "v",
        ["TH"] = "θ",
        ["DH"] = "ð",
        ["S"] = "s",
        ["Z"] = "z",
        ["SH"] = "ʃ",
        ["ZH"] = "ʒ",
        ["HH"] = "h",
        ["CH"] = "tʃ",
        ["JH"] = "dʒ",
        ["M"] = "m",
        ["N"] = "n",
        ["NG"] = "ŋ",
        ["L"] = "l",
        ["R"] = "r",
        ["W"] = "w",
        ["Y"] = "j",
        ["AA"] = "ɑː",
        ["AE"] = "æ",
        ["AH"] = "ʌ",
        ["AO"] = "ɔː",
        ["AW"] = "aʊ",
        ["AY"] = "aɪ",
        ["EH"] = "e",
        ["ER"] = "ɜː",
        ["EY"] = "eɪ",
        ["IH"] = "ɪ",
        ["IY"] = "iː",
        ["OW"] = "əʊ",
        ["OY"] = "ɔɪ",
        ["UH"] = "ʊ",
        ["UW"] = "uː",
    };

    /// <summary>
    /// The sounds of each grapheme, or default when they are what the accent's projection gives, or the phones don't
    /// fit.
    /// </summary>
    public static ImmutableArray<string> Of(Word word, ImmutableArray<string> phones)
    {
        var parts = word.Required;
        var spans = Lay(parts, phones);
        if (spans is null)
            return default;
        var sounds = parts
            .Select((part, i) => Said(part, phones.AsSpan()[spans[i].Start..spans[i].End]))
            .ToImmutableArray();
        return sounds.SequenceEqual(parts.Select(Accent.GeneralAmerican.Project)) ? default : sounds;
    }

    /// <summary>True when a short o of the reference has a long vowel in America (dog, cross).</summary>
    public static bool IsCloth(Segmentation segmentation, ImmutableArray<string> phones) =>
        Lay(segmentation.Parts, phones) is { } spans
        && segmentation
            .Parts.Where((p, i) => p.SoundText == "ɒ" && phones[spans[i].Start..spans[i].End].Contains("AO1"))
            .Any();

    private static (int Start, int End)[]? Lay(ImmutableArray<Correspondence> parts, ImmutableArray<string> phones)
    {
        var best = new double[parts.Length + 1, phones.Length + 1];
        var taken = new int[parts.Length + 1, phones.Length + 1];
        for (var i = 0; i <= parts.Length; i++)
        {
            for (var j = 0; j <= phones.Length; j++)
                best[i, j] = i == 0 && j == 0 ? 0 : double.PositiveInfinity;
        }
        for (var i = 1; i <= parts.Length; i++)
        {
            for (var j = 0; j <= phones.Length; j++)
            {
                for (var n = 0; n <= Math.Min(MostPhones, j); n++)
                {
                    var cost = best[i - 1, j - n] + Cost(parts[i - 1], phones.AsSpan()[(j - n)..j]);
                    if (cost >= best[i, j])
                        continue;
                    best[i, j] = cost;
                    taken[i, j] = n;
                }
            }
        }
        if (best[parts.Length, phones.Length] >= Strange * 1.5)
            return null;
        var spans = new (int, int)[parts.Length];
        for (var (i, j) = (parts.Length, phones.Length); i > 0; i--)
        {
            spans[i - 1] = (j - taken[i, j], j);
            j -= taken[i, j];
        }
        return spans;
    }

    /// <summary>
    /// Nothing for what the correspondence is known to be said as, a little for another vowel, much for what can't be.
    /// </summary>
    private static double Cost(Correspondence part, ReadOnlySpan<string> phones)
    {
        foreach (var rendering in AmericanPhones.Renderings(part))
        {
            if (phones.SequenceEqual(rendering.Phones.AsSpan()))
                return 0;
        }
        if (phones.Length == 0)
            return part.SoundText is "j" or "ə" ? 2 : Strange * 2;
        var vowels = 0;
        foreach (var phone in phones)
        {
            if (AmericanPhones.IsVowel(phone))
                vowels++;
            else if (part.IsVowel && phone is not ("R" or "Y" or "W"))
                return Strange * 2;
        }
        if (!part.IsVowel)
            return vowels == 0 && phones.Length == part.Sounds.Length ? 2 : Strange * 2;
        var endsWithR = phones[^1] == "R";
        return vowels is 1 or 2 && endsWithR == part.KeepsR
            ? 1 + phones.Length - vowels - (endsWithR ? 1 : 0)
            : Strange * 2;
    }

    private static string Said(Correspondence part, ReadOnlySpan<string> phones)
    {
        var projected = Accent.GeneralAmerican.Project(part);
        if (phones.Length == 0)
            return projected;
        var (vowel, stressed) = ("", false);
        foreach (var phone in phones)
        {
            if (!AmericanPhones.IsVowel(phone))
                continue;
            vowel = phone[..^1];
            stressed |= phone[^1] == '1';
        }
        if (phones is ["D"] && part.SoundText == "t")
            return projected; // the source writes the flap of thirty so
        if (vowel.Length == 0)
            return string.Join('+', phones.ToArray().Select(p => Symbols[p]));
        if (!stressed && phones.Length == 1 && vowel is not ("OW" or "EY" or "AY" or "IY" or "UW"))
            return projected;
        if (vowel is "AH" && !stressed)
            return projected;
        var written = (vowel, part.SoundText) switch
        {
            ("AA" or "AO", "ɒ" or "ɔː" or "ɑː" or "w+ɑː") => projected,
            ("AA", _) when part.Grapheme.Text[0] == 'o' => projected.Replace(
                part.SoundText,
                "ɒ",
                StringComparison.Ordinal
            ),
            ("IH" or "IY", "ɪə" or "ɪ" or "iː") when part.KeepsR || part.SoundText == "ɪə" => projected,
            ("IY", "ɪ") or ("IH", "iː") => stressed ? null : projected,
            ("OW", "ɔː") or ("ER", "ɜː") or ("UW" or "UH", "ɔː") when part.KeepsR && vowel != "UH" => projected,
            ("EH" or "AE", "æ" or "e" or "eə") when phones.Length > 1 || part.SoundText == "eə" => projected,
            ("EH", "æ") => projected,
            _ => null,
        };
        if (written is not null)
            return written;
        // A composite keeps its first half: j+uː said UW alone is uː, l after a weak vowel stays.
        return
            string.Join(
                '+',
                phones
                    .ToArray()
                    .Select(p =>
                        p == "AH0" ? "ə"
                        : AmericanPhones.IsVowel(p) ? Symbols[p[..^1]]
                        : Symbols[p]
                    )
            )
                is var plain
            && plain == "ə+l"
            ? projected
            : WithR(part, plain);
    }

    private static string WithR(Correspondence part, string sounds) =>
        part.KeepsR || !sounds.EndsWith("+r", StringComparison.Ordinal) ? sounds : sounds[..^2];
}
