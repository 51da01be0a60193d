using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Decoding;

/// <summary>
/// What a school counts as readable although it has not been taught to the letter. On in lessons by default, off on the
/// command line. Source: docs/handbook.md, section 4 (Leniencies).
/// </summary>
[Flags]
public enum Leniencies
{
    None = 0,

    /// <summary>ə or ɪ for a taught vowel grapheme in an unstressed syllable.</summary>
    WeakVowel = 1,

    /// <summary>s says z.</summary>
    SAsZ = 2,

    /// <summary>n says ŋ before k and g.</summary>
    NAsNg = 4,

    /// <summary>j+uː counts where uː is taught for the same letters.</summary>
    YooAsOo = 8,

    /// <summary>The long a of bath words.</summary>
    BathVowel = 16,

    /// <summary>th voiced for unvoiced, and the reverse.</summary>
    ThVoicing = 32,

    All = 63,
}

/// <summary>Which taught correspondence lets in which other.</summary>
public static class LeniencyRules
{
    private static readonly Dictionary<string, Leniencies> ById = Enum.GetValues<Leniencies>()
        .Where(l => int.IsPow2((int)l))
        .ToDictionary(l =>
            string.Concat(
                l.ToString()
                    .Select((c, i) => char.IsUpper(c) ? (i == 0 ? "" : "-") + char.ToLowerInvariant(c) : c.ToString())
            )
        );

    /// <summary>The leniencies in words a message can use: weak-vowel, s-as-z.</summary>
    public static string Names(this Leniencies leniencies) => string.Join(", ", leniencies.Ids());

    /// <summary>The ids by which ladders and settings name leniencies.</summary>
    public static IReadOnlyList<string> Ids(this Leniencies leniencies) =>
        [.. ById.Where(l => leniencies.HasFlag(l.Value)).Select(l => l.Key)];

    /// <exception cref="FormatException">There is no leniency with one of these ids; the message lists
    /// them.</exception>
    public static Leniencies Parse(IEnumerable<string> ids) =>
        ids.Aggregate(Leniencies.None, (all, id) =>
            ById.TryGetValue(id, out var found)
                ? all | found
                : throw new FormatException($"\"{id}\" is not a leniency. Use one of: {string.Join(", ", ById.Keys)}.")
        );

    /// <summary>
    /// The leniency by which a child who was taught <paramref name="taught"/> may be asked for <paramref
    /// name="asked"/>; none when there is no such leniency.
    /// </summary>
    public static Leniencies Between(Correspondence taught, Correspondence asked)
    {
        // The s of dog's is the s of dogs.
        var letters = asked.Grapheme.Text.TrimStart('\'');
        if (taught.Grapheme.Text != letters || taught == asked)
            return Leniencies.None;
        return (asked.SoundText, taught.SoundText) switch
        {
            _ when asked.IsBath && taught.Notation == "a=æ" => Leniencies.BathVowel,
            ("z", "s") => Leniencies.SAsZ,
            ("ŋ", "n") => Leniencies.NAsNg,
            ("j+uː", "uː") => Leniencies.YooAsOo,
            ("ð", "θ") or ("θ", "ð") => Leniencies.ThVoicing,
            ("ə", _) when taught.IsVowel => Leniencies.WeakVowel,
            ("ɪ", _) when taught.IsVowel && asked.Grapheme.Text is "e" or "a" => Leniencies.WeakVowel,
            _ => Leniencies.None,
        };
    }
}
