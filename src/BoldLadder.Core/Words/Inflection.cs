using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// The segmentation of a word that is a base with a suffix: the base's own parts, what the join does to them, and the
/// suffix as it is said after them.
/// Source: docs/handbook.md, section 4 (Pattern; suffix, joins); conventions in docs/data.md.
/// </summary>
public static class Inflection
{
    private static readonly Dictionary<Patterns, string[]> Endings = new()
    {
        [Patterns.SuffixIng] = ["i=ɪ", "ng=ŋ"],
        [Patterns.SuffixEst] = ["e=ɪ", "s=s", "t=t"],
        [Patterns.SuffixEr] = ["er=ə"],
        [Patterns.SuffixY] = ["y=iː"],
    };

    /// <summary>
    /// The word's segmentation made from its base's; null where the join can't be made or the word's letters don't come
    /// out.
    /// </summary>
    public static Segmentation? Of(string word, SuffixLink link, Segmentation stem)
    {
        var made = link.Suffix switch
        {
            Patterns.SuffixS => WithS(stem, link, word),
            Patterns.SuffixEs => Hisses(stem) && Before(stem, link.Join, "") is { } before
                ? [.. before, Correspondence.Parse("es=ɪ+z")]
                : default,
            // agreed keeps its ee
            Patterns.SuffixEd when stem.Parts[^1].Grapheme.Text == "ee" => stem.Parts.Add(Correspondence.Parse("d=d")),
            Patterns.SuffixEd => Before(stem, link.Join, "l=ə+l") is { } before
                ? [.. before, Correspondence.Parse($"ed={EndingSounds.OfEd(stem)}")]
                : default,
            Patterns.SuffixLy => WithLy(stem, link),
            _ => Before(stem, link.Join, "l=l") is { } before
                ? [.. before, .. Endings[link.Suffix].Select(Correspondence.Parse)]
                : default,
        };
        return made.IsDefault || new Segmentation(made) is var found && found.Rejoin() != word
            ? null
            : new Segmentation(made);
    }

    /// <summary>
    /// The parts of a base as they stand before a suffix; null when it has none that the join could change.
    /// </summary>
    /// <param name="fromLe">What a final le leaves.</param>
    private static ImmutableArray<Correspondence>? Before(Segmentation stem, Patterns join, string fromLe) =>
        join switch
        {
            Patterns.JoinDropE => WithoutE(stem.Parts, fromLe),
            Patterns.JoinDouble => Doubled(stem.Parts),
            Patterns.JoinYToI => YTo(stem.Parts, "i"),
            _ => stem.Parts,
        };

    internal static bool Hisses(Segmentation stem) => EndingSounds.LastOf(stem) == EndingSounds.Last.Hissing;

    private static ImmutableArray<Correspondence> WithS(Segmentation stem, SuffixLink link, string word)
    {
        if (Hisses(stem))
            return default;
        var said = Correspondence.Parse($"s={EndingSounds.OfS(stem)}");
        if (link.Join == Patterns.JoinYToI)
            return YTo(stem.Parts, "ie") is { } parts ? parts.Add(said) : default;
        if (word.Length == link.Base.Length + 1)
            return stem.Parts.Add(said);
        return stem.Parts[^1].Notation == "o=əʊ"
            ? stem.Parts[..^1].Add(Correspondence.Parse("oe=əʊ")).Add(said)
            : default;
    }

    private static ImmutableArray<Correspondence> WithLy(Segmentation stem, SuffixLink link)
    {
        var y = Correspondence.Parse("y=iː");
        var l = Correspondence.Parse("l=l");
        if (link.Join == Patterns.JoinYToI)
            return YTo(stem.Parts, "i") is { } parts ? Weakened(parts).Add(l).Add(y) : default;
        if (link.Join == Patterns.JoinDropE)
            return stem.Parts[^1].Notation == "le=ə+l" ? stem.Parts[..^1].Add(l).Add(y) : default;
        return stem.Parts[^1].Notation switch
        {
            "l=l" when link.Base.EndsWith('l') => stem.Parts[..^1].Add(Correspondence.Parse("ll=l")).Add(y),
            "ll=l" => stem.Parts.Add(y),
            _ => stem.Parts.Add(l).Add(y),
        };
    }

    /// <summary>
    /// A split digraph leaves its vowel letter, ce leaves c, are leaves ar, le what its suffix asks for.
    /// </summary>
    private static ImmutableArray<Correspondence>? WithoutE(ImmutableArray<Correspondence> parts, string fromLe)
    {
        if (parts[^1].Notation == "le=ə+l")
            return fromLe.Length > 0 ? parts.SetItem(parts.Length - 1, Correspondence.Parse(fromLe)) : null;
        for (var i = parts.Length - 1; i >= Math.Max(0, parts.Length - 3); i--)
        {
            if (parts[i].Grapheme.IsSplit && parts[i].Grapheme.Text[2] == 'e')
                return Rewritten(parts, i, parts[i].Grapheme.Text[..1]);
        }
        return parts[^1].Grapheme.Text is [.., 'e'] and { Length: > 1 } text
            ? Rewritten(parts, parts.Length - 1, text[..^1])
            : null;
    }

    private static ImmutableArray<Correspondence>? Doubled(ImmutableArray<Correspondence> parts)
    {
        var last = parts[^1].Grapheme.Text;
        if (parts[^1].IsVowel)
            return last[^1] == 'r' ? Rewritten(parts, parts.Length - 1, last + "r") : null;
        return last.Length == 1 ? Rewritten(parts, parts.Length - 1, last + last) : null;
    }

    private static ImmutableArray<Correspondence>? YTo(ImmutableArray<Correspondence> parts, string letters) =>
        parts[^1].Grapheme.Text == "y" ? Rewritten(parts, parts.Length - 1, letters) : null;

    /// <summary>happily has a short i.</summary>
    private static ImmutableArray<Correspondence> Weakened(ImmutableArray<Correspondence> parts) =>
        parts[^1].Notation == "i=iː" ? parts.SetItem(parts.Length - 1, Correspondence.Parse("i=ɪ")) : parts;

    private static ImmutableArray<Correspondence>? Rewritten(
        ImmutableArray<Correspondence> parts,
        int place,
        string letters
    ) => Correspondence.Find(letters, parts[place].SoundText) is { } found ? parts.SetItem(place, found) : null;
}
