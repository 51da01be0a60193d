using BenchmarkDotNet.Attributes;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;
using BoldLadder.Tool;
using Npgsql;

namespace BoldLadder.Bench;

/// <summary>
/// Planning a lesson early and late on the ladder, beside one empty query to the database on the same machine. Lessons
/// are planned before: each takes other activities, and what plans them is compiled anew several times.
/// </summary>
public class PlanningBenchmark
{
    private NpgsqlDataSource database = null!;
    private NpgsqlCommand query = null!;
    private NpgsqlConnection connection = null!;
    private const int PlannedBefore = 200;

    private LessonRequest early = null!;
    private LessonRequest late = null!;
    private long seed;

    [GlobalSetup]
    public void Open()
    {
        database = NpgsqlDataSource.Create(
            Environment.GetEnvironmentVariable("BOLD_BENCH_DATABASE")
                ?? throw new InvalidOperationException("Run bench/run: it starts the database.")
        );
        connection = database.OpenConnection();
        query = new NpgsqlCommand("select 1", connection);
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        var ladder = LadderDocument.Read(
            File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", "letters-first.json"))
        );
        var materials = ProjectFolders.Materials(lexicon);
        (early, late) = (Request(20), Request(110));
        for (var i = 0; i < PlannedBefore; i++)
        {
            Early();
            Late();
        }

        LessonRequest Request(int rung) =>
            new(
                Before: ladder.TaughtAfter(rung, Leniencies.All, Accent.SouthernBritish),
                Today: ladder.Rungs[rung],
                Materials: materials,
                TrickyBefore: [.. ladder.Rungs.Take(rung).SelectMany(r => r.Tricky)],
                Memory: new Memory
                {
                    Seen = ladder
                        .Rungs.Take(rung)
                        .SelectMany((r, i) => r.Correspondences.Select(c => (c, i)))
                        .DistinctBy(x => x.c)
                        .ToDictionary(x => x.c, x => rung - x.i),
                    Newest = [.. ladder.Rungs.Take(rung).Reverse().SelectMany(r => r.Correspondences)],
                },
                Minutes: 25,
                Seed: 1
            );
    }

    [GlobalCleanup]
    public void Close()
    {
        query.Dispose();
        connection.Dispose();
        database.Dispose();
    }

    [Benchmark(Baseline = true, Description = "one empty query")]
    public object? EmptyQuery() => query.ExecuteScalar();

    /// <summary>A new request each time, so that nothing computed for the last lesson is left over.</summary>
    [Benchmark(Description = "plan a lesson, rung 21")]
    public Lesson Early() => LessonPlanner.Plan(Fresh(early));

    [Benchmark(Description = "plan a lesson, rung 111")]
    public Lesson Late() => LessonPlanner.Plan(Fresh(late));

    private LessonRequest Fresh(LessonRequest request) =>
        new(
            Before: new Taught(
                request.Before.Correspondences,
                request.Before.Patterns,
                request.Before.Free,
                request.Before.Leniencies,
                request.Before.Accent
            ),
            Today: request.Today,
            Materials: request.Materials,
            TrickyBefore: request.TrickyBefore,
            Memory: request.Memory,
            Minutes: request.Minutes,
            Seed: ++seed
        );
}
