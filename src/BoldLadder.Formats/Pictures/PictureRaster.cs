using System.Text;
using SkiaSharp;
using Svg.Skia;

namespace BoldLadder.Formats.Pictures;

/// <summary>Drawings as pixels, for programs that read no SVG.</summary>
public static class PictureRaster
{
    /// <summary>A PNG file of a drawing, on nothing, as large as fits into a square.</summary>
    /// <param name="svg">A drawing that is ours or was made safe.</param>
    /// <param name="pixels">The side of the square.</param>
    /// <exception cref="FormatException">Nothing can be drawn of it.</exception>
    public static byte[] OfSvg(ReadOnlySpan<byte> svg, int pixels)
    {
        using var drawing = new SKSvg();
        if (
            drawing.FromSvg(Encoding.UTF8.GetString(svg))
            is not { CullRect: { Width: > 0, Height: > 0 } bounds } picture
        )
            throw new FormatException("This drawing has no size.");
        var scale = pixels / Math.Max(bounds.Width, bounds.Height);
        using var bitmap = new SKBitmap(
            Math.Max(1, (int)Math.Round(bounds.Width * scale)),
            Math.Max(1, (int)Math.Round(bounds.Height * scale))
        );
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColors.Transparent);
        canvas.Scale(scale);
        canvas.Translate(-bounds.Left, -bounds.Top);
        canvas.DrawPicture(picture);
        canvas.Flush();
        using var file = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return file.ToArray();
    }

    /// <summary>The width and height of a PNG file, in pixels.</summary>
    public static (int Width, int Height) SizeOf(byte[] png) =>
        SKBitmap.DecodeBounds(png) is { Width: > 0 } info
            ? (info.Width, info.Height)
            : throw new FormatException("This is no PNG file.");
}
