using System.Collections.Immutable;
using System.Diagnostics.CodeAnalysis;
using BoldLadder.Core.Sounds;

namespace BoldLadder.Core.Spelling;

/// <summary>
/// A grapheme with the sound it stands for, <c>ai=eɪ</c> or <c>x=k+s</c>: what is taught. One object for each of the
/// fixed inventory, so correspondences are compared by reference. Stored by <see cref="Notation"/>, never by index.
/// Source: docs/handbook.md, section 4.
/// </summary>
public sealed class Correspondence
{
    private static readonly ImmutableArray<Correspondence> Fixed = ReadInventory();
    private static readonly Dictionary<string, Correspondence> ByNotation = Fixed.ToDictionary(
        c => c.Notation,
        new NotationComparer()
    );

    private static readonly Dictionary<string, Correspondence>.AlternateLookup<NotationParts> ByParts =
        ByNotation.GetAlternateLookup<NotationParts>();

    private Correspondence(int index, string notation, bool isRegular, bool isBath = false)
    {
        var cut = notation.IndexOf('=', StringComparison.Ordinal);
        Index = index;
        Grapheme = new Grapheme(string.Intern(notation[..cut]));
        SoundText = notation[(cut + 1)..].Split('~')[0];
        Sounds = [.. SoundText.Split('+').Select(Sound.Parse)];
        Notation = notation;
        IsRegular = isRegular;
        IsBath = isBath;
        IsVowel = Sounds[^1].IsVowel || Sounds[0].IsVowel;
    }

    /// <summary>
    /// The a of bath words. The reference writes it <c>a=ɑː</c> like the a of father; it is apart only inside sets,
    /// because accents and the bath leniency treat it differently.
    /// </summary>
    public static Correspondence BathA { get; } = Fixed.Single(c => c.IsBath);

    /// <summary>All of the fixed inventory, <see cref="BathA"/> last.</summary>
    public static ImmutableArray<Correspondence> All => Fixed;

    /// <summary>Place in the inventory, for bit sets in memory.</summary>
    public int Index { get; }

    public Grapheme Grapheme { get; }

    /// <summary>One sound, or two for the named exceptions (x, qu, u …).</summary>
    public ImmutableArray<Sound> Sounds { get; }

    /// <summary>The sounds joined by "+".</summary>
    public string SoundText { get; }

    /// <summary>grapheme=sounds in reference notation.</summary>
    public string Notation { get; }

    /// <summary>False for the few hundred spellings that occur in a handful of words each.</summary>
    public bool IsRegular { get; }

    public bool IsBath { get; }

    /// <summary>
    /// True when the last sound is a vowel, or the first is and only an l, d or z follows it (le, ed, es).
    /// </summary>
    public bool IsVowel { get; }

    /// <summary>
    /// True for a vowel whose grapheme has the letter r, which rhotic accents sound after it (car, fire, centre).
    /// </summary>
    public bool KeepsR => IsVowel && Grapheme.Text.Contains('r', StringComparison.Ordinal);

    /// <summary>True when its r is heard before a vowel: its letters end with r, or r and e.</summary>
    internal bool LinksR =>
        IsVowel && (Grapheme.Text[^1] == 'r' || Grapheme.Text.EndsWith("re", StringComparison.Ordinal));

    /// <summary>What a lesson shows and a log keeps: <see cref="BathA"/> reads <c>a=ɑː</c>.</summary>
    public string ReferenceNotation => IsBath ? "a=ɑː" : Notation;

    /// <summary>The correspondence with this notation.</summary>
    /// <exception cref="FormatException">It is not in the inventory; the message names the nearest by its
    /// letters.</exception>
    public static Correspondence Parse(string notation)
    {
        if (TryParse(notation, out var found))
            return found;
        var grapheme = notation.Split('=')[0];
        var near = Fixed.Where(c => !c.IsBath && c.Grapheme.Text == grapheme).Select(c => c.Notation).Take(6).ToList();
        throw new FormatException(
            $"\"{notation}\" is not a known correspondence."
                + (
                    near.Count > 0
                        ? $" Known for {grapheme}: {string.Join(", ", near)}."
                        : " Write it like sh=ʃ, a-e=eɪ or x=k+s."
                )
        );
    }

    public static bool TryParse(string notation, [NotNullWhen(true)] out Correspondence? correspondence) =>
        (
            ByNotation.TryGetValue(notation, out correspondence)
            || ByNotation.TryGetValue(
                notation.Normalize().Replace('ɡ', 'g').Replace(':', 'ː').Replace('’', '\''),
                out correspondence
            )
        ) && !correspondence.IsBath;

    /// <summary>
    /// The correspondence of these letters and sounds, written exactly by the conventions; null when there is none.
    /// </summary>
    internal static Correspondence? Find(ReadOnlySpan<char> grapheme, ReadOnlySpan<char> sounds) =>
        ByParts.TryGetValue(new NotationParts(grapheme, sounds), out var found) ? found : null;

    public override string ToString() => ReferenceNotation;

    private static ImmutableArray<Correspondence> ReadInventory()
    {
        var rows = InventoryData
            .Rows("correspondences.tsv")
            .Select((row, index) => new Correspondence(index, row[0], row[1] == "regular"))
            .ToList();
        rows.Add(new Correspondence(rows.Count, "a=ɑː~bath", true, isBath: true));
        return [.. rows];
    }
}
