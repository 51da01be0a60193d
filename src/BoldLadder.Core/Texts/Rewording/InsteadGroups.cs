using System.Collections.Immutable;

namespace BoldLadder.Core.Texts.Rewording;

/// <summary>What words of a group are in a sentence, and what goes with them.</summary>
public enum GroupKind
{
    /// <summary>A verb with nothing done to anything: He ran off.</summary>
    VerbAlone,

    /// <summary>A verb and what it is done to: She mended the bike.</summary>
    VerbWithObject,

    /// <summary>A verb of saying.</summary>
    VerbOfSaying,

    /// <summary>A verb that goes with one little word: look at.</summary>
    VerbWith,

    /// <summary>A thing that is counted.</summary>
    Noun,

    /// <summary>A thing that is not counted.</summary>
    Mass,

    /// <summary>A word for several, as it stands.</summary>
    Plural,
    Adjective,
    Adverb,
    Little,
}

/// <summary>Words that may stand for each other.</summary>
/// <param name="With">The little word that a verb goes with; empty for the other kinds.</param>
/// <param name="Replaced">Bases whose place the others may take.</param>
/// <param name="Offered">Bases, and several words, that may take their place.</param>
public sealed record InsteadGroup(
    GroupKind Kind,
    string With,
    ImmutableArray<string> Replaced,
    ImmutableArray<string> Offered
)
{
    public bool IsVerb => Kind <= GroupKind.VerbWith;
}

/// <summary>
/// Which words may stand for each other in a story (data/sentences/instead.txt). Source: docs/handbook.md, section 7
/// (Text check).
/// </summary>
public sealed class InsteadGroups
{
    private static readonly Dictionary<string, GroupKind> Kinds = new(StringComparer.Ordinal)
    {
        ["vi"] = GroupKind.VerbAlone,
        ["vt"] = GroupKind.VerbWithObject,
        ["vs"] = GroupKind.VerbOfSaying,
        ["n"] = GroupKind.Noun,
        ["m"] = GroupKind.Mass,
        ["s"] = GroupKind.Plural,
        ["a"] = GroupKind.Adjective,
        ["r"] = GroupKind.Adverb,
        ["p"] = GroupKind.Little,
    };

    private readonly ILookup<string, InsteadGroup> byWord;

    /// <exception cref="FormatException">A line begins with no kind; the message names it.</exception>
    public InsteadGroups(IEnumerable<string> lines)
    {
        Groups = [.. lines.Where(l => l.Length > 0 && !l.StartsWith('#')).Select(Read)];
        byWord = Groups.SelectMany(g => g.Replaced.Select(w => (w, g))).ToLookup(w => w.w, w => w.g);
    }

    public ImmutableArray<InsteadGroup> Groups { get; }

    /// <summary>The groups whose words may take the place of a base; the one that begins with it first.</summary>
    public IEnumerable<InsteadGroup> Of(string word) => byWord[word].OrderByDescending(g => g.Replaced[0] == word);

    private static InsteadGroup Read(string line)
    {
        var (kind, rest) = line.Split(' ', 2) is [var first, var more] ? (first, more) : (line, "");
        var with = kind.StartsWith("v+", StringComparison.Ordinal) ? kind[2..] : "";
        if (with.Length == 0 && !Kinds.ContainsKey(kind))
            throw new FormatException($"data/sentences/instead.txt: \"{line}\" begins with no kind.");
        var sides = rest.Split(" > ", 2);
        ImmutableArray<string> alike = [.. sides[0].Split(' ', StringSplitOptions.RemoveEmptyEntries)];
        ImmutableArray<string> only = sides.Length == 1 ? [] : [.. sides[1].Split(' ')];
        return new InsteadGroup(
            with.Length > 0 ? GroupKind.VerbWith : Kinds[kind],
            with,
            alike,
            [.. alike.Concat(only).Select(w => w.Replace('_', ' '))]
        );
    }
}
