using System.Collections.Immutable;
using System.Numerics;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Decoding;

/// <summary>What one rung, or any other step of teaching, brings.</summary>
public readonly record struct TaughtStep(ImmutableArray<Correspondence> Correspondences, Patterns Patterns);

/// <summary>
/// For each correspondence and pattern the step that first makes it readable, <see cref="Never"/> when none does.
/// Source: docs/handbook.md, section 4 (Decodable).
/// </summary>
internal sealed class Ranks
{
    public const int Never = int.MaxValue;
    public const int FromTheStart = -1;

    /// <summary>The correspondences by index, and after them the patterns by bit, free ones from the start.</summary>
    private readonly int[] ranks = new int[WordRows.Needs];
    private readonly int[] taughtPatterns = new int[WordRows.MostPatterns];

    /// <param name="letIn">By index, what each taught correspondence makes readable: <see cref="LetIn"/>.</param>
    public Ranks(IReadOnlyList<TaughtStep> steps, Patterns free, int[][] letIn)
    {
        Array.Fill(ranks, Never);
        Array.Fill(taughtPatterns, Never);
        for (var rung = 0; rung < steps.Count; rung++)
        {
            foreach (var taught in steps[rung].Correspondences)
                Mark(letIn[taught.Index], rung);
            for (var left = (int)steps[rung].Patterns; left != 0; left &= left - 1)
            {
                ref var first = ref taughtPatterns[BitOperations.TrailingZeroCount(left)];
                first = Math.Min(first, rung);
            }
            if (steps[rung].Patterns.HasFlag(Patterns.Contraction))
                Mark([.. Readable.AfterApostrophe.Select(c => c.Index)], rung);
        }
        for (var bit = 0; bit < WordRows.MostPatterns; bit++)
        {
            ranks[Correspondence.All.Length + bit] = ((int)free & (1 << bit)) != 0 ? FromTheStart : taughtPatterns[bit];
        }
    }

    /// <summary>The rung of each need: a correspondence's index, or <see cref="WordRows.NeedOf"/> a pattern.</summary>
    public ReadOnlySpan<int> OfNeeds => ranks;

    /// <summary>
    /// For each pattern, by <see cref="WordRows.BitOf"/>, the rung that teaches it; being free is not enough.
    /// </summary>
    public ReadOnlySpan<int> OfTaughtPatterns => taughtPatterns;

    /// <summary>
    /// For each correspondence the indices of what it makes readable in an accent with these leniencies.
    /// </summary>
    public static int[][] LetIn(Leniencies leniencies, Accent accent) =>
        [.. Correspondence.All.Select(c => Readable.In(accent).From(c, leniencies).Select(r => r.Index).ToArray())];

    private void Mark(int[] readable, int rung)
    {
        foreach (var index in readable)
        {
            if (ranks[index] == Never)
                ranks[index] = rung;
        }
    }
}
