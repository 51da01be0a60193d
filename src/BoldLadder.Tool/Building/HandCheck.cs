using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>
/// Looks whether every row that people wrote still means something: its word is there, and where a reader agreed with
/// the engine they agree still. A row that matches nothing is a typing slip, or a decision that got lost. Source:
/// docs/data.md.
/// </summary>
public static class HandCheck
{
    private static readonly string[] AboutWords =
    [
        "overrides.tsv",
        "also.tsv",
        "suitability.tsv",
        "flags.tsv",
        "bases.tsv",
        "not-compound.tsv",
        "childhood.tsv",
        "topics.tsv",
        "american.tsv",
        "function-words.tsv",
    ];

    /// <summary>Complaints with file and line; none when all is well.</summary>
    public static IEnumerable<string> Complaints(HandWork hand, IReadOnlyDictionary<string, Word> words)
    {
        bool IsThere(string word) => words.ContainsKey(word) || hand.Dropped.Contains(word);
        foreach (var row in AboutWords.SelectMany(f => hand.Files[f]).Where(r => !IsThere(r[0])))
            yield return row.Bad("is not a word of the lexicon").Message;
        foreach (
            var row in hand.Files["bases.tsv"]
                .Where(r => r[1].Length > 0 && words.TryGetValue(r[0], out var word) && word.Suffix?.Base != r[1])
        )
        {
            yield return row.Bad($"is not {row[1]} with a suffix: spelling or sounds don't continue it").Message;
        }
        foreach (var row in hand.ReviewRows)
        {
            if (!IsThere(row[0]))
                yield return row.Bad("is not a word of the lexicon").Message;
            else if (
                row[5] is "agree" or "engine-corrected"
                && words.TryGetValue(row[0], out var word)
                && !IsSame(row.Cut(1, 2), word.Segmentation)
            )
            {
                yield return row.Bad($"was read as {row[1]} {row[2]} and is now {word.Segmentation}").Message;
            }
        }
    }

    /// <summary>Weak vowels are one to a reader.</summary>
    private static bool IsSame(Segmentation read, Segmentation built) =>
        read.Parts.Length == built.Parts.Length
        && read.Parts.Zip(built.Parts)
            .All(p => p.First.Grapheme == p.Second.Grapheme && Weak(p.First.SoundText) == Weak(p.Second.SoundText));

    private static string Weak(string sound) => sound is "ɪ" ? "ə" : sound;
}
