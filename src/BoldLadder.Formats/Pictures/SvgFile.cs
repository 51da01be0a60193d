using System.Collections.Frozen;
using System.Text;
using System.Xml;

namespace BoldLadder.Formats.Pictures;

/// <summary>
/// An SVG picture made safe: shapes, paths, text and gradients stay, by a list of what may; scripts, styles, links,
/// events, other files and what else a drawing program adds go. Nothing in it reaches beyond the file.
/// </summary>
public static class SvgFile
{
    private const string Svg = "http://www.w3.org/2000/svg";
    private const string XLink = "http://www.w3.org/1999/xlink";

    /// <summary>In letters.</summary>
    public const int Longest = 400_000;

    private const int Deepest = 60;

    private static readonly FrozenSet<string> Elements = (
        "svg g defs title desc path rect circle ellipse line polyline polygon text tspan use symbol clipPath mask "
        + "linearGradient radialGradient stop pattern"
    )
        .Split(' ')
        .ToFrozenSet(StringComparer.Ordinal);

    private static readonly FrozenSet<string> Attributes = (
        "id viewBox width height x y x1 y1 x2 y2 cx cy r rx ry fx fy dx dy d points transform fill fill-opacity "
        + "fill-rule stroke stroke-width stroke-opacity stroke-linecap stroke-linejoin stroke-miterlimit "
        + "stroke-dasharray stroke-dashoffset opacity color offset stop-color stop-opacity gradientUnits "
        + "gradientTransform spreadMethod patternUnits patternTransform patternContentUnits clip-path clip-rule "
        + "clipPathUnits mask maskUnits maskContentUnits preserveAspectRatio font-size font-weight text-anchor display "
        + "visibility href"
    )
        .Split(' ')
        .ToFrozenSet(StringComparer.Ordinal);

    /// <summary>The picture with what may stand in it; null for what is none, too long or too deep.</summary>
    public static string? Clean(string text)
    {
        if (text.Length > Longest)
            return null;
        var settings = new XmlReaderSettings
        {
            DtdProcessing = DtdProcessing.Prohibit,
            XmlResolver = null,
            MaxCharactersInDocument = Longest,
            IgnoreComments = true,
            IgnoreProcessingInstructions = true,
        };
        try
        {
            using var reader = XmlReader.Create(new StringReader(text), settings);
            reader.MoveToContent();
            if (reader.NodeType != XmlNodeType.Element || reader.LocalName != "svg" || reader.NamespaceURI != Svg)
                return null;
            var made = new StringBuilder();
            using (
                var writer = XmlWriter.Create(
                    made,
                    new XmlWriterSettings { OmitXmlDeclaration = true, ConformanceLevel = ConformanceLevel.Document }
                )
            )
                Copy(reader, writer);
            return made.ToString();
        }
        catch (XmlException)
        {
            return null;
        }
    }

    /// <summary>Copies the element that the reader is at, and what is in it.</summary>
    private static void Copy(XmlReader reader, XmlWriter writer)
    {
        do
        {
            switch (reader.NodeType)
            {
                case XmlNodeType.Element:
                    if (reader.Depth > Deepest)
                        throw new XmlException("Too deep.");
                    if (reader.NamespaceURI != Svg || !Elements.Contains(reader.LocalName))
                    {
                        // What is in it goes with it; the reader stands behind it then.
                        reader.Skip();
                        if (reader.EOF)
                            return;
                        continue;
                    }
                    var isEmpty = reader.IsEmptyElement;
                    writer.WriteStartElement(reader.LocalName, Svg);
                    CopyAttributes(reader, writer);
                    if (isEmpty)
                        writer.WriteEndElement();
                    break;
                case XmlNodeType.EndElement:
                    writer.WriteEndElement();
                    break;
                case XmlNodeType.Text or XmlNodeType.SignificantWhitespace:
                    writer.WriteString(reader.Value);
                    break;
            }
            if (!reader.Read())
                return;
        } while (!reader.EOF);
    }

    private static void CopyAttributes(XmlReader reader, XmlWriter writer)
    {
        if (!reader.MoveToFirstAttribute())
            return;
        do
        {
            var isOurs =
                reader.NamespaceURI.Length == 0 || (reader.NamespaceURI == XLink && reader.LocalName == "href");
            if (isOurs && Attributes.Contains(reader.LocalName) && IsWithin(reader.LocalName, reader.Value))
                writer.WriteAttributeString(reader.LocalName, reader.Value);
        } while (reader.MoveToNextAttribute());
        reader.MoveToElement();
    }

    /// <summary>True for a value that names nothing outside the file.</summary>
    private static bool IsWithin(string attribute, string value)
    {
        var bare = string.Concat(value.Where(c => !char.IsWhiteSpace(c) && !char.IsControl(c)));
        if (attribute == "href")
            return bare.StartsWith('#');
        for (
            var at = bare.IndexOf("url(", StringComparison.OrdinalIgnoreCase);
            at >= 0;
            at = bare.IndexOf("url(", at + 1, StringComparison.OrdinalIgnoreCase)
        )
        {
            if (!bare[(at + 4)..].StartsWith('#'))
                return false;
        }
        return !bare.Contains("script:", StringComparison.OrdinalIgnoreCase);
    }
}
