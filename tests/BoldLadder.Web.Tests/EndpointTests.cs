using System.Net;
using System.Text.Json.Nodes;
using BoldLadder.Store;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Routing;
using Microsoft.AspNetCore.Routing.Patterns;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Every endpoint there is, against everyone who must not use it: a new endpoint joins by existing.</summary>
public sealed class EndpointTests : IAsyncLifetime
{
    /// <summary>Open to all: signing in, and what signing in needs.</summary>
    private static readonly string[] Open =
    [
        "GET /api/antiforgery",
        "GET /api/session",
        "POST /api/session",
        "POST /api/cover",
        "GET /api/facts",
        "POST /api/first-run",
        "POST /api/joining/look",
        "POST /api/joining",
        "POST /api/resets",
        // A calendar program knows nothing but the address, which has a secret in it.
        "GET /api/calendars/{key}/lessons.ics",
        "GET /api/pictures/{ownerId:guid}/{pictureId:guid}",
    ];

    private readonly Operations operations = new();
    private TestSchool school = null!;

    /// <summary>A lesson of the Kestrels, where a test opens one.</summary>
    private Guid lesson = Guid.NewGuid();
    private readonly Guid child = Guid.NewGuid();

    public async Task InitializeAsync() => school = await TestSchool.Open();

    public async Task DisposeAsync() => await school.DisposeAsync();

    private sealed record Target(HttpMethod Method, string Path, RoutePattern Pattern)
    {
        public bool IsOpen => Open.Contains($"{Method} /{Pattern.RawText!.TrimStart('/')}");

        public bool InSchool => Pattern.GetParameter("schoolId") is not null;

        public bool InGroup => new[] { "groupId", "lessonId", "childId" }.Any(p => Pattern.GetParameter(p) is not null);

        public bool TakesBody { get; init; }

        public override string ToString() => $"{Method} {Path}";
    }

    private List<Target> Targets()
    {
        var found = school
            .App.Services.GetServices<EndpointDataSource>()
            .SelectMany(s => s.Endpoints)
            .OfType<RouteEndpoint>()
            .Where(e =>
                e.RoutePattern.RawText!.TrimStart('/').StartsWith("api/", StringComparison.Ordinal)
                && !e.RoutePattern.RawText.Contains('*', StringComparison.Ordinal)
            )
            .SelectMany(e =>
                e.Metadata.GetMetadata<HttpMethodMetadata>()!
                    .HttpMethods.Select(m => new Target(
                        new HttpMethod(m),
                        Fill(e.RoutePattern) + Query(e.RoutePattern),
                        e.RoutePattern
                    )
                    {
                        TakesBody = e.Metadata.GetMetadata<IAcceptsMetadata>() is not null,
                    })
            )
            .ToList();
        // As many as the API's own document has: none is missed, none hides from the document.
        Assert.Equal(operations.All.Count, found.Count);
        return found;
    }

    /// <summary>What an address needs after the question mark.</summary>
    private string Query(RoutePattern pattern) =>
        pattern.RawText!.Split('/')[^1] switch
        {
            "sample" => "?accent=southern-british",
            "verdicts" => "?text=pin",
            "words" => $"?ladderId={school.Ladder}&version=1",
            "reading" => $"?groupId={school.Kestrels}",
            _ => "",
        };

    private string Fill(RoutePattern pattern) =>
        "/"
        + string.Join(
            '/',
            pattern.PathSegments.Select(s =>
                string.Concat(
                    s.Parts.Select(p =>
                        p switch
                        {
                            RoutePatternParameterPart parameter => parameter.Name switch
                            {
                                "schoolId" => school.School.ToString(),
                                "groupId" => school.Kestrels.ToString(),
                                "intoId" => school.Otters.ToString(),
                                "lessonId" => lesson.ToString(),
                                "ladderId" => school.Ladder.ToString(),
                                "version" => "1",
                                "rungId" => "n=n",
                                "date" => "2026-11-24",
                                "word" => "ship",
                                "day" => "new",
                                "minutes" => "20",
                                "kind" => "read-and-mark",
                                "childId" => child.ToString(),
                                "userId"
                                or "invitationId"
                                or "sessionId"
                                or "jobId"
                                or "feedId"
                                or "voiceId"
                                or "pictureId"
                                or "textId"
                                or "bookId"
                                or "useId"
                                or "ownerId" => Guid.Empty.ToString(),
                                "key" => "none",
                                _ => throw new InvalidOperationException(
                                    $"Say in this test what to put for {{{parameter.Name}}}."
                                ),
                            },
                            RoutePatternLiteralPart literal => literal.Content,
                            _ => throw new InvalidOperationException(),
                        }
                    )
                )
            )
        );

    [Fact]
    public async Task A_stranger_is_asked_to_sign_in()
    {
        var stranger = await school.As(null);
        foreach (var target in Targets().Where(t => !t.IsOpen))
        {
            await TestClient.Problem(
                await stranger.Send(target.Method, target.Path, target.TakesBody ? new { } : null),
                HttpStatusCode.Unauthorized
            );
        }
    }

    [Fact]
    public async Task Another_schools_lead_finds_nothing()
    {
        lesson = (await (await school.As("lead")).Open(school.Kestrels, TestSchool.Today)).Id;
        var other = await school.As("other");
        foreach (var target in Targets().Where(t => t.InSchool))
        {
            await TestClient.Problem(
                await other.Send(target.Method, target.Path, Body(target), version: 1),
                HttpStatusCode.NotFound
            );
        }
    }

    [Fact]
    public async Task A_teacher_of_another_group_finds_nothing()
    {
        lesson = (await (await school.As("lead")).Open(school.Kestrels, TestSchool.Today)).Id;
        await school.AsOwner(s =>
        {
            s.Children.Add(
                new Child
                {
                    SchoolId = school.School,
                    ChildId = child,
                    Name = "Bo",
                }
            );
            s.ChildPlaces.Add(
                new ChildPlace
                {
                    SchoolId = school.School,
                    Id = Guid.NewGuid(),
                    ChildId = child,
                    GroupId = school.Kestrels,
                    First = TestSchool.Today,
                }
            );
            return Task.FromResult(0);
        });
        var teacher = await school.As("teacher");
        foreach (var target in Targets().Where(t => t.InGroup))
        {
            await TestClient.Problem(
                await teacher.Send(target.Method, target.Path, Body(target), version: 1),
                HttpStatusCode.NotFound
            );
        }
    }

    [Fact]
    public async Task A_missing_antiforgery_token_is_refused_with_nothing_changed()
    {
        var lead = await school.As("lead");
        foreach (var target in Targets().Where(t => t.Method != HttpMethod.Get))
        {
            var problem = await TestClient.Problem(
                await lead.Send(target.Method, target.Path, Body(target), version: 1, withToken: false),
                HttpStatusCode.BadRequest
            );
            Assert.Equal("bold:stale-page", problem.GetProperty("type").GetString());
        }
        Assert.Equal(0, await school.AsOwner(s => Task.FromResult(s.Lessons.Count())));
    }

    /// <summary>What a teacher may change: lessons of their own groups, by the role of the job.</summary>
    [Fact]
    public async Task A_teacher_changes_no_ladder_calendar_or_style()
    {
        await (await school.As("lead")).Send(
            HttpMethod.Put,
            $"/api/schools/{school.School}/ladders/{school.Ladder}/draft"
        );
        var teacher = await school.As("teacher");
        foreach (
            var target in Targets()
                .Where(t =>
                    t.Method != HttpMethod.Get
                    && t.InSchool
                    && !t.InGroup
                    && !t.Path.EndsWith("/trials", StringComparison.Ordinal)
                    // A job is its maker's own.
                    && !t.Path.Contains("/jobs/", StringComparison.Ordinal)
                    // Their bodies name a group, and only their own will do (CalendarFileTests, JobTests).
                    && !t.Path.Contains("/feeds", StringComparison.Ordinal)
                    && !t.Path.EndsWith("/weeks/planning", StringComparison.Ordinal)
                    // Whoever cuts cards puts them in the box.
                    && !t.Path.EndsWith("/box", StringComparison.Ordinal)
                    // Whoever teaches writes texts and keeps the shelf.
                    && !t.Path.Contains("texts", StringComparison.Ordinal)
                    && !t.Path.Contains("/books", StringComparison.Ordinal)
                )
        )
        {
            var problem = await TestClient.Problem(
                await teacher.Send(target.Method, target.Path, Body(target), version: 1),
                HttpStatusCode.Forbidden
            );
            Assert.Equal("bold:lead-only", problem.GetProperty("type").GetString());
        }
        await TestClient.Problem(
            await teacher.Send(
                HttpMethod.Post,
                $"/api/schools/{school.School}/groups/{school.Otters}/ladder",
                new { ladderId = school.Ladder, version = 1 }
            ),
            HttpStatusCode.Forbidden
        );
    }

    /// <summary>Who only looks is refused every change, whatever is in it, and planned lessons are shown.</summary>
    [Theory]
    [InlineData("helper")]
    [InlineData("head")]
    public async Task A_helper_and_a_head_change_nothing_and_see_what_is_theirs(string who)
    {
        var lead = await school.As("lead");
        var otters = (await lead.Open(school.Otters, TestSchool.Today)).Id;
        lesson = (await lead.Open(school.Kestrels, TestSchool.Today)).Id;
        var before = await Rows();
        var reader = await school.As(who);
        foreach (var target in Targets().Where(t => t.Method != HttpMethod.Get && t.InSchool))
        {
            var answer = await reader.Send(target.Method, target.Path, Body(target), version: 1);
            // Whoever reads may have a text checked: nothing of it is kept.
            if (target.Path.Contains("/texts/", StringComparison.Ordinal))
                continue;
            // A helper marks and holds catch-ups, but of no other group; a head may see what they would be.
            if (
                target.Path.EndsWith("/marks/attempt", StringComparison.Ordinal)
                || target.Path.EndsWith("/catch-up/plan", StringComparison.Ordinal)
            )
                continue;
            if (
                who == "helper"
                && (
                    target.Path.EndsWith("/marks", StringComparison.Ordinal)
                    || target.Path.EndsWith("/catch-up", StringComparison.Ordinal)
                )
            )
            {
                Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
                continue;
            }
            if (
                (target.Method == HttpMethod.Put && target.Path.Contains("/lessons/", StringComparison.Ordinal))
                || target.Path.EndsWith("/remote", StringComparison.Ordinal)
            )
            {
                // A lesson that was planned is opened and led by a head, and not of another group by a helper.
                Assert.Equal(who == "head" ? HttpStatusCode.OK : HttpStatusCode.NotFound, answer.StatusCode);
                continue;
            }
            var problem = await TestClient.Problem(answer, HttpStatusCode.Forbidden);
            Assert.Equal("bold:reader-only", problem.GetProperty("type").GetString());
        }
        Assert.Equal(before, await Rows());
        Assert.Equal(
            HttpStatusCode.OK,
            (await reader.Send(HttpMethod.Get, $"/api/schools/{school.School}/lessons/{otters}")).StatusCode
        );
        Assert.Equal(
            who == "head" ? HttpStatusCode.OK : HttpStatusCode.NotFound,
            (await reader.Send(HttpMethod.Get, $"/api/schools/{school.School}/lessons/{lesson}")).StatusCode
        );
        // A day that nobody planned stays so.
        var unplanned = await reader.Send(
            HttpMethod.Put,
            $"/api/schools/{school.School}/groups/{school.Otters}/lessons/{TestSchool.Today.AddDays(1):yyyy-MM-dd}"
        );
        Assert.Equal(
            "bold:reader-only",
            (await TestClient.Problem(unplanned, HttpStatusCode.Forbidden)).GetProperty("type").GetString()
        );
        foreach (var path in new[] { "people", "audit" })
            await TestClient.Problem(
                await reader.Send(HttpMethod.Get, $"/api/schools/{school.School}/{path}"),
                HttpStatusCode.Forbidden
            );
    }

    /// <summary>How many rows each table has that a change would add to.</summary>
    private Task<(int, int, int, int)> Rows() =>
        school.AsOwner(async s =>
            (
                await s.Audit.CountAsync(),
                await s.Lessons.CountAsync(),
                await s.LessonChanges.CountAsync(),
                await s.Invitations.CountAsync()
            )
        );

    [Theory]
    [InlineData("{")]
    [InlineData("[]")]
    [InlineData("""{"type":"no-such-command"}""")]
    [InlineData("\"\\ud800\"")]
    public async Task Malformed_json_is_refused_with_a_sentence(string json)
    {
        var lead = await school.As("lead");
        await lead.Open(school.Kestrels, TestSchool.Today);
        foreach (var target in Targets().Where(t => t.TakesBody))
        {
            var answer = await lead.Send(target.Method, target.Path, raw: json, version: 1);
            var problem = await TestClient.Problem(answer, HttpStatusCode.BadRequest);
            Assert.False(string.IsNullOrWhiteSpace(problem.GetProperty("detail").GetString()));
        }
    }

    [Fact]
    public async Task Every_answer_carries_the_security_headers_and_the_api_is_not_stored()
    {
        var lead = await school.As("lead");
        foreach (var target in Targets().Where(t => t.Method == HttpMethod.Get))
        {
            var answer = await lead.Send(target.Method, target.Path);
            Assert.Contains(
                "default-src 'self'",
                answer.Headers.GetValues("Content-Security-Policy").Single(),
                StringComparison.Ordinal
            );
            Assert.Equal("nosniff", answer.Headers.GetValues("X-Content-Type-Options").Single());
            Assert.Equal("no-referrer", answer.Headers.GetValues("Referrer-Policy").Single());
            Assert.True(answer.Headers.CacheControl!.NoStore);
        }
    }

    /// <summary>
    /// A body of the shape the operation takes; what is in it does not matter to who must not send it.
    /// </summary>
    private object? Body(Target target) =>
        target.TakesBody
            ? operations.Sample(
                operations.All.Single(o => o.Method == target.Method && o.Path.Trim('/') == Plain(target.Pattern)).Body,
                new Dictionary<string, JsonNode?>()
            )
            : null;

    /// <summary>The pattern without the kinds of its parameters, as the document writes it.</summary>
    private static string Plain(RoutePattern pattern) =>
        string.Join(
            '/',
            pattern.PathSegments.Select(s =>
                string.Concat(
                    s.Parts.Select(p =>
                        p switch
                        {
                            RoutePatternParameterPart parameter => $"{{{parameter.Name}}}",
                            RoutePatternLiteralPart literal => literal.Content,
                            _ => throw new InvalidOperationException(),
                        }
                    )
                )
            )
        );
}
