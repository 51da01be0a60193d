using System.Text;
using BoldLadder.School.Children;
using BoldLadder.School.Jobs;
using BoldLadder.School.Schools;
using BoldLadder.School.Transfer;
using BoldLadder.School.Weeks;
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

    /// <summary>What the line of jobs and its database are doing, said where one does not get on.</summary>
    private async Task<string> Line() =>
        string.Join(
            "; ",
            await school.AsOwner(s =>
                s.Database.SqlQuery<string>(
                        $"""
                        select concat_ws(' ', 'trigger', trigger_name, trigger_state, next_fire_time) as "Value"
                        from qrtz_triggers
                        union all select concat_ws(' ', 'fired', trigger_name, state) from qrtz_fired_triggers
                        union all select concat_ws(' ', 'process', instance_name, last_checkin_time)
                        from qrtz_scheduler_state
                        union all select concat_ws(' ', pid, state, wait_event_type, wait_event, left(query, 90))
                        from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()
                        """
                    )
                    .ToListAsync()
            )
        );

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
        // Patient: a loaded machine is slow, not wrong.
        for (var i = 0; i < 6000; i++)
        {
            if (await Job(id) is var job && holds(job))
                return job;
            await Task.Delay(50);
        }
        throw new TimeoutException($"The job stays {(await Job(id)).State}. {await Line()}");
    }

    private async Task<Guid> Start(string path, Func<Guid, object> request)
    {
        var id = Guid.NewGuid();
        await TestClient.Read<JobView>(await lead.Send(HttpMethod.Post, At(path), request(id)));
        return id;
    }

    /// <summary>Starts a job of a kind, slow enough to be killed in its middle.</summary>
    private async Task<Guid> Start(string kind)
    {
        switch (kind)
        {
            case ChildImport.KindOfJob:
                return await Start();
            case WeekPlanning.KindOfJob:
                await Slow("before insert on lessons", "new");
                return await Start("weeks/planning", id => new PlanningRequest(id, PlanningWish.Plan, Places()));
            case LookRoundDesk.KindOfJob:
                return await Start("look-round", id => new LookRoundRequest(id));
            case SchoolExport.KindOfJob:
                // Nothing is written on the way: each row that is read is slow.
                await TestSchool.Sql(
                    school.Database,
                    """
                    insert into children (school_id, child_id, name)
                        select school_id, gen_random_uuid(), 'Bo ' || n from schools, generate_series(1, 150) n;
                    create policy slowly on children as restrictive using (pg_sleep(0.02)::text is not null)
                    """
                );
                return await Start("export", id => new ExportRequest(id));
            default:
                throw new ArgumentOutOfRangeException(nameof(kind));
        }
    }

    private Task Slow(string when, string row) =>
        TestSchool.Sql(
            school.Database,
            $"""
            create function slowly() returns trigger language plpgsql as $$
                begin perform pg_sleep(0.2); return {row}; end $$;
            create trigger slowly {when} for each row execute function slowly()
            """
        );

    private List<PlanningPlace> Places() =>
        [
            .. Enumerable
                .Range(0, 8)
                .Select(TestSchool.Today.AddDays)
                .Where(d => d.DayOfWeek is not (DayOfWeek.Friday or DayOfWeek.Saturday or DayOfWeek.Sunday))
                .SelectMany(d =>
                    new[] { school.Otters, school.Kestrels }.Select(g => new PlanningPlace(g, d, null, 0))
                ),
        ];

    [Theory]
    [InlineData(ChildImport.KindOfJob)]
    [InlineData(WeekPlanning.KindOfJob)]
    [InlineData(LookRoundDesk.KindOfJob)]
    [InlineData(SchoolExport.KindOfJob)]
    public async Task A_job_whose_process_is_killed_leaves_nothing_and_is_done_by_the_next(string kind)
    {
        var id = await Start(kind);
        var before = await school.Rows();
        using (var process = AppProcess.Start(school.Database))
        {
            // Reading the first table is what is slow of an export.
            var isAtOnce = kind == SchoolExport.KindOfJob;
            await Until(id, j => j.State == JobState.Running && (isAtOnce || j.Done > 0));
            process.Kill();
            await process.WaitForExitAsync();
        }
        Assert.Equal(before, await school.Rows());
        Assert.Equal(JobState.Running, (await Job(id)).State);
        school.Serve(("Jobs", "true"));
        lead = await school.As("lead");
        var done = await Until(id, j => j.EndedAt is not null);
        Assert.Equal((JobState.Done, 2), (done.State, done.Tries));
        Assert.Null(done.Input);
        if (kind == ChildImport.KindOfJob)
            Assert.Equal(Rows, await Children());
        if (kind == WeekPlanning.KindOfJob)
            Assert.Equal(Places().Count, await school.AsOwner(s => s.Lessons.CountAsync()));
    }

    [Fact]
    public async Task Lessons_are_planned_in_the_background_as_by_hand_and_what_changed_meanwhile_stays()
    {
        school.Serve(("Jobs", "true"));
        lead = await school.As("lead");
        var first = await lead.Open(school.Otters, TestSchool.Today);
        var places = Places();
        var id = await Start("weeks/planning", i => new PlanningRequest(i, PlanningWish.Plan, places));
        Assert.Equal(places.Count, (await Until(id, j => j.EndedAt is not null)).Done);
        Assert.Equal(first.Version, (await lead.Open(school.Otters, TestSchool.Today)).Version);
        var second = await lead.Open(school.Kestrels, TestSchool.Today);
        // Of two to be made anew, one is not as it was seen.
        var again = await Start("weeks/planning", i => new PlanningRequest(
            i,
            PlanningWish.PlanAgain,
            [
                new PlanningPlace(school.Otters, TestSchool.Today, first.Id, first.Version),
                new PlanningPlace(school.Kestrels, TestSchool.Today, second.Id, second.Version + 1),
            ]
        ));
        Assert.Equal(1, (await Until(again, j => j.EndedAt is not null)).Done);
        Assert.Equal(first.Version + 1, (await lead.Open(school.Otters, TestSchool.Today)).Version);
        Assert.Equal(second.Version, (await lead.Open(school.Kestrels, TestSchool.Today)).Version);
        // A teacher plans for their own groups alone; nobody plans nothing.
        var teacher = await school.As("teacher");
        foreach (var asked in new[] { places, [] })
        {
            var answer = await teacher.Send(
                HttpMethod.Post,
                At("weeks/planning"),
                new PlanningRequest(Guid.NewGuid(), PlanningWish.Plan, asked)
            );
            Assert.False(answer.IsSuccessStatusCode);
        }
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
