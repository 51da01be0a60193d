using System.Globalization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold sentences: captions, sentences and titles of texts with the rung of each shipped ladder after which they can be
/// read (empty for never); with --input, those of standard input, a line each, so that new ones can be tried. What is
/// not in the lexicon goes to standard error.
/// </summary>
public static class SentencesCommand
{
    private static readonly string[] Columns = ["kind", .. Ladder.Shipped, "text"];

    public static void Run(Arguments arguments, Session session)
    {
        var (json, lexicon) = (arguments.Has("--json"), Session.ReadLexicon());
        var places = Ladder
            .Shipped.Select(l =>
                LadderDocument.Read(File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", $"{l}.json")))
            )
            .Select(l => new SentencePlaces(l, Leniencies.All, Accent.SouthernBritish))
            .ToList();
        session.Header(json, Columns);
        void Row(string kind, string text, Func<SentencePlaces, int?> rung) =>
            session.Row(
                json,
                Columns,
                [
                    kind,
                    .. places.Select(p => rung(p) is { } at ? (at + 1).ToString(CultureInfo.InvariantCulture) : ""),
                    text,
                ]
            );
        var materials = ProjectFolders.Materials(lexicon);
        var lines = arguments.Has("--input")
            ? session.Lines().ToList()
            : [.. File.ReadLines(Path.Combine(ProjectFolders.Data, "sentences", "bank.txt"))];
        foreach (var line in lines.Where(l => l.Length > 0))
        {
            if (Sentence.Read(line, lexicon) is not { } sentence)
                session.Errors.WriteLine($"A word of this is not in the lexicon: {line}");
            else if (
                sentence.Tokens.FirstOrDefault(t => t.Word.Suitability != Suitability.Use) is { Word: not null } odd
            )
                session.Errors.WriteLine($"\"{odd.Written}\" is not for every lesson: {line}");
            else
                Row("sentence", line, p => p.RungOf(sentence));
        }
        if (arguments.Has("--input"))
            return;
        foreach (var text in materials.Texts.Texts)
            Row("text", text.Title, p => p.RungOf(text));
    }
}
