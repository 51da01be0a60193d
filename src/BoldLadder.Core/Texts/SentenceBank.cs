using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

/// <summary>
/// Captions and sentences of our own, with each word looked up once. Source: docs/handbook.md, section 7 (Sentences).
/// </summary>
public sealed class SentenceBank
{
    private readonly Rows rows;

    /// <summary>What a school changed of the words; null for the shipped ones.</summary>
    private readonly Lexicon? school;

    /// <param name="lines">A caption or sentence each; lines with a word that is not in the lexicon are left out, and
    /// so are those that begin with #.</param>
    public SentenceBank(IEnumerable<string> lines, Lexicon lexicon)
        : this(
            new Rows([
                .. lines
                    .Where(l => l.Length > 0 && !l.StartsWith('#'))
                    .Select(l => Sentence.Read(l, lexicon))
                    .OfType<Sentence>(),
            ]),
            null
        ) { }

    private SentenceBank(Rows rows, Lexicon? school) => (this.rows, this.school) = (rows, school);

    public ImmutableArray<Sentence> Sentences => school is null ? rows.Sentences : [.. rows.Sentences.Select(Own)];

    /// <summary>
    /// The same sentences with the words as a school has them; what is worked out of the shipped ones is shared.
    /// </summary>
    public SentenceBank With(Lexicon lexicon) => new(rows, lexicon);

    /// <summary>The sentences that have a word, in the order of the bank.</summary>
    public IEnumerable<Sentence> Having(Word word) =>
        school is null ? rows.Having[word] : rows.Having[school.Shipped.Find(word.Spelling) ?? word].Select(Own);

    /// <summary>The sentences whose every word is decodable or a taught tricky word.</summary>
    public IEnumerable<Sentence> Readable(Taught taught, IReadOnlySet<string> tricky)
    {
        var own = rows.In(taught.Accent);
        bool CanRead(Word word, int row) =>
            school?.Find(word.Spelling) is { } changed && changed != word
                ? taught.CanRead(changed)
                : taught.CanRead(own, row);
        var readable = rows.Words.Select((w, i) => CanRead(w, i) || tricky.Contains(w.Spelling)).ToArray();
        for (var i = 0; i < rows.Tokens.Length; i++)
        {
            if (Array.TrueForAll(rows.Tokens[i], t => readable[t]) && rows.Sentences[i].HasCapitalsRead(taught))
                yield return Own(rows.Sentences[i]);
        }
    }

    private Sentence Own(Sentence sentence) => school is null ? sentence : sentence.With(school);

    /// <summary>The sentences with their words looked up once, for all schools.</summary>
    private sealed class Rows
    {
        private readonly ConcurrentDictionary<bool, WordRows> byAccent = new();

        public Rows(ImmutableArray<Sentence> sentences)
        {
            Sentences = sentences;
            Words = [.. sentences.SelectMany(s => s.Tokens).Select(t => t.Word).Distinct()];
            Having = sentences
                .SelectMany(s => s.Tokens.Select(t => t.Word).Distinct().Select(w => (w, s)))
                .ToLookup(h => h.w, h => h.s);
            var places = Words.Select((w, i) => (w, i)).ToDictionary(w => w.w, w => w.i);
            Tokens = [.. sentences.Select(s => s.Tokens.Select(t => places[t.Word]).ToArray())];
        }

        public ImmutableArray<Sentence> Sentences { get; }

        public ImmutableArray<Word> Words { get; }

        /// <summary>For each sentence the places of its words among all of the bank.</summary>
        public ImmutableArray<int[]> Tokens { get; }

        public ILookup<Word, Sentence> Having { get; }

        public WordRows In(Accent accent) => byAccent.GetOrAdd(accent.SoundsR, _ => new WordRows(Words, accent));
    }
}

/// <summary>A caption or sentence: its words as written with the word of the lexicon each is.</summary>
public sealed record Sentence(string Text, ImmutableArray<(string Written, Word Word)> Tokens)
{
    private static readonly char[] Punctuation = [.. ".,?!:;\"“”"];

    /// <summary>Each correspondence that reading it asks for, once.</summary>
    public ImmutableArray<Correspondence> Asks { get; } = [.. Tokens.SelectMany(t => t.Word.Required).Distinct()];

    /// <summary>
    /// True for one that begins with a capital letter: a sentence, not a caption. The pronoun I alone makes none.
    /// </summary>
    public bool HasCapital { get; } = Tokens.Any(t => char.IsUpper(t.Written[0]) && Plain(t.Written) != "i");

    /// <summary>Two sentences that share so much of their words are one in other clothes.</summary>
    private const double Alike = 0.6;

    /// <summary>True where two sentences, each as its different words, are one in other clothes.</summary>
    public static bool AreAlike(IReadOnlySet<string> one, IReadOnlySet<string> other)
    {
        var same = one.Count(other.Contains);
        return same >= Alike * (one.Count + other.Count - same);
    }

    /// <summary>True for a caption: it has neither capital letter nor full stop.</summary>
    public bool IsCaption => char.IsLower(Text[0]);

    /// <summary>
    /// The sentence of a line; null when a word of it is not known. A word with a capital letter inside the sentence
    /// may be a name.
    /// </summary>
    public static Sentence? Read(string line, Lexicon lexicon)
    {
        var tokens = ImmutableArray.CreateBuilder<(string, Word)>();
        foreach (var written in line.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            var plain = Plain(written);
            var name = char.IsUpper(written[0]) ? lexicon.FindName(plain) : null;
            if ((tokens.Count > 0 ? name ?? lexicon.Find(plain) : lexicon.Find(plain) ?? name) is not { } word)
                return null;
            tokens.Add((written, word));
        }
        return new Sentence(line, tokens.ToImmutable());
    }

    /// <summary>The same sentence with its words as another lexicon has them: a school's own layer.</summary>
    public Sentence With(Lexicon lexicon)
    {
        Word Own(Word word) => lexicon.Find(word.Spelling) ?? word;
        return Tokens.All(t => Own(t.Word) == t.Word)
            ? this
            : new Sentence(Text, [.. Tokens.Select(t => (t.Written, Own(t.Word)))]);
    }

    /// <summary>A word as written without the punctuation round it, in the form words are looked up by.</summary>
    public static string Plain(string written)
    {
        var (first, last) = (0, written.Length);
        while (first < last && !IsOfWord(written[first]))
            first++;
        while (last > first && !IsOfWord(written[last - 1]))
            last--;
        return WordFinder.Plain(written[first..last]);
    }

    private static bool IsOfWord(char sign) =>
        char.IsLetterOrDigit(sign) || CharUnicodeInfo.GetUnicodeCategory(sign) == UnicodeCategory.NonSpacingMark;

    /// <summary>The punctuation after a word as written: what stays when the word is left out.</summary>
    public static string End(string written) => written[written.TrimEnd(Punctuation).Length..];

    /// <summary>True when it has no capital letter, or capitals were taught or need no teaching.</summary>
    public bool HasCapitalsRead(Taught taught) =>
        !HasCapital || ((taught.Patterns | taught.Free) & Patterns.Capitals) != Patterns.None;

    /// <summary>
    /// True when each word is decodable or a taught tricky word, and capitals were taught or need no teaching.
    /// </summary>
    public bool CanBeRead(Taught taught, IReadOnlySet<string> tricky)
    {
        if (!HasCapitalsRead(taught))
            return false;
        foreach (var (_, word) in Tokens)
        {
            if (!taught.CanRead(word) && !tricky.Contains(word.Spelling))
                return false;
        }
        return true;
    }
}
