using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Jobs;

/// <param name="Id">Of the job, made by who asks.</param>
public sealed record BackupRequest(Guid Id);

/// <summary>The last backup that was proven; nulls where none was told.</summary>
public sealed record BackupView(DateTime? ProvenAt, long? Rows);

/// <summary>
/// Backups of the whole server: when the last one was, and another one asked for. They are made by <c>bold-admin</c>,
/// which alone may read everything. Leads only.
/// </summary>
public sealed class BackupDesk(SchoolScope scope, JobStarter jobs)
{
    public async Task<Answer<BackupView>> Last() =>
        scope.LeadOnly() is { } refused
            ? refused
            : await scope
                .Store.Backups.OrderByDescending(b => b.ProvenAt)
                .Select(b => new BackupView(b.ProvenAt, b.Rows))
                .FirstOrDefaultAsync(scope.Stop)
                ?? new BackupView(null, null);

    /// <summary>Asks for another one, where backups are made at all.</summary>
    public async Task<Answer<JobView>> Ask(BackupRequest request)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        return await scope.Store.Backups.AnyAsync(scope.Stop)
            ? await jobs.Start(request.Id, JobTables.Elsewhere, request)
            : Refusal.Conflict("no-backups-here");
    }
}
