using System.Net;
using BoldLadder.School.Groups;
using BoldLadder.School.Jobs;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using BoldLadder.Web.Session;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>A school to look round in stands beside one's own, and goes without a trace.</summary>
public sealed class LookRoundTests : IAsyncLifetime
{
    private TestSchool school = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        school.Serve(("Jobs", "true"));
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    [Fact]
    public async Task It_is_made_looked_at_and_deleted_and_nothing_else_is_touched()
    {
        var lead = await school.As("lead");
        var before = await school.Rows();
        var at = $"/api/schools/{school.School}/look-round";
        var job = await TestClient.Read<JobView>(
            await lead.Send(HttpMethod.Post, at, new LookRoundRequest(Guid.NewGuid()))
        );
        for (var i = 0; i < 600 && job.EndedAt is null; i++)
        {
            await Task.Delay(100);
            job = (await lead.Get<List<JobView>>($"/api/schools/{school.School}/jobs")).Single(j => j.Id == job.Id);
        }
        Assert.Equal(JobState.Done, job.State);
        var session = await lead.Get<SessionView>("/api/session");
        var made = session.Schools.Single(s => s.IsLookRound);
        Assert.Equal(Role.Lead, made.Role);
        var groups = await lead.Get<List<GroupView>>($"/api/schools/{made.Id}/groups");
        Assert.Equal(["Badgers", "Kestrels", "Otters"], groups.Select(g => g.Name));
        Assert.All(groups, g => Assert.NotNull(g.Status));
        // There is one, and nobody else is in it; its people have no way in.
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, at, new LookRoundRequest(Guid.NewGuid())),
            HttpStatusCode.Conflict
        );
        var deputy = await school.As("deputy");
        await TestClient.Problem(
            await deputy.Send(HttpMethod.Delete, $"/api/schools/{made.Id}/look-round"),
            HttpStatusCode.NotFound
        );
        Assert.Equal(
            0,
            await school.AsOwner(s => s.Users.CountAsync(u => u.DisplayName == "Tom Ridley" && u.PasswordHash != null))
        );
        // One's own school can't be deleted so.
        await TestClient.Problem(await lead.Send(HttpMethod.Delete, at), HttpStatusCode.Forbidden);
        (await lead.Send(HttpMethod.Delete, $"/api/schools/{made.Id}/look-round")).EnsureSuccessStatusCode();
        Assert.Equal(before, await school.Rows());
        Assert.DoesNotContain((await lead.Get<SessionView>("/api/session")).Schools, s => s.IsLookRound);
    }

    [Fact]
    public async Task Asked_for_twice_before_it_is_there_it_is_made_once()
    {
        var lead = await school.As("lead");
        var jobs = $"/api/schools/{school.School}/jobs";
        foreach (var id in new[] { Guid.NewGuid(), Guid.NewGuid() })
            (
                await lead.Send(HttpMethod.Post, $"/api/schools/{school.School}/look-round", new LookRoundRequest(id))
            ).EnsureSuccessStatusCode();
        var seen = await lead.Get<List<JobView>>(jobs);
        for (var i = 0; i < 600 && seen.Exists(j => j.EndedAt is null); i++)
        {
            await Task.Delay(100);
            seen = await lead.Get<List<JobView>>(jobs);
        }
        Assert.Equal([JobState.Done, JobState.Failed], seen.Select(j => j.State).Order());
        Assert.Single((await lead.Get<SessionView>("/api/session")).Schools, s => s.IsLookRound);
    }

    [Fact]
    public async Task The_database_itself_deletes_no_other_school()
    {
        await using var source = NpgsqlDataSource.Create(TestSchool.AppRole(school.Database));
        await using var connection = await source.OpenConnectionAsync();
        await using var transaction = await connection.BeginTransactionAsync();
        await using var command = connection.CreateCommand();
        var user = await school.AsOwner(s =>
            s.Users.Where(u => u.Email == "lead@test.example").Select(u => u.Id).SingleAsync()
        );
        command.CommandText =
            $"select set_config('app.school_id', '{school.School}', true), set_config('app.user_id', '{user}', true);"
            + "select delete_look_round()";
        var problem = await Assert.ThrowsAsync<PostgresException>(() => command.ExecuteNonQueryAsync());
        Assert.Equal(PostgresErrorCodes.InsufficientPrivilege, problem.SqlState);
    }
}
