using System.Globalization;
using BoldLadder.Core.Marking;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold mark: what was said and what was written → a verdict for each grapheme, extra letters, ticks.
/// </summary>
public static class MarkCommand
{
    private static readonly string[] Columns =
    [
        "target",
        "attempt",
        "verdicts",
        "extra",
        "ticks",
        "out_of",
        "whole",
        "notes",
    ];

    public static void Run(Arguments arguments, Session session)
    {
        var json = arguments.Has("--json");
        var lexicon = Session.ReadLexicon();
        var finder = new WordFinder(lexicon);
        var marker = new Marker(new PlausibleSpellings(lexicon, Session.AccentOf(arguments)));
        session.Header(json, Columns);
        foreach (var (line, cells) in session.Table("target", "attempt"))
        {
            if (finder.Find(cells[0].Trim()).Word is not { } target)
            {
                session.Complain(
                    "",
                    line,
                    $"\"{cells[0]}\" is no word that can be marked; write one word of letters as the target"
                );
                continue;
            }
            try
            {
                var mark = marker.Mark(target, cells[1]);
                session.Row(
                    json,
                    Columns,
                    cells[0],
                    cells[1],
                    Verdicts(mark),
                    string.Join(' ', mark.Extra.Select(e => e.Letters)),
                    mark.Ticks.ToString(CultureInfo.InvariantCulture),
                    mark.OutOf.ToString(CultureInfo.InvariantCulture),
                    mark.Whole ? "yes" : "no",
                    Notes(mark)
                );
            }
            catch (AttemptRefusedException refused)
            {
                session.Complain("", line, refused.Message);
            }
        }
    }

    /// <summary>The verdicts as the command writes them, a word for each grapheme.</summary>
    public static string Verdicts(Mark mark) =>
        string.Join(' ', mark.Graphemes.Select(g => g.Verdict.ToString().ToLowerInvariant()));

    public static string Notes(Mark mark)
    {
        var notes = new List<string>();
        if (mark.Notes.HasFlag(MarkNotes.Order))
            notes.Add("order");
        if (mark.Notes.HasFlag(MarkNotes.AsSpoken))
            notes.Add("spoken");
        return string.Join(' ', notes);
    }
}
