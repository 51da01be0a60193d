using System.Collections.Concurrent;
using System.Collections.Frozen;
using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Words.Alike;

namespace BoldLadder.Core.Words;

/// <summary>
/// A school's own words over the shipped ones: which shipped words it hides, and the few that stand in their place.
/// </summary>
internal sealed class WordLayer
{
    private readonly Lexicon shipped;
    private readonly FrozenDictionary<string, Word> bySpelling;
    private readonly FrozenSet<Word> hidden;

    /// <summary>The school's words, the commonest first.</summary>
    private readonly ImmutableArray<Word> own;
    private readonly ConcurrentDictionary<(Word, Accent), Word[]> alike = new();

    public WordLayer(Lexicon shipped, IReadOnlyDictionary<string, Word> changed)
    {
        this.shipped = shipped;
        bySpelling = changed.ToFrozenDictionary(StringComparer.Ordinal);
        hidden = changed.Keys.Select(shipped.Find).OfType<Word>().ToFrozenSet();
        own = [.. changed.Values.Order(Comparer<Word>.Create(CommonestFirst))];
    }

    public IEnumerable<Word> Changed => own;

    public Word? Find(string spelling) => bySpelling.GetValueOrDefault(spelling);

    /// <summary>Shipped words in their order, those of the school that will do in their places among them.</summary>
    public IEnumerable<Word> Over(IEnumerable<Word> words, Func<Word, bool> holds)
    {
        var next = 0;
        foreach (var word in words)
        {
            for (; next < own.Length && CommonestFirst(own[next], word) < 0; next++)
                if (holds(own[next]))
                    yield return own[next];
            if (!hidden.Contains(word))
                yield return word;
        }
        for (; next < own.Length; next++)
            if (holds(own[next]))
                yield return own[next];
    }

    /// <summary>Words that sound the same as one, as the school has both.</summary>
    public IEnumerable<Word> Homophones(Word word, Accent accent, SoundAlikes alikes)
    {
        var sounds = Lexicon.SoundsIn(accent, word);
        var before = shipped.Find(word.Spelling) ?? word;
        var among =
            Lexicon.SoundsIn(accent, before) == sounds
                ? alikes.Of(before)
                : alike.GetOrAdd((word, accent), _ =>
                    [.. shipped.Words.Where(w => w.Spelling != word.Spelling && Lexicon.SoundsIn(accent, w) == sounds)]
                );
        return among
            .Select(w => Find(w.Spelling) ?? w)
            .Concat(own)
            .Where(w => w.Spelling != word.Spelling && Lexicon.SoundsIn(accent, w) == sounds)
            .Distinct();
    }

    private static int CommonestFirst(Word one, Word other) =>
        one.Zipf != other.Zipf ? other.Zipf.CompareTo(one.Zipf) : string.CompareOrdinal(one.Spelling, other.Spelling);
}
