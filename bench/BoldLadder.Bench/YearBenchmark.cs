using BenchmarkDotNet.Attributes;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Words;
using BoldLadder.Tool;

namespace BoldLadder.Bench;

/// <summary>
/// Planning two weeks for four groups and a year for one, beside finding all words that can be read; with half and the
/// whole of the lexicon. The code that plans is compiled anew several times while it warms up; a server that plans
/// years has long done so.
/// </summary>
[WarmupCount(12)]
public class YearBenchmark
{
    private const int Days = 10;
    private const int LessonsInYear = 190;

    private Materials materials = null!;
    private Ladder ladder = null!;
    private Taught taught = null!;
    private long seed;

    /// <summary>The share of the lexicon's words, in percent.</summary>
    [Params(50, 100)]
    public int Words { get; set; }

    [GlobalSetup]
    public void Read()
    {
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        var kept =
            Words == 100
                ? lexicon
                : new Lexicon(lexicon.Words.Where((_, i) => i % 2 == 0).Concat(lexicon.Names), "half");
        materials = ProjectFolders.Materials(kept);
        ladder = LadderDocument.Read(
            File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", "letters-first.json"))
        );
        taught = ladder.TaughtAfter(70, Leniencies.All, Accent.SouthernBritish);
        new LessonSeries(ladder, materials, Leniencies.All, Accent.SouthernBritish, 20, 1).PlanNext();
    }

    [Benchmark(Baseline = true, Description = "find all words that can be read")]
    public int AllReadable() =>
        materials.Lexicon.Words.Count(
            new Taught(taught.Correspondences, taught.Patterns, taught.Free, taught.Leniencies, taught.Accent).CanRead
        );

    [Benchmark(Description = "plan one lesson, rung 71")]
    public Lesson One() => Plan(70, 1);

    [Benchmark(Description = "plan two weeks for four groups")]
    public Lesson? TwoWeeks()
    {
        Lesson? last = null;
        foreach (var rung in new[] { 10, 40, 70, 100 })
            last = Plan(rung, Days);
        return last;
    }

    /// <summary>
    /// A ladder has fewer rungs than a year has lessons: the rest come from the middle of a second time up it.
    /// </summary>
    [Benchmark(Description = "plan a year of 190 lessons for one group")]
    public Lesson Year()
    {
        Plan(0, ladder.Rungs.Length);
        return Plan(ladder.Rungs.Length / 4, LessonsInYear - ladder.Rungs.Length);
    }

    private Lesson Plan(int from, int lessons)
    {
        var series = new LessonSeries(ladder, materials, Leniencies.All, Accent.SouthernBritish, 20, ++seed);
        series.Skip(from);
        Lesson last = null!;
        for (var i = 0; i < lessons && series.HasNext; i++)
            last = series.PlanNext().Lesson;
        return last;
    }
}
