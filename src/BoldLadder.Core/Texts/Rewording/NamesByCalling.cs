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
    private readonly ImmutableArray<string> girlsToo;
    private readonly ImmutableArray<string> boysToo;

    /// <param name="lines">girl or boy and names, with spaces between; girl-too and boy-too for those that are known
    /// and not offered.</param>
    public NamesByCalling(IEnumerable<string> lines)
    {
        var read = lines.Where(l => !l.StartsWith('#')).Select(l => l.Split(' ')).ToList();
        ImmutableArray<string> Of(string kind) =>
            [.. read.Where(l => l[0] == kind).SelectMany(l => l.Skip(1)).Distinct()];
        (girls, boys, girlsToo, boysToo) = (Of("girl"), Of("boy"), Of("girl-too"), Of("boy-too"));
    }

    /// <summary>Every name that is offered.</summary>
    public IEnumerable<string> All => girls.Concat(boys);

    /// <param name="name">In lower case.</param>
    public bool Knows(string name) => IsGirl(name) || IsBoy(name);

    /// <summary>
    /// Names for another: of a girl those of girls; where nobody can tell, as the text goes on, he or she. Those with
    /// the same first letter first.
    /// </summary>
    /// <param name="name">In lower case.</param>
    public IEnumerable<string> Near(string name, TextWords text) =>
        (IsGirl(name), IsBoy(name)) switch
        {
            (true, false) => Sorted(girls, name),
            (false, true) => Sorted(boys, name),
            _ => Sorted(Times(text, "she", "her") > Times(text, "he", "his", "him") ? girls : boys, name),
        };

    private static IEnumerable<string> Sorted(ImmutableArray<string> names, string name) =>
        names.OrderByDescending(n => char.ToLowerInvariant(n[0]) == name[0]);

    private bool IsGirl(string name) => IsIn(girls, name) || IsIn(girlsToo, name);

    private bool IsBoy(string name) => IsIn(boys, name) || IsIn(boysToo, name);

    private static bool IsIn(ImmutableArray<string> names, string name) =>
        names.Any(n => n.Equals(name, StringComparison.OrdinalIgnoreCase));

    private static int Times(TextWords text, params string[] words) =>
        text.Words.Where(w => words.Contains(w.Written.Plain)).Sum(w => w.Times);
}
