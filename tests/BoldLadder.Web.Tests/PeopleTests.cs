using System.Net;
using System.Security.Cryptography;
using BoldLadder.School.Groups;
using BoldLadder.School.People;
using BoldLadder.Store;
using BoldLadder.Web.Session;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>How people come into a school, what they are there, and how they go.</summary>
public sealed class PeopleTests : IAsyncLifetime
{
    private const string Good = "three-calm-otters-swim";
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest) => $"/api/schools/{school.School}/{rest}";

    private static async Task<string> Code(HttpResponseMessage answer, HttpStatusCode status) =>
        (await TestClient.Problem(answer, status)).GetProperty("type").GetString()!["bold:".Length..];

    private async Task<LinkView> Invite(Role role = Role.Teacher, params Guid[] groups) =>
        await TestClient.Read<LinkView>(
            await lead.Send(
                HttpMethod.Post,
                At("invitations"),
                new
                {
                    id = Guid.NewGuid(),
                    @for = "Ada",
                    role,
                    groups,
                    days = 7,
                }
            )
        );

    private static object Ada(string key, string email = "ada@test.example", string password = Good) =>
        new
        {
            key,
            person = new
            {
                name = "Ada Quill",
                email,
                password,
            },
        };

    private async Task<PersonView> Person(string name) =>
        (await lead.Get<PeopleView>(At("people"))).People.Single(p => p.Name == name);

    private Task<HttpResponseMessage> Change(PersonView person, Role? role = null, bool active = true) =>
        lead.Send(
            HttpMethod.Post,
            At($"people/{person.Id}"),
            new
            {
                role = role ?? person.Role,
                groups = person.Groups,
                isActive = active,
            }
        );

    [Fact]
    public async Task Somebody_new_comes_in_by_a_link_once_with_what_it_gives_and_no_more()
    {
        var link = await Invite(Role.Teacher, school.Kestrels);
        var stranger = await school.As(null);
        var seen = await TestClient.Read<JoiningView>(
            await stranger.Send(HttpMethod.Post, "/api/joining/look", new { key = link.Key })
        );
        Assert.Equal((Role.Teacher, "Ada", "Kestrels"), (seen.Role, seen.For, seen.Groups.Single()));

        // What comes with it beside the key changes nothing.
        var session = await TestClient.Read<SessionView>(
            await stranger.Send(
                HttpMethod.Post,
                "/api/joining",
                new
                {
                    key = link.Key,
                    role = "lead",
                    groups = new[] { school.Otters },
                    person = new
                    {
                        name = "Ada Quill",
                        email = "ada@test.example",
                        password = Good,
                    },
                }
            )
        );
        stranger.ForgetToken();
        Assert.Equal((school.School, Role.Teacher), (session.Schools.Single().Id, session.Schools.Single().Role));
        Assert.Equal(["Kestrels"], (await stranger.Get<List<GroupView>>(At("groups"))).Select(g => g.Name));

        var second = await school.As(null);
        Assert.Equal(
            "link-over",
            await Code(
                await second.Send(HttpMethod.Post, "/api/joining", Ada(link.Key, "eve@test.example")),
                HttpStatusCode.Forbidden
            )
        );
        Assert.Empty((await lead.Get<PeopleView>(At("people"))).Invitations);
        Assert.False(await school.AsOwner(s => s.Users.AnyAsync(u => u.Email == "eve@test.example")));
    }

    [Fact]
    public async Task Twenty_who_use_one_link_at_the_same_moment_are_one()
    {
        var link = await Invite();
        var strangers = new List<TestClient>();
        for (var i = 0; i < 20; i++)
            strangers.Add(await school.As(null));
        var answers = await Task.WhenAll(
            strangers.Select((s, i) => s.Send(HttpMethod.Post, "/api/joining", Ada(link.Key, $"one{i}@test.example")))
        );
        Assert.Single(answers, a => a.StatusCode == HttpStatusCode.OK);
        Assert.Equal(1, await school.AsOwner(s => s.Users.CountAsync(u => u.Email!.StartsWith("one"))));
    }

    [Fact]
    public async Task A_link_ends_by_time_by_being_taken_back_and_with_who_made_it()
    {
        var stranger = await school.As(null);
        async Task Closed(LinkView link) =>
            Assert.Equal(
                "link-over",
                await Code(
                    await stranger.Send(HttpMethod.Post, "/api/joining", Ada(link.Key)),
                    HttpStatusCode.Forbidden
                )
            );

        var old = await Invite();
        await school.AsOwner(async s =>
            await s.Database.ExecuteSqlAsync($"update invitations set expires_at = now() - interval '1 minute'")
        );
        await Closed(old);

        var taken = await Invite();
        var id = (await lead.Get<PeopleView>(At("people"))).Invitations.Single().Id;
        await lead.Send(HttpMethod.Delete, At($"invitations/{id}"));
        await Closed(taken);

        var orphan = await Invite();
        var deputy = await school.As("deputy");
        var maker = await Person("lead");
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await deputy.Send(
                    HttpMethod.Post,
                    At($"people/{maker.Id}"),
                    new
                    {
                        role = Role.Teacher,
                        groups = Array.Empty<Guid>(),
                        isActive = true,
                    }
                )
            ).StatusCode
        );
        await Closed(orphan);
        foreach (var key in new[] { "", "x", $"{school.School:N}.{new string('a', 20)}", $"{Guid.NewGuid():N}.abc" })
            await Closed(new LinkView(key, default));
    }

    [Fact]
    public async Task A_person_of_one_school_comes_into_another_as_themselves()
    {
        var link = await Invite(Role.Head);
        var other = await school.As("other");
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await other.Send(HttpMethod.Post, "/api/joining/mine", new { key = link.Key })).StatusCode
        );
        var session = await other.Get<SessionView>("/api/session");
        Assert.Equal(
            [(school.OtherSchool, Role.Lead), (school.School, Role.Head)],
            session.Schools.Select(s => (s.Id, s.Role)).OrderBy(s => s.Role)
        );
        // A password that a lead of one could choose would open the other too.
        var person = await Person("other");
        Assert.Equal(
            "belongs-elsewhere",
            await Code(
                await lead.Send(HttpMethod.Post, At($"people/{person.Id}/reset"), new ResetRequest(ByMail: false)),
                HttpStatusCode.Conflict
            )
        );
        var taken = await Invite();
        Assert.Equal(
            "email-taken",
            await Code(
                await (await school.As(null)).Send(
                    HttpMethod.Post,
                    "/api/joining",
                    Ada(taken.Key, "other@test.example")
                ),
                HttpStatusCode.Conflict
            )
        );
    }

    [Fact]
    public async Task Who_was_let_go_sees_nothing_at_once_and_all_again_when_brought_back()
    {
        var teacher = await school.As("teacher");
        var person = await Person("teacher");
        Assert.Equal(HttpStatusCode.OK, (await teacher.Send(HttpMethod.Get, At("groups"))).StatusCode);
        await Change(person, active: false);
        Assert.Equal(HttpStatusCode.NotFound, (await teacher.Send(HttpMethod.Get, At("groups"))).StatusCode);
        Assert.Empty((await teacher.Get<SessionView>("/api/session")).Schools);
        await Change(person);
        Assert.Equal(HttpStatusCode.OK, (await teacher.Send(HttpMethod.Get, At("groups"))).StatusCode);
    }

    [Fact]
    public async Task There_is_always_a_lead_who_can_get_in()
    {
        await Change(await Person("deputy"), Role.Teacher);
        var last = await Person("lead");
        Assert.Equal("last-lead", await Code(await Change(last, Role.Head), HttpStatusCode.Conflict));
        Assert.Equal("last-lead", await Code(await Change(last, active: false), HttpStatusCode.Conflict));
        await Change(await Person("deputy"), Role.Lead);
        Assert.Equal(HttpStatusCode.OK, (await Change(last, Role.Head)).StatusCode);
    }

    [Fact]
    public async Task Two_leads_who_step_down_at_the_same_moment_leave_one()
    {
        for (var round = 0; round < 4; round++)
        {
            var (one, other) = (await school.As("lead"), await school.As("deputy"));
            var people = (await one.Get<PeopleView>(At("people"))).People;
            Task<HttpResponseMessage> StepDown(TestClient by, string name) =>
                by.Send(
                    HttpMethod.Post,
                    At($"people/{people.Single(p => p.Name == name).Id}"),
                    new
                    {
                        role = Role.Teacher,
                        groups = Array.Empty<Guid>(),
                        isActive = true,
                    }
                );
            await Task.WhenAll(StepDown(one, "lead"), StepDown(other, "deputy"));
            Assert.Equal(1, await school.AsOwner(s => s.Memberships.CountAsync(m => m.Role == Role.Lead)));
            await school.AsOwner(async s =>
                await s.Database.ExecuteSqlAsync(
                    $"update memberships set role = 'Lead' where user_id in (select id from users where display_name in ('lead', 'deputy'))"
                )
            );
        }
    }

    [Fact]
    public async Task A_forgotten_password_is_chosen_anew_by_a_link_that_works_once_for_a_day()
    {
        var teacher = await school.As("teacher");
        var person = await Person("teacher");
        async Task<LinkView> Link() =>
            await TestClient.Read<LinkView>(
                await lead.Send(HttpMethod.Post, At($"people/{person.Id}/reset"), new ResetRequest(ByMail: false))
            );
        var (first, link) = (await Link(), await Link());
        var stranger = await school.As(null);
        Task<HttpResponseMessage> Choose(string key, string password) =>
            stranger.Send(HttpMethod.Post, "/api/resets", new { key, password });

        // A newer link ends the one before; a weak password does not use it up.
        Assert.Equal("link-over", await Code(await Choose(first.Key, Good), HttpStatusCode.Forbidden));
        Assert.Equal(
            "common-password",
            await Code(await Choose(link.Key, "dragondragon"), HttpStatusCode.UnprocessableEntity)
        );
        Assert.Equal(HttpStatusCode.NoContent, (await Choose(link.Key, Good)).StatusCode);
        Assert.Equal("link-over", await Code(await Choose(link.Key, Good), HttpStatusCode.Forbidden));
        Assert.Equal(HttpStatusCode.Unauthorized, (await teacher.Send(HttpMethod.Get, At("groups"))).StatusCode);
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await stranger.Send(
                    HttpMethod.Post,
                    "/api/session",
                    new { email = "teacher@test.example", password = Good }
                )
            ).StatusCode
        );
    }

    [Fact]
    public async Task A_link_for_a_password_ends_with_its_makers_being_a_lead_and_with_a_second_school()
    {
        var person = await Person("teacher");
        var stranger = await school.As(null);
        async Task<LinkView> Link() =>
            await TestClient.Read<LinkView>(
                await lead.Send(HttpMethod.Post, At($"people/{person.Id}/reset"), new ResetRequest(ByMail: false))
            );
        async Task Closed(LinkView link) =>
            Assert.Equal(
                "link-over",
                await Code(
                    await stranger.Send(HttpMethod.Post, "/api/resets", new { key = link.Key, password = Good }),
                    HttpStatusCode.Forbidden
                )
            );
        var link = await Link();
        Task Lead(string role) =>
            school.AsOwner(async s =>
                await s.Database.ExecuteSqlAsync(
                    $"update memberships set role = {role} where user_id in (select id from users where display_name = 'lead')"
                )
            );
        await Lead("Teacher");
        await Closed(link);
        await Lead("Lead");
        await school.AlsoIn(school.OtherSchool, "teacher", Role.Teacher);
        await Closed(link);
    }

    [Fact]
    public async Task A_new_password_ends_every_session_but_this_one()
    {
        var (here, elsewhere) = (await school.As("teacher"), await school.As("teacher"));
        Task<HttpResponseMessage> To(string before, string after) =>
            here.Send(HttpMethod.Post, "/api/account/password", new { before, after });
        Assert.Equal("wrong-password", await Code(await To("wrong", Good), HttpStatusCode.UnprocessableEntity));
        foreach (var (weak, code) in new[] { ("too-short", "bad-password"), ("teacher-otter-boat", "common-password") })
            Assert.Equal(code, await Code(await To(TestSchool.Password, weak), HttpStatusCode.UnprocessableEntity));
        Assert.Equal(HttpStatusCode.NoContent, (await To(TestSchool.Password, Good)).StatusCode);
        here.ForgetToken();
        Assert.Single((await here.Get<AccountView>("/api/account")).Sessions);
        Assert.Equal(HttpStatusCode.OK, (await here.Send(HttpMethod.Get, At("groups"))).StatusCode);
        Assert.Equal(HttpStatusCode.Unauthorized, (await elsewhere.Send(HttpMethod.Get, At("groups"))).StatusCode);
    }

    [Fact]
    public async Task One_of_ones_own_sessions_is_ended_from_another_and_nobody_elses()
    {
        var (here, elsewhere) = (await school.As("teacher"), await school.As("teacher"));
        var sessions = (await here.Get<AccountView>("/api/account")).Sessions;
        Assert.Equal(2, sessions.Count);
        var other = sessions.Single(s => !s.IsThis).Id;
        await TestClient.Problem(
            await lead.Send(HttpMethod.Delete, $"/api/account/sessions/{other}"),
            HttpStatusCode.NotFound
        );
        await here.Send(HttpMethod.Delete, $"/api/account/sessions/{other}");
        Assert.Equal(HttpStatusCode.Unauthorized, (await elsewhere.Send(HttpMethod.Get, At("groups"))).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await here.Send(HttpMethod.Get, At("groups"))).StatusCode);
    }

    [Fact]
    public async Task With_a_second_factor_the_door_asks_for_a_code_and_takes_none_twice()
    {
        var teacher = await school.As("teacher");
        var key = await TestClient.Read<FactorKey>(
            await teacher.Send(HttpMethod.Post, "/api/account/second-factor/key")
        );
        teacher.ForgetToken();
        // The three corners by which a camera finds a QR code, inside its quiet zone.
        Assert.All(key.Picture, row => Assert.Equal(key.Picture.Count, row.Length));
        foreach (var (x, y) in new[] { (4, 4), (key.Picture.Count - 11, 4), (4, key.Picture.Count - 11) })
            Assert.Equal(
                ["1111111", "1000001", "1011101", "1011101", "1011101", "1000001", "1111111"],
                key.Picture.Skip(y).Take(7).Select(row => row.Substring(x, 7))
            );
        Assert.Equal(
            "wrong-code",
            await Code(
                await teacher.Send(HttpMethod.Post, "/api/account/second-factor", new { code = "000000" }),
                HttpStatusCode.UnprocessableEntity
            )
        );
        var now = Totp(key.Key, 0);
        var codes = (
            await TestClient.Read<RecoveryCodes>(
                await teacher.Send(HttpMethod.Post, "/api/account/second-factor", new { code = now })
            )
        ).Codes;
        teacher.ForgetToken();
        Assert.Equal(SecondFactor.RecoveryCodes, codes.Count);
        Assert.Equal(HttpStatusCode.OK, (await teacher.Send(HttpMethod.Get, At("groups"))).StatusCode);

        async Task<string> Try(string? code)
        {
            var answer = await (await school.As(null)).Send(
                HttpMethod.Post,
                "/api/session",
                new
                {
                    email = "teacher@test.example",
                    password = TestSchool.Password,
                    code,
                }
            );
            return answer.IsSuccessStatusCode ? "in" : await Code(answer, HttpStatusCode.Unauthorized);
        }
        Assert.Equal("code-needed", await Try(null));
        Assert.Equal("wrong-code", await Try(now));
        Assert.Equal("in", await Try(Totp(key.Key, 1)));
        Assert.Equal("in", await Try(codes[0]));
        Assert.Equal("wrong-code", await Try(codes[0]));
        Assert.Equal(9, (await teacher.Get<AccountView>("/api/account")).CodesLeft);

        Assert.Equal(
            "wrong-password",
            await Code(
                await teacher.Send(HttpMethod.Post, "/api/account/second-factor/off", new { password = "no" }),
                HttpStatusCode.UnprocessableEntity
            )
        );
        await teacher.Send(HttpMethod.Post, "/api/account/second-factor/off", new { password = TestSchool.Password });
        Assert.Equal("in", await Try(null));
    }

    /// <summary>What an authenticator app shows (RFC 6238), some half-minutes from now.</summary>
    private static string Totp(string key, int ahead)
    {
        const string Signs = "abcdefghijklmnopqrstuvwxyz234567";
        var bits = string.Concat(
            key.Replace(" ", "").Select(c => Convert.ToString(Signs.IndexOf(c), 2).PadLeft(5, '0'))
        );
        var secret = Enumerable.Range(0, bits.Length / 8).Select(i => Convert.ToByte(bits.Substring(i * 8, 8), 2));
        var step = BitConverter.GetBytes(DateTimeOffset.UtcNow.ToUnixTimeSeconds() / 30 + ahead);
        if (BitConverter.IsLittleEndian)
            Array.Reverse(step);
#pragma warning disable CA5350 // What the standard asks for.
        var hash = HMACSHA1.HashData(secret.ToArray(), step);
#pragma warning restore CA5350
        var at = hash[^1] & 0xf;
        var number = ((hash[at] & 0x7f) << 24) | (hash[at + 1] << 16) | (hash[at + 2] << 8) | hash[at + 3];
        return (number % 1_000_000).ToString("D6", System.Globalization.CultureInfo.InvariantCulture);
    }

    [Fact]
    public async Task The_first_school_is_made_once_by_a_code_and_there_is_no_other_way()
    {
        await using var server = await TestSchool.OpenEmpty();
        async Task<string?> Begin()
        {
            await using var scope = server.App.Services.CreateAsyncScope();
            return await scope.ServiceProvider.GetRequiredService<FirstRunDesk>().Begin();
        }
        var (older, code) = (await Begin(), await Begin());
        object Wanted(string? key, string password = Good) =>
            new
            {
                key,
                name = "Harbour Lane",
                timeZone = "Europe/London",
                accent = "southern-british",
                language = "en-GB",
                lead = new
                {
                    name = "Nell Marsh",
                    email = "nell@test.example",
                    password,
                },
            };
        var client = await server.As(null);
        foreach (var wrong in new[] { "", "nonsense", older })
            Assert.Equal(
                "first-run-over",
                await Code(
                    await client.Send(HttpMethod.Post, "/api/first-run", Wanted(wrong)),
                    HttpStatusCode.Forbidden
                )
            );
        // A weak password uses nothing up.
        Assert.Equal(
            "common-password",
            await Code(
                await client.Send(HttpMethod.Post, "/api/first-run", Wanted(code, "password123456")),
                HttpStatusCode.UnprocessableEntity
            )
        );
        var session = await TestClient.Read<SessionView>(
            await client.Send(HttpMethod.Post, "/api/first-run", Wanted(code))
        );
        client.ForgetToken();
        Assert.Equal(("Harbour Lane", Role.Lead), (session.Schools.Single().Name, session.Schools.Single().Role));
        Assert.Empty(await client.Get<List<GroupView>>($"/api/schools/{session.Schools.Single().Id}/groups"));
        Assert.Equal(
            "first-run-over",
            await Code(await client.Send(HttpMethod.Post, "/api/first-run", Wanted(code)), HttpStatusCode.Forbidden)
        );
        Assert.Null(await Begin());
    }

    [Fact]
    public async Task A_group_is_made_where_it_stands_and_its_next_lesson_is_that_rung()
    {
        var rung = school.OttersNext.ElementAt(20);
        object Wanted(Guid id, string name, string? next) =>
            new
            {
                id,
                name,
                ladderId = school.Ladder,
                nextRung = next,
                lessonMinutes = 20,
                lessonDays = (int[]?)null,
                people = Array.Empty<GroupTaker>(),
            };
        var id = Guid.NewGuid();
        for (var twice = 0; twice < 2; twice++)
            Assert.Equal(
                3,
                (
                    await TestClient.Read<List<GroupView>>(
                        await lead.Send(HttpMethod.Post, At("groups"), Wanted(id, "Herons", rung.Id))
                    )
                ).Count
            );
        var lesson = await lead.Open(id, TestSchool.Today);
        Assert.Equal(rung.Id, lesson.RungId);
        Assert.Equal(
            "name-taken",
            await Code(
                await lead.Send(HttpMethod.Post, At("groups"), Wanted(Guid.NewGuid(), "Herons", null)),
                HttpStatusCode.Conflict
            )
        );
        var teacher = await Person("teacher");
        await lead.Send(
            HttpMethod.Post,
            At($"groups/{id}"),
            new { name = "Grey Herons", people = new[] { new GroupTaker(teacher.Id, null) } }
        );
        Assert.Equal(
            ["Grey Herons", "Otters"],
            (await (await school.As("teacher")).Get<List<GroupView>>(At("groups"))).Select(g => g.Name)
        );
        await lead.Send(HttpMethod.Delete, At($"groups/{id}"));
        Assert.Equal(["Kestrels", "Otters"], (await lead.Get<List<GroupView>>(At("groups"))).Select(g => g.Name));
    }
}
