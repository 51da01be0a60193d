using System.Text;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold check: a text → each word as it is written, its status and what it needs; the shares on standard error.
/// Streams.
/// </summary>
public static class CheckCommand
{
    private const int MostComplaints = 20;

    private static readonly string[] Columns = ["token", "status", "needs"];

    public static void Run(Arguments arguments, Session session)
    {
        var taught = session.TaughtOf(arguments);
        var tricky = arguments.Value("--tricky") is { } path
            ? session
                .FileLines(path)
                .Select(l => WordFinder.Plain(l.Trim()))
                .Where(l => l.Length > 0)
                .ToHashSet(StringComparer.Ordinal)
            : [];
        var json = arguments.Has("--json");
        var check = new TextCheck(new WordFinder(Session.ReadLexicon()), taught, tricky);
        session.Header(json, Columns);

        var complaints = 0;
        var tokens = new TokenReader(new StreamReader(session.Input, new UTF8Encoding(false)));
        var lastTooLong = 0L;
        while (tokens.Read())
        {
            if (tokens.Kind == TokenKind.Between)
            {
                if (tokens.Token.Contains('\uFFFD'))
                    Complain(tokens.Line, "not UTF-8; save the text as UTF-8");
                continue;
            }
            if (tokens.Kind == TokenKind.TooLong)
            {
                if (lastTooLong != tokens.Line)
                    Complain(
                        tokens.Line,
                        $"{TokenReader.LongestToken} letters and more without a space are no word; they are left out"
                    );
                lastTooLong = tokens.Line;
                continue;
            }
            if (tokens.Token.Contains('\uFFFD'))
                Complain(tokens.Line, "not UTF-8; save the text as UTF-8");
            var judgement = check.Judge(tokens.Token, tokens.Kind);
            if (json)
                session.Row(true, Columns, tokens.Token.ToString(), Name(judgement.Status), judgement.NeedsText);
            else
                session.Row(tokens.Token, Name(judgement.Status), judgement.NeedsText);
        }
        if (complaints > MostComplaints)
            session.Errors.WriteLine($"… and {complaints - MostComplaints} more places.");
        Summarise(check.Count, session.Errors);

        void Complain(long line, string problem)
        {
            if (complaints++ < MostComplaints)
                session.Complain("", line, problem);
        }
    }

    private static void Summarise(TextCount count, TextWriter errors)
    {
        errors.WriteLine($"{count.Words} words, {count.DifferentWords} different: {count.Readable:P1} can be read.");
        foreach (var status in Enum.GetValues<ReadingStatus>())
        {
            errors.WriteLine(
                $"  {Name(status), -10} {count.Running(status), 10} running {count.Different(status), 8} different"
            );
        }
    }

    private static string Name(ReadingStatus status) =>
        status switch
        {
            ReadingStatus.Decodable => "decodable",
            ReadingStatus.Tricky => "tricky",
            ReadingStatus.NotYet => "not-yet",
            _ => "unknown",
        };
}
