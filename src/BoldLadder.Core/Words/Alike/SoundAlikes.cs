using System.Collections.Immutable;
using BoldLadder.Core.Accents;

namespace BoldLadder.Core.Words.Alike;

/// <summary>
/// The groups of words that sound the same in one accent. Source: docs/handbook.md, section 7 (Dictation).
/// </summary>
internal sealed class SoundAlikes
{
    /// <summary>Words that share their sounds with another, by those sounds.</summary>
    private readonly Dictionary<Word, Word[]> groups = [];

    public SoundAlikes(ImmutableArray<Word> words, Accent accent)
    {
        // A 64-bit hash finds the few that may sound alike; only they are compared sound by sound.
        var coded = new (ulong Code, int Place)[words.Length];
        for (var i = 0; i < coded.Length; i++)
            coded[i] = (Code(accent, words[i]), i);
        Array.Sort(coded);
        for (var i = 0; i < coded.Length; )
        {
            var end = i + 1;
            while (end < coded.Length && coded[end].Code == coded[i].Code)
                end++;
            if (end > i + 1)
                AddGroup(accent, [.. coded[i..end].Select(c => words[c.Place])]);
            i = end;
        }
    }

    public IEnumerable<Word> Of(Word word) => groups.GetValueOrDefault(word, []).Where(w => w != word);

    private void AddGroup(Accent accent, Word[] suspects)
    {
        foreach (var group in suspects.GroupBy(w => Lexicon.SoundsIn(accent, w)).Where(g => g.Count() > 1))
        {
            var alike = group.ToArray();
            foreach (var word in alike)
                groups[word] = alike;
        }
    }

    private static ulong Code(Accent accent, Word word)
    {
        var code = Fnv.Start;
        foreach (var sounds in accent.Sounds(word))
            code = Fnv.With(Fnv.With(code, sounds), '+');
        return code;
    }
}
