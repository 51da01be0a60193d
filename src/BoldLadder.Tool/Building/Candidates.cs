using System.Collections;
using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>A spelling that may become a word of the lexicon.</summary>
/// <param name="Count">Uses in the spoken-frequency source, with those of its American spelling.</param>
/// <param name="Kind">The kind of an extra word; empty for a word of the frequency list.</param>
internal sealed record Candidate(
    string Spelling,
    long Count,
    ImmutableArray<ImmutableArray<string>> Pronunciations,
    WordFlags Flags,
    string Kind
);

/// <summary>
/// The words of the frequency list that a dictionary has, under their British spelling, American spellings beside them,
/// and the words given by hand; commonest first. Names, abbreviations and halves of contractions drop out. Source:
/// docs/data.md.
/// </summary>
internal sealed class Candidates(WordSources sources, HandWork hand) : IEnumerable<Candidate>
{
    private sealed record Counted(long Count, string SaidAs, WordFlags Flags);

    public IEnumerator<Candidate> GetEnumerator()
    {
        var counted = new Dictionary<string, Counted>(StringComparer.Ordinal);
        foreach (var (word, count) in sources.Counts.Where(c => LooksLikeAWord(c.Key)))
        {
            var inBritain = sources.British.Contains(word);
            var british =
                inBritain ? word
                : sources.American.Contains(word) ? BritishSpelling.Of(word, sources.British.Contains)
                : null;
            if (!inBritain && sources.American.Contains(word))
                Add(counted, word, word, count, WordFlags.AmericanOnly);
            if (british is not null)
                Add(
                    counted,
                    british,
                    word,
                    count,
                    sources.American.Contains(british) ? WordFlags.None : WordFlags.BritishOnly
                );
        }
        foreach (var extra in hand.Extra.Values)
        {
            counted.TryAdd(
                extra.Spelling,
                new Counted(0, extra.Spelling, extra.Kind == "british" ? WordFlags.BritishOnly : WordFlags.None)
            );
        }
        return counted
            .Select(c => new Candidate(
                c.Key,
                c.Value.Count,
                [.. sources.Pronunciations.GetValueOrDefault(c.Value.SaidAs, []).Select(AmericanPhones.Read)],
                c.Value.Flags | FlagOf(c.Key),
                hand.Extra.GetValueOrDefault(c.Key)?.Kind ?? ""
            ))
            .OrderByDescending(c => c.Count)
            .ThenBy(c => c.Spelling, StringComparer.Ordinal)
            .GetEnumerator();
    }

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();

    private void Add(Dictionary<string, Counted> counted, string spelling, string word, long count, WordFlags flags)
    {
        if (hand.Dropped.Contains(spelling))
            return;
        var before = counted.GetValueOrDefault(spelling, new Counted(0, spelling, flags));
        var saidAs =
            sources.Pronunciations.ContainsKey(spelling) ? spelling
            : spelling == word ? before.SaidAs
            : word;
        counted[spelling] = new Counted(before.Count + count, saidAs, flags);
    }

    private WordFlags FlagOf(string spelling) =>
        (
            hand.Extra.GetValueOrDefault(spelling)?.Kind switch
            {
                "contraction" => WordFlags.Contraction,
                "capital" => WordFlags.Capital,
                _ => WordFlags.None,
            }
        )
        | (
            hand.Names.Any(n =>
                n.Kind == WordFlags.Name && string.Equals(n.Spelling, spelling, StringComparison.OrdinalIgnoreCase)
            )
                ? WordFlags.Name
                : WordFlags.None
        );

    private static bool LooksLikeAWord(string word) =>
        word.All(char.IsAsciiLetterLower)
        && word.IndexOfAny(['a', 'e', 'i', 'o', 'u', 'y']) >= 0
        && (word.Length > 1 || word is "a" or "i");
}
