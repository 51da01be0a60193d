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
    private const int Never = int.MaxValue;
    private const int FromTheStart = -1;

    private readonly int[] rungOf = new int[Correspondence.All.Length];
    private readonly Dictionary<Patterns, int> rungOfPattern = [];
    private readonly Accent accent;

    public Reach(Ladder ladder, Leniencies leniencies, Accent accent)
    {
        this.accent = accent;
        Array.Fill(rungOf, Never);
        var readable = Readable.In(accent);
        for (var rung = 0; rung < ladder.Rungs.Length; rung++)
        {
            foreach (var taught in ladder.Rungs[rung].Correspondences) Mark(readable.From(taught, leniencies), rung);
            foreach (var pattern in ladder.Rungs[rung].Patterns.Each()) rungOfPattern.TryAdd(pattern, rung);
            if (ladder.Rungs[rung].Patterns.HasFlag(Patterns.Contraction)) Mark(Readable.AfterApostrophe, rung);
        }
        Free = ladder.Free;
    }

    private Patterns Free { get; }

    /// <summary>
    /// The index of the rung after which the word is decodable, where a tricky word graduates: -1 when it needs nothing that is taught,
    /// null when it is never decodable on this ladder.
    /// </summary>
    public int? RungOf(Word word)
    {
        var parts = word.NeedsIn(accent).Parts;
        var ending = word.Suffix?.Parts ?? 0;
        var highest = Highest(parts.AsSpan()[..^ending]);
        if (word.Suffix is { } suffix)
        {
            // A taught suffix supplies its sounds; a free one leaves them to be taught.
            highest = Math.Max(highest, Math.Min(rungOfPattern.GetValueOrDefault(suffix.Suffix, Never), Highest(parts.AsSpan()[^ending..])));
        }
        for (var left = (int)(word.Patterns & ~Free); left != 0; left &= left - 1)
        {
            highest = Math.Max(highest, rungOfPattern.GetValueOrDefault((Patterns)(left & -left), Never));
        }
        return highest == Never ? null : highest;
    }

    private int Highest(ReadOnlySpan<Correspondence> parts)
    {
        var highest = FromTheStart;
        foreach (var part in parts) highest = Math.Max(highest, rungOf[part.Index]);
        return highest;
    }

    private void Mark(CorrespondenceSet readable, int rung)
    {
        foreach (var one in readable)
        {
            if (rungOf[one.Index] == Never) rungOf[one.Index] = rung;
        }
    }
}
