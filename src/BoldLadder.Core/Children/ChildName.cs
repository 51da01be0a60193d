using System.Globalization;
using System.Text;

namespace BoldLadder.Core.Children;

/// <summary>
/// What a child is called here: a given name or initials, and of a family name its first letter alone. Source:
/// docs/handbook.md, section 10.
/// </summary>
/// <param name="IsShortened">True when something that was given is left out.</param>
public sealed record ChildName(string Text, bool IsShortened)
{
    /// <summary>Longest name, in letters.</summary>
    public const int Longest = 30;

    /// <summary>
    /// The name that a line gives: <c>Aisha</c>, <c>A.B.</c>, <c>Aisha Begum</c> and <c>Begum, Aisha</c> (both Aisha
    /// B). Null when it is no name: digits, an address, nothing.
    /// </summary>
    public static ChildName? Read(string line)
    {
        var text = Plain(line);
        if (text.Split(',', StringSplitOptions.TrimEntries) is [var family, var given])
            return Of(given, family);
        var words = text.Split(' ');
        return Of(words[0], words.Length == 1 ? "" : words[^1], words.Length > 2);
    }

    /// <summary>The name that two columns give; what comes second among the given names is left out.</summary>
    public static ChildName? Of(string given, string family)
    {
        var names = Plain(given).Split(' ');
        return Of(names[0], Plain(family), names.Length > 1);
    }

    private static ChildName? Of(string given, string family, bool isShortened)
    {
        if (!IsWritten(given) || (family.Length > 0 && !IsWritten(family.Replace(" ", "", StringComparison.Ordinal))))
            return null;
        var letter = family.Length == 0 ? "" : StringInfo.GetNextTextElement(family);
        var isLeftOut = isShortened || family.TrimEnd('.').Length > letter.Length;
        var text = letter.Length == 0 ? given : $"{given} {letter.ToUpperInvariant()}";
        return text.Length <= Longest ? new ChildName(text, isLeftOut) : null;
    }

    /// <summary>Letters with what joins them; at least one letter.</summary>
    private static bool IsWritten(string name) =>
        name.Any(char.IsLetter)
        && name.All(c =>
            char.IsLetter(c)
            || c is '-' or '\'' or '’' or '.' or '·'
            || char.GetUnicodeCategory(c) is UnicodeCategory.NonSpacingMark or UnicodeCategory.SpacingCombiningMark
        );

    private static string Plain(string text) =>
        string.Join(
            ' ',
            text.Normalize(NormalizationForm.FormC)
                .Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
        );
}
