using BoldLadder.Core.Teaching;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Schools;

/// <summary>Reads a group's teaching log: entries that a later one supersedes don't count.</summary>
public static class TeachingLogReader
{
    public static async Task<IReadOnlyList<TaughtFact>> Facts(SchoolScope scope, Guid groupId) => Facts(await Standing(scope, groupId));

    public static IReadOnlyList<TaughtFact> Facts(IEnumerable<TeachingLogEntry> standing) => [.. standing.Where(e => e.Outcome != LessonOutcome.NotTaught)
        .Select(e => new TaughtFact(e.Date, [.. e.Correspondences], [.. e.Patterns], [.. e.Tricky], [.. e.Seen], [.. e.Words], e.RungId) { Missed = [.. e.Missed] })];

    public static async Task<List<TeachingLogEntry>> Standing(SchoolScope scope, Guid groupId)
    {
        var entries = await scope.Store.TeachingLog.AsNoTracking().Where(e => e.GroupId == groupId).OrderBy(e => e.Date).ThenBy(e => e.RecordedAt).ToListAsync();
        var superseded = entries.Select(e => e.Supersedes).OfType<Guid>().ToHashSet();
        return [.. entries.Where(e => !superseded.Contains(e.Id))];
    }
}
