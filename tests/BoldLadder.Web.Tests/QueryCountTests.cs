using System.Diagnostics;
using System.IO.Compression;
using System.Net;
using BoldLadder.School.Groups;
using BoldLadder.School.Lessons;
using BoldLadder.School.Weeks;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Screens of many groups ask the database no more often than screens of one.</summary>
public sealed class QueryCountTests : IAsyncLifetime
{
    /// <summary>
    /// The session, who asks and their school, the groups, where they stand, logs never folded, the calendar, the
    /// lessons, and of a week who changed them.
    /// </summary>
    private const int Most = 9;

    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    [Theory]
    [InlineData("groups")]
    [InlineData("weeks/2026-11-24?weeks=2")]
    [InlineData("weeks?weeks=2")]
    public async Task Groups_and_weeks_take_as_many_queries_for_thirty_groups_as_for_two(string path)
    {
        await lead.Open(school.Otters, TestSchool.Today);
        var few = await Count(path);
        await school.AsOwner(store =>
        {
            for (var i = 0; i < 28; i++)
                store.Groups.Add(
                    new Group
                    {
                        SchoolId = school.School,
                        Id = Guid.CreateVersion7(),
                        Name = $"Group {i}",
                        LadderId = school.Ladder,
                        LadderVersion = 1,
                        LessonMinutes = 20,
                    }
                );
            return Task.FromResult(0);
        });
        var many = await Count(path);
        Assert.Equal(few, many);
        Assert.InRange(many, 1, Most);
    }

    /// <summary>
    /// Whoever closed a lesson and then went back over midnight with the school's zone has a log that runs ahead of
    /// today.
    /// </summary>
    [Fact]
    public async Task A_group_whose_log_runs_ahead_of_the_clock_is_still_shown()
    {
        await school.AsOwner(store =>
        {
            store.TeachingLog.Add(
                new TeachingLogEntry
                {
                    SchoolId = school.School,
                    Id = Guid.NewGuid(),
                    GroupId = school.Otters,
                    Date = TestSchool.Today.AddDays(2),
                    RungId = "x",
                    Outcome = Core.Teaching.LessonOutcome.Taught,
                    Correspondences = ["sh=ʃ"],
                    Patterns = [],
                    Tricky = [],
                    Seen = [],
                    Words = [],
                    RecordedAt = DateTime.UtcNow,
                    RecordedBy = Guid.Empty,
                }
            );
            return Task.FromResult(0);
        });
        Assert.Equal(2, (await lead.Get<List<GroupView>>(Path("groups"))).Count);
        Assert.Equal(2, (await lead.Get<WeekView>(Path("weeks/2026-11-24?weeks=2"))).Groups.Count);
        Assert.NotEmpty((await lead.Open(school.Otters, TestSchool.Today)).Lesson.Parts);
    }

    [Fact]
    public async Task The_screens_show_all_their_groups()
    {
        Assert.Equal(2, (await lead.Get<List<GroupView>>(Path("groups"))).Count);
        Assert.Equal(2, (await lead.Get<WeekView>(Path("weeks"))).Groups.Count);
    }

    /// <summary>One look at the door says who asks and that nothing changed.</summary>
    [Theory]
    [InlineData("groups")]
    [InlineData("weeks?weeks=2")]
    [InlineData("ladders")]
    public async Task What_nothing_changed_since_is_answered_with_one_query(string path)
    {
        await KeepAnswers();
        var before = await lead.Open(school.Otters, TestSchool.Today);
        Assert.Equal(1, await Count(path));
        var first = await (await lead.Send(HttpMethod.Get, Path(path))).Content.ReadAsStringAsync();
        await lead.Changed(before, new SetRemark("Bring the big cards."));
        Assert.True(await CountOnce(path) > 1);
        Assert.NotEmpty(first);
    }

    [Fact]
    public async Task What_was_kept_is_for_one_person_while_they_are_signed_in_and_belong_here()
    {
        await KeepAnswers();
        Assert.Equal(2, (await lead.Get<List<GroupView>>(Path("groups"))).Count);
        var teacher = await school.As("teacher");
        Assert.Single(await teacher.Get<List<GroupView>>(Path("groups")));
        await school.AsOwner(async store =>
            await store.GroupTeachers.IgnoreQueryFilters().Where(t => t.GroupId == school.Otters).ExecuteDeleteAsync()
        );
        Assert.Empty(await teacher.Get<List<GroupView>>(Path("groups")));
        await TestClient.Problem(
            await lead.Send(HttpMethod.Get, $"/api/schools/{school.OtherSchool}/groups"),
            HttpStatusCode.NotFound
        );
        await lead.Send(HttpMethod.Delete, "/api/session");
        await TestClient.Problem(await lead.Send(HttpMethod.Get, Path("groups")), HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task A_long_answer_is_sent_packed_to_who_takes_it_so_and_says_the_same()
    {
        await KeepAnswers();
        await lead.Open(school.Otters, TestSchool.Today);
        var path = Path($"groups/{school.Otters}/lessons/{TestSchool.Today:yyyy-MM-dd}");
        var plain = await (await lead.Send(HttpMethod.Get, path)).Content.ReadAsStringAsync();
        var packed = await lead.Send(HttpMethod.Get, path, takes: "gzip");
        Assert.Equal("gzip", Assert.Single(packed.Content.Headers.ContentEncoding));
        await using var gzip = new GZipStream(await packed.Content.ReadAsStreamAsync(), CompressionMode.Decompress);
        Assert.Equal(plain, await new StreamReader(gzip).ReadToEndAsync());
        var refused = await lead.Send(HttpMethod.Get, path, takes: "gzip;q=0");
        Assert.Empty(refused.Content.Headers.ContentEncoding);
    }

    private async Task KeepAnswers()
    {
        school.Serve(("VerifyKept", "false"));
        lead = await school.As("lead");
    }

    private string Path(string rest) => $"/api/schools/{school.School}/{rest}";

    /// <summary>Commands sent to this test's database by a request, once what never changes is known.</summary>
    private async Task<int> Count(string path)
    {
        (await lead.Send(HttpMethod.Get, Path(path))).EnsureSuccessStatusCode();
        return await CountOnce(path);
    }

    private async Task<int> CountOnce(string path)
    {
        using var counter = new Counter(school.Database);
        (await lead.Send(HttpMethod.Get, Path(path))).EnsureSuccessStatusCode();
        return counter.Commands;
    }

    private sealed class Counter : IObserver<DiagnosticListener>, IObserver<KeyValuePair<string, object?>>, IDisposable
    {
        private readonly string database;
        private readonly IDisposable all;
        private readonly List<IDisposable> listening = [];
        private int commands;

        public Counter(string database)
        {
            this.database = database;
            all = DiagnosticListener.AllListeners.Subscribe(this);
        }

        public int Commands => commands;

        public void OnNext(DiagnosticListener value)
        {
            if (value.Name == Microsoft.EntityFrameworkCore.DbLoggerCategory.Name)
                listening.Add(value.Subscribe(this));
        }

        public void OnNext(KeyValuePair<string, object?> value)
        {
            if (value.Value is CommandExecutedEventData done && done.Command.Connection?.Database == database)
                Interlocked.Increment(ref commands);
        }

        public void OnCompleted() { }

        public void OnError(Exception error) { }

        public void Dispose()
        {
            listening.ForEach(l => l.Dispose());
            all.Dispose();
        }
    }
}
