using System.Collections.Immutable;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// The most useful spelling of each sound: the one with the highest spelling share × reading reliability in words of
/// one syllable that children know at five. Source: docs/handbook.md, section 8 (Sounds first).
/// </summary>
public sealed class SpellingChoice
{
    /// <summary>
    /// Where two spellings are nearly as useful, this one is taken unless the other is better by half: which of ou and
    /// ow opens more words must not hang on three of them.
    /// </summary>
    private static readonly ImmutableHashSet<string> Settled =
    [
        "k=k",
        "ou=aʊ",
        "or=ɔː",
        "o-e=əʊ",
        "ir=ɜː",
        "air=eə",
        "ee=iː",
        "a-e=eɪ",
        "v=v",
        "ear=ɪə",
        "oo=ʊ",
    ];
    private const double BetterByHalf = 1.5;

    private readonly Dictionary<Correspondence, int> counts = [];

    public SpellingChoice(Lexicon lexicon)
    {
        var short1 = lexicon.ForLessons.Where(w =>
            w.IsKnown
            && w.Suffix is null
            && !w.Patterns.HasFlag(Patterns.TwoSyllables)
            && !w.Patterns.HasFlag(Patterns.ThreeSyllables)
        );
        foreach (var part in short1.SelectMany(w => w.Required))
            counts[part] = counts.GetValueOrDefault(part) + 1;
    }

    /// <summary>Share × reliability, 0 to 1.</summary>
    public double Worth(Correspondence one)
    {
        double Sum(Func<Correspondence, bool> which) => counts.Where(c => which(c.Key)).Sum(c => c.Value);
        var own = counts.GetValueOrDefault(one);
        return own == 0
            ? 0
            : own / Sum(c => c.SoundText == one.SoundText) * (own / Sum(c => c.Grapheme == one.Grapheme));
    }

    /// <summary>The best spelling of a sound; null when no such word has it.</summary>
    public Correspondence? Best(string sound) =>
        counts
            .Keys.Where(c => c.SoundText == sound && c.IsRegular)
            .OrderByDescending(c => Worth(c) * (Settled.Contains(c.Notation) ? BetterByHalf : 1))
            .ThenBy(c => c.Notation, StringComparer.Ordinal)
            .FirstOrDefault();

    /// <summary>The sounds that have a spelling, each with its best.</summary>
    public ImmutableArray<Correspondence> BestOfEach() =>
        [.. Sound.All.Select(s => Best(s.Symbol)).OfType<Correspondence>()];
}
