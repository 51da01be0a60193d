using System.Collections.Frozen;
using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.RegularExpressions;
using System.Xml;
using BoldLadder.Core;
using BoldLadder.Formats.Packed;

namespace BoldLadder.Formats.Texts;

/// <summary>The text of a book (EPUB 2 or 3): the pages of its spine in order, a line a paragraph.</summary>
internal static partial class EpubText
{
    /// <summary>Fonts made unreadable for others are no lock on the book.</summary>
    private static readonly string[] FontsOnly =
    [
        "http://www.idpf.org/2008/embedding",
        "http://ns.adobe.com/pdf/enc#RC",
    ];

    private static readonly FrozenSet<string> Lines = FrozenSet.ToFrozenSet([
        "p",
        "div",
        "h1",
        "h2",
        "h3",
        "h4",
        "h5",
        "h6",
        "li",
        "br",
        "tr",
        "td",
        "th",
        "blockquote",
        "section",
        "article",
        "figure",
        "figcaption",
        "hr",
        "dt",
        "dd",
    ]);

    public static string Read(ZipArchive zip)
    {
        if (zip.GetEntry("META-INF/encryption.xml") is { } encryption && IsLocked(Decoded(encryption)))
            throw new RefusedException("text-file-locked");
        var package = PathOfPackage(zip);
        var folder = package.Contains('/', StringComparison.Ordinal) ? package[..(package.LastIndexOf('/') + 1)] : "";
        var text = new StringBuilder();
        foreach (var page in Spine(Entry(zip, package)))
        {
            using var xml = XmlText.Open(Decoded(Entry(zip, Resolved(folder, page))));
            XmlText.Add(text, xml, element => element.LocalName switch
                {
                    "head" or "script" or "style" or "nav" or "svg" or "rt" or "rp" => Taken.Nothing,
                    var name when Lines.Contains(name) => Taken.Line,
                    _ => Taken.Inside,
                });
            text.Append('\n');
        }
        return text.ToString();
    }

    private static bool IsLocked(string encryption) =>
        Algorithm().Matches(encryption).Any(m => !FontsOnly.Contains(m.Groups[1].Value));

    private static string PathOfPackage(ZipArchive zip)
    {
        var path = Attributes(Entry(zip, "META-INF/container.xml"), "rootfile", "full-path").FirstOrDefault();
        return path.First ?? throw new RefusedException("text-file-broken");
    }

    /// <summary>The files of the pages, in the order in which they are read.</summary>
    private static List<string> Spine(ZipArchiveEntry package)
    {
        var files = Attributes(package, "item", "id", "href")
            .Where(i => i is { First: not null, Second: not null })
            .DistinctBy(i => i.First)
            .ToDictionary(i => i.First!, i => i.Second!, StringComparer.Ordinal);
        return
        [
            .. Attributes(package, "itemref", "idref")
                .Select(r => r.First is { } id ? files.GetValueOrDefault(id) : null)
                .OfType<string>(),
        ];
    }

    private static List<(string? First, string? Second)> Attributes(
        ZipArchiveEntry entry,
        string element,
        string first,
        string second = ""
    )
    {
        var found = new List<(string?, string?)>();
        try
        {
            using var xml = XmlText.Open(PackedFiles.Read(entry, TextFile.LargestPart));
            while (xml.Read())
            {
                if (xml.NodeType == XmlNodeType.Element && xml.LocalName == element)
                    found.Add((xml.GetAttribute(first), second.Length == 0 ? null : xml.GetAttribute(second)));
            }
        }
        catch (XmlException)
        {
            throw new RefusedException("text-file-broken");
        }
        return found;
    }

    private static ZipArchiveEntry Entry(ZipArchive zip, string path) =>
        zip.GetEntry(path) ?? throw new RefusedException("text-file-broken");

    /// <summary>The place of a page in the zip: its address is relative to the package, and written for the
    /// web.</summary>
    private static string Resolved(string folder, string address)
    {
        var path = new List<string>();
        foreach (var part in (folder + WebUtility.UrlDecode(address.Split('#')[0])).Split('/'))
        {
            if (part == ".." && path.Count > 0)
                path.RemoveAt(path.Count - 1);
            else if (part is not ("." or ".." or ""))
                path.Add(part);
        }
        return string.Join('/', path);
    }

    /// <summary>A page as text, with the names of signs that only HTML knows (&amp;nbsp;) made signs.</summary>
    private static string Decoded(ZipArchiveEntry entry)
    {
        using var reader = new StreamReader(new MemoryStream(PackedFiles.Read(entry, TextFile.LargestPart)));
        return SignName()
            .Replace(reader.ReadToEnd(), m =>
                m.Groups[1].Value is "amp" or "lt" or "gt" or "quot" or "apos" ? m.Value : Sign(m.Value)
            );
    }

    private static string Sign(string name) => WebUtility.HtmlDecode(name) is var sign && sign == name ? "" : sign;

    [GeneratedRegex("&([A-Za-z][A-Za-z0-9]{1,30});", RegexOptions.NonBacktracking)]
    private static partial Regex SignName();

    [GeneratedRegex("Algorithm=\"([^\"]*)\"", RegexOptions.NonBacktracking)]
    private static partial Regex Algorithm();
}
