using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Tool.Building;

/// <summary>
/// The table from reference sounds to the phones of the American source. ER is read as a vowel and an R, so that the R
/// can belong to the vowel's grapheme (bird) or stand alone before a vowel (camera). Stress 2 counts as 1.
/// </summary>
public static class AmericanPhones
{
    private static readonly Dictionary<string, string> Consonants = new()
    {
        ["p"] = "P",
        ["b"] = "B",
        ["t"] = "T",
        ["d"] = "D",
        ["k"] = "K",
        ["g"] = "G",
        ["f"] = "F",
        ["v"] = "V",
        ["θ"] = "TH",
        ["ð"] = "DH",
        ["s"] = "S",
        ["z"] = "Z",
        ["ʃ"] = "SH",
        ["ʒ"] = "ZH",
        ["h"] = "HH",
        ["tʃ"] = "CH",
        ["dʒ"] = "JH",
        ["m"] = "M",
        ["n"] = "N",
        ["ŋ"] = "NG",
        ["l"] = "L",
        ["r"] = "R",
        ["w"] = "W",
        ["j"] = "Y",
    };

    private static readonly Dictionary<string, string[]> Vowels = new()
    {
        ["æ"] = ["AE0", "AE1"],
        ["e"] = ["EH0", "EH1"],
        ["ɪ"] = ["IH0", "IH1"],
        ["ɒ"] = ["AA0", "AA1", "AO0", "AO1"],
        ["ʌ"] = ["AH1", "AH0", "ER1"],
        ["ʊ"] = ["UH0", "UH1"],
        ["ə"] = ["AH0", "IH0", "UH0", "AE0"],
        ["iː"] = ["IY0", "IY1"],
        ["eɪ"] = ["EY0", "EY1"],
        ["aɪ"] = ["AY0", "AY1"],
        ["əʊ"] = ["OW0", "OW1"],
        ["uː"] = ["UW0", "UW1"],
        ["ɔɪ"] = ["OY0", "OY1"],
        ["aʊ"] = ["AW0", "AW1"],
        ["ɑː"] = ["AA0", "AA1", "AE0", "AE1"],
        ["ɔː"] = ["AO0", "AO1", "AA1"],
        ["ɜː"] = ["ER1"],
        ["ɪə"] = ["IH1", "IY1", "IY1 AH0", "IH0"],
        ["eə"] = ["EH1", "AE1", "EH0"],
        ["ʊə"] = ["UH1", "UH0"],
        ["ə+l"] = ["AH0 L"],
        ["ə+m"] = ["AH0 M"],
        ["ə+v"] = ["AH0 V"],
        ["e+f"] = ["UW0"],
        ["ɪ+d"] = ["AH0 D", "IH0 D"],
        ["ɪ+z"] = ["AH0 Z", "IH0 Z"],
        ["aɪ+ə"] = ["AY1", "AY1 AH0", "AY0"],
        ["aʊ+ə"] = ["AW1", "AW1 AH0"],
        ["j+uː"] = ["Y UW1", "Y UW0", "Y UH0", "Y AH0", "UW1", "UW0"],
        ["j+ʊə"] = ["Y UH1", "Y UH0"],
        ["j+ə"] = ["Y AH0"],
        ["w+ʌ"] = ["W AH1", "W AH0"],
        ["w+ɑː"] = ["W AA1", "W AA0"],
    };

    /// <summary>More phones for one spelling of a sound.</summary>
    private static readonly Dictionary<string, string[]> Extra = new()
    {
        ["wh=w"] = ["W", "HH W"],
        ["a=æ"] = ["EH1"],
        ["a=ɒ"] = ["AH1", "AH0"],
        ["a=ɪ"] = ["AH0"],
        ["ai=ɪ"] = ["AH0"],
        ["e=ɪ"] = ["AH0", "IY0", "EH0"],
        ["re=ə"] = ["AH0"],
        ["o=ʌ"] = ["ER1"],
        ["i=ɪ"] = ["AH0"],
        ["y=ɪ"] = ["AH0"],
        ["ei=ɪ"] = ["AH0"],
        ["ui=ɪ"] = ["AH0"],
        ["ir=ɜː"] = ["AH0"],
        ["u=ɪ"] = ["AH0"],
        ["e=ɒ"] = ["AA1", "AO1"],
        ["or=ɔː"] = ["OW1"],
        ["ore=ɔː"] = ["OW1"],
        ["oar=ɔː"] = ["OW1"],
        ["our=ɔː"] = ["OW1", "UH1"],
        ["oor=ɔː"] = ["UH1", "UW1"],
        ["ure=ɔː"] = ["UH1", "ER1"],
        ["ure=j+ʊə"] = ["Y ER1"],
        ["u=j+ʊə"] = ["Y ER1"],
        ["or=ə"] = ["AO0"],
        ["i=iː"] = ["Y"],
        ["i=aɪ"] = ["AH0", "IH0"],
        ["i-e=aɪ"] = ["AH0", "IH0"],
        ["a=ə"] = ["EH0", "EH1"],
        ["o=ə"] = ["AO1", "OW1"],
        ["u=uː"] = ["AH0 W", "AH0"],
        ["u=j+uː"] = ["Y AH0 W"],
    };

    public static bool IsVowel(string phone) => phone.Length > 0 && char.IsAsciiDigit(phone[^1]);

    /// <summary>
    /// The phones of a pronunciation line, ER opened up and stress 2 read as 1; but the weak e of report, right before
    /// the stress, stays weak.
    /// </summary>
    public static ImmutableArray<string> Read(string line)
    {
        var phones = line.Split(' ');
        for (var i = 0; i < phones.Length; i++)
        {
            if (phones[i] == "IY2" && phones.Skip(i + 1).FirstOrDefault(IsVowel) is [.., '1'])
                phones[i] = "IY0";
        }
        return
        [
            .. phones
                .Select(p => p.Replace('2', '1'))
                .SelectMany(p =>
                    p switch
                    {
                        "ER0" => ["AH0", "R"],
                        "ER1" => ["ER1", "R"],
                        _ => new[] { p },
                    }
                ),
        ];
    }

    public static IEnumerable<Rendering> Renderings(Correspondence correspondence)
    {
        var keepsR = correspondence.IsVowel && correspondence.Grapheme.Letters.Contains('r', StringComparison.Ordinal);
        return Phones(correspondence)
            .Distinct()
            .Select(p => new Rendering(correspondence, [.. p.Split(' '), .. keepsR ? ["R"] : Array.Empty<string>()]));
    }

    private static IEnumerable<string> Phones(Correspondence correspondence)
    {
        var whole = Vowels.TryGetValue(correspondence.SoundText, out var vowels)
            ? vowels
            : [string.Join(' ', correspondence.Sounds.Select(s => Consonants[s.Symbol]))];
        return whole.Concat(Extra.GetValueOrDefault(correspondence.Notation, []));
    }
}
