using System.Text.RegularExpressions;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>A word that the sources lack or say wrong, given whole by hand.</summary>
/// <param name="Kind">child, british, contraction or capital.</param>
public sealed record ExtraWord(string Spelling, Segmentation Segmentation, string Kind);

/// <summary>A first name or a place; with a segmentation where the sources don't give one.</summary>
public sealed record NameRow(string Spelling, WordFlags Kind, Segmentation? Segmentation);

/// <summary>What a reader decided of a word in data/review.</summary>
public sealed record Reading(Band Band, Suitability Suitability);

/// <summary>What people decided by hand, from data/builder and data/review: it always wins over what is computed.</summary>
public sealed class HandWork
{
    private readonly Regex bath;

    private HandWork(string data)
    {
        var folder = Path.Combine(data, "builder");
        Overrides = Rows(folder, "overrides.tsv").ToDictionary(r => r[0], r => Segmentation.Parse(r[1], r[2]));
        Bands = Rows(folder, "suitability.tsv").ToDictionary(r => r[0], r => Enum.Parse<Suitability>(r[1], ignoreCase: true));
        Flags = Rows(folder, "flags.tsv").ToDictionary(r => r[0], r => LexiconRow.ParseFlag(r[1]));
        Dropped = Rows(folder, "dropped.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        NotSuffixed = Rows(folder, "not-suffixed.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        NotCompound = Rows(folder, "not-compound.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        Childhood = Rows(folder, "childhood.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        Extra = Rows(folder, "extra.tsv").ToDictionary(r => r[0], r => new ExtraWord(r[0], Segmentation.Parse(r[1], r[2]), r[3]));
        Names = [.. Rows(folder, "names.tsv").Select(r => new NameRow(r[0], LexiconRow.ParseFlag(r[1]), r.Length > 3 ? Segmentation.Parse(r[2], r[3]) : null))];
        Topics = Rows(folder, "topics.tsv").GroupBy(r => r[0]).ToDictionary(g => g.Key, g => g.Aggregate(Core.Words.Topics.None, (all, r) => all | LexiconRow.ParseTopic(r[1])));
        FunctionWords = Rows(folder, "function-words.tsv").ToDictionary(r => r[0], r => LexiconRow.ParseSpeech(r[1]));
        Also = Rows(folder, "also.tsv").ToLookup(r => r[0], r => Segmentation.Parse(r[1], r[2]));
        American = Rows(folder, "american.tsv").ToDictionary(r => r[0], r => r[1].Split('|'));
        Review = Directory.EnumerateFiles(Path.Combine(data, "review"), "*.tsv").Order(StringComparer.Ordinal).SelectMany(f => Rows(f))
            .GroupBy(r => r[0]).ToDictionary(g => g.Key, g => g.Last() is var r ? new Reading(LexiconRow.ParseBand(r[3]), Enum.Parse<Suitability>(r[4], ignoreCase: true)) : null!);
        var stems = Rows(folder, "bath.tsv").ToList();
        var ends = string.Join('|', stems.Where(r => r[1] == "ending").Select(r => r[0]));
        bath = new Regex($"^({string.Join('|', stems.Where(r => r[1] == "stem").Select(r => r[0]))})({ends})?$", RegexOptions.NonBacktracking);
    }

    /// <summary>Segmentations that win over the aligner's.</summary>
    public IReadOnlyDictionary<string, Segmentation> Overrides { get; }

    public IReadOnlyDictionary<string, Suitability> Bands { get; }

    public IReadOnlyDictionary<string, WordFlags> Flags { get; }

    /// <summary>Abbreviations, halves of contractions, and other entries that are no words.</summary>
    public IReadOnlySet<string> Dropped { get; }

    /// <summary>Words that look like base and suffix but aren't: corner, number.</summary>
    public IReadOnlySet<string> NotSuffixed { get; }

    /// <summary>Words whose letters are two words in a row by chance: cargo, pumpkin.</summary>
    public IReadOnlySet<string> NotCompound { get; }

    /// <summary>Words of young children's lives, known at five.</summary>
    public IReadOnlySet<string> Childhood { get; }

    public IReadOnlyDictionary<string, ExtraWord> Extra { get; }

    public IReadOnlyList<NameRow> Names { get; }

    public IReadOnlyDictionary<string, Topics> Topics { get; }

    public IReadOnlyDictionary<string, PartsOfSpeech> FunctionWords { get; }

    /// <summary>Second readings.</summary>
    public ILookup<string, Segmentation> Also { get; }

    /// <summary>What Americans say, where the source is wrong or gives another reading first.</summary>
    public IReadOnlyDictionary<string, string[]> American { get; }

    /// <summary>The words that were read by hand.</summary>
    public IReadOnlyDictionary<string, Reading> Review { get; }

    public bool IsBath(string word) => bath.IsMatch(word);

    /// <param name="data">The data folder, with builder and review in it.</param>
    /// <exception cref="FormatException">A row has an unknown value.</exception>
    public static HandWork Read(string data) => new(data);

    private static IEnumerable<string[]> Rows(params string[] path) =>
        File.ReadLines(Path.Combine(path)).Skip(1).Where(l => l.Length > 0).Select(l => l.Split('\t'));
}
