using Npgsql;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>
/// What is kept of a child can be erased though the app may only add to it: by a lead, in their own school.
/// </summary>
public sealed class ErasureTests : IAsyncLifetime
{
    private readonly Guid child = Guid.NewGuid();
    private TestSchool school = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        // Stands for what will be kept of children: a table that the app may read and add to.
        await TestSchool.Sql(
            school.Database,
            $"""
            create table evidence_probe (school_id uuid, child_id uuid, mark int);
            grant select, insert on evidence_probe to bold_app;
            insert into evidence_probe values
                ('{school.School}', '{child}', 1), ('{school.School}', '{child}', 2),
                ('{school.School}', '{Guid.NewGuid()}', 3), ('{school.OtherSchool}', '{child}', 4)
            """
        );
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    [Fact]
    public async Task A_lead_erases_a_child_in_their_own_school_alone_and_it_is_recorded()
    {
        Assert.Equal(
            PostgresErrorCodes.InsufficientPrivilege,
            (await Assert.ThrowsAsync<PostgresException>(() => As("lead", "delete from evidence_probe"))).SqlState
        );
        Assert.Equal(2L, await As("lead", $"select erase_child('{child}')"));
        Assert.Equal([3, 4], await Left());
        Assert.Equal(
            1L,
            await As("lead", $"select count(*) from audit where action = 'child-erased' and subject = '{child}'")
        );
        Assert.Equal(0L, await As("lead", $"select erase_child('{child}')"));
    }

    [Theory]
    [InlineData("teacher")]
    [InlineData("other")]
    [InlineData(null)]
    public async Task Nobody_else_erases_anything(string? who)
    {
        Assert.Equal(
            PostgresErrorCodes.InsufficientPrivilege,
            (await Assert.ThrowsAsync<PostgresException>(() => As(who, $"select erase_child('{child}')"))).SqlState
        );
        Assert.Equal([1, 2, 3, 4], await Left());
    }

    /// <summary>
    /// Runs a statement as the app does, in a transaction that names who asks and this test's school.
    /// </summary>
    private async Task<object?> As(string? who, string sql)
    {
        var user = who is null
            ? Guid.Empty
            : await school.AsOwner(s => Task.FromResult(s.Users.Single(u => u.Email == $"{who}@test.example").Id));
        await using var source = NpgsqlDataSource.Create(TestSchool.AppRole(school.Database));
        await using var connection = await source.OpenConnectionAsync();
        await using var transaction = await connection.BeginTransactionAsync();
        await using var name = new NpgsqlCommand(
            $"select set_config('app.user_id', '{user}', true), set_config('app.school_id', '{school.School}', true)",
            connection
        );
        await name.ExecuteNonQueryAsync();
        await using var command = new NpgsqlCommand(sql, connection);
        var result = await command.ExecuteScalarAsync();
        await transaction.CommitAsync();
        return result;
    }

    private async Task<List<int>> Left()
    {
        await using var source = NpgsqlDataSource.Create(TestSchool.Owner(school.Database));
        await using var command = source.CreateCommand("select mark from evidence_probe order by mark");
        await using var reader = await command.ExecuteReaderAsync();
        var marks = new List<int>();
        while (await reader.ReadAsync())
            marks.Add(reader.GetInt32(0));
        return marks;
    }
}
