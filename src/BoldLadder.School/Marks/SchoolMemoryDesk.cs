using BoldLadder.Core.Ladders;
using BoldLadder.Core.Revisit;
using BoldLadder.School.Children;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Marks;

/// <summary>What the school's children hold of what was taught, for the lead.</summary>
/// <param name="Failing">What one child in four or more had wrong when it was last looked at; what fails in most
/// groups first.</param>
/// <param name="TopUps">Who needs more this week.</param>
public sealed record SchoolMemoryView(
    DateOnly Date,
    IReadOnlyList<GroupClimb> Groups,
    IReadOnlyList<FailingTarget> Failing,
    IReadOnlyList<TopUp> TopUps
);

/// <param name="Children">How many there are, and of how many something was marked.</param>
/// <param name="Rungs">What was taught, in the ladder's order.</param>
/// <param name="IsTooFast">True where half of what was taught last and looked at is not held.</param>
public sealed record GroupClimb(
    Guid Id,
    string Name,
    int Children,
    int Marked,
    IReadOnlyList<RungHeld> Rungs,
    bool IsTooFast
);

/// <param name="Seen">Of how many children something was seen there.</param>
/// <param name="Held">How many of those had all of it right when it was last looked at.</param>
public sealed record RungHeld(string Id, string Label, int Seen, int Held)
{
    /// <summary>True where something was seen of it, and fewer than three in four have it.</summary>
    public bool IsLost => Seen > 0 && Held * 4 < Seen * 3;
}

/// <param name="Children">How many had it wrong last, of how many who were looked at.</param>
public sealed record FailingTarget(string Target, int Children, int Of, IReadOnlyList<string> Groups);

/// <param name="MissedTeaching">What was taught while the child was away, in the last two weeks.</param>
/// <param name="NotHeld">What was wrong in the last two weeks and does not hold.</param>
public sealed record TopUp(Guid Id, string Name, string Group, Guid GroupId, int MissedTeaching, int NotHeld);

/// <summary>
/// The school for the lead: where teaching goes faster than learning, what fails across classes, who needs more this
/// week. Source: docs/handbook.md, section 7 (Catch-up).
/// </summary>
public sealed class SchoolMemoryDesk(SchoolScope scope, Places places, GroupDays groupDays, CatchUps catchUps)
{
    private const int Latest = 10;
    private const int FewestSeen = 4;
    private const int MostFailing = 12;

    /// <summary>It fails where one in so many had it wrong when it was last looked at.</summary>
    private const int FailsFrom = 4;
    private const int MostTopUps = 20;
    private const int Much = 4;
    private const int MuchMissed = 2;

    public async Task<Answer<SchoolMemoryView>> Show()
    {
        if (!scope.Role.SeesAllGroups())
            return Refusal.NotAllowed("lead-only");
        var today = scope.Today;
        var there = await places.OfAll(today);
        var names = await scope.Store.Children.ToDictionaryAsync(c => c.ChildId, c => c.Name, scope.Stop);
        var memories = (await scope.Store.Memories.AsNoTracking().ToListAsync(scope.Stop))
            .Where(m => there.ContainsKey(m.ChildId))
            .ToLookup(m => there[m.ChildId].GroupId);
        var groups = await scope.Groups.AsNoTracking().OrderBy(g => g.Name).ToListAsync(scope.Stop);
        var states = await groupDays.States(groups);
        var held = await catchUps.Lately(there.Keys);
        var climbs = new List<GroupClimb>();
        var failing = new Dictionary<string, (int Not, int Of, List<string> Groups)>(StringComparer.Ordinal);
        var topUps = new List<TopUp>();
        foreach (var state in states)
        {
            var group = state.Group;
            var children = there.Where(p => p.Value.GroupId == group.Id).Select(p => p.Key).ToHashSet();
            var known = memories[group.Id]
                .GroupBy(m => m.ChildId)
                .ToDictionary(g => g.Key, g => g.GroupBy(m => m.Target).ToDictionary(t => t.Key, Held));
            climbs.Add(Climb(state, children.Count, known));
            Count(failing, group.Name, known);
            var ofChild = memories[group.Id].ToLookup(m => m.ChildId);
            topUps.AddRange(children.Select(c => Needs(c, names[c], group, ofChild[c], held[c])).OfType<TopUp>());
        }
        return new SchoolMemoryView(
            today,
            climbs,
            [
                .. failing
                    .Where(f => f.Value.Of >= FewestSeen && f.Value.Not * FailsFrom >= f.Value.Of)
                    .OrderByDescending(f => f.Value.Groups.Count)
                    .ThenByDescending(f => f.Value.Not)
                    .ThenBy(f => f.Key, StringComparer.Ordinal)
                    .Take(MostFailing)
                    .Select(f => new FailingTarget(f.Key, f.Value.Not, f.Value.Of, f.Value.Groups)),
            ],
            [
                .. topUps
                    .OrderByDescending(t => t.MissedTeaching + t.NotHeld)
                    .ThenBy(t => t.Name, StringComparer.OrdinalIgnoreCase)
                    .Take(MostTopUps),
            ]
        );
    }

    /// <summary>
    /// Whether a child had a target right when it was last looked at, in reading and in spelling; null where the child
    /// itself never did anything with it.
    /// </summary>
    private static bool? Held(IEnumerable<StoredMemory> memories)
    {
        var own = memories.Where(m => m.Document.IsOwn).Select(m => m.Document.Settled()).ToList();
        return own.Count == 0 ? null : own.TrueForAll(m => m.LastMiss is null || m.RightSince > 0);
    }

    private static GroupClimb Climb(GroupState state, int children, Dictionary<Guid, Dictionary<string, bool?>> known)
    {
        var rungs = state
            .Ladder.Rungs.Except(state.Days.Progress.Remaining)
            .Where(r => !r.Correspondences.IsEmpty)
            .Select(r => Of(r, known.Values))
            .ToList();
        var looked = rungs.Where(r => r.Seen > 0).TakeLast(Latest).ToList();
        return new GroupClimb(
            Id: state.Group.Id,
            Name: state.Group.Name,
            Children: children,
            Marked: known.Values.Count(c => c.Values.Any(h => h is not null)),
            Rungs: rungs,
            IsTooFast: looked.Count >= FewestSeen && looked.Count(r => r.IsLost) * 2 >= looked.Count
        );
    }

    private static RungHeld Of(Rung rung, IEnumerable<Dictionary<string, bool?>> children)
    {
        var targets = rung.Correspondences.Select(c => MemoryTarget.Of(c).ToString()).Distinct().ToList();
        var seen = children
            .Select(c => targets.Select(t => c.GetValueOrDefault(t)).OfType<bool>().ToList())
            .Where(c => c.Count > 0)
            .ToList();
        return new RungHeld(rung.Id, rung.Label, seen.Count, seen.Count(c => c.TrueForAll(h => h)));
    }

    private static void Count(
        Dictionary<string, (int Not, int Of, List<string> Groups)> failing,
        string group,
        Dictionary<Guid, Dictionary<string, bool?>> known
    )
    {
        foreach (var target in known.Values.SelectMany(c => c).ToLookup(t => t.Key, t => t.Value))
        {
            var (not, of) = (target.Count(h => h == false), target.Count(h => h is not null));
            if (of == 0)
                continue;
            var all = failing.GetValueOrDefault(target.Key, (0, 0, []));
            if (not * FailsFrom >= of)
                all.Groups.Add(group);
            failing[target.Key] = (all.Not + not, all.Of + of, all.Groups);
        }
    }

    private TopUp? Needs(
        Guid child,
        string name,
        Group group,
        IEnumerable<StoredMemory> memories,
        IEnumerable<(MemoryTarget Target, DateOnly Day)> held
    )
    {
        var needs = catchUps.Needs(GroupMemories.Weakest(memories, scope.Today), held);
        var (missed, weak) = (needs.Missed.Length, needs.Weak.Length);
        return missed >= MuchMissed || missed + weak >= Much
            ? new TopUp(child, name, group.Name, group.Id, missed, weak)
            : null;
    }
}
