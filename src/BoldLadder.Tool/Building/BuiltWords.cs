using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>
/// The segmentations as they are written: a word made of a base is said as its base is, so that hearing and hear can't
/// disagree, unless people settled it. For
/// -er and -y, which often only look like suffixes, the source must agree. Source: docs/data.md (How it is built).
/// </summary>
/// <param name="aligned">What the aligner found, and what people settled.</param>
/// <param name="hand">Overrides win, and a base may be said in its other readings (separated, from the verb).</param>
internal sealed class BuiltWords(
    IReadOnlyDictionary<string, Segmentation> aligned,
    SuffixFinder suffixes,
    HandWork hand
)
{
    private readonly Dictionary<string, (Segmentation Segmentation, SuffixLink? Link)> built = new(
        StringComparer.Ordinal
    );

    public Segmentation? Of(string word) =>
        aligned.ContainsKey(word) ? Build(word).Segmentation
        : suffixes.IsWord(word) ? Unaligned(word)
        : null;

    public SuffixLink? LinkOf(string word) => Build(word).Link;

    private (Segmentation Segmentation, SuffixLink? Link) Build(string word)
    {
        if (built.TryGetValue(word, out var known))
            return known;
        var own = aligned[word];
        var ways = suffixes
            .Find(word)
            .SelectMany(link => Stems(link.Base).Select(stem => (Link: link, Made: Inflection.Of(word, link, stem))))
            .Where(w => w.Made is not null)
            .ToList();
        var agreed = ways.Find(w => Agree(w.Made!, own, w.Link));
        var way = agreed.Link is not null
            ? agreed
            : ways.Find(w => !hand.IsSettled(word) && (Always(word, w.Link) || hand.Bases.ContainsKey(word)));
        return built[word] = way.Link is null ? (own, null) : (hand.IsSettled(word) ? own : way.Made!, way.Link);
    }

    /// <summary>A base that has no pronunciation of its own (researcher) is made from its base in turn.</summary>
    private Segmentation? Unaligned(string word)
    {
        foreach (var link in suffixes.Find(word))
        {
            if (aligned.ContainsKey(link.Base) && Inflection.Of(word, link, Build(link.Base).Segmentation) is { } made)
                return made;
        }
        return null;
    }

    private IEnumerable<Segmentation> Stems(string word) => Of(word) is { } first ? hand.Also[word].Prepend(first) : [];

    /// <summary>True for the endings that change nothing in a base, and for funnier, whose base ends in y.</summary>
    private static bool Always(string word, SuffixLink link) =>
        link.Suffix switch
        {
            Patterns.SuffixEr => link.Join == Patterns.JoinYToI,
            Patterns.SuffixY => false,
            Patterns.SuffixLy => !word.EndsWith("edly", StringComparison.Ordinal)
                && !word.EndsWith("ically", StringComparison.Ordinal),
            _ => true,
        };

    /// <summary>
    /// True when nobody would hear another word: the same graphemes, and no other difference than between weak vowels
    /// or in the suffix.
    /// </summary>
    private static bool Agree(Segmentation made, Segmentation own, SuffixLink link)
    {
        if (
            made.Graphemes != own.Graphemes
            || (
                made.Parts[^1].SoundText != own.Parts[^1].SoundText
                && link.Suffix is Patterns.SuffixLy or Patterns.SuffixY
            )
        )
            return false;
        for (var i = 0; i < made.Parts.Length - link.Parts; i++)
        {
            var (one, other) = (made.Parts[i].SoundText, own.Parts[i].SoundText);
            if (
                one != other
                && !(IsWeak(one) && IsWeak(other))
                && !(link.Suffix == Patterns.SuffixS && one == "θ" && other == "ð")
            )
                return false;
        }
        return true;
    }

    private static bool IsWeak(string sound) => sound is "ə" or "ɪ" or "j+ə" or "ə+l" or "iː";
}
