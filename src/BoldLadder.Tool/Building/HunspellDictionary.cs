using System.Globalization;
using System.Text.RegularExpressions;

namespace BoldLadder.Tool.Building;

/// <summary>
/// The lower-case words of a Hunspell dictionary with their affixes applied: what counts as an English word in that
/// spelling.
/// Reads only the SFX and PFX rules of the .aff file; flags are single characters.
/// </summary>
public sealed class HunspellDictionary
{
    private readonly HashSet<string> words = new(StringComparer.Ordinal);
    private readonly HashSet<(string Word, string Base)> formsOf = [];

    private HunspellDictionary() { }

    private sealed record Rule(bool IsSuffix, bool CrossProduct, string Strip, string Add, Regex Condition);

    public IEnumerable<string> Words => words;

    public bool Contains(string word) => words.Contains(word);

    /// <summary>True where the dictionary makes the word from that base by its rules: walked of walk.</summary>
    public bool IsFormOf(string word, string stem) => formsOf.Contains((word, stem));

    public static HunspellDictionary Read(string affixFile, string wordFile)
    {
        var rules = ReadRules(File.ReadLines(affixFile));
        var dictionary = new HunspellDictionary();
        foreach (var line in File.ReadLines(wordFile).Skip(1))
        {
            var cut = line.IndexOf('/', StringComparison.Ordinal);
            var stem = (cut < 0 ? line : line[..cut]).Trim();
            if (stem.Length == 0 || !stem.All(c => char.IsAsciiLetterLower(c) || c == '\''))
                continue;
            dictionary.words.Add(stem);
            if (cut >= 0)
                dictionary.AddAffixed(stem, line[(cut + 1)..], rules);
        }
        return dictionary;
    }

    private void AddAffixed(string stem, string flags, Dictionary<char, List<Rule>> rules)
    {
        var chosen = flags.Where(rules.ContainsKey).SelectMany(f => rules[f]).ToList();
        foreach (var suffix in chosen.Where(r => r.IsSuffix && r.Condition.IsMatch(stem)))
        {
            var form = stem[..^suffix.Strip.Length] + suffix.Add;
            words.Add(form);
            formsOf.Add((form, stem));
            if (!suffix.CrossProduct)
                continue;
            foreach (var prefix in chosen.Where(r => !r.IsSuffix && r.CrossProduct && r.Condition.IsMatch(form)))
            {
                words.Add(prefix.Add + form);
                formsOf.Add((prefix.Add + form, prefix.Add + stem));
            }
        }
        foreach (var prefix in chosen.Where(r => !r.IsSuffix && r.Condition.IsMatch(stem)))
            words.Add(prefix.Add + stem[prefix.Strip.Length..]);
    }

    private static Dictionary<char, List<Rule>> ReadRules(IEnumerable<string> lines)
    {
        var rules = new Dictionary<char, List<Rule>>();
        var cross = new Dictionary<char, bool>();
        foreach (var line in lines)
        {
            var cells = line.Split(' ', StringSplitOptions.RemoveEmptyEntries);
            if (cells.Length < 4 || cells[0] is not ("SFX" or "PFX"))
                continue;
            var (isSuffix, flag) = (cells[0] == "SFX", cells[1][0]);
            if (cells.Length == 4 && int.TryParse(cells[3], CultureInfo.InvariantCulture, out _))
            {
                cross[flag] = cells[2] == "Y";
                continue;
            }
            var condition = cells.Length > 4 ? cells[4] : ".";
            var add = cells[3].Split('/')[0];
            if (!rules.TryGetValue(flag, out var list))
                rules[flag] = list = [];
            list.Add(
                new Rule(
                    isSuffix,
                    cross[flag],
                    cells[2] == "0" ? "" : cells[2],
                    add == "0" ? "" : add,
                    new Regex(isSuffix ? $"{condition}$" : $"^{condition}", RegexOptions.NonBacktracking)
                )
            );
        }
        return rules;
    }
}
