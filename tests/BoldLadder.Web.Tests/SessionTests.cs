using System.Net;
using BoldLadder.Store;
using BoldLadder.Web.Session;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

public sealed class SessionTests : IAsyncLifetime
{
    private TestSchool school = null!;

    public async Task InitializeAsync() => school = await TestSchool.Open();

    public async Task DisposeAsync() => await school.DisposeAsync();

    [Fact]
    public async Task Signing_in_shows_the_schools_and_signing_out_ends_it()
    {
        var lead = await school.As("lead");
        var session = await lead.Get<SessionView>("/api/session");
        Assert.Equal((school.School, Role.Lead, TestSchool.Today), (session.Schools.Single().Id, session.Schools.Single().Role, session.Schools.Single().Today));
        Assert.Equal(HttpStatusCode.NoContent, (await lead.Send(HttpMethod.Delete, "/api/session")).StatusCode);
        Assert.Equal(HttpStatusCode.NoContent, (await lead.Send(HttpMethod.Get, "/api/session")).StatusCode);
    }

    [Theory]
    [InlineData("lead@test.example", "wrong-password-here", HttpStatusCode.Unauthorized)]
    [InlineData("nobody@test.example", TestSchool.Password, HttpStatusCode.Unauthorized)]
    [InlineData("", "", HttpStatusCode.BadRequest)]
    public async Task A_wrong_sign_in_says_what_to_do_and_not_which_part_was_wrong(string email, string password, HttpStatusCode status)
    {
        var problem = await TestClient.Problem(await (await school.As(null)).Send(HttpMethod.Post, "/api/session", new { email, password }), status);
        Assert.False(string.IsNullOrWhiteSpace(problem.GetProperty("detail").GetString()));
    }

    [Fact]
    public async Task Ten_wrong_passwords_lock_the_account_for_a_while()
    {
        var client = await school.As(null);
        for (var i = 0; i < 10; i++) await client.Send(HttpMethod.Post, "/api/session", new { email = "lead@test.example", password = "wrong-password-here" });
        var problem = await TestClient.Problem(await client.Send(HttpMethod.Post, "/api/session", new { email = "lead@test.example", password = TestSchool.Password }), HttpStatusCode.Unauthorized);
        Assert.Equal("bold:sign-in-locked", problem.GetProperty("type").GetString());
    }

    [Fact]
    public async Task A_wrong_try_at_the_same_moment_does_not_shut_out_the_right_password()
    {
        var (wrong, right) = (await school.As(null), await school.As(null));
        for (var i = 0; i < 6; i++)
        {
            var tries = Enumerable.Range(0, 2).Select(_ => wrong.Send(HttpMethod.Post, "/api/session", new { email = "lead@test.example", password = "wrong-password-here" })).ToList();
            right.ForgetToken();
            var signedIn = await right.Send(HttpMethod.Post, "/api/session", new { email = "lead@test.example", password = TestSchool.Password });
            Assert.Equal(HttpStatusCode.OK, signedIn.StatusCode);
            await Task.WhenAll(tries);
        }
    }

    [Fact]
    public async Task The_session_cookie_is_for_this_host_only_and_out_of_reach_of_scripts()
    {
        using var http = school.App.CreateClient(new() { BaseAddress = new Uri("https://localhost"), HandleCookies = false });
        var answer = await http.GetAsync("/api/antiforgery");
        var cookie = answer.Headers.GetValues("Set-Cookie").Single();
        Assert.StartsWith("__Host-", cookie, StringComparison.Ordinal);
        foreach (var part in new[] { "secure", "httponly", "samesite=strict", "path=/" }) Assert.Contains(part, cookie, StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public async Task The_app_role_sees_no_row_of_a_school_it_has_not_named()
    {
        await using var store = new BoldContext(DesignTimeFactory.Configure(new DbContextOptionsBuilder<BoldContext>(), TestSchool.AppRole(school.Database)).Options);
        Assert.Equal(0, await store.Groups.IgnoreQueryFilters().CountAsync());
        await using var transaction = await store.Database.BeginTransactionAsync();
        await store.EnterSchool(Guid.Empty, school.School);
        Assert.Equal(2, await store.Groups.IgnoreQueryFilters().CountAsync());
        await store.EnterSchool(Guid.Empty, school.OtherSchool);
        Assert.Equal(0, await store.Groups.IgnoreQueryFilters().CountAsync());
    }

    [Fact]
    public async Task Every_school_owned_table_is_behind_row_level_security_and_the_log_is_append_only()
    {
        var tables = await school.AsOwner(s => s.Database.SqlQuery<string>($"""
            select c.table_name as "Value" from information_schema.columns c join pg_class t on t.relname = c.table_name
            where c.table_schema = 'public' and c.column_name = 'school_id' and not t.relrowsecurity
            """).ToListAsync());
        Assert.Empty(tables);
        var rights = await school.AsOwner(s => s.Database.SqlQuery<string>($"""
            select table_name || ' ' || privilege_type as "Value" from information_schema.role_table_grants
            where grantee = 'bold_app' and table_name in ('teaching_log', 'audit', 'lesson_changes') and privilege_type in ('UPDATE', 'DELETE', 'TRUNCATE')
            """).ToListAsync());
        Assert.Empty(rights);
    }
}
