namespace BoldLadder.Core.Simulation;

/// <summary>By what a virtual class's Revisit and share of Practise are chosen.</summary>
public enum RevisitPolicy
{
    /// <summary>Drawn each day.</summary>
    Random,

    /// <summary>What was taught last.</summary>
    NewestOnly,

    /// <summary>All in turn.</summary>
    FixedRound,

    /// <summary>Boxes that are looked into every day, second, fourth, eighth and sixteenth; right goes on a box, wrong
    /// goes back to the first.</summary>
    Boxes,

    /// <summary>The memory of each child, weighed over the group.</summary>
    Ours,
}
