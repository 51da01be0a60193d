using System.IO.Compression;
using System.Text;
using System.Text.RegularExpressions;
using BoldLadder.Core;
using BoldLadder.Formats.Packed;
using BoldLadder.Formats.Tables;

namespace BoldLadder.Formats.Texts;

/// <summary>
/// The text of a file that a person wants to have checked: plain text, DOCX, ODT or EPUB, told by what is in it and
/// never by its name. Only the text is taken; pictures, comments and what was struck out are not looked at.
/// </summary>
public static partial class TextFile
{
    /// <summary>A text of 200,000 words has fewer signs.</summary>
    public const int MostSigns = 2_000_000;

    /// <summary>What one packed part of a document may come to.</summary>
    internal const int LargestPart = 16 * 1024 * 1024;

    private const string EpubType = "application/epub+zip";
    private const string OdtType = "application/vnd.oasis.opendocument.text";

    /// <exception cref="RefusedException">It is of another kind, locked, broken, or more than a book.</exception>
    public static string Read(byte[] file)
    {
        if (file.AsSpan().StartsWith("%PDF"u8))
            throw new RefusedException("text-file-pdf");
        // An older Word document, and any that is locked with a password.
        if (file.AsSpan().StartsWith<byte>([0xD0, 0xCF, 0x11, 0xE0]))
            throw new RefusedException("text-file-locked");
        if (file.AsSpan().StartsWith("{\\rtf"u8))
            throw new RefusedException("text-file-kind");
        var text = file.AsSpan().StartsWith("PK\u0003\u0004"u8) ? Tidy(Packed(file)) : Plain(file);
        return text.Length <= MostSigns ? text : throw TooLong();
    }

    /// <summary>True for what begins as a document does that is more than plain text, readable or not.</summary>
    public static bool IsDocument(ReadOnlySpan<byte> begin) =>
        begin.StartsWith("PK\u0003\u0004"u8)
        || begin.StartsWith("%PDF"u8)
        || begin.StartsWith<byte>([0xD0, 0xCF, 0x11, 0xE0]);

    /// <summary>All of a stream, while it is no larger than a document may be.</summary>
    /// <exception cref="RefusedException">It is larger.</exception>
    public static byte[] Bytes(Stream stream)
    {
        using var file = new MemoryStream();
        var part = new byte[81_920];
        while (stream.Read(part) is > 0 and var count)
        {
            if (file.Length + count > PackedFiles.LargestFile)
                throw TooLong();
            file.Write(part, 0, count);
        }
        return file.ToArray();
    }

    internal static RefusedException TooLong() => new("text-too-long", ("most", Core.Texts.TextWords.MostWords));

    private static string Plain(byte[] file)
    {
        try
        {
            return PlainText.Read(file);
        }
        catch (RefusedException)
        {
            throw new RefusedException("text-file-kind");
        }
    }

    /// <summary>Without empty lines, and one space for many.</summary>
    private static string Tidy(string text) => Spaces().Replace(EmptyLines().Replace(text, "\n"), " ").Trim();

    [GeneratedRegex(@"\s*\n\s*", RegexOptions.NonBacktracking)]
    private static partial Regex EmptyLines();

    [GeneratedRegex(" {2,}", RegexOptions.NonBacktracking)]
    private static partial Regex Spaces();

    private static string Packed(byte[] file)
    {
        using var zip = PackedFiles.Open(file);
        if (zip.GetEntry("word/document.xml") is { } document)
            return DocxText.Read(PackedFiles.Read(document, LargestPart));
        return TypeOf(zip) switch
        {
            EpubType => EpubText.Read(zip),
            { } type when type.StartsWith(OdtType, StringComparison.Ordinal) => OdtText.Read(zip),
            _ => throw new RefusedException("text-file-kind"),
        };
    }

    private static string? TypeOf(ZipArchive zip) =>
        zip.GetEntry("mimetype") is { } type
            ? Encoding.ASCII.GetString(PackedFiles.Read(type, LargestPart)).Trim()
            : null;
}
