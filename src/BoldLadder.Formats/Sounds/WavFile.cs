using System.Buffers.Binary;

namespace BoldLadder.Formats.Sounds;

/// <summary>
/// A short recording as a RIFF WAVE file: one channel of 16-bit PCM. What else a file carries (names, places, other
/// chunks) is left behind.
/// </summary>
public static class WavFile
{
    /// <summary>In samples a second.</summary>
    public const int LeastRate = 8_000;
    public const int MostRate = 48_000;

    /// <summary>In milliseconds: a sound that is held, or a word.</summary>
    public const int Shortest = 60;
    public const int Longest = 4_000;

    private const int HeaderLength = 44;
    private const int FormatLength = 16;
    private const short Pcm = 1;

    /// <summary>The same sound with nothing else in the file, and how long it is; null for what is none.</summary>
    public static (byte[] Bytes, int Milliseconds)? Read(ReadOnlySpan<byte> file)
    {
        if (file.Length < HeaderLength || !file[..4].SequenceEqual("RIFF"u8) || !file[8..12].SequenceEqual("WAVE"u8))
            return null;
        var rate = 0;
        for (var rest = file[12..]; rest.Length >= 8; )
        {
            var length = BinaryPrimitives.ReadUInt32LittleEndian(rest[4..]);
            if (length > rest.Length - 8)
                return null;
            var chunk = rest.Slice(8, (int)length);
            if (rest[..4].SequenceEqual("fmt "u8))
            {
                if (
                    chunk.Length < FormatLength
                    || BinaryPrimitives.ReadInt16LittleEndian(chunk) != Pcm
                    || BinaryPrimitives.ReadInt16LittleEndian(chunk[2..]) != 1
                    || BinaryPrimitives.ReadInt16LittleEndian(chunk[14..]) != 16
                )
                    return null;
                rate = BinaryPrimitives.ReadInt32LittleEndian(chunk[4..]);
                if (rate is < LeastRate or > MostRate)
                    return null;
            }
            else if (rest[..4].SequenceEqual("data"u8))
            {
                if (rate == 0)
                    return null;
                var milliseconds = (int)(chunk.Length / 2 * 1000L / rate);
                return milliseconds is >= Shortest and <= Longest
                    ? (Write(chunk[..(chunk.Length / 2 * 2)], rate), milliseconds)
                    : null;
            }
            // Chunks begin at even places.
            rest = rest[Math.Min(rest.Length, 8 + (int)length + ((int)length & 1))..];
        }
        return null;
    }

    private static byte[] Write(ReadOnlySpan<byte> samples, int rate)
    {
        var file = new byte[HeaderLength + samples.Length];
        var at = file.AsSpan();
        "RIFF"u8.CopyTo(at);
        BinaryPrimitives.WriteInt32LittleEndian(at[4..], file.Length - 8);
        "WAVEfmt "u8.CopyTo(at[8..]);
        BinaryPrimitives.WriteInt32LittleEndian(at[16..], FormatLength);
        BinaryPrimitives.WriteInt16LittleEndian(at[20..], Pcm);
        BinaryPrimitives.WriteInt16LittleEndian(at[22..], 1);
        BinaryPrimitives.WriteInt32LittleEndian(at[24..], rate);
        BinaryPrimitives.WriteInt32LittleEndian(at[28..], rate * 2);
        BinaryPrimitives.WriteInt16LittleEndian(at[32..], 2);
        BinaryPrimitives.WriteInt16LittleEndian(at[34..], 16);
        "data"u8.CopyTo(at[36..]);
        BinaryPrimitives.WriteInt32LittleEndian(at[40..], samples.Length);
        samples.CopyTo(at[HeaderLength..]);
        return file;
    }
}
