using System.Globalization;
using BoldLadder.Core;
using BoldLadder.Core.Activities.Chains;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold chain: makes a word chain for what was taught; with --judge, says of typed ones what is wrong.
/// </summary>
public static class ChainCommand
{
    private static readonly string[] Made = ["step", "word", "graphemes", "change"];
    private static readonly string[] MadeLines = ["line", .. Made];
    private static readonly string[] JudgedPairs = ["from", "to", "valid", "change", "problems"];
    private static readonly string[] JudgedWords = ["step", "word", "graphemes", "change", "problems", "needs"];

    public static void Run(Arguments arguments, Session session)
    {
        if (!arguments.Has("--judge"))
            Make(arguments, session);
        else if (arguments.Has("--words"))
            JudgeWords(arguments, session);
        else
            JudgePairs(arguments, session);
    }

    private static void Make(Arguments arguments, Session session)
    {
        var taught = session.TaughtOf(arguments);
        var length = arguments.Has("--longest")
            ? ChainRequest.Longest
            : arguments.Count("--length") ?? throw new UsageException("bold chain needs --length (or --longest).");
        var request = new ChainRequest(
            length,
            [.. arguments.Correspondences("--with", taught.Accent)],
            arguments.Seed()
        );
        var maker = new ChainMaker(Session.ReadLexicon(), taught, arguments.Number("--zipf"));
        var lines = arguments.Count("--lines");
        var made = lines is { } count ? maker.Lines(count, request) : [maker.Make(request)];
        var (json, columns) = (arguments.Has("--json"), lines is null ? Made : MadeLines);
        session.Header(json, columns);
        for (var line = 0; line < made.Length; line++)
        {
            for (var step = 0; step < made[line].Length; step++)
            {
                var (word, change) = made[line][step];
                string[] cells = [Number(step + 1), word.Spelling, word.Segmentation.Graphemes, Name(change)];
                session.Row(json, columns, lines is null ? cells : [Number(line + 1), .. cells]);
            }
        }
        session.Errors.WriteLine(
            $"Tiles: {string.Join(' ', ChainSteps.Tiles(made.SelectMany(l => l).Select(s => s.Word.Segmentation)))}"
        );
        if (!arguments.Has("--longest") && made.Sum(l => l.Length) < length * (lines ?? 1))
        {
            session.Errors.WriteLine(
                "No chain so long was found for what was taught: teach more, ask for less, or lower --zipf."
            );
        }
    }

    private static void JudgePairs(Arguments arguments, Session session)
    {
        var judge = Judge(arguments, session);
        var json = arguments.Has("--json");
        session.Header(json, JudgedPairs);
        foreach (var (_, cells) in session.Table("from", "to"))
        {
            var steps = judge.Judge(cells.Select(c => c.Trim()));
            var problems = steps.SelectMany(s => s.Problems).Distinct().ToList();
            session.Row(
                json,
                JudgedPairs,
                cells[0],
                cells[1],
                problems.Count == 0 ? "yes" : "no",
                problems.Count == 0 ? Name(steps[1].Change) : "",
                string.Join(' ', problems.Select(Name))
            );
        }
    }

    private static void JudgeWords(Arguments arguments, Session session)
    {
        var json = arguments.Has("--json");
        var steps = Judge(arguments, session).Judge(session.Words());
        session.Header(json, JudgedWords);
        for (var i = 0; i < steps.Length; i++)
        {
            session.Row(
                json,
                JudgedWords,
                Number(i + 1),
                steps[i].Word,
                steps[i].Segmentation?.Graphemes ?? "",
                Name(steps[i].Change),
                string.Join(' ', steps[i].Problems.Select(Name)),
                string.Join(' ', steps[i].Needs)
            );
        }
    }

    private static ChainJudge Judge(Arguments arguments, Session session) =>
        new(new WordFinder(Session.ReadLexicon()), arguments.Has("--taught") ? session.TaughtOf(arguments) : null);

    private static string Number(int number) => number.ToString(CultureInfo.InvariantCulture);

    private static string Name(ChainChange? change) => change?.ToString().ToLowerInvariant() ?? "";

    private static string Name(ChainProblem problem) => problem.Code();
}
