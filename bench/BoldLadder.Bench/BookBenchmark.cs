using System.Globalization;
using BenchmarkDotNet.Attributes;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Texts.Rewording;
using BoldLadder.Core.Texts.Shelf;
using BoldLadder.Core.Words;
using BoldLadder.Tool;

namespace BoldLadder.Bench;

/// <summary>
/// Texts as they are checked: a page while it is typed, a book for every rung at once, a shelf for all groups of a
/// school; beside cutting the same page into words. A shelf's words are looked up once and kept.
/// </summary>
public class BookBenchmark
{
    private const int PageWords = 300;
    private const int BookWords = 50_000;
    private const int Groups = 12;

    private WordFinder finder = null!;
    private SentencePlaces places = null!;
    private WordJudge[] judges = null!;
    private Reworder reworder = null!;
    private string page = null!;
    private TextWords pageRead = null!;
    private string book = null!;
    private ShelvedBook[] books = null!;
    private ShelfIndex shelf = null!;
    private int rungs;
    private int standing;

    [Params(500, 2_000, 8_000)]
    public int Books { get; set; }

    [GlobalSetup]
    public void Open()
    {
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        var ladder = LadderDocument.Read(
            File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", "letters-first.json"))
        );
        finder = new WordFinder(lexicon);
        rungs = ladder.Rungs.Length;
        places = new SentencePlaces(ladder, Leniencies.All, Accent.SouthernBritish);
        judges =
        [
            .. Enumerable
                .Range(1, Groups)
                .Select(g => new WordJudge(
                    finder,
                    ladder.TaughtAfter(g * 10, Leniencies.All, Accent.SouthernBritish),
                    ladder.Rungs.Take(g * 10).SelectMany(r => r.Tricky).ToHashSet()
                )),
        ];
        reworder = ProjectFolders.Materials(lexicon).Reworder!.Value;
        var random = new Seeded(7);
        string Text(int words) =>
            string.Join(' ', Enumerable.Range(0, words).Select(i => Common(lexicon, random) + (i % 9 == 8 ? "." : "")));
        (page, book) = (Text(PageWords), Text(BookWords));
        pageRead = TextWords.Read(page, finder);
        standing = Enumerable
            .Range(0, pageRead.Places.Length)
            .First(i => !judges[3].Of(pageRead.Words[pageRead.Places[i].Word].Written).CanBeRead);
        books = [.. Enumerable.Range(0, Books).Select(_ => new ShelvedBook(Guid.NewGuid(), Text(PageWords), []))];
        shelf = new ShelfIndex(books, finder);
        Console.WriteLine(
            string.Create(CultureInfo.InvariantCulture, $"A shelf of {Books} books holds {shelf.Kilobytes} kB.")
        );
    }

    /// <summary>The commoner a word, the likelier.</summary>
    private static string Common(Lexicon lexicon, Seeded random) =>
        lexicon.Words[(int)(Math.Pow(random.Fraction(), 4) * 12_000)].Spelling;

    [Benchmark(Baseline = true, Description = "cut a page of 300 words into tokens")]
    public int Tokens()
    {
        var tokens = new TokenReader(new StringReader(page));
        var count = 0;
        while (tokens.Read())
            count++;
        return count;
    }

    [Benchmark(Description = "check the page for a group, along the ladder")]
    public int Page()
    {
        var read = TextWords.Read(page, finder);
        var verdict = new TextVerdict(read, judges[3], _ => false);
        return new TextOnLadder(read, places, rungs, _ => false).RungOf.Length + verdict.TeachFirst(1, 5).Length;
    }

    [Benchmark(Description = "words in the place of one of the page")]
    public int Instead() => reworder.For(page, pageRead, standing, judges[3], 8, new HashSet<string>()).Length;

    [Benchmark(Description = "a book of 50,000 words for every rung")]
    public double? Book() => new TextOnLadder(TextWords.Read(book, finder), places, rungs, _ => false).Reaches(0.95);

    [Benchmark(Description = "a shelf for 12 groups and its ladder")]
    public int Shelf() => shelf.RungOf(places, rungs, 0.95).Length + judges.Sum(j => shelf.Readable(j).Length);

    [Benchmark(Description = "look up the words of the shelf, once")]
    public int Index() => new ShelfIndex(books, finder).Kilobytes;
}
