using System.Globalization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold lessons: the lessons of some rungs of a shipped ladder as text, each planned after all the rungs before it, or
/// those that the lines of a file name;
/// bold sample-lessons: those of docs/sample-lessons, or with --check says whether they would come out the same.
/// </summary>
public static class LessonsCommand
{
    private const int Minutes = 20;
    private const int Samples = 10;

    public static void Run(Arguments arguments, Session session)
    {
        var materials = ProjectFolders.Materials(Session.ReadLexicon());
        if (arguments.Value("--picks") is { } file)
        {
            foreach (var pick in File.ReadLines(file).Where(l => l.Length > 0 && !l.StartsWith('#')))
                session.Output.WriteLine(Of(pick, materials));
            return;
        }
        var ladder = Read(arguments.Required("--ladder"));
        var rungs = arguments.Required("--rungs").Split(',').Select(r => RungOf(r, ladder)).Order().ToList();
        foreach (
            var text in Of(
                ladder,
                materials,
                rungs,
                arguments.Count("--minutes") ?? Minutes,
                arguments.Seed(),
                Session.AccentOf(arguments)
            )
        )
            session.Output.WriteLine(text);
    }

    private static int RungOf(string rung, Ladder ladder) =>
        int.TryParse(rung, CultureInfo.InvariantCulture, out var n) && n >= 1 && n <= ladder.Rungs.Length
            ? n - 1
            : throw new UsageException(
                $"bold lessons: --rungs takes numbers from 1 to {ladder.Rungs.Length}, joined by commas."
            );

    /// <summary>
    /// A lesson of a line that says ladder, rung, minutes, accent and seed: letters-first 34 20 southern-british 7.
    /// </summary>
    private static string Of(string pick, Materials materials)
    {
        if (
            pick.Split(' ', StringSplitOptions.RemoveEmptyEntries)
                is not [var id, var rung, var length, var said, var drawn]
            || !int.TryParse(length, CultureInfo.InvariantCulture, out var minutes)
            || !long.TryParse(drawn, CultureInfo.InvariantCulture, out var seed)
        )
            throw new UsageException(
                $"bold lessons: \"{pick}\" is no line of a file for --picks: ladder, rung, minutes, accent and seed, "
                    + "as in: letters-first 34 20 southern-british 7"
            );
        var ladder = Read(id);
        return Of(ladder, materials, [RungOf(rung, ladder)], minutes, seed, Accent.Parse(said))
            .Single()
            .Replace("## ", $"## {pick} · ", StringComparison.Ordinal);
    }

    /// <summary>Ten rungs of each shipped ladder, spread along it.</summary>
    public static int WriteSamples(Arguments arguments, Session session)
    {
        var (check, errors) = (arguments.Has("--check"), session.Errors);
        var materials = ProjectFolders.Materials(Lexicon.Read(ProjectFolders.LexiconShards()));
        var folder = Directory.CreateDirectory(Path.Combine(ProjectFolders.Root, "docs", "sample-lessons")).FullName;
        var different = false;
        foreach (var id in Ladder.Shipped)
        {
            var ladder = Read(id);
            var rungs = Enumerable
                .Range(0, Samples)
                .Select(i => (int)Math.Round(2 + (i * (ladder.Rungs.Length - 3.0) / (Samples - 1))))
                .ToList();
            var content =
                $"# Ten lessons of the ladder {id}\n\n"
                + "Made by `./bold sample-lessons`; each is planned after all the lessons before it.\n\n"
                + string.Join('\n', Of(ladder, materials, rungs, Minutes, 1, Accent.SouthernBritish));
            var file = Path.Combine(folder, $"{id}.md");
            var same = File.Exists(file) && File.ReadAllText(file) == content;
            if (!check)
                File.WriteAllText(file, content);
            errors.WriteLine($"{id}: {(same ? "the same" : check ? "would come out different" : "written")}.");
            different |= !same;
        }
        return check && different ? 1 : 0;
    }

    private static IEnumerable<string> Of(
        Ladder ladder,
        Materials materials,
        List<int> rungs,
        int minutes,
        long seed,
        Accent accent
    )
    {
        var series = new LessonSeries(ladder, materials, Leniencies.All, accent, minutes, seed);
        while (series.HasNext && series.Lessons <= rungs[^1])
        {
            var wanted = rungs.Contains(series.Lessons);
            var (request, lesson) = series.PlanNext();
            if (wanted)
                yield return LessonText
                    .Of(request, lesson)
                    .Replace("## ", $"## {series.Lessons}. ", StringComparison.Ordinal);
        }
    }

    /// <summary>A shipped ladder.</summary>
    /// <exception cref="UsageException">There is none of this name.</exception>
    internal static Ladder Read(string id) =>
        Ladder.Shipped.Contains(id)
            ? LadderDocument.Read(File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", $"{id}.json")))
            : throw new UsageException(
                $"There is no ladder \"{id}\". Use one of: {string.Join(", ", Ladder.Shipped)}."
            );
}
