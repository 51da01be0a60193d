using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Activities.Crosswords;

/// <summary>What leads children to an answer. Source: docs/handbook.md, section 6 (Apply: crossword).</summary>
public abstract record CrosswordClue
{
    /// <summary>A picture of the answer, by its name in data/pictures.</summary>
    public sealed record Picture(string Name) : CrosswordClue;

    /// <summary>A sentence they can read, with the answer left out.</summary>
    /// <param name="Before">What stands before the gap.</param>
    /// <param name="After">What stands after it, its full stop with it.</param>
    public sealed record MissingWord(string Before, string After) : CrosswordClue;
}

/// <summary>
/// A word that may go into a crossword: what each cell takes (a letter, or a grapheme), and its clue.
/// </summary>
public sealed record CrosswordWord(string Spelling, ImmutableArray<string> Cells, CrosswordClue Clue);

/// <summary>A word in its place.</summary>
/// <param name="Number">As printed in its first cell; a word across and a word down may share it.</param>
/// <param name="Row">Of the first cell, from 0.</param>
public sealed record CrosswordEntry(CrosswordWord Word, int Number, int Row, int Column, bool Across)
{
    /// <summary>The cells it fills, in order.</summary>
    public IEnumerable<(int Row, int Column, string Cell)> Cells =>
        Word.Cells.Select((c, i) => (Across ? Row : Row + i, Across ? Column + i : Column, c));
}

/// <summary>A crossword that is connected: each word crosses another.</summary>
/// <param name="Entries">In the order of their numbers, across first.</param>
public sealed record Crossword(int Width, int Height, ImmutableArray<CrosswordEntry> Entries)
{
    /// <summary>How many cells are shared by a word across and a word down.</summary>
    public int Crossings => Entries.Sum(e => e.Word.Cells.Length) - Filled;

    /// <summary>The share of cells that are filled, 0 to 1.</summary>
    public double Density => Width * Height == 0 ? 0 : (double)Filled / (Width * Height);

    /// <summary>True when an entry of which only the crossings are filled could be taken for a crude word.</summary>
    public bool LeavesCrudeShape
    {
        get
        {
            var shared = Entries
                .SelectMany(e => e.Cells.Select(c => (c.Row, c.Column)))
                .GroupBy(c => c)
                .Where(g => g.Count() > 1)
                .Select(g => g.Key)
                .ToHashSet();
            return Entries.Any(e =>
                CrudeWords.FitsCells([.. e.Cells.Select(c => shared.Contains((c.Row, c.Column)) ? c.Cell : null)])
            );
        }
    }

    private int Filled => Entries.SelectMany(e => e.Cells).Select(c => (c.Row, c.Column)).Distinct().Count();
}
