namespace BoldLadder.School.Refusals;

/// <summary>What a use case gives back: what was asked for, or why not.</summary>
public readonly struct Answer<T>
{
    private readonly T? value;

    private Answer(T? value, Refusal? refusal) => (this.value, Refusal) = (value, refusal);

    /// <summary>Why it was not done; null when it was.</summary>
    public Refusal? Refusal { get; }

    /// <exception cref="InvalidOperationException">It was refused.</exception>
    public T Value => Refusal is null ? value! : throw new InvalidOperationException($"Refused: {Refusal.Sentence}.");

    public static implicit operator Answer<T>(T value) => new(value, null);

    public static implicit operator Answer<T>(Refusal refusal) => new(default, refusal);
}

/// <summary>That something was done, where there is nothing more to say.</summary>
public sealed record Done
{
    public static readonly Done It = new();
}
