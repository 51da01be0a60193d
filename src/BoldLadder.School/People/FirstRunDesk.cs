using BoldLadder.Core.Accents;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.People;

/// <summary>
/// A server on which there is nobody yet: a one-time code makes the first school and its lead, and there is no other
/// way.
/// </summary>
public sealed class FirstRunDesk(BoldContext store, Accounts accounts, Clock clock)
{
    private static readonly TimeSpan Lasts = TimeSpan.FromDays(2);
    private static readonly Refusal Over = Refusal.NotAllowed("first-run-over");

    /// <summary>A new code, the only one that opens; null where there is somebody already.</summary>
    public async Task<string?> Begin(CancellationToken stop = default)
    {
        if (await store.Users.AnyAsync(stop))
            return null;
        var now = clock.UtcNow;
        await store
            .FirstRuns.Where(r => r.EndedAt == null)
            .ExecuteUpdateAsync(r => r.SetProperty(x => x.EndedAt, now), stop);
        var code = OneTimeCode.Make();
        store.FirstRuns.Add(
            new FirstRun
            {
                Id = Guid.CreateVersion7(),
                CodeHash = OneTimeCode.Hash(code),
                ExpiresAt = now + Lasts,
            }
        );
        await store.SaveChangesAsync(stop);
        return code;
    }

    /// <summary>The school, its lead and their account: all or nothing.</summary>
    public async Task<Answer<User>> Make(NewSchool wanted, CancellationToken stop)
    {
        if (!Refused.IsName(wanted.Name))
            return Refused.BadName;
        if (SchoolSettings.Wrong(wanted.TimeZone, wanted.Accent, wanted.Language) is { } problem)
            return problem;
        var (hash, now) = (OneTimeCode.Hash(wanted.Key), clock.UtcNow);
        await using var transaction = await store.Database.BeginTransactionAsync(stop);
        if (
            await store
                .FirstRuns.Where(r => r.CodeHash == hash && r.EndedAt == null && r.ExpiresAt > now)
                .ExecuteUpdateAsync(r => r.SetProperty(x => x.EndedAt, now), stop) == 0
            || await store.Users.AnyAsync(stop)
        )
            return Over;
        var lead = await accounts.Make(wanted.Lead);
        if (lead.Refusal is { } refused)
            return refused;
        var school = Guid.CreateVersion7();
        store.EnterSchool(lead.Value.Id, school);
        store.Schools.Add(
            new StoredSchool
            {
                SchoolId = school,
                Name = wanted.Name.Trim(),
                TimeZone = wanted.TimeZone,
                Accent = Accent.Parse(wanted.Accent).Id,
                Language = wanted.Language,
                SpellingVariety = wanted.Language,
                PaperSize = SchoolSettings.PaperOf(wanted.Language),
            }
        );
        await store.SaveChangesAsync(stop);
        store.Memberships.Add(
            new Membership
            {
                SchoolId = school,
                UserId = lead.Value.Id,
                Role = Role.Lead,
            }
        );
        store.Audit.Add(
            new AuditEntry
            {
                SchoolId = school,
                Id = Guid.CreateVersion7(),
                UserId = lead.Value.Id,
                At = now,
                Action = "school-made",
                Subject = school,
            }
        );
        await store.SaveChangesAsync(stop);
        await transaction.CommitAsync(stop);
        return lead.Value;
    }
}
