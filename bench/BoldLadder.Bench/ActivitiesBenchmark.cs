using BenchmarkDotNet.Attributes;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Activities.Chains;
using BoldLadder.Core.Activities.Crosswords;
using BoldLadder.Core.Activities.MadeUp;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Marking;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.Tool;
using BoldLadder.Tool.Commands;

namespace BoldLadder.Bench;

/// <summary>
/// Chains, made-up words, crosswords, marking and facts, as more is taught, beside finding all that can be read.
/// </summary>
public class ActivitiesBenchmark
{
    private const int Attempts = 10_000;

    private Lexicon lexicon = null!;
    private Taught taught = null!;
    private ChainMaker chains = null!;
    private MadeUpMaker madeUp = null!;
    private CrosswordWords crosswords = null!;
    private HashSet<string> tricky = null!;
    private Marker marker = null!;
    private (Word Target, string Attempt)[] attempts = null!;
    private long seed;

    /// <summary>How many rungs of the letters-first ladder were taught.</summary>
    [Params(30, 70, 120)]
    public int Rungs { get; set; }

    [GlobalSetup]
    public void Read()
    {
        lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        var ladder = LadderDocument.Read(
            File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", "letters-first.json"))
        );
        taught = ladder.TaughtAfter(Rungs, Leniencies.All, Accent.SouthernBritish);
        tricky = [.. ladder.Rungs.Take(Rungs).SelectMany(r => r.Tricky)];
        chains = new ChainMaker(lexicon, taught);
        madeUp = new MadeUpMaker(lexicon, taught);
        crosswords = new CrosswordWords(
            lexicon,
            ProjectFolders.Materials(lexicon).Sentences,
            ProjectFolders.Materials(lexicon).Pictures
        );
        marker = new Marker(new PlausibleSpellings(lexicon, Accent.SouthernBritish));
        var words = lexicon.ForLessons.Where(taught.CanRead).ToArray();
        // Each word with a letter dropped, doubled or exchanged with the next.
        attempts =
        [
            .. Enumerable
                .Range(0, Attempts)
                .Select(i =>
                    (Word: words[i % words.Length], At: i % words[i % words.Length].Spelling.Length, Kind: i % 3)
                )
                .Select(a =>
                    (
                        a.Word,
                        a.Kind switch
                        {
                            0 => a.Word.Spelling.Remove(a.At, 1),
                            1 => a.Word.Spelling.Insert(a.At, a.Word.Spelling[a.At].ToString()),
                            _ => a.Word.Spelling[..a.At]
                                + new string([.. a.Word.Spelling[a.At..].Take(2).Reverse()])
                                + string.Concat(a.Word.Spelling[a.At..].Skip(2)),
                        }
                    )
                ),
        ];
    }

    [Benchmark(Baseline = true, Description = "find all words that can be read")]
    public int Decodable() => lexicon.Words.Count(taught.CanRead);

    [Benchmark(Description = "make ready for chains")]
    public ChainMaker ChainsReady() => new(lexicon, taught);

    [Benchmark(Description = "a chain of 10")]
    public int Chain() => chains.Make(new ChainRequest(10, [], seed++)).Length;

    [Benchmark(Description = "make ready for made-up words")]
    public MadeUpMaker MadeUpReady() => new(lexicon, taught);

    [Benchmark(Description = "100 made-up words")]
    public int MadeUp() => madeUp.Make(100, seed++).Length;

    [Benchmark(Description = "a crossword of 10")]
    public int Crossword() =>
        CrosswordFitter.Fit(crosswords.For(taught, tricky, CrosswordCells.Letters), 10, seed++).Entries.Length;

    [Benchmark(Description = "mark 10,000 attempts")]
    public int Marking()
    {
        var ticks = 0;
        foreach (var (target, attempt) in attempts)
            ticks += marker.Mark(target, attempt).Ticks;
        return ticks;
    }

    [Benchmark(Description = "the table of facts")]
    public CorrespondenceTable Facts() => new(lexicon, Accent.SouthernBritish);
}
