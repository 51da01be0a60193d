using System.Text;

namespace BoldLadder.Tool.Input;

/// <summary>A line of input; without text when it could not be read, and then with the reason.</summary>
public readonly record struct InputLine(long Number, string? Text, string? Problem);

/// <summary>
/// Reads lines of UTF-8 from a stream, one at a time; a line that is no UTF-8, or far too long, is told and passed
/// over.
/// </summary>
public static class InputLines
{
    /// <summary>No line of words is longer; the memory for one stays bounded.</summary>
    private const int LongestLine = 1 << 16;

    private static readonly UTF8Encoding Strict = new(false, throwOnInvalidBytes: true);

    public static IEnumerable<InputLine> Read(Stream stream)
    {
        var buffer = new byte[1 << 16];
        var line = new MemoryStream();
        var (number, tooLong, any) = (1L, false, false);
        for (int read; (read = stream.Read(buffer)) > 0; )
        {
            for (var start = 0; start < read; )
            {
                var at = Array.IndexOf(buffer, (byte)'\n', start, read - start);
                var end = at < 0 ? read : at;
                if (line.Length + end - start > LongestLine)
                    tooLong = true;
                else
                    line.Write(buffer, start, end - start);
                any = true;
                start = end + 1;
                if (at < 0)
                    break;
                yield return Whole(line, number++, tooLong);
                line.SetLength(0);
                (tooLong, any) = (false, false);
            }
        }
        if (any)
            yield return Whole(line, number, tooLong);
    }

    private static InputLine Whole(MemoryStream line, long number, bool tooLong)
    {
        if (tooLong)
            return new InputLine(number, null, $"it is longer than {LongestLine:N0} bytes; write one word a line");
        try
        {
            return new InputLine(
                number,
                Strict.GetString(line.GetBuffer(), 0, (int)line.Length).TrimEnd('\r').TrimStart('\uFEFF'),
                null
            );
        }
        catch (DecoderFallbackException)
        {
            return new InputLine(number, null, "it is not UTF-8; save the file as UTF-8");
        }
    }
}
