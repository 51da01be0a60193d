using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.People;

/// <summary>
/// Who belongs to the school, in which role, with which groups; links for new people and for forgotten passwords. Leads
/// only. Source: docs/handbook.md, section 1.
/// </summary>
public sealed class PeopleDesk(SchoolScope scope, ILetters letters)
{
    private const int MostDays = 30;
    private const int MostOpen = 200;
    private static readonly TimeSpan ResetLasts = TimeSpan.FromDays(1);

    public async Task<Answer<PeopleView>> Show()
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        var store = scope.Store;
        var given = (await store.GroupTeachers.AsNoTracking().ToListAsync(scope.Stop)).ToLookup(
            t => t.UserId,
            t => t.GroupId
        );
        var people = await store
            .Memberships.Join(
                store.Users,
                m => m.UserId,
                u => u.Id,
                (m, u) =>
                    new
                    {
                        m.UserId,
                        m.Role,
                        m.IsActive,
                        u.DisplayName,
                        u.Email,
                        u.TwoFactorEnabled,
                        SeenAt = store.UserSessions.Where(s => s.UserId == u.Id).Max(s => (DateTime?)s.SeenAt),
                    }
            )
            .OrderBy(p => p.DisplayName)
            .ToListAsync(scope.Stop);
        var now = scope.UtcNow;
        var open = await store
            .Invitations.Where(i => i.EndedAt == null && i.ExpiresAt > now)
            .OrderBy(i => i.MadeAt)
            .AsNoTracking()
            .ToListAsync(scope.Stop);
        return new PeopleView(
            [
                .. people.Select(p => new PersonView(
                    Id: p.UserId,
                    Name: p.DisplayName,
                    Email: p.Email,
                    Role: p.Role,
                    IsActive: p.IsActive,
                    Groups: [.. given[p.UserId]],
                    SeenAt: p.SeenAt,
                    HasSecondFactor: p.TwoFactorEnabled,
                    IsYou: p.UserId == scope.UserId
                )),
            ],
            [
                .. open.Select(i => new InvitationView(
                    Id: i.Id,
                    For: i.For,
                    Role: i.Role,
                    Groups: i.Groups,
                    MadeAt: i.MadeAt,
                    ExpiresAt: i.ExpiresAt
                )),
            ],
            letters.CanSend
        );
    }

    /// <summary>Changes what a person is here. There is always a lead who can get in.</summary>
    public async Task<Answer<PeopleView>> Change(Guid userId, PersonChange wanted)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        await scope.LockSettings();
        var store = scope.Store;
        if (await store.Memberships.SingleOrDefaultAsync(m => m.UserId == userId, scope.Stop) is not { } member)
            return UnknownPerson;
        if (await UnknownGroup(wanted.Groups))
            return Refused.UnknownGroup;
        var staysLead = wanted is { IsActive: true, Role: Role.Lead };
        if (
            member is { IsActive: true, Role: Role.Lead }
            && !staysLead
            && !await store.Memberships.AnyAsync(
                m => m.UserId != userId && m.IsActive && m.Role == Role.Lead,
                scope.Stop
            )
        )
            return Refusal.Conflict("last-lead");
        if (member.IsActive != wanted.IsActive)
            scope.Audit(wanted.IsActive ? "person-brought-back" : "person-let-go", userId);
        if (member.Role != wanted.Role)
            scope.Audit("role-changed", userId);
        (member.Role, member.IsActive) = (wanted.Role, wanted.IsActive);
        var before = await store.GroupTeachers.Where(t => t.UserId == userId).ToListAsync(scope.Stop);
        var groups = wanted.Groups.ToHashSet();
        if (!groups.SetEquals(before.Select(t => t.GroupId)))
            scope.Audit("groups-given", userId);
        store.GroupTeachers.RemoveRange(before.Where(t => !groups.Contains(t.GroupId)));
        store.GroupTeachers.AddRange(
            groups
                .Except(before.Select(t => t.GroupId))
                .Select(g => new GroupTeacher
                {
                    SchoolId = scope.School.SchoolId,
                    GroupId = g,
                    UserId = userId,
                })
        );
        await scope.Save();
        return await Show();
    }

    /// <summary>A link for somebody new; sent twice, it is made once, and only the first answer has its code.</summary>
    public async Task<Answer<LinkView>> Invite(NewInvitation wanted)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (!Refused.IsName(wanted.For))
            return Refused.BadName;
        if (wanted.Days is < 1 or > MostDays)
            return Refusal.Unusable("bad-expiry", ("most", MostDays));
        if (wanted.Id == Guid.Empty)
            return Refusal.Unusable("id-missing").About("invitation");
        if (wanted.MailTo is { } to && (!letters.CanSend || !letters.IsAddress(to)))
            return Refusal.Unusable("bad-mail-address");
        if (await UnknownGroup(wanted.Groups))
            return Refused.UnknownGroup;
        await scope.LockSettings();
        if (await scope.Store.Invitations.AnyAsync(i => i.Id == wanted.Id, scope.Stop))
            return Refusal.Conflict("id-taken").About("invitation");
        var now = scope.UtcNow;
        if (
            await scope.Store.Invitations.CountAsync(i => i.EndedAt == null && i.ExpiresAt > now, scope.Stop)
            >= MostOpen
        )
            return Refusal.Conflict("too-many-links", ("most", MostOpen));
        var code = OneTimeCode.Make();
        var expires = now.AddDays(wanted.Days);
        scope.Store.Invitations.Add(
            new Invitation
            {
                SchoolId = scope.School.SchoolId,
                Id = wanted.Id,
                For = wanted.For.Trim(),
                CodeHash = OneTimeCode.Hash(code),
                Role = wanted.Role,
                Groups = [.. wanted.Groups.Distinct()],
                MadeBy = scope.UserId,
                MadeAt = now,
                ExpiresAt = expires,
            }
        );
        scope.Audit("person-invited", wanted.Id);
        await scope.Save();
        return await Given(
            new LinkView(OneTimeCode.Key(scope.School.SchoolId, code), expires),
            LetterKind.Invitation,
            wanted.MailTo
        );
    }

    /// <summary>The link, sent by mail where it should be: once what was done is kept, so that it opens.</summary>
    private async Task<LinkView> Given(LinkView link, LetterKind kind, string? to)
    {
        if (to is null)
            return link;
        var letter = new Letter(
            Kind: kind,
            To: to,
            SchoolName: scope.School.Name,
            Language: scope.School.Language,
            Path: (kind == LetterKind.Invitation ? "/join#" : "/reset#") + link.Key,
            ExpiresAt: link.ExpiresAt,
            Zone: TimeZoneInfo.FindSystemTimeZoneById(scope.School.TimeZone)
        );
        await scope.Release();
        return link with { Mailed = letters.IsAddress(to) && await letters.Send(letter, scope.Stop) };
    }

    public async Task<Answer<Done>> TakeBack(Guid invitationId)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (await scope.Store.Invitations.SingleOrDefaultAsync(i => i.Id == invitationId, scope.Stop) is not { } link)
            return UnknownLink;
        link.EndedAt ??= scope.UtcNow;
        scope.Audit("invitation-taken-back", invitationId);
        await scope.Save();
        return Done.It;
    }

    /// <summary>
    /// A link by which a person of this school chooses another password. Not for who belongs to another school besides:
    /// it would open that one too.
    /// </summary>
    public async Task<Answer<LinkView>> ResetPassword(Guid userId, bool byMail = false)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        var store = scope.Store;
        if (
            !await store.Memberships.AnyAsync(m => m.UserId == userId && m.IsActive, scope.Stop)
            || await store.Users.SingleOrDefaultAsync(u => u.Id == userId, scope.Stop) is not { } user
        )
            return UnknownPerson;
        if (await BelongsElsewhere(userId))
            return Refusal.Conflict("belongs-elsewhere");
        var now = scope.UtcNow;
        foreach (
            var older in await store
                .PasswordResets.Where(r => r.UserId == userId && r.EndedAt == null)
                .ToListAsync(scope.Stop)
        )
            older.EndedAt = now;
        var code = OneTimeCode.Make();
        store.PasswordResets.Add(
            new PasswordReset
            {
                Id = Guid.CreateVersion7(),
                UserId = userId,
                CodeHash = OneTimeCode.Hash(code),
                MadeBy = scope.UserId,
                ExpiresAt = now + ResetLasts,
            }
        );
        scope.Audit("reset-link-made", userId);
        await scope.Save();
        return await Given(new LinkView(code, now + ResetLasts), LetterKind.PasswordReset, byMail ? user.Email : null);
    }

    /// <summary>The rows of who asks show all their schools: those of another person are asked for as theirs.</summary>
    private async Task<bool> BelongsElsewhere(Guid userId)
    {
        var (own, school) = (scope.UserId, scope.School.SchoolId);
        scope.Store.EnterSchool(userId, school);
        var elsewhere = await scope
            .Store.Memberships.IgnoreQueryFilters()
            .AnyAsync(m => m.UserId == userId && m.SchoolId != school, scope.Stop);
        scope.Store.EnterSchool(own, school);
        return elsewhere;
    }

    private async Task<bool> UnknownGroup(IReadOnlyList<Guid> groups) =>
        groups.Distinct().Count() is var wanted
        && await scope.Store.Groups.CountAsync(g => groups.Contains(g.Id), scope.Stop) < wanted;

    private static readonly Refusal UnknownPerson = Refusal.NotFound("unknown-person");
    private static readonly Refusal UnknownLink = Refusal.NotFound("unknown-link");
}
