using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words.Facts;

/// <summary>
/// Which letters may well stand for a sound at a place in a word, as an accent sounds the lexicon: ea for the sound of
/// ee, c before e for that of s;
/// not a for the sound of ai in ran, since nobody would read it so. Source: docs/handbook.md, section 7 (Marking: alt).
/// </summary>
public sealed class PlausibleSpellings
{
    /// <summary>A reading that fewer than one in eight words have at such a place is not plausible there.</summary>
    private const double Plausible = 0.12;
    private const double RarestCounted = 2.5;
    private const int FewestSeen = 3;

    private readonly Dictionary<string, Readings> byLetters = new(StringComparer.Ordinal);
    private readonly Dictionary<string, Readings>.AlternateLookup<ReadOnlySpan<char>> lookup;

    public PlausibleSpellings(Lexicon lexicon, Accent accent)
    {
        Accent = accent;
        lookup = byLetters.GetAlternateLookup<ReadOnlySpan<char>>();
        foreach (var word in lexicon.Words.Where(w => w.Zipf >= RarestCounted || w.IsKnown))
            Count(word, accent);
    }

    public Accent Accent { get; }

    /// <summary>
    /// True for letters that are a grapheme of English, whatever they say; of a split digraph with its hyphen.
    /// </summary>
    public bool IsGrapheme(ReadOnlySpan<char> letters) => lookup.ContainsKey(letters);

    /// <summary>
    /// True when readers would well take <paramref name="grapheme"/>, in the place from start to end in a word, for the
    /// sounds. A c may be k before any letter, since that it is soft before e and i is taught late; and y is how j is
    /// written.
    /// </summary>
    /// <param name="sounds">In the accent, joined by "+".</param>
    public bool May(ReadOnlySpan<char> grapheme, string sounds, ReadOnlySpan<char> word, int start, int end) =>
        IsAlways(grapheme, sounds)
        || (lookup.TryGetValue(grapheme, out var readings) && readings.Share(sounds, word, start, end) >= Plausible);

    private static bool IsAlways(ReadOnlySpan<char> grapheme, string sounds) =>
        (grapheme is "c" && sounds == "k") || (grapheme is "y" && sounds == "j");

    private void Count(Word word, Accent accent)
    {
        var sounds = accent.SoundsOfParts(word);
        var starts = word.Segmentation.LetterStarts();
        var body = sounds.Length - (word.Suffix?.Parts ?? 0);
        for (var i = 0; i < sounds.Length; i++)
        {
            var grapheme = word.Required[i].Grapheme;
            // What a suffix sounds like says nothing of the same letters in a base: the s of dogs is not the s of bus.
            if (i >= body && grapheme.Text is "s" or "y")
                continue;
            if (!byLetters.TryGetValue(grapheme.Text, out var readings))
                byLetters[grapheme.Text] = readings = new Readings(grapheme, word.Required[i].IsVowel);
            readings.Add(
                word.Required[i],
                sounds[i],
                word.Spelling,
                starts[i],
                starts[i] + (grapheme.IsSplit ? 1 : grapheme.Text.Length)
            );
        }
    }

    /// <summary>What a grapheme is read as, by context, by coarse context, and in all.</summary>
    private sealed class Readings(Grapheme grapheme, bool isVowel)
    {
        private const int Anywhere = LetterContext.Count + LetterContext.CoarseCount;

        private readonly Dictionary<string, int[]> bySounds = new(StringComparer.Ordinal);
        private readonly int[] all = new int[Anywhere + 1];

        public void Add(Correspondence correspondence, string sounds, ReadOnlySpan<char> word, int start, int end)
        {
            var counts = all;
            if (correspondence.IsRegular && !bySounds.TryGetValue(sounds, out counts))
                bySounds[sounds] = counts = new int[Anywhere + 1];
            foreach (
                var slot in (ReadOnlySpan<int>)
                    [
                        LetterContext.Of(word, start, end),
                        LetterContext.Count + LetterContext.CoarseOf(word, start, end),
                        Anywhere,
                    ]
            )
            {
                all[slot]++;
                if (counts != all)
                    counts![slot]++;
            }
        }

        /// <summary>
        /// The share at such places; where the letters are hardly seen there, of all places somewhat like it. But
        /// several consonant letters need the very place they are seen in (ck never begins, a double never follows a
        /// consonant), and several vowel letters need no place: plai.
        /// </summary>
        public double Share(string sounds, ReadOnlySpan<char> word, int start, int end)
        {
            if (!bySounds.TryGetValue(sounds, out var counts))
                return 0;
            var context = LetterContext.Of(word, start, end);
            if (all[context] < FewestSeen && !isVowel && grapheme.Text.Length > 1)
                return 0;
            if (all[context] < FewestSeen)
                context = LetterContext.Count + LetterContext.CoarseOf(word, start, end);
            if (all[context] < FewestSeen)
                context = Anywhere;
            var share = (double)counts[context] / all[context];
            return isVowel && grapheme.Text.Length > 1
                ? Math.Max(share, (double)counts[Anywhere] / all[Anywhere])
                : share;
        }
    }
}
