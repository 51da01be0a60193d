using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold patterns: words, a line each → the patterns each needs, its syllables, base, suffix with its sounds, and the
/// two words of a compound.
/// </summary>
public static class PatternsCommand
{
    private static readonly string[] Columns =
    [
        "word",
        "patterns",
        "syllables",
        "base",
        "suffix",
        "suffix_says",
        "join",
        "compound",
    ];

    public static void Run(Arguments arguments, Session session)
    {
        var accent = Session.AccentOf(arguments);
        var json = arguments.Has("--json");
        var finder = new WordFinder(Session.ReadLexicon());
        session.Header(json, Columns);
        foreach (var written in session.Words())
        {
            if (finder.Find(written).Word is not { } word)
            {
                session.Row(json, Columns, written, "", "", "", "", "", "", "");
                continue;
            }
            session.Row(
                json,
                Columns,
                written,
                string.Join(' ', word.Patterns.Each().Select(p => p.Id())),
                string.Join('|', Syllables.Of(word)),
                word.Suffix?.Base ?? "",
                word.Suffix?.Suffix.Id() ?? "",
                word.Suffix is { } suffix ? string.Join('|', accent.Sounds(word)[^suffix.Parts..]) : "",
                word.Suffix is { Join: not Patterns.None } joined ? joined.Join.Id() : "",
                string.Join('+', word.Compound)
            );
        }
    }
}
