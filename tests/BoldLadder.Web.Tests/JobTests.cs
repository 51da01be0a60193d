using System.Diagnostics;
using System.Text;
using BoldLadder.School.Children;
using BoldLadder.School.Jobs;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Work in the background is done whole or not at all, whatever becomes of the process that does it.</summary>
public sealed class JobTests : IAsyncLifetime
{
    private const int Rows = 1500;
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
        // Slow enough that a test can act in its middle.
        await TestSchool.Sql(
            school.Database,
            """
            create function slow() returns trigger language plpgsql as $$
                begin perform pg_sleep(0.004); return new; end $$;
            create trigger slow before insert on children for each row execute function slow()
            """
        );
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest) => $"/api/schools/{school.School}/{rest}";

    private async Task<Guid> Start()
    {
        var names = string.Concat(
            Enumerable
                .Range(0, Rows)
                .Select(i => $"{(char)('A' + (i % 26))}{(char)('a' + (i / 26 % 26))}{(char)('a' + (i / 676))}\n")
        );
        var file = new ChildFile(Encoding.UTF8.GetBytes(names), true, null, school.Otters, []);
        var id = Guid.NewGuid();
        await TestClient.Read<JobView>(
            await lead.Send(HttpMethod.Post, At("children/imports"), new ImportRequest(id, file, []))
        );
        return id;
    }

    private Task<StoredJob> Job(Guid id) => school.AsOwner(s => s.Jobs.AsNoTracking().SingleAsync(j => j.Id == id));

    private Task<int> Children() => school.AsOwner(s => s.Children.CountAsync());

    private async Task<StoredJob> Until(Guid id, Func<StoredJob, bool> holds)
    {
        for (var i = 0; i < 600; i++)
        {
            if (await Job(id) is var job && holds(job))
                return job;
            await Task.Delay(50);
        }
        throw new TimeoutException($"The job stays {(await Job(id)).State}.");
    }

    /// <summary>The app as a process of its own, which a test may kill.</summary>
    private Process Process()
    {
        var start = new ProcessStartInfo("dotnet", "BoldLadder.Web.dll")
        {
            WorkingDirectory = AppContext.BaseDirectory,
        };
        start.Environment["ConnectionStrings__App"] = TestSchool.AppRole(school.Database);
        start.Environment["ASPNETCORE_URLS"] = "http://127.0.0.1:0";
        start.Environment["Logging__LogLevel__Default"] = "Warning";
        return System.Diagnostics.Process.Start(start)!;
    }

    [Fact]
    public async Task A_job_whose_process_is_killed_leaves_nothing_and_is_done_by_the_next()
    {
        var id = await Start();
        using (var process = Process())
        {
            var half = await Until(id, j => j is { State: JobState.Running, Done: > 0 });
            Assert.InRange(half.Done, 1, Rows - 1);
            process.Kill();
            await process.WaitForExitAsync();
        }
        Assert.Equal(0, await Children());
        Assert.Equal(JobState.Running, (await Job(id)).State);
        school.Serve(("Jobs", "true"));
        lead = await school.As("lead");
        var done = await Until(id, j => j.EndedAt is not null);
        Assert.Equal((JobState.Done, Rows, 2), (done.State, done.Done, done.Tries));
        Assert.Null(done.Input);
        Assert.Equal(Rows, await Children());
    }

    [Fact]
    public async Task A_job_that_is_cancelled_takes_back_what_it_did()
    {
        school.Serve(("Jobs", "true"));
        lead = await school.As("lead");
        var id = await Start();
        await Until(id, j => j is { State: JobState.Running, Done: > 0 });
        await TestClient.Read<List<JobView>>(await lead.Send(HttpMethod.Delete, At($"jobs/{id}")));
        var ended = await Until(id, j => j.EndedAt is not null);
        Assert.Equal(JobState.Cancelled, ended.State);
        Assert.Equal(0, await Children());
        // Whoever it is not of sees nothing of it.
        var deputy = await school.As("deputy");
        Assert.Empty(await deputy.Get<List<JobView>>(At("jobs")));
        await TestClient.Problem(
            await deputy.Send(HttpMethod.Delete, At($"jobs/{id}")),
            System.Net.HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task A_job_of_who_is_a_lead_no_more_does_nothing()
    {
        var id = await Start();
        await school.AsOwner(async s =>
            (
                await s.Memberships.SingleAsync(m =>
                    s.Users.Any(u => u.Id == m.UserId && u.Email == "lead@test.example")
                )
            ).IsActive = false
        );
        school.Serve(("Jobs", "true"));
        await school.As("deputy");
        Assert.Equal(JobState.Failed, (await Until(id, j => j.EndedAt is not null)).State);
        Assert.Equal(0, await Children());
    }
}
