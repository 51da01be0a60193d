using System.Text;
using System.Xml;
using BoldLadder.Core;

namespace BoldLadder.Formats.Texts;

/// <summary>What becomes of an element of a document when its text is taken.</summary>
internal enum Taken
{
    /// <summary>What is in it, in the line.</summary>
    Inside,

    /// <summary>What is in it, in a line of its own.</summary>
    Line,

    /// <summary>A space in its place.</summary>
    Space,

    /// <summary>Nothing of it.</summary>
    Nothing,
}

/// <summary>The text of an XML document, read forwards in bounded memory; nothing outside of it is fetched.</summary>
internal static class XmlText
{
    private static readonly XmlReaderSettings Settings = new()
    {
        DtdProcessing = DtdProcessing.Ignore,
        XmlResolver = null,
        IgnoreComments = true,
        IgnoreProcessingInstructions = true,
        MaxCharactersInDocument = TextFile.LargestPart,
    };

    public static XmlReader Open(byte[] xml) => XmlReader.Create(new MemoryStream(xml, writable: false), Settings);

    public static XmlReader Open(string xml) => XmlReader.Create(new StringReader(xml), Settings);

    /// <summary>Adds the text of a document to a text.</summary>
    /// <param name="of">What becomes of an element.</param>
    /// <param name="isText">Whether what stands directly in an element of this name is text.</param>
    /// <exception cref="RefusedException">It is broken, or too much.</exception>
    public static void Add(
        StringBuilder text,
        XmlReader xml,
        Func<XmlReader, Taken> of,
        Func<string, bool>? isText = null
    )
    {
        try
        {
            var inside = new Stack<(string Name, Taken Taken)>();
            var more = xml.Read();
            while (more)
            {
                var skipped = false;
                if (xml.NodeType == XmlNodeType.Element)
                {
                    var taken = of(xml);
                    if (taken == Taken.Nothing)
                    {
                        xml.Skip();
                        skipped = true;
                    }
                    else
                    {
                        Begin(text, taken);
                        if (!xml.IsEmptyElement)
                            inside.Push((xml.LocalName, taken));
                    }
                }
                else if (xml.NodeType == XmlNodeType.EndElement && inside.TryPop(out var ended))
                {
                    if (ended.Taken == Taken.Line)
                        text.Append('\n');
                }
                else if (
                    xml.NodeType
                        is XmlNodeType.Text
                            or XmlNodeType.CDATA
                            or XmlNodeType.SignificantWhitespace
                            or XmlNodeType.Whitespace
                    && inside.TryPeek(out var holder)
                    && isText?.Invoke(holder.Name) != false
                )
                {
                    // Only elements begin lines: where the file breaks its own says nothing.
                    text.Append(xml.Value.ReplaceLineEndings(" ").Replace('\t', ' '));
                }
                if (text.Length > TextFile.MostSigns)
                    throw TextFile.TooLong();
                more = skipped ? !xml.EOF : xml.Read();
            }
        }
        catch (XmlException)
        {
            throw new RefusedException("text-file-broken");
        }
    }

    private static void Begin(StringBuilder text, Taken taken)
    {
        if (taken == Taken.Space)
            text.Append(' ');
        else if (taken == Taken.Line && text.Length > 0 && text[^1] != '\n')
            text.Append('\n');
    }
}
