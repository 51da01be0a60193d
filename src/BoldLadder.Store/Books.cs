namespace BoldLadder.Store;

/// <summary>A reading book on the school's shelf.</summary>
public sealed class Book : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required string Title { get; set; }

    /// <summary>The school's own label of its level; may be empty.</summary>
    public required string Label { get; set; }

    /// <summary>0 where nobody counted.</summary>
    public required int Pages { get; set; }

    public required int Copies { get; set; }

    /// <summary>Its words, typed in by the school; empty where they were not.</summary>
    public required string Body { get; set; }

    /// <summary>Words that the adult says; lower case.</summary>
    public required List<string> Told { get; set; }

    public required DateTime ChangedAt { get; set; }
}

/// <summary>What a group does with a book.</summary>
public enum BookUseKind
{
    /// <summary>Read together on a day, again on others.</summary>
    Read,

    /// <summary>Taken home from a day on.</summary>
    Home,
}

/// <summary>A book with a group: read on a day, or at home since.</summary>
public sealed class BookUse : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid BookId { get; init; }

    public required Guid GroupId { get; init; }

    public required BookUseKind Kind { get; init; }

    public required DateOnly Day { get; init; }

    /// <summary>How many copies are at home; 0 for a reading.</summary>
    public required int Copies { get; set; }

    /// <summary>The day on which it came back; null while it has not, and for a reading.</summary>
    public required DateOnly? BackOn { get; set; }
}
