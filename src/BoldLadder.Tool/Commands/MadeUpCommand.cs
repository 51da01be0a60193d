using BoldLadder.Core;
using BoldLadder.Core.Activities.MadeUp;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold madeup: makes made-up words for what was taught; with --judge, says of candidates whether they will do.
/// </summary>
public static class MadeUpCommand
{
    private static readonly string[] Made = ["word", "graphemes", "phonemes"];
    private static readonly string[] Judged = ["candidate", "ok", "reason"];

    /// <summary>The reasons as the command writes them.</summary>
    public static IEnumerable<string> Reasons =>
        Enum.GetValues<MadeUpReason>().Where(r => r != MadeUpReason.None).Select(Name);

    public static void Run(Arguments arguments, Session session)
    {
        var json = arguments.Has("--json");
        var accent = Session.AccentOf(arguments);
        var taught = arguments.Has("--judge") && !arguments.Has("--taught") ? null : session.TaughtOf(arguments);
        if (arguments.Has("--judge"))
        {
            var judge = new MadeUpJudge(Session.ReadLexicon(), taught, accent);
            session.Header(json, Judged);
            foreach (var candidate in session.Lines())
            {
                var judged = judge.Judge(candidate);
                session.Row(json, Judged, candidate, judged.WillDo ? "yes" : "no", Name(judged.Reason));
            }
            return;
        }
        var count = arguments.Count("--count") ?? throw new UsageException("bold madeup needs --count.");
        var made = new MadeUpMaker(Session.ReadLexicon(), taught!).Make(
            count,
            arguments.Seed(),
            arguments.Correspondences("--with", accent)
        );
        session.Header(json, Made);
        foreach (var word in made)
            session.Row(
                json,
                Made,
                word.Spelling,
                word.Segmentation.Graphemes,
                string.Join('|', word.Segmentation.Parts.Select(accent.Project))
            );
        if (made.Length < count)
            session.Errors.WriteLine(
                $"Only {made.Length} made-up words are to be had from what was taught: teach more, or ask for fewer."
            );
    }

    /// <summary>The reason as the command writes it: real-word; empty for none.</summary>
    public static string Name(MadeUpReason reason) => reason == MadeUpReason.None ? "" : reason.Code();
}
