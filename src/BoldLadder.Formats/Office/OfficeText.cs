using System.Text;
using System.Xml;

namespace BoldLadder.Formats.Office;

/// <summary>Text as XML can hold it.</summary>
internal static class OfficeText
{
    /// <summary>Without the signs that no XML file may have: a name that somebody pasted may have any.</summary>
    public static string Clean(string text)
    {
        if (text.All(c => XmlConvert.IsXmlChar(c)))
            return text;
        var clean = new StringBuilder(text.Length);
        foreach (var rune in text.EnumerateRunes())
        {
            // A half of a pair comes as the sign for what can't be read.
            if (rune.Value > char.MaxValue || XmlConvert.IsXmlChar((char)rune.Value))
                clean.Append(rune);
        }
        return clean.ToString();
    }
}
