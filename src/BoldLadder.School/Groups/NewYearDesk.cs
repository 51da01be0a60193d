using BoldLadder.School.Children;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Groups;

/// <summary>A group at the turn of the year.</summary>
/// <param name="Name">What it is called from now on; one that ends keeps its name.</param>
/// <param name="GoesOn">True to go on where it stands, with its children; false to end.</param>
/// <param name="People">Who takes it from now on.</param>
/// <param name="ChildrenTo">For one that ends, the group that its children go to; null for none.</param>
public sealed record YearGroup(Guid Id, string Name, bool GoesOn, IReadOnlyList<GroupTaker> People, Guid? ChildrenTo);

public sealed record NewYearRequest(IReadOnlyList<YearGroup> Groups);

/// <summary>
/// A new year for all groups at once: they go on where they stand, under other names and with other people, or end and
/// stay readable. Leads only.
/// </summary>
public sealed class NewYearDesk(SchoolScope scope, GroupsDesk making, GroupDesk groups, Places places)
{
    public async Task<Answer<List<GroupView>>> Begin(NewYearRequest wanted)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        await scope.LockSettings();
        var going = await scope.Groups.ToDictionaryAsync(g => g.Id, scope.Stop);
        var said = wanted.Groups.DistinctBy(g => g.Id).ToList();
        if (said.Exists(g => !going.ContainsKey(g.Id)))
            return Refused.UnknownGroup;
        var staying = going.Keys.Except(said.Where(g => !g.GoesOn).Select(g => g.Id)).ToHashSet();
        if (said.Exists(g => !g.GoesOn && g.ChildrenTo is { } to && !staying.Contains(to)))
            return Refusal.Unusable("children-to-ended");
        if (said.Exists(g => g.GoesOn && !Refused.IsName(g.Name)))
            return Refused.BadName;
        var names = said.Where(g => g.GoesOn).ToDictionary(g => g.Id, g => g.Name.Trim());
        if (Doubled(staying.Select(id => names.GetValueOrDefault(id) ?? going[id].Name)) is { } doubled)
            return Refusal.Conflict("name-taken", ("name", doubled)).About("group");
        foreach (var group in said.Where(g => !g.GoesOn).Select(g => going[g.Id]))
            group.EndedOn = scope.Today;
        // Names may go round among groups: each is free before another one takes it.
        foreach (var id in names.Keys)
            going[id].Name = $"{id}";
        await scope.Save();
        foreach (var (id, name) in names)
            going[id].Name = name;
        foreach (var group in said.Where(g => g.GoesOn))
        {
            if (await making.Give(group.Id, group.People) is { } stranger)
                return stranger;
        }
        foreach (var group in said.Where(g => !g.GoesOn))
            await places.Empty(group.Id, group.ChildrenTo);
        scope.Audit("year-begun", scope.School.SchoolId);
        await scope.Save();
        return await groups.List();
    }

    private static string? Doubled(IEnumerable<string> names) =>
        names.GroupBy(n => n, StringComparer.Ordinal).FirstOrDefault(g => g.Count() > 1)?.Key;
}
