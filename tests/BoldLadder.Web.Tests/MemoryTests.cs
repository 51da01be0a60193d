using BoldLadder.Core.Words;
using BoldLadder.School.Words;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Tests that measure the process: nothing else may run beside them.</summary>
[CollectionDefinition(Name, DisableParallelization = true)]
public sealed class Alone
{
    public const string Name = "alone";
}

[Collection(Alone.Name)]
public sealed class MemoryTests : IAsyncLifetime
{
    private TestSchool school = null!;

    public async Task InitializeAsync() => school = await TestSchool.Open();

    public async Task DisposeAsync() => await school.DisposeAsync();

    [Fact]
    public async Task Verdicts_on_words_leave_memory_where_it_was()
    {
        const int warm = 6;
        var measured = Environment.GetEnvironmentVariable("BOLD_DEEP") == "1" ? 500 : 24;
        var lead = await school.As("lead");
        var api = $"/api/schools/{school.School}";
        var words = new List<string>();
        foreach (var letter in "abcdefghilmnoprstuw")
            words.AddRange(
                (
                    await lead.Get<WordsView>(
                        $"{api}/words?ladderId={school.Ladder}&version=1&letters={letter}&known=true"
                    )
                ).Words.Select(w => w.Word)
            );
        words = [.. words.Distinct()];
        Assert.True(words.Count >= warm + measured);
        var unsaid = (await lead.Get<WordView>($"{api}/words/{words[0]}")).Stamp;
        await lead.Open(school.Otters, TestSchool.Today);

        await Verdicts(0, warm);
        var before = GC.GetTotalMemory(forceFullCollection: true);
        await Verdicts(warm, measured);
        var grown = (GC.GetTotalMemory(forceFullCollection: true) - before) / (1024 * 1024);
        // While each verdict kept a layer of its own, it was nine megabytes for each.
        Assert.True(grown < 30, $"{measured} verdicts keep {grown} MB.");

        async Task Verdicts(int from, int count)
        {
            foreach (var word in words.Skip(from).Take(count))
            {
                await TestClient.Read<SchoolWordView>(
                    await lead.Send(
                        HttpMethod.Put,
                        $"{api}/words/{word}/verdict",
                        new SchoolWordRequest(SchoolVerdict.Ban, "Not ours."),
                        stamp: unsaid
                    )
                );
                (
                    await lead.Send(HttpMethod.Get, lead.Lesson(school.Otters, TestSchool.Today))
                ).EnsureSuccessStatusCode();
            }
        }
    }
}
