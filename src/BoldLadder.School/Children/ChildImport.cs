using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Children;
using BoldLadder.Formats.Rosters;
using BoldLadder.Formats.Tables;
using BoldLadder.School.Jobs;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Children;

/// <summary>
/// Children out of a file: what would come of it, and carrying it out. A list of names, a table of any columns, or a
/// zip of OneRoster; the same name twice is asked about and never decided in silence.
/// </summary>
public sealed class ChildImport(SchoolScope scope, Places places) : IJobWork
{
    public const string KindOfJob = "import-children";

    private const int MostChildren = 10_000;
    private const int LargestFile = 4 * 1024 * 1024;
    private const int SampleLines = 6;
    private const int Step = 500;

    public string Kind => KindOfJob;

    /// <exception cref="Core.RefusedException">The file can't be read.</exception>
    public async Task<Answer<ImportPreview>> Look(ChildFile file)
    {
        if (file.Content.Length > LargestFile)
            return Refusal.Unusable("file-too-large", ("most", LargestFile / 1024 / 1024));
        var (roster, columns, sample) = Read(file, scope.Today);
        if (roster.Lines.IsEmpty)
            return Refusal.Unusable("nobody-in-file");
        var groups = await scope.Groups.AsNoTracking().ToListAsync(scope.Stop);
        if (file.GroupId is { } into && groups.TrueForAll(g => g.Id != into))
            return Refused.UnknownGroup;
        var meant = Meant(roster, file.Groups, groups);
        var children = await scope.Store.Children.AsNoTracking().ToListAsync(scope.Stop);
        var there = await places.OfAll(scope.Today);
        var known = children.ToLookup(c => c.Name, StringComparer.OrdinalIgnoreCase);
        var seen = new HashSet<(string Name, Guid? Group)>();
        var taken = new HashSet<Guid>();
        return new ImportPreview(
            columns,
            sample,
            roster.LeftOut,
            meant,
            [.. roster.Lines.Select(line => Judge(line, file, meant, known, there, seen, taken))]
        );
    }

    /// <summary>Carries out what a preview showed, with what was chosen otherwise.</summary>
    public async Task<Answer<JobResult>> Run(byte[] input, JobProgress progress)
    {
        var request = JobStarter.Read<ImportRequest>(input);
        await scope.LockSettings();
        var looked = await Look(request.File);
        if (looked.Refusal is { } refusal)
            return refusal;
        var choices = request.Choices.DistinctBy(c => c.Line).ToDictionary(c => c.Line, c => c.Choice);
        var lines = looked
            .Value.Lines.Select(l => (Line: l, Choice: ChoiceOf(l, choices)))
            .Where(l => l.Choice != ImportChoice.Skip)
            .ToList();
        var store = scope.Store;
        var adds = lines.Count(l => l.Choice == ImportChoice.Add);
        if (await store.Children.CountAsync(scope.Stop) + adds > MostChildren)
            return Refusal.Conflict("too-many-children", ("most", MostChildren));
        var moved = lines.Where(l => l.Choice == ImportChoice.Move).Select(l => l.Line.ChildId!.Value).ToList();
        var before = (await store.ChildPlaces.Where(p => moved.Contains(p.ChildId)).ToListAsync(scope.Stop)).ToLookup(
            p => p.ChildId
        );
        var done = 0;
        foreach (var part in lines.Chunk(Step))
        {
            await progress.Report(done, lines.Count);
            foreach (var (line, choice) in part)
            {
                if (choice == ImportChoice.Move)
                    places.Put(line.ChildId!.Value, before[line.ChildId.Value], line.GroupId, scope.Today);
                else
                    places.Put(Add(line.Name), [], line.GroupId, scope.Today);
            }
            await scope.Save();
            store.ChangeTracker.Clear();
            done += part.Length;
        }
        await progress.Report(done, lines.Count);
        scope.Audit("children-imported", request.Id);
        return new JobResult(done);
    }

    private Guid Add(string name)
    {
        // Version 4: nothing of when or by whom can be read from it.
        var id = Guid.NewGuid();
        scope.Store.Children.Add(
            new Child
            {
                SchoolId = scope.School.SchoolId,
                ChildId = id,
                Name = name,
            }
        );
        return id;
    }

    private static ImportChoice ChoiceOf(ImportLine line, Dictionary<int, ImportChoice> choices) =>
        line.State == ImportState.Unreadable ? ImportChoice.Skip
        : !choices.TryGetValue(line.Line, out var chosen) ? line.Usual
        : chosen == ImportChoice.Move && line.ChildId is null ? line.Usual
        : chosen;

    private static (Roster Roster, RosterColumns? Columns, IReadOnlyList<IReadOnlyList<string>> Sample) Read(
        ChildFile file,
        DateOnly today
    )
    {
        if (file.IsList)
            return (Listed(PlainText.Read(file.Content)), null, []);
        if (OneRosterZip.IsPacked(file.Content))
            return (OneRosterZip.Read(file.Content, today), null, []);
        var table = CsvTable.Read(file.Content);
        var columns = file.Columns ?? RosterColumns.Guess(table);
        return (
            columns.Read(table),
            columns,
            [.. table.Lines.Take(SampleLines).Select(l => (IReadOnlyList<string>)l.Cells)]
        );
    }

    /// <summary>Names that were pasted, one a line.</summary>
    private static Roster Listed(string text) =>
        new(
            [
                .. text.Split('\n')
                    .Select((line, i) => (Line: i + 1, Text: line.Trim()))
                    .Where(l => l.Text.Length > 0)
                    .Take(CsvTable.MostLines)
                    .Select(l => new RosterLine(l.Line, ChildName.Read(l.Text), "")),
            ],
            []
        );

    private static List<GroupMeant> Meant(Roster roster, IReadOnlyList<GroupMeant> said, List<Group> groups) =>
        [
            .. roster
                .Lines.Select(l => l.Group)
                .Where(g => g.Length > 0)
                .Distinct(StringComparer.OrdinalIgnoreCase)
                .Select(name => new GroupMeant(
                    name,
                    said.FirstOrDefault(s => Same(s.Name, name)) is { } s
                    && groups.Exists(g => g.Id == s.GroupId || s.GroupId == null)
                        ? s.GroupId
                        : groups.Find(g => Same(g.Name, name))?.Id
                )),
        ];

    private static bool Same(string one, string other) =>
        string.Equals(one.Trim(), other.Trim(), StringComparison.OrdinalIgnoreCase);

    /// <param name="seen">Names of the lines above, by the group they go to.</param>
    /// <param name="taken">Children that a line above was taken for.</param>
    private static ImportLine Judge(
        RosterLine line,
        ChildFile file,
        List<GroupMeant> meant,
        ILookup<string, Child> known,
        Dictionary<Guid, ChildPlace> there,
        HashSet<(string Name, Guid? Group)> seen,
        HashSet<Guid> taken
    )
    {
        var group = line.Group.Length == 0 ? file.GroupId : meant.Find(m => Same(m.Name, line.Group))?.GroupId;
        if (line.Name is not { } name)
            return Is(ImportState.Unreadable, null, ImportChoice.Skip);
        if (!seen.Add((name.Text.ToUpper(CultureInfo.InvariantCulture), group)))
            return Is(ImportState.Twice, null, ImportChoice.Skip);
        var named = known[name.Text].Where(c => !taken.Contains(c.ChildId)).ToList();
        if (named.Find(c => there.GetValueOrDefault(c.ChildId)?.GroupId == group) is { } here)
            return Is(ImportState.Here, here, ImportChoice.Skip);
        return named is [var elsewhere, ..]
            ? Is(ImportState.Elsewhere, elsewhere, ImportChoice.Move)
            : Is(ImportState.New, null, ImportChoice.Add);

        ImportLine Is(ImportState state, Child? child, ImportChoice usual)
        {
            if (child is not null)
                taken.Add(child.ChildId);
            return new ImportLine(
                Line: line.Line,
                Name: line.Name?.Text ?? "",
                IsShortened: line.Name?.IsShortened ?? false,
                GroupId: group,
                State: state,
                ChildId: child?.ChildId,
                OtherGroup: child is null ? null : there.GetValueOrDefault(child.ChildId)?.GroupId,
                Usual: usual
            );
        }
    }
}
