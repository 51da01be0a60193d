using BoldLadder.Core.Revisit;

namespace BoldLadder.School.Marks;

/// <summary>What a mark says.</summary>
public enum MarkKind
{
    /// <summary>A word was right for all who are there, but for what was marked otherwise.</summary>
    AllRight,

    /// <summary>A child had a grapheme of a word wrong.</summary>
    Miss,

    /// <summary>It was right after all.</summary>
    Right,

    /// <summary>What a child wrote for a word; the marker gives the verdicts.</summary>
    Written,

    /// <summary>How many of the group had a word: nearly all, half, few.</summary>
    Group,

    /// <summary>How a child read a word: right, slow, helped, wrong.</summary>
    Read,
}

/// <summary>A mark, with an id made where it was made: sent twice it counts once.</summary>
/// <param name="ChildId">Null for one about all.</param>
/// <param name="Place">The grapheme of the word, from 0; null for none.</param>
/// <param name="Seen">What was seen there, or of the whole word; null where the kind says it.</param>
/// <param name="Written">What the child wrote.</param>
/// <param name="Verdicts">An adult's own verdict for each grapheme of what was written; null for the marker's.</param>
/// <param name="MadeAt">By the clock of the device.</param>
public sealed record MarkGiven(
    Guid Id,
    MarkKind Kind,
    Guid? ChildId,
    string Word,
    int? Place,
    Seen? Seen,
    string? Written,
    IReadOnlyList<Seen>? Verdicts,
    DateTime MadeAt
);

/// <param name="Marks">At most some hundreds; more come in parts.</param>
public sealed record MarksGiven(IReadOnlyList<MarkGiven> Marks);

/// <summary>What became of a mark.</summary>
public enum MarkFate
{
    /// <summary>It is kept.</summary>
    Kept,

    /// <summary>It was kept before.</summary>
    Known,

    /// <summary>It is kept, with the time at which it came: the device's clock can't be right.</summary>
    KeptNow,

    /// <summary>It is not kept, and why.</summary>
    Refused,
}

/// <param name="Reason">A code of the catalogue; null for one that is kept.</param>
public sealed record MarkAnswer(Guid Id, MarkFate Fate, string? Reason);

public sealed record MarkAnswers(IReadOnlyList<MarkAnswer> Marks);

/// <summary>What there is to mark in a lesson, and what was marked.</summary>
/// <param name="WordTick">True where a word that is right has a tick of its own.</param>
public sealed record MarkingView(
    Guid LessonId,
    DateOnly Date,
    string Group,
    bool WordTick,
    IReadOnlyList<MarkedWord> Words,
    IReadOnlyList<MarkedChild> Children,
    IReadOnlyList<MarkSeen> Seen
);

/// <param name="Graphemes">As they are written, one for each place.</param>
/// <param name="IsSpelled">True for a word that is written in the lesson; false for one that is only read.</param>
/// <param name="IsTricky">True for one that children know by heart.</param>
public sealed record MarkedWord(string Word, IReadOnlyList<string> Graphemes, bool IsSpelled, bool IsTricky);

public sealed record MarkedChild(Guid Id, string Name, bool IsAway);

/// <summary>What counts of the lesson's marks.</summary>
/// <param name="ChildId">Null for the whole group.</param>
/// <param name="Place">The grapheme, from 0; -1 for the word as a whole.</param>
public sealed record MarkSeen(
    Guid? ChildId,
    string Word,
    int Place,
    Skill Skill,
    Seen Seen,
    string Written,
    EvidenceSource Source
);

/// <summary>What a marker says of an attempt that is being typed.</summary>
public sealed record AttemptAsked(string Word, string Written);

/// <param name="Verdicts">One for each grapheme.</param>
/// <param name="Extra">Letters that belong to none.</param>
public sealed record AttemptView(IReadOnlyList<GraphemeSeen> Verdicts, IReadOnlyList<string> Extra, bool Whole);

public sealed record GraphemeSeen(string Grapheme, Seen Seen, string Written, bool AsSpoken);
