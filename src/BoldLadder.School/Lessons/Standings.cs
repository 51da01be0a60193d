using BoldLadder.Core.Teaching;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Lessons;

/// <summary>
/// Where groups stand: read from the row that closings keep, or folded from the log where there is none yet.
/// </summary>
public sealed class Standings(SchoolScope scope)
{
    private const int Kilobytes = 96;

    /// <summary>
    /// Where each group stands after all its closed lessons, in one query where they are known, one more where they are
    /// not, and one for groups whose log was never folded.
    /// </summary>
    public async Task<IReadOnlyDictionary<Guid, Standing>> Of(IReadOnlyCollection<Guid> groups)
    {
        var rows = await scope
            .Store.GroupStandings.Where(s => groups.Contains(s.GroupId))
            .Select(s => new { s.GroupId, s.Version })
            .ToListAsync(scope.Stop);
        var kept = rows.Select(r => (r.GroupId, Standing: scope.Known<Standing>(Key(r.GroupId), $"{r.Version}")))
            .Where(r => r.Standing is not null)
            .ToDictionary(r => r.GroupId, r => r.Standing!);
        var unread = rows.Select(r => r.GroupId).Where(g => !kept.ContainsKey(g)).ToList();
        if (unread.Count > 0)
        {
            foreach (
                var row in await scope
                    .Store.GroupStandings.AsNoTracking()
                    .Where(s => unread.Contains(s.GroupId))
                    .ToListAsync(scope.Stop)
            )
            {
                kept[row.GroupId] = scope.Kept(Key(row.GroupId), $"{row.Version}", Kilobytes, row.Document);
            }
        }
        var missing = groups.Where(g => !kept.ContainsKey(g)).ToList();
        if (missing.Count == 0)
            return kept;
        var logs = (await Lines(e => missing.Contains(e.GroupId))).ToLookup(e => e.GroupId);
        foreach (var group in missing)
            kept[group] = Fold(logs[group]);
        return kept;
    }

    /// <summary>Where a group stood before a day, whatever was closed since.</summary>
    public async Task<Standing> Before(Guid group, DateOnly date) =>
        Fold(await Lines(e => e.GroupId == group && e.Date < date));

    /// <summary>
    /// Keeps where the group stands once a line was added to its log; the line is saved by who calls.
    /// </summary>
    public async Task Keep(TeachingLogEntry added)
    {
        var now = (await Of([added.GroupId]))[added.GroupId];
        var next =
            added.Supersedes is null && (now.Last is null || added.Date > now.Last)
                ? With(now, added)
                : Fold([.. (await Lines(e => e.GroupId == added.GroupId)).Where(e => e.Id != added.Supersedes), added]);
        Put(added.SchoolId, added.GroupId, next, await Row(added.GroupId));
    }

    /// <summary>
    /// Keeps where a group stands after lines of its log were put right; they are saved before.
    /// </summary>
    public async Task Anew(Guid group) =>
        Put(scope.School.SchoolId, group, Fold(await Lines(e => e.GroupId == group)), await Row(group));

    /// <summary>Lines of a group's log that count, in order.</summary>
    public async Task<List<TeachingLogEntry>> Log(Guid group) => [.. await Lines(e => e.GroupId == group)];

    private Task<GroupStanding?> Row(Guid group) =>
        scope.Store.GroupStandings.SingleOrDefaultAsync(s => s.GroupId == group, scope.Stop);

    private void Put(Guid school, Guid group, Standing standing, GroupStanding? row)
    {
        if (row is not null)
            (row.Document, row.Version) = (standing, row.Version + 1);
        else
            scope.Store.GroupStandings.Add(
                new GroupStanding
                {
                    SchoolId = school,
                    GroupId = group,
                    Document = standing,
                    Version = 1,
                }
            );
    }

    private object Key(Guid group) => (nameof(Standings), scope.School.SchoolId, group);

    /// <summary>Lines of the log that count: those that a later one supersedes don't.</summary>
    private async Task<IEnumerable<TeachingLogEntry>> Lines(
        System.Linq.Expressions.Expression<Func<TeachingLogEntry, bool>> of
    )
    {
        var entries = await scope
            .Store.TeachingLog.AsNoTracking()
            .Where(of)
            .OrderBy(e => e.Date)
            .ThenBy(e => e.RecordedAt)
            .ToListAsync(scope.Stop);
        var superseded = entries.Select(e => e.Supersedes).OfType<Guid>().ToHashSet();
        return entries.Where(e => !superseded.Contains(e.Id));
    }

    /// <summary>What lines that count come to.</summary>
    public static Standing Fold(IEnumerable<TeachingLogEntry> lines) =>
        lines.OrderBy(e => e.Date).Aggregate(Standing.Nothing, With);

    private static Standing With(Standing standing, TeachingLogEntry line) =>
        line.Outcome == LessonOutcome.NotTaught
            ? standing.WithClosed(line.Date)
            : standing.With(
                new TaughtFact(
                    Date: line.Date,
                    Correspondences: [.. line.Correspondences],
                    Patterns: [.. line.Patterns],
                    Tricky: [.. line.Tricky],
                    Seen: [.. line.Seen],
                    Words: [.. line.Words],
                    RungId: line.RungId
                )
                {
                    Missed = [.. line.Missed],
                }
            );
}
