namespace BoldLadder.Core.Revisit;

/// <summary>What was seen of a target, for a child or a whole group.</summary>
public enum Seen
{
    Right,

    /// <summary>Read right, but slowly.</summary>
    Slow,

    /// <summary>With help.</summary>
    Helped,

    /// <summary>Spelled in another way that stands for the sound: heep.</summary>
    Plausible,

    /// <summary>A look-alike letter: dun for bun.</summary>
    LookAlike,

    /// <summary>Its letters in another order.</summary>
    Order,
    Wrong,
    Missing,

    /// <summary>Of a group: nearly all had it.</summary>
    NearlyAll,
    Half,
    Few,

    /// <summary>It was taught or shown to a child who was there; nobody looked at what the child did.</summary>
    Shown,

    /// <summary>It was taught while the child was away.</summary>
    MissedTeaching,
}

/// <summary>How it came to be known.</summary>
public enum EvidenceSource
{
    /// <summary>All right unless someone said otherwise.</summary>
    ByException,

    /// <summary>What the child wrote was typed or picked, and marked.</summary>
    AsWritten,
    ReadAloud,
    WholeGroup,

    /// <summary>What the lesson showed, with nothing marked.</summary>
    Lesson,
    Check,

    /// <summary>A few minutes with one child or a small group.</summary>
    CatchUp,
}

/// <summary>
/// One thing that was seen. It is never changed: what was wrong is superseded by another with the first one's id.
/// Source: docs/handbook.md, section 7 (Revisit choice, Marking).
/// </summary>
/// <param name="Day">The school day on which it was seen.</param>
/// <param name="Word">The word it was seen in; empty for none.</param>
/// <param name="Written">The letters the child wrote for it; empty where none are known.</param>
/// <param name="AsSpoken">True where it may be how the child says the word.</param>
public sealed record Evidence(
    Guid Id,
    MemoryTarget Target,
    Skill Skill,
    Seen Seen,
    EvidenceSource Source,
    DateOnly Day,
    string Word = "",
    string Written = "",
    bool AsSpoken = false
);
