using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Decoding;

/// <summary>
/// When each word becomes decodable where things are taught in an order: the highest step of what it needs. Made once
/// for an order, leniencies and accent, then a word is a walk over its few correspondences. Source: docs/handbook.md,
/// section 4 (Decodable; graduates).
/// </summary>
public sealed class Reach
{
    private readonly Ranks ranks;
    private readonly Accent accent;

    /// <param name="free">The patterns that need no teaching.</param>
    public Reach(IReadOnlyList<TaughtStep> steps, Patterns free, Leniencies leniencies, Accent accent) =>
        (ranks, this.accent) = (new Ranks(steps, free, Ranks.LetIn(leniencies, accent)), accent);

    /// <summary>
    /// The index of the step after which the word is decodable, where a tricky word graduates: -1 when it needs nothing
    /// that is taught, null when it is never decodable.
    /// </summary>
    public int? RungOf(Word word) =>
        word.NeedsIn(accent).Row.Rank(ranks.OfNeeds, ranks.OfTaughtPatterns, Ranks.FromTheStart) is var rank
        && rank == Ranks.Never
            ? null
            : rank;
}
