namespace BoldLadder.School.Jobs;

/// <summary>Has jobs run, here or in another process, and again after a process was killed.</summary>
public interface IJobQueue
{
    /// <summary>Puts a job that is kept in the line; one that is in it already stays where it is.</summary>
    Task Put(Guid schoolId, Guid jobId);
}
