using BenchmarkDotNet.Attributes;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool;

namespace BoldLadder.Bench;

/// <summary>The word engine, beside reading the bytes of its own files.</summary>
public class EngineBenchmark
{
    private const int Some = 1_000;

    private Lexicon lexicon = null!;
    private WordFinder finder = null!;
    private Ladder ladder = null!;
    private string[] known = null!;
    private string[] strange = null!;
    private WordIndex index = null!;
    private Ladder longLadder = null!;
    private int rung;

    [GlobalSetup]
    public void Read()
    {
        lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        finder = new WordFinder(lexicon);
        ladder = LadderDocument.Read(
            File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", "letters-first.json"))
        );
        index = new WordIndex(lexicon, Leniencies.All, Accent.SouthernBritish);
        longLadder = ladder with
        {
            Rungs =
            [
                .. ladder.Rungs,
                .. Correspondence
                    .All.Except(ladder.Rungs.SelectMany(r => r.Correspondences))
                    .Take(150 - ladder.Rungs.Length)
                    .Select(c => new Rung(c.Notation, "more", [c], Patterns.None, [], null)),
            ],
        };
        known = [.. lexicon.Words.Take(20 * Some).Where((_, i) => i % 20 == 0).Select(w => w.Spelling)];
        strange =
        [
            .. known.Select(w => new string([.. w.Reverse()])).Where(w => finder.Known(w, false) is null).Take(Some),
        ];
    }

    [Benchmark(Baseline = true, Description = "read the lexicon's files as text")]
    public int Bytes() => ProjectFolders.LexiconShards().Sum(s => s.Length);

    [Benchmark(Description = "load the lexicon, three accents")]
    public Lexicon Load() => Lexicon.Read(ProjectFolders.LexiconShards());

    [Benchmark(Description = "segment a known word", OperationsPerInvoke = Some)]
    public int Segment() => known.Sum(w => finder.Find(w).Readings.Length);

    [Benchmark(Description = "guess a strange word", OperationsPerInvoke = Some)]
    public int Guess()
    {
        var readings = 0;
        foreach (var word in strange)
            readings += finder.Find(word).Readings.Length;
        return readings;
    }

    [Benchmark(Description = "all decodable words for a Taught")]
    public int Decodable()
    {
        var taught = ladder.TaughtAfter(rung++ % ladder.Rungs.Length, Leniencies.All, Accent.SouthernBritish);
        return lexicon.Words.Count(taught.CanRead);
    }

    [Benchmark(Description = "analyse a ladder of 150 rungs")]
    public LadderAnalysis Analyse() => LadderAnalysis.Of(longLadder, index);

    [Benchmark(Description = "all 150 places of one drag, analysed")]
    public int Drag() => PlaceAnswers.Of(longLadder, 40, index).Sum(a => a.Warnings.Length);

    [Benchmark(Description = "the three moves that gain most")]
    public int Suggest() => MoveSuggestions.Of(ladder, index, 3).Length;

    [Benchmark(Description = "the rung of every word on a ladder")]
    public int WhenDecodable()
    {
        var reach = ladder.ReachIn(Leniencies.All, Accent.SouthernBritish);
        return lexicon.Words.Count(w => reach.RungOf(w) is not null);
    }
}
