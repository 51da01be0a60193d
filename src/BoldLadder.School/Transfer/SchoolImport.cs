using System.Text.Json.Nodes;
using BoldLadder.Core;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Formats.Packed;
using BoldLadder.Formats.Schools;
using BoldLadder.School.Jobs;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Npgsql;

namespace BoldLadder.School.Transfer;

/// <summary>
/// Reads a school's zip into a school in which there is nothing yet: all of it or nothing. Its people come as names
/// beside what they did; each is invited anew.
/// </summary>
public sealed class SchoolImport(SchoolScope scope) : IJobWork
{
    public const string KindOfJob = "import-school";

    private const int Part = 200;

    public string Kind => KindOfJob;

    /// <summary>Why nothing can be read into this school; null when it is empty.</summary>
    public async Task<Refusal?> NotEmpty()
    {
        var store = scope.Store;
        return
            await store.Groups.AnyAsync(scope.Stop)
            || await store.Children.AnyAsync(scope.Stop)
            || await store.Ladders.AnyAsync(scope.Stop)
            || await store.Terms.AnyAsync(scope.Stop)
            || await store.SchoolWords.AnyAsync(scope.Stop)
            || await store.OwnPictures.AnyAsync(scope.Stop)
            || await store.OwnedCards.AnyAsync(scope.Stop)
            || await store.OwnTexts.AnyAsync(scope.Stop)
            || await store.Books.AnyAsync(scope.Stop)
            || await store.Voices.AnyAsync(scope.Stop)
            || await store.LessonTemplates.AnyAsync(scope.Stop)
            || await store.TeachingNotes.AnyAsync(scope.Stop)
            ? Refusal.Conflict("school-not-empty")
            : null;
    }

    public async Task<Answer<JobResult>> Run(byte[] input, JobProgress progress)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        await scope.LockSettings();
        if (await NotEmpty() is { } full)
            return full;
        using var zip = PackedFiles.Open(JobStarter.Read<SchoolFile>(input).Content);
        var manifest = SchoolZip.ReadManifest(zip);
        var store = scope.Store;
        var people = await People(manifest);
        var tables = SchoolTables.Of(store);
        var total = manifest.Tables.Values.Sum();
        var done = 0;
        foreach (var table in tables)
        {
            var rows = SchoolZip.ReadRows(zip, table.Name, table.Columns.ToDictionary(c => c.Name, c => !c.IsNullable));
            if (rows.Count != manifest.Tables.GetValueOrDefault(table.Name))
                throw new RefusedException("school-lacks", ("file", $"tables/{table.Name}.json"));
            foreach (var part in rows.Chunk(Part))
            {
                await progress.Report(done, total);
                await Try(table, () => SchoolTables.Add(store, table, Renamed(part, people), scope.Stop));
                done += part.Length;
            }
            await Try(table, () => SchoolTables.ReadAll(store, table, scope.Stop));
        }
        await Try(SchoolTables.Settings(store), () => SchoolTables.Set(store, Settings(manifest), scope.Stop));
        if (await WrongSettings())
            throw new RefusedException("school-file", ("file", "school.json"), ("line", 1));
        scope.Audit("school-imported", scope.School.SchoolId);
        return new JobResult(done);
    }

    /// <summary>
    /// True when the settings that were read in are none that a school may have: it could not be opened.
    /// </summary>
    private async Task<bool> WrongSettings()
    {
        try
        {
            var school = await scope.Store.Schools.AsNoTracking().SingleAsync(scope.Stop);
            school.Style?.Checked();
            return !Refused.IsName(school.Name)
                || SchoolSettings.Wrong(school.TimeZone, school.Accent, school.Language, school.SpellingVariety)
                    is not null
                || !SchoolSettings.Papers.Contains(school.PaperSize)
                || !CalendarCheck.AreLessonDays([.. school.LessonDays]);
        }
        catch (Exception problem) when (problem is FormatException or RefusedException or InvalidOperationException)
        {
            return true;
        }
    }

    /// <summary>
    /// Who did something there, by the id they had: who reads it in is themselves, all others come as names that can't
    /// sign in. An id that somebody has on this server already is not taken.
    /// </summary>
    private async Task<Dictionary<Guid, Guid>> People(SchoolManifest manifest)
    {
        var store = scope.Store;
        var ids = manifest.People.Select(p => p.Id).ToList();
        var taken = await store.Users.Where(u => ids.Contains(u.Id)).Select(u => u.Id).ToListAsync(scope.Stop);
        var now = new Dictionary<Guid, Guid>();
        foreach (var person in manifest.People.Where(p => p.Id != scope.UserId))
        {
            if (!Refused.IsName(person.Name) || Roles.Parse(person.Role) is not { } role)
                throw new RefusedException("school-file", ("file", "school.json"), ("line", 1));
            var id = taken.Contains(person.Id) ? Guid.CreateVersion7() : person.Id;
            if (!now.TryAdd(person.Id, id))
                throw new RefusedException("school-file", ("file", "school.json"), ("line", 1));
            store.Users.Add(
                new User
                {
                    Id = id,
                    DisplayName = person.Name,
                    SecurityStamp = $"{Guid.NewGuid()}",
                }
            );
            store.Memberships.Add(
                new Membership
                {
                    SchoolId = scope.School.SchoolId,
                    UserId = id,
                    Role = role,
                    IsActive = false,
                }
            );
        }
        await scope.Save();
        return now;
    }

    /// <summary>Rows with the ids that people have here.</summary>
    private static string Renamed(IEnumerable<JsonObject> rows, Dictionary<Guid, Guid> people)
    {
        var text = $"[{string.Join(',', rows.Select(r => r.ToJsonString()))}]";
        foreach (var (before, now) in people.Where(p => p.Key != p.Value))
            text = text.Replace($"{before}", $"{now}", StringComparison.OrdinalIgnoreCase);
        return text;
    }

    /// <summary>The settings, with a stamp of this school's words of its own.</summary>
    private static string Settings(SchoolManifest manifest)
    {
        var school = manifest.School.DeepClone().AsObject();
        school["words_stamp"] = $"{Guid.NewGuid()}";
        return school.ToJsonString();
    }

    private static async Task Try(SchoolTable table, Func<Task> work)
    {
        try
        {
            await work();
        }
        catch (Exception problem) when (problem is PostgresException or FormatException or InvalidOperationException)
        {
            // The whole is taken back; which of two hundred rows it was, the database does not tell.
            throw new RefusedException("school-rows", ("file", $"tables/{table.Name}.json"));
        }
    }
}
