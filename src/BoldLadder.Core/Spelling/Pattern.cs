namespace BoldLadder.Core.Spelling;

/// <summary>
/// Something taught that is not a correspondence. A ladder gives a pattern its own rung or says that it is free from
/// the start. Source: docs/handbook.md, section 4 (Pattern).
/// </summary>
[Flags]
public enum Patterns
{
    None = 0,
    AdjacentStart = 1,
    AdjacentEnd = 1 << 1,
    TwoSyllables = 1 << 2,
    ThreeSyllables = 1 << 3,
    Compound = 1 << 4,
    Contraction = 1 << 5,
    Capitals = 1 << 6,
    JoinDropE = 1 << 7,
    JoinDouble = 1 << 8,
    JoinYToI = 1 << 9,
    SuffixS = 1 << 10,
    SuffixEs = 1 << 11,
    SuffixEd = 1 << 12,
    SuffixIng = 1 << 13,
    SuffixEr = 1 << 14,
    SuffixEst = 1 << 15,
    SuffixY = 1 << 16,
    SuffixLy = 1 << 17,
    All = (1 << 18) - 1,
}

/// <summary>The ids of patterns as ladders, logs and taught files write them.</summary>
public static class PatternIds
{
    private static readonly Dictionary<string, Patterns> ById = Enum.GetValues<Patterns>()
        .Where(p => int.IsPow2((int)p))
        .ToDictionary(Id, StringComparer.Ordinal);

    /// <summary>The id of one pattern: <c>suffix-s</c>, <c>join-drop-e</c>.</summary>
    public static string Id(this Patterns pattern) =>
        string.Concat(
            pattern
                .ToString()
                .Select((c, i) => char.IsUpper(c) ? (i == 0 ? "" : "-") + char.ToLowerInvariant(c) : c.ToString())
        );

    /// <summary>The patterns in a set, one by one.</summary>
    public static IEnumerable<Patterns> Each(this Patterns set)
    {
        for (var left = (int)set; left != 0; left &= left - 1)
            yield return (Patterns)(left & -left);
    }

    /// <summary>The pattern with this id.</summary>
    /// <exception cref="FormatException">There is none; the message lists the ids.</exception>
    public static Patterns Parse(ReadOnlySpan<char> id) =>
        ById.GetAlternateLookup<ReadOnlySpan<char>>().TryGetValue(id, out var found)
            ? found
            : throw new FormatException(
                $"\"{id}\" is not a pattern. Use one of: {string.Join(", ", ById.Keys.Order(StringComparer.Ordinal))}."
            );

    public static Patterns Parse(IEnumerable<string> ids) =>
        ids.Select(i => Parse(i.AsSpan())).Aggregate(Patterns.None, (all, one) => all | one);
}
