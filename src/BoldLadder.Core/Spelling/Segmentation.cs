using System.Collections.Immutable;
using System.Runtime.InteropServices;

namespace BoldLadder.Core.Spelling;

/// <summary>
/// A word as an ordered list of correspondences: sheep = sh|ee|p, cake = c|a-e|k. Re-joining gives the word back.
/// Source: docs/handbook.md, section 4; conventions in docs/data.md.
/// </summary>
public sealed record Segmentation(ImmutableArray<Correspondence> Parts)
{
    /// <summary>What is written after a sound whose r is heard.</summary>
    internal const string LinkingR = "+r";

    /// <summary>
    /// True where a vowel grapheme with r stands before a vowel: its r is heard in every accent (hear, but hearing).
    /// The correspondence stays the base's.
    /// Source: docs/data.md (Conventions).
    /// </summary>
    internal static bool Links(ImmutableArray<Correspondence> parts, int at) =>
        at + 1 < parts.Length && parts[at].LinksR && parts[at + 1].IsVowel;

    /// <summary>Graphemes joined by "|", in word order; a split digraph stands where its first letter does.</summary>
    public string Graphemes => string.Join('|', Parts.Select(p => p.Grapheme.Text));

    /// <summary>
    /// Sounds joined by "|" for each grapheme, "+" inside one; an r that links is written: hearing is h|ɪə+r|ɪ|ŋ.
    /// </summary>
    public string Phonemes =>
        string.Join('|', Parts.Select((p, i) => Links(Parts, i) ? p.SoundText + LinkingR : p.SoundText));

    /// <summary>One tap for each grapheme or r-coloured vowel (box 3, few 2).</summary>
    public int Taps => Parts.Length;

    /// <summary>How many sounds are heard (box 4, few 3, hearing 5).</summary>
    public int SoundCount
    {
        get
        {
            var count = 0;
            for (var i = 0; i < Parts.Length; i++)
                count += Parts[i].Sounds.Length + (Links(Parts, i) ? 1 : 0);
            return count;
        }
    }

    /// <summary>The consonant–vowel pattern in taps: box and quick are CVC.</summary>
    public string Shape => string.Concat(Parts.Select(p => p.IsVowel ? 'V' : 'C'));

    /// <summary>How many vowels are heard: the number of syllables.</summary>
    public int Syllables
    {
        get
        {
            var count = 0;
            foreach (var part in Parts)
                count += part.IsVowel ? 1 : 0;
            return count;
        }
    }

    /// <summary>Reads the two columns of a lexicon row.</summary>
    /// <exception cref="FormatException">A pair is not in the inventory, or the columns have different
    /// lengths.</exception>
    public static Segmentation Parse(ReadOnlySpan<char> graphemes, ReadOnlySpan<char> phonemes)
    {
        var length = graphemes.Count('|') + 1;
        if (length != phonemes.Count('|') + 1)
            throw new FormatException($"{graphemes} and {phonemes} have different numbers of parts.");
        var parts = new Correspondence[length];
        var sounds = phonemes.Split('|');
        var at = 0;
        foreach (var grapheme in graphemes.Split('|'))
        {
            sounds.MoveNext();
            var sound = phonemes[sounds.Current];
            var heard = sound.EndsWith(LinkingR, StringComparison.Ordinal) ? sound[..^LinkingR.Length] : sound;
            parts[at++] = Correspondence.Find(graphemes[grapheme], sound)
                ?? Correspondence.Find(graphemes[grapheme], heard)
                ?? Correspondence.Parse($"{graphemes[grapheme]}={sound}");
        }
        return new Segmentation(ImmutableCollectionsMarshal.AsImmutableArray(parts));
    }

    /// <summary>Reads <c>graphemes=phonemes</c>, as a further reading is written.</summary>
    /// <exception cref="FormatException">As <see cref="Parse"/>.</exception>
    public static Segmentation ParsePair(string pair)
    {
        var cut = pair.IndexOf('=', StringComparison.Ordinal);
        return cut < 0
            ? throw new FormatException($"\"{pair}\" is not graphemes=phonemes.")
            : Parse(pair.AsSpan()[..cut], pair.AsSpan()[(cut + 1)..]);
    }

    /// <summary>
    /// The word: the last letter of a split digraph comes after the consonant grapheme it goes round (or st).
    /// </summary>
    public string Rejoin() => string.Concat(Letters().Select(l => l.Letter));

    /// <summary>
    /// Each letter of the word with the place of its correspondence in <see cref="Parts"/>: what sound marks are drawn
    /// from.
    /// </summary>
    public ImmutableArray<(char Letter, int Part)> Letters()
    {
        var letters = ImmutableArray.CreateBuilder<(char, int)>();
        var open = -1;
        for (var i = 0; i < Parts.Length; i++)
        {
            var grapheme = Parts[i].Grapheme;
            if (grapheme.IsSplit)
            {
                letters.Add((grapheme.Text[0], i));
                open = i;
                continue;
            }
            foreach (var letter in grapheme.Text)
                letters.Add((letter, i));
            if (open < 0 || StaysOpen(i))
                continue;
            letters.Add((Parts[open].Grapheme.Text[2], open));
            open = -1;
        }
        return letters.ToImmutable();
    }

    /// <summary>For each part the place of its first letter in the word.</summary>
    public ImmutableArray<int> LetterStarts()
    {
        var starts = new int[Parts.Length];
        var letters = Letters();
        for (var i = letters.Length - 1; i >= 0; i--)
            starts[letters[i].Part] = i;
        return ImmutableCollectionsMarshal.AsImmutableArray(starts);
    }

    /// <summary>True when the s of st comes first inside a split digraph: taste, but not tastes again.</summary>
    private bool StaysOpen(int part) =>
        Parts[part].Grapheme.Text == "s"
        && part + 1 < Parts.Length
        && Parts[part + 1].Grapheme.Text == "t"
        && Parts[part - 1].Grapheme.IsSplit;

    public override string ToString() => $"{Graphemes} {Phonemes}";

    public bool Equals(Segmentation? other) => other is not null && Parts.SequenceEqual(other.Parts);

    public override int GetHashCode() => Parts.Aggregate(17, HashCode.Combine);
}
