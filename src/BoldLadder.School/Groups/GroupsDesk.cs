using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Groups;

/// <summary>A new group.</summary>
/// <param name="NextRung">The rung it comes to next: those below count as taught. Null for the first.</param>
/// <param name="LessonDays">Its weekdays, 1 for Monday; null for the school's.</param>
/// <param name="People">Who takes it.</param>
public sealed record NewGroup(
    Guid Id,
    string Name,
    Guid LadderId,
    string? NextRung,
    int LessonMinutes,
    IReadOnlyList<int>? LessonDays,
    IReadOnlyList<Guid> People
);

/// <summary>What a group is called and who takes it.</summary>
public sealed record GroupChange(string Name, IReadOnlyList<Guid> People);

/// <summary>Makes groups, names them, gives them to people, ends them. Leads only.</summary>
public sealed class GroupsDesk(SchoolScope scope, GroupDesk groups)
{
    private const int MostGroups = 200;

    public async Task<Answer<List<GroupView>>> Make(NewGroup wanted)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (await WrongName(wanted.Id, wanted.Name) is { } unnamed)
            return unnamed;
        if (!Pace.Lengths.Contains(wanted.LessonMinutes))
            return Refusal
                .Unusable("bad-length", ("group", wanted.Name), ("lengths", string.Join(", ", Pace.Lengths)))
                .About("group");
        if (wanted.LessonDays is { } days && !CalendarCheck.AreLessonDays([.. days]))
            return Refusal.Unusable("no-lesson-day", ("group", wanted.Name)).About("group");
        await scope.LockSettings();
        var store = scope.Store;
        if (await store.Groups.AnyAsync(g => g.Id == wanted.Id, scope.Stop))
            // Sent twice, it is made once.
            return await groups.List();
        if (await store.Groups.CountAsync(scope.Stop) >= MostGroups)
            return Refusal.Conflict("too-many-groups", ("most", MostGroups));
        var versions = store.LadderVersions.Where(v => v.LadderId == wanted.LadderId);
        if (await versions.MaxAsync(v => (int?)v.Version, scope.Stop) is not { } version)
            return await store.Ladders.AnyAsync(l => l.Id == wanted.LadderId, scope.Stop)
                ? Refusal.Conflict("not-published")
                : Refused.UnknownLadder;
        var ladder = (await scope.Ladder(wanted.LadderId, version))!;
        var behind = wanted.NextRung is null ? 0 : ladder.IndexOf(wanted.NextRung);
        if (behind < 0)
            return Refused.UnknownRung;
        var group = new Group
        {
            SchoolId = scope.School.SchoolId,
            Id = wanted.Id,
            Name = wanted.Name.Trim(),
            LadderId = wanted.LadderId,
            LadderVersion = version,
            LessonMinutes = wanted.LessonMinutes,
            LessonDays = wanted.LessonDays is { } own ? [.. own.Distinct().Order()] : null,
        };
        store.Groups.Add(group);
        await scope.Save();
        if (await Give(group.Id, wanted.People) is { } stranger)
            return stranger;
        scope.Audit("group-made", group.Id);
        PutOn(group, ladder, behind);
        await scope.Save();
        return await groups.List();
    }

    public async Task<Answer<List<GroupView>>> Change(Guid groupId, GroupChange wanted)
    {
        await scope.LockSettings();
        if (await scope.Groups.SingleOrDefaultAsync(g => g.Id == groupId, scope.Stop) is not { } group)
            return Refused.UnknownGroup;
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (await WrongName(groupId, wanted.Name) is { } unnamed)
            return unnamed;
        group.Name = wanted.Name.Trim();
        if (await Give(groupId, wanted.People) is { } stranger)
            return stranger;
        scope.Audit("group-changed", groupId);
        await scope.Save();
        return await groups.List();
    }

    /// <summary>From today on it is no group any more; its lessons and its log stay.</summary>
    public async Task<Answer<List<GroupView>>> End(Guid groupId)
    {
        if (await scope.Groups.SingleOrDefaultAsync(g => g.Id == groupId, scope.Stop) is not { } group)
            return Refused.UnknownGroup;
        if (scope.LeadOnly() is { } refused)
            return refused;
        group.EndedOn = scope.Today;
        scope.Audit("group-ended", groupId);
        await scope.Save();
        return await groups.List();
    }

    private async Task<Refusal?> WrongName(Guid id, string name)
    {
        if (id == Guid.Empty)
            return Refusal.Unusable("id-missing").About("group");
        if (!Refused.IsName(name))
            return Refused.BadName;
        var plain = name.Trim();
        return await scope.Store.Groups.AnyAsync(g => g.Id != id && g.Name == plain, scope.Stop)
            ? Refusal.Conflict("name-taken", ("name", plain)).About("group")
            : null;
    }

    /// <summary>Gives the group to these people and no others of those who see only theirs.</summary>
    private async Task<Refusal?> Give(Guid groupId, IReadOnlyList<Guid> people)
    {
        var store = scope.Store;
        var wanted = people.ToHashSet();
        if (await store.Memberships.CountAsync(m => m.IsActive && people.Contains(m.UserId), scope.Stop) < wanted.Count)
            return Refusal.NotFound("unknown-person");
        var before = await store.GroupTeachers.Where(t => t.GroupId == groupId).ToListAsync(scope.Stop);
        store.GroupTeachers.RemoveRange(before.Where(t => !wanted.Contains(t.UserId)));
        store.GroupTeachers.AddRange(
            wanted
                .Except(before.Select(t => t.UserId))
                .Select(p => new GroupTeacher
                {
                    SchoolId = scope.School.SchoolId,
                    GroupId = groupId,
                    UserId = p,
                })
        );
        return null;
    }

    /// <summary>
    /// What a new group has behind it, as lines of its log: a rung a day until yesterday, since nobody knows the days.
    /// </summary>
    private void PutOn(Group group, Ladder ladder, int behind)
    {
        for (var i = 0; i < behind; i++)
        {
            var rung = ladder.Rungs[i];
            scope.Store.TeachingLog.Add(
                new TeachingLogEntry
                {
                    SchoolId = group.SchoolId,
                    Id = Guid.CreateVersion7(),
                    GroupId = group.Id,
                    Date = scope.Today.AddDays(i - behind),
                    RungId = rung.Id,
                    Outcome = LessonOutcome.Taught,
                    Correspondences = [.. rung.Correspondences.Select(c => c.Notation)],
                    Patterns = [.. rung.Patterns.Each().Select(p => p.Id())],
                    Tricky = [.. rung.Tricky],
                    Seen = [],
                    Words = [],
                    RecordedAt = scope.UtcNow,
                    RecordedBy = scope.UserId,
                }
            );
        }
    }
}
