using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using BoldLadder.Bench;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Words;
using BoldLadder.Tool;

if (args is ["text"])
{
    TextRun.Run(Console.Out);
    return;
}
if (args is ["revisit", var first, var seeds, .. var pictures])
{
    RevisitRun.Run(
        Console.Out,
        int.Parse(first, System.Globalization.CultureInfo.InvariantCulture),
        int.Parse(seeds, System.Globalization.CultureInfo.InvariantCulture),
        pictures.FirstOrDefault()
    );
    return;
}
if (args is ["schools"])
{
    SchoolsRun.Run(Console.Out);
    return;
}
if (args is ["memory"])
{
    var before = GC.GetTotalMemory(forceFullCollection: true);
    var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
    foreach (var accent in Accent.All)
        _ = lexicon.Homophones(lexicon.Words[0], accent).Any();
    var megabytes = (GC.GetTotalMemory(forceFullCollection: true) - before) / 1_000_000;
    Console.WriteLine(
        $"The lexicon, three accents together, holds {megabytes} MB "
            + $"({lexicon.Words.Length} words, {lexicon.Names.Length} names)."
    );
    return;
}

// In process, so that it needs neither a project of its own nor a second restore.
var job = Job.ShortRun.WithToolchain(InProcessEmitToolchain.Instance);
var config = DefaultConfig
    .Instance.AddJob(job)
    .WithArtifactsPath(args.Length > 0 ? args[0] : "BenchmarkDotNet.Artifacts");

// A second argument runs only the benchmarks whose name has it.
foreach (
    var benchmark in new[]
    {
        typeof(EngineBenchmark),
        typeof(ActivitiesBenchmark),
        typeof(PlanningBenchmark),
        typeof(YearBenchmark),
        typeof(BookBenchmark),
    }
)
{
    if (args.Length < 2 || benchmark.Name.Contains(args[1], StringComparison.OrdinalIgnoreCase))
        BenchmarkRunner.Run(benchmark, config);
}
