using System.Buffers.Binary;
using System.IO.Hashing;

namespace BoldLadder.Formats.Pictures;

/// <summary>
/// A PNG picture (ISO/IEC 15948) with what draws it alone: what cameras and programs add (places, times, names, other
/// chunks) is left behind, and so is whatever stands after its end.
/// </summary>
public static class PngFile
{
    /// <summary>In pixels each way.</summary>
    public const int Largest = 1024;

    private const int Signature = 8;
    private const int LongestChunk = 4 * 1024 * 1024;
    private static readonly byte[] Start = [0x89, (byte)'P', (byte)'N', (byte)'G', 0x0D, 0x0A, 0x1A, 0x0A];
    private static readonly string[] Drawing = ["IHDR", "PLTE", "tRNS", "IDAT", "IEND"];

    /// <summary>The same picture with nothing else in the file; null for what is none or too large.</summary>
    public static byte[]? Clean(ReadOnlySpan<byte> file)
    {
        if (file.Length < Signature || !file[..Signature].SequenceEqual(Start))
            return null;
        using var kept = new MemoryStream();
        kept.Write(Start);
        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var rest = file[Signature..]; rest.Length >= 12; )
        {
            var length = BinaryPrimitives.ReadUInt32BigEndian(rest);
            if (length > LongestChunk || length > rest.Length - 12)
                return null;
            var chunk = rest[..(12 + (int)length)];
            var kind = System.Text.Encoding.ASCII.GetString(chunk[4..8]);
            if (Crc32.HashToUInt32(chunk[4..^4]) != BinaryPrimitives.ReadUInt32BigEndian(chunk[^4..]))
                return null;
            if (seen.Count == 0 && (kind != "IHDR" || !IsSmall(chunk[8..^4])))
                return null;
            seen.Add(kind);
            if (Drawing.Contains(kind))
                kept.Write(chunk);
            if (kind == "IEND")
                return seen.Contains("IDAT") ? kept.ToArray() : null;
            rest = rest[chunk.Length..];
        }
        return null;
    }

    private static bool IsSmall(ReadOnlySpan<byte> header) =>
        header.Length == 13
        && BinaryPrimitives.ReadUInt32BigEndian(header) is > 0 and <= Largest
        && BinaryPrimitives.ReadUInt32BigEndian(header[4..]) is > 0 and <= Largest;
}
