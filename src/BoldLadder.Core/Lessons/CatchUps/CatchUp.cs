using System.Collections.Immutable;
using BoldLadder.Core.Revisit;

namespace BoldLadder.Core.Lessons.CatchUps;

/// <summary>
/// A few minutes with one child or a small group: what was missed or does not hold, each shown, read and written.
/// Source: docs/handbook.md, section 7 (Catch-up).
/// </summary>
/// <param name="Seconds">How long it takes.</param>
/// <param name="Sentence">Read at the end, where minutes are left; null for none.</param>
public sealed record CatchUp(ImmutableArray<CatchUpPart> Parts, SentenceItem? Sentence, int Seconds);

/// <summary>What is done about one target.</summary>
/// <param name="Card">The grapheme with its sound, or the tricky word.</param>
/// <param name="Read">Words to read, easy to hard.</param>
/// <param name="Write">Words to write.</param>
public sealed record CatchUpPart(
    MemoryTarget Target,
    Item Card,
    ImmutableArray<WordItem> Read,
    ImmutableArray<WordItem> Write
);
