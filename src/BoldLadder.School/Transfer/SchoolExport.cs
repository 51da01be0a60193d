using System.Text.Json.Nodes;
using BoldLadder.Core;
using BoldLadder.Formats.Schools;
using BoldLadder.School.Jobs;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Transfer;

/// <summary>Everything of a school as one file, in the state of one moment.</summary>
public sealed class SchoolExport(SchoolScope scope) : IJobWork
{
    public const string KindOfJob = "export-school";

    public string Kind => KindOfJob;

    public async Task<Answer<JobResult>> Run(byte[] input, JobProgress progress)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        var store = scope.Store;
        var tables = SchoolTables.Of(store);
        using var zip = new SchoolZip.Writer();
        var done = 0;
        foreach (var (at, table) in tables.Index())
        {
            await progress.Report(at, tables.Length);
            var rows = new List<string>();
            await foreach (var row in SchoolTables.Rows(store, table, scope.Stop))
                rows.Add(row);
            zip.Table(table.Name, [.. table.Columns.Select(c => c.Name)], rows);
            done += rows.Count;
        }
        var settings = SchoolTables.Settings(store);
        var school = "";
        await foreach (var row in SchoolTables.Rows(store, settings, scope.Stop))
            school = row;
        var people = await store
            .Memberships.Join(
                store.Users,
                m => m.UserId,
                u => u.Id,
                (m, u) =>
                    new
                    {
                        u.Id,
                        u.DisplayName,
                        m.Role,
                    }
            )
            .OrderBy(p => p.Id)
            .ToListAsync(scope.Stop);
        scope.Audit("school-exported", scope.School.SchoolId);
        return new JobResult(
            done,
            zip.Finish(
                scope.UtcNow,
                JsonNode.Parse(school)!.AsObject(),
                people.Select(p => new SchoolPerson(p.Id, p.DisplayName, p.Role.Code()))
            ),
            $"school-{scope.Today:yyyy-MM-dd}.zip"
        );
    }
}
