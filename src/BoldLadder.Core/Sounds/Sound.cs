using System.Collections.Immutable;

namespace BoldLadder.Core.Sounds;

/// <summary>
/// One of the 44 sounds (phonemes) of the reference inventory, Southern British. There is one object for each
/// sound, so sounds are compared by reference. Source: docs/handbook.md, section 4.
/// </summary>
public sealed class Sound
{
    private static readonly ImmutableArray<Sound> Inventory =
    [
        .. InventoryData.Rows("sounds.tsv").Select((row, index) => new Sound(index, row)),
    ];

    private static readonly Dictionary<string, Sound> BySymbol = Inventory.ToDictionary(
        s => s.Symbol,
        StringComparer.Ordinal
    );

    private Sound(int index, string[] row)
    {
        Index = index;
        Symbol = row[0];
        IsVowel = row[1] == "vowel";
        CanBeHeld = row[2] == "held";
        PlainLabel = row[3];
        KeyWord = row[4];
    }

    /// <summary>All 44, consonants first.</summary>
    public static ImmutableArray<Sound> All => Inventory;

    /// <summary>The place in the inventory. In memory only: what is stored is the <see cref="Symbol"/>.</summary>
    public int Index { get; }

    /// <summary>The IPA symbol, by the conventions of docs/data.md (plain r, g is U+0067, ː U+02D0).</summary>
    public string Symbol { get; }

    public bool IsVowel { get; }

    /// <summary>True for a sound that can be held (m, s); false for a short one (t, b).</summary>
    public bool CanBeHeld { get; }

    /// <summary>The label for schools that don't use IPA, always shown with the <see cref="KeyWord"/>.</summary>
    public string PlainLabel { get; }

    /// <summary>A word in which young children hear the sound.</summary>
    public string KeyWord { get; }

    /// <summary>The sound with this symbol; ɡ (U+0261) and ":" are accepted for g and ː.</summary>
    /// <exception cref="FormatException">The symbol is none of the 44.</exception>
    public static Sound Parse(string symbol) =>
        TryParse(symbol, out var sound)
            ? sound
            : throw new FormatException($"\"{symbol}\" is not one of the 44 sounds.");

    public static bool TryParse(string symbol, [System.Diagnostics.CodeAnalysis.NotNullWhen(true)] out Sound? sound) =>
        BySymbol.TryGetValue(symbol, out sound)
        || BySymbol.TryGetValue(symbol.Normalize().Replace('ɡ', 'g').Replace(':', 'ː'), out sound);

    /// <summary>True for the symbol of a short vowel that is said in full: æ e ɪ ɒ ʌ ʊ.</summary>
    public static bool IsShortVowel(string symbol) => symbol is "æ" or "e" or "ɪ" or "ɒ" or "ʌ" or "ʊ";

    public override string ToString() => Symbol;
}
