namespace BoldLadder.Core.Teaching;

/// <summary>How a lesson ended.</summary>
public enum LessonOutcome
{
    Taught,

    /// <summary>Stopped at an activity; what is new counts as taught if Teach was done.</summary>
    Stopped,
    NotTaught,
}
