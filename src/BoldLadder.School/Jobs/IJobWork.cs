using BoldLadder.School.Refusals;

namespace BoldLadder.School.Jobs;

/// <summary>
/// What a kind of job does. It runs in a unit of work of its maker's that is carried out whole or not at all; killed on
/// the way, it is begun again.
/// </summary>
public interface IJobWork
{
    /// <summary>The code of the kind: import-children.</summary>
    string Kind { get; }

    /// <param name="input">What it was given by whoever started it.</param>
    Task<Answer<JobResult>> Run(byte[] input, JobProgress progress);
}

/// <summary>What came of a job.</summary>
/// <param name="Count">How many things it did.</param>
/// <param name="File">A file that it made; null for none.</param>
public sealed record JobResult(int Count, byte[]? File = null, string? FileName = null);
