using System.IO.Compression;
using System.Xml.Linq;
using DocumentFormat.OpenXml.Packaging;

namespace BoldLadder.Formats.Office;

/// <summary>What all office files have around them. The same document is the same file, to the byte.</summary>
internal static class OfficePackage
{
    private static readonly XNamespace Core = "http://schemas.openxmlformats.org/package/2006/metadata/core-properties";
    private static readonly XNamespace Terms = "http://purl.org/dc/elements/1.1/";

    private const string RootRelations = "_rels/.rels";

    /// <summary>The first day that a zip can tell.</summary>
    private static readonly DateTimeOffset Ever = new(new DateTime(1980, 1, 1), TimeSpan.Zero);

    /// <summary>Writes what the file is called, and in which language it is.</summary>
    public static void Name(CoreFilePropertiesPart part, string title, string language)
    {
        using var stream = part.GetStream(FileMode.Create);
        new XDocument(
            new XElement(
                Core + "coreProperties",
                new XElement(Terms + "title", OfficeText.Clean(title)),
                new XElement(Terms + "language", language)
            )
        ).Save(stream);
    }

    /// <summary>The package without the time at which it was made.</summary>
    public static byte[] Timeless(MemoryStream package)
    {
        using var written = new MemoryStream();
        package.Position = 0;
        using (var from = new ZipArchive(package, ZipArchiveMode.Read))
        using (var to = new ZipArchive(written, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var entry in from.Entries)
            {
                // Pictures are packed already.
                var isPicture = entry.FullName.EndsWith(".png", StringComparison.OrdinalIgnoreCase);
                var copy = to.CreateEntry(
                    entry.FullName,
                    isPicture ? CompressionLevel.NoCompression : CompressionLevel.Fastest
                );
                copy.LastWriteTime = Ever;
                using var source = entry.Open();
                using var target = copy.Open();
                if (entry.FullName == RootRelations)
                    Numbered(source).Save(target);
                else
                    source.CopyTo(target);
            }
        }
        return written.ToArray();
    }

    /// <summary>The relations of the package itself, to which nothing refers: their names are made by chance.</summary>
    private static XDocument Numbered(Stream relations)
    {
        var document = XDocument.Load(relations);
        var ordered = document.Root!.Elements().OrderBy(r => (string?)r.Attribute("Target")).ToList();
        foreach (var (place, relation) in ordered.Index())
            relation.SetAttributeValue("Id", $"r{place + 1}");
        document.Root.ReplaceNodes(ordered);
        return document;
    }
}
