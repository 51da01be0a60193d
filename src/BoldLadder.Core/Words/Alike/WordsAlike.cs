using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;

namespace BoldLadder.Core.Words.Alike;

/// <summary>A word that differs from another by one sound in the same place.</summary>
/// <param name="Place">Which sound, from 0.</param>
/// <param name="Sound">What the first word has there.</param>
/// <param name="Other">What the other has.</param>
/// <param name="IsNearMiss">True when children often take the one sound for the other.</param>
public sealed record MinimalPair(Word Word, int Place, string Sound, string Other, bool IsNearMiss);

/// <summary>A word with a short vowel and the word that a split digraph makes of it: hop, hope.</summary>
public sealed record ContrastPair(Word Short, Word Split);

/// <summary>
/// Which words sound alike in an accent: homophones, words one sound apart, rhymes; and pairs that show what a split
/// digraph does. Made once for words and an accent. Source: docs/handbook.md, sections 3, 4 (Accent) and 7 (Dictation).
/// </summary>
public sealed class WordsAlike
{
    private const string Gap = "*";

    private readonly Accent accent;
    private readonly Lexicon lexicon;
    private readonly ILookup<string, (Word Word, int Place, string Sound)> byGap;
    private readonly ILookup<string, Word> byRhyme;

    /// <summary>
    /// Without a school's layer, of which only its own words are looked through anew; null where there is none.
    /// </summary>
    private readonly WordsAlike? shipped;

    /// <param name="words">The words to look among: those for lessons, or all.</param>
    public WordsAlike(Lexicon lexicon, IEnumerable<Word> words, Accent accent)
    {
        (this.lexicon, this.accent) = (lexicon, accent);
        var all = words.ToList();
        byGap = all.SelectMany(w => WithGaps(w).Select(g => (g.Key, Value: (w, g.Place, g.Sound))))
            .ToLookup(g => g.Key, g => g.Value);
        byRhyme = all.ToLookup(Rhyme);
    }

    private WordsAlike(WordsAlike shipped, Lexicon school)
        : this(school, school.Changed.Where(w => w.IsForLessons), shipped.accent) => this.shipped = shipped;

    /// <summary>The same for the words for lessons as a school has them.</summary>
    public WordsAlike Over(Lexicon school) => ReferenceEquals(school, lexicon) ? this : new WordsAlike(this, school);

    private IEnumerable<(Word Word, int Place, string Sound)> WithGap(string key) =>
        shipped is null ? byGap[key] : shipped.byGap[key].Where(o => IsUnchanged(o.Word)).Concat(byGap[key]);

    private IEnumerable<Word> Rhyming(string key) =>
        shipped is null ? byRhyme[key] : shipped.byRhyme[key].Where(IsUnchanged).Concat(byRhyme[key]);

    private bool IsUnchanged(Word word) => lexicon.Find(word.Spelling) == word;

    /// <summary>Other words that sound the same, the commonest first.</summary>
    public IEnumerable<Word> Homophones(Word word) => lexicon.Homophones(word, accent).OrderByDescending(w => w.Zipf);

    /// <summary>
    /// Words that differ by one sound in the same place, in order of the place, then the commonest first.
    /// </summary>
    public IEnumerable<MinimalPair> MinimalPairs(Word word) =>
        WithGaps(word)
            .SelectMany(own =>
                WithGap(own.Key)
                    .Where(o => o.Sound != own.Sound)
                    .Select(o => new MinimalPair(
                        o.Word,
                        own.Place,
                        own.Sound,
                        o.Sound,
                        MixedSounds.Are(own.Sound, o.Sound)
                    ))
            )
            .OrderBy(p => p.Place)
            .ThenByDescending(p => p.Word.Zipf);

    /// <summary>
    /// Words that sound the same from their last full vowel on, and not before it; the commonest first.
    /// </summary>
    public IEnumerable<Word> Rhymes(Word word)
    {
        var sounds = Lexicon.SoundsIn(accent, word);
        return Rhyming(Rhyme(word))
            .Where(w => w != word && Lexicon.SoundsIn(accent, w) != sounds)
            .OrderByDescending(w => w.IsKnown)
            .ThenByDescending(w => w.Zipf);
    }

    /// <summary>
    /// Pairs such as hop and hope among words: the same graphemes but for a short vowel letter and its split digraph.
    /// </summary>
    public static ImmutableArray<ContrastPair> ContrastPairs(IEnumerable<Word> words)
    {
        var known = words
            .Where(w => w.Suffix is null)
            .GroupBy(w => w.Segmentation.Graphemes)
            .ToDictionary(g => g.Key, g => g.First(), StringComparer.Ordinal);
        return
        [
            .. known
                .Values.Where(w => w.Segmentation.Parts.Count(p => p.Grapheme.IsSplit) == 1)
                .Select(w =>
                    (
                        Split: w,
                        Short: known.GetValueOrDefault(
                            string.Join(
                                '|',
                                w.Segmentation.Parts.Select(p =>
                                    p.Grapheme.IsSplit ? p.Grapheme.Text[..1] : p.Grapheme.Text
                                )
                            )
                        )
                    )
                )
                .Where(p =>
                    p.Short is not null
                    && p.Short.Segmentation.Parts.Any(v => v.IsVowel && Sound.IsShortVowel(v.SoundText))
                )
                .Select(p => new ContrastPair(p.Short!, p.Split))
                .OrderByDescending(p => Math.Min(p.Short.Zipf, p.Split.Zipf)),
        ];
    }

    private string[] Each(Word word) => Lexicon.SoundsIn(accent, word).Split('+');

    private IEnumerable<(string Key, int Place, string Sound)> WithGaps(Word word)
    {
        var sounds = Each(word);
        for (var i = 0; i < sounds.Length; i++)
        {
            var own = sounds[i];
            sounds[i] = Gap;
            yield return (string.Join('+', sounds), i, own);
            sounds[i] = own;
        }
    }

    /// <summary>From the last vowel that is said in full: puppy rhymes from its u, since a final y is weak.</summary>
    private string Rhyme(Word word)
    {
        var sounds = Each(word);
        var first = Array.FindIndex(sounds, IsVowel);
        var from = Math.Max(first, 0);
        for (var i = from + 1; i < sounds.Length; i++)
        {
            if (IsVowel(sounds[i]) && sounds[i] is not ("ə" or "ɪ") && !(sounds[i] == "iː" && i == sounds.Length - 1))
                from = i;
        }
        return string.Join('+', sounds[from..]);
    }

    private static bool IsVowel(string sound) => Sound.TryParse(sound, out var known) && known.IsVowel;
}
