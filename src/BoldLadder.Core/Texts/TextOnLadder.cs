using System.Collections.Immutable;

namespace BoldLadder.Core.Texts;

/// <summary>
/// A text along a ladder: from which rung each of its words can be read, and how the share of readable words grows
/// with the rungs. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class TextOnLadder
{
    private readonly long words;

    /// <param name="rungs">How many rungs the ladder has.</param>
    /// <param name="isTold">Words that the adult says: they count neither way.</param>
    public TextOnLadder(TextWords text, SentencePlaces places, int rungs, Func<TextWord, bool> isTold)
    {
        RungOf = [.. text.Words.Select(w => isTold(w) ? -1 : places.RungOf(w.Written))];
        var (running, different) = (new long[rungs + 1], new long[rungs + 1]);
        var (allRunning, allDifferent) = (0L, 0L);
        for (var i = 0; i < text.Words.Length; i++)
        {
            if (isTold(text.Words[i]))
                continue;
            (allRunning, allDifferent) = (allRunning + text.Words[i].Times, allDifferent + 1);
            if (RungOf[i] is not { } rung)
                continue;
            running[rung + 1] += text.Words[i].Times;
            different[rung + 1]++;
        }
        words = allRunning;
        (Running, Different) = (Shares(running, allRunning), Shares(different, allDifferent));
    }

    /// <summary>
    /// For each different word the index of the rung after which it can be read: -1 from the start, null for never.
    /// </summary>
    public ImmutableArray<int?> RungOf { get; }

    /// <summary>
    /// The share of running words, 0 to 1, that can be read before the first rung, after the first, and so on.
    /// </summary>
    public ImmutableArray<double> Running { get; }

    /// <summary>The same by different words.</summary>
    public ImmutableArray<double> Different { get; }

    /// <summary>
    /// The index of the earliest rung after which the share of running words reaches a bar; -1 from the start, null
    /// for never.
    /// </summary>
    /// <param name="bar">0 to 1.</param>
    public int? Reaches(double bar)
    {
        if (words == 0)
            return null;
        // A share is a quotient: what is equal on paper may differ by a hair.
        var rung = Running.Index().FirstOrDefault(s => s.Item >= bar - 1e-9, (-1, -1)).Index;
        return rung < 0 ? null : rung - 1;
    }

    private static ImmutableArray<double> Shares(long[] added, long all)
    {
        var shares = ImmutableArray.CreateBuilder<double>(added.Length);
        var sum = 0L;
        foreach (var count in added)
            shares.Add(all == 0 ? 0 : (double)(sum += count) / all);
        return shares.MoveToImmutable();
    }
}
