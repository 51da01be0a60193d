using System.Collections.Immutable;
using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using BoldLadder.Core;
using BoldLadder.Formats.Packed;
using CsvHelper;
using CsvHelper.Configuration;

namespace BoldLadder.Formats.Schools;

/// <summary>Somebody of a school, as far as what they did needs a name.</summary>
public sealed record SchoolPerson(Guid Id, string Name, string Role);

/// <summary>What a school's zip has in it. Format 1.</summary>
/// <param name="School">The school's settings, by column.</param>
/// <param name="Tables">How many rows of each table there are.</param>
public sealed record SchoolManifest(
    int Format,
    DateTime MadeAt,
    JsonObject School,
    ImmutableArray<SchoolPerson> People,
    ImmutableDictionary<string, int> Tables
)
{
    public const int CurrentFormat = 1;
}

/// <summary>
/// Everything of a school as a zip: <c>school.json</c>, and each table as <c>tables/NAME.json</c>, an array with a row
/// a line, which is what is read back; beside it the same as CSV for a spreadsheet. The shapes are published in
/// docs/formats/school.schema.json.
/// </summary>
public static class SchoolZip
{
    private const string Manifest = "school.json";

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        RespectRequiredConstructorParameters = true,
        RespectNullableAnnotations = true,
        WriteIndented = true,
    };

    private static readonly CsvConfiguration Csv = new(CultureInfo.InvariantCulture)
    {
        // A cell that a spreadsheet would take for a formula gets a mark before it.
        InjectionOptions = InjectionOptions.Escape,
        NewLine = "\r\n",
    };

    /// <summary>What a zip says that it has in it.</summary>
    /// <exception cref="RefusedException">It is no school's, of another format, or can't be read.</exception>
    public static SchoolManifest ReadManifest(ZipArchive zip)
    {
        if (zip.GetEntry(Manifest) is not { } entry)
            throw new RefusedException("not-a-school");
        try
        {
            var manifest = JsonSerializer.Deserialize<SchoolManifest>(PackedFiles.Read(entry), Json);
            return manifest is { Format: SchoolManifest.CurrentFormat }
                ? manifest
                : throw new RefusedException("school-format", ("format", manifest?.Format ?? 0));
        }
        catch (JsonException problem)
        {
            throw new RefusedException("school-file", ("file", Manifest), ("line", (problem.LineNumber ?? 0) + 1));
        }
    }

    /// <summary>The rows of a table, each as it stands in the zip.</summary>
    /// <param name="columns">What a row has; <c>false</c> for a column that may be null or missing.</param>
    /// <exception cref="RefusedException">The file is missing, or a line of it is no row of this table.</exception>
    public static IReadOnlyList<JsonObject> ReadRows(
        ZipArchive zip,
        string table,
        IReadOnlyDictionary<string, bool> columns
    )
    {
        var name = $"tables/{table}.json";
        if (zip.GetEntry(name) is not { } entry)
            throw new RefusedException("school-lacks", ("file", name));
        JsonArray rows;
        try
        {
            rows = JsonNode.Parse(PackedFiles.Read(entry)) as JsonArray ?? throw new JsonException();
        }
        catch (JsonException problem)
        {
            throw new RefusedException("school-file", ("file", name), ("line", (problem.LineNumber ?? 0) + 1));
        }
        var found = new List<JsonObject>(rows.Count);
        foreach (var (at, node) in rows.Index())
        {
            if (
                node is not JsonObject row
                || row.Any(c => !columns.ContainsKey(c.Key))
                || columns.Any(c => c.Value && row[c.Key] is null)
            )
                // The opening bracket has a line of its own.
                throw new RefusedException("school-file", ("file", name), ("line", at + 2));
            found.Add(row);
        }
        return found;
    }

    /// <summary>Writes a zip, table by table.</summary>
    public sealed class Writer : IDisposable
    {
        private readonly MemoryStream memory = new();
        private readonly ZipArchive zip;
        private readonly ImmutableDictionary<string, int>.Builder counts = ImmutableDictionary.CreateBuilder<
            string,
            int
        >();

        public Writer() => zip = new ZipArchive(memory, ZipArchiveMode.Create, leaveOpen: true);

        /// <param name="columns">In the order of the CSV's columns.</param>
        /// <param name="rows">Each a JSON object.</param>
        public void Table(string name, IReadOnlyList<string> columns, IReadOnlyList<string> rows)
        {
            counts[name] = rows.Count;
            using (var json = new StreamWriter(Entry($"tables/{name}.json")))
            {
                json.Write("[\n");
                json.Write(string.Join(",\n", rows));
                json.Write("\n]\n");
            }
            using var csv = new CsvWriter(
                new StreamWriter(Entry($"tables/{name}.csv"), new UTF8Encoding(encoderShouldEmitUTF8Identifier: true)),
                Csv
            );
            foreach (var column in columns)
                csv.WriteField(column);
            csv.NextRecord();
            foreach (var row in rows)
            {
                using var document = JsonDocument.Parse(row);
                foreach (var column in columns)
                    csv.WriteField(document.RootElement.TryGetProperty(column, out var cell) ? Text(cell) : "");
                csv.NextRecord();
            }
        }

        /// <summary>Closes the zip with what it is.</summary>
        public byte[] Finish(DateTime madeAt, JsonObject school, IEnumerable<SchoolPerson> people)
        {
            using (var manifest = Entry(Manifest))
                JsonSerializer.Serialize(
                    manifest,
                    new SchoolManifest(SchoolManifest.CurrentFormat, madeAt, school, [.. people], counts.ToImmutable()),
                    Json
                );
            zip.Dispose();
            return memory.ToArray();
        }

        public void Dispose()
        {
            zip.Dispose();
            memory.Dispose();
        }

        private Stream Entry(string name) => zip.CreateEntry(name, CompressionLevel.Optimal).Open();

        private static string Text(JsonElement cell) =>
            cell.ValueKind switch
            {
                JsonValueKind.Null => "",
                JsonValueKind.String => cell.GetString()!,
                _ => cell.GetRawText(),
            };
    }
}
