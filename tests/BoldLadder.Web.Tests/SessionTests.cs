using System.Net;
using BoldLadder.Store;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Configuration;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Options;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Signing in, and how a session ends.</summary>
public sealed class SessionTests : IAsyncLifetime
{
    private const string Wrong = "wrong-password-here";
    private TestSchool school = null!;

    public async Task InitializeAsync() => school = await TestSchool.Open();

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string Groups => $"/api/schools/{school.School}/groups";

    private static Task<HttpResponseMessage> SignIn(TestClient client, string email, string password) =>
        client.Send(HttpMethod.Post, "/api/session", new { email, password });

    private async Task<TestClient> From(string address)
    {
        var client = await school.As(null);
        client.Http.DefaultRequestHeaders.Add("X-Test-Address", address);
        return client;
    }

    private async Task<bool> IsIn(TestClient client) =>
        (await client.Send(HttpMethod.Get, Groups)).StatusCode switch
        {
            HttpStatusCode.OK => true,
            HttpStatusCode.Unauthorized => false,
            var other => throw new InvalidOperationException($"{other}"),
        };

    [Fact]
    public async Task Signing_in_shows_the_schools_and_signing_out_ends_it()
    {
        var lead = await school.As("lead");
        var session = await lead.Get<SessionView>("/api/session");
        Assert.Equal(
            (school.School, Role.Lead, TestSchool.Today),
            (session.Schools.Single().Id, session.Schools.Single().Role, session.Schools.Single().Today)
        );
        Assert.Equal(HttpStatusCode.NoContent, (await lead.Send(HttpMethod.Delete, "/api/session")).StatusCode);
        Assert.Equal(HttpStatusCode.NoContent, (await lead.Send(HttpMethod.Get, "/api/session")).StatusCode);
    }

    [Fact]
    public async Task Signing_out_ends_every_copy_of_the_cookie_and_everywhere_ends_every_session()
    {
        var lead = await school.As("lead");
        var elsewhere = await school.As("lead");
        var cookie = await CookieOf("lead");
        Assert.True(await IsIn(lead));
        Assert.True(await Opens(cookie.Value));
        await cookie.Client.Send(HttpMethod.Delete, "/api/session");
        Assert.False(await Opens(cookie.Value));
        Assert.True(await IsIn(lead));
        Assert.Equal(HttpStatusCode.NoContent, (await lead.Send(HttpMethod.Delete, "/api/sessions")).StatusCode);
        Assert.False(await IsIn(lead));
        Assert.False(await IsIn(elsewhere));
    }

    /// <summary>A client that is signed in, and its cookie as someone who copied it would send it.</summary>
    private async Task<(TestClient Client, string Value)> CookieOf(string who)
    {
        var client = await school.As(null);
        var answer = await SignIn(client, $"{who}@test.example", TestSchool.Password);
        client.ForgetToken();
        return (
            client,
            answer
                .Headers.GetValues("Set-Cookie")
                .Single(c => c.StartsWith("__Host-bold=", StringComparison.Ordinal))
                .Split(';')[0]
        );
    }

    private async Task<bool> Opens(string cookie)
    {
        using var http = school.App.CreateClient(
            new() { BaseAddress = new Uri("https://localhost"), HandleCookies = false }
        );
        using var request = new HttpRequestMessage(HttpMethod.Get, Groups);
        request.Headers.Add("Cookie", cookie);
        return (await http.SendAsync(request)).StatusCode == HttpStatusCode.OK;
    }

    [Fact]
    public async Task A_new_password_and_a_locked_account_end_every_session_at_once()
    {
        foreach (
            var (what, change) in new (string, Action<User>)[]
            {
                ("a new password", u =>
                    (u.PasswordHash, u.SecurityStamp) = (
                        new PasswordHasher<User>().HashPassword(u, "another-long-password"),
                        "changed"
                    )
                ),
                ("a locked account", u => u.LockoutEnd = DateTimeOffset.UtcNow.AddDays(1)),
            }
        )
        {
            var (one, other) = (await school.As("teacher"), await school.As("teacher"));
            Assert.True(await IsIn(one) && await IsIn(other), what);
            await Person("teacher", change);
            Assert.False(await IsIn(one) || await IsIn(other), what);
            await Person("teacher", u =>
                (u.PasswordHash, u.LockoutEnd) = (new PasswordHasher<User>().HashPassword(u, TestSchool.Password), null)
            );
        }
    }

    private Task<int> Person(string name, Action<User> change) =>
        school.AsOwner(async store =>
        {
            change(await store.Users.SingleAsync(u => u.Email == $"{name}@test.example"));
            return 0;
        });

    [Theory]
    [InlineData("started_at", 11.9, true)]
    [InlineData("started_at", 12.1, false)]
    [InlineData("seen_at", 3.9, true)]
    [InlineData("seen_at", 4.1, false)]
    public async Task A_session_ends_after_half_a_day_or_four_hours_unused(string what, double hoursAgo, bool isAlive)
    {
        var lead = await school.As("lead");
        await school.AsOwner(async store =>
        {
            var sessions = await store.UserSessions.ToListAsync();
            foreach (var session in sessions)
            {
                store
                    .Entry(session)
                    .Property(what == "seen_at" ? nameof(UserSession.SeenAt) : nameof(UserSession.StartedAt))
                    .CurrentValue = DateTime.UtcNow.AddHours(-hoursAgo);
            }
            return 0;
        });
        Assert.Equal(isAlive, await IsIn(lead));
        // Having been used, it is fresh again.
        if (isAlive && what == "seen_at")
            Assert.True(
                await school.AsOwner(s => s.UserSessions.AllAsync(x => x.SeenAt > DateTime.UtcNow.AddMinutes(-1)))
            );
    }

    [Fact]
    public async Task The_session_of_a_person_who_is_gone_is_no_session()
    {
        var client = await school.As("deputy");
        await school.AsOwner(async store =>
        {
            await store
                .Memberships.Where(m => store.Users.Any(u => u.Id == m.UserId && u.Email == "deputy@test.example"))
                .ExecuteDeleteAsync();
            await store.Users.Where(u => u.Email == "deputy@test.example").ExecuteDeleteAsync();
            return 0;
        });
        Assert.Equal(HttpStatusCode.NoContent, (await client.Send(HttpMethod.Get, "/api/session")).StatusCode);
        Assert.False(await IsIn(client));
    }

    [Fact]
    public async Task Whether_there_is_an_account_is_told_neither_by_the_answer_nor_by_the_work()
    {
        var looks = new CountingHasher();
        school.Serve(services => services.AddScoped<IPasswordHasher<User>>(_ => looks));
        var client = await school.As(null);
        await Person("deputy", u => u.LockoutEnd = DateTimeOffset.UtcNow.AddDays(1));
        await SignIn(client, "first@test.example", Wrong);
        var answers = new List<(string Body, int Looks)>();
        foreach (
            var (email, password) in new[]
            {
                ("lead@test.example", Wrong),
                ("nobody@test.example", Wrong),
                ("nobody@test.example", TestSchool.Password),
                ("deputy@test.example", TestSchool.Password),
            }
        )
        {
            looks.Looks = 0;
            var problem = await TestClient.Problem(await SignIn(client, email, password), HttpStatusCode.Unauthorized);
            answers.Add(($"{problem.GetProperty("type")} {problem.GetProperty("detail")}", looks.Looks));
        }
        Assert.Single(answers.Distinct());
        Assert.Equal(1, answers[0].Looks);
    }

    private sealed class CountingHasher : IPasswordHasher<User>
    {
        private readonly PasswordHasher<User> real = new(
            Options.Create(new PasswordHasherOptions { IterationCount = 1000 })
        );

        public int Looks { get; set; }

        public string HashPassword(User user, string password) => real.HashPassword(user, password);

        public PasswordVerificationResult VerifyHashedPassword(
            User user,
            string hashedPassword,
            string providedPassword
        )
        {
            Looks++;
            return real.VerifyHashedPassword(user, hashedPassword, providedPassword);
        }
    }

    [Theory]
    [InlineData("lead@test.example")]
    [InlineData("nobody@test.example")]
    public async Task After_ten_wrong_tries_the_next_waits_whether_there_is_an_account_or_not(string email)
    {
        var client = await school.As(null);
        for (var i = 0; i < 10; i++)
            await TestClient.Problem(await SignIn(client, email, Wrong), HttpStatusCode.Unauthorized);
        var answer = await SignIn(client, email, TestSchool.Password);
        Assert.InRange(answer.Headers.RetryAfter!.Delta!.Value.TotalSeconds, 1, 30);
        Assert.Equal(
            "bold:too-many-tries",
            (await TestClient.Problem(answer, HttpStatusCode.TooManyRequests)).GetProperty("type").GetString()
        );
    }

    [Fact]
    public async Task Many_wrong_tries_at_the_same_moment_are_counted_one_by_one_and_waits_grow()
    {
        var clients = new List<TestClient>();
        for (var i = 0; i < 28; i++)
            clients.Add(await school.As(null));
        var answers = await Task.WhenAll(clients.Select(c => SignIn(c, "lead@test.example", Wrong)));
        Assert.Equal(10, answers.Count(a => a.StatusCode == HttpStatusCode.Unauthorized));
        Assert.Equal(18, answers.Count(a => a.StatusCode == HttpStatusCode.TooManyRequests));
        // Once the wait is over one more try is looked at; being wrong again, it doubles the wait.
        await school.AsOwner(s =>
            s.SignInTries.ExecuteUpdateAsync(t => t.SetProperty(x => x.WaitsUntil, DateTime.UtcNow.AddSeconds(-1)))
        );
        await TestClient.Problem(await SignIn(clients[0], "lead@test.example", Wrong), HttpStatusCode.Unauthorized);
        var longer = await SignIn(clients[0], "lead@test.example", TestSchool.Password);
        Assert.InRange(longer.Headers.RetryAfter!.Delta!.Value.TotalSeconds, 31, 60);
    }

    [Fact]
    public async Task Nobody_can_lock_a_person_out_from_elsewhere()
    {
        var attacker = await From("192.0.2.1");
        for (var i = 0; i < 20; i++)
            await SignIn(attacker, "lead@test.example", Wrong);
        Assert.Equal(
            HttpStatusCode.OK,
            (await SignIn(await From("192.0.2.2"), "lead@test.example", TestSchool.Password)).StatusCode
        );
        await TestClient.Problem(
            await SignIn(attacker, "lead@test.example", TestSchool.Password),
            HttpStatusCode.TooManyRequests
        );
    }

    [Fact]
    public async Task A_right_password_at_the_same_moment_as_wrong_ones_signs_in()
    {
        var (wrong, right) = (await school.As(null), await school.As(null));
        for (var i = 0; i < 6; i++)
        {
            var tries = Enumerable.Range(0, 2).Select(_ => SignIn(wrong, "lead@test.example", Wrong)).ToList();
            right.ForgetToken();
            Assert.Equal(HttpStatusCode.OK, (await SignIn(right, "lead@test.example", TestSchool.Password)).StatusCode);
            await Task.WhenAll(tries);
        }
    }

    [Theory]
    [InlineData("", "")]
    [InlineData("lead@test.example", "")]
    public async Task An_incomplete_sign_in_says_what_to_do(string email, string password)
    {
        var problem = await TestClient.Problem(
            await SignIn(await school.As(null), email, password),
            HttpStatusCode.BadRequest
        );
        Assert.Equal("bold:sign-in-incomplete", problem.GetProperty("type").GetString());
    }

    [Fact]
    public async Task Someone_of_two_schools_sees_both_and_each_in_their_role()
    {
        await school.AlsoIn(school.OtherSchool, "teacher", Role.Lead);
        var teacher = await school.As("teacher");
        var session = await teacher.Get<SessionView>("/api/session");
        Assert.Equal(
            new Dictionary<Guid, Role> { [school.School] = Role.Teacher, [school.OtherSchool] = Role.Lead },
            session.Schools.ToDictionary(s => s.Id, s => s.Role)
        );
        Assert.True(await IsIn(teacher));
        Assert.Equal(
            HttpStatusCode.OK,
            (await teacher.Send(HttpMethod.Get, $"/api/schools/{school.OtherSchool}/audit")).StatusCode
        );
        await TestClient.Problem(
            await teacher.Send(HttpMethod.Get, $"/api/schools/{school.School}/audit"),
            HttpStatusCode.Forbidden
        );
    }

    [Fact]
    public void Passwords_are_hashed_with_as_many_rounds_as_owasp_asks()
    {
        var services = new ServiceCollection().AddLogging();
        services.AddSecurity(new ConfigurationBuilder().Build());
        Assert.True(
            services.BuildServiceProvider().GetRequiredService<IOptions<PasswordHasherOptions>>().Value.IterationCount
                >= 210_000
        );
    }

    [Fact]
    public async Task What_happens_at_the_door_is_recorded_and_a_lead_can_read_it()
    {
        var teacher = await school.As("teacher");
        await SignIn(await school.As(null), "teacher@test.example", Wrong);
        await SignIn(await school.As(null), "stranger@test.example", Wrong);
        await teacher.Send(HttpMethod.Delete, "/api/session");
        var audit = await (await school.As("lead")).Get<School.Audit.AuditView>($"/api/schools/{school.School}/audit");
        Assert.Equal(
            ["signed-out", "sign-in-failed", "signed-in"],
            audit.Lines.Where(l => l.Who == "teacher").Select(l => l.Action)
        );
        Assert.Equal(1, await school.AsOwner(s => s.AccountEvents.CountAsync(e => e.UserId == null)));
        // Another school's lead sees only who belongs there.
        var other = await (await school.As("other")).Get<School.Audit.AuditView>(
            $"/api/schools/{school.OtherSchool}/audit"
        );
        Assert.Equal(["other"], other.Lines.Select(l => l.Who).Distinct());
    }

    [Fact]
    public async Task The_session_cookie_is_for_this_host_only_and_out_of_reach_of_scripts()
    {
        using var http = school.App.CreateClient(
            new() { BaseAddress = new Uri("https://localhost"), HandleCookies = false }
        );
        var answer = await http.GetAsync("/api/antiforgery");
        var cookie = answer.Headers.GetValues("Set-Cookie").Single();
        Assert.StartsWith("__Host-", cookie, StringComparison.Ordinal);
        foreach (var part in new[] { "secure", "httponly", "samesite=strict", "path=/" })
            Assert.Contains(part, cookie, StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public async Task The_keys_of_cookies_can_not_be_read_from_the_database_alone()
    {
        var folder = Directory.CreateTempSubdirectory("bold-keys");
        try
        {
            var file = Path.Combine(folder.FullName, "keys.pfx");
            await school.AsOwner(s => s.DataProtectionKeys.ExecuteDeleteAsync());
            school.Serve(("KeyCertificate", file));
            await school.As("lead");
            Assert.All(await school.AsOwner(s => s.DataProtectionKeys.Select(k => k.Xml!).ToListAsync()), xml =>
                Assert.DoesNotContain("<value>", xml, StringComparison.Ordinal)
            );
            Assert.NotEmpty(await school.AsOwner(s => s.DataProtectionKeys.ToListAsync()));
            if (!OperatingSystem.IsWindows())
                Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite, File.GetUnixFileMode(file));
        }
        finally
        {
            folder.Delete(recursive: true);
        }
    }
}
