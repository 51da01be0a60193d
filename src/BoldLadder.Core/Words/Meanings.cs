namespace BoldLadder.Core.Words;

/// <summary>One line on what a word means, as a child is told it; also a riddle whose answer is the word. Source: docs/handbook.md, section 7 (Known to children).</summary>
public sealed class Meanings
{
    private readonly Dictionary<string, string> lines;

    /// <param name="rows">word, tab, meaning.</param>
    public Meanings(IEnumerable<string> rows) =>
        lines = rows.Select(r => r.Split('\t')).Where(r => r.Length == 2).ToDictionary(r => r[0], r => r[1], StringComparer.Ordinal);

    public static Meanings None { get; } = new([]);

    public IEnumerable<string> Words => lines.Keys;

    public string? Of(string spelling) => lines.GetValueOrDefault(spelling);
}
