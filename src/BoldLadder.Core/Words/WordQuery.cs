using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// What is asked of words; what is null or false does not matter. Source: docs/handbook.md, section 4.
/// </summary>
/// <param name="Letters">Letters that stand in the word, in a row.</param>
/// <param name="With">A correspondence it has, <paramref name="At"/> the place.</param>
/// <param name="Shape">Its word pattern, CVC.</param>
/// <param name="Patterns">Patterns it has, all of them.</param>
/// <param name="KnownOnly">Only words that children know at five.</param>
public sealed record WordQuery(
    string? Letters = null,
    Correspondence? With = null,
    Place? At = null,
    string? Shape = null,
    Patterns Patterns = Spelling.Patterns.None,
    bool KnownOnly = false
)
{
    /// <summary>The patterns that are worth asking by.</summary>
    public static Patterns Asked { get; } =
        Spelling.Patterns.All
        & ~(
            Spelling.Patterns.Contraction
            | Spelling.Patterns.Capitals
            | Spelling.Patterns.JoinDropE
            | Spelling.Patterns.JoinDouble
            | Spelling.Patterns.JoinYToI
        );

    public bool Fits(Word word) =>
        (Letters is null || word.Spelling.Contains(Letters, StringComparison.Ordinal))
        && (!KnownOnly || word.IsKnown)
        && (Shape is null || word.Segmentation.Shape == Shape)
        && (word.Patterns & Patterns) == Patterns
        && (With is null || Stands(word));

    private bool Stands(Word word)
    {
        for (var i = 0; i < word.Required.Length; i++)
        {
            if (word.Required[i].ReferenceNotation != With!.ReferenceNotation)
                continue;
            if (At is null || At == Places.Of(i, word.Required.Length))
                return true;
        }
        return false;
    }
}
