using BoldLadder.Formats.Pictures;

namespace BoldLadder.Formats.Office;

/// <summary>A picture to stand in a document.</summary>
/// <param name="Png">The file.</param>
/// <param name="Says">What it shows, for who can't see it; empty where that would tell the answer.</param>
public sealed record OfficePicture(byte[] Png, string Says)
{
    private const int EmuPerMillimetre = 36000;

    /// <summary>Width and height in English metric units, as large as fits into a square.</summary>
    /// <param name="side">In millimetres.</param>
    internal (long Width, long Height) Fitted(double side)
    {
        var (width, height) = PictureRaster.SizeOf(Png);
        var scale = side * EmuPerMillimetre / Math.Max(width, height);
        return ((long)(width * scale), (long)(height * scale));
    }
}
