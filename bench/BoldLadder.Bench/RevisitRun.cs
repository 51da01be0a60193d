using System.Collections.Concurrent;
using System.Globalization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Simulation;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.Tool;

namespace BoldLadder.Bench;

/// <summary>
/// Virtual classes taught a year by the planner under each policy and each law of forgetting: in how many seeds ours is
/// better than each other, in the mean at the end of the year and for the worst-served tenth. docs/memory.md.
/// </summary>
internal static class RevisitRun
{
    private const int Minutes = 20;
    private const int Lessons = 190;

    /// <param name="pictures">A folder for a picture of each law; null for none.</param>
    public static void Run(TextWriter output, int first, int seeds, string? pictures)
    {
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        var ladder = LadderDocument.Read(
            File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", "letters-first.json"))
        );
        var materials = ProjectFolders.Materials(lexicon);
        var difficulty = new Difficulty(new CorrespondenceTable(lexicon, Accent.SouthernBritish));
        var results = new ConcurrentDictionary<(ForgettingLaw, RevisitPolicy, int), YearResult>();
        Parallel.ForEach(
            from seed in Enumerable.Range(first, seeds)
            from law in Enum.GetValues<ForgettingLaw>()
            from policy in Enum.GetValues<RevisitPolicy>()
            select (law, policy, seed),
            new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount },
            one =>
                results[one] = new VirtualYear(
                    ladder: ladder,
                    materials: materials,
                    difficulty: difficulty,
                    law: one.law,
                    policy: one.policy,
                    minutes: Minutes,
                    seed: one.seed
                ).Run(Lessons)
        );
        output.WriteLine("| law | policy | mean | worst tenth | ours better in the mean | ours better for the tenth |");
        output.WriteLine("| --- | --- | --- | --- | --- | --- |");
        foreach (var law in Enum.GetValues<ForgettingLaw>())
        {
            foreach (var policy in Enum.GetValues<RevisitPolicy>())
            {
                var all = Enumerable
                    .Range(first, seeds)
                    .Select(s => (Ours: results[(law, RevisitPolicy.Ours, s)], It: results[(law, policy, s)]))
                    .ToList();
                string Better(Func<YearResult, double> of) =>
                    policy == RevisitPolicy.Ours ? "" : $"{all.Count(a => of(a.Ours) > of(a.It))} of {seeds}";
                var better = (Mean: Better(r => r.Mean), Worst: Better(r => r.Worst));
                var (mean, worst) = (all.Average(a => a.It.Mean), all.Average(a => a.It.Worst));
                output.WriteLine(
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"| {law} | {policy} | {mean:F3} | {worst:F3} | {better.Mean} | {better.Worst} |"
                    )
                );
            }
        }
        if (pictures is null)
            return;
        foreach (var law in Enum.GetValues<ForgettingLaw>())
            File.WriteAllText(
                Path.Combine(pictures, $"memory-{law.ToString().ToLowerInvariant()}.svg"),
                RevisitPlot.Of(
                    law,
                    Enum.GetValues<RevisitPolicy>()
                        .ToDictionary(
                            p => p,
                            p =>
                                (IReadOnlyList<YearResult>)
                                    [.. Enumerable.Range(first, seeds).Select(s => results[(law, p, s)])]
                        )
                )
            );
    }
}
