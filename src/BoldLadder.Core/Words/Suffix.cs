using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// How a word is made from a base: hoped is hope with -ed, the e dropped. Source: docs/handbook.md, section 4 (suffix,
/// joins).
/// </summary>
/// <param name="Base">The base word.</param>
/// <param name="Suffix">One of the suffix patterns.</param>
/// <param name="Join">One of the join patterns, or none when nothing changes.</param>
public sealed record SuffixLink(string Base, Patterns Suffix, Patterns Join)
{
    /// <summary>
    /// How many correspondences at the end of the word belong to the suffix: -ing is i|ng, -est is e|s|t. The l of -ly
    /// goes with a base's own l: of finally (final) and gently (gentle) only the y is the suffix's alone.
    /// </summary>
    public int Parts =>
        Suffix switch
        {
            Patterns.SuffixLy => Join == Patterns.JoinDropE || Base.EndsWith('l') ? 1 : 2,
            Patterns.SuffixIng => 2,
            Patterns.SuffixEst => 3,
            _ => 1,
        };
}
