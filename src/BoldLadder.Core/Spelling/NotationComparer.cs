using System.Diagnostics.CodeAnalysis;

namespace BoldLadder.Core.Spelling;

/// <summary>The two halves of a notation, <c>ai</c> and <c>eɪ</c>, as they stand in two columns of a row.</summary>
internal readonly ref struct NotationParts(ReadOnlySpan<char> grapheme, ReadOnlySpan<char> sounds)
{
    public ReadOnlySpan<char> Grapheme { get; } = grapheme;

    public ReadOnlySpan<char> Sounds { get; } = sounds;
}

/// <summary>
/// Finds <c>ai=eɪ</c> by its halves without joining them: a lexicon asks for some 350,000 while it is loaded.
/// </summary>
internal sealed class NotationComparer : IEqualityComparer<string>, IAlternateEqualityComparer<NotationParts, string>
{
    public bool Equals(string? one, string? other) => string.Equals(one, other, StringComparison.Ordinal);

    public int GetHashCode([DisallowNull] string notation)
    {
        var cut = notation.IndexOf('=', StringComparison.Ordinal);
        return cut < 0 ? Hash(notation, []) : Hash(notation.AsSpan()[..cut], notation.AsSpan()[(cut + 1)..]);
    }

    public int GetHashCode(NotationParts parts) => Hash(parts.Grapheme, parts.Sounds);

    public bool Equals(NotationParts parts, string notation) =>
        notation.Length == parts.Grapheme.Length + parts.Sounds.Length + 1
        && notation[parts.Grapheme.Length] == '='
        && notation.AsSpan().StartsWith(parts.Grapheme)
        && notation.AsSpan().EndsWith(parts.Sounds);

    public string Create(NotationParts parts) => $"{parts.Grapheme}={parts.Sounds}";

    private static int Hash(ReadOnlySpan<char> grapheme, ReadOnlySpan<char> sounds)
    {
        var hash = 17;
        foreach (var letter in grapheme)
            hash = unchecked((hash * 31) + letter);
        hash = unchecked(hash * 31);
        foreach (var sign in sounds)
            hash = unchecked((hash * 31) + sign);
        return hash;
    }
}
