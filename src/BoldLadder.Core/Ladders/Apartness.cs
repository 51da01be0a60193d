using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders;

/// <summary>
/// How many rungs must lie between two correspondences that children mix up by look or by sound. Source:
/// docs/handbook.md, section 8 (All).
/// </summary>
public static class Apartness
{
    private static readonly HashSet<(string, string)> LookAlikes = Pairs("p/q b/p m/n n/u h/n i/l t/f v/w");

    /// <summary>
    /// Doubles and ck bring no new sound, so only their letters' first meeting counts.
    /// </summary>
    private static bool IsOldSound(Correspondence c) =>
        c.Grapheme.Kind == GraphemeKind.Double || c.Grapheme.Text == "ck";

    private static readonly Lazy<byte[]> Gaps = new(() =>
        [.. Correspondence.All.SelectMany(one => Correspondence.All.Select(other => (byte)Measured(one, other)))]
    );

    /// <summary>
    /// Rungs that must lie from one to the other: 10 for two sounds of one grapheme and for b and d, 3 for look-alikes
    /// and sound-alikes, else 0.
    /// </summary>
    public static int Between(Correspondence one, Correspondence other) =>
        Gaps.Value[(one.Index * Correspondence.All.Length) + other.Index];

    private static int Measured(Correspondence one, Correspondence other)
    {
        if (one.Grapheme == other.Grapheme)
            return one.Sounds[^1] == other.Sounds[^1] ? 0 : 10;
        if (IsLookAlike(one, other))
            return Ordered(one.Grapheme.Text, other.Grapheme.Text) == ("b", "d") ? 10 : 3;
        if (IsOldSound(one) || IsOldSound(other))
            return 0;
        return MixedSounds.Are(one.SoundText, other.SoundText) ? 3 : 0;
    }

    /// <summary>True for two single letters that look alike: b and d, m and n.</summary>
    public static bool IsLookAlike(Correspondence one, Correspondence other)
    {
        var pair = Ordered(one.Grapheme.Text[..1], other.Grapheme.Text[..1]);
        return IsLetter(one) && IsLetter(other) && (pair == ("b", "d") || LookAlikes.Contains(pair));
    }

    /// <summary>Rungs that must lie between the first and a second spelling of a sound.</summary>
    public const int OfSpellings = 10;

    /// <summary>Another spelling of the same sound, which must wait; c, k and ck, and doubles, are excused.</summary>
    public static bool IsSecondSpelling(Correspondence one, Correspondence earlier) =>
        one != earlier
        && one.Grapheme != earlier.Grapheme
        && one.SoundText == earlier.SoundText
        && one.SoundText is not ("k" or "ə")
        && one.Grapheme.Kind != GraphemeKind.Double
        && earlier.Grapheme.Kind != GraphemeKind.Double;

    private static bool IsLetter(Correspondence c) => c.Grapheme.Text.Length == 1 || c.Grapheme.Text == "qu";

    private static (string, string) Ordered(string a, string b) => string.CompareOrdinal(a, b) <= 0 ? (a, b) : (b, a);

    private static HashSet<(string, string)> Pairs(string text) =>
        [.. text.Split(' ').Select(p => p.Split('/')).Select(p => Ordered(p[0], p[1]))];
}
