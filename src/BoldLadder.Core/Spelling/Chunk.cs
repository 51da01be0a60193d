using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace BoldLadder.Core.Spelling;

/// <summary>
/// A vowel with what follows it, taught as one piece over true correspondences. Source: docs/handbook.md, section 4
/// (Chunk).
/// </summary>
/// <param name="Correspondences">Reference notations, in word order: ŋk after a is <c>a=æ n=ŋ k=k</c>.</param>
public sealed record Chunk(string Text, IReadOnlyList<string> Correspondences)
{
    private ImmutableArray<Correspondence> Parts =>
        parts.IsDefault ? parts = [.. Correspondences.Select(Correspondence.Parse)] : parts;

    private ImmutableArray<Correspondence> parts;

    /// <summary>How a ladder writes it: a=æ n=ŋ k=k.</summary>
    [JsonIgnore]
    public string Notation => string.Join(' ', Correspondences);

    /// <exception cref="FormatException">Not a vowel and what follows it.</exception>
    public static Chunk Parse(string notation)
    {
        var correspondences = notation.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var parsed = correspondences.Select(Correspondence.Parse).ToList();
        return parsed.Count > 1 && parsed[0].IsVowel
            ? new Chunk(string.Concat(parsed.Select(p => p.Grapheme.Text)), correspondences)
            : throw new FormatException($"\"{notation}\" is no chunk. Write a vowel and what follows: a=æ n=ŋ k=k");
    }

    /// <summary>The sounds, joined by +.</summary>
    [JsonIgnore]
    public string Sounds => string.Join('+', Parts.Select(p => p.SoundText));

    /// <summary>True when each of its correspondences is one of those.</summary>
    public bool IsOf(Func<Correspondence, bool> taught) => Parts.All(taught);

    /// <summary>The places in a word at which it begins.</summary>
    public IEnumerable<int> PlacesIn(ImmutableArray<Correspondence> word)
    {
        for (var at = 0; at + Parts.Length <= word.Length; at++)
        {
            if (word.AsSpan(at, Parts.Length).SequenceEqual(Parts.AsSpan()))
                yield return at;
        }
    }
}
