using System.Collections.Immutable;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Cards;
using BoldLadder.Core.Lessons.Showing;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Printing;

/// <summary>What cards are of.</summary>
public enum CardSource
{
    /// <summary>What the lesson of the day shows.</summary>
    Lesson,

    /// <summary>What the lessons of its week show.</summary>
    Week,

    /// <summary>All that was taught by the end of the day.</summary>
    Taught,

    /// <summary>Words that were typed.</summary>
    Words,
}

/// <param name="Copies">Of each tile: one for each child.</param>
/// <param name="Words">Typed, where the cards are of words.</param>
public sealed record CardsWanted(
    CardKind? Kind,
    CardSource? Source,
    CardSize? Size,
    bool Backs = true,
    int Copies = 1,
    string? Words = null
);

/// <summary>Cards as they are printed, and what will not be among them.</summary>
/// <param name="Sides">In the order in which they are printed.</param>
public sealed record CardsView(
    string GroupName,
    DateOnly Date,
    string RungLabel,
    CardGrid Grid,
    ImmutableArray<Card> Cards,
    ImmutableArray<CardSide> Sides,
    ImmutableArray<LeftOut> LeftOut
);

/// <summary>
/// Cards for a wall, a hand, a table, and tiles for each child. Source: docs/handbook.md, section 6 (cards).
/// </summary>
public sealed class CardDesk(SchoolScope scope, PaperDays days, TypedWords typed, StyleDesk style)
{
    /// <summary>More cards than this are no set any more: what is beyond is left out, and said.</summary>
    private const int Most = 240;

    private const int MostCopies = 40;

    public async Task<Answer<CardsView>> Show(Guid groupId, DateOnly date, CardsWanted wanted)
    {
        if (wanted is not { Kind: { } kind, Source: { } source, Size: { } size })
            return Refusal.Unusable("unknown-cards");
        if (wanted.Copies is < 1 or > MostCopies)
            return Refusal.Unusable("too-many-copies", ("most", MostCopies));
        var found = await days.Of(groupId, date);
        if (found.Refusal is { } refusal)
            return refusal;
        var day = found.Value;
        var way = await style.Way();
        var left = new List<LeftOut>();
        IEnumerable<Card> cards;
        if (source == CardSource.Words)
        {
            var judged = typed.Judge(wanted.Words, day);
            if (judged.Refusal is { } unusable)
                return unusable;
            left.AddRange(judged.Value.LeftOut);
            cards = CardMaking.OfWords(judged.Value.Words ?? [], kind, day, way, left);
        }
        else if (source == CardSource.Taught)
        {
            cards = CardMaking.OfTaught(kind, day, way);
        }
        else
        {
            var lessons = await Lessons(day, source, way);
            if (lessons.Count == 0)
                return Refused.NoLesson;
            cards = CardMaking.OfLessons(kind, lessons, day.Request.After, way, scope.Words.Lexicon);
        }
        var all = cards.ToList();
        // Of tiles as many as are needed, for each child; of other cards each once.
        all =
            kind == CardKind.Tiles
                ? [.. Enumerable.Repeat(all, wanted.Copies).SelectMany(a => a)]
                : [.. all.DistinctBy(c => c.Key)];
        left.AddRange(all.Skip(Most).Select(c => new LeftOut(c.Key, "no-room")).Distinct());
        var grid = CardGrid.Of(size);
        ImmutableArray<Card> kept = [.. all.Take(Most).Select(c => size == CardSize.Wall ? c.ForWall() : c)];
        return new CardsView(
            GroupName: day.Group.Name,
            Date: date,
            RungLabel: day.Label,
            Grid: grid,
            Cards: kept,
            Sides: CardPages.Lay(kept.Length, grid, wanted.Backs && kind != CardKind.Tiles && size != CardSize.Wall),
            LeftOut: [.. left]
        );
    }

    /// <summary>The lessons of the day, or of its week, as they are shown.</summary>
    private async Task<List<Lesson>> Lessons(PaperDay day, CardSource source, SchoolWay way)
    {
        var date = day.Day.Date;
        var first = source == CardSource.Week ? SchoolWeekday.Monday(date) : date;
        var last = source == CardSource.Week ? first.AddDays(SchoolWeekday.DaysInWeek - 1) : date;
        var stored = await scope
            .DailyLessons.AsNoTracking()
            .Where(l => l.GroupId == day.Group.Id && l.Date >= first && l.Date <= last)
            .OrderBy(l => l.Date)
            .Select(l => l.Document)
            .ToListAsync(scope.Stop);
        return stored.ConvertAll(way.Over);
    }
}
