using BoldLadder.School.Work;
using BoldLadder.Web.Setup;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>What is kept is bounded, made once, and never of another state.</summary>
public sealed class WorkCacheTests : IDisposable
{
    private readonly WorkCache cache = new(megabytes: 1);

    public void Dispose() => cache.Dispose();

    [Fact]
    public async Task Many_who_ask_at_once_get_one_answer_that_was_made_once()
    {
        var made = 0;
        var answers = await Task.WhenAll(
            Enumerable.Range(0, 32).Select(_ => Task.Run(() => cache.Of("a", 1, () => Interlocked.Increment(ref made))))
        );
        Assert.Equal((1, 1), (made, answers.Distinct().Count()));
    }

    [Fact]
    public void What_could_not_be_made_is_tried_again()
    {
        Assert.Throws<InvalidOperationException>(() =>
            cache.Of<int>("a", 1, () => throw new InvalidOperationException())
        );
        Assert.Equal(2, cache.Of("a", 1, () => 2));
    }

    [Fact]
    public void Of_a_key_only_the_newest_state_is_kept()
    {
        Assert.Equal(1, cache.Newest("school", "one", 1, () => 1));
        Assert.Equal(1, cache.Newest("school", "one", 1, () => 2));
        Assert.Equal(3, cache.Newest("school", "two", 1, () => 3));
        Assert.Equal(4, cache.Newest("school", "one", 1, () => 4));
    }

    [Fact]
    public void What_does_not_fit_is_answered_and_not_kept()
    {
        Assert.Equal(1, cache.Of("large", 2000, () => 1));
        Assert.Equal(2, cache.Of("large", 2000, () => 2));
    }
}
