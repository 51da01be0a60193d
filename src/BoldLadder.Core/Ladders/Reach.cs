using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders;

/// <summary>
/// When each word becomes decodable on a ladder: the highest rung of what it needs. Made once for a ladder, leniencies and accent, then
/// a word is a walk over its few correspondences. Source: docs/handbook.md, section 4 (Decodable; graduates).
/// </summary>
public sealed class Reach
{
    private readonly Ranks ranks;
    private readonly Accent accent;

    public Reach(Ladder ladder, Leniencies leniencies, Accent accent)
        : this(ladder, Ranks.LetIn(ladder.Allow(leniencies), accent), accent)
    {
    }

    internal Reach(Ladder ladder, int[][] letIn, Accent accent) => (ranks, this.accent) = (new Ranks(ladder, letIn), accent);

    /// <summary>
    /// The index of the rung after which the word is decodable, where a tricky word graduates: -1 when it needs nothing that is taught,
    /// null when it is never decodable on this ladder.
    /// </summary>
    public int? RungOf(Word word)
    {
        var needs = word.NeedsIn(accent);
        var parts = needs.Parts;
        var ending = word.Suffix?.Parts ?? 0;
        var highest = Highest(parts.AsSpan()[..^ending]);
        if (needs.OfBase is { } ofBase) highest = Math.Min(highest, Highest(parts[..^ending].SetItem(needs.ChangedAt, ofBase).AsSpan()));
        foreach (var pattern in word.Patterns.Each()) highest = Math.Max(highest, ranks.OfNeeds[WordRows.NeedOf(pattern)]);
        if (word.Suffix is { } suffix)
        {
            // A taught suffix supplies its sounds; a free one leaves them to be taught.
            highest = Math.Max(highest, Math.Min(ranks.OfTaught(suffix.Suffix), Highest(parts.AsSpan()[^ending..])));
        }
        return highest == Ranks.Never ? null : highest;
    }

    private int Highest(ReadOnlySpan<Correspondence> parts)
    {
        var highest = Ranks.FromTheStart;
        foreach (var part in parts) highest = Math.Max(highest, ranks.OfNeeds[part.Index]);
        return highest;
    }
}
