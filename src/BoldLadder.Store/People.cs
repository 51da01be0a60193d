namespace BoldLadder.Store;

/// <summary>
/// A one-time way into a school: what its link gives is fixed when it is made, and no one who has it can ask for more.
/// </summary>
public sealed class Invitation : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    /// <summary>Whom it is for, as the lead calls them: only to tell links apart.</summary>
    public required string For { get; init; }

    public required byte[] CodeHash { get; init; }

    public required Role Role { get; init; }

    /// <summary>The groups that are given with it.</summary>
    public required Guid[] Groups { get; init; }

    public required Guid MadeBy { get; init; }

    public required DateTime MadeAt { get; init; }

    public required DateTime ExpiresAt { get; init; }

    /// <summary>When it was used or taken back.</summary>
    public DateTime? EndedAt { get; set; }

    public Guid? UsedBy { get; set; }
}
