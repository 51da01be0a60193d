using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Pasted;

/// <summary>A line of an order that a school has written down, as it is read: one rung.</summary>
/// <param name="Line">Its number, from 1.</param>
/// <param name="Text">As it was written.</param>
/// <param name="Unread">What of it can't be read; such a line is kept aside whole. Empty when all can.</param>
public sealed record PastedLine(
    int Line,
    string Text,
    ImmutableArray<PastedPart> Parts,
    Patterns Patterns,
    ImmutableArray<string> Tricky,
    ImmutableArray<string> Unread
)
{
    public bool IsRead => Unread.IsEmpty;
}

/// <summary>A grapheme of a line with what it may stand for.</summary>
/// <param name="Written">As it was written: <c>ow (cow)</c>.</param>
/// <param name="Choices">The likeliest first; several where it is in doubt.</param>
public sealed record PastedPart(string Written, ImmutableArray<Correspondence> Choices)
{
    public bool IsInDoubt => Choices.Length > 1;
}
