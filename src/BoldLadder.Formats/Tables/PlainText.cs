using System.Text;
using BoldLadder.Core;

namespace BoldLadder.Formats.Tables;

/// <summary>A file that people call text, as text: whatever program saved it.</summary>
public static class PlainText
{
    private static readonly UTF8Encoding Strict = new(false, throwOnInvalidBytes: true);

    /// <summary>Beginnings of files that are no text, whatever their name says.</summary>
    private static readonly (byte[] Begin, string What)[] Known =
    [
        ([0x89, (byte)'P', (byte)'N', (byte)'G'], "picture"),
        ([0xFF, 0xD8, 0xFF], "picture"),
        ([.. "GIF8"u8], "picture"),
        ([.. "%PDF"u8], "pdf"),
        ([.. "PK\u0003\u0004"u8], "packed"),
        ([0xD0, 0xCF, 0x11, 0xE0], "spreadsheet"),
    ];

    /// <summary>The text, in UTF-8 or UTF-16 by its mark, in UTF-8 without one, else in Windows-1252.</summary>
    /// <exception cref="RefusedException">It is a picture, a packed file or nothing that is written.</exception>
    public static string Read(ReadOnlySpan<byte> file)
    {
        foreach (var (begin, what) in Known)
        {
            if (file.StartsWith(begin))
                throw new RefusedException("not-a-table", ("what", what));
        }
        var text =
            file.StartsWith(Encoding.UTF8.Preamble) ? Encoding.UTF8.GetString(file[3..])
            : file.StartsWith(Encoding.Unicode.Preamble) ? Encoding.Unicode.GetString(file[2..])
            : file.StartsWith(Encoding.BigEndianUnicode.Preamble) ? Encoding.BigEndianUnicode.GetString(file[2..])
            : Unmarked(file);
        if (text.Contains('\0', StringComparison.Ordinal))
            throw new RefusedException("not-a-table", ("what", "other"));
        return text;
    }

    private static string Unmarked(ReadOnlySpan<byte> file)
    {
        try
        {
            return Strict.GetString(file);
        }
        catch (DecoderFallbackException)
        {
            return CodePagesEncodingProvider.Instance.GetEncoding(1252)!.GetString(file);
        }
    }
}
