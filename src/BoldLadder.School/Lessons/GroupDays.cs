using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Schools;
using BoldLadder.Store;

namespace BoldLadder.School.Lessons;

/// <summary>What days bring to groups, with what the store knows of them.</summary>
public sealed class GroupDays(SchoolScope scope, Standings standings)
{
    public async Task<GroupDay> Day(Group group, DateOnly date) => await DayAt((await States([group]))[0], date);

    /// <summary>Any day: one that lies before others that are closed already is seen as it was then.</summary>
    public async Task<GroupDay> DayAt(GroupState state, DateOnly date) =>
        (
            state.IsAhead(date)
                ? state
                : State(
                    state.Group,
                    state.Ladder,
                    state.Calendar,
                    (await standings.Before(state.Group.Id, date)) with
                    {
                        Closed = state.Standing.Closed,
                    }
                )
        ).On(date);

    /// <summary>Groups with what their days follow from, in as many queries for many as for one.</summary>
    public async Task<IReadOnlyList<GroupState>> States(IReadOnlyCollection<Group> groups)
    {
        var ladders = await scope.Ladders(groups.Select(g => (g.LadderId, g.LadderVersion)).Distinct());
        var standing = await standings.Of([.. groups.Select(g => g.Id)]);
        var states = new List<GroupState>();
        foreach (var group in groups)
            states.Add(
                State(
                    group,
                    ladders[(group.LadderId, group.LadderVersion)],
                    await scope.Calendar(group),
                    standing[group.Id]
                )
            );
        return states;
    }

    /// <summary>A group as it would be on a ladder: its own, or a draft of it.</summary>
    public GroupState State(Group group, Ladder ladder, SchoolCalendar calendar, Standing standing) =>
        new(
            group,
            ladder,
            calendar,
            standing,
            new DaysAhead(ladder, calendar, standing, standing.FirstOpen(scope.Today), scope.Way, scope.Words.Lexicon)
        );
}
