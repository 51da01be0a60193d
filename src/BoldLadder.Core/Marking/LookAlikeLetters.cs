namespace BoldLadder.Core.Marking;

/// <summary>
/// Letters that are each other turned over or mirrored. Source: docs/handbook.md, section 7 (Marking: reversed).
/// </summary>
public static class LookAlikeLetters
{
    private static readonly string[] Turned = ["bdpq", "nu", "mw"];

    public static bool Are(char one, char other) =>
        one != other && Array.Exists(Turned, t => t.Contains(one) && t.Contains(other));

    /// <summary>True when the letters are the same but for look-alikes, at least one of them.</summary>
    public static bool Are(ReadOnlySpan<char> one, ReadOnlySpan<char> other)
    {
        if (one.Length != other.Length)
            return false;
        var any = false;
        for (var i = 0; i < one.Length; i++)
        {
            if (one[i] == other[i])
                continue;
            if (!Are(one[i], other[i]))
                return false;
            any = true;
        }
        return any;
    }
}
