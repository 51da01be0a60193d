using System.Text.RegularExpressions;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>What people decided by hand, from data/builder: it always wins over what is computed.</summary>
public sealed class HandWork
{
    private readonly Regex bath;

    private HandWork(string folder)
    {
        Overrides = Rows(folder, "overrides.tsv").ToDictionary(r => r[0], r => Segmentation.Parse(r[1], r[2]));
        Bands = Rows(folder, "suitability.tsv").ToDictionary(r => r[0], r => Enum.Parse<Suitability>(r[1], ignoreCase: true));
        Flags = Rows(folder, "flags.tsv").ToDictionary(r => r[0], r => r[1]);
        Dropped = Rows(folder, "dropped.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        NotSuffixed = Rows(folder, "not-suffixed.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        Childhood = Rows(folder, "childhood.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        var stems = Rows(folder, "bath.tsv").ToList();
        var ends = string.Join('|', stems.Where(r => r[1] == "ending").Select(r => r[0]));
        bath = new Regex($"^({string.Join('|', stems.Where(r => r[1] == "stem").Select(r => r[0]))})({ends})?$", RegexOptions.NonBacktracking);
    }

    /// <summary>Segmentations that win over the aligner's.</summary>
    public IReadOnlyDictionary<string, Segmentation> Overrides { get; }

    public IReadOnlyDictionary<string, Suitability> Bands { get; }

    public IReadOnlyDictionary<string, string> Flags { get; }

    /// <summary>Abbreviations, halves of contractions, and other entries that are no words.</summary>
    public IReadOnlySet<string> Dropped { get; }

    /// <summary>Words that look like base and suffix but aren't: corner, number.</summary>
    public IReadOnlySet<string> NotSuffixed { get; }

    /// <summary>Words of young children's lives that adult speech is too poor in; they come in whatever their count.</summary>
    public IReadOnlySet<string> Childhood { get; }

    public bool IsBath(string word) => bath.IsMatch(word);

    /// <exception cref="FormatException">A row has an unknown value.</exception>
    public static HandWork Read(string folder) => new(folder);

    private static IEnumerable<string[]> Rows(string folder, string file) =>
        File.ReadLines(Path.Combine(folder, file)).Skip(1).Where(l => l.Length > 0).Select(l => l.Split('\t'));
}
