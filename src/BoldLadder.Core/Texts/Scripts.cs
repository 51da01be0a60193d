using System.Text;

namespace BoldLadder.Core.Texts;

/// <summary>Whether a text is written in letters that this product knows anything of.</summary>
public static class Scripts
{
    private const int LastLatin = 0x24F;

    /// <summary>False where most letters are of another script than Latin: Arabic, Cyrillic, Chinese.</summary>
    public static bool IsLatin(string text)
    {
        var (latin, other) = (0, 0);
        foreach (var rune in text.EnumerateRunes())
        {
            if (!Rune.IsLetter(rune))
                continue;
            if (rune.Value <= LastLatin || rune.Value is >= 0x1E00 and <= 0x1EFF)
                latin++;
            else
                other++;
        }
        return other <= latin;
    }
}
