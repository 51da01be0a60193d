using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Words;

namespace BoldLadder.Store;

/// <summary>What a school says of a word, with its reason: a thin layer over the shipped lexicon.</summary>
public sealed class StoredWord : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required string Spelling { get; init; }

    public required SchoolVerdict Verdict { get; set; }

    /// <summary>How the school cuts and says it, parted by bars; null unless the verdict is a correction.</summary>
    public string? Graphemes { get; set; }

    public string? Phonemes { get; set; }

    public required string Reason { get; set; }

    public required Guid UserId { get; set; }

    public required DateTime At { get; set; }
}

/// <summary>A school's own template for a kind of day and a length, for all weekdays or for one.</summary>
public sealed class StoredTemplate : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    /// <summary>1 for Monday; null for every day.</summary>
    public int? Weekday { get; init; }

    public required LessonTemplate Document { get; set; }
}

/// <summary>A cover adult's way to one lesson on its day. Only a hash of the code is kept.</summary>
public sealed class CoverPass : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid GroupId { get; init; }

    public required Guid LessonId { get; init; }

    public required DateOnly Date { get; init; }

    public required byte[] CodeHash { get; init; }

    public required Guid MadeBy { get; init; }

    public required DateTime MadeAt { get; init; }

    public bool Ended { get; set; }
}

/// <summary>
/// An address under which a calendar program fetches a group's lessons, for whoever made it and while they may see the
/// group. Only a hash of the code is kept.
/// </summary>
public sealed class CalendarFeed : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid GroupId { get; init; }

    public required Guid MadeBy { get; init; }

    public required DateTime MadeAt { get; init; }

    public required byte[] CodeHash { get; init; }

    /// <summary>When lessons begin, in the school's zone; null for events of a whole day.</summary>
    public TimeOnly? StartsAt { get; init; }

    public DateTime? EndedAt { get; set; }
}

/// <summary>Marks a school made to look round in: it can be deleted as a whole by who made it.</summary>
public sealed class LookRound : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid MadeBy { get; init; }
}
