using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Revisit;

/// <summary>
/// Pairs of words that differ in one grapheme alone, to say and spell what was confused side by side: bid and did.
/// Source: docs/handbook.md, section 7 (Marking).
/// </summary>
public static class ContrastWords
{
    /// <param name="words">That children can read, the likeliest first.</param>
    /// <param name="one">What was to be written.</param>
    /// <param name="written">The letters that were written for it.</param>
    /// <returns>The word with the one, and beside it that with the letters that were written.</returns>
    public static IEnumerable<(Word One, Word Other)> Of(IReadOnlyList<Word> words, Correspondence one, string written)
    {
        var others = words
            .SelectMany(w => Frames(w, part => part != one && part.Grapheme.Text == written))
            .ToLookup(f => f.Frame, f => f.Word, StringComparer.Ordinal);
        var used = new HashSet<Word>();
        foreach (var (frame, word) in words.SelectMany(w => Frames(w, part => part == one)))
        {
            if (used.Contains(word) || others[frame].FirstOrDefault(o => !used.Contains(o)) is not { } other)
                continue;
            used.UnionWith([word, other]);
            yield return (word, other);
        }
    }

    /// <summary>The word with a hole for each part of that kind.</summary>
    private static IEnumerable<(string Frame, Word Word)> Frames(Word word, Func<Correspondence, bool> isIt)
    {
        for (var i = 0; i < word.Required.Length; i++)
        {
            if (isIt(word.Required[i]))
            {
                yield return (
                    string.Join(' ', word.Required.Select((p, at) => at == i ? "_" : p.ReferenceNotation)),
                    word
                );
            }
        }
    }
}
