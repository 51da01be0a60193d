using System.IO.Compression;
using System.Text;
using BoldLadder.Core;
using BoldLadder.Formats.Packed;

namespace BoldLadder.Formats.Texts;

/// <summary>The text of an OpenDocument text (ODT): a line a paragraph or heading.</summary>
internal static class OdtText
{
    public static string Read(ZipArchive zip)
    {
        if (
            zip.GetEntry("META-INF/manifest.xml") is { } manifest
            && Encoding.UTF8.GetString(PackedFiles.Read(manifest, TextFile.LargestPart)).Contains("encryption-data")
        )
            throw new RefusedException("text-file-locked");
        if (zip.GetEntry("content.xml") is not { } content)
            throw new RefusedException("text-file-broken");
        var text = new StringBuilder();
        using var xml = XmlText.Open(PackedFiles.Read(content, TextFile.LargestPart));
        XmlText.Add(
            text,
            xml,
            element =>
                element.LocalName switch
                {
                    "p" or "h" or "line-break" => Taken.Line,
                    "s" or "tab" => Taken.Space,
                    "tracked-changes" or "annotation" or "note-citation" or "automatic-styles" => Taken.Nothing,
                    _ => Taken.Inside,
                },
            name => name is "p" or "h" or "span" or "a"
        );
        return text.ToString();
    }
}
