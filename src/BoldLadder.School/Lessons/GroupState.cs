using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Teaching;
using BoldLadder.Store;

namespace BoldLadder.School.Lessons;

/// <summary>A group with what its days follow from, read and worked out once.</summary>
public sealed record GroupState(Group Group, Ladder Ladder, SchoolCalendar Calendar, Standing Standing, DaysAhead Days)
{
    /// <summary>A day after all that are closed.</summary>
    public GroupDay On(DateOnly date) => new(Group, Days.On(date));

    /// <summary>
    /// True for a day after all that are closed. Where a clock or a zone was put back, even today may not be.
    /// </summary>
    public bool IsAhead(DateOnly date) => !(Standing.Last >= date);
}

/// <summary>A group's day, with the group.</summary>
public sealed record GroupDay(Group Group, TeachingDay Day) : TeachingDay(Day);
