using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Booklets;
using BoldLadder.Core.Lessons.Cards;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.Core.Words;
using BoldLadder.School.Refusals;
using BoldLadder.School.Style;

namespace BoldLadder.School.Printing;

public sealed record BookletView(string GroupName, DateOnly Date, string RungLabel, Booklet Booklet);

/// <summary>
/// Booklets to fold: words learnt by heart, sounds so far, a text with room to draw. Source: docs/handbook.md, section
/// 6 (booklets).
/// </summary>
public sealed class BookletDesk(PaperDays days, StyleDesk style)
{
    /// <param name="seed">Another seed is another text.</param>
    public async Task<Answer<BookletView>> Make(Guid groupId, DateOnly date, BookletKind? kind, long seed)
    {
        if (kind is not { } wanted)
            return Refusal.Unusable("unknown-booklet");
        var found = await days.Of(groupId, date, seed);
        if (found.Refusal is { } refusal)
            return refusal;
        var day = found.Value;
        var way = await style.Way();
        Card OfWord(Word word) => CardMaking.OfWord(word, way, day.Request.After);
        Booklet? made;
        if (wanted == BookletKind.LittleBook)
        {
            // The text of the lesson itself; another seed is another text.
            var own = seed == 0 ? day.Lesson?.Document.Activities.SelectMany(a => a.Items) : null;
            made = (
                own?.OfType<TextItem>().FirstOrDefault()
                ?? SheetMaker
                    .Make(day.Request, SheetKind.ReadAText, SheetLevel.Same)
                    ?.Items.OfType<TextItem>()
                    .FirstOrDefault()
            )
                is { } text
                ? BookletMaker.OfText(text, [.. TrickyOf(text, day).Select(OfWord)])
                : null;
        }
        else
        {
            ImmutableArray<Card> cards =
                wanted == BookletKind.Sounds
                    ? [.. CardMaking.Graphemes(day, way)]
                    :
                    [
                        .. day
                            .Request.TrickyToday.Distinct()
                            .Select(day.Request.Lexicon.Find)
                            .OfType<Word>()
                            .Select(OfWord),
                    ];
            made = cards.IsEmpty ? null : BookletMaker.OfCards(wanted, cards);
        }
        return made is null
            ? Refusal.Unusable("too-little-for-booklet")
            : new BookletView(day.Group.Name, date, day.Label, made);
    }

    /// <summary>The tricky words of a text, each once.</summary>
    private static IEnumerable<Word> TrickyOf(TextItem text, PaperDay day) =>
        text
            .Sentences.SelectMany(s => s.Words)
            .Where(w => w.Status == "tricky")
            .Select(w => Core.Texts.Sentence.Plain(w.Text))
            .Distinct()
            .Select(day.Request.Lexicon.Find)
            .OfType<Word>();
}
