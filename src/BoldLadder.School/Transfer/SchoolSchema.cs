using System.Text.Json;
using System.Text.Json.Nodes;
using BoldLadder.Formats.Schools;
using BoldLadder.Store;

namespace BoldLadder.School.Transfer;

/// <summary>
/// The published shape of a school's zip, as JSON Schema (draft 2020-12): a definition for each file of it. It follows
/// from the tables, and docs/formats/school.schema.json is compared with it by a test.
/// </summary>
public static class SchoolSchema
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true };

    public static string Of(BoldContext store)
    {
        var definitions = new JsonObject { ["school.json"] = Manifest(SchoolTables.Settings(store)) };
        foreach (var table in SchoolTables.Of(store).OrderBy(t => t.Name, StringComparer.Ordinal))
            definitions[$"tables/{table.Name}.json"] = new JsonObject { ["type"] = "array", ["items"] = Row(table) };
        return new JsonObject
        {
            ["$schema"] = "https://json-schema.org/draft/2020-12/schema",
            ["title"] = $"A school's zip, format {SchoolManifest.CurrentFormat}",
            ["description"] =
                "Each file of the zip is described under $defs by its name. Rows that refer to each other do so by id.",
            ["$defs"] = definitions,
        }.ToJsonString(Indented);
    }

    private static JsonObject Manifest(SchoolTable settings) =>
        Object(
            ("format", new JsonObject { ["const"] = SchoolManifest.CurrentFormat }),
            ("madeAt", Text("date-time")),
            ("school", Row(settings)),
            (
                "people",
                new JsonObject
                {
                    ["type"] = "array",
                    ["items"] = Object(
                        ("id", Text("uuid")),
                        ("name", Text()),
                        ("role", new JsonObject { ["enum"] = new JsonArray("lead", "teacher", "helper", "head") })
                    ),
                }
            ),
            (
                "tables",
                new JsonObject
                {
                    ["type"] = "object",
                    ["additionalProperties"] = new JsonObject { ["type"] = "integer" },
                }
            )
        );

    private static JsonObject Row(SchoolTable table)
    {
        var row = Object([.. table.Columns.Select(c => (c.Name, OfColumn(c)))]);
        row["required"] = new JsonArray([.. table.Columns.Where(c => !c.IsNullable).Select(c => (JsonNode)c.Name)]);
        return row;
    }

    private static JsonObject OfColumn(SchoolColumn column)
    {
        var plain = OfType(column.Type);
        return column.IsNullable
            ? new JsonObject { ["anyOf"] = new JsonArray(plain, new JsonObject { ["type"] = "null" }) }
            : plain;
    }

    private static JsonObject OfType(string type) =>
        type switch
        {
            _ when type.EndsWith("[]", StringComparison.Ordinal) => new JsonObject
            {
                ["type"] = "array",
                ["items"] = OfType(type[..^2]),
            },
            "uuid" => Text("uuid"),
            "date" => Text("date"),
            "timestamp with time zone" => Text("date-time"),
            "integer" or "bigint" => new JsonObject { ["type"] = "integer" },
            "boolean" => new JsonObject { ["type"] = "boolean" },
            // A document, which says itself of which format it is.
            "jsonb" => new JsonObject { ["type"] = new JsonArray("object", "array") },
            _ => Text(),
        };

    private static JsonObject Object(params (string Name, JsonObject Schema)[] properties)
    {
        var named = new JsonObject();
        foreach (var (name, schema) in properties)
            named[name] = schema;
        return new JsonObject
        {
            ["type"] = "object",
            ["properties"] = named,
            ["required"] = new JsonArray([.. properties.Select(p => (JsonNode)p.Name)]),
            ["additionalProperties"] = false,
        };
    }

    private static JsonObject Text(string? format = null) =>
        format is null
            ? new JsonObject { ["type"] = "string" }
            : new JsonObject { ["type"] = "string", ["format"] = format };
}
