using System.Collections.Concurrent;
using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Accents;

/// <summary>
/// The ways in which accents differ that a school can switch. Source: docs/handbook.md, section 4 (Accent).
/// </summary>
[Flags]
public enum AccentSwitches
{
    None = 0,

    /// <summary>bath has the vowel of trap; the ɑː of palm, father, half and can't is kept.</summary>
    BathAsTrap = 1,

    /// <summary>putt has the vowel of put.</summary>
    PuttAsPut = 1 << 1,

    /// <summary>caught has the vowel of cot; before a sounded r nothing changes.</summary>
    CaughtAsCot = 1 << 2,

    /// <summary>poor has the vowel of paw.</summary>
    PoorAsPaw = 1 << 3,

    /// <summary>pen has the vowel of pin: before n, m and ŋ.</summary>
    PenAsPin = 1 << 4,

    /// <summary>book has a long vowel: oo before k.</summary>
    LongOoInBook = 1 << 5,

    /// <summary>sing ends with a g that is heard.</summary>
    NgWithG = 1 << 6,

    /// <summary>happy ends with the vowel of hit.</summary>
    ShortFinalY = 1 << 7,

    /// <summary>one has the vowel of hot.</summary>
    OneWithO = 1 << 8,
}

/// <summary>
/// How a school's accent sounds the reference correspondences. Segmentation is the same in every accent; an accent is a
/// projection of the sounds: of a correspondence alone (what sets compare) and of a word's correspondences in their
/// places (what is said). Total: every correspondence and every word has a projection. Source: docs/handbook.md,
/// section 4 (Accent).
/// </summary>
/// <param name="Id">The profile's id, as the command and a school's settings write it.</param>
/// <param name="SoundsR">True where r is sounded after vowels (General American).</param>
public sealed record Accent(string Id, AccentSwitches Switches, bool SoundsR = false)
{
    private static readonly ConcurrentDictionary<Accent, string[]> Projections = new();

    /// <summary>Kept at hand, since it is asked for each grapheme of a word. Not part of what an accent is.</summary>
    private string[]? projected;

    /// <summary>For changed copies, which sound otherwise.</summary>
    private Accent(Accent other) => (Id, Switches, SoundsR) = (other.Id, other.Switches, other.SoundsR);

    public static readonly Accent SouthernBritish = new("southern-british", AccentSwitches.PoorAsPaw);
    public static readonly Accent NorthernEnglish = new(
        "northern-english",
        AccentSwitches.PoorAsPaw | AccentSwitches.BathAsTrap | AccentSwitches.PuttAsPut
    );
    public static readonly Accent GeneralAmerican = new("general-american", AccentSwitches.BathAsTrap, SoundsR: true);

    /// <summary>
    /// The three profiles there are, with their usual switches; other accents have none yet and screens say so.
    /// </summary>
    public static ImmutableArray<Accent> All { get; } = [SouthernBritish, NorthernEnglish, GeneralAmerican];

    /// <summary>The profile with this id, as the command and a school's settings write it.</summary>
    /// <exception cref="FormatException">There is no such profile; the message lists those there are.</exception>
    public static Accent Parse(string id) =>
        All.FirstOrDefault(a => a.Id == id)
        ?? throw new FormatException(
            $"\"{id}\" is not an accent. Use one of: {string.Join(", ", All.Select(a => a.Id))}."
        );

    /// <summary>The same profile with one switch set.</summary>
    public Accent With(AccentSwitches change, bool on) =>
        this with
        {
            Switches = on ? Switches | change : Switches & ~change,
        };

    /// <summary>
    /// The sounds of <paramref name="correspondence"/> in this accent as one string, sounds joined by "+":
    /// <c>ɪ</c>, <c>k+s</c>, and in General American <c>ɑː+r</c>. Without a place in a word: what differs by place
    /// stays.
    /// </summary>
    public string Project(Correspondence correspondence) => Projected[correspondence.Index];

    /// <summary>What each correspondence says, by its index.</summary>
    internal string[] Projected =>
        projected ??= Projections.GetOrAdd(this, a => [.. Correspondence.All.Select(a.Projection)]);

    private string Projection(Correspondence correspondence)
    {
        if (correspondence.IsBath && Has(AccentSwitches.BathAsTrap))
            return "æ";
        var sounds = correspondence.SoundText;
        if (SoundsR)
            sounds = WithoutCentringVowels(correspondence, sounds);
        sounds = Merged(sounds);
        if (Has(AccentSwitches.ShortFinalY) && correspondence.Notation is "y=iː" or "ey=iː")
            sounds = "ɪ";
        return SoundsR && correspondence.KeepsR ? sounds + "+r" : sounds;
    }

    public bool Equals(Accent? other) =>
        other is not null && Id == other.Id && Switches == other.Switches && SoundsR == other.SoundsR;

    public override int GetHashCode() => HashCode.Combine(Id, Switches, SoundsR);

    /// <summary>True when two correspondences are the same letters with the same sounds in this accent.</summary>
    public bool AreOne(Correspondence one, Correspondence other) =>
        one.Grapheme == other.Grapheme && Project(one) == Project(other);

    /// <summary>True when a switch is set.</summary>
    public bool Has(AccentSwitches asked) => (Switches & asked) != 0;

    /// <summary>Sounds that were given for General American, with the accent's own mergers.</summary>
    internal string Merged(string sounds)
    {
        if (Has(AccentSwitches.PuttAsPut))
            sounds = sounds.Replace('ʌ', 'ʊ');
        if (Has(AccentSwitches.PoorAsPaw) && sounds == "ʊə")
            sounds = "ɔː";
        if (Has(AccentSwitches.CaughtAsCot) && sounds == "ɔː")
            sounds = "ɒ";
        return sounds;
    }

    /// <summary>
    /// General American has no ɪə, eə, ʊə: the r that made them is sounded; without one (idea) there are two vowels.
    /// </summary>
    private static string WithoutCentringVowels(Correspondence correspondence, string sounds) =>
        sounds
            .Replace(
                "ɪə",
                correspondence.KeepsR || correspondence.Notation == "e=ɪə" ? "ɪ" : "iː+ə",
                StringComparison.Ordinal
            )
            .Replace("eə", "e", StringComparison.Ordinal)
            .Replace("ʊə", "ʊ", StringComparison.Ordinal);
}
