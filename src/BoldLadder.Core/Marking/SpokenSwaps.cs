namespace BoldLadder.Core.Marking;

/// <summary>
/// Sounds that many children say for others, by accent or while speech is still growing. A spelling that follows one is
/// tagged, for adults; it is no diagnosis. Source: docs/handbook.md, sections 7 (Marking: as spoken) and 10.
/// </summary>
public static class SpokenSwaps
{
    private static readonly Dictionary<string, string[]> SaidFor = new(StringComparer.Ordinal)
    {
        ["θ"] = ["f", "s", "t"],
        ["ð"] = ["v", "f", "d", "z"],
        ["r"] = ["w"],
        ["l"] = ["w"],
        ["s"] = ["θ"],
        ["z"] = ["ð"],
        ["k"] = ["t"],
        ["g"] = ["d"],
        ["ŋ"] = ["n"],
        ["tʃ"] = ["ʃ", "t"],
        ["dʒ"] = ["d"],
    };

    /// <summary>The sounds that may be heard for a sound.</summary>
    public static IReadOnlyList<string> For(string sound) => SaidFor.GetValueOrDefault(sound, []);

    /// <summary>True for a sound that many accents leave out at the start of a word.</summary>
    public static bool MayBeDropped(string sound, int place) => sound == "h" && place == 0;
}
