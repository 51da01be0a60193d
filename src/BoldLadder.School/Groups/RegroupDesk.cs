using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.School.Children;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Groups;

/// <param name="NextRung">The rung it comes to next; null to stand as its log says.</param>
public sealed record MoveGroupRequest(Guid LadderId, int Version, string? NextRung = null);

/// <summary>What moving a group would change.</summary>
/// <param name="Before">What it comes to next now, and <paramref name="After"/> then; null for nothing more.</param>
/// <param name="Skipped">Labels of rungs that were not taught and would count as taught.</param>
/// <param name="Again">Labels of rungs that were taught and would come again.</param>
/// <param name="Beside">What was taught and is not on the ladder: it stays taught.</param>
/// <param name="RungsLeft">How many rungs are to come.</param>
/// <param name="LastDay">The day of the last of them; null where the calendar has too few days.</param>
/// <param name="Planned">Lessons planned from today on; they say themselves what of them fits no more.</param>
public sealed record GroupMoveView(
    string? Before,
    string? After,
    IReadOnlyList<string> Skipped,
    IReadOnlyList<string> Again,
    IReadOnlyList<string> Beside,
    int RungsLeft,
    DateOnly? LastDay,
    int Planned
);

/// <summary>Some children of a group become one of their own, which stands where theirs stands.</summary>
/// <param name="Id">Of the new group.</param>
public sealed record SplitRequest(Guid Id, string Name, IReadOnlyList<GroupTaker> People, IReadOnlyList<Guid> Children);

/// <summary>What two groups have been taught apart from each other.</summary>
/// <param name="OnlyHere">Labels of what the group was taught that ends, and <paramref name="OnlyThere"/> of what the
/// one was that goes on: its new children have not met it.</param>
public sealed record MergeView(int Children, IReadOnlyList<string> OnlyHere, IReadOnlyList<string> OnlyThere);

/// <summary>Moves, splits and merges groups; each shows first what it would change. Leads only.</summary>
public sealed class RegroupDesk(
    SchoolScope scope,
    GroupsDesk making,
    GroupDesk groups,
    GroupDays days,
    GroupPlaces standing,
    Places places
)
{
    public async Task<Answer<GroupMoveView>> LookAtMove(Guid groupId, MoveGroupRequest wanted)
    {
        var found = await Find(groupId, wanted);
        if (found.Refusal is { } refused)
            return refused;
        var (group, ladder) = found.Value;
        var change = await standing.At(group, ladder, wanted.NextRung);
        var now = (await days.States([group]))[0];
        var then = days.State(group, ladder, now.Calendar, change.Standing);
        var onLadder = ladder.Rungs.SelectMany(r => r.Correspondences).Select(c => c.Notation).ToHashSet();
        return new GroupMoveView(
            Before: Next(now),
            After: Next(then),
            Skipped: [.. change.Skipped.Select(r => r.Label)],
            Again: [.. change.Again.Select(r => r.Label)],
            Beside:
            [
                .. change
                    .Standing.Taught.Select(t => Correspondence.Parse(t.What))
                    .Where(c => !onLadder.Contains(c.Notation))
                    .Select(c => c.Grapheme.Text)
                    .Distinct(),
            ],
            RungsLeft: then.Days.Progress.Remaining.Length,
            LastDay: then.Days.Fit.Rungs is { IsEmpty: false } fit ? fit[^1].Date : null,
            Planned: await scope.DailyLessons.CountAsync(
                l => l.GroupId == groupId && l.Date >= scope.Today && l.Status == LessonStatus.Planned,
                scope.Stop
            )
        );

        static string? Next(GroupState state) => state.Days.Progress.Remaining.FirstOrDefault()?.Label;
    }

    /// <param name="seen">The version of its ladder that was seen.</param>
    public async Task<Answer<Done>> Move(Guid groupId, MoveGroupRequest wanted, string? seen)
    {
        await scope.Lock(groupId);
        var found = await Find(groupId, wanted);
        if (found.Refusal is { } refused)
            return refused;
        var (group, ladder) = found.Value;
        if (Stamps.Number(seen) is not { } version)
            return Refused.VersionMissing;
        if (version != group.LadderVersion)
            return Refusal
                .Conflict("changed-meanwhile", ("group", group.Name), ("version", group.LadderVersion))
                .About("group");
        var change = await standing.At(group, ladder, wanted.NextRung);
        (group.LadderId, group.LadderVersion) = (wanted.LadderId, wanted.Version);
        scope.Audit("group-moved", groupId);
        await scope.Save();
        if (change.Lines.Count > 0)
            await standing.Put(group, change);
        return Done.It;
    }

    public async Task<Answer<List<GroupView>>> Split(Guid groupId, SplitRequest wanted)
    {
        if (await scope.Groups.SingleOrDefaultAsync(g => g.Id == groupId, scope.Stop) is not { } group)
            return Refused.UnknownGroup;
        if (scope.LeadOnly() is { } refused)
            return refused;
        var made = await making.MakeLike(group, wanted.Id, wanted.Name, wanted.People);
        if (made.Refusal is { } refusal)
            return refusal;
        if (made.Value is { } split)
        {
            await standing.Copy(groupId, split);
            await places.Empty(groupId, split.Id, wanted.Children.ToHashSet());
            scope.Audit("group-split", groupId);
            await scope.Save();
        }
        return await groups.List();
    }

    public async Task<Answer<MergeView>> LookAtMerge(Guid groupId, Guid into)
    {
        var found = await Two(groupId, into);
        if (found.Refusal is { } refused)
            return refused;
        var states = await days.States([found.Value.From, found.Value.Into]);
        var (here, there) = (Labels(states[0]), Labels(states[1]));
        return new MergeView(
            await places.On(scope.Today).CountAsync(p => p.GroupId == groupId, scope.Stop),
            [.. here.Except(there)],
            [.. there.Except(here)]
        );

        static List<string> Labels(GroupState state) =>
            [.. state.Standing.Taught.Select(t => Correspondence.Parse(t.What).Grapheme.Text).Distinct()];
    }

    /// <summary>The children of a group go to another, from today, and the group ends.</summary>
    public async Task<Answer<List<GroupView>>> Merge(Guid groupId, Guid into)
    {
        await scope.LockSettings();
        var found = await Two(groupId, into);
        if (found.Refusal is { } refused)
            return refused;
        await places.Empty(groupId, into);
        found.Value.From.EndedOn = scope.Today;
        scope.Audit("group-merged", groupId);
        await scope.Save();
        return await groups.List();
    }

    private async Task<Answer<(Group From, Group Into)>> Two(Guid groupId, Guid into)
    {
        var found = await scope.Groups.Where(g => g.Id == groupId || g.Id == into).ToListAsync(scope.Stop);
        if (found.Find(g => g.Id == groupId) is not { } from || found.Find(g => g.Id == into) is not { } to)
            return Refused.UnknownGroup;
        if (scope.LeadOnly() is { } refused)
            return refused;
        return from == to ? Refusal.Unusable("same-group") : (from, to);
    }

    private async Task<Answer<(Group Group, Ladder Ladder)>> Find(Guid groupId, MoveGroupRequest wanted)
    {
        if (await scope.Groups.SingleOrDefaultAsync(g => g.Id == groupId, scope.Stop) is not { } group)
            return Refused.UnknownGroup;
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (await scope.Ladder(wanted.LadderId, wanted.Version) is not { } ladder)
            return Refused.UnknownLadder;
        return wanted.NextRung is { } next && ladder.IndexOf(next) < 0 ? Refused.UnknownRung : (group, ladder);
    }
}
