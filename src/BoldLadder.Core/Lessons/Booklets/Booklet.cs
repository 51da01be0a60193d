using System.Collections.Immutable;
using BoldLadder.Core.Lessons.Cards;

namespace BoldLadder.Core.Lessons.Booklets;

/// <summary>What a booklet is of.</summary>
public enum BookletKind
{
    /// <summary>Tricky words, to be read again and ticked.</summary>
    Tricky,

    /// <summary>The graphemes taught so far, with their key words.</summary>
    Sounds,

    /// <summary>A text that can be read, with room to draw.</summary>
    LittleBook,
}

/// <summary>What stands on a page of a booklet.</summary>
public enum BookPageKind
{
    Cover,
    Cards,
    Text,

    /// <summary>Nothing but room to draw.</summary>
    Draw,

    /// <summary>The last page: words and questions, for whoever listens.</summary>
    Back,
}

/// <param name="Sentences">What is read on it.</param>
/// <param name="Cards">What stands on it in rows.</param>
public sealed record BookPage(BookPageKind Kind, ImmutableArray<string> Sentences, ImmutableArray<Card> Cards);

/// <param name="Title">Of the text; empty where the kind says it.</param>
/// <param name="Pages">In the order in which they are read.</param>
/// <param name="Sides">What is printed, side by side.</param>
/// <param name="LeftOut">What there was no room for.</param>
public sealed record Booklet(
    BookletKind Kind,
    string Title,
    Folding Folding,
    ImmutableArray<BookPage> Pages,
    ImmutableArray<FoldedSide> Sides,
    ImmutableArray<string> LeftOut
);

/// <summary>
/// Booklets of eight pages, folded of one sheet where there is room, else of two. Source: docs/handbook.md, section 6
/// (booklets).
/// </summary>
public static class BookletMaker
{
    /// <summary>Pages between the cover and the last one.</summary>
    private const int Inner = Imposition.Pages - 2;

    /// <summary>How many cards a page has, by the folding.</summary>
    private static readonly ImmutableDictionary<(BookletKind, Folding), int> PerPage = new Dictionary<
        (BookletKind, Folding),
        int
    >
    {
        [(BookletKind.Tricky, Folding.OneSheet)] = 5,
        [(BookletKind.Tricky, Folding.TwoSheets)] = 9,
        [(BookletKind.Sounds, Folding.OneSheet)] = 6,
        [(BookletKind.Sounds, Folding.TwoSheets)] = 15,
    }.ToImmutableDictionary();

    /// <summary>Longer than this, sentences of a page need two sheets.</summary>
    private const int LettersOfSmallPage = 70;

    /// <summary>
    /// Of what was learnt so far, oldest first; where there is too much for two sheets the oldest is left out.
    /// </summary>
    public static Booklet OfCards(BookletKind kind, ImmutableArray<Card> cards)
    {
        var folding = cards.Length <= Inner * PerPage[(kind, Folding.OneSheet)] ? Folding.OneSheet : Folding.TwoSheets;
        var most = Inner * PerPage[(kind, folding)];
        var left = Math.Max(0, cards.Length - most);
        var kept = cards[left..];
        var pages = Spread(kept, Inner)
            .Select(c => new BookPage(c.IsEmpty ? BookPageKind.Draw : BookPageKind.Cards, [], c));
        return Folded(
            kind,
            "",
            folding,
            pages,
            new BookPage(BookPageKind.Back, [], []),
            [.. cards[..left].Select(c => c.Key)]
        );
    }

    /// <param name="words">Tricky words of the text, for the last page.</param>
    public static Booklet OfText(TextItem text, ImmutableArray<Card> words)
    {
        var sentences = text.Sentences.Select(s => s.Text).ToImmutableArray();
        var pages = Spread(sentences, Inner);
        var folding = pages.Max(p => p.Sum(s => s.Length)) <= LettersOfSmallPage ? Folding.OneSheet : Folding.TwoSheets;
        return Folded(
            BookletKind.LittleBook,
            text.Title,
            folding,
            pages.Select(p => new BookPage(p.IsEmpty ? BookPageKind.Draw : BookPageKind.Text, p, [])),
            new BookPage(BookPageKind.Back, text.Questions, words),
            []
        );
    }

    private static Booklet Folded(
        BookletKind kind,
        string title,
        Folding folding,
        IEnumerable<BookPage> inner,
        BookPage back,
        ImmutableArray<string> leftOut
    ) =>
        new(
            Kind: kind,
            Title: title,
            Folding: folding,
            Pages: [new BookPage(BookPageKind.Cover, [], []), .. inner, back],
            Sides: Imposition.Sides(folding),
            LeftOut: leftOut
        );

    /// <summary>Over so many pages in their order, as evenly as can be, the first ones fuller.</summary>
    private static ImmutableArray<ImmutableArray<T>> Spread<T>(ImmutableArray<T> all, int pages)
    {
        var spread = ImmutableArray.CreateBuilder<ImmutableArray<T>>(pages);
        var at = 0;
        for (var page = 0; page < pages; page++)
        {
            var count = (all.Length - at + pages - page - 1) / (pages - page);
            spread.Add(all[at..(at + count)]);
            at += count;
        }
        return spread.ToImmutable();
    }
}
