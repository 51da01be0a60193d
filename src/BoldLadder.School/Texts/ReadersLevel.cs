using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Pasted;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Texts;

/// <summary>For whom a text is checked: one of a group on a day, a rung of a ladder, or a set of one's own.</summary>
/// <param name="GroupId">Then <paramref name="Date"/> is the day, today without one.</param>
/// <param name="LadderId">Then <paramref name="Version"/> and <paramref name="Rung"/> say where on it: after this
/// rung.</param>
/// <param name="Own">Graphemes as schools write them down, tricky words after a bar.</param>
public sealed record LevelAsked(
    Guid? GroupId = null,
    DateOnly? Date = null,
    Guid? LadderId = null,
    int? Version = null,
    string? Rung = null,
    string? Own = null
);

/// <summary>Who reads: what they can read, what is new to them, and when the rest comes.</summary>
/// <param name="Judge">The verdict on any word.</param>
/// <param name="Targets">What the day or rung is about.</param>
/// <param name="Ladder">Null for a set of one's own.</param>
/// <param name="Standing">How many of its rungs are taught.</param>
/// <param name="When">The rung with its day; no day where there is no group.</param>
/// <param name="Avoid">Words and names that are not to be offered; lower case.</param>
/// <param name="Unread">Pieces of a set of one's own that could not be read.</param>
public sealed record ReadersLevel(
    WordJudge Judge,
    ImmutableArray<Correspondence> Targets,
    Ladder? Ladder,
    int Standing,
    Func<int?, WhenView?> When,
    IReadOnlySet<string> Avoid,
    ImmutableArray<string> Unread
);

/// <summary>A group as it reads on a day, and where words lie on its ladder.</summary>
public sealed record GroupReader(GroupDay Day, ReadersLevel Level, SentencePlaces Places);

/// <summary>Finds out what whoever reads can read.</summary>
public sealed class ReadersLevels(SchoolScope scope, GroupDays groupDays, LessonRequests requests, LadderStudy study)
{
    private const int LongestOwn = 4000;

    /// <param name="first">Tricky words that are taught before the text is read; lower case.</param>
    public async Task<Answer<ReadersLevel>> Of(LevelAsked asked, IReadOnlyCollection<string> first)
    {
        if (Refused.Day(asked.Date) is { } noDay)
            return noDay;
        if (asked.GroupId is { } group)
            return await OfGroup(group, asked.Date ?? scope.Today, first);
        if (asked is { LadderId: { } ladder, Version: { } version })
            return await OfRung(ladder, version, asked.Rung ?? "", first);
        return OfOwn(asked.Own ?? "", first);
    }

    private async Task<Answer<ReadersLevel>> OfGroup(Guid groupId, DateOnly date, IReadOnlyCollection<string> first)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        var day = await groupDays.Day(found.Value, date);
        var stored = await scope
            .DailyLessons.AsNoTracking()
            .SingleOrDefaultAsync(l => l.GroupId == groupId && l.Date == date, scope.Stop);
        var names = await requests.Names(found.Value, date);
        return Of(day, stored is null ? day.Rung : day.RungOf(stored.Document), names, first);
    }

    /// <summary>All groups that the asker sees, by name.</summary>
    public async Task<List<GroupReader>> OfGroups(DateOnly date)
    {
        var groups = await scope.Groups.AsNoTracking().OrderBy(g => g.Name).ToListAsync(scope.Stop);
        var ladders = new Dictionary<(Guid, int), SentencePlaces>();
        var readers = new List<GroupReader>();
        foreach (var state in await groupDays.States(groups))
        {
            var day = await groupDays.DayAt(state, date);
            var version = (state.Group.LadderId, state.Group.LadderVersion);
            if (!ladders.TryGetValue(version, out var places))
                ladders[version] = places = requests.Places(day);
            readers.Add(new GroupReader(day, Of(day, day.Rung, new HashSet<string>(), []), places));
        }
        return readers;
    }

    /// <summary>A group on a day that is known already.</summary>
    /// <param name="rung">What the day brings; null where the ladder is climbed.</param>
    private ReadersLevel Of(GroupDay day, Rung? rung, IReadOnlySet<string> names, IReadOnlyCollection<string> first)
    {
        var request = rung is null ? null : requests.Of(day, rung, 0);
        return new ReadersLevel(
            Judge: Judge(
                request?.After ?? day.Progress.Before(day.Ahead, scope.Leniencies, scope.Accent),
                [.. request?.TrickyToday ?? day.Progress.TrickyBefore(day.Ahead), .. first]
            ),
            Targets: rung?.Correspondences ?? [],
            Ladder: day.Ladder,
            // What today brings is among what they can read.
            Standing: day.Ladder.Rungs.Length
                - day.Progress.Remaining.Length
                + day.Ahead
                + (rung is not null && day.Ladder.IndexOf(rung.Id) >= 0 ? 1 : 0),
            When: place => LessonReading.When(day, place),
            Avoid: names.Select(n => n.ToLowerInvariant()).Concat(day.Group.Avoid).ToHashSet(StringComparer.Ordinal),
            Unread: []
        );
    }

    private async Task<Answer<ReadersLevel>> OfRung(
        Guid ladderId,
        int version,
        string rungId,
        IReadOnlyCollection<string> first
    )
    {
        if (await scope.Ladder(ladderId, version) is not { } ladder)
            return Refused.UnknownLadder;
        var at = ladder.IndexOf(rungId);
        return at < 0 ? Refusal.Unusable("unknown-rung") : OfRung(ladder, at, first);
    }

    /// <summary>Who has climbed a ladder up to a rung.</summary>
    private ReadersLevel OfRung(Ladder ladder, int at, IReadOnlyCollection<string> first) =>
        new(
            Judge: Judge(
                ladder.TaughtAfter(at + 1, scope.Leniencies, scope.Accent),
                [.. ladder.Rungs.Take(at + 1).SelectMany(r => r.Tricky), .. first]
            ),
            Targets: ladder.Rungs[at].Correspondences,
            Ladder: ladder,
            Standing: at + 1,
            When: place => place is >= 0 and var i ? new WhenView(ladder.Rungs[i].Label, null) : null,
            Avoid: new HashSet<string>(),
            Unread: []
        );

    private Answer<ReadersLevel> OfOwn(string written, IReadOnlyCollection<string> first)
    {
        if (written.Length > LongestOwn)
            return Refusal.Unusable("too-long", ("most", LongestOwn));
        var lines = new OrderReader(scope.Words.Finder, study.Facts(scope.Accent)).Read(written);
        var patterns = lines.Aggregate(Patterns.None, (all, l) => all | l.Patterns);
        return new ReadersLevel(
            Judge: Judge(
                new Taught(
                    CorrespondenceSet.Of(lines.SelectMany(l => l.Parts).Select(p => p.Choices[0])),
                    patterns,
                    Patterns.All,
                    scope.Leniencies,
                    scope.Accent
                ),
                [.. lines.SelectMany(l => l.Tricky), .. first]
            ),
            Targets: [],
            Ladder: null,
            Standing: 0,
            When: _ => null,
            Avoid: new HashSet<string>(),
            Unread: [.. lines.SelectMany(l => l.Unread)]
        );
    }

    private WordJudge Judge(Taught taught, IEnumerable<string> tricky) =>
        new(scope.Words.Finder, taught, tricky.ToHashSet(StringComparer.Ordinal));
}
