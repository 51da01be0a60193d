using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders;

/// <summary>Which words a lesson may choose, and how much one is worth to a young reader.</summary>
public static class Usable
{
    /// <summary>A rung with fewer new words than these has too few for a lesson of reading.</summary>
    public const int Enough = 5;

    /// <summary>
    /// The words of <paramref name="words"/> that a rung gives its lessons: readable after it, and using what it
    /// teaches.
    /// </summary>
    public static IEnumerable<Word> Showing(Rung rung, Taught after, IEnumerable<Word> words) =>
        words.Where(w => w.IsForLessons && Shows(rung, w) && after.CanRead(w));

    /// <summary>The same for words as rows of numbers, in their order.</summary>
    public static IEnumerable<Word> Showing(Rung rung, Taught after, WordRows rows) =>
        PlacesShowing(rung, rows).Where(w => after.CanRead(rows, w)).Select(w => rows.Words[w]);

    /// <summary>The places of the words that have what the rung teaches, readable or not, in order.</summary>
    public static IEnumerable<int> PlacesShowing(Rung rung, WordRows rows)
    {
        var needs = rung
            .Correspondences.Select(c => c.Index)
            .Concat(rung.Patterns.Each().Select(WordRows.NeedOf))
            .ToList();
        if (rung.Correspondences.Any(c => c.Notation == Correspondence.BathA.ReferenceNotation))
            needs.Add(Correspondence.BathA.Index);
        var chunked = rung
            .Chunks.SelectMany(c => rows.Having(Correspondence.Parse(c.Correspondences[0]).Index))
            .Where(w => HasChunk(rung, rows.Words[w]));
        return needs.Count == 1 && rung.Chunks.IsEmpty
            ? rows.Having(needs[0])
            : needs.SelectMany(rows.Having).Concat(chunked).Distinct().Order();
    }

    /// <summary>
    /// True when the word has what the rung teaches: one of its correspondences, patterns or chunks.
    /// </summary>
    public static bool Shows(Rung rung, Word word)
    {
        if ((word.Patterns & rung.Patterns) != Patterns.None)
            return true;
        foreach (var correspondence in rung.Correspondences)
        {
            if (Has(word, correspondence))
                return true;
        }
        return HasChunk(rung, word);
    }

    private static bool HasChunk(Rung rung, Word word)
    {
        foreach (var chunk in rung.Chunks)
        {
            if (chunk.PlacesIn(word.Required).Any())
                return true;
        }
        return false;
    }

    /// <summary>
    /// True when the correspondence stands in the word; the a of a bath word counts as the a of father.
    /// </summary>
    public static bool Has(Word word, Correspondence correspondence) =>
        word.Contains(correspondence)
        || (
            word.Flags.HasFlag(WordFlags.Bath)
            && correspondence.Notation == Correspondence.BathA.ReferenceNotation
            && word.Contains(Correspondence.BathA)
        );

    /// <summary>The place of the first part of the word that is one of the correspondences; -1 when none is.</summary>
    public static int PlaceOf(Word word, IReadOnlyCollection<Correspondence> correspondences)
    {
        for (var i = 0; i < word.Required.Length; i++)
        {
            foreach (var one in correspondences)
            {
                if (one.ReferenceNotation == word.Required[i].ReferenceNotation)
                    return i;
            }
        }
        return -1;
    }
}
