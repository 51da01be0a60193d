namespace BoldLadder.Store;

/// <summary>A card that lies in the school's box: it is not printed again.</summary>
public sealed class OwnedCard : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    /// <summary>What sort of card, as the core names it: graphemes, words.</summary>
    public required string Kind { get; init; }

    /// <summary>What it shows.</summary>
    public required string Key { get; init; }
}
