using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

/// <summary>
/// Where on a ladder words, sentences and texts become readable, tricky words counted from the rung they are taught on.
/// Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class SentencePlaces
{
    private readonly Reach reach;
    private readonly Dictionary<string, int> tricky = new(StringComparer.Ordinal);
    private readonly int capitals;

    public SentencePlaces(Ladder ladder, Leniencies leniencies, Accent accent)
    {
        reach = ladder.ReachIn(leniencies, accent);
        for (var i = 0; i < ladder.Rungs.Length; i++)
        {
            foreach (var word in ladder.Rungs[i].Tricky)
                tricky.TryAdd(word, i);
        }
        capitals = ladder.Free.HasFlag(Patterns.Capitals)
            ? -1
            : ladder.WhenTaught(new Obstacle(null, Patterns.Capitals)) ?? int.MaxValue;
    }

    /// <summary>
    /// The index of the rung after which the word can be read, decodable or as a tricky word; null for never on this
    /// ladder.
    /// </summary>
    public int? RungOf(Word word) =>
        (reach.RungOf(word), tricky.TryGetValue(word.Spelling, out var told) ? told : (int?)null) switch
        {
            ({ } decoded, { } learned) => Math.Min(decoded, learned),
            var (decoded, learned) => decoded ?? learned,
        };

    /// <summary>
    /// The same for a word as it is written: its parts, where it is read as them, and its capital letter count too;
    /// null for an unknown one that is taught as no tricky word.
    /// </summary>
    public int? RungOf(WrittenWord word)
    {
        var read = word.IsUnknown ? null : word.Parts.Select(RungOf).Aggregate((int?)-1, Later);
        var told = tricky.TryGetValue(word.Plain, out var rung) ? rung : (int?)null;
        var whole = read is { } one && told is { } other ? Math.Min(one, other) : read ?? told;
        return word.HasCapital ? Later(whole, Usable(capitals)) : whole;
    }

    public int? RungOf(Sentence sentence) =>
        sentence.Tokens.Select(t => RungOf(t.Word)).Aggregate(sentence.HasCapital ? Usable(capitals) : -1, Later);

    public int? RungOf(ShortText text) => text.All.Select(RungOf).Aggregate((int?)-1, Later);

    private static int? Usable(int rung) => rung == int.MaxValue ? null : rung;

    private static int? Later(int? one, int? other) => one is { } a && other is { } b ? Math.Max(a, b) : null;
}
