using System.Collections.Immutable;

namespace BoldLadder.Core.Texts.Rewording;

/// <summary>
/// First names by who may have them (data/sentences/called.txt), for when a name stands in the way. Source:
/// docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class NamesByCalling
{
    private readonly ImmutableArray<string> girls;
    private readonly ImmutableArray<string> boys;

    /// <param name="lines">girl or boy and names, with spaces between.</param>
    public NamesByCalling(IEnumerable<string> lines)
    {
        var read = lines.Where(l => !l.StartsWith('#')).Select(l => l.Split(' ')).ToList();
        girls = [.. read.Where(l => l[0] == "girl").SelectMany(l => l.Skip(1)).Distinct()];
        boys = [.. read.Where(l => l[0] == "boy").SelectMany(l => l.Skip(1)).Distinct()];
    }

    /// <summary>Every name there is.</summary>
    public IEnumerable<string> All => girls.Concat(boys);

    /// <param name="name">In lower case.</param>
    public bool Knows(string name) => IsIn(girls, name) || IsIn(boys, name);

    /// <summary>
    /// Names for another: of a girl those of girls; where nobody can tell, as the text goes on, he or she. Those with
    /// the same first letter first.
    /// </summary>
    /// <param name="name">In lower case.</param>
    public IEnumerable<string> Near(string name, TextWords text) =>
        (IsIn(girls, name), IsIn(boys, name)) switch
        {
            (true, false) => Sorted(girls, name),
            (false, true) => Sorted(boys, name),
            _ => Sorted(Times(text, "she", "her") > Times(text, "he", "his", "him") ? girls : boys, name),
        };

    private static IEnumerable<string> Sorted(ImmutableArray<string> names, string name) =>
        names.OrderByDescending(n => char.ToLowerInvariant(n[0]) == name[0]);

    private static bool IsIn(ImmutableArray<string> names, string name) =>
        names.Any(n => n.Equals(name, StringComparison.OrdinalIgnoreCase));

    private static int Times(TextWords text, params string[] words) =>
        text.Words.Where(w => words.Contains(w.Written.Plain)).Sum(w => w.Times);
}
