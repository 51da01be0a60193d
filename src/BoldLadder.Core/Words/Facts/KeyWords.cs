using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words.Facts;

/// <summary>
/// Words to show each correspondence by: the sound's own key word where it is spelled so, else what
/// <see cref="ModelWords"/> puts first. Source: docs/handbook.md, section 4 (Sound).
/// </summary>
public sealed class KeyWords
{
    private const int Kept = 8;

    private readonly Dictionary<Correspondence, string[]> words;

    public KeyWords(Lexicon lexicon)
    {
        words = lexicon
            .ForLessons.Where(w => w.Suffix is null && !w.Flags.HasFlag(WordFlags.Name))
            .SelectMany(w => w.Required.Distinct().Select(c => (Correspondence: c, Word: w)))
            .Where(w => w.Word.IsKnown || ModelWords.Chosen(w.Correspondence).Contains(w.Word.Spelling))
            .GroupBy(w => w.Correspondence)
            .ToDictionary(
                c => c.Key,
                c =>
                    ModelWords
                        .Ordered(c.Key, c.Select(w => w.Word))
                        .OrderBy(w => w.Spelling != c.Key.Sounds[0].KeyWord)
                        .Take(Kept)
                        .Select(w => w.Spelling)
                        .ToArray()
            );
    }

    /// <summary>The key word; the sound's own where no word for lessons has the correspondence.</summary>
    public string Of(Correspondence correspondence) =>
        BestOf(correspondence) is [var best, ..] ? best : correspondence.Sounds[0].KeyWord;

    /// <summary>The best few, best first; none where no known word has the correspondence.</summary>
    public IReadOnlyList<string> BestOf(Correspondence correspondence) => words.GetValueOrDefault(correspondence, []);
}
