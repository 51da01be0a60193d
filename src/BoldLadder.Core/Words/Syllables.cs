using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// Cuts a word into syllables as it is cut on a board: rab·bit, pa·per, rob·in, want·ed. A compound is cut where its
/// words meet, a suffix is cut from a base it leaves whole, doubled consonants are cut in the middle, a consonant after
/// a short vowel stays with it. Source: docs/handbook.md, sections 4 (Pattern) and 6 (cut a word into syllables).
/// </summary>
public static class Syllables
{
    private static readonly HashSet<string> Onsets =
    [
        "p r",
        "p l",
        "b r",
        "b l",
        "t r",
        "t w",
        "d r",
        "k r",
        "k l",
        "k w",
        "g r",
        "g l",
        "f r",
        "f l",
        "θ r",
        "θ w",
        "ʃ r",
        "s p",
        "s t",
        "s k",
        "s m",
        "s n",
        "s l",
        "s w",
        "s p r",
        "s p l",
        "s t r",
        "s k r",
        "s k w",
        "s k+w",
    ];

    /// <summary>Suffixes that are a syllable of their own and are cut from a base that stays whole.</summary>
    private const Patterns CutOff =
        Patterns.SuffixIng
        | Patterns.SuffixEst
        | Patterns.SuffixEr
        | Patterns.SuffixLy
        | Patterns.SuffixEs
        | Patterns.SuffixEd;

    /// <summary>The letters of each syllable; joined, they are the word.</summary>
    public static ImmutableArray<string> Of(Word word)
    {
        var segmentation = word.Segmentation;
        var starts = segmentation.LetterStarts();
        var cuts = new SortedSet<int>();
        var whole = WholePieces(word, starts);
        for (var piece = 0; piece + 1 < whole.Count; piece++)
        {
            if (piece > 0)
                cuts.Add(starts[whole[piece]]);
            AddCuts(segmentation.Parts, starts, whole[piece], whole[piece + 1], cuts);
        }
        var pieces = ImmutableArray.CreateBuilder<string>();
        var from = 0;
        foreach (var cut in cuts.Append(word.Spelling.Length))
        {
            pieces.Add(word.Spelling[from..cut]);
            from = cut;
        }
        return pieces.ToImmutable();
    }

    /// <summary>
    /// The places of the parts at which a piece of the word begins that is cut by itself, and the end.
    /// </summary>
    private static List<int> WholePieces(Word word, ImmutableArray<int> starts)
    {
        var parts = word.Segmentation.Parts;
        var begins = new List<int> { 0 };
        if (!word.Compound.IsEmpty && starts.IndexOf(word.Compound[0].Length) is var second and > 0)
            begins.Add(second);
        if (
            word.Suffix is { Join: Patterns.None } suffix
            && (suffix.Suffix & CutOff) != Patterns.None
            && parts[^suffix.Parts..].Any(p => p.IsVowel)
            && starts[^suffix.Parts] == suffix.Base.Length
        )
        {
            begins.Add(parts.Length - suffix.Parts);
        }
        begins.Add(parts.Length);
        return
        [
            .. begins.Where((b, i) => i == 0 || i == begins.Count - 1 || HasVowel(parts, begins[i - 1], b)).Distinct(),
        ];
    }

    private static bool HasVowel(ImmutableArray<Correspondence> parts, int from, int to) =>
        parts.AsSpan()[from..to].ToArray().Any(p => p.IsVowel);

    private static void AddCuts(
        ImmutableArray<Correspondence> parts,
        ImmutableArray<int> starts,
        int from,
        int to,
        SortedSet<int> cuts
    )
    {
        var last = -1;
        for (var i = from; i < to; i++)
        {
            if (!parts[i].IsVowel)
                continue;
            if (last >= 0)
                cuts.Add(Cut(parts, starts, last, i));
            last = i;
        }
    }

    /// <summary>The letter at which the syllable of the second vowel begins.</summary>
    private static int Cut(ImmutableArray<Correspondence> parts, ImmutableArray<int> starts, int vowel, int next)
    {
        // What a split digraph goes round stays before the cut, with its e.
        var first = parts[vowel].Grapheme.IsSplit
            ? Math.Min(
                next,
                vowel + (parts[vowel + 1].Grapheme.Text == "s" && parts[vowel + 2].Grapheme.Text == "t" ? 3 : 2)
            )
            : vowel + 1;
        var between = next - first;
        if (parts[next].Grapheme.Text == "le" && between > 0)
            return BeforeLe(parts, starts, first, next);
        if (between == 0)
            return starts[next];
        if (between == 1)
            return BetweenVowels(parts, starts, vowel, first, parts[..vowel].Any(p => p.IsVowel));
        var open =
            between == 2
            && !StaysClosed(parts[vowel])
            && !parts[vowel].Grapheme.IsSplit
            && parts[vowel].Notation != "a=ɑː";
        for (var cut = open ? first : first + 1; cut < next - 1; cut++)
        {
            if (Onsets.Contains(string.Join(' ', parts[cut..next].Select(p => p.SoundText))))
                return starts[cut];
        }
        return starts[next - 1];
    }

    /// <summary>
    /// One consonant grapheme takes the cut in its middle (rab·bit), after it (rob·in, tick·et, sing·er) or before it
    /// (pa·per, an·i·mal).
    /// </summary>
    /// <param name="later">True when it is not the first vowel: a later ɪ is mostly weak and lets the consonant
    /// go.</param>
    private static int BetweenVowels(
        ImmutableArray<Correspondence> parts,
        ImmutableArray<int> starts,
        int vowel,
        int consonant,
        bool later
    )
    {
        var part = parts[consonant];
        if (part.Grapheme.Kind == GraphemeKind.Double)
            return starts[consonant] + 1;
        var after = starts[consonant] + part.Grapheme.Text.Length;
        if (
            part.Grapheme.Text is "ck" or "ng" or "x" or "tch" or "dge"
            || part.Grapheme.Text is [.., 'e'] and { Length: > 1 }
        )
            return after;
        return StaysClosed(parts[vowel]) && !(later && parts[vowel].SoundText == "ɪ") ? after : starts[consonant];
    }

    /// <summary>
    /// -le takes the consonant before it: ta·ble, can·dle, bot·tle; but tick·le, since ck never begins.
    /// </summary>
    private static int BeforeLe(ImmutableArray<Correspondence> parts, ImmutableArray<int> starts, int first, int le)
    {
        var before = parts[le - 1];
        if (before.Grapheme.Kind == GraphemeKind.Double || before.Grapheme.Text == "st")
            return starts[le - 1] + 1;
        return before.Grapheme.Text == "ck" || le - 1 < first ? starts[le] : starts[le - 1];
    }

    /// <summary>A short vowel that is said in full keeps a consonant after it.</summary>
    private static bool StaysClosed(Correspondence vowel) =>
        vowel.SoundText is "æ" or "e" or "ɒ" or "ʌ" or "ʊ"
        || (vowel.SoundText == "ɪ" && vowel.Grapheme.Text is "i" or "y");
}
