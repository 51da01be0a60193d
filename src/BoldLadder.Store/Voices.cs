namespace BoldLadder.Store;

public enum VoiceKind
{
    Sound,
    KeyWord,
}

/// <summary>How an adult of the school says a sound or a key word.</summary>
public sealed class Voice : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required VoiceKind Kind { get; init; }

    /// <summary>The sound's symbol, or the word.</summary>
    public required string Name { get; init; }

    /// <summary>A WAVE file: one channel, 16 bits.</summary>
    public required byte[] Wav { get; init; }

    public required int Milliseconds { get; init; }

    public required DateTime MadeAt { get; init; }
}
