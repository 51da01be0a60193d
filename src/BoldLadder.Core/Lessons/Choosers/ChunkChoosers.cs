using System.Collections.Immutable;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The school's own chunks, where it has some: new on a rung of their own, as cards, in words, and in words with
/// endings. Source: docs/handbook.md, section 4 (Chunk).
/// </summary>
internal static class ChunkChoosers
{
    private const int FewestWords = 3;
    private const int WordsInLine = 4;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.ChunkCards, Cards),
        new(ActivityKind.NewChunk, (work, id, _) =>
            work.Request.Today.Chunks.Select(c => Card(work, id, c, Reason.Of("new-today")))
        ),
        new(ActivityKind.ChunkWords, Words),
    ];

    /// <summary>Chunks of which every grapheme was taught, in a new order each day.</summary>
    private static IEnumerable<Item> Cards(LessonWork work, string id, int count) =>
        work.Stream(id).Shuffle(Taught(work)).Take(count).Select(c => Card(work, id, c, Reason.Of("our-chunk")));

    private static ChunkItem Card(LessonWork work, string id, Chunk chunk, Reason reason) =>
        new(
            Id: $"{id}:{chunk.Text}",
            Kept: false,
            Text: chunk.Text,
            Sounds: chunk.Sounds,
            Correspondences: [.. chunk.Correspondences],
            Example: work.EasyToHard(work.LikelyBefore.Where(w => w.Suffix is null && Has(w, chunk)))
                .FirstOrDefault()
                ?.Spelling,
            Reasons: [reason]
        );

    /// <summary>
    /// A line of words with a chunk, today's first; under it a line of words with the chunk and an ending.
    /// </summary>
    private static IEnumerable<Item> Words(LessonWork work, string id, int count)
    {
        foreach (var chunk in work.Request.Today.Chunks.Concat(work.Stream(id).Shuffle(Taught(work))))
        {
            var having = work.LikelyBefore.Where(w => w.IsKnown && Has(w, chunk)).ToList();
            var plain = work.Choice($"{id}:{chunk.Text}").Take(having.Where(w => w.Suffix is null), WordsInLine);
            if (plain.Count < FewestWords)
                continue;
            var ended = work.Choice($"{id}:{chunk.Text}:ended")
                .Take(having.Where(w => w.Suffix is not null), WordsInLine);
            return new[] { plain, ended }
                .Where(l => l.Count > 1)
                .Select(l => new LineItem(
                    $"{id}:{l[0].Spelling}",
                    false,
                    [.. l.Select(w => ItemMaker.OfWord(id, w, [Reason.Of("uses", chunk.Text)]))]
                ));
        }
        return [];
    }

    private static IEnumerable<Chunk> Taught(LessonWork work) =>
        work.Request.Chunks.Where(c => c.IsOf(work.Request.Before.Covers));

    private static bool Has(Word word, Chunk chunk) => chunk.PlacesIn(word.Required).Any();
}
