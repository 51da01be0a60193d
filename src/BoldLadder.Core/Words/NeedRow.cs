namespace BoldLadder.Core.Words;

/// <summary>
/// What one word needs in an accent, as numbers: a correspondence's index, or <see cref="WordRows.NeedOf"/> a pattern.
/// What it means to read it, others say.
/// </summary>
/// <param name="body">Its correspondences outside the suffix, in word order.</param>
/// <param name="ending">Those inside the suffix.</param>
/// <param name="changedAt">The place in the body that a join changed, and what the base has there: either will do; -1
/// for none.</param>
/// <param name="suffix">The place of its suffix among the patterns; -1 for none.</param>
public readonly ref struct NeedRow(
    ReadOnlySpan<int> body,
    ReadOnlySpan<int> ending,
    ReadOnlySpan<int> patterns,
    int changedAt,
    int ofBase,
    int suffix
)
{
    public const int None = -1;

    public ReadOnlySpan<int> Body { get; } = body;

    public ReadOnlySpan<int> Ending { get; } = ending;

    public ReadOnlySpan<int> Patterns { get; } = patterns;

    public int ChangedAt { get; } = changedAt;

    public int OfBase { get; } = ofBase;

    public int Suffix { get; } = suffix;
}
