namespace BoldLadder.Store;

public enum JobState
{
    Waiting,
    Running,
    Done,
    Failed,
    Cancelled,
}

/// <summary>
/// Work that takes longer than a request: its row is what screens show of it. What it was given goes when it ends, what
/// it made a day later.
/// </summary>
public sealed class StoredJob : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    /// <summary>A code: import-children.</summary>
    public required string Kind { get; init; }

    public required Guid MadeBy { get; init; }

    public required DateTime MadeAt { get; init; }

    public required JobState State { get; set; }

    /// <summary>What it was given, as its kind reads it; null once it has ended.</summary>
    public byte[]? Input { get; set; }

    /// <summary>How far it is, of <see cref="Total"/>.</summary>
    public int Done { get; set; }

    public int Total { get; set; }

    public bool IsToCancel { get; set; }

    public DateTime? EndedAt { get; set; }

    /// <summary>Why it was refused: a code of a refusal, and its arguments as JSON; null when it was not.</summary>
    public string? Refusal { get; set; }

    public string? RefusalArguments { get; set; }

    /// <summary>A file that it made; null for none, or when it has gone.</summary>
    public byte[]? Result { get; set; }

    public string? ResultName { get; set; }

    /// <summary>How often it was begun: one that was killed is begun again.</summary>
    public int Tries { get; set; }
}
