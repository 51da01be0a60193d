using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words.Facts;

/// <summary>One place in a word where a rule of thumb says something.</summary>
/// <param name="Case">What the table counts apart: ea, or "ck after a short vowel".</param>
internal readonly record struct RuleCase(string Case, bool Holds);

/// <summary>
/// A rule of thumb that a school may teach, as something that can be counted word by word. Source: docs/handbook.md,
/// section 3 (a rule is taught that fails).
/// </summary>
public sealed class RuleOfThumb
{
    private const string VowelLetters = "aeiou";
    private static readonly Dictionary<char, string[]> NameOf = new()
    {
        ['a'] = ["eɪ"],
        ['e'] = ["iː"],
        ['i'] = ["aɪ"],
        ['o'] = ["əʊ"],
        ['u'] = ["uː", "j+uː"],
    };

    private readonly Func<Word, string[], IEnumerable<RuleCase>> cases;

    private RuleOfThumb(string id, Func<Word, string[], IEnumerable<RuleCase>> cases) => (Id, this.cases) = (id, cases);

    /// <summary>The rules that are counted without being described first.</summary>
    public static IReadOnlyList<RuleOfThumb> All { get; } =
    [
        new("two-vowels-first-says-its-name", TwoVowels),
        new("final-e-makes-the-vowel-say-its-name", FinalE),
        new("c-is-soft-before-e-i-y", (w, s) => Soft(w, s, "c", "s")),
        new("g-is-soft-before-e-i-y", (w, s) => Soft(w, s, "g", "dʒ")),
        new("a-says-o-after-w", AAfterW),
        new("ck-after-a-short-vowel", (w, s) => EndAfterShort(w, s, "k", "ck")),
        new("tch-after-a-short-vowel", (w, s) => EndAfterShort(w, s, "tʃ", "tch")),
        new("dge-after-a-short-vowel", (w, s) => EndAfterShort(w, s, "dʒ", "dge")),
        new("f-l-s-z-are-doubled-after-a-short-vowel", Doubled),
        new("i-before-e-except-after-c", IBeforeE),
        new("final-y-says-i-in-short-words-and-ee-in-long", FinalY),
        new("q-is-followed-by-u", (w, _) =>
            Letters(w, 'q').Select(i => new RuleCase("q", i + 1 < w.Spelling.Length && w.Spelling[i + 1] == 'u'))
        ),
        new("no-word-ends-in-v-or-j", (w, _) => w.Spelling[^1] is 'v' or 'j' ? [new RuleCase(w.Spelling[^1..], false)]
            : w.Spelling.EndsWith("ve", StringComparison.Ordinal) || w.Spelling.EndsWith("ge", StringComparison.Ordinal)
                ? [new RuleCase(w.Spelling[^2] == 'v' ? "v" : "j", true)]
            : []),
    ];

    /// <summary>The rule's name, as the command and the API write it.</summary>
    public string Id { get; }

    /// <summary>
    /// A rule of a school's own: each of these graphemes says the sound it is given, wherever it stands.
    /// </summary>
    public static RuleOfThumb Claim(IReadOnlyCollection<Correspondence> claims, Accent accent)
    {
        var claimed = claims.ToLookup(c => c.Grapheme.Text, accent.Project);
        return new RuleOfThumb("own", (word, sounds) =>
            word
                .Required.Select((p, i) => (p.Grapheme.Text, Sounds: sounds[i]))
                .Where(p => claimed.Contains(p.Text))
                .Select(p => new RuleCase(p.Text, claimed[p.Text].Contains(p.Sounds)))
        );
    }

    internal IEnumerable<RuleCase> Cases(Word word, string[] sounds) => cases(word, sounds);

    private static IEnumerable<RuleCase> TwoVowels(Word word, string[] sounds)
    {
        for (var i = 0; i < sounds.Length; i++)
        {
            var letters = word.Required[i].Grapheme.Text;
            if (letters.Length == 2 && VowelLetters.Contains(letters[0]) && VowelLetters.Contains(letters[1]))
                yield return new RuleCase(letters, Says(letters[0], sounds[i]));
        }
    }

    /// <summary>A vowel letter, one consonant letter and e at the end of the base: cake, have.</summary>
    private static IEnumerable<RuleCase> FinalE(Word word, string[] sounds)
    {
        var text = word.Spelling;
        if (
            word.Suffix is not null
            || text.Length < 3
            || text[^1] != 'e'
            || VowelLetters.Contains(text[^2])
            || !VowelLetters.Contains(text[^3])
            || (text.Length > 3 && VowelLetters.Contains(text[^4]))
        )
            yield break;
        var vowel = word.Segmentation.LetterStarts().IndexOf(text.Length - 3);
        if (vowel >= 0)
            yield return new RuleCase($"{text[^3]}-e", Says(text[^3], sounds[vowel]));
    }

    private static IEnumerable<RuleCase> Soft(Word word, string[] sounds, string letter, string soft)
    {
        var starts = word.Segmentation.LetterStarts();
        for (var i = 0; i < sounds.Length; i++)
        {
            var grapheme = word.Required[i].Grapheme.Text;
            var next = starts[i] + 1;
            if (grapheme != letter && grapheme != letter + "e")
                continue;
            if (next < word.Spelling.Length && word.Spelling[next] is 'e' or 'i' or 'y')
                yield return new RuleCase($"{letter} before {word.Spelling[next]}", sounds[i] == soft);
        }
    }

    private static IEnumerable<RuleCase> AAfterW(Word word, string[] sounds)
    {
        for (var i = 1; i < sounds.Length; i++)
        {
            if (word.Required[i].Grapheme.Text == "a" && word.Required[i - 1].Grapheme.Text is "w" or "wh" or "qu")
                yield return new RuleCase($"{word.Required[i - 1].Grapheme.Text}a", sounds[i] is "ɒ" or "ɑː");
        }
    }

    /// <summary>Words of one syllable whose last sound is this one.</summary>
    private static IEnumerable<RuleCase> EndAfterShort(Word word, string[] sounds, string sound, string spelling)
    {
        if (word.Suffix is not null || word.Segmentation.Syllables != 1 || sounds.Length < 2 || sounds[^1] != sound)
            yield break;
        var isShort = IsShort(word.Required[^2], sounds[^2]);
        yield return new RuleCase(
            isShort ? "after a short vowel" : "after anything else",
            word.Required[^1].Grapheme.Text == spelling == isShort
        );
    }

    private static IEnumerable<RuleCase> Doubled(Word word, string[] sounds)
    {
        if (
            word.Suffix is null
            && word.Segmentation.Syllables == 1
            && sounds.Length > 1
            && sounds[^1] is "f" or "l" or "s" or "z"
            && IsShort(word.Required[^2], sounds[^2])
        )
        {
            yield return new RuleCase(sounds[^1], word.Required[^1].Grapheme.Kind == GraphemeKind.Double);
        }
    }

    private static IEnumerable<RuleCase> IBeforeE(Word word, string[] sounds) =>
        word
            .Required.Select(
                (p, i) => (Text: p.Grapheme.Text, AfterC: i > 0 && word.Required[i - 1].Grapheme.Text[^1] == 'c')
            )
            .Where(p => p.Text is "ie" or "ei")
            .Select(p => new RuleCase(p.AfterC ? "after c" : "elsewhere", p.AfterC == (p.Text == "ei")));

    private static IEnumerable<RuleCase> FinalY(Word word, string[] sounds)
    {
        if (word.Suffix is not null || word.Required[^1].Grapheme.Text != "y")
            yield break;
        var isLong = word.Segmentation.Syllables > 1;
        yield return new RuleCase(isLong ? "longer words" : "one syllable", sounds[^1] == (isLong ? "iː" : "aɪ"));
    }

    private static bool Says(char letter, string sounds) => NameOf[letter].Contains(sounds);

    internal static bool IsShort(Correspondence vowel, string sound) =>
        vowel.Grapheme.Text.Length == 1 && Sound.IsShortVowel(sound);

    private static IEnumerable<int> Letters(Word word, char letter) =>
        Enumerable.Range(0, word.Spelling.Length).Where(i => word.Spelling[i] == letter);
}
