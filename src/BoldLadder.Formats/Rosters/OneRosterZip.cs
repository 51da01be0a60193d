using System.Collections.Frozen;
using System.Collections.Immutable;
using System.IO.Compression;
using BoldLadder.Core;
using BoldLadder.Core.Children;
using BoldLadder.Formats.Packed;
using BoldLadder.Formats.Tables;

namespace BoldLadder.Formats.Rosters;

/// <summary>
/// Children and their classes out of a zip of the OneRoster 1.2 CSV binding: users.csv, enrollments.csv and classes.csv
/// as bulk files. Of a child the given name (the preferred one where there is one) and a letter of the family name are
/// taken, of a class its title; all else is left out and named.
/// </summary>
public static class OneRosterZip
{
    private const string Active = "active";
    private static readonly FrozenSet<string> Taken = FrozenSet.ToFrozenSet([
        "sourcedId",
        "status",
        "givenName",
        "familyName",
        "preferredGivenName",
        "preferredFamilyName",
        "role",
        "title",
        "userSourcedId",
        "classSourcedId",
        "beginDate",
        "endDate",
    ]);

    /// <summary>True for what begins as a packed file does.</summary>
    public static bool IsPacked(ReadOnlySpan<byte> file) => file.StartsWith("PK\u0003\u0004"u8);

    /// <param name="today">Who has left a class by then, or not come yet, is not among them.</param>
    /// <exception cref="RefusedException">It is no such zip, of another version, or one of its files lacks a
    /// column.</exception>
    public static Roster Read(byte[] file, DateOnly today)
    {
        using var zip = PackedFiles.Open(file);
        var manifest = Table(zip, "manifest.csv") ?? throw new RefusedException("not-a-roster");
        if (Property(manifest, "oneroster.version") is not "1.2" and var version)
            throw new RefusedException("roster-version", ("version", version.Length == 0 ? "?" : version));
        var users = Required(zip, manifest, "users");
        var enrollments = Required(zip, manifest, "enrollments");
        var classes = Required(zip, manifest, "classes");
        var titles = classes
            .Rows.DistinctBy(r => r["sourcedId"])
            .ToDictionary(r => r["sourcedId"], r => r["title"], StringComparer.Ordinal);
        var enrolled = enrollments
            .Rows.Where(r => r["role"] == "student" && IsIn(r, today))
            .GroupBy(r => r["userSourcedId"], StringComparer.Ordinal)
            .ToDictionary(
                g => g.Key,
                g => titles.GetValueOrDefault(g.First()["classSourcedId"]) ?? "",
                StringComparer.Ordinal
            );
        return new Roster(
            [
                .. users
                    .Rows.Where(r => IsActive(r) && enrolled.ContainsKey(r["sourcedId"]))
                    .DistinctBy(r => r["sourcedId"])
                    .Select(r => new RosterLine(
                        r.Line,
                        ChildName.Of(
                            First(r["preferredGivenName"], r["givenName"]),
                            First(r["preferredFamilyName"], r["familyName"])
                        ),
                        enrolled[r["sourcedId"]]
                    )),
            ],
            [
                .. zip
                    .Entries.Select(e => e.FullName)
                    .Where(n => n is not ("manifest.csv" or "users.csv" or "enrollments.csv" or "classes.csv"))
                    .Order(StringComparer.Ordinal),
                .. users.Headings.Where(h => !Taken.Contains(h)),
            ]
        );
    }

    private static bool IsActive(Row row) => row["status"] is "" or Active;

    private static bool IsIn(Row row, DateOnly today) =>
        IsActive(row) && !(Day(row, "beginDate") > today) && !(Day(row, "endDate") < today);

    private static DateOnly? Day(Row row, string column) =>
        row[column].Length == 0 ? null
        : DateOnly.TryParseExact(row[column], "yyyy-MM-dd", out var day) ? day
        : throw new RefusedException("roster-date", ("line", row.Line), ("column", column));

    private static string First(string preferred, string other) => preferred.Length > 0 ? preferred : other;

    private static string Property(CsvTable manifest, string name) =>
        manifest.Lines.FirstOrDefault(l => l.Cell(0) == name)?.Cell(1) ?? "";

    private static CsvTable? Table(ZipArchive zip, string name) =>
        zip.GetEntry(name) is { } entry ? CsvTable.Read(PackedFiles.Read(entry)) : null;

    private static NamedTable Required(ZipArchive zip, CsvTable manifest, string name)
    {
        if (Property(manifest, $"file.{name}") == "delta")
            throw new RefusedException("roster-delta", ("file", $"{name}.csv"));
        var table = Table(zip, $"{name}.csv") ?? throw new RefusedException("roster-lacks", ("file", $"{name}.csv"));
        var named = new NamedTable(table);
        foreach (var column in Needs(name))
        {
            if (!named.Headings.Contains(column))
                throw new RefusedException("roster-column", ("file", $"{name}.csv"), ("column", column));
        }
        return named;
    }

    private static string[] Needs(string name) =>
        name switch
        {
            "users" => ["sourcedId", "givenName", "familyName"],
            "classes" => ["sourcedId", "title"],
            _ => ["classSourcedId", "userSourcedId", "role"],
        };

    /// <summary>A table that is asked by the names of its first line.</summary>
    private sealed class NamedTable(CsvTable table)
    {
        public ImmutableArray<string> Headings { get; } = table.Lines.IsEmpty ? [] : table.Lines[0].Cells;

        public IEnumerable<Row> Rows => table.Lines.Skip(1).Select(l => new Row(l, Headings));
    }

    private sealed record Row(CsvLine Cells, ImmutableArray<string> Headings)
    {
        public int Line => Cells.Line;

        public string this[string column] => Headings.IndexOf(column) is >= 0 and var at ? Cells.Cell(at) : "";
    }
}
