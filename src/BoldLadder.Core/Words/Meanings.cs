using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// One line on what a word means, as a child is told it; also a riddle whose answer is the word. A form such as
/// stitched goes by the line of its base.
/// Source: docs/handbook.md, section 7 (Known to children).
/// </summary>
public sealed class Meanings
{
    /// <summary>Suffixes that change no more of the meaning than a child hears by itself.</summary>
    private const Patterns Forms =
        Patterns.SuffixS | Patterns.SuffixEs | Patterns.SuffixEd | Patterns.SuffixIng | Patterns.SuffixEst;

    private readonly Dictionary<string, string> lines;

    /// <param name="rows">word, tab, meaning; without a meaning for a word that needs none, such as hadn't.</param>
    public Meanings(IEnumerable<string> rows) =>
        lines = rows.Select(r => r.Split('\t'))
            .Where(r => r.Length == 2)
            .ToDictionary(r => r[0], r => r[1], StringComparer.Ordinal);

    public static Meanings None { get; } = new([]);

    public IEnumerable<string> Words => lines.Where(l => l.Value.Length > 0).Select(l => l.Key);

    /// <summary>The line of the word, or of its base with the base before it; null when there is none.</summary>
    public string? Of(Word word) =>
        lines.TryGetValue(word.Spelling, out var line) ? NotEmpty(line)
        : BaseOf(word) is { } plain && lines.TryGetValue(plain, out var ofBase) && NotEmpty(ofBase) is { } told
            ? $"{plain}: {told}"
        : null;

    /// <summary>The line of exactly this word; null when there is none.</summary>
    public string? Line(string spelling) => lines.TryGetValue(spelling, out var line) ? NotEmpty(line) : null;

    /// <summary>True when the word needs no line: its own is left empty, or its base has one.</summary>
    public bool Has(Word word) =>
        lines.ContainsKey(word.Spelling) || (BaseOf(word) is { } plain && lines.ContainsKey(plain));

    private static string? BaseOf(Word word) =>
        word.Suffix is { } link && Forms.HasFlag(link.Suffix) ? link.Base : null;

    private static string? NotEmpty(string line) => line.Length > 0 ? line : null;
}
