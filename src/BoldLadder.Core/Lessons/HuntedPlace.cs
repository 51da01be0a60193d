using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons;

/// <summary>
/// Letters of a printed word that look like what is hunted. Laid over when a lesson is shown; never stored.
/// </summary>
/// <param name="Letters">Their places in the word as it is printed, from 0.</param>
/// <param name="IsTarget">True where they say what is hunted; false where they have another job.</param>
public sealed record HuntedPlace(ImmutableArray<int> Letters, bool IsTarget)
{
    /// <summary>The same after so many signs that stand before the word.</summary>
    public HuntedPlace From(int signs) => this with { Letters = [.. Letters.Select(l => l + signs)] };
}
