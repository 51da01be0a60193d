using System.Globalization;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// One row of data/lexicon: word, graphemes, phonemes, zipf, suitability, flags, base, suffix, join. Columns: docs/data.md.
/// </summary>
public static class LexiconRow
{
    public const string Header = "word\tgraphemes\tphonemes\tzipf\tsuitability\tflags\tbase\tsuffix\tjoin";

    private static readonly (WordFlags Flag, string Name)[] FlagNames =
    [
        (WordFlags.Bath, "bath"), (WordFlags.Heteronym, "heteronym"),
        (WordFlags.BritishOnly, "gb-only"), (WordFlags.AmericanOnly, "us-only"),
        (WordFlags.KnownAtFive, "known"),
    ];

    /// <exception cref="FormatException">The row has the wrong columns or an unknown value.</exception>
    public static Word Read(string row)
    {
        var cells = row.TrimEnd('\r').Split('\t');
        if (cells.Length != 9) throw new FormatException($"A lexicon row has 9 columns, this one {cells.Length}: {row}");
        var flags = WordFlags.None;
        foreach (var name in cells[5].Split(',', StringSplitOptions.RemoveEmptyEntries)) flags |= FlagNames.Single(f => f.Name == name).Flag;
        var suffix = cells[6].Length == 0 ? null : new SuffixLink(
            cells[6], PatternIds.Parse(cells[7]), cells[8].Length == 0 ? Patterns.None : PatternIds.Parse(cells[8]));
        return new Word(
            cells[0],
            Segmentation.Parse(cells[1], cells[2]),
            double.Parse(cells[3], CultureInfo.InvariantCulture),
            Enum.Parse<Suitability>(cells[4], ignoreCase: true),
            flags,
            suffix);
    }

    public static string Write(Word word) => string.Join('\t',
        word.Spelling,
        word.Segmentation.Graphemes,
        word.Segmentation.Phonemes,
        word.Zipf.ToString("0.00", CultureInfo.InvariantCulture),
        word.Suitability.ToString().ToLowerInvariant(),
        FlagText(word.Flags),
        word.Suffix?.Base ?? "",
        word.Suffix?.Suffix.Id() ?? "",
        word.Suffix is { Join: not Patterns.None } s ? s.Join.Id() : "");

    /// <summary>The flags as the file and the command write them.</summary>
    public static string FlagText(WordFlags flags) => string.Join(',', FlagNames.Where(f => flags.HasFlag(f.Flag)).Select(f => f.Name));
}
