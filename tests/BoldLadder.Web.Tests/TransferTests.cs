using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;
using BoldLadder.School.Jobs;
using BoldLadder.School.Transfer;
using BoldLadder.School.Words;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Everything of a school leaves in one file, and that file makes the same school elsewhere.</summary>
public sealed class TransferTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        school.Serve(("Jobs", "true"));
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private static async Task<JobView> Ended(TestClient who, Guid at, HttpResponseMessage started)
    {
        var id = (await TestClient.Read<JobView>(started)).Id;
        for (var i = 0; i < 3000; i++)
        {
            var job = (await who.Get<List<JobView>>($"/api/schools/{at}/jobs")).Single(j => j.Id == id);
            if (job.EndedAt is not null)
                return job;
            await Task.Delay(50);
        }
        throw new TimeoutException("The job did not end.");
    }

    private static async Task<byte[]> Export(TestClient who, Guid at)
    {
        var job = await Ended(
            who,
            at,
            await who.Send(HttpMethod.Post, $"/api/schools/{at}/export", new ExportRequest(Guid.NewGuid()))
        );
        Assert.Equal((JobState.Done, "school-2026-11-24.zip"), (job.State, job.FileName));
        var file = await who.Send(HttpMethod.Get, $"/api/schools/{at}/jobs/{job.Id}/file");
        Assert.Equal("application/zip", file.Content.Headers.ContentType!.MediaType);
        return await file.Content.ReadAsByteArrayAsync();
    }

    private async Task<JobView> Import(TestClient who, byte[] zip) =>
        await Ended(
            who,
            school.OtherSchool,
            await who.Send(
                HttpMethod.Post,
                $"/api/schools/{school.OtherSchool}/import",
                new SchoolFile(Guid.NewGuid(), zip)
            )
        );

    private static Dictionary<string, string> Files(byte[] zip)
    {
        using var archive = new ZipArchive(new MemoryStream(zip));
        return archive.Entries.ToDictionary(
            e => e.FullName,
            e => new StreamReader(e.Open(), Encoding.UTF8).ReadToEnd()
        );
    }

    private static byte[] With(byte[] zip, string file, Func<string, string> change)
    {
        using var memory = new MemoryStream();
        memory.Write(zip);
        using (var archive = new ZipArchive(memory, ZipArchiveMode.Update, leaveOpen: true))
        {
            var text = change(Files(zip)[file]);
            archive.GetEntry(file)!.Delete();
            using var writer = new StreamWriter(archive.CreateEntry(file).Open());
            writer.Write(text);
        }
        return memory.ToArray();
    }

    /// <summary>A school with something in every table that leaves it, and its empty neighbour.</summary>
    private async Task<TestClient> Fill()
    {
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        (await lead.Close(lesson, LessonOutcome.Taught)).EnsureSuccessStatusCode();
        await lead.Open(school.Kestrels, TestSchool.Today);
        await lead.Send(HttpMethod.Put, $"/api/schools/{school.School}/ladders/{school.Ladder}/draft");
        await school.AsOwner(s =>
        {
            var child = Guid.NewGuid();
            s.Children.Add(
                new Child
                {
                    SchoolId = school.School,
                    ChildId = child,
                    Name = "=Zoë",
                }
            );
            s.ChildPlaces.Add(
                new ChildPlace
                {
                    SchoolId = school.School,
                    Id = Guid.NewGuid(),
                    ChildId = child,
                    GroupId = school.Otters,
                    First = TestSchool.Today,
                }
            );
            s.ChildAbsences.Add(
                new ChildAbsence
                {
                    SchoolId = school.School,
                    ChildId = child,
                    Date = TestSchool.Today,
                }
            );
            s.SchoolWords.Add(
                new StoredWord
                {
                    SchoolId = school.School,
                    Spelling = "frog",
                    Verdict = SchoolVerdict.Ban,
                    Reason = "",
                    UserId = Guid.NewGuid(),
                    At = DateTime.UtcNow,
                }
            );
            return Task.FromResult(0);
        });
        // The neighbour is emptied of the term that every test school has.
        await TestSchool.Sql(school.Database, $"delete from terms where school_id = '{school.OtherSchool}'");
        return await school.As("other");
    }

    [Fact]
    public async Task A_school_read_into_an_empty_one_is_the_same_school()
    {
        var other = await Fill();
        var first = await Export(lead, school.School);
        var job = await Import(other, first);
        Assert.Equal(JobState.Done, job.State);
        var (before, after) = (Files(first), Files(await Export(other, school.OtherSchool)));
        // On the same server people get other ids; the rest is the same to the letter.
        var people = JsonNode.Parse(before["school.json"])!["people"]!.AsArray();
        var here = JsonNode.Parse(after["school.json"])!["people"]!.AsArray();
        Assert.Equal(people.Count + 1, here.Count);
        foreach (
            var table in before.Keys.Where(k => k is not ("school.json" or "tables/audit.json" or "tables/audit.csv"))
        )
        {
            var text = before[table];
            foreach (var person in people)
            {
                var now = here.Single(p => (string)p!["name"]! == (string)person!["name"]!)!["id"]!;
                text = text.Replace((string)person!["id"]!, (string)now!, StringComparison.Ordinal);
            }
            Assert.Equal(Sorted(text), Sorted(after[table]));
        }
        // What was read in works: the lesson opens, the log goes on, nobody of the other school has come along.
        var groups = await other.Get<List<School.Groups.GroupView>>($"/api/schools/{school.OtherSchool}/groups");
        Assert.Equal([("Kestrels", 0), ("Otters", 13)], groups.Select(g => (g.Name, g.RungsTaught)));
        await TestClient.Problem(
            await lead.Send(HttpMethod.Get, $"/api/schools/{school.OtherSchool}/groups"),
            HttpStatusCode.NotFound
        );
        Assert.Contains("\"'=Zoë\"", before["tables/children.csv"], StringComparison.Ordinal);

        static IEnumerable<string> Sorted(string text) =>
            text.Split('\n').Select(l => l.TrimEnd(',', '\r')).Order(StringComparer.Ordinal);
    }

    [Fact]
    public async Task Nothing_secret_leaves_and_every_file_is_as_its_schema_says()
    {
        await Fill();
        var files = Files(await Export(lead, school.School));
        var definitions = JsonNode.Parse(Published)!["$defs"]!.AsObject();
        Assert.Equal(
            definitions.Select(d => d.Key).Order(StringComparer.Ordinal),
            files.Keys.Where(k => k.EndsWith(".json", StringComparison.Ordinal)).Order(StringComparer.Ordinal)
        );
        foreach (var (name, schema) in definitions.Where(d => d.Key != "school.json"))
        {
            var row = schema!["items"]!;
            foreach (var line in JsonNode.Parse(files[name])!.AsArray())
            {
                var known = row["properties"]!.AsObject().Select(p => p.Key).ToHashSet();
                Assert.All(line!.AsObject(), c => Assert.Contains(c.Key, known));
                Assert.All(row["required"]!.AsArray(), c => Assert.NotNull(line![(string)c!]));
            }
        }
        var all = string.Concat(files.Values);
        foreach (
            var secret in new[]
            {
                "code_hash",
                "password",
                "security_stamp",
                "@test.example",
                school.OtherSchool.ToString(),
            }
        )
            Assert.DoesNotContain(secret, all, StringComparison.OrdinalIgnoreCase);
    }

    private static string Published =>
        File.ReadAllText(Path.Combine(TestFolders.Repository, "docs", "formats", "school.schema.json"));

    [Fact]
    public async Task The_published_schema_is_what_is_written() =>
        Assert.Equal(await school.AsOwner(s => Task.FromResult(SchoolSchema.Of(s))), Published.TrimEnd());

    [Fact]
    public async Task A_zip_that_was_tampered_with_is_taken_in_by_no_half()
    {
        var other = await Fill();
        var zip = await Export(lead, school.School);
        foreach (
            var (file, change) in new (string, Func<string, string>)[]
            {
                ("tables/lessons.json", t => t.Replace("\"kind\"", "\"sort\"", StringComparison.Ordinal)),
                ("tables/child_places.json", t =>
                    t.Replace(school.Otters.ToString(), Guid.NewGuid().ToString(), StringComparison.Ordinal)
                ),
                ("tables/groups.json", t =>
                    t.Replace("\"lesson_minutes\": 20", "\"lesson_minutes\": \"many\"", StringComparison.Ordinal)
                ),
                ("tables/groups.json", _ => "[\n]\n"),
                ("tables/terms.json", _ => "{"),
                ("school.json", t => t.Replace("Europe/London", "Nowhere/Land", StringComparison.Ordinal)),
                ("tables/ladder_versions.json", t => t.Replace("\"rungs\"", "\"rings\"", StringComparison.Ordinal)),
            }
        )
        {
            Assert.NotEqual(Files(zip)[file], change(Files(zip)[file]));
            var job = await Import(other, With(zip, file, change));
            Assert.Equal(JobState.Failed, job.State);
            Assert.Contains(file, job.Problem, StringComparison.Ordinal);
            Assert.Empty(await other.Get<List<School.Groups.GroupView>>($"/api/schools/{school.OtherSchool}/groups"));
        }
        Assert.Equal(
            0,
            await school.AsOwner(s => s.Terms.IgnoreQueryFilters().CountAsync(t => t.SchoolId == school.OtherSchool))
        );
    }

    [Fact]
    public async Task A_school_whose_reading_in_is_killed_stays_empty_until_the_next_process_reads_it()
    {
        await Fill();
        var zip = await Export(lead, school.School);
        school.Serve();
        var other = await school.As("other");
        await TestSchool.Sql(
            school.Database,
            """
            create function slowly() returns trigger language plpgsql as $$
                begin perform pg_sleep(0.1); return new; end $$;
            create trigger slowly before insert on teaching_log for each row execute function slowly()
            """
        );
        var path = $"/api/schools/{school.OtherSchool}";
        var id = Guid.NewGuid();
        (await other.Send(HttpMethod.Post, $"{path}/import", new SchoolFile(id, zip))).EnsureSuccessStatusCode();
        var before = await school.Rows();
        using (var process = AppProcess.Start(school.Database))
        {
            for (var i = 0; i < 600 && await Job() is not { State: JobState.Running, Done: > 0 }; i++)
                await Task.Delay(50);
            process.Kill();
            await process.WaitForExitAsync();
        }
        Assert.Equal(JobState.Running, (await Job()).State);
        Assert.Equal(before, await school.Rows());
        school.Serve(("Jobs", "true"));
        other = await school.As("other");
        for (var i = 0; i < 600 && (await Job()).EndedAt is null; i++)
            await Task.Delay(50);
        Assert.Equal((JobState.Done, 2), ((await Job()).State, (await Job()).Tries));
        Assert.Equal(2, (await other.Get<List<School.Groups.GroupView>>($"{path}/groups")).Count);

        Task<StoredJob> Job() =>
            school.AsOwner(s => s.Jobs.IgnoreQueryFilters().AsNoTracking().SingleAsync(j => j.Id == id));
    }

    [Fact]
    public async Task Only_a_lead_takes_a_school_out_and_only_into_an_empty_school_it_comes()
    {
        var zip = await Export(lead, school.School);
        var path = $"/api/schools/{school.School}/import";
        Assert.Equal(
            "school-not-empty",
            await Code(
                await lead.Send(HttpMethod.Post, path, new SchoolFile(Guid.NewGuid(), zip)),
                HttpStatusCode.Conflict
            )
        );
        var other = await Fill();
        path = $"/api/schools/{school.OtherSchool}/import";
        Assert.Equal(
            "not-packed",
            await Code(await other.Send(HttpMethod.Post, path, new SchoolFile(Guid.NewGuid(), [1, 2, 3])))
        );
        // A picture of its own is something: another for the same word must not come over it.
        var picture = Convert.ToBase64String("<svg xmlns='http://www.w3.org/2000/svg'/>"u8);
        (
            await other.Send(
                HttpMethod.Post,
                $"/api/schools/{school.OtherSchool}/pictures",
                new NewPicture("dog", picture, "Drawn by us")
            )
        ).EnsureSuccessStatusCode();
        Assert.Equal(
            "school-not-empty",
            await Code(
                await other.Send(HttpMethod.Post, path, new SchoolFile(Guid.NewGuid(), zip)),
                HttpStatusCode.Conflict
            )
        );
        var teacher = await school.As("teacher");
        Assert.Equal(
            "lead-only",
            await Code(
                await teacher.Send(
                    HttpMethod.Post,
                    $"/api/schools/{school.School}/export",
                    new ExportRequest(Guid.NewGuid())
                ),
                HttpStatusCode.Forbidden
            )
        );
    }

    private static async Task<string> Code(
        HttpResponseMessage answer,
        HttpStatusCode status = HttpStatusCode.UnprocessableEntity
    ) => (await TestClient.Problem(answer, status)).GetProperty("type").GetString()!["bold:".Length..];
}
