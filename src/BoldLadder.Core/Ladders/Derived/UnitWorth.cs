using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// What a unit of a ladder is worth: how many of the words for lessons need it, those that children know first, each
/// word counted by how likely it is that the rest of it can be read by then. It does not depend on the order so far, so
/// that a few words more or less can't turn a whole ladder over. Source: docs/handbook.md, section 8.
/// </summary>
internal sealed class UnitWorth
{
    /// <summary>A word that waits for letters seldom used is worth that much less for each.</summary>
    private const int LongestCounted = 8;

    /// <summary>A word to be taught counts less than one that children know.</summary>
    private const double ToTeach = 0.5;

    /// <summary>
    /// The other words of talk count a little: they are many, and steady what only a few known words have (ph, wr).
    /// </summary>
    private const double Other = 0.1;
    private const double RarestOther = 2.5;

    private readonly (ImmutableArray<Spelling.Correspondence> Parts, Spelling.Patterns Patterns, double Weight)[] words;

    public UnitWorth(Lexicon lexicon)
    {
        var known = lexicon
            .Words.Where(w =>
                w.Required.Length <= LongestCounted
                && w.Suitability == Suitability.Use
                && (w.IsForLessons || w.Zipf >= RarestOther)
            )
            .ToList();
        var share = known
            .SelectMany(w => w.Required.Distinct())
            .GroupBy(c => c)
            .ToDictionary(g => g.Key, g => (double)g.Count() / known.Count);
        words =
        [
            .. known.Select(w =>
                (
                    w.Required,
                    w.Patterns,
                    (
                        w.IsKnown ? 1
                        : w.IsForLessons ? ToTeach
                        : Other
                    ) * Math.Exp(w.Required.Distinct().Average(c => Math.Log(share[c])))
                )
            ),
        ];
    }

    public double Of(OrderUnit unit) =>
        words
            .Where(w => (w.Patterns & unit.Patterns) != 0 || w.Parts.Any(unit.Correspondences.Contains))
            .Sum(w => w.Weight);
}
