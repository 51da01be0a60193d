namespace BoldLadder.School.Work;

/// <summary>
/// Computation that takes a second or more of a core: few at once, and never on all cores, so that one person's
/// analyses leave room for everyone's lessons.
/// </summary>
public sealed class HeavyWork : IDisposable
{
    private readonly SemaphoreSlim room = new(1);

    /// <summary>Cores that one piece of heavy work may use: one is left for everybody else.</summary>
    public static int SideBySide => Math.Max(1, Environment.ProcessorCount - 1);

    /// <exception cref="OperationCanceledException">Whoever asked has gone.</exception>
    public async Task<T> Run<T>(Func<T> work, CancellationToken stop)
    {
        await room.WaitAsync(stop);
        try
        {
            return await Task.Run(work, stop);
        }
        finally
        {
            room.Release();
        }
    }

    public void Dispose() => room.Dispose();
}
