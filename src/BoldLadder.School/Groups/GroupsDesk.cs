using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.School.Children;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Groups;

/// <summary>A new group.</summary>
/// <param name="NextRung">The rung it comes to next: those below count as taught. Null for the first.</param>
/// <param name="LessonDays">Its weekdays, 1 for Monday; null for the school's.</param>
/// <param name="People">Who takes it.</param>
/// <param name="Known">Ids of rungs that it knows, wherever they stand; null for all below the next.</param>
public sealed record NewGroup(
    Guid Id,
    string Name,
    Guid LadderId,
    string? NextRung,
    int LessonMinutes,
    IReadOnlyList<int>? LessonDays,
    IReadOnlyList<GroupTaker> People,
    IReadOnlyList<string>? Known = null
);

/// <summary>Who takes a group, and when.</summary>
/// <param name="Weekdays">1 for Monday; null for every day.</param>
public sealed record GroupTaker(Guid Id, IReadOnlyList<int>? Weekdays);

/// <summary>What a group is called and who takes it.</summary>
public sealed record GroupChange(string Name, IReadOnlyList<GroupTaker> People);

/// <summary>Makes groups, names them, gives them to people, ends them. Leads only.</summary>
public sealed class GroupsDesk(SchoolScope scope, GroupDesk groups, GroupPlaces standing, Places places)
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
        var versions = scope.Store.LadderVersions.Where(v => v.LadderId == wanted.LadderId);
        if (await versions.MaxAsync(v => (int?)v.Version, scope.Stop) is not { } version)
            return await scope.Store.Ladders.AnyAsync(l => l.Id == wanted.LadderId, scope.Stop)
                ? Refusal.Conflict("not-published")
                : Refused.UnknownLadder;
        var ladder = (await scope.Ladder(wanted.LadderId, version))!;
        if (Behind(ladder, wanted) is not { } behind)
            return Refused.UnknownRung;
        var made = await Add(
            new Group
            {
                SchoolId = scope.School.SchoolId,
                Id = wanted.Id,
                Name = wanted.Name.Trim(),
                LadderId = wanted.LadderId,
                LadderVersion = version,
                LessonMinutes = wanted.LessonMinutes,
                LessonDays = wanted.LessonDays is { } own ? [.. own.Distinct().Order()] : null,
            },
            wanted.People
        );
        if (made.Refusal is { } refusal)
            return refusal;
        if (made.Value is { } group)
            await standing.Begin(group, behind);
        return await groups.List();
    }

    /// <summary>A group with the ladder and the pace of another; null where it was made before.</summary>
    internal async Task<Answer<Group?>> MakeLike(Group other, Guid id, string name, IReadOnlyList<GroupTaker> people) =>
        await WrongName(id, name) is { } unnamed
            ? unnamed
            : await Add(
                new Group
                {
                    SchoolId = other.SchoolId,
                    Id = id,
                    Name = name.Trim(),
                    LadderId = other.LadderId,
                    LadderVersion = other.LadderVersion,
                    LessonMinutes = other.LessonMinutes,
                    WeekdayMinutes = other.WeekdayMinutes,
                    LessonDays = other.LessonDays,
                    Avoid = other.Avoid,
                },
                people
            );

    /// <summary>The rungs that a new group has behind it; null when the ladder lacks one of them.</summary>
    private static List<Rung>? Behind(Ladder ladder, NewGroup wanted)
    {
        if (wanted.Known is { } known)
            return known.All(k => ladder.IndexOf(k) >= 0) ? [.. ladder.Rungs.Where(r => known.Contains(r.Id))] : null;
        var behind = wanted.NextRung is null ? 0 : ladder.IndexOf(wanted.NextRung);
        return behind < 0 ? null : [.. ladder.Rungs.Take(behind)];
    }

    /// <summary>Adds a group; null where it was made before: sent twice, it is made once.</summary>
    private async Task<Answer<Group?>> Add(Group group, IReadOnlyList<GroupTaker> people)
    {
        await scope.LockSettings();
        var store = scope.Store;
        if (await store.Groups.AnyAsync(g => g.Id == group.Id, scope.Stop))
            return (Group?)null;
        if (await scope.Groups.CountAsync(scope.Stop) >= MostGroups)
            return Refusal.Conflict("too-many-groups", ("most", MostGroups));
        store.Groups.Add(group);
        await scope.Save();
        if (await Give(group.Id, people) is { } stranger)
            return stranger;
        scope.Audit("group-made", group.Id);
        await scope.Save();
        return group;
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
        await places.Empty(groupId, null);
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
        return await scope.Groups.AnyAsync(g => g.Id != id && g.Name == plain, scope.Stop)
            ? Refusal.Conflict("name-taken", ("name", plain)).About("group")
            : null;
    }

    /// <summary>Gives the group to these people and no others of those who see only theirs.</summary>
    internal async Task<Refusal?> Give(Guid groupId, IReadOnlyList<GroupTaker> people)
    {
        var store = scope.Store;
        var wanted = people.DistinctBy(p => p.Id).ToDictionary(p => p.Id);
        if (people.Any(p => p.Weekdays is { } days && !CalendarCheck.AreLessonDays([.. days])))
            return Refusal.Unusable("no-taking-day");
        var ids = wanted.Keys.ToList();
        if (await store.Memberships.CountAsync(m => m.IsActive && ids.Contains(m.UserId), scope.Stop) < ids.Count)
            return Refusal.NotFound("unknown-person");
        var before = await store.GroupTeachers.Where(t => t.GroupId == groupId).ToListAsync(scope.Stop);
        store.GroupTeachers.RemoveRange(before.Where(t => !wanted.ContainsKey(t.UserId)));
        foreach (var kept in before.Where(t => wanted.ContainsKey(t.UserId)))
            kept.Weekdays = Days(wanted[kept.UserId]);
        store.GroupTeachers.AddRange(
            wanted
                .Values.Where(p => before.TrueForAll(t => t.UserId != p.Id))
                .Select(p => new GroupTeacher
                {
                    SchoolId = scope.School.SchoolId,
                    GroupId = groupId,
                    UserId = p.Id,
                    Weekdays = Days(p),
                })
        );
        return null;
    }

    private static int[]? Days(GroupTaker taker) => taker.Weekdays is { } days ? [.. days.Distinct().Order()] : null;
}
