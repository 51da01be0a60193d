namespace BoldLadder.Tool.Building;

/// <summary>Finds the British spelling of a word that only the American dictionary has: honor → honour.</summary>
public static class BritishSpelling
{
    private static readonly (string American, string British)[] Rewrites =
    [
        ("or", "our"),
        ("er", "re"),
        ("iz", "is"),
        ("yz", "ys"),
        ("og", "ogue"),
        ("ense", "ence"),
        ("l", "ll"),
        ("ll", "l"),
        ("e", "ae"),
        ("e", "oe"),
        ("ay", "ey"),
    ];

    /// <summary>The one rewriting that the British dictionary knows, or null.</summary>
    public static string? Of(string american, Func<string, bool> isBritish)
    {
        foreach (var (from, to) in Rewrites)
        {
            for (
                var at = american.LastIndexOf(from, StringComparison.Ordinal);
                at > 0;
                at = american.LastIndexOf(from, at - 1, StringComparison.Ordinal)
            )
            {
                var rewritten = american[..at] + to + american[(at + from.Length)..];
                if (rewritten.Length > 4 && isBritish(rewritten))
                    return rewritten;
            }
        }
        return null;
    }
}
