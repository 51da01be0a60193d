using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>
/// Finds base, suffix and join of a word whose segmentation continues its base's. Source: docs/handbook.md, section 4 (Pattern).
/// </summary>
public sealed class SuffixFinder(IReadOnlyDictionary<string, Segmentation> words, IReadOnlyDictionary<string, long> counts, HandWork hand, HunspellDictionary dictionary)
{
    private static readonly (string Letters, Patterns Suffix, string[] Endings)[] Suffixes =
    [
        ("es", Patterns.SuffixEs, ["es=ɪ+z"]),
        ("s", Patterns.SuffixS, ["s=s", "s=z"]),
        ("ed", Patterns.SuffixEd, ["ed=t", "ed=d", "ed=ɪ+d"]),
        ("ing", Patterns.SuffixIng, ["i=ɪ ng=ŋ"]),
        ("est", Patterns.SuffixEst, ["e=ɪ s=s t=t", "e=ə s=s t=t"]),
        ("er", Patterns.SuffixEr, ["er=ə"]),
        ("ly", Patterns.SuffixLy, ["l=l y=iː"]),
        ("y", Patterns.SuffixY, ["y=iː"]),
    ];

    public SuffixLink? Find(string word)
    {
        if (hand.NotSuffixed.Contains(word)) return null;
        return Suffixes.Where(s => word.EndsWith(s.Letters, StringComparison.Ordinal)).SelectMany(s => Links(word, s.Letters, s.Suffix, s.Endings)).FirstOrDefault();
    }

    /// <summary>The possible links for one suffix, the commonest base first (stepped comes from step, not steppe).</summary>
    private IEnumerable<SuffixLink> Links(string word, string letters, Patterns suffix, string[] endings) =>
        from candidate in Bases(word, letters)
        where candidate.Base.Length >= 2 && words.ContainsKey(candidate.Base) && IsPlausible(word, candidate.Base, suffix)
        let link = new SuffixLink(candidate.Base, suffix, candidate.Join)
        let parts = words[word].Parts
        where parts.Length > link.Parts
            && endings.Contains(string.Join(' ', parts[^link.Parts..]))
            && Continues(words[candidate.Base], parts[..^link.Parts], candidate.Join)
        orderby counts.GetValueOrDefault(candidate.Base) descending, candidate.Base
        select link;

    private static IEnumerable<(string Base, Patterns Join)> Bases(string word, string suffix)
    {
        var stem = word[..^suffix.Length];
        yield return (stem, Patterns.None);
        if (suffix == "s" && stem.EndsWith("ie", StringComparison.Ordinal)) yield return (stem[..^2] + "y", Patterns.JoinYToI);
        if (suffix == "s" && stem.EndsWith("oe", StringComparison.Ordinal)) yield return (stem[..^1], Patterns.None);
        if (suffix == "ly" && stem.EndsWith('i')) yield return (stem[..^1] + "y", Patterns.JoinYToI);
        if (suffix is "s" or "ly") yield break;
        yield return (stem + "e", Patterns.JoinDropE);
        if (stem.Length > 2 && stem[^1] == stem[^2]) yield return (stem[..^1], Patterns.JoinDouble);
        if (stem.EndsWith('i')) yield return (stem[..^1] + "y", Patterns.JoinYToI);
    }

    /// <summary>-er and -y end many words that have no suffix: an -er word must also have -est or be on no list, a -y word a known base.</summary>
    private bool IsPlausible(string word, string stem, Patterns suffix) => suffix switch
    {
        Patterns.SuffixEr => dictionary.Contains(word[..^1] + "st") || stem.Length >= 4,
        Patterns.SuffixY or Patterns.SuffixEst => stem.Length >= 3,
        _ => true,
    };

    private static bool Continues(Segmentation stem, IReadOnlyList<Correspondence> body, Patterns join)
    {
        var parts = stem.Parts;
        if (parts.Length != body.Count) return false;
        for (var i = 0; i < body.Count; i++)
        {
            var last = i == body.Count - 1;
            var same = parts[i].SoundText == body[i].SoundText || (last && join == Patterns.JoinYToI);
            var letters = parts[i].Grapheme == body[i].Grapheme || last || parts[i].Grapheme.IsSplit;
            if (!same || !letters) return false;
        }
        return true;
    }
}
