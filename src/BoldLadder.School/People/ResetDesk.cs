using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.People;

/// <summary>A forgotten password made anew by a link that a lead made: once, within a day.</summary>
public sealed class ResetDesk(BoldContext store, Accounts accounts, Clock clock)
{
    private static readonly Refusal Over = Refusal.NotAllowed("link-over");

    public async Task<Answer<Done>> Choose(NewPassword request, CancellationToken stop)
    {
        var (hash, now) = (OneTimeCode.Hash(request.Key), clock.UtcNow);
        await using var transaction = await store.Database.BeginTransactionAsync(stop);
        if (
            await store.PasswordResets.SingleOrDefaultAsync(
                r => r.CodeHash == hash && r.EndedAt == null && r.ExpiresAt > now,
                stop
            )
                is not { } link
            || await store.Users.SingleOrDefaultAsync(u => u.Id == link.UserId, stop) is not { } user
        )
            return Over;
        if (!await IsStillGood(link, stop))
            return Over;
        // In one statement, so that it is used once.
        if (
            await store
                .PasswordResets.Where(r => r.Id == link.Id && r.EndedAt == null)
                .ExecuteUpdateAsync(r => r.SetProperty(x => x.EndedAt, now), stop) == 0
        )
            return Over;
        var set = await accounts.ResetPassword(user, request.Password);
        if (set.Refusal is { } weak)
            return weak;
        await transaction.CommitAsync(stop);
        return Done.It;
    }

    /// <summary>
    /// Since it was made the person may have come into another school, which it must not open; and who made it may be a
    /// lead no more.
    /// </summary>
    private async Task<bool> IsStillGood(PasswordReset link, CancellationToken stop)
    {
        store.EnterSchool(link.UserId, Guid.Empty);
        var schools = await store
            .Memberships.IgnoreQueryFilters()
            .Where(m => m.UserId == link.UserId)
            .Select(m => m.SchoolId)
            .ToListAsync(stop);
        if (schools is not [var school])
            return false;
        store.EnterSchool(link.UserId, school);
        return await store.Memberships.AnyAsync(
            m => m.UserId == link.MadeBy && m.IsActive && m.Role == Role.Lead,
            stop
        );
    }
}
