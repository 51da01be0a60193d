using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using BoldLadder.Core.Randomness;
using BoldLadder.School.Calendars;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Style;
using BoldLadder.School.Templates;
using BoldLadder.School.Words;
using Xunit;
using Xunit.Abstractions;

namespace BoldLadder.Web.Tests;

/// <summary>
/// Whatever is sent to whatever operation: never a 500, and every refusal is problem details with the security headers.
/// Operations, fields and parameters come from the API's own document; seeded, more of it in <c>./test --deep</c>.
/// </summary>
public sealed class GeneratedInputTests(ITestOutputHelper output) : IAsyncLifetime
{
    private const long Seed = 20261128;
    private const int Letters = 100_000;

    private readonly Operations operations = new();
    private readonly Dictionary<string, JsonNode?> given = [];
    private readonly Dictionary<HttpStatusCode, int> answers = [];
    private readonly List<string> wrong = [];
    private TestSchool school = null!;
    private Guid lesson;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
        lesson = (await lead.Open(school.Kestrels, TestSchool.Today)).Id;
        await lead.Send(HttpMethod.Put, $"/api/schools/{school.School}/ladders/{school.Ladder}/draft");
        // Fields that must mean something for a request to get anywhere.
        foreach (
            var (name, value) in new (string, JsonNode?)[]
            {
                ("groupId", school.Kestrels.ToString()),
                ("ladderId", school.Ladder.ToString()),
                ("version", 1),
                ("lessonDays", new JsonArray(1, 2)),
                ("minutes", 20),
                ("lessonMinutes", 20),
                ("from", "blank"),
                ("notation", "sh=ʃ"),
                ("subject", "sh=ʃ"),
                ("what", "sh=ʃ"),
                ("accent", "southern-british"),
                ("first", "2026-09-01"),
                ("last", "2027-07-01"),
                ("format", 1),
                ("activityId", "practise-read"),
                ("weekday", 1),
                ("correspondences", new JsonArray("sh=ʃ")),
                ("patterns", new JsonArray("suffix-s")),
                ("leniencies", new JsonArray()),
                ("switches", null),
                ("labels", new JsonObject()),
                ("chunks", new JsonArray()),
                ("password", "wrong-password"),
            }
        )
            given[name] = value;
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private static bool IsDeep => Environment.GetEnvironmentVariable("BOLD_DEEP") == "1";

    /// <summary>Signing out would end the test; signing in is limited by address and has tests of its own.</summary>
    private IEnumerable<Operation> Tried =>
        operations.All.Where(o =>
            o.ToString() is not ("DELETE /api/session" or "DELETE /api/sessions" or "POST /api/session")
        );

    /// <summary>What a place of JSON is replaced by: each once at each place.</summary>
    private static IEnumerable<(string What, string Raw)> Odd()
    {
        yield return ("null", "null");
        yield return ("99", "99");
        yield return ("-1", "-1");
        yield return ("huge number", "1e400");
        yield return ("large integer", "2147483648");
        yield return ("true", "true");
        yield return ("object", "{}");
        yield return ("empty list", "[]");
        yield return ("list of null", "[null]");
        yield return ("list of lists", "[[[]]]");
        yield return ("empty text", "\"\"");
        yield return ("unknown word", "\"no-such-thing\"");
        yield return ("U+0000", "\"a\\u0000b\"");
        yield return ("list of U+0000", "[\"a\\u0000b\"]");
        yield return ("lone surrogate", "\"\\ud800\"");
        yield return ("direction marks", "\"\\u202e\\u2066x\"");
        yield return ("no such day", "\"2026-02-30\"");
        yield return ("last day there is", "\"9999-12-31\"");
        yield return ("first day there is", "\"0001-01-01\"");
        yield return ("long text", $"\"{new string('x', Letters)}\"");
        yield return ("long list", $"[{string.Join(',', Enumerable.Repeat("1", 20_000))}]");
        yield return ("deep", new string('[', 200) + new string(']', 200));
        yield return ("not JSON", "{");
    }

    [Fact]
    public async Task No_body_breaks_any_operation()
    {
        foreach (var operation in Tried.Where(o => o.Body is not null))
        {
            var body = operations.Sample(operation.Body, given)!;
            if (await Try(operation, "as it should be", body.ToJsonString()) == HttpStatusCode.BadRequest)
                wrong.Add($"{operation}: what its own document describes can't be read: {body.ToJsonString()}");
            var places = Places(body, "$").ToList();
            Assert.NotEmpty(places);
            foreach (
                var (path, raw) in Chosen(
                        operation,
                        places.SelectMany(p =>
                            Odd().Select(o => (Path: $"{p}: {o.What}", Raw: Replaced(body, p, o.Raw)))
                        )
                    )
                    .Concat(Whole())
            )
            {
                await Try(operation, path, raw);
            }
            foreach (
                var type in new[]
                {
                    "application/json; charset=nope",
                    "text/plain",
                    "application/json; charset=utf-7",
                    "multipart/form-data; boundary=x",
                    "",
                }
            )
                await Try(operation, type, body.ToJsonString(), type);
        }
        Finish();
    }

    /// <summary>Bodies that are wrong as a whole.</summary>
    private static IEnumerable<(string Path, string Raw)> Whole() =>
        [
            ("whole: nothing", ""),
            ("whole: list", "[]"),
            ("whole: null", "null"),
            ("whole: text", "\"x\""),
            ("whole: number", "1"),
            ("whole: cut", "{\"a\":"),
            ("whole: twice", "{}{}"),
            ("whole: U+FEFF", "\ufeff{}"),
            ("whole: empty object", "{}"),
            ("whole: deep", new string('[', 3000)),
        ];

    /// <summary>All of them in the long sweep; else some of each operation's, other ones for each operation.</summary>
    private static IEnumerable<(string Path, string Raw)> Chosen(
        Operation operation,
        IEnumerable<(string Path, string Raw)> all
    )
    {
        const int some = 14;
        return IsDeep ? all : Seeded.For(Seed, operation.ToString()).Shuffle(all).Take(some);
    }

    [Fact]
    public async Task No_address_breaks_any_operation()
    {
        var odd = new[]
        {
            "0",
            "-1",
            "2147483648",
            "9999-12-31",
            "0001-01-01",
            "2026-02-30",
            "%F0%9F%98%80",
            "a%0Ab",
            "..%2f..",
            "%C0%AF",
            "x%27%20or%201=1",
            new string('x', 300),
            "00000000-0000-0000-0000-000000000000",
            "%E2%80%AE",
            "null",
            "[]",
            "%252e",
            "%FF",
        };
        foreach (var operation in Tried)
        {
            foreach (
                var (name, at, _) in operation.Parameters.Where(p => p.In is "path" or "query" && p.Name != "schoolId")
            )
            {
                foreach (var value in IsDeep ? odd : Seeded.For(Seed, $"{operation} {name}").Shuffle(odd).Take(7))
                    await Try(
                        operation,
                        $"{at} {name}: {value}",
                        operation.Body is null ? null : "{}",
                        change: (name, value)
                    );
                if (at == "query")
                    await Try(operation, $"{at} {name}: U+0000", null, change: (name, "a%00b"));
            }
        }
        Finish();
    }

    [Fact]
    public async Task No_version_breaks_any_operation()
    {
        foreach (var operation in Tried.Where(o => o.Parameters.Any(p => p.Name == "If-Match")))
        {
            foreach (
                var seen in new[]
                {
                    "",
                    "x",
                    "\"",
                    "\"2147483648\"",
                    "-1",
                    "*",
                    "W/\"1\"",
                    "\"1\", \"2\"",
                    new string('9', 2000),
                }
            )
                await Try(
                    operation,
                    $"If-Match {seen}",
                    operations.Sample(operation.Body, given)?.ToJsonString(),
                    match: seen
                );
        }
        Finish();
    }

    /// <summary>The test can fail: what it looks for is found where it is.</summary>
    [Fact]
    public void Every_field_of_a_body_is_a_place()
    {
        var calendar = operations.All.Single(o =>
            o.Path.EndsWith("/calendar", StringComparison.Ordinal) && o.Body is not null
        );
        var places = Places(operations.Sample(calendar.Body, given)!, "$").ToList();
        Assert.Superset(
            new HashSet<string> { "$.terms", "$.terms[0]", "$.terms[0].first", "$.groups[0].lessonDays[0]" },
            places.ToHashSet()
        );
        Assert.Equal(operations.All.Count, operations.All.Select(o => o.ToString()).Distinct().Count());
    }

    private static IEnumerable<string> Places(JsonNode? node, string path) =>
        node switch
        {
            JsonObject fields => fields.SelectMany(f => Places(f.Value, $"{path}.{f.Key}").Prepend($"{path}.{f.Key}")),
            JsonArray list => list.SelectMany((one, i) => Places(one, $"{path}[{i}]").Prepend($"{path}[{i}]")),
            _ => [],
        };

    private static string Replaced(JsonNode body, string path, string raw)
    {
        const string mark = "@@here@@";
        var copy = body.DeepClone();
        var steps = path[1..].Split(['.', '['], StringSplitOptions.RemoveEmptyEntries);
        var at = copy;
        foreach (var step in steps[..^1])
            at = step.EndsWith(']')
                ? at![int.Parse(step[..^1], System.Globalization.CultureInfo.InvariantCulture)]
                : at![step];
        if (steps[^1].EndsWith(']'))
            at![int.Parse(steps[^1][..^1], System.Globalization.CultureInfo.InvariantCulture)] = mark;
        else
            at![steps[^1]] = mark;
        return copy.ToJsonString().Replace($"\"{mark}\"", raw, StringComparison.Ordinal);
    }

    private async Task<HttpStatusCode> Try(
        Operation operation,
        string what,
        string? body,
        string type = "application/json",
        (string Name, string Value)? change = null,
        string? match = null
    )
    {
        string Value(string name) =>
            change is { } c && c.Name == name
                ? c.Value
                : name switch
                {
                    "schoolId" => school.School.ToString(),
                    "groupId" => school.Kestrels.ToString(),
                    "lessonId" => lesson.ToString(),
                    "ladderId" => school.Ladder.ToString(),
                    "version" or "weeks" or "days" or "weekday" or "to" => "1",
                    "date" => "2026-11-24",
                    "time" => "09:10:00",
                    "rungId" => "n%3Dn",
                    "day" => "new",
                    "minutes" => "20",
                    "word" => "ship",
                    "accent" => "southern-british",
                    "before" => "2026-11-24T09:00:00Z",
                    "soFar" or "known" => "true",
                    _ => "x",
                };
        var path = operation.Path;
        foreach (var (name, _, _) in operation.Parameters.Where(p => p.In == "path"))
            path = path.Replace($"{{{name}}}", Value(name), StringComparison.Ordinal);
        var query = operation
            .Parameters.Where(p =>
                p.In == "query" && (p.Name is "ladderId" or "version" or "accent" or "text" || change?.Name == p.Name)
            )
            .Select(p => $"{p.Name}={Value(p.Name)}")
            .ToList();
        if (query.Count > 0)
            path += "?" + string.Join('&', query);
        using var request = new HttpRequestMessage(operation.Method, path);
        if (body is not null)
        {
            request.Content = new ByteArrayContent(Encoding.UTF8.GetBytes(body));
            if (type.Length > 0)
                request.Content.Headers.TryAddWithoutValidation("Content-Type", type);
        }
        request.Headers.TryAddWithoutValidation(
            "If-Match",
            match ?? (operation.Parameters.Any(p => p.Name == "If-Match") ? await Seen(operation) : "1")
        );
        if (operation.Method != HttpMethod.Get)
            request.Headers.Add("X-XSRF-TOKEN", await lead.Token());
        var answer = await lead.Http.SendAsync(request);
        answers[answer.StatusCode] = answers.GetValueOrDefault(answer.StatusCode) + 1;
        if (Fault(answer, await answer.Content.ReadAsStringAsync()) is { } fault)
            wrong.Add($"{operation} {what} → {(int)answer.StatusCode} {fault}");
        return answer.StatusCode;
    }

    /// <summary>The stamp or version that lets a change through.</summary>
    private async Task<string> Seen(Operation operation)
    {
        var api = $"/api/schools/{school.School}";
        return operation.Path.Split('/')[^1] switch
        {
            "calendar" => (await lead.Get<CalendarView>($"{api}/calendar")).Stamp,
            "style" => (await lead.Get<StyleView>($"{api}/style")).Stamp,
            "notes" => (await lead.Get<NotesView>($"{api}/notes")) is var notes
            && notes.Notes.FirstOrDefault(n => n.Subject == "sh=ʃ") is { } kept
                ? kept.Stamp
                : notes.NoStamp,
            "templates" => (await lead.Get<TemplatesView>($"{api}/templates")).NoStamp,
            "verdict" => (await lead.Get<WordView>($"{api}/words/ship")).Stamp,
            "commands" or "closing" => (
                await lead.Get<LessonView>(lead.Lesson(school.Kestrels, TestSchool.Today))
            ).Version.ToString(System.Globalization.CultureInfo.InvariantCulture),
            "changes" or "publication" => (
                await lead.Get<LadderView>($"{api}/ladders/{school.Ladder}/draft")
            ).Draft!.Version.ToString(System.Globalization.CultureInfo.InvariantCulture),
            _ => "1",
        };
    }

    private static string? Fault(HttpResponseMessage answer, string text)
    {
        if ((int)answer.StatusCode >= 500)
            return text[..Math.Min(300, text.Length)];
        foreach (
            var (name, value) in new[]
            {
                ("Content-Security-Policy", "default-src 'self'"),
                ("X-Content-Type-Options", "nosniff"),
                ("Referrer-Policy", "no-referrer"),
                ("Cross-Origin-Opener-Policy", "same-origin"),
            }
        )
        {
            if (
                !answer.Headers.TryGetValues(name, out var values)
                || !values.Single().StartsWith(value, StringComparison.Ordinal)
            )
                return $"without {name}";
        }
        if (answer.Headers.CacheControl?.NoStore != true)
            return "may be stored";
        if ((int)answer.StatusCode < 400)
            return null;
        if (answer.Content.Headers.ContentType?.MediaType != "application/problem+json")
            return $"not problem details: {answer.Content.Headers.ContentType} {text[..Math.Min(100, text.Length)]}";
        var problem = JsonSerializer.Deserialize<JsonElement>(text);
        return
            problem.GetProperty("type").GetString()!.StartsWith("bold:", StringComparison.Ordinal)
            && problem.GetProperty("detail").GetString() is { Length: > 10 } detail
            && detail.EndsWith('.')
            ? null
            : "no sentence that says what to do";
    }

    private void Finish()
    {
        output.WriteLine(string.Join(", ", answers.OrderBy(a => a.Key).Select(a => $"{(int)a.Key} ×{a.Value}")));
        Assert.True(
            wrong.Count == 0,
            $"{wrong.Count} of {answers.Values.Sum()}:\n" + string.Join('\n', wrong.Take(40))
        );
        Assert.True(answers.Values.Sum() > 50);
    }
}
