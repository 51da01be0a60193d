using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>
/// Finds what a word is made of: a base with a suffix whose join rebuilds its letters, and that somebody says belongs
/// to it: the hand list first, then a dictionary's rules, the dictionary of senses, or the kind of word the base is.
/// Source: docs/handbook.md, section 4 (Pattern).
/// </summary>
public sealed class SuffixFinder(Func<string, bool> isWord, WordSources sources, HandWork hand)
{
    private const int ShortestBaseOfY = 3;

    private readonly WordClasses classes = sources.Classes(hand.FunctionWords);

    public bool IsWord(string word) => isWord(word);

    /// <summary>
    /// What the word may be made of, the likeliest first: stepped comes from step rather than steppe.
    /// </summary>
    public IEnumerable<SuffixLink> Find(string word)
    {
        var links = SuffixLinks.Of(word).Where(l => isWord(l.Base));
        return hand.Bases.TryGetValue(word, out var given)
            ? links.Where(l => l.Base == given)
            : links
                .Where(l => MayBe(word, l))
                .OrderByDescending(l => (classes.Of(l.Base) & Usual(l.Suffix)) != 0)
                .ThenByDescending(l => IsForm(word, l.Base))
                .ThenByDescending(l => sources.Counts.GetValueOrDefault(l.Base));
    }

    private bool IsForm(string word, string stem) =>
        sources.British.IsFormOf(word, stem) || sources.American.IsFormOf(word, stem);

    private bool MayBe(string word, SuffixLink link)
    {
        if (link.Suffix == Patterns.SuffixY && IsCyOfCe(link))
            return false;
        if (link.Suffix == Patterns.SuffixLy && link.Join == Patterns.None && isWord(link.Base + "le"))
            return false;
        var stem = classes.Of(link.Base, Find(link.Base).FirstOrDefault());
        if (link is { Suffix: Patterns.SuffixLy, Join: Patterns.JoinDropE })
            return stem.HasFlag(PartsOfSpeech.Adjective);
        return IsForm(word, link.Base)
            || link.Suffix switch
            {
                Patterns.SuffixS or Patterns.SuffixEs => stem == PartsOfSpeech.None || (stem & Usual(link.Suffix)) != 0,
                Patterns.SuffixEd => stem.HasFlag(PartsOfSpeech.Verb)
                    && !word.EndsWith("eed", StringComparison.Ordinal),
                Patterns.SuffixEst => (stem & (PartsOfSpeech.Adjective | PartsOfSpeech.Adverb)) != 0
                    && link.Base.Length >= ShortestBaseOfY,
                Patterns.SuffixEr => sources.Kin.Are(word, link.Base)
                    || stem.HasFlag(PartsOfSpeech.Adjective)
                    || sources.British.Contains(word[..^1] + "st"),
                Patterns.SuffixLy => sources.Kin.Are(word, link.Base) || stem.HasFlag(PartsOfSpeech.Adjective),
                Patterns.SuffixY => link.Base.Length >= ShortestBaseOfY && (stem & Usual(link.Suffix)) != 0,
                _ => (stem & Usual(link.Suffix)) != 0,
            };
    }

    /// <summary>What a suffix is added to as a rule.</summary>
    private static PartsOfSpeech Usual(Patterns suffix) =>
        suffix switch
        {
            Patterns.SuffixS or Patterns.SuffixEs => PartsOfSpeech.Noun | PartsOfSpeech.Verb | PartsOfSpeech.Number,
            Patterns.SuffixEd or Patterns.SuffixIng => PartsOfSpeech.Verb,
            Patterns.SuffixEst or Patterns.SuffixLy => PartsOfSpeech.Adjective | PartsOfSpeech.Adverb,
            Patterns.SuffixEr => PartsOfSpeech.Adjective | PartsOfSpeech.Verb,
            _ => PartsOfSpeech.Noun | PartsOfSpeech.Verb | PartsOfSpeech.Adjective,
        };

    /// <summary>dependency is not dependence with -y: -ce goes to -cy.</summary>
    private static bool IsCyOfCe(SuffixLink link) =>
        link.Join == Patterns.JoinDropE && link.Base.EndsWith("nce", StringComparison.Ordinal) && link.Base.Length > 6;
}
