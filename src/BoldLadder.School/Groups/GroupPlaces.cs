using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.School.Schools;
using BoldLadder.Store;

namespace BoldLadder.School.Groups;

/// <summary>
/// Puts a group at a place of a ladder, by lines of its log: what was taught stays a fact, and what is to come again is
/// taken back line by line, so that it can be seen who did it and when. Nobody is asked for days that nobody knows.
/// </summary>
public sealed class GroupPlaces(SchoolScope scope, Standings standings)
{
    /// <summary>What putting a group at a place comes to.</summary>
    /// <param name="Skipped">Rungs below it that were not taught: they count as taught from now on.</param>
    /// <param name="Again">Rungs from it on that were taught: they come again.</param>
    /// <param name="Lines">What is added to the log.</param>
    public sealed record Change(
        IReadOnlyList<Rung> Skipped,
        IReadOnlyList<Rung> Again,
        IReadOnlyList<TeachingLogEntry> Lines
    )
    {
        /// <summary>The standing after it.</summary>
        public required Standing Standing { get; init; }
    }

    /// <summary>A place of a ladder for a group with a log.</summary>
    /// <param name="next">The rung it comes to next; null to stand as the log says.</param>
    /// <exception cref="KeyNotFoundException">The ladder has no such rung.</exception>
    public async Task<Change> At(Group group, Ladder ladder, string? next)
    {
        var log = await standings.Log(group.Id);
        var standing = Standings.Fold(log);
        if (next is null)
            return new Change([], [], []) { Standing = standing };
        var at = ladder.IndexOf(next);
        if (at < 0)
            throw new KeyNotFoundException(next);
        var remaining = new Progress(ladder, standing).Remaining.Select(r => r.Id).ToHashSet();
        List<Rung> skipped = [.. ladder.Rungs.Take(at).Where(r => r.TeachesSomething && remaining.Contains(r.Id))];
        List<Rung> again = [.. ladder.Rungs.Skip(at).Where(r => r.TeachesSomething && !remaining.Contains(r.Id))];
        var yesterday = scope.Today.AddDays(-1);
        var day = standing.Closed > yesterday ? standing.Closed.Value : yesterday;
        List<TeachingLogEntry> lines =
        [
            .. log.Select(e => TakenBack(e, again)).OfType<TeachingLogEntry>(),
            .. skipped.Select(r => Taught(group.Id, r, day)),
        ];
        var replaced = lines.Select(l => l.Supersedes).OfType<Guid>().ToHashSet();
        return new Change(skipped, again, lines)
        {
            Standing = Standings.Fold(log.Where(e => !replaced.Contains(e.Id)).Concat(lines)),
        };
    }

    /// <summary>Carries a change out.</summary>
    public async Task Put(Group group, Change change)
    {
        scope.Store.TeachingLog.AddRange(change.Lines);
        await scope.Save();
        await standings.Anew(group.Id);
        await scope.Save();
    }

    /// <summary>
    /// What a new group has behind it: a rung a day until yesterday, since nobody knows the days.
    /// </summary>
    public async Task Begin(Group group, IReadOnlyList<Rung> known)
    {
        scope.Store.TeachingLog.AddRange(
            known.Select((r, i) => Taught(group.Id, r, scope.Today.AddDays(i - known.Count)))
        );
        await scope.Save();
        await standings.Anew(group.Id);
        await scope.Save();
    }

    /// <summary>Gives a new group all that another one was taught.</summary>
    public async Task Copy(Guid from, Group to)
    {
        scope.Store.TeachingLog.AddRange(
            (await standings.Log(from)).Select(e => Copied(e, to.Id, e.Correspondences, e.Patterns, e.Tricky))
        );
        await scope.Save();
        await standings.Anew(to.Id);
        await scope.Save();
    }

    /// <summary>A line without what comes again, in place of the one before; null where nothing of it does.</summary>
    private TeachingLogEntry? TakenBack(TeachingLogEntry line, IReadOnlyList<Rung> again)
    {
        var correspondences = again.SelectMany(r => r.Correspondences).Select(c => c.Notation).ToHashSet();
        var patterns = again.SelectMany(r => r.Patterns.Each()).Select(p => p.Id()).ToHashSet();
        var tricky = again.SelectMany(r => r.Tricky).ToHashSet();
        var left = Copied(
            line,
            line.GroupId,
            [.. line.Correspondences.Where(c => !correspondences.Contains(c))],
            [.. line.Patterns.Where(p => !patterns.Contains(p))],
            [.. line.Tricky.Where(t => !tricky.Contains(t))],
            line
        );
        return
            left.Correspondences.Length == line.Correspondences.Length
            && left.Patterns.Length == line.Patterns.Length
            && left.Tricky.Length == line.Tricky.Length
            ? null
            : left;
    }

    /// <param name="instead">The line that it stands in place of; null for a line of another group.</param>
    private TeachingLogEntry Copied(
        TeachingLogEntry line,
        Guid group,
        string[] correspondences,
        string[] patterns,
        string[] tricky,
        TeachingLogEntry? instead = null
    ) =>
        new()
        {
            SchoolId = line.SchoolId,
            Id = Guid.CreateVersion7(),
            GroupId = group,
            LessonId = instead?.LessonId,
            Date = line.Date,
            RungId = line.RungId,
            Outcome = line.Outcome,
            Correspondences = correspondences,
            Patterns = patterns,
            Tricky = tricky,
            Seen = line.Seen,
            Words = line.Words,
            Missed = line.Missed,
            RecordedAt = scope.UtcNow,
            RecordedBy = scope.UserId,
            Supersedes = instead?.Id,
        };

    private TeachingLogEntry Taught(Guid group, Rung rung, DateOnly day) =>
        new()
        {
            SchoolId = scope.School.SchoolId,
            Id = Guid.CreateVersion7(),
            GroupId = group,
            Date = day,
            RungId = rung.Id,
            Outcome = LessonOutcome.Taught,
            Correspondences = [.. rung.Correspondences.Select(c => c.Notation)],
            Patterns = [.. rung.Patterns.Each().Select(p => p.Id())],
            Tricky = [.. rung.Tricky],
            Seen = [],
            Words = [],
            RecordedAt = scope.UtcNow,
            RecordedBy = scope.UserId,
        };
}
