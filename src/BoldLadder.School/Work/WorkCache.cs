using Microsoft.Extensions.Caching.Memory;

namespace BoldLadder.School.Work;

/// <summary>
/// What is worked out once and kept while it is asked for. It has a size, and one maker at a time for each key. A key
/// names what the answer depends on, by content, or begins with the school: an id that a client made is never enough.
/// </summary>
/// <param name="megabytes">How much is kept.</param>
public sealed class WorkCache(int megabytes = WorkCache.UsualMegabytes) : IDisposable
{
    public const int UsualMegabytes = 512;

    private static readonly TimeSpan Unused = TimeSpan.FromHours(1);
    private readonly Lock turn = new();
    private readonly MemoryCache cache = new(new MemoryCacheOptions { SizeLimit = megabytes * 1024L });

    /// <summary>The value of a key, made by whoever asks first.</summary>
    /// <param name="kilobytes">Roughly what it weighs.</param>
    public T Of<T>(object key, int kilobytes, Func<T> make)
    {
        Lazy<T> kept;
        // Only the promise is made under the lock; whoever needs it first keeps it, outside.
        lock (turn)
        {
            kept = cache.GetOrCreate(key, entry =>
            {
                (entry.SlidingExpiration, entry.Size) = (Unused, kilobytes);
                return new Lazy<T>(make);
            })!;
        }
        try
        {
            return kept.Value;
        }
        catch
        {
            // What could not be made is tried again by the next who asks.
            cache.Remove(key);
            throw;
        }
    }

    /// <summary>The newest value of a key, when it was made for this state; null when there is none.</summary>
    public T? Find<T>(object key, string state)
        where T : class
    {
        (string State, Lazy<T> Value) kept;
        lock (turn)
            if (!cache.TryGetValue(key, out kept) || kept.State != state)
                return null;
        return kept.Value.Value;
    }

    /// <summary>The newest value of a key only: one made for another state gives way.</summary>
    public T Newest<T>(object key, string state, int kilobytes, Func<T> make)
    {
        (string State, Lazy<T> Value) kept;
        lock (turn)
        {
            if (!cache.TryGetValue(key, out kept) || kept.State != state)
            {
                kept = (state, new Lazy<T>(make));
                cache.Set(key, kept, new MemoryCacheEntryOptions { SlidingExpiration = Unused, Size = kilobytes });
            }
        }
        return kept.Value.Value;
    }

    public void Dispose() => cache.Dispose();
}
