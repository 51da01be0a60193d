using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Showing;

/// <summary>
/// Where the letters that are hunted stand in words, and whether they do what is hunted there or have another job. The
/// board's highlighter goes by it. Source: docs/handbook.md, section 6 (hunt it through a page).
/// </summary>
/// <param name="targets">What is hunted: of a lesson what is new.</param>
public sealed class Hunting(IReadOnlyList<Correspondence> targets, WordFinder finder, Accent accent)
{
    /// <summary>The places in a word as it is printed, with capital and punctuation; null for none.</summary>
    public ImmutableArray<HuntedPlace>? In(string printed)
    {
        var from = printed.TakeWhile(c => !char.IsLetter(c)).Count();
        return WrittenWord.InPrint(printed, finder).Word is { } word
            ? OrNull([.. In(word).Select(p => p.From(from))])
            : null;
    }

    private IEnumerable<HuntedPlace> In(Word word)
    {
        var letters = word.Segmentation.Letters();
        var parts = word.Segmentation.Parts;
        var seen = new HashSet<int>();
        for (var part = 0; part < parts.Length; part++)
        {
            var here = targets.Where(t => t.Grapheme == parts[part].Grapheme).ToList();
            if (here.Count == 0)
                continue;
            var at = Enumerable.Range(0, letters.Length).Where(i => letters[i].Part == part).ToImmutableArray();
            seen.UnionWith(at);
            yield return new HuntedPlace(at, here.Exists(t => SayTheSame(t, parts[part])));
        }
        foreach (var at in targets.SelectMany(t => Alike(word.Spelling, t.Grapheme)))
        {
            if (!at.Any(seen.Contains))
                yield return new HuntedPlace(at, IsTarget: false);
            seen.UnionWith(at);
        }
    }

    /// <summary>
    /// Where a word shows the letters of a grapheme, whatever they say: side by side (sh in mishap), or round one
    /// letter (have).
    /// </summary>
    private static IEnumerable<ImmutableArray<int>> Alike(string word, Grapheme grapheme)
    {
        var (first, last) = (grapheme.Text[0], grapheme.Text[^1]);
        for (var at = 0; at < word.Length; at++)
        {
            if (!grapheme.IsSplit && string.CompareOrdinal(word, at, grapheme.Text, 0, grapheme.Text.Length) == 0)
                yield return [.. Enumerable.Range(at, grapheme.Text.Length)];
            else if (grapheme.IsSplit && word[at] == first && at + 2 < word.Length && word[at + 2] == last)
                yield return [at, at + 2];
        }
    }

    private bool SayTheSame(Correspondence one, Correspondence other) => one == other || accent.AreOne(one, other);

    private static ImmutableArray<HuntedPlace>? OrNull(ImmutableArray<HuntedPlace> places) =>
        places.IsEmpty ? null : places;
}
