using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Alike;
using BoldLadder.Tool;

namespace BoldLadder.Bench;

/// <summary>
/// What two hundred schools weigh that ban fifty words each, with what is worked out for each when a lesson is planned
/// and a word looked up.
/// </summary>
public static class SchoolsRun
{
    private const int Schools = 200;
    private const int Bans = 50;
    private const int Rung = 60;

    public static void Run(TextWriter output)
    {
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        var materials = ProjectFolders.Materials(lexicon);
        var ladder = LadderDocument.Read(
            File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", "letters-first.json"))
        );
        var alike = new WordsAlike(lexicon, lexicon.ForLessons, Accent.SouthernBritish);
        var all = lexicon.ForLessons.ToList();
        // Whatever the shipped words need is there before, as it is in a server that is warm.
        Use(materials, alike);
        var before = GC.GetTotalMemory(forceFullCollection: true);
        var kept = new List<(Materials, WordsAlike)>();
        for (var school = 0; school < Schools; school++)
        {
            var bans = Seeded
                .For(school, "bans")
                .Shuffle(all)
                .Take(Bans)
                .Select(w => new SchoolWord(w.Spelling, SchoolVerdict.Ban, null, "Ours."));
            var own = materials.With(SchoolWords.Over(lexicon, [.. bans]));
            var near = alike.Over(own.Lexicon);
            Use(own, near);
            kept.Add((own, near));
        }
        var after = GC.GetTotalMemory(forceFullCollection: true);
        GC.KeepAlive(kept);
        output.WriteLine(
            $"{Schools} schools that ban {Bans} words each hold {(after - before) / 1000.0 / Schools:0} kB a school "
                + $"over the {before / 1_000_000} MB that all share."
        );

        void Use(Materials with, WordsAlike near)
        {
            var series = new LessonSeries(ladder, with, Leniencies.All, Accent.SouthernBritish, 25, Rung);
            series.Skip(Rung);
            series.PlanNext();
            foreach (var word in all.Take(20))
                _ = near.Rhymes(word).Count() + near.MinimalPairs(word).Count() + near.Homophones(word).Count();
        }
    }
}
