using System.Text;

namespace BoldLadder.Formats.Texts;

/// <summary>The text of the body of a WordprocessingML document (DOCX): a line a paragraph.</summary>
internal static class DocxText
{
    public static string Read(byte[] document)
    {
        var text = new StringBuilder();
        using var xml = XmlText.Open(document);
        XmlText.Add(
            text,
            xml,
            element =>
                element.LocalName switch
                {
                    "p" or "br" or "cr" => Taken.Line,
                    "tab" => Taken.Space,
                    // What an older program shows in the place of something; numbers of fields; what was struck out.
                    "Fallback" or "instrText" or "delText" or "del" or "moveFrom" or "pPr" or "rPr" => Taken.Nothing,
                    _ => Taken.Inside,
                },
            name => name == "t"
        );
        return text.ToString();
    }
}
