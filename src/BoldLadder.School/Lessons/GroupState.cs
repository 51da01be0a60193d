using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Teaching;
using BoldLadder.Store;

namespace BoldLadder.School.Lessons;

/// <summary>A group with what its days follow from, read and worked out once.</summary>
public sealed record GroupState(Group Group, Ladder Ladder, SchoolCalendar Calendar, Standing Standing, DaysAhead Days);

/// <summary>A group's day, with the group.</summary>
public sealed record GroupDay(Group Group, TeachingDay Day) : TeachingDay(Day);
