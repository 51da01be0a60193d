using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using BoldLadder.Bench;

// In process, so that it needs neither a project of its own nor a second restore.
var job = Job.ShortRun.WithToolchain(InProcessEmitToolchain.Instance);
BenchmarkRunner.Run<PlanningBenchmark>(DefaultConfig.Instance.AddJob(job).WithArtifactsPath(args.Length > 0 ? args[0] : "BenchmarkDotNet.Artifacts"));
