using BoldLadder.Core.Accents;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Commands;

/// <summary>bold gold: how much of data/gold the lexicon has right, by stretch of ranks and by accent.</summary>
public static class GoldCommand
{
    public static int Run(TextWriter output)
    {
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        foreach (var stretch in GoldScore.Rows("segmentation.tsv").GroupBy(r => r[0]))
        {
            Print(stretch.Key, GoldScore.Of(lexicon, Accent.SouthernBritish, stretch), output);
        }
        foreach (var accent in GoldScore.Rows("accents.tsv").GroupBy(r => r[0]))
        {
            Print(accent.Key, GoldScore.Of(lexicon, Accent.Parse(accent.Key), accent), output);
        }
        return 0;
    }

    private static void Print(string name, GoldScore score, TextWriter output)
    {
        foreach (var (gold, found) in score.Misses)
            output.WriteLine($"  {gold}\t{found}");
        output.WriteLine(
            $"{name}: {score.Words} words, segmentation {score.Segmentation:P1}, sounds {score.Sounds:P1}"
        );
    }
}

/// <summary>The share of gold words segmented right, and sounded right; ə and ɪ count as equal.</summary>
public sealed record GoldScore(
    int Words,
    double Segmentation,
    double Sounds,
    IReadOnlyList<(string Gold, string Found)> Misses
)
{
    /// <summary>The rows of a gold file: stretch or accent, word, graphemes, phonemes, also.</summary>
    public static IEnumerable<string[]> Rows(string file) =>
        File.ReadLines(Path.Combine(ProjectFolders.Data, "gold", file)).Skip(1).Select(l => l.Split('\t'));

    public static GoldScore Of(Lexicon lexicon, Accent accent, IEnumerable<string[]> rows)
    {
        var (words, segmented, sounded) = (0, 0, 0);
        var misses = new List<(string, string)>();
        foreach (var cells in rows)
        {
            words++;
            var found = lexicon.Find(cells[1]);
            var said = found is null ? "" : string.Join('|', accent.Sounds(found));
            var (graphemes, sounds) = (false, false);
            foreach (var (g, p) in Readings(cells))
            {
                graphemes |= found?.Segmentation.Graphemes == g;
                sounds |= Plain(said) == Plain(p);
            }
            if (graphemes)
                segmented++;
            if (sounds)
                sounded++;
            if (!graphemes || !sounds)
                misses.Add(
                    (
                        $"{cells[1]} {cells[2]} {cells[3]}",
                        found is null ? "–" : $"{found.Segmentation.Graphemes} {said}"
                    )
                );
        }
        return new GoldScore(words, (double)segmented / words, (double)sounded / words, misses);
    }

    private static IEnumerable<(string Graphemes, string Phonemes)> Readings(string[] cells)
    {
        yield return (cells[2], cells[3]);
        foreach (var also in cells[4].Split(';', StringSplitOptions.RemoveEmptyEntries))
        {
            var cut = also.IndexOf('=', StringComparison.Ordinal);
            yield return (also[..cut], also[(cut + 1)..]);
        }
    }

    private static string Plain(string phonemes) =>
        string.Join(
            '|',
            phonemes
                .Split('|')
                .Select(p => p.Replace("ɪ", p is "ɪ" or "ɪ+d" or "ɪ+z" ? "ə" : "ɪ", StringComparison.Ordinal))
        );
}
