using BoldLadder.Core.Revisit;

namespace BoldLadder.Store;

/// <summary>
/// A mark as it came from an adult's device, once: the id was made there, so that one that is sent twice is known.
/// Never changed. Source: docs/handbook.md, section 7 (Marking).
/// </summary>
public sealed class KeptMark : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid LessonId { get; init; }

    /// <summary>Null for a mark of the whole group.</summary>
    public Guid? ChildId { get; init; }

    /// <summary>Of what it said, so that another content under the same id is noticed.</summary>
    public required string ContentHash { get; init; }

    /// <summary>When it was made by the device's clock, or when it came where that clock can't be right.</summary>
    public required DateTime MadeAt { get; init; }

    public required DateTime RecordedAt { get; init; }

    public required Guid UserId { get; init; }
}

/// <summary>
/// One thing seen of one target: a row that is never changed. Of several about the same place of the same word, child
/// and lesson the one that was made last counts. Source: docs/memory.md.
/// </summary>
public sealed class StoredEvidence : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid MarkId { get; init; }

    public required Guid LessonId { get; init; }

    public required Guid GroupId { get; init; }

    /// <summary>Null for the group as a whole.</summary>
    public Guid? ChildId { get; init; }

    public required DateOnly Day { get; init; }

    /// <summary>As <see cref="MemoryTarget"/> is written.</summary>
    public required string Target { get; init; }

    public required Skill Skill { get; init; }

    public required Seen Seen { get; init; }

    public required EvidenceSource Source { get; init; }

    public required string Word { get; init; }

    /// <summary>The grapheme of the word, from 0; -1 for the word as a whole.</summary>
    public required int Place { get; init; }

    public required string Written { get; init; }

    public required bool AsSpoken { get; init; }

    public required DateTime MadeAt { get; init; }
}

/// <summary>
/// What evidence comes to for a child, target and skill: kept by the transaction that adds evidence, and the same when
/// it is made anew from it. Source: docs/memory.md.
/// </summary>
public sealed class StoredMemory : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid ChildId { get; init; }

    public required string Target { get; init; }

    public required Skill Skill { get; init; }

    public required Remembered Document { get; set; }
}
