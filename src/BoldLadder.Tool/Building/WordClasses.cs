using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>
/// Parts of speech: of a base from the dictionary of senses, of function words by hand, of a suffixed word from its
/// base. Source: docs/data.md.
/// </summary>
public sealed class WordClasses
{
    private static readonly (string File, PartsOfSpeech Part)[] Files =
    [
        ("index.noun", PartsOfSpeech.Noun),
        ("index.verb", PartsOfSpeech.Verb),
        ("index.adj", PartsOfSpeech.Adjective),
        ("index.adv", PartsOfSpeech.Adverb),
    ];

    private readonly Dictionary<string, PartsOfSpeech> known = new(StringComparer.Ordinal);
    private readonly IReadOnlyDictionary<string, PartsOfSpeech> byHand;

    public WordClasses(string folder, IReadOnlyDictionary<string, PartsOfSpeech> byHand)
    {
        this.byHand = byHand;
        foreach (var (file, part) in Files)
        {
            foreach (var line in File.ReadLines(Path.Combine(folder, file)))
            {
                if (line.Length == 0 || line[0] == ' ')
                    continue;
                var lemma = line[..line.IndexOf(' ', StringComparison.Ordinal)];
                if (!lemma.Contains('_', StringComparison.Ordinal))
                    known[lemma] = known.GetValueOrDefault(lemma) | part;
            }
        }
    }

    /// <summary>What a word is by itself, without what its base makes of it.</summary>
    public PartsOfSpeech Of(string word) => byHand.GetValueOrDefault(word) | known.GetValueOrDefault(word);

    public PartsOfSpeech Of(string word, SuffixLink? suffix)
    {
        if (byHand.TryGetValue(word, out var hand))
            return hand | (suffix is null ? PartsOfSpeech.None : Inflected(suffix));
        return known.GetValueOrDefault(word) | (suffix is null ? PartsOfSpeech.None : Inflected(suffix));
    }

    private PartsOfSpeech Inflected(SuffixLink suffix)
    {
        var stem = byHand.GetValueOrDefault(suffix.Base) | known.GetValueOrDefault(suffix.Base);
        return suffix.Suffix switch
        {
            Patterns.SuffixS or Patterns.SuffixEs => stem & (PartsOfSpeech.Noun | PartsOfSpeech.Verb),
            Patterns.SuffixEd or Patterns.SuffixIng => stem & PartsOfSpeech.Verb,
            Patterns.SuffixEr or Patterns.SuffixEst => (stem & PartsOfSpeech.Adjective)
                | (
                    stem.HasFlag(PartsOfSpeech.Verb) && suffix.Suffix == Patterns.SuffixEr
                        ? PartsOfSpeech.Noun
                        : PartsOfSpeech.None
                ),
            Patterns.SuffixY => PartsOfSpeech.Adjective,
            Patterns.SuffixLy => PartsOfSpeech.Adverb,
            _ => PartsOfSpeech.None,
        };
    }
}
