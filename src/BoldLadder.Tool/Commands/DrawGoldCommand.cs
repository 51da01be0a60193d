using BoldLadder.Core.Randomness;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Building;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold draw-gold: the seeded draw of words to be judged by hand, 100 from each stretch of ranks (and five to stand in
/// for what is unfit), without words that were judged before. With --unread from the words that nobody has read, by
/// their rank among those. Prints rank and word.
/// </summary>
public static class DrawGoldCommand
{
    private const long Seed = 20261124;
    private const int PerStretch = 105;

    private static readonly (int From, int To)[] Stretches = [(1, 500), (501, 2_000), (2_001, 5_000), (5_001, 20_000)];

    private static readonly (int From, int To)[] UnreadStretches =
    [
        (1, 1_000),
        (1_001, 3_000),
        (3_001, 6_000),
        (6_001, 12_000),
    ];

    public static int Run(Arguments arguments, Session session)
    {
        var output = session.Output;
        if (arguments.Has("--unread"))
            return Unread(arguments.Seed(), output);
        var sources = WordSources.Read(Path.Combine(ProjectFolders.Data, "sources"));
        var ranked = new LexiconBuilder(sources, HandWork.Read(ProjectFolders.Data)).Ranked();
        var judged = File.ReadLines(Path.Combine(ProjectFolders.Data, "gold", "segmentation.tsv"))
            .Select(l => l.Split('\t'))
            .Where(c => c[0] == "first")
            .Select(c => c[1])
            .ToHashSet(StringComparer.Ordinal);
        foreach (var (from, to) in Stretches)
        {
            var fresh = ranked
                .Take(to)
                .Skip(from - 1)
                .Select((word, i) => (Rank: from + i, Word: word))
                .Where(w => !judged.Contains(w.Word))
                .ToList();
            foreach (var (rank, word) in Seeded.For(Seed, $"gold {from}").Shuffle(fresh).Take(PerStretch))
                output.WriteLine($"{rank}\t{word}");
        }
        return 0;
    }

    private static int Unread(long seed, TextWriter output)
    {
        var unread = Lexicon
            .Read(ProjectFolders.LexiconShards())
            .Words.Where(w =>
                w.Suitability == Suitability.Use
                && (w.Flags & (WordFlags.Reviewed | WordFlags.AmericanOnly | WordFlags.Name | WordFlags.Place))
                    == WordFlags.None
            )
            .OrderByDescending(w => w.Zipf)
            .ThenBy(w => w.Spelling, StringComparer.Ordinal)
            .Select((word, i) => (Rank: i + 1, Word: word.Spelling))
            .ToList();
        foreach (var (from, to) in UnreadStretches)
        {
            foreach (
                var (rank, word) in Seeded
                    .For(seed, $"unread {from}")
                    .Shuffle(unread.Take(to).Skip(from - 1))
                    .Take(PerStretch / 2)
            )
                output.WriteLine($"{rank}\t{word}");
        }
        return 0;
    }
}
