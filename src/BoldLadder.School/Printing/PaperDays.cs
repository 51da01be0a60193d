using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Printing;

/// <summary>What something is printed for.</summary>
/// <param name="Label">What the day, the week or the rung brings.</param>
/// <param name="Request">With all that may stand on paper.</param>
/// <param name="Lesson">The lesson as it is stored; null where none is planned, or where it is for more than a
/// day.</param>
public sealed record PaperDay(GroupDay Day, string Label, LessonRequest Request, StoredLesson? Lesson)
{
    public Group Group => Day.Group;
}

/// <summary>What is new on what is printed.</summary>
public enum PaperSpan
{
    Day,

    /// <summary>All that the week of the day brings, on its last lesson's day.</summary>
    Week,
}

/// <summary>Days, weeks and rungs of a group, as far as paper needs them.</summary>
public sealed class PaperDays(SchoolScope scope, GroupDays groupDays, LessonRequests requests)
{
    /// <param name="rung">Id of a rung of the group's ladder, in place of what the day brings; null for none.</param>
    public async Task<Answer<PaperDay>> Of(
        Guid groupId,
        DateOnly date,
        long seed = 0,
        PaperSpan span = PaperSpan.Day,
        string? rung = null
    )
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        var day = await groupDays.Day(found.Value, date);
        if (rung is not null)
            return await OfRung(day, rung, seed);
        if (!day.Calendar.IsTeachingDay(date))
            return Refusal.Unusable("outside-calendar");
        return span == PaperSpan.Week ? await OfWeek(found.Value, date, seed) : await OfDay(day, seed);
    }

    private async Task<Answer<PaperDay>> OfDay(GroupDay day, long seed)
    {
        var stored = await scope
            .DailyLessons.AsNoTracking()
            .SingleOrDefaultAsync(l => l.GroupId == day.Group.Id && l.Date == day.Date, scope.Stop);
        if ((stored is null ? day.Rung : day.RungOf(stored.Document)) is not { } rung)
            return Refused.LadderClimbed;
        var request = await requests.ForPlanning(day, rung, (stored?.Stamp.Seed ?? 0) + seed);
        return new PaperDay(day, TeachingDay.TitleOf(rung).Label, request, stored);
    }

    /// <summary>
    /// A week is a day that brings all that its days bring: nothing stands on its papers that can't be read on the last
    /// of them.
    /// </summary>
    private async Task<Answer<PaperDay>> OfWeek(Group group, DateOnly date, long seed)
    {
        var monday = SchoolWeekday.Monday(date);
        var state = (await groupDays.States([group]))[0];
        var days = new List<GroupDay>();
        for (var d = monday; d < monday.AddDays(SchoolWeekday.DaysInWeek); d = d.AddDays(1))
        {
            if (state.Calendar.IsTeachingDay(d))
                days.Add(await groupDays.DayAt(state, d));
        }
        var rungs = days.Select(d => d.Rung).OfType<Rung>().ToList();
        if (rungs.Count == 0)
            return Refused.LadderClimbed;
        var news = rungs.Where(r => !QuietDay.IsId(r.Id)).DistinctBy(r => r.Id).ToList();
        if (news.Count == 0)
            return await OfDay(days.First(d => d.Rung is not null), seed);
        var first = days.First(d => d.Rung is { } r && news.Contains(r));
        var week = new Rung(
            $"week-{monday:yyyy-MM-dd}",
            news[0].Stage,
            [.. news.SelectMany(r => r.Correspondences).Distinct()],
            news.Aggregate(Patterns.None, (all, r) => all | r.Patterns),
            [.. news.SelectMany(r => r.Tricky).Distinct()],
            null
        );
        return new PaperDay(
            first,
            string.Join(' ', news.Select(r => TeachingDay.TitleOf(r).Label)),
            await requests.ForPlanning(first, week, seed),
            null
        );
    }

    /// <summary>A rung of the group's ladder, with all below it taught, wherever the group stands.</summary>
    private async Task<Answer<PaperDay>> OfRung(GroupDay day, string rungId, long seed)
    {
        var rungs = day.Ladder.Rungs;
        var at = Enumerable.Range(0, rungs.Length).FirstOrDefault(i => rungs[i].Id == rungId, -1);
        if (at < 0)
            return Refusal.Unusable("unknown-rung");
        var series = new LessonSeries(
            day.Ladder,
            scope.Words.Materials,
            scope.Leniencies,
            scope.Accent,
            day.Group.MinutesOn(day.Date),
            seed
        );
        series.Skip(at);
        var climbed = series.Next();
        var usual = await requests.ForPlanning(day, climbed.Today, seed);
        // What is taught by then is worked out when a request is made: the ladder's is filled with the group's ways.
        return new PaperDay(
            day,
            TeachingDay.TitleOf(climbed.Today).Label,
            climbed with
            {
                MadeUpInLessons = usual.MadeUpInLessons,
                MeaningsInLessons = usual.MeaningsInLessons,
                Phrases = usual.Phrases,
                Chunks = usual.Chunks,
                Avoid = usual.Avoid,
                Names = usual.Names,
            },
            null
        );
    }
}
