using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Activities.Chains;

/// <summary>What is wrong at a step of a chain.</summary>
public enum ChainProblem
{
    /// <summary>No word that people know.</summary>
    NotReal,

    /// <summary>A word that is never shown to children.</summary>
    Unsuitable,

    /// <summary>It needs what was not taught.</summary>
    NotDecodable,

    /// <summary>The word came before.</summary>
    Repeated,

    /// <summary>More than one grapheme changes, or none.</summary>
    NotOneChange,
}

/// <summary>One word of a chain, judged.</summary>
/// <param name="Segmentation">Null when nothing is known of the word.</param>
/// <param name="Change">From the word before; null on the first step and where it is not one change.</param>
/// <param name="Needs">What was not taught; empty when the word is decodable, or nothing was said of what was
/// taught.</param>
public sealed record JudgedStep(
    string Word,
    Segmentation? Segmentation,
    ChainChange? Change,
    ImmutableArray<ChainProblem> Problems,
    ImmutableArray<Obstacle> Needs
)
{
    public bool IsValid => Problems.IsEmpty;
}

/// <summary>
/// Says of a chain that someone typed what is wrong at which step. Source: docs/handbook.md, section 7 (Chain).
/// </summary>
/// <param name="taught">What children were taught; null when only the steps are judged.</param>
public sealed class ChainJudge(WordFinder finder, Taught? taught)
{
    public ImmutableArray<JudgedStep> Judge(IEnumerable<string> words)
    {
        var steps = ImmutableArray.CreateBuilder<JudgedStep>();
        var seen = new HashSet<string>(StringComparer.Ordinal);
        (ImmutableArray<Segmentation> Readings, bool Any) before = ([], false);
        foreach (var written in words)
        {
            var found = finder.Find(written);
            var problems = ImmutableArray.CreateBuilder<ChainProblem>();
            var needs = ImmutableArray<Obstacle>.Empty;
            if (found.Word is null || found.Source is WordSource.Guessed)
                problems.Add(ChainProblem.NotReal);
            else if (found.Word.Suitability == Suitability.Never)
                problems.Add(ChainProblem.Unsuitable);
            else if (taught is not null && !(needs = taught.Obstacles(found.Word)).IsEmpty)
                problems.Add(ChainProblem.NotDecodable);
            if (!seen.Add(WordFinder.Plain(written)))
                problems.Add(ChainProblem.Repeated);
            var (change, segmentation) = before.Any ? Step(before.Readings, found.Readings) : (null, null);
            if (before.Any && change is null)
                problems.Add(ChainProblem.NotOneChange);
            segmentation ??= found.Readings.IsEmpty ? null : found.Readings[0];
            steps.Add(new JudgedStep(written, segmentation, change, problems.ToImmutable(), needs));
            before = (found.Readings, true);
        }
        return steps.ToImmutable();
    }

    /// <summary>
    /// The change between any two readings of the words: of a word with two splits that both stand, the better one
    /// counts.
    /// </summary>
    private static (ChainChange?, Segmentation?) Step(
        ImmutableArray<Segmentation> from,
        ImmutableArray<Segmentation> to
    )
    {
        foreach (var one in from)
        {
            foreach (var other in to)
            {
                if (ChainSteps.Between(one, other) is { } change)
                    return (change, other);
            }
        }
        return (null, null);
    }
}
