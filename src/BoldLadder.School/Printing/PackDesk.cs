using System.Collections.Immutable;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons.Cards;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Printing;

/// <summary>What a week needs on paper, in the order of its days.</summary>
/// <param name="Unplanned">Lessons that are not planned yet: nothing is known of them.</param>
/// <param name="InTheBox">Cards that are left out because the school has them.</param>
public sealed record PackView(
    DateOnly From,
    CardGrid Grid,
    ImmutableArray<PackPart> Parts,
    ImmutableArray<UnplannedLesson> Unplanned,
    ImmutableArray<BoxedCards> InTheBox
);

/// <summary>What one lesson needs that no lesson before it in the week needed.</summary>
/// <param name="Pack">What there is to print; nothing where the box has it all.</param>
public sealed record PackPart(DateOnly Date, Guid GroupId, string GroupName, string RungLabel, LessonPack Pack);

public sealed record UnplannedLesson(DateOnly Date, Guid GroupId, string GroupName);

/// <summary>
/// A week's paper for all groups of a person: cards that are not in the box, and the sheets of each lesson. Source:
/// docs/handbook.md, section 2 (Get the materials together).
/// </summary>
public sealed class PackDesk(
    SchoolScope scope,
    PaperDays days,
    GroupDays groupDays,
    LessonRequests requests,
    LessonShelf shelf,
    BoxDesk box,
    StyleDesk style
)
{
    /// <param name="date">Any day of the week.</param>
    /// <param name="only">One group; null for all.</param>
    public async Task<Answer<PackView>> Show(DateOnly date, CardSize? size, Guid? only)
    {
        if (size is not { } wanted)
            return Refusal.Unusable("unknown-cards");
        var grid = CardGrid.Of(wanted);
        var monday = SchoolWeekday.Monday(date);
        var sunday = monday.AddDays(SchoolWeekday.DaysInWeek - 1);
        if (only is { } one && (await scope.Group(one)).Refusal is { } unknown)
            return unknown;
        var groups = await scope
            .Groups.AsNoTracking()
            .Where(g => only == null || g.Id == only)
            .OrderBy(g => g.Name)
            .ToListAsync(scope.Stop);
        var ids = groups.ConvertAll(g => g.Id);
        var lessons = await shelf.Of(
            scope.DailyLessons.Where(l => ids.Contains(l.GroupId) && l.Date >= monday && l.Date <= sunday)
        );
        var way = await style.Way();
        var owned = (await box.List()).SelectMany(b => b.Keys.Select(k => (b.Kind, k))).ToHashSet();
        var inTheBox = new HashSet<(CardKind Kind, string Key)>();
        var parts = new List<PackPart>();
        var unplanned = new List<UnplannedLesson>();
        var states = await groupDays.States(groups);
        var had = groups.ToDictionary(g => g.Id, _ => new HashSet<(CardKind, string)>());
        for (var day = monday; day <= sunday; day = day.AddDays(1))
        {
            foreach (var state in states)
            {
                var group = state.Group;
                if (lessons.Find(l => l.GroupId == group.Id && l.Date == day) is not { } stored)
                {
                    if (day >= scope.Today && state.Calendar.IsTeachingDay(day))
                        unplanned.Add(new UnplannedLesson(day, group.Id, group.Name));
                    continue;
                }
                var lesson = way.Over(stored.Document);
                var at = await groupDays.DayAt(state, day);
                var after = requests.Of(at, at.RungOf(stored.Document), stored.Stamp.Seed).After;
                var cards = new List<Card>();
                foreach (var card in LessonPack.CardsOf(lesson, after, way, scope.Words.Lexicon))
                {
                    if (owned.Contains((card.Kind, card.Key)))
                        inTheBox.Add((card.Kind, card.Key));
                    else if (had[group.Id].Add((card.Kind, card.Key)))
                        cards.Add(card);
                }
                parts.Add(
                    new PackPart(
                        Date: day,
                        GroupId: group.Id,
                        GroupName: group.Name,
                        RungLabel: stored.Document.Title.Label,
                        Pack: LessonPack.Of(lesson, [.. cards], grid)
                    )
                );
            }
        }
        return new PackView(
            monday,
            grid,
            [.. parts],
            [.. unplanned],
            [.. inTheBox.GroupBy(c => c.Kind).Select(k => new BoxedCards(k.Key, [.. k.Select(c => c.Key)]))]
        );
    }

    /// <summary>All that one lesson needs, whatever the box has: for who has never seen the room.</summary>
    public async Task<Answer<LessonPack>> OfLesson(Guid groupId, DateOnly date)
    {
        var found = await days.Of(groupId, date);
        if (found.Refusal is { } refusal)
            return refusal;
        if (found.Value.Lesson is not { } stored)
            return Refused.NoLesson;
        return LessonPack.Of(
            (await style.Way()).Over(stored.Document),
            found.Value.Request.After,
            await style.Way(),
            scope.Words.Lexicon
        );
    }
}
