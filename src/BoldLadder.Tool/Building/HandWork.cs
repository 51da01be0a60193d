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

/// <summary>
/// What people decided by hand, from data/builder and data/review: it always wins over what is computed.
/// </summary>
public sealed class HandWork
{
    private readonly Regex bath;

    private HandWork(string data)
    {
        var folder = Path.Combine(data, "builder");
        HandRow[] Rows(string file) => Files[file] = HandRow.Read(Path.Combine(folder, file));
        Overrides = Rows("overrides.tsv").ToDictionary(r => r[0], r => r.Cut(1, 2));
        Bands = Rows("suitability.tsv").ToDictionary(r => r[0], r => r.Parsed(1, LexiconRow.ParseSuitability));
        Flags = Rows("flags.tsv").ToDictionary(r => r[0], r => r.Parsed(1, LexiconRow.ParseFlag));
        Dropped = Rows("dropped.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        Bases = Rows("bases.tsv").ToDictionary(r => r[0], r => r[1]);
        NotCompound = Rows("not-compound.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        HeardOf = Rows("heard-of.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        Childhood = Rows("childhood.tsv").Select(r => r[0]).ToHashSet(StringComparer.Ordinal);
        Extra = Rows("extra.tsv").ToDictionary(r => r[0], r => new ExtraWord(r[0], r.Cut(1, 2), r[3]));
        Names =
        [
            .. Rows("names.tsv")
                .Select(r => new NameRow(
                    r[0],
                    r.Parsed(1, LexiconRow.ParseFlag),
                    r.Cells.Length > 3 ? r.Cut(2, 3) : null
                )),
        ];
        Topics = Rows("topics.tsv")
            .GroupBy(r => r[0])
            .ToDictionary(
                g => g.Key,
                g => g.Aggregate(Core.Words.Topics.None, (all, r) => all | r.Parsed(1, LexiconRow.ParseTopic))
            );
        FunctionWords = Rows("function-words.tsv").ToDictionary(r => r[0], r => LexiconRow.ParseSpeech(r[1]));
        Also = Rows("also.tsv").ToLookup(r => r[0], r => r.Cut(1, 2));
        American = Rows("american.tsv").ToDictionary(r => r[0], r => r[1].Split('|'));
        SecondOpinion = HandRow.Read(Path.Combine(data, "review", "second-opinion.tsv"));
        ReviewRows =
        [
            .. Directory
                .EnumerateFiles(Path.Combine(data, "review"), "batch-*.tsv")
                .Order(StringComparer.Ordinal)
                .SelectMany(HandRow.Read),
        ];
        Review = ReviewRows
            .GroupBy(r => r[0])
            .ToDictionary(
                g => g.Key,
                g => new Reading(
                    g.Last().Parsed(3, LexiconRow.ParseBand),
                    g.Last().Parsed(4, LexiconRow.ParseSuitability)
                )
            );
        var stems = Rows("bath.tsv").ToList();
        var ends = string.Join('|', stems.Where(r => r[1] == "ending").Select(r => r[0]));
        bath = new Regex(
            $"^({string.Join('|', stems.Where(r => r[1] == "stem").Select(r => r[0]))})({ends})?$",
            RegexOptions.NonBacktracking
        );
    }

    /// <summary>
    /// Every row as it was read, by file of data/builder: for complaints about one that matches nothing.
    /// </summary>
    internal Dictionary<string, HandRow[]> Files { get; } = [];

    /// <summary>The rows of data/review.</summary>
    internal IReadOnlyList<HandRow> ReviewRows { get; }

    /// <summary>
    /// Words that a synthesiser says otherwise, judged right as they are: word, our sounds, its, the reason.
    /// </summary>
    public IReadOnlyList<HandRow> SecondOpinion { get; }

    /// <summary>Segmentations that win over the aligner's.</summary>
    public IReadOnlyDictionary<string, Segmentation> Overrides { get; }

    public IReadOnlyDictionary<string, Suitability> Bands { get; }

    public IReadOnlyDictionary<string, WordFlags> Flags { get; }

    /// <summary>Abbreviations, halves of contractions, and other entries that are no words.</summary>
    public IReadOnlySet<string> Dropped { get; }

    /// <summary>
    /// The base of a word where nothing else finds it, or "" for words that only look like base and suffix: corner,
    /// number.
    /// </summary>
    public IReadOnlyDictionary<string, string> Bases { get; }

    /// <summary>Words whose letters are two words in a row by chance: cargo, pumpkin.</summary>
    public IReadOnlySet<string> NotCompound { get; }

    /// <summary>Slang, names and words that no source counts, but that nobody may make up: tosh, naff, Nile.</summary>
    public IReadOnlySet<string> HeardOf { get; }

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

    /// <summary>True for a word whose segmentation stands as people wrote it.</summary>
    public bool IsSettled(string word) => Overrides.ContainsKey(word) || Extra.ContainsKey(word);

    public bool IsBath(string word) => bath.IsMatch(word);

    /// <param name="data">The data folder, with builder and review in it.</param>
    /// <exception cref="FormatException">A row has an unknown value; the message gives file and line.</exception>
    public static HandWork Read(string data) => new(data);
}
