using System.Globalization;

namespace BoldLadder.Core;

/// <summary>
/// What people may call things: short, and nothing in it that can't be seen or that turns the writing round.
/// </summary>
public static class PlainName
{
    /// <summary>
    /// True for a text of 1 to <paramref name="longest"/> letters without a space at either end, control or direction
    /// marks.
    /// </summary>
    public static bool Is(string? text, int longest) =>
        text is { Length: > 0 }
        && text.Length <= longest
        && text == text.Trim()
        && !text.Any(c =>
            char.IsControl(c)
            || char.GetUnicodeCategory(c)
                is UnicodeCategory.Format
                    or UnicodeCategory.LineSeparator
                    or UnicodeCategory.ParagraphSeparator
        );
}
