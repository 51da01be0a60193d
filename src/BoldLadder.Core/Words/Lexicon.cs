using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words.Alike;

namespace BoldLadder.Core.Words;

/// <summary>
/// All words there are, loaded once and shared; named by a hash of its content. A school's own words lie over it as a
/// mask and a handful of words of its own:
/// what is worked out of the shipped words (rows, what sounds alike) is worked out once for all schools. First names
/// and places stand apart. Source: docs/data.md.
/// </summary>
public sealed class Lexicon
{
    private readonly Dictionary<string, Word> bySpelling;
    private readonly Dictionary<string, Word> names;
    private readonly WordLayer? layer;
    private readonly ConcurrentDictionary<Accent, SoundAlikes> soundAlikes = new();
    private readonly ConcurrentDictionary<bool, WordRows> rows = new();
    private readonly ConcurrentDictionary<bool, WordRows> knownRows = new();
    private readonly Func<Accent, WordRows> forLessonsIn;
    private readonly Func<Accent, WordRows> knownIn;
    private readonly Lazy<Guesser>? guesser;

    /// <param name="words">Words and names; a name is told by its flag and its capital letter.</param>
    public Lexicon(IEnumerable<Word> words, string hash)
    {
        var all = words.ToList();
        Words = CommonestFirst(all.Where(w => !IsProper(w.Spelling)));
        Names = CommonestFirst(all.Where(w => IsProper(w.Spelling)));
        ImmutableArray<Word> forLessons = [.. Words.Where(w => w.IsForLessons)];
        ImmutableArray<Word> known = [.. forLessons.Where(w => w.IsKnown)];
        (Shipped, ForLessons, Known, Hash) = (this, forLessons, known, hash);
        forLessonsIn = accent => rows.GetOrAdd(accent.SoundsR, _ => new WordRows(forLessons, accent));
        knownIn = accent => knownRows.GetOrAdd(accent.SoundsR, _ => new WordRows(known, accent));
        guesser = new(() => new Guesser(Words.Select(w => w.Segmentation)));
        // Not frozen: making a frozen dictionary takes longer than all the looking up a lexicon is loaded for.
        bySpelling = Words.ToDictionary(w => w.Spelling, StringComparer.Ordinal);
        names = Names.ToDictionary(w => w.Spelling.ToLowerInvariant(), StringComparer.Ordinal);
    }

    /// <summary>The shipped words that a school's layer lies over; this, where there is none.</summary>
    public Lexicon Shipped { get; }

    /// <summary>
    /// The shipped words, commonest first, then by ordinal; without names, and whatever a school says of them.
    /// </summary>
    public ImmutableArray<Word> Words { get; }

    /// <summary>The words that may stand in a lesson, in the same order.</summary>
    public IEnumerable<Word> ForLessons { get; }

    /// <summary>Those of them that children know at five.</summary>
    public IEnumerable<Word> Known { get; }

    /// <summary>
    /// The readable words for lessons, in the same order: the shipped ones as rows of numbers are looked through, and
    /// the school's own looked at one by one.
    /// </summary>
    /// <param name="shipped">What of the shipped rows will do.</param>
    /// <param name="own">Whether a word of the school's will do.</param>
    public IEnumerable<Word> ForLessonsWhere(
        Accent accent,
        Func<WordRows, IEnumerable<Word>> shipped,
        Func<Word, bool> own
    ) => Through(shipped(forLessonsIn(accent)), w => w.IsForLessons && own(w));

    /// <summary>The same of the words that children know at five.</summary>
    public IEnumerable<Word> KnownWhere(
        Accent accent,
        Func<WordRows, IEnumerable<Word>> shipped,
        Func<Word, bool> own
    ) => Through(shipped(knownIn(accent)), w => w.IsForLessons && w.IsKnown && own(w));

    /// <summary>Shipped words as the school has them: those it changed only where they still will do.</summary>
    internal IEnumerable<Word> Through(IEnumerable<Word> shipped, Func<Word, bool> holds) =>
        layer is null ? shipped : layer.Over(shipped, holds);

    /// <summary>The words that the school changed; none where there is no layer.</summary>
    internal IEnumerable<Word> Changed => layer?.Changed ?? [];

    /// <summary>Reads words that nobody knows by their letters; made once for all schools.</summary>
    internal Guesser Guesser => Shipped.guesser!.Value;

    /// <summary>First names and places, commonest first.</summary>
    public ImmutableArray<Word> Names { get; }

    /// <summary>
    /// Twelve hexadecimal digits of the SHA-256 of the rows it was read from; where a school's layer lies over it, "+"
    /// and thirty-two of the layer's.
    /// </summary>
    public string Hash { get; }

    /// <summary>The word with this spelling, lower-case; days and months stand among the words.</summary>
    public Word? Find(string spelling) => layer?.Find(spelling) ?? bySpelling.GetValueOrDefault(spelling);

    /// <summary>The first name or place with this spelling in lower case.</summary>
    public Word? FindName(string spelling) => names.GetValueOrDefault(spelling);

    /// <summary>The same lexicon with some words changed; all others are shared with this one.</summary>
    internal Lexicon With(ImmutableDictionary<string, Word> changed) => new(this, changed);

    private Lexicon(Lexicon shipped, ImmutableDictionary<string, Word> changed)
    {
        layer = new WordLayer(shipped, changed);
        (Shipped, Words, Names) = (shipped, shipped.Words, shipped.Names);
        (ForLessons, Known) = (
            layer.Over(shipped.ForLessons, w => w.IsForLessons),
            layer.Over(shipped.Known, w => w.IsForLessons && w.IsKnown)
        );
        (forLessonsIn, knownIn) = (shipped.forLessonsIn, shipped.knownIn);
        var written = string.Join(
            '\n',
            changed
                .Values.OrderBy(w => w.Spelling, StringComparer.Ordinal)
                .Select(w => $"{w.Spelling} {w.Suitability} {w.Segmentation}")
        );
        Hash = $"{shipped.Hash}+{Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(written)))[..32]}";
        (bySpelling, names) = (shipped.bySpelling, shipped.names);
    }

    /// <summary>Other words that sound the same in the accent.</summary>
    public IEnumerable<Word> Homophones(Word word, Accent accent)
    {
        var shipped = Shipped.soundAlikes.GetOrAdd(accent, a => new SoundAlikes(Words, a));
        return layer is null ? shipped.Of(word) : layer.Homophones(word, accent, shipped);
    }

    /// <summary>The sounds of a word in an accent as one comparable string.</summary>
    public static string SoundsIn(Accent accent, Word word) => string.Join('+', accent.Sounds(word));

    /// <summary>
    /// Reads the shards of data/lexicon, each with its header row.
    /// </summary>
    /// <exception cref="FormatException">A row can't be used; the message says which and why.</exception>
    public static Lexicon Read(IEnumerable<string> shards)
    {
        var texts = shards.ToList();
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        foreach (var text in texts)
            hash.AppendData(Encoding.UTF8.GetBytes(text));
        var shardsRead = texts.Select(text => Task.Run(() => ReadShard(text))).ToList();
        return new Lexicon(
            shardsRead.SelectMany(s => s.GetAwaiter().GetResult()),
            Convert.ToHexStringLower(hash.GetHashAndReset())[..12]
        );
    }

    /// <summary>
    /// Commonest first, then by ordinal. The shards are in ordinal order already: then numbers are all that is
    /// compared.
    /// </summary>
    private static ImmutableArray<Word> CommonestFirst(IEnumerable<Word> words)
    {
        var sorted = words.ToArray();
        for (var i = 1; i < sorted.Length; i++)
        {
            if (string.CompareOrdinal(sorted[i - 1].Spelling, sorted[i].Spelling) <= 0)
                continue;
            Array.Sort(sorted, (one, other) => string.CompareOrdinal(one.Spelling, other.Spelling));
            break;
        }
        var keys = new (double Rarity, int Place)[sorted.Length];
        for (var i = 0; i < keys.Length; i++)
            keys[i] = (-sorted[i].Zipf, i);
        Array.Sort(keys, static (one, other) => one.Rarity < other.Rarity ? -1
            : one.Rarity > other.Rarity ? 1
            : one.Place - other.Place);
        return [.. keys.Select(k => sorted[k.Place])];
    }

    private static bool IsProper(string spelling) => spelling.Length > 0 && char.IsUpper(spelling[0]);

    private static List<Word> ReadShard(string text)
    {
        var words = new List<Word>();
        var header = true;
        foreach (var line in text.AsSpan().EnumerateLines())
        {
            if (!header && !line.IsEmpty)
                words.Add(LexiconRow.Read(line));
            header = false;
        }
        return words;
    }
}
