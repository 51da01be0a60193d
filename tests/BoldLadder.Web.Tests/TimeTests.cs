using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.Store;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>What was taught is a fact: no later ladder, lexicon or version of the app changes it.</summary>
public sealed class TimeTests : IAsyncLifetime
{
    private static readonly DateOnly Monday = TestSchool.Today;
    private static readonly DateOnly Tuesday = Monday.AddDays(1);
    private static readonly DateOnly Wednesday = Monday.AddDays(2);
    private readonly string folder = Directory.CreateTempSubdirectory("bold-lexicon").FullName;
    private TestSchool school = null!;

    public async Task InitializeAsync() => school = await TestSchool.Open();

    public async Task DisposeAsync()
    {
        await school.DisposeAsync();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public async Task Taught_lessons_outlive_a_new_ladder_a_new_lexicon_and_a_restore_and_a_broken_plan_says_why()
    {
        // Two days are planned and closed as taught, the third is planned.
        var lead = await school.As("lead");
        var first = await TestClient.Read<LessonView>(
            await lead.Close(await lead.Open(school.Otters, Monday), LessonOutcome.Taught)
        );
        school.Serve(("Today", "2026-11-25"));
        lead = await school.As("lead");
        var second = await TestClient.Read<LessonView>(
            await lead.Close(await lead.Open(school.Otters, Tuesday), LessonOutcome.Taught)
        );
        var planned = await lead.Open(school.Otters, Wednesday);
        Assert.Empty(planned.Problems);
        var before = await Taught();

        // The ladder is reordered: what the third day was to teach goes to the end.
        await school.AsOwner(async store =>
        {
            var old = (await store.LadderVersions.SingleAsync()).Document;
            var moved = old.Rungs.Single(r => r.Id == planned.RungId);
            store.LadderVersions.Add(
                new LadderVersion
                {
                    SchoolId = school.School,
                    LadderId = school.Ladder,
                    Version = 2,
                    Document = old with { Rungs = [.. old.Rungs.Where(r => r != moved).Reverse(), moved] },
                    PublishedAt = DateTime.UtcNow,
                }
            );
            await store.SaveChangesAsync();
            foreach (var group in await store.Groups.ToListAsync())
                group.LadderVersion = 2;
            return 0;
        });

        // The lexicon is corrected: a word of the planned lesson now needs what was never taught.
        var word = planned.Lesson.Find("practise-read")!.Items.Cast<WordItem>().First().Word;
        var data = CorrectedLexicon(word);

        // The database is dumped, restored into a new one and migrated.
        var restored = $"bold_test_{Guid.NewGuid():N}";
        await TestSchool.Sql("postgres", $"create database {restored}");
        try
        {
            await PostgresTools.Restore(restored, await PostgresTools.Dump(school.Database));
            await Migrate(restored);
            school.Serve(
                ("Today", "2026-11-25"),
                ("DataFolder", data),
                ("ConnectionStrings:App", TestSchool.AppRole(restored))
            );
            lead = await school.As("lead");

            foreach (var taught in new[] { first, second })
            {
                var now = await TestClient.Read<LessonView>(
                    await lead.Send(HttpMethod.Get, lead.Lesson(school.Otters, taught.Date))
                );
                Assert.Equal(LessonDocument.Write(taught.Lesson), LessonDocument.Write(now.Lesson));
                Assert.Equal((LessonStatus.Taught, taught.RungLabel), (now.Status, now.RungLabel));
            }
            Assert.Superset(before, await Taught(restored));
            var broken = await lead.Open(school.Otters, Wednesday);
            Assert.Equal(LessonDocument.Write(planned.Lesson), LessonDocument.Write(broken.Lesson));
            Assert.Contains(broken.Problems, p =>
                p.ItemId == $"practise-read:{word}"
                && p.Reasons.Any(r => r is { Code: "not-taught" } && r.Arguments[0] == "ough=uː")
            );
            Assert.NotNull(broken.ExpectedRung);

            // One command makes it whole again, for the rung that now comes.
            var again = await TestClient.Read<LessonView>(await lead.Change(broken, new PlanAgain()));
            Assert.Empty(again.Problems);
            Assert.Equal((broken.ExpectedRung, null), (again.RungLabel, again.ExpectedRung));
        }
        finally
        {
            await school.App.DisposeAsync();
            NpgsqlConnection.ClearAllPools();
            await TestSchool.Sql("postgres", $"drop database if exists {restored} with (force)");
        }
    }

    [Fact]
    public async Task The_stored_dump_of_the_first_version_migrates_and_opens()
    {
        var restored = $"bold_test_{Guid.NewGuid():N}";
        await TestSchool.Sql("postgres", $"create database {restored}");
        try
        {
            await PostgresTools.Restore(
                restored,
                await File.ReadAllTextAsync(Path.Combine(TestFolders.Repository, "tests", "stored", "demo-school.sql"))
            );
            await Migrate(restored);
            await using var store = new BoldContext(
                DesignTimeFactory
                    .Configure(new DbContextOptionsBuilder<BoldContext>(), TestSchool.Owner(restored))
                    .Options
            );
            var lessons = await store.Lessons.IgnoreQueryFilters().ToListAsync();
            Assert.Contains(lessons, l =>
                l.Status == LessonStatus.Taught && l.Document.Parts.Length == 4 && l.Words.Length > 0
            );
            Assert.NotEmpty(await store.LessonChanges.IgnoreQueryFilters().ToListAsync());
            Assert.All(await store.LadderVersions.IgnoreQueryFilters().ToListAsync(), v =>
                Assert.True(v.Document.Rungs.Length > 100)
            );

            // And the app opens it: the lead sees the lesson that was taught.
            var lead = await store.Users.SingleAsync(u => u.Email == "maya@fernhollow.example");
            lead.PasswordHash = new PasswordHasher<User>().HashPassword(lead, TestSchool.Password);
            (lead.Email, lead.NormalizedEmail) = ("lead@test.example", "LEAD@TEST.EXAMPLE");
            await store.SaveChangesAsync();
            school.Serve(("ConnectionStrings:App", TestSchool.AppRole(restored)));
            var client = await school.As("lead");
            var taught = lessons.First(l => l.Status == LessonStatus.Taught);
            var view = await client.Get<LessonView>(
                $"/api/schools/{taught.SchoolId}/groups/{taught.GroupId}/lessons/{taught.Date:yyyy-MM-dd}"
            );
            // As it is stored, but for our school's way, which is laid over what is shown.
            Assert.Equal(taught.Document.Title, view.Lesson.Title);
            Assert.Equal(
                taught.Document.Activities.SelectMany(a => a.Items).Select(i => i.Id),
                view.Lesson.Activities.SelectMany(a => a.Items).Select(i => i.Id)
            );
        }
        finally
        {
            await school.App.DisposeAsync();
            NpgsqlConnection.ClearAllPools();
            await TestSchool.Sql("postgres", $"drop database if exists {restored} with (force)");
        }
    }

    private async Task<HashSet<string>> Taught(string? database = null)
    {
        await using var store = new BoldContext(
            DesignTimeFactory
                .Configure(new DbContextOptionsBuilder<BoldContext>(), TestSchool.Owner(database ?? school.Database))
                .Options
        );
        return
        [
            .. (
                await store.TeachingLog.IgnoreQueryFilters().Where(e => e.GroupId == school.Otters).ToListAsync()
            ).SelectMany(e => e.Correspondences),
        ];
    }

    private static async Task Migrate(string database)
    {
        await using var store = new BoldContext(
            DesignTimeFactory.Configure(new DbContextOptionsBuilder<BoldContext>(), TestSchool.Owner(database)).Options
        );
        await store.Database.MigrateAsync();
    }

    /// <summary>A copy of the word data in which one word is corrected to need ough=uː.</summary>
    private string CorrectedLexicon(string word)
    {
        var data = Path.Combine(AppContext.BaseDirectory, "data");
        foreach (var file in Directory.EnumerateFiles(data, "*", SearchOption.AllDirectories))
        {
            var copy = Path.Combine(folder, Path.GetRelativePath(data, file));
            Directory.CreateDirectory(Path.GetDirectoryName(copy)!);
            File.Copy(file, copy);
        }
        var shard = Path.Combine(folder, "lexicon", $"{word[0]}.tsv");
        var rows = File.ReadAllLines(shard);
        var at = Array.FindIndex(rows, r => r.StartsWith(word + "\t", StringComparison.Ordinal));
        var cells = rows[at].Split('\t');
        (cells[1], cells[2]) = (cells[1] + "|ough", cells[2] + "|uː");
        rows[at] = string.Join('\t', cells);
        File.WriteAllLines(shard, rows);
        return folder;
    }
}
