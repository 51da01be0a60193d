using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.People;

/// <summary>
/// Coming into a school by a link, once: what it gives was fixed when it was made. Every wrong, used or old key gets
/// the same answer.
/// </summary>
public sealed class JoiningDesk(SchoolScope scope, Accounts accounts)
{
    private static readonly Refusal Over = Refusal.NotAllowed("link-over");

    /// <summary>What the link gives, before anything is typed.</summary>
    public async Task<Answer<JoiningView>> Look(JoiningKey key, CancellationToken stop)
    {
        var found = await Find(key.Key, stop);
        if (found.Refusal is { } over)
            return over;
        var link = found.Value;
        var groups = await scope
            .Store.Groups.Where(g => link.Groups.Contains(g.Id))
            .OrderBy(g => g.Name)
            .Select(g => g.Name)
            .ToListAsync(stop);
        var view = new JoiningView(
            School: scope.School.Name,
            Language: scope.School.Language,
            For: link.For,
            Role: link.Role,
            Groups: groups,
            ExpiresAt: link.ExpiresAt
        );
        await scope.Release();
        return view;
    }

    /// <summary>Somebody new: an account and a place in the school, both or neither.</summary>
    public async Task<Answer<User>> Join(Joining request, CancellationToken stop)
    {
        var found = await Find(request.Key, stop);
        if (found.Refusal is { } over)
            return over;
        var made = await accounts.Make(request.Person);
        if (made.Refusal is { } refused)
            return refused;
        await GivePlace(found.Value, made.Value.Id);
        return made.Value;
    }

    /// <summary>A place in one more school for who is signed in.</summary>
    public async Task<Answer<Done>> Join(JoiningKey key, Guid userId, CancellationToken stop)
    {
        var found = await Find(key.Key, stop);
        if (found.Refusal is { } over)
            return over;
        if (await scope.Store.Memberships.AnyAsync(m => m.UserId == userId, stop))
            return Refusal.Conflict("belongs-already");
        await GivePlace(found.Value, userId);
        return Done.It;
    }

    private async Task<Answer<Invitation>> Find(string key, CancellationToken stop)
    {
        if (!OneTimeCode.TryRead(key, out var school, out var code) || !await scope.OpenForGuest(school, stop))
            return Over;
        var (hash, now) = (OneTimeCode.Hash(code), scope.UtcNow);
        // Who comes at the same moment waits, and finds it used.
        await scope.LockSettings();
        return
            await scope.Store.Invitations.SingleOrDefaultAsync(
                i => i.CodeHash == hash && i.EndedAt == null && i.ExpiresAt > now,
                stop
            )
                is { } link
            && await IsStillLead(link.MadeBy)
            ? link
            : Over;
    }

    /// <summary>A link is no wider than who made it: it ends with their being a lead here.</summary>
    private Task<bool> IsStillLead(Guid maker) =>
        scope.Store.Memberships.AnyAsync(m => m.UserId == maker && m.IsActive && m.Role == Role.Lead, scope.Stop);

    private async Task GivePlace(Invitation link, Guid userId)
    {
        (link.EndedAt, link.UsedBy) = (scope.UtcNow, userId);
        var (store, school) = (scope.Store, scope.School.SchoolId);
        store.Memberships.Add(
            new Membership
            {
                SchoolId = school,
                UserId = userId,
                Role = link.Role,
            }
        );
        await scope.Save();
        var groups = await store
            .Groups.Where(g => link.Groups.Contains(g.Id))
            .Select(g => g.Id)
            .ToListAsync(scope.Stop);
        store.GroupTeachers.AddRange(
            groups.Select(g => new GroupTeacher
            {
                SchoolId = school,
                GroupId = g,
                UserId = userId,
            })
        );
        scope.AuditAs(userId, "person-joined", userId);
        await scope.Save();
        await scope.Release();
    }
}
