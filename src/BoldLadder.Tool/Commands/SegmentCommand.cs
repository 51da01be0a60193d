using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold segment: words, a line each → graphemes, phonemes and how they are known; with --all every reading.
/// </summary>
public static class SegmentCommand
{
    private static readonly string[] Columns = ["word", "graphemes", "phonemes", "source"];

    public static void Run(Arguments arguments, Session session)
    {
        var accent = Session.AccentOf(arguments);
        var json = arguments.Has("--json");
        var finder = new WordFinder(Session.ReadLexicon());
        session.Header(json, Columns);
        foreach (var written in session.Words())
        {
            var found = finder.Find(written);
            var source = found.Source.ToString().ToLowerInvariant();
            if (found.Word is not { } word)
            {
                session.Row(json, Columns, written, "", "", source);
                continue;
            }
            foreach (var reading in found.Readings.Take(arguments.Has("--all") ? found.Readings.Length : 1))
            {
                session.Row(
                    json,
                    Columns,
                    written,
                    reading.Graphemes,
                    string.Join('|', Sounds(accent, word, reading)),
                    source
                );
            }
        }
    }

    private static string[] Sounds(Accent accent, Word word, Segmentation reading) =>
        accent.Sounds(
            reading == word.Segmentation
                ? word
                : new Word(word.Spelling, reading, word.Zipf, word.Suitability, word.Flags, null)
        );
}
