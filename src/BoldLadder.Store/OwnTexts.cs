namespace BoldLadder.Store;

/// <summary>What a text of the school's own is for.</summary>
public enum OwnTextKind
{
    /// <summary>Read as a whole, with questions.</summary>
    Story,

    /// <summary>Captions and sentences that are read one by one, a line each.</summary>
    Sentences,

    /// <summary>Sentences that are said and written, a line each.</summary>
    Dictation,
}

/// <summary>A text that someone of the school wrote or typed in.</summary>
public sealed class OwnText : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required OwnTextKind Kind { get; set; }

    public required string Title { get; set; }

    public required string Body { get; set; }

    /// <summary>Asked by the adult afterwards.</summary>
    public required List<string> Questions { get; set; }

    /// <summary>Tricky words that are taught before it is read; lower case.</summary>
    public required List<string> First { get; set; }

    /// <summary>Words that the adult says; lower case.</summary>
    public required List<string> Told { get; set; }

    /// <summary>As it was before words were exchanged; empty where none were.</summary>
    public required string Before { get; set; }

    public required Guid AuthorId { get; init; }

    public required DateTime MadeAt { get; init; }

    public required DateTime ChangedAt { get; set; }

    /// <summary>True where colleagues see it and lessons are planned with it.</summary>
    public required bool IsShared { get; set; }

    /// <summary>When it was put away; null while it is in use.</summary>
    public required DateTime? RetiredAt { get; set; }
}
