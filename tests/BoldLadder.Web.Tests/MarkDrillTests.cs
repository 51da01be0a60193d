using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;
using BoldLadder.Core.Revisit;
using BoldLadder.School.Marks;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>
/// The app is killed at random moments while marks come in, and started again: what was acknowledged is there, and
/// nothing twice. A few kills here, more in the deep run, and as many as BOLD_DRILL says over a night.
/// </summary>
public sealed class MarkDrillTests : IAsyncLifetime
{
    /// <summary>Of marks coming in once the app has taken the first, in milliseconds.</summary>
    private const int LongestRun = 600;
    private TestSchool school = null!;
    private readonly Guid child = Guid.NewGuid();

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        await school.AsOwner(async store =>
        {
            store.Add(
                new Child
                {
                    SchoolId = school.School,
                    ChildId = child,
                    Name = "Bo",
                }
            );
            store.Add(
                new ChildPlace
                {
                    SchoolId = school.School,
                    Id = Guid.NewGuid(),
                    ChildId = child,
                    GroupId = school.Otters,
                    First = TestSchool.Today,
                }
            );
            return await store.SaveChangesAsync();
        });
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private static int Kills =>
        Environment.GetEnvironmentVariable("BOLD_DRILL") is { Length: > 0 } asked
            ? int.Parse(asked, CultureInfo.InvariantCulture)
        : Environment.GetEnvironmentVariable("BOLD_DEEP") == "1" ? 8
        : 2;

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    [Fact]
    public async Task No_mark_that_was_acknowledged_is_lost_and_none_is_there_twice_however_the_app_is_killed()
    {
        var lead = await school.As("lead");
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        var marking = await lead.Get<MarkingView>($"/api/schools/{school.School}/lessons/{lesson.Id}/marks");
        var word = marking.Words.First(w => w.IsSpelled && !w.IsTricky);
        var acknowledged = new HashSet<Guid>();
        // As a device keeps them: what was not acknowledged is sent again, with its id.
        var waiting = new Queue<MarkGiven>();
        var random = new Random(20261201);
        var address = new Uri($"http://127.0.0.1:{FreePort()}");
        using var http = new HttpClient(new KeptCookies()) { BaseAddress = address };
        var client = new TestClient(http, school);
        for (var kill = 0; kill < Kills; kill++)
        {
            using var app = AppProcess.Start(
                school.Database,
                ("ASPNETCORE_URLS", address.ToString()),
                ("Jobs", "false"),
                ("Today", TestSchool.Today.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture))
            );
            try
            {
                await Answers(client);
                if (kill == 0)
                    await SignIn(client);
                using var end = new Timer(_ => app.Kill());
                var run = random.Next(LongestRun);
                await Send(client, lesson.Id, word.Word, waiting, acknowledged, random, () =>
                    end.Change(run, Timeout.Infinite)
                );
                await app.WaitForExitAsync();
            }
            finally
            {
                if (!app.HasExited)
                    app.Kill();
            }
        }
        // The server is back: the device sends what is left.
        lead = await school.As("lead");
        foreach (var mark in waiting)
            acknowledged.UnionWith(
                (
                    await TestClient.Read<MarkAnswers>(
                        await lead.Send(
                            HttpMethod.Post,
                            $"/api/schools/{school.School}/lessons/{lesson.Id}/marks",
                            new MarksGiven([mark])
                        )
                    )
                ).Marks.Select(m => m.Id)
            );
        // At least the first of each run.
        Assert.True(acknowledged.Count >= Kills, $"{acknowledged.Count} marks in {Kills} runs");
        var kept = await school.AsOwner(s => s.Marks.IgnoreQueryFilters().Select(m => m.Id).ToListAsync());
        Assert.Equal(acknowledged.Order(), kept.Order());
        // Each said one thing of one grapheme: so many rows, and a memory that is what they come to.
        var rows = await school.AsOwner(s => s.Evidence.IgnoreQueryFilters().AsNoTracking().ToListAsync());
        Assert.Equal(kept.Order(), rows.Select(r => r.MarkId).Order());
        var memory = await school.AsOwner(s => s.Memories.IgnoreQueryFilters().AsNoTracking().ToListAsync());
        Assert.Equal(
            rows.Select(r => (r.Target, r.Skill)).Distinct().Order(),
            memory.Select(m => (m.Target, m.Skill)).Order()
        );
        Assert.All(memory, m => Assert.Equal(CountingOf(rows, m.Target), m.Document.Last!.Value.Own));
    }

    private static int CountingOf(IEnumerable<StoredEvidence> rows, string target) =>
        EvidenceBooks.Counting(rows).Count(r => r.Target == target);

    /// <summary>Marks, one after the other, until the app is gone.</summary>
    private async Task Send(
        TestClient client,
        Guid lesson,
        string word,
        Queue<MarkGiven> waiting,
        HashSet<Guid> acknowledged,
        Random random,
        Action begun
    )
    {
        try
        {
            for (var first = true; ; first = false)
            {
                if (waiting.Count == 0)
                    waiting.Enqueue(
                        new MarkGiven(
                            Id: Guid.CreateVersion7(),
                            Kind: MarkKind.Miss,
                            ChildId: child,
                            Word: word,
                            Place: random.Next(2),
                            Seen: random.Next(2) == 0 ? Seen.Wrong : Seen.Missing,
                            Written: null,
                            Verdicts: null,
                            MadeAt: DateTime.UtcNow
                        )
                    );
                var mark = waiting.Peek();
                var answer = await client.Send(
                    HttpMethod.Post,
                    $"/api/schools/{school.School}/lessons/{lesson}/marks",
                    new MarksGiven([mark])
                );
                var said = Assert.Single((await TestClient.Read<MarkAnswers>(answer)).Marks);
                Assert.Contains(said.Fate, (MarkFate[])[MarkFate.Kept, MarkFate.Known]);
                acknowledged.Add(said.Id);
                waiting.Dequeue();
                if (first)
                    begun();
            }
        }
        catch (Exception gone) when (gone is HttpRequestException or IOException)
        {
            // Killed: before it came in, or after it was kept and before that was said.
        }
    }

    private static async Task Answers(TestClient client)
    {
        for (var started = Stopwatch.StartNew(); ; )
        {
            try
            {
                if ((await client.Http.GetAsync("/health")).IsSuccessStatusCode)
                    return;
            }
            catch (HttpRequestException) when (started.Elapsed < TimeSpan.FromMinutes(2))
            {
                // It is not up yet.
            }
            await Task.Delay(50);
        }
    }

    /// <summary>Once: who is signed in stays so, whatever becomes of the app.</summary>
    private static async Task SignIn(TestClient client)
    {
        var who = new { email = "lead@test.example", password = TestSchool.Password };
        (await client.Send(HttpMethod.Post, "/api/session", who)).EnsureSuccessStatusCode();
        client.ForgetToken();
        await client.Token();
    }

    /// <summary>Cookies are for safe connections alone; a browser takes those to its own machine for safe.</summary>
    private sealed class KeptCookies() : DelegatingHandler(new SocketsHttpHandler { UseCookies = false })
    {
        private readonly Dictionary<string, string> kept = new(StringComparer.Ordinal);

        protected override async Task<HttpResponseMessage> SendAsync(HttpRequestMessage request, CancellationToken stop)
        {
            if (kept.Count > 0)
                request.Headers.Add("Cookie", string.Join("; ", kept.Select(c => $"{c.Key}={c.Value}")));
            var answer = await base.SendAsync(request, stop);
            if (answer.Headers.TryGetValues("Set-Cookie", out var given))
            {
                foreach (var cookie in given)
                {
                    var pair = cookie.Split(';')[0].Split('=', 2);
                    kept[pair[0]] = pair[1];
                }
            }
            return answer;
        }
    }
}
