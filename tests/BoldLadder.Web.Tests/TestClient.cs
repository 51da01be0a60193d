using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.Web.Session;

namespace BoldLadder.Web.Tests;

/// <summary>Sends requests as the front end does: cookies kept, antiforgery token fetched when needed.</summary>
public sealed class TestClient(HttpClient http, TestSchool school)
{
    /// <summary>Headers that go with every request.</summary>
    public HttpClient Http => http;

    private string? token;

    public void ForgetToken() => token = null;

    public string Lesson(Guid group, DateOnly date) =>
        $"/api/schools/{school.School}/groups/{group}/lessons/{date:yyyy-MM-dd}";

    public string Lesson(Guid id) => $"/api/schools/{school.School}/lessons/{id}";

    public async Task<HttpResponseMessage> Send(
        HttpMethod method,
        string path,
        object? body = null,
        string? raw = null,
        int? version = null,
        bool withToken = true,
        string? stamp = null,
        string? takes = null
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (raw is not null)
            request.Content = new StringContent(raw, Encoding.UTF8, "application/json");
        else if (body is not null)
            request.Content = JsonContent.Create(
                body,
                body is LessonCommand ? typeof(LessonCommand) : body.GetType(),
                options: TestSchool.Json
            );
        if ((stamp ?? version?.ToString(CultureInfo.InvariantCulture)) is { } seen)
            request.Headers.IfMatch.Add(new EntityTagHeaderValue($"\"{seen}\""));
        if (takes is not null)
            request.Headers.Add("Accept-Encoding", takes);
        if (method != HttpMethod.Get && withToken)
        {
            request.Headers.Add("X-XSRF-TOKEN", await Token());
        }
        return await http.SendAsync(request);
    }

    /// <summary>The antiforgery token of who is signed in.</summary>
    public async Task<string> Token() =>
        token ??= (await http.GetFromJsonAsync<AntiforgeryView>("/api/antiforgery", TestSchool.Json))!.Token;

    public async Task<T> Get<T>(string path) => (await Read<T>(await Send(HttpMethod.Get, path)))!;

    public async Task<LessonView> Open(Guid group, DateOnly date) =>
        await Read<LessonView>(await Send(HttpMethod.Put, Lesson(group, date)));

    public Task<HttpResponseMessage> Change(LessonView lesson, LessonCommand command) =>
        Send(HttpMethod.Post, Lesson(lesson.Id) + "/commands", command, version: lesson.Version);

    /// <summary>Changes a lesson and gives it as it is then.</summary>
    public async Task<LessonView> Changed(LessonView lesson, LessonCommand command) =>
        await Read<LessonView>(await Change(lesson, command));

    public Task<HttpResponseMessage> Close(
        LessonView lesson,
        LessonOutcome outcome,
        string? stoppedAt = null,
        Guid? entry = null
    ) =>
        Send(
            HttpMethod.Post,
            Lesson(lesson.Id) + "/closing",
            new CloseRequest(entry ?? Guid.CreateVersion7(), outcome, stoppedAt),
            version: lesson.Version
        );

    public static async Task<T> Read<T>(HttpResponseMessage answer)
    {
        var text = await answer.Content.ReadAsStringAsync();
        return answer.IsSuccessStatusCode
            ? JsonSerializer.Deserialize<T>(text, TestSchool.Json)!
            : throw new InvalidOperationException($"{(int)answer.StatusCode} {text}");
    }

    /// <summary>The problem details of an answer with this status; anything else fails.</summary>
    public static async Task<JsonElement> Problem(HttpResponseMessage answer, HttpStatusCode status)
    {
        var text = await answer.Content.ReadAsStringAsync();
        if (answer.StatusCode != status)
            throw new InvalidOperationException($"Expected {status}, got {(int)answer.StatusCode} {text}");
        if (answer.Content.Headers.ContentType?.MediaType != "application/problem+json")
            throw new InvalidOperationException($"Not problem details: {answer.Content.Headers.ContentType} {text}");
        return JsonSerializer.Deserialize<JsonElement>(text);
    }
}
