using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold check --until-bar: the share of a text that can be read after each rung of a ladder, until it reaches the bar.
/// Without --ladder the lines of the taught file are the rungs.
/// </summary>
internal static class UntilBar
{
    private static readonly string[] Columns = ["rung", "label", "running", "different"];

    /// <exception cref="UsageException">The bar is none, or there is nothing to climb.</exception>
    public static void Run(Arguments arguments, Session session, TextReader input)
    {
        var bar = arguments.Number("--until-bar") is > 0 and <= 100 and var percent
            ? percent / 100
            : throw new UsageException("bold check: --until-bar takes a share in percent, above 0 and up to 100.");
        var ladder = arguments.Value("--ladder") is { } id ? LessonsCommand.Read(id) : OfTaughtFile(arguments, session);
        var places = new SentencePlaces(
            ladder,
            arguments.Has("--lenient") ? Leniencies.All : Leniencies.None,
            Session.AccentOf(arguments)
        );
        TextWords text;
        try
        {
            text = TextWords.Read(input.ReadToEnd(), new WordFinder(Session.ReadLexicon()));
        }
        catch (RefusedException)
        {
            throw new UsageException(
                $"bold check: --until-bar takes a text of up to {TextWords.MostWords} words, none longer than "
                    + $"{TokenReader.LongestToken} letters."
            );
        }
        var along = new TextOnLadder(text, places, ladder.Rungs.Length, _ => false);
        var json = arguments.Has("--json");
        session.Header(json, Columns);
        var reached = along.Reaches(bar);
        for (var rung = -1; rung <= (reached ?? ladder.Rungs.Length - 1); rung++)
        {
            session.Row(
                json,
                Columns,
                (rung + 1).ToString(CultureInfo.InvariantCulture),
                rung < 0 ? "" : ladder.Rungs[rung].Label,
                Share(along.Running[rung + 1]),
                Share(along.Different[rung + 1])
            );
        }
        session.Errors.WriteLine(
            reached is { } found
                ? $"{bar:P0} of the words can be read after rung {found + 1} of {ladder.Rungs.Length}."
                : $"{bar:P0} of the words can't be read on this ladder."
        );
    }

    private static string Share(double share) => share.ToString("0.0000", CultureInfo.InvariantCulture);

    /// <summary>A rung a line, in the order of the file; the tricky words come with the first.</summary>
    private static Ladder OfTaughtFile(Arguments arguments, Session session)
    {
        var path = arguments.Required("--taught");
        var accent = Session.AccentOf(arguments);
        var whole = session.TaughtOf(arguments);
        var rungs = ImmutableArray.CreateBuilder<Rung>();
        foreach (var line in session.FileLines(path).Where(l => l.Trim().Length > 0))
        {
            var taught = TaughtFile.Read([line], Leniencies.None, accent).Taught;
            rungs.Add(
                new Rung(
                    $"line-{rungs.Count + 1}",
                    "",
                    [.. taught.Correspondences],
                    taught.Patterns,
                    rungs.Count == 0 ? [.. CheckCommand.Tricky(arguments, session)] : [],
                    null
                )
            );
        }
        return new Ladder("taught-file", "own", whole.Free, rungs.ToImmutable());
    }
}
