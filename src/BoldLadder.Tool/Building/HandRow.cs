using BoldLadder.Core.Spelling;

namespace BoldLadder.Tool.Building;

/// <summary>A row of a file that people keep by hand, with its place, so that a complaint can name it.</summary>
/// <param name="Line">From 1, as editors count; the header is line 1.</param>
public sealed record HandRow(string File, int Line, string[] Cells)
{
    public string this[int cell] =>
        cell < Cells.Length
            ? Cells[cell]
            : throw Bad($"has {Cells.Length} columns; there should be at least {cell + 1}");

    /// <summary>The rows of a tab-separated file after its header.</summary>
    public static HandRow[] Read(string path) =>
        [
            .. System
                .IO.File.ReadLines(path)
                .Select((line, i) => new HandRow(path, i + 1, line.Split('\t')))
                .Skip(1)
                .Where(r => r.Cells is not [""]),
        ];

    /// <summary>The segmentation in two columns, of the word in the first.</summary>
    /// <exception cref="FormatException">It is none, or not of that word.</exception>
    public Segmentation Cut(int graphemes, int phonemes)
    {
        var cut = Try(() => Segmentation.Parse(this[graphemes], this[phonemes]));
        return string.Equals(cut.Rejoin(), this[0], StringComparison.OrdinalIgnoreCase)
            ? cut
            : throw Bad($"cuts \"{cut.Rejoin()}\", not \"{this[0]}\"");
    }

    /// <exception cref="FormatException">The cell can't be read.</exception>
    public T Parsed<T>(int cell, Func<string, T> parse) => Try(() => parse(this[cell]));

    public FormatException Bad(string why) => new($"{File}:{Line}: {Cells[0]} {why}.");

    private T Try<T>(Func<T> read)
    {
        try
        {
            return read();
        }
        catch (FormatException problem) when (!problem.Message.StartsWith(File, StringComparison.Ordinal))
        {
            throw new FormatException($"{File}:{Line}: {Cells[0]}: {problem.Message}");
        }
    }
}
