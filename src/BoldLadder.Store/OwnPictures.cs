namespace BoldLadder.Store;

/// <summary>A picture of the school's own for a word: it goes before the shipped one.</summary>
public sealed class OwnPicture : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required string Word { get; init; }

    /// <summary>A PNG or SVG file that was made safe.</summary>
    public required byte[] Content { get; init; }

    public required bool IsSvg { get; init; }

    /// <summary>Whose it is and on what terms the school has it.</summary>
    public required string Licence { get; init; }

    public required DateTime MadeAt { get; init; }
}
