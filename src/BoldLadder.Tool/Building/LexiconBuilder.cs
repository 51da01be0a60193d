using System.Collections.Immutable;
using System.Text;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>
/// Makes data/lexicon from the open sources and the hand work. The same inputs give the same bytes. Source: docs/data.md.
/// </summary>
public sealed class LexiconBuilder(WordSources sources, HandWork hand)
{
    /// <summary>How many words teach the aligner its costs, and how often.</summary>
    private const int LearningWords = 20_000;
    private const int LearningRounds = 4;

    private sealed record Candidate(string Spelling, long Count, ImmutableArray<ImmutableArray<string>> Pronunciations, bool BritishOnly);

    /// <summary>The commonest <paramref name="limit"/> usable words and the childhood words, by spelling.</summary>
    public IReadOnlyList<Word> Build(int limit)
    {
        var candidates = Candidates();
        var known = candidates.Select(c => c.Spelling).ToHashSet(StringComparer.Ordinal);
        var model = new AmericanModel(known.Contains, hand.IsBath);
        var aligner = new Aligner(model);
        for (var round = 0; round < LearningRounds; round++)
        {
            model.Learn([.. candidates.Take(LearningWords).Select(c => Align(aligner, c)).OfType<Segmentation>()]);
        }

        var aligned = new Dictionary<string, Segmentation>(StringComparer.Ordinal);
        foreach (var candidate in candidates)
        {
            var segmentation = hand.Overrides.GetValueOrDefault(candidate.Spelling) ?? Align(aligner, candidate);
            if (segmentation is not null) aligned[candidate.Spelling] = segmentation;
        }

        var total = sources.Counts.Values.Sum();
        var suffixes = new SuffixFinder(aligned, sources.Counts, hand, sources.British);
        return [.. candidates.Where(c => aligned.ContainsKey(c.Spelling))
            .Where((c, rank) => rank < limit || hand.Childhood.Contains(c.Spelling))
            .Select(c => ToWord(c, aligned[c.Spelling], total, suffixes))
            .OrderBy(w => w.Spelling, StringComparer.Ordinal)];
    }

    /// <summary>The spellings of all usable words, commonest first.</summary>
    public IReadOnlyList<string> Ranked() => [.. Candidates().Select(c => c.Spelling)];

    /// <summary>The file for each first letter: name and content.</summary>
    public static IEnumerable<(string Name, string Content)> Shards(IEnumerable<Word> words) => words
        .GroupBy(w => w.Spelling[0])
        .Select(g => ($"{g.Key}.tsv", g.Aggregate(new StringBuilder(LexiconRow.Header).Append('\n'), (text, w) => text.Append(LexiconRow.Write(w)).Append('\n')).ToString()));

    private List<Candidate> Candidates()
    {
        var counts = new Dictionary<string, (long Count, string Said, bool BritishOnly)>(StringComparer.Ordinal);
        foreach (var (word, count) in sources.Counts)
        {
            if (!LooksLikeAWord(word)) continue;
            var british = sources.British.Contains(word) ? word
                : sources.American.Contains(word) ? BritishSpelling.Of(word, sources.British.Contains) : null;
            if (british is null || hand.Dropped.Contains(british)) continue;
            var (before, said, _) = counts.GetValueOrDefault(british, (0, british, false));
            var saidAs = sources.Pronunciations.ContainsKey(british) ? british : british == word ? said : word;
            counts[british] = (before + count, saidAs, !sources.American.Contains(british));
        }
        return [.. counts
            .Where(c => sources.Pronunciations.ContainsKey(c.Value.Said) || hand.Overrides.ContainsKey(c.Key))
            .Select(c => new Candidate(c.Key, c.Value.Count,
                [.. sources.Pronunciations.GetValueOrDefault(c.Value.Said, []).Select(AmericanPhones.Read)], c.Value.BritishOnly))
            .OrderByDescending(c => c.Count).ThenBy(c => c.Spelling, StringComparer.Ordinal)];
    }

    private static bool LooksLikeAWord(string word) =>
        word.All(char.IsAsciiLetterLower) && word.IndexOfAny(['a', 'e', 'i', 'o', 'u', 'y']) >= 0 && (word.Length > 1 || word is "a" or "i");

    /// <summary>The cheapest alignment over the word's pronunciations; an earlier one wins unless a later one is clearly cheaper.</summary>
    private static Segmentation? Align(Aligner aligner, Candidate candidate) => candidate.Pronunciations
        .Select((phones, place) => (Found: aligner.Align(candidate.Spelling, phones), Place: place))
        .Where(a => a.Found is not null)
        .OrderBy(a => a.Found!.Value.Cost + (2.0 * a.Place)).Select(a => a.Found!.Value.Segmentation).FirstOrDefault();

    private Word ToWord(Candidate candidate, Segmentation segmentation, long total, SuffixFinder suffixes)
    {
        var zipf = Math.Round(Math.Log10(candidate.Count * 1e9 / total), 2);
        var band = hand.Bands.TryGetValue(candidate.Spelling, out var reviewed) ? reviewed
            : sources.Swearing.Contains(candidate.Spelling) ? Suitability.Never : Suitability.Use;
        var flags = hand.IsBath(candidate.Spelling) && segmentation.Parts.Any(p => p.Notation == "a=ɑː") ? WordFlags.Bath : WordFlags.None;
        if (hand.Childhood.Contains(candidate.Spelling)) flags |= WordFlags.KnownAtFive;
        if (candidate.BritishOnly) flags |= WordFlags.BritishOnly;
        flags |= hand.Flags.GetValueOrDefault(candidate.Spelling) switch
        {
            "heteronym" => WordFlags.Heteronym,
            "us-only" => WordFlags.AmericanOnly,
            _ => WordFlags.None,
        };
        return new Word(candidate.Spelling, segmentation, zipf, band, flags, suffixes.Find(candidate.Spelling));
    }
}
