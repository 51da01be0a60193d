using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words.Facts;

/// <summary>
/// Words to show each correspondence by: the sound's own key word where it is spelled so, else short nouns that children know, if they can
/// be with the correspondence at their start. Source: docs/handbook.md, section 4 (Sound).
/// </summary>
public sealed class KeyWords
{
    private const int Kept = 8;

    private readonly Dictionary<Correspondence, string[]> words;

    public KeyWords(Lexicon lexicon)
    {
        words = lexicon.ForLessons.Where(w => w.IsKnown && w.Suffix is null && !w.Flags.HasFlag(WordFlags.Name))
            .SelectMany(w => w.Required.Distinct().Select(c => (Correspondence: c, Word: w)))
            .GroupBy(w => w.Correspondence)
            .ToDictionary(c => c.Key, c => c.OrderBy(w => w.Word.Spelling != c.Key.Sounds[0].KeyWord)
                .ThenBy(w => !w.Word.PartsOfSpeech.HasFlag(PartsOfSpeech.Noun)).ThenBy(w => Taps(w.Word)).ThenBy(w => w.Word.Required[0] != c.Key).ThenByDescending(w => w.Word.Zipf)
                .Take(Kept).Select(w => w.Word.Spelling).ToArray());
    }

    /// <summary>The key word; the sound's own where no word for lessons has the correspondence.</summary>
    public string Of(Correspondence correspondence) => BestOf(correspondence) is [var best, ..] ? best : correspondence.Sounds[0].KeyWord;

    /// <summary>The best few, best first; none where no known word has the correspondence.</summary>
    public IReadOnlyList<string> BestOf(Correspondence correspondence) => words.GetValueOrDefault(correspondence, []);

    /// <summary>Words of two or three taps are as good as each other; longer ones are not.</summary>
    private static int Taps(Word word) => Math.Max(3, word.Segmentation.Taps);
}
