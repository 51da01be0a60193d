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

    /// <summary>Those that a school wrote itself; null where there are none.</summary>
    private readonly SentenceBank? more;

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

    private SentenceBank(Rows rows, Lexicon? school, SentenceBank? more = null) =>
        (this.rows, this.school, this.more) = (rows, school, more);

    /// <summary>Every sentence; those that a school wrote itself come last.</summary>
    public ImmutableArray<Sentence> Sentences =>
        school is null && more is null ? rows.Sentences : [.. rows.Sentences.Select(Own), .. more?.Sentences ?? []];

    /// <summary>The same with a few more, which a school wrote itself.</summary>
    public SentenceBank And(SentenceBank own) => new(rows, school, own);

    /// <summary>
    /// The same sentences with the words as a school has them; what is worked out of the shipped ones is shared.
    /// </summary>
    public SentenceBank With(Lexicon lexicon) => new(rows, lexicon, more?.With(lexicon));

    /// <summary>The sentences that have a word, in the order of the bank.</summary>
    public IEnumerable<Sentence> Having(Word word) =>
        rows.Having(school?.Shipped.Find(word.Spelling) ?? word)
            .Select(s => Own(rows.Sentences[s]))
            .Concat(more?.Having(word) ?? []);

    /// <summary>The sentences whose every word is decodable or a taught tricky word.</summary>
    public IEnumerable<Sentence> Readable(Taught taught, IReadOnlySet<string> tricky) =>
        ReadableOf(Enumerable.Range(0, rows.Sentences.Length), taught, tricky)
            .Concat(more?.Readable(taught, tricky) ?? []);

    /// <summary>Those of them, in the same order, that have a word at one of some places.</summary>
    /// <param name="places">Of words of the bank; a word that a school changed is looked at besides.</param>
    public IEnumerable<Sentence> ReadableHaving(
        Func<WordRows, IEnumerable<int>> places,
        Taught taught,
        IReadOnlySet<string> tricky
    ) =>
        ReadableOf(
                places(rows.In(taught.Accent))
                    .Concat(Changed())
                    .SelectMany(w => rows.SentencesOf[w])
                    .Distinct()
                    .Order(),
                taught,
                tricky
            )
            .Concat(more?.ReadableHaving(places, taught, tricky) ?? []);

    private IEnumerable<Sentence> ReadableOf(IEnumerable<int> sentences, Taught taught, IReadOnlySet<string> tricky)
    {
        var own = rows.In(taught.Accent);
        var readable = new bool?[rows.Words.Length];
        bool CanRead(int place) =>
            readable[place] ??=
                tricky.Contains(rows.Words[place].Spelling)
                || (
                    school?.Find(rows.Words[place].Spelling) is { } changed && changed != rows.Words[place]
                        ? taught.CanRead(changed)
                        : taught.CanRead(own, place)
                );
        foreach (var i in sentences)
        {
            if (rows.Sentences[i].HasCapitalsRead(taught) && Array.TrueForAll(rows.Tokens[i], CanRead))
                yield return Own(rows.Sentences[i]);
        }
    }

    /// <summary>The places of the words that the school has otherwise.</summary>
    private IEnumerable<int> Changed() =>
        school is null
            ? []
            : rows
                .Words.Index()
                .Where(w => school.Find(w.Item.Spelling) is { } own && own != w.Item)
                .Select(w => w.Index);

    private Sentence Own(Sentence sentence) => school is null ? sentence : sentence.With(school);

    /// <summary>The sentences with their words looked up once, for all schools.</summary>
    private sealed class Rows
    {
        private readonly ConcurrentDictionary<bool, WordRows> byAccent = new();
        private readonly Dictionary<Word, int> places;

        public Rows(ImmutableArray<Sentence> sentences)
        {
            Sentences = sentences;
            Words = [.. sentences.SelectMany(s => s.Tokens).Select(t => t.Word).Distinct()];
            places = Words.Select((w, i) => (w, i)).ToDictionary(w => w.w, w => w.i);
            Tokens = [.. sentences.Select(s => s.Tokens.Select(t => places[t.Word]).ToArray())];
            var having = Tokens
                .Index()
                .SelectMany(s => s.Item.Distinct().Select(w => (Word: w, Sentence: s.Index)))
                .ToLookup(h => h.Word, h => h.Sentence);
            SentencesOf = [.. Words.Select((_, w) => having[w].ToArray())];
        }

        public ImmutableArray<Sentence> Sentences { get; }

        public ImmutableArray<Word> Words { get; }

        /// <summary>For each sentence the places of its words among all of the bank.</summary>
        public ImmutableArray<int[]> Tokens { get; }

        /// <summary>For each word the places of the sentences that have it.</summary>
        public ImmutableArray<int[]> SentencesOf { get; }

        public int[] Having(Word word) => places.TryGetValue(word, out var place) ? SentencesOf[place] : [];

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

    /// <summary>Its different words, by which it is compared with others.</summary>
    public WordSet Words { get; } = new(Tokens.Select(t => t.Word.Spelling));

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
