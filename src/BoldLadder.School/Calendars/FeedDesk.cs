using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.School.People;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Calendars;

/// <summary>An address under which one's own calendar program has a group's lessons.</summary>
/// <param name="StartsAt">When lessons begin; null for events of a whole day.</param>
public sealed record FeedView(Guid Id, Guid GroupId, string GroupName, DateTime MadeAt, TimeOnly? StartsAt);

/// <param name="StartsAt">Hours and minutes, in the school's zone; null for events of a whole day.</param>
public sealed record NewFeed(Guid GroupId, TimeOnly? StartsAt);

/// <summary>A new address; its secret is told this once.</summary>
/// <param name="Path">What comes after the server's own address.</param>
public sealed record MadeFeed(string Path, IReadOnlyList<FeedView> Feeds);

/// <summary>A group's lessons as the calendar of an address has them.</summary>
/// <param name="Language">In which the events are to be named.</param>
public sealed record GroupCalendar(
    string GroupName,
    string SchoolName,
    string Language,
    TimeZoneInfo Zone,
    TimeOnly? StartsAt,
    DateTime MadeAt,
    IReadOnlyList<CalendarDay> Days
);

/// <param name="Id">The same for the same lesson each time.</param>
/// <param name="Label">What it brings: a rung's label or the code of a quiet day.</param>
public sealed record CalendarDay(string Id, DateOnly Date, string Label, int Minutes);

/// <summary>
/// A group's lessons as a calendar to subscribe to: by a secret address that whoever made it can end, and that ends by
/// itself when they may see the group no more. It says what is taught when, and nothing about any child.
/// </summary>
public sealed class FeedDesk(SchoolScope scope, GroupDays groupDays, LessonShelf shelf, Standings standings)
{
    private const int MostEach = 40;
    private static readonly Refusal Over = Refusal.NotFound("feed-over");

    /// <summary>One's own addresses.</summary>
    public async Task<List<FeedView>> List()
    {
        var me = scope.UserId;
        return await scope
            .Store.CalendarFeeds.Where(f => f.MadeBy == me && f.EndedAt == null)
            .Join(scope.Groups, f => f.GroupId, g => g.Id, (f, g) => new { Feed = f, g.Name })
            .OrderBy(f => f.Name)
            .ThenBy(f => f.Feed.MadeAt)
            .Select(f => new FeedView(f.Feed.Id, f.Feed.GroupId, f.Name, f.Feed.MadeAt, f.Feed.StartsAt))
            .ToListAsync(scope.Stop);
    }

    public async Task<Answer<MadeFeed>> Make(NewFeed wanted)
    {
        var found = await scope.Group(wanted.GroupId);
        if (found.Refusal is { } unknown)
            return unknown;
        var before = await List();
        if (before.Count >= MostEach)
            return Refusal.Conflict("too-many-feeds", ("most", MostEach));
        var code = OneTimeCode.Make();
        scope.Store.CalendarFeeds.Add(
            new CalendarFeed
            {
                SchoolId = scope.School.SchoolId,
                Id = Guid.CreateVersion7(),
                GroupId = wanted.GroupId,
                MadeBy = scope.UserId,
                MadeAt = scope.UtcNow,
                CodeHash = OneTimeCode.Hash(code),
                StartsAt = wanted.StartsAt,
            }
        );
        scope.Audit("calendar-given", wanted.GroupId);
        await scope.Save();
        return new MadeFeed($"/api/calendars/{OneTimeCode.Key(scope.School.SchoolId, code)}/lessons.ics", await List());
    }

    public async Task<Answer<List<FeedView>>> End(Guid id)
    {
        var me = scope.UserId;
        if (
            await scope.Store.CalendarFeeds.SingleOrDefaultAsync(f => f.Id == id && f.MadeBy == me, scope.Stop)
            is not { } feed
        )
            return Refusal.NotFound("unknown-feed");
        feed.EndedAt ??= scope.UtcNow;
        scope.Audit("calendar-ended", feed.GroupId);
        await scope.Save();
        return await List();
    }

    /// <summary>The calendar; every wrong key gets the same answer.</summary>
    public async Task<Answer<GroupCalendar>> Open(string key, CancellationToken stop)
    {
        if (!OneTimeCode.TryRead(key, out var schoolId, out var code) || !await scope.OpenForGuest(schoolId, stop))
            return Over;
        var hash = OneTimeCode.Hash(code);
        var feed = await scope
            .Store.CalendarFeeds.AsNoTracking()
            .SingleOrDefaultAsync(f => f.CodeHash == hash && f.EndedAt == null, scope.Stop);
        // It shows no more than whoever made it may see.
        if (feed is null || !await scope.Enter(feed.MadeBy, schoolId))
            return Over;
        var found = await scope.Group(feed.GroupId);
        if (found.Refusal is not null)
            return Over;
        var group = found.Value;
        return new GroupCalendar(
            GroupName: group.Name,
            SchoolName: scope.School.Name,
            Language: scope.School.Language,
            Zone: TimeZoneInfo.FindSystemTimeZoneById(scope.School.TimeZone),
            StartsAt: feed.StartsAt,
            MadeAt: scope.UtcNow,
            Days: await Days(group)
        );
    }

    /// <summary>
    /// Lessons that were taught, as the log has them; from today on those there are, and what comes on other days.
    /// </summary>
    private async Task<List<CalendarDay>> Days(Group group)
    {
        var state = (await groupDays.States([group]))[0];
        var labels = state.Ladder.Rungs.ToDictionary(r => r.Id, r => r.Label);
        var taught = (await standings.Log(group.Id))
            .Where(e => e.Date < scope.Today && e.LessonId is not null && e.Outcome != LessonOutcome.NotTaught)
            .Select(e => (e.Date, Label: labels.GetValueOrDefault(e.RungId, e.RungId)));
        var kept = await shelf.Of(scope.DailyLessons.Where(l => l.GroupId == group.Id && l.Date >= scope.Today));
        var dates = kept.Select(l => l.Date).ToHashSet();
        var coming = state
            .Days.Fit.Days.Where(d => d.Kind != DayKind.Spare && d.Date >= scope.Today && !dates.Contains(d.Date))
            .Select(d => (d.Date, state.On(d.Date).Rung))
            .Where(d => d.Rung is not null)
            .Select(d => (d.Date, TeachingDay.TitleOf(d.Rung!).Label));
        return
        [
            .. taught
                .Concat(
                    kept.Where(l => l.Status != LessonStatus.NotTaught).Select(l => (l.Date, l.Document.Title.Label))
                )
                .Concat(coming)
                .OrderBy(d => d.Date)
                .Select(d => new CalendarDay(
                    $"{group.Id:N}-{d.Date:yyyyMMdd}",
                    d.Date,
                    d.Label,
                    group.MinutesOn(d.Date)
                )),
        ];
    }
}
