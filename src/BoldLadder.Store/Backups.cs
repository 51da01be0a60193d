namespace BoldLadder.Store;

/// <summary>
/// A backup of the whole database that was restored and counted, told by <c>bold-admin</c>. The app reads it and writes
/// none.
/// </summary>
public sealed class Backup
{
    public required Guid Id { get; init; }

    public required DateTime ProvenAt { get; init; }

    /// <summary>Rows it has.</summary>
    public required long Rows { get; init; }
}
