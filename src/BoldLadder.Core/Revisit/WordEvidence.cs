using BoldLadder.Core.Marking;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Revisit;

/// <summary>What was seen at one grapheme of a word, or of the word as a whole.</summary>
/// <param name="Place">The grapheme, from 0; <see cref="WordEvidence.Whole"/> for a tricky word as a whole.</param>
public sealed record SeenAt(int Place, MemoryTarget Target, Seen Seen, string Written = "", bool AsSpoken = false);

/// <summary>
/// What marks of a word come to, grapheme by grapheme. Source: docs/handbook.md, section 7 (Marking).
/// </summary>
public static class WordEvidence
{
    /// <summary>The place of a tricky word as a whole.</summary>
    public const int Whole = -1;

    /// <summary>The same for every grapheme, but for the one at a place.</summary>
    /// <param name="tricky">The places of its tricky part, of which nothing is asked but the word as a whole;
    /// none for a
    /// word that can be sounded out.</param>
    /// <param name="place">Null for every grapheme alike.</param>
    public static IEnumerable<SeenAt> Of(
        Word word,
        IReadOnlyCollection<int> tricky,
        Seen others,
        int? place = null,
        Seen? there = null
    )
    {
        for (var i = 0; i < word.Required.Length; i++)
        {
            if (!tricky.Contains(i))
                yield return new SeenAt(i, MemoryTarget.Of(word.Required[i]), i == place ? there!.Value : others);
        }
        if (tricky.Count > 0)
            yield return new SeenAt(Whole, MemoryTarget.Tricky(word.Spelling), place is null ? others : there!.Value);
    }

    /// <summary>What the marker found in what a child wrote.</summary>
    public static IEnumerable<SeenAt> Of(Word word, IReadOnlyCollection<int> tricky, Mark mark)
    {
        for (var i = 0; i < mark.Graphemes.Length; i++)
        {
            if (tricky.Contains(i))
                continue;
            var one = mark.Graphemes[i];
            yield return new SeenAt(
                i,
                MemoryTarget.Of(word.Required[i]),
                Of(one),
                one.Written,
                one.Notes.HasFlag(MarkNotes.AsSpoken)
            );
        }
        if (tricky.Count > 0)
            yield return new SeenAt(Whole, MemoryTarget.Tricky(word.Spelling), mark.Whole ? Seen.Right : Seen.Wrong);
    }

    private static Seen Of(GraphemeMark mark) =>
        mark.Notes.HasFlag(MarkNotes.Order)
            ? Seen.Order
            : mark.Verdict switch
            {
                Verdict.Ok => Seen.Right,
                Verdict.Alt => Seen.Plausible,
                Verdict.Reversed => Seen.LookAlike,
                Verdict.Missing => Seen.Missing,
                _ => Seen.Wrong,
            };
}
