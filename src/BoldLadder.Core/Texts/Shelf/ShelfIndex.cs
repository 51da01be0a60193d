using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts.Shelf;

/// <summary>A book with its words.</summary>
/// <param name="Told">Words that the adult says; lower case.</param>
public sealed record ShelvedBook(Guid Id, string Body, IReadOnlyCollection<string> Told);

/// <summary>
/// The words of all books of a shelf, each different one looked up once, so that a group or a ladder is a walk over
/// numbers. Immutable. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class ShelfIndex
{
    private readonly WrittenWord[] words;
    private readonly Dictionary<Guid, int> places;

    /// <summary>For each book its different words and how often each comes, without those that are told.</summary>
    private readonly (int[] Words, int[] Times, long All)[] books;

    public ShelfIndex(IReadOnlyList<ShelvedBook> shelf, WordFinder finder)
    {
        var known = new Dictionary<(string, bool), int>();
        var all = new List<WrittenWord>();
        books = new (int[], int[], long)[shelf.Count];
        for (var b = 0; b < shelf.Count; b++)
        {
            var told = shelf[b].Told.ToHashSet(StringComparer.Ordinal);
            var own = TextWords.Read(shelf[b].Body, finder).Words.Where(w => !told.Contains(w.Written.Plain)).ToList();
            books[b] = (
                [.. own.Select(w => PlaceOf(w.Written))],
                [.. own.Select(w => w.Times)],
                own.Sum(w => (long)w.Times)
            );
        }
        words = [.. all];
        places = shelf.Select((b, i) => (b.Id, i)).ToDictionary(b => b.Id, b => b.i);

        int PlaceOf(WrittenWord word)
        {
            if (known.TryGetValue((word.Plain, word.HasCapital), out var place))
                return place;
            all.Add(word);
            return known[(word.Plain, word.HasCapital)] = all.Count - 1;
        }
    }

    /// <summary>Roughly what it weighs in memory.</summary>
    public int Kilobytes => ((words.Length * 160) + books.Sum(b => b.Words.Length * 8)) / 1024 + 1;

    /// <summary>The place of a book among the answers; null where nobody typed its words in.</summary>
    public int? PlaceOf(Guid book) => places.TryGetValue(book, out var place) && books[place].All > 0 ? place : null;

    /// <summary>How many running words a book has, those that are told aside.</summary>
    public long WordsOf(int place) => books[place].All;

    /// <summary>For each book the share of its running words that can be read, 0 to 1.</summary>
    public double[] Readable(WordJudge judge)
    {
        var reads = Array.ConvertAll(words, judge.CanRead);
        return Array.ConvertAll(books, book =>
        {
            var readable = 0L;
            for (var i = 0; i < book.Words.Length; i++)
                readable += reads[book.Words[i]] ? book.Times[i] : 0;
            return book.All == 0 ? 0 : (double)readable / book.All;
        });
    }

    /// <summary>
    /// For each book the index of the earliest rung after which so much of it can be read: -1 from the start, null for
    /// never.
    /// </summary>
    /// <param name="rungs">How many rungs the ladder has.</param>
    /// <param name="bar">0 to 1.</param>
    public int?[] RungOf(SentencePlaces along, int rungs, double bar)
    {
        var ofWord = Array.ConvertAll(words, w => along.RungOf(w) ?? rungs);
        var added = new long[rungs + 2];
        return Array.ConvertAll(books, book => RungOf(book, ofWord, added, rungs, bar));
    }

    private static int? RungOf(
        (int[] Words, int[] Times, long All) book,
        int[] ofWord,
        long[] added,
        int rungs,
        double bar
    )
    {
        if (book.All == 0)
            return null;
        Array.Clear(added);
        for (var i = 0; i < book.Words.Length; i++)
            added[ofWord[book.Words[i]] + 1] += book.Times[i];
        var needed = (bar * book.All) - 1e-6;
        var sum = 0L;
        for (var rung = -1; rung < rungs; rung++)
        {
            if ((sum += added[rung + 1]) >= needed)
                return rung;
        }
        return null;
    }

    /// <summary>The different words of a book that can't be read, the most frequent first.</summary>
    public ImmutableArray<(WrittenWord Word, int Times)> Missing(int place, WordJudge judge) =>
        [
            .. books[place]
                .Words.Select((w, i) => (Word: words[w], Times: books[place].Times[i]))
                .Where(w => !judge.Of(w.Word).CanBeRead)
                .OrderByDescending(w => w.Times),
        ];
}
