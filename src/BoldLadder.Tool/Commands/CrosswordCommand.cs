using System.Globalization;
using BoldLadder.Core.Activities.Crosswords;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>bold crossword: a crossword for what was taught, as a table; with --svg, drawn into a file.</summary>
public static class CrosswordCommand
{
    private static readonly string[] Columns = ["number", "direction", "row", "column", "word", "cells", "clue"];

    public static void Run(Arguments arguments, Session session)
    {
        var taught = session.TaughtOf(arguments);
        var tricky = arguments.Value("--tricky") is { } path
            ? session.FileLines(path).Select(l => l.Trim().ToLowerInvariant()).Where(l => l.Length > 0).ToHashSet()
            : [];
        var lexicon = Session.ReadLexicon();
        var materials = ProjectFolders.Materials(lexicon);
        var with = arguments.Correspondences("--with", taught.Accent);
        var words = new CrosswordWords(lexicon, materials.Sentences, materials.Pictures).For(
            taught,
            tricky,
            arguments.Has("--graphemes") ? CrosswordCells.Graphemes : CrosswordCells.Letters,
            with.Count == 0 ? null : w => with.Any(w.Contains)
        );
        var count = arguments.Count("--count") ?? throw new UsageException("bold crossword needs --count.");
        var crossword = CrosswordFitter.Fit(words, count, arguments.Seed());
        var json = arguments.Has("--json");
        session.Header(json, Columns);
        foreach (var entry in crossword.Entries)
        {
            session.Row(
                json,
                Columns,
                entry.Number.ToString(CultureInfo.InvariantCulture),
                entry.Across ? "across" : "down",
                (entry.Row + 1).ToString(CultureInfo.InvariantCulture),
                (entry.Column + 1).ToString(CultureInfo.InvariantCulture),
                entry.Word.Spelling,
                string.Join('|', entry.Word.Cells),
                Clue(entry.Word.Clue)
            );
        }
        session.Errors.WriteLine(
            $"{crossword.Entries.Length} words, {crossword.Width} by {crossword.Height} cells, {crossword.Crossings} crossings."
        );
        if (crossword.Entries.Length < count)
            session.Errors.WriteLine(
                $"Only {crossword.Entries.Length} words with a clue fit: teach more, or ask for fewer."
            );
        if (arguments.Value("--svg") is { } file)
            File.WriteAllText(file, CrosswordSvg.Draw(crossword, PictureFiles.Drawing, arguments.Has("--answers")));
    }

    private static string Clue(CrosswordClue clue) =>
        clue switch
        {
            CrosswordClue.Picture picture => $"picture {picture.Name}",
            CrosswordClue.MissingWord missing => $"{missing.Before} ____{missing.After}",
            _ => "",
        };
}

/// <summary>The pictures in data/pictures.</summary>
public static class PictureFiles
{
    private static string Folder => Path.Combine(ProjectFolders.Data, "pictures");

    /// <summary>The drawing of a picture; null when there is none.</summary>
    public static string? Drawing(string name) =>
        Path.Combine(Folder, $"{name}.svg") is var file && File.Exists(file) ? File.ReadAllText(file) : null;
}
