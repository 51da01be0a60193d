using System.Collections.Frozen;

namespace BoldLadder.Core.Activities.MadeUp;

/// <summary>
/// Short words, slang and names that people have heard of and the lexicon lacks (data/inventory/heard-of.tsv, made by
/// bold build-lexicon). Only their letters are known; what they sound like is read off them.
/// </summary>
internal static class HeardOf
{
    public static FrozenSet<string> Words { get; } =
        InventoryData.Rows("heard-of.tsv").Select(r => r[0]).ToFrozenSet(StringComparer.Ordinal);
}
