using System.Diagnostics;
using System.Text;
using System.Text.RegularExpressions;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>Where a speech synthesiser that nobody here wrote says a word otherwise than the lexicon.</summary>
/// <param name="Ours">The lexicon's sounds, parted by |.</param>
/// <param name="Heard">The synthesiser's, without stress.</param>
public sealed record Disagreement(string Word, string Ours, string Heard);

/// <summary>
/// How Debian's espeak-ng says the commonest words, beside the lexicon: a check for developers, never a part of the
/// product. What is judged right as we have it stands in data/review/second-opinion with a reason. Source:
/// docs/data.md, A second opinion.
/// </summary>
public static partial class SecondOpinion
{
    private const string Voice = "en-gb-x-rp";

    /// <summary>
    /// What the two write differently without meaning it, in order. Weak vowels become one, and fall away before l, n,
    /// m and r.
    /// </summary>
    private static readonly (Regex From, string To)[] Levels =
    [
        .. new (string, string)[]
        {
            ("ɡ", "g"),
            ("ɹ", "r"),
            ("ɐ", "ə"),
            ("ɛ", "e"),
            ("dʒ", "J"),
            ("tʃ", "C"),
            ("iə", "ɪə"),
            ("ʊə", "ɔː"),
            ("iː", "I"),
            ("uː", "U"),
            ("ŋ(?=[kg])", "n"),
            ("[Ii]$", "ɪ"),
            ("i", "ɪ"),
            ("I(?=[əaeɪɒɔU])", "ɪ"),
            ("I(?=[zd]$)", "ɪ"),
            ("ɪə", "ə"),
            ("jU|jʊ", "jə"),
            ("Uə|Uɪ", "ə"),
            ("[əɪ]", "@"),
            ("@+", "@"),
            ("@(?=[lnmr])", ""),
            ("j@", "@"),
            ("rr", "r"),
        }.Select(l => (new Regex(l.Item1, RegexOptions.CultureInvariant), l.Item2)),
    ];

    /// <summary>The commonest usable words, and every word that lessons choose from.</summary>
    public static IReadOnlyList<Word> Words(Lexicon lexicon, int commonest) =>
        [
            .. lexicon
                .Words.Where(w => w.Suitability == Suitability.Use && !w.Flags.HasFlag(WordFlags.AmericanOnly))
                .OrderByDescending(w => w.Zipf)
                .ThenBy(w => w.Spelling, StringComparer.Ordinal)
                .Where((w, rank) => rank < commonest || w.IsForLessons),
        ];

    /// <exception cref="FormatException">espeak-ng is not there, or did not say every word.</exception>
    public static IEnumerable<Disagreement> Of(IReadOnlyList<Word> words)
    {
        var said = Say(words);
        if (said.Length != words.Count)
            throw new FormatException($"espeak-ng said {said.Length} of {words.Count} words.");
        return words
            .Zip(said, (word, heard) => new Disagreement(word.Spelling, word.Segmentation.Phonemes, heard))
            .Where(d => !IsAlike(d.Ours, d.Heard));
    }

    /// <summary>
    /// True when both mean the same sounds: weak vowels are one, and a last r is heard only before a vowel.
    /// </summary>
    public static bool IsAlike(string ours, string heard)
    {
        var (mine, theirs) = (
            Level(ours.Replace("|", "", StringComparison.Ordinal).Replace("+", "", StringComparison.Ordinal)),
            Level(heard)
        );
        return mine == theirs || mine == theirs.TrimEnd('r');
    }

    private static string Level(string sounds) =>
        Levels.Aggregate(sounds, (text, level) => level.From.Replace(text, level.To));

    private static string[] Say(IReadOnlyList<Word> words)
    {
        var espeak = new ProcessStartInfo("espeak-ng", ["-q", "-v", Voice, "--ipa", "--stdin"])
        {
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
            StandardInputEncoding = new UTF8Encoding(false),
            StandardOutputEncoding = Encoding.UTF8,
        };
        try
        {
            using var process = Process.Start(espeak)!;
            var answer = process.StandardOutput.ReadToEndAsync();
            foreach (var word in words)
                process.StandardInput.WriteLine($"{word.Spelling}.");
            process.StandardInput.Close();
            return
            [
                .. answer
                    .GetAwaiter()
                    .GetResult()
                    .Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
                    .Select(l => Marks().Replace(l, "")),
            ];
        }
        catch (System.ComponentModel.Win32Exception)
        {
            throw new FormatException("espeak-ng is missing. Install it with: apt-get install espeak-ng");
        }
    }

    /// <summary>Stress, spaces, joiners and the mark of a syllable without a vowel.</summary>
    [GeneratedRegex("[ˈˌ_ \u200d\u0329\u0361-]")]
    private static partial Regex Marks();
}
