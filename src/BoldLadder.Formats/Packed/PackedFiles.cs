using System.IO.Compression;
using BoldLadder.Core;

namespace BoldLadder.Formats.Packed;

/// <summary>A zip from outside: opened and unpacked no further than is sensible.</summary>
public static class PackedFiles
{
    private const int MostFiles = 2_000;

    /// <summary>How much one file may be when unpacked, whatever the zip says of it.</summary>
    public const int LargestFile = 64 * 1024 * 1024;

    /// <exception cref="RefusedException">It is no zip, or has too many files.</exception>
    public static ZipArchive Open(byte[] file)
    {
        ZipArchive zip;
        try
        {
            zip = new ZipArchive(new MemoryStream(file, writable: false), ZipArchiveMode.Read);
        }
        catch (InvalidDataException)
        {
            throw new RefusedException("not-packed");
        }
        if (zip.Entries.Count <= MostFiles)
            return zip;
        zip.Dispose();
        throw new RefusedException("packed-too-much", ("most", MostFiles));
    }

    /// <summary>A file of it, unpacked while it is not larger than it may be.</summary>
    /// <exception cref="RefusedException">It is larger, or broken.</exception>
    public static byte[] Read(ZipArchiveEntry entry, int largest = LargestFile)
    {
        try
        {
            using var packed = entry.Open();
            using var unpacked = new MemoryStream();
            var part = new byte[81_920];
            while (packed.Read(part) is > 0 and var count)
            {
                if (unpacked.Length + count > largest)
                    throw new RefusedException("packed-too-large", ("file", entry.FullName));
                unpacked.Write(part, 0, count);
            }
            return unpacked.ToArray();
        }
        catch (InvalidDataException)
        {
            throw new RefusedException("packed-broken", ("file", entry.FullName));
        }
    }
}
