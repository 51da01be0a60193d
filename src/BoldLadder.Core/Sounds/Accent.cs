using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Sounds;

/// <summary>
/// How a school's accent sounds the reference correspondences. Segmentation is the same in every accent; an accent is a
/// projection from a correspondence to the sounds it has there. Total: every correspondence has a projection.
/// Source: docs/handbook.md, section 4 (Accent).
/// </summary>
public abstract record Accent(string Id)
{
    public static readonly Accent SouthernBritish = new SouthernBritishAccent();
    public static readonly Accent NorthernEnglish = new NorthernEnglishAccent();
    public static readonly Accent GeneralAmerican = new GeneralAmericanAccent();

    /// <summary>The three profiles there are; other accents have none yet and screens say so.</summary>
    public static ImmutableArray<Accent> All { get; } = [SouthernBritish, NorthernEnglish, GeneralAmerican];

    /// <summary>The profile with this id, as the command and a school's settings write it.</summary>
    /// <exception cref="FormatException">There is no such profile; the message lists those there are.</exception>
    public static Accent Parse(string id) => All.FirstOrDefault(a => a.Id == id)
        ?? throw new FormatException($"\"{id}\" is not an accent. Use one of: {string.Join(", ", All.Select(a => a.Id))}.");

    /// <summary>
    /// The sounds of <paramref name="correspondence"/> in this accent as one string, sounds joined by "+":
    /// <c>ɪ</c>, <c>k+s</c>, and in General American <c>ɑː+r</c>.
    /// </summary>
    public abstract string Project(Correspondence correspondence);

    /// <summary>True when two correspondences are the same letters with the same sounds in this accent.</summary>
    public bool AreOne(Correspondence one, Correspondence other) =>
        one.Grapheme == other.Grapheme && Project(one) == Project(other);

    private sealed record SouthernBritishAccent() : Accent("southern-british")
    {
        public override string Project(Correspondence correspondence) => correspondence.SoundText switch
        {
            "ʊə" => "ɔː",
            var sounds => sounds,
        };
    }

    private sealed record NorthernEnglishAccent() : Accent("northern-english")
    {
        public override string Project(Correspondence correspondence)
        {
            if (correspondence.IsBath) return "æ";
            return correspondence.SoundText switch
            {
                "ʊə" => "ɔː",
                "ʌ" => "ʊ",
                "w+ʌ" => "w+ʊ",
                var sounds => sounds,
            };
        }
    }

    private sealed record GeneralAmericanAccent() : Accent("general-american")
    {
        public override string Project(Correspondence correspondence)
        {
            if (correspondence.IsBath) return "æ";
            var sounds = correspondence.SoundText.Replace("ɪə", "ɪ", StringComparison.Ordinal)
                .Replace("eə", "e", StringComparison.Ordinal).Replace("ʊə", "ʊ", StringComparison.Ordinal);
            var letters = correspondence.Grapheme.Letters;
            return correspondence.IsVowel && letters.Contains('r', StringComparison.Ordinal) ? sounds + "+r" : sounds;
        }
    }
}
