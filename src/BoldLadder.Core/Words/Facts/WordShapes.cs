using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words.Facts;

/// <summary>
/// How English words of a lexicon are built: which correspondences begin one, end one after which vowel, and stand
/// together. Says whether letters that are no word could be one. Source: docs/handbook.md, section 7 (Made-up words).
/// </summary>
public sealed class WordShapes
{
    private const double RarestCounted = 2.0;
    private const int Few = 2;
    private const double MostClosed = 0.15;

    /// <summary>
    /// After a short vowel these are doubled, or written ck, at the end of a syllable; v and j never end one alone.
    /// </summary>
    private static readonly HashSet<string> NeverAloneAfterShort = ["f", "l", "s", "z", "c", "k"];

    /// <summary>Letters whose sound the next letter decides: c is no k before e.</summary>
    private static readonly HashSet<string> DependsOnNext = ["c", "g", "k", "sc", "qu"];
    private static readonly HashSet<string> NeverLast = ["v", "j"];

    private readonly Dictionary<string, int> onsets = [];
    private readonly Dictionary<string, int> rimes = [];
    private readonly Dictionary<string, int> codas = [];

    /// <summary>The last vowel of longer words with what follows it.</summary>
    private readonly Dictionary<string, int> lastRimes = [];
    private readonly Dictionary<string, int> between = [];
    private readonly Dictionary<string, (int All, int Closed)> vowels = [];
    private readonly Dictionary<string, int> meetings = [];
    private readonly Dictionary<string, int> letterMeetings = [];
    private readonly Dictionary<string, (Correspondence[] Vowel, Correspondence[] Coda)> rimeParts = [];
    private readonly Dictionary<string, Correspondence[]> onsetParts = [];

    public WordShapes(Lexicon lexicon)
    {
        foreach (
            var word in lexicon.Words.Where(w =>
                w.Suffix is null
                && w.Compound.IsEmpty
                && (w.Zipf >= RarestCounted || w.IsKnown)
                && (w.Flags & (WordFlags.Contraction | WordFlags.Capital)) == WordFlags.None
            )
        )
            Count(word.Segmentation.Parts.AsSpan());
    }

    /// <summary>The consonants that begin words of one syllable, none among them, with how many words each.</summary>
    public IEnumerable<(Correspondence[] Parts, int Words)> Onsets => onsetParts.Select(o => (o.Value, onsets[o.Key]));

    /// <summary>A vowel with what follows it in words of one syllable, with how many words each.</summary>
    public IEnumerable<(Correspondence[] Parts, int Words)> Rimes =>
        rimeParts.Select(r => ((Correspondence[])[.. r.Value.Vowel, .. r.Value.Coda], rimes[r.Key]));

    /// <summary>How many words have the vowel right after the consonant at their start.</summary>
    public int Meetings(Correspondence consonant, Correspondence vowel) =>
        meetings.GetValueOrDefault(Key([consonant, vowel]));

    /// <summary>True when English could have a word that is built so.</summary>
    public bool Allow(Segmentation word)
    {
        var parts = word.Parts.AsSpan();
        var vowel = NextVowel(parts, 0);
        // The first vowel is said in full.
        if (vowel < 0 || parts[vowel].Sounds[0].Symbol == "ə")
            return false;
        if (!Seen(onsets, parts[..vowel], Few))
            return false;
        if (
            vowel > 0
            && DependsOnNext.Contains(parts[vowel - 1].Grapheme.Text)
            && letterMeetings.GetValueOrDefault(LetterKey(parts[vowel - 1], parts[vowel])) < Few
        )
            return false;
        for (var next = NextVowel(parts, vowel + 1); next >= 0; next = NextVowel(parts, vowel + 1))
        {
            if (!Seen(between, parts[(vowel + 1)..next], Few + 1))
                return false;
            vowel = next;
        }
        return (vowel == NextVowel(parts, 0) ? Ends(parts, vowel) : Seen(lastRimes, parts[vowel..], Few))
            && !(
                vowel > 1
                && parts[0].Grapheme.Text == "s"
                && parts.Length == vowel + 2
                && parts[vowel - 1].Grapheme == parts[^1].Grapheme
            );
    }

    private bool Ends(ReadOnlySpan<Correspondence> parts, int vowel)
    {
        var coda = parts[(vowel + 1)..];
        if (coda.IsEmpty)
            return Seen(rimes, parts[vowel..], Few);
        var last = parts[^1].Grapheme.Text;
        if (NeverLast.Contains(last) && !parts[vowel].Grapheme.IsSplit)
            return false;
        if (
            coda.Length == 1
            && RuleOfThumb.IsShort(parts[vowel], parts[vowel].SoundText)
            && NeverAloneAfterShort.Contains(last)
        )
            return false;
        if (Seen(rimes, parts[vowel..], Few))
            return true;
        return !StandsLast(parts[vowel]) && codas.GetValueOrDefault(KindOf(parts[vowel]) + Key(coda)) >= Few;
    }

    private void Count(ReadOnlySpan<Correspondence> parts)
    {
        var first = NextVowel(parts, 0);
        if (first < 0)
            return;
        if (first > 0)
        {
            Add(meetings, Key(parts[(first - 1)..(first + 1)]));
            Add(letterMeetings, LetterKey(parts[first - 1], parts[first]));
        }
        var vowel = first;
        for (var next = NextVowel(parts, vowel + 1); next >= 0; next = NextVowel(parts, vowel + 1))
        {
            Add(between, Key(parts[(vowel + 1)..next]));
            vowel = next;
        }
        var onset = Key(parts[..first]);
        Add(onsets, onset);
        if (vowel != first)
        {
            Add(lastRimes, Key(parts[vowel..]));
            return;
        }
        var rime = Key(parts[first..]);
        Add(rimes, rime);
        var (all, closed) = vowels.GetValueOrDefault(parts[first].Grapheme.Text);
        vowels[parts[first].Grapheme.Text] = (all + 1, closed + (first + 1 < parts.Length ? 1 : 0));
        Add(codas, KindOf(parts[first]) + Key(parts[(first + 1)..]));
        onsetParts.TryAdd(onset, parts[..first].ToArray());
        rimeParts.TryAdd(rime, ([parts[first]], parts[(first + 1)..].ToArray()));
    }

    /// <summary>True for a vowel grapheme that hardly ever has a consonant after it in its syllable: ay, oy.</summary>
    private bool StandsLast(Correspondence vowel) =>
        vowels.GetValueOrDefault(vowel.Grapheme.Text) is var (all, closed) && closed < MostClosed * all;

    private static string KindOf(Correspondence vowel) =>
        vowel.Grapheme.IsSplit ? "split "
        : RuleOfThumb.IsShort(vowel, vowel.SoundText) ? "short "
        : "long ";

    private static int NextVowel(ReadOnlySpan<Correspondence> parts, int from)
    {
        for (var i = from; i < parts.Length; i++)
        {
            if (parts[i].IsVowel)
                return i;
        }
        return -1;
    }

    private static bool Seen(Dictionary<string, int> counts, ReadOnlySpan<Correspondence> parts, int least) =>
        counts.GetValueOrDefault(Key(parts)) >= least;

    private static string LetterKey(Correspondence consonant, Correspondence vowel) =>
        $"{consonant.Notation} {vowel.Grapheme.Text[0]}";

    private static string Key(ReadOnlySpan<Correspondence> parts)
    {
        var key = new System.Text.StringBuilder();
        foreach (var part in parts)
            key.Append(part.Notation).Append(' ');
        return key.ToString();
    }

    private static void Add(Dictionary<string, int> counts, string key) =>
        counts[key] = counts.GetValueOrDefault(key) + 1;
}
