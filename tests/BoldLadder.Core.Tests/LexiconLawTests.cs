using System.Text.RegularExpressions;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool;
using BoldLadder.Tool.Building;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// Laws over the whole lexicon, each with a short list of exceptions: so that a wrong split can't hide because nobody
/// has read the word. Source: docs/data.md.
/// </summary>
public partial class LexiconLawTests
{
    private static readonly HandWork Hand = HandWork.Read(ProjectFolders.Data);

    /// <summary>-ed that is said as a syllable where the last sound of the base would not ask for it.</summary>
    private static readonly HashSet<string> SyllableEd =
    [
        "aged",
        "beloved",
        "blessed",
        "crooked",
        "dogged",
        "learned",
        "legged",
        "ragged",
        "rugged",
        "wicked",
    ];

    private static IEnumerable<Word> Suffixed => Given.Lexicon.Words.Where(w => w.Suffix is not null);

    private static bool IsWeak(string sound) => sound is "ə" or "ɪ" or "iː" or "j+ə" or "ə+l";

    private static IEnumerable<Segmentation> Readings(Word word) => word.Also.Prepend(word.Segmentation);

    [Fact]
    public void Base_suffix_and_join_rebuild_the_word_letters_and_sounds()
    {
        var bad = Suffixed.Where(w =>
            !(
                Given.Lexicon.Find(w.Suffix!.Base) is { } stem
                && Readings(stem).Any(s => Inflection.Of(w.Spelling, w.Suffix, s) is { } made && SaysTheSame(made, w))
            )
        );
        Assert.Empty(bad.Select(w => $"{w} is not {w.Suffix!.Base} with {w.Suffix.Suffix.Id()}: {w.Segmentation}"));
    }

    private static bool SaysTheSame(Segmentation made, Word word)
    {
        var own = word.Segmentation;
        if (made.Graphemes != own.Graphemes)
            return false;
        for (var i = 0; i < own.Parts.Length; i++)
        {
            var (one, other) = (made.Parts[i].SoundText, own.Parts[i].SoundText);
            if (one == other || (IsWeak(one) && IsWeak(other)))
                continue;
            var last = i == own.Parts.Length - 1;
            if (
                word.Suffix!.Suffix == Patterns.SuffixS
                && (one, other) is ("θ", "ð") or ("s", "z")
                && i >= own.Parts.Length - 2
            )
                continue; // paths
            if (last && word.Suffix.Suffix == Patterns.SuffixEd && SyllableEd.Contains(word.Spelling))
                continue;
            return false;
        }
        return true;
    }

    [Fact]
    public void Where_a_person_said_what_a_word_is_made_of_that_stands()
    {
        Assert.All(Hand.Bases.Where(b => b.Value.Length == 0), b => Assert.Null(Given.Lexicon.Find(b.Key)?.Suffix));
        Assert.All(Hand.Bases.Where(b => b.Value.Length > 0), b =>
            Assert.Equal(b.Value, Given.Lexicon.Find(b.Key)?.Suffix?.Base)
        );
    }

    [Theory]
    [InlineData("need", null)]
    [InlineData("seed", null)]
    [InlineData("evening", null)]
    [InlineData("badger", null)]
    [InlineData("untamed", null)]
    [InlineData("researchers", "researcher")]
    [InlineData("finally", "final")]
    [InlineData("gently", "gentle")]
    [InlineData("curly", "curl")]
    [InlineData("oily", "oil")]
    [InlineData("lapsed", "lapse")]
    [InlineData("skiing", "ski")]
    [InlineData("scary", "scare")]
    public void A_base_is_no_chance_string(string word, string? stem) =>
        Assert.Equal(stem, Given.Word(word).Suffix?.Base);

    [Fact]
    public void A_word_that_is_heard_with_an_r_says_so()
    {
        var bad = Given.Lexicon.Words.Where(w =>
            w.Required.Where(
                    (p, i) =>
                        i + 1 < w.Required.Length
                        && w.Required[i + 1].IsVowel
                        && p.IsVowel
                        && p.Grapheme.Text[^1] == 'r'
                        && !Accent.SouthernBritish.Sounds(w)[i].EndsWith("+r", StringComparison.Ordinal)
                )
                .Any()
        );
        Assert.Empty(bad);
        Assert.Equal("s|k|eə+r|iː", Given.Word("scary").Segmentation.Phonemes);
        Assert.Equal(5, Given.Word("hearing").Segmentation.SoundCount);
        Assert.Equal(4, Given.Word("hearing").Segmentation.Taps);
    }

    [Fact]
    public void A_compound_is_two_words_that_mean_something_joined_as_they_are_said()
    {
        var bad = Given
            .Lexicon.Words.Where(w => !w.Compound.IsEmpty)
            .Where(w =>
                w.Compound.Any(p => Given.Lexicon.Find(p) is null)
                || string.Concat(w.Compound) != w.Spelling
                || Given.Word(w.Compound[0]).Segmentation.Parts.AddRange(Given.Word(w.Compound[1]).Segmentation.Parts)
                    is var parts
                    && !parts.SequenceEqual(w.Segmentation.Parts)
            );
        Assert.Empty(bad.Select(w => $"{w}: {string.Join('+', w.Compound)}"));
        Assert.All(Hand.NotCompound, w => Assert.True(Given.Lexicon.Find(w)?.Compound.IsEmpty ?? true, w));
    }

    [Fact]
    public void A_word_with_one_group_of_vowel_letters_has_one_vowel_sound()
    {
        var bad = Given
            .Lexicon.Words.Where(w =>
                char.IsLower(w.Spelling[0])
                && !w.Flags.HasFlag(WordFlags.Contraction)
                && !SyllabicEnd().IsMatch(w.Spelling)
            )
            .Where(w =>
                VowelLetters().Count(w.Spelling.TrimStart('y')) == 1
                && VowelLetters().Match(w.Spelling.TrimStart('y')).Length == 1
                && w.Segmentation.Syllables != 1
            )
            .Select(w => $"{w} {w.Segmentation}");
        Assert.Empty(bad);
        Assert.All(Given.Lexicon.Words, w => Assert.True(w.Segmentation.Syllables > 0, w.Spelling));
    }

    /// <summary>
    /// Four words or more that end alike are said alike, but for those that data/gold/endings.tsv lists.
    /// </summary>
    [Fact]
    public void One_spelling_of_an_ending_has_one_reading_but_for_the_listed_words()
    {
        var listed = File.ReadLines(Path.Combine(ProjectFolders.Data, "gold", "endings.tsv"))
            .Skip(1)
            .Select((l, i) => (Line: i + 2, Cells: l.Split('\t')))
            .SelectMany(r => r.Cells[2].Split(' ').Select(w => (r.Line, Word: w, Sounds: r.Cells[1])))
            .ToList();
        var endings = Given
            .Lexicon.Words.Where(w =>
                w.Band is Band.Known or Band.Teach
                && w.Suitability != Suitability.Never
                && w.Suffix is null
                && w.Segmentation.Syllables == 1
                && !w.Flags.HasFlag(WordFlags.Contraction)
            )
            .Select(w =>
                (
                    Word: w,
                    Ending: Ending(w.Spelling),
                    Sounds: string.Join('+', w.Segmentation.Parts.SkipWhile(p => !p.IsVowel).Select(p => p.SoundText))
                )
            )
            .ToLookup(w => w.Ending);
        var odd = endings
            .Where(e => e.Key.Length > 0 && e.Count() >= 4)
            .SelectMany(e => e.GroupBy(w => w.Sounds).OrderByDescending(g => g.Count()).Skip(1).SelectMany(g => g))
            .ToDictionary(w => w.Word.Spelling, w => w.Sounds);
        Assert.Empty(odd.Keys.Except(listed.Select(l => l.Word)));
        Assert.Empty(
            listed
                .Where(l =>
                    Given.Lexicon.Find(l.Word) is null
                    || (odd.TryGetValue(l.Word, out var sounds) && sounds != l.Sounds)
                )
                .Select(l => $"data/gold/endings.tsv:{l.Line}: {l.Word} is not said {l.Sounds}.")
        );
    }

    [Fact]
    public void Every_word_that_a_lesson_may_choose_was_read_by_a_person() =>
        Assert.Empty(
            Given.Lexicon.Words.Where(w => w.Band is Band.Known or Band.Teach && !w.Flags.HasFlag(WordFlags.Reviewed))
        );

    [Fact]
    public void The_commonest_usable_words_were_read_by_a_person() =>
        Assert.InRange(
            Given
                .Lexicon.Words.Where(w =>
                    w.Suitability == Suitability.Use
                    && char.IsLower(w.Spelling[0])
                    && !w.Flags.HasFlag(WordFlags.AmericanOnly)
                )
                .OrderByDescending(w => w.Zipf)
                .Take(5_000)
                .Count(w => w.Flags.HasFlag(WordFlags.Reviewed)),
            4_950,
            5_000
        );

    [Fact]
    public void Nothing_made_of_a_crude_word_is_offered()
    {
        var bad = Given.Lexicon.Words.Where(w =>
            w.Suitability == Suitability.Use
            && !w.Flags.HasFlag(WordFlags.Reviewed)
            && w.Suffix is { } suffix
            && Given.Lexicon.Find(suffix.Base)?.Flags.HasFlag(WordFlags.Rude) == true
        );
        Assert.Empty(bad);
    }

    private static string Ending(string word)
    {
        var from =
            word.StartsWith("qu", StringComparison.Ordinal) ? 2
            : word[0] == 'y' ? 1
            : 0;
        return LastRime().Match(word, from).Value;
    }

    [GeneratedRegex("[aeiouy]+[^aeiouy]*e?$")]
    private static partial Regex LastRime();

    [GeneratedRegex("[aeiouy]+")]
    private static partial Regex VowelLetters();

    /// <summary>
    /// apple, acre, prism: a last syllable with no vowel letter before it; latte, cafe: e is sounded.
    /// </summary>
    [GeneratedRegex("(le|re|sm|sms|thm|thms|e|les|res)$")]
    private static partial Regex SyllabicEnd();
}
