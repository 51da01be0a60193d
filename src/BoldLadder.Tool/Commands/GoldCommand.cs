using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Commands;

/// <summary>bold gold: how much of data/gold/segmentation.tsv the lexicon has right.</summary>
public static class GoldCommand
{
    public static int Run(TextWriter output)
    {
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        var score = GoldScore.Of(lexicon, File.ReadLines(Path.Combine(ProjectFolders.Data, "gold", "segmentation.tsv")));
        foreach (var (gold, found) in score.Misses) output.WriteLine($"{gold}\t{found}");
        output.WriteLine($"{score.Words} words: segmentation {score.Segmentation:P1}, sounds {score.Sounds:P1}");
        return 0;
    }
}

/// <summary>The share of gold words segmented right, and sounded right; ə and ɪ count as equal.</summary>
public sealed record GoldScore(int Words, double Segmentation, double Sounds, IReadOnlyList<(string Gold, string Found)> Misses)
{
    public static GoldScore Of(Lexicon lexicon, IEnumerable<string> lines)
    {
        var (words, segmented, sounded) = (0, 0, 0);
        var misses = new List<(string, string)>();
        foreach (var cells in lines.Skip(1).Select(l => l.Split('\t')))
        {
            words++;
            var found = lexicon.Find(cells[0])?.Segmentation;
            var (graphemes, sounds) = (false, false);
            foreach (var (g, p) in Readings(cells))
            {
                graphemes |= found?.Graphemes == g;
                sounds |= found is not null && Alike(found.Phonemes, p);
            }
            if (graphemes) segmented++;
            if (sounds) sounded++;
            if (!graphemes || !sounds) misses.Add(($"{cells[0]} {cells[1]} {cells[2]}", found?.ToString() ?? "–"));
        }
        return new GoldScore(words, (double)segmented / words, (double)sounded / words, misses);
    }

    private static IEnumerable<(string Graphemes, string Phonemes)> Readings(string[] cells)
    {
        yield return (cells[1], cells[2]);
        if (cells[3].Length == 0) yield break;
        var cut = cells[3].IndexOf('=', StringComparison.Ordinal);
        yield return (cells[3][..cut], cells[3][(cut + 1)..]);
    }

    private static bool Alike(string one, string other) => Plain(one) == Plain(other);

    private static string Plain(string phonemes) => string.Join('|', phonemes.Split('|').Select(p => p.Replace("ɪ", p is "ɪ" or "ɪ+d" or "ɪ+z" ? "ə" : "ɪ", StringComparison.Ordinal)));
}
