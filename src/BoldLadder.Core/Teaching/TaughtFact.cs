using System.Collections.Immutable;

namespace BoldLadder.Core.Teaching;

/// <summary>A line of the teaching log: what one lesson taught, and what it showed again.</summary>
/// <param name="RungId">The rung or quiet day that the lesson was for.</param>
public sealed record TaughtFact(
    DateOnly Date,
    ImmutableArray<string> Correspondences,
    ImmutableArray<string> Patterns,
    ImmutableArray<string> Tricky,
    ImmutableArray<string> Seen,
    ImmutableArray<string> Words,
    string? RungId = null
)
{
    /// <summary>What wobbled or was not reached.</summary>
    public ImmutableArray<string> Missed { get; init; } = [];
}
