using BoldLadder.Core.Decoding;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold tricky: words, a line each → whether they are decodable, and the graphemes that were not taught.
/// </summary>
public static class TrickyCommand
{
    private static readonly string[] Columns = ["word", "decodable", "tricky_part"];

    public static void Run(Arguments arguments, Session session)
    {
        var taught = session.TaughtOf(arguments);
        var json = arguments.Has("--json");
        var finder = new WordFinder(Session.ReadLexicon());
        session.Header(json, Columns);
        foreach (var written in session.Words())
        {
            var word = finder.Find(written).Word;
            var places = word is null ? [] : taught.TrickyPlaces(word).ToList();
            session.Row(
                json,
                Columns,
                written,
                word is not null && taught.CanRead(word) ? "yes" : "no",
                string.Join(' ', places.Select(p => word!.Segmentation.Parts[p].Grapheme.Text))
            );
            if (word is not null && taught.WouldLetIn(word) is var leniency and not Leniencies.None)
                session.Errors.WriteLine($"{written}: would be let in by {leniency.Names()}.");
        }
    }
}
