using System.Text.Json;
using System.Text.Json.Nodes;

namespace BoldLadder.Web.Tests;

/// <summary>An operation of the API as its own document describes it.</summary>
/// <param name="Parameters">Name, where it stands (path, query, header) and its schema.</param>
/// <param name="Body">The schema of its body; null for none.</param>
public sealed record Operation(
    HttpMethod Method,
    string Path,
    IReadOnlyList<(string Name, string In, JsonNode? Schema)> Parameters,
    JsonNode? Body
)
{
    public override string ToString() => $"{Method} {Path}";
}

/// <summary>
/// All operations there are, from the OpenAPI document that the build writes: a new endpoint joins every test over them
/// by existing.
/// </summary>
public sealed class Operations
{
    private readonly JsonObject schemas;

    public Operations()
    {
        var document = JsonNode.Parse(
            File.ReadAllText(Path.Combine(TestFolders.Repository, "src", "BoldLadder.Web", "openapi.json"))
        )!;
        schemas = document["components"]!["schemas"]!.AsObject();
        All =
        [
            .. document["paths"]!
                .AsObject()
                .SelectMany(path =>
                    path.Value!.AsObject()
                        .Select(operation => new Operation(
                            new HttpMethod(operation.Key.ToUpperInvariant()),
                            path.Key,
                            [
                                .. (operation.Value!["parameters"]?.AsArray() ?? []).Select(p =>
                                    ((string)p!["name"]!, (string)p["in"]!, p["schema"])
                                ),
                            ],
                            operation.Value["requestBody"]?["content"]?.AsObject().First().Value?["schema"]
                        ))
                ),
        ];
    }

    public IReadOnlyList<Operation> All { get; }

    /// <summary>A value that the schema allows.</summary>
    /// <param name="given">Values for fields by name, where any would do but some get further.</param>
    public JsonNode? Sample(
        JsonNode? schema,
        IReadOnlyDictionary<string, JsonNode?> given,
        string name = "",
        int depth = 0
    )
    {
        schema = Resolved(schema);
        if (schema is null || depth > 8)
            return "x";
        if (given.TryGetValue(name, out var value))
            return value?.DeepClone();
        if (schema["enum"] is JsonArray values)
            return values[0]?.DeepClone();
        if ((schema["anyOf"] ?? schema["oneOf"]) is JsonArray choices)
            return Sample(choices.First(c => (string?)c!["type"] != "null"), given, name, depth);
        switch (TypeOf(schema))
        {
            case "object":
                var made = new JsonObject();
                foreach (var (field, inner) in schema["properties"]?.AsObject() ?? [])
                    made[field] = Sample(inner, given, field, depth + 1);
                return made;
            case "array":
                return new JsonArray(Sample(schema["items"], given, "", depth + 1));
            case "integer" or "number":
                return 1;
            case "boolean":
                return true;
            default:
                return (string?)schema["format"] switch
                {
                    "uuid" => Guid.NewGuid().ToString(),
                    "date" => "2026-11-24",
                    "time" => "09:10:00",
                    "date-time" => "2026-11-24T09:00:00Z",
                    "byte" => "Qm8=",
                    _ => "x",
                };
        }
    }

    private static string TypeOf(JsonNode schema) =>
        schema["properties"] is not null ? "object"
        : schema["type"] is JsonArray types ? types.Select(t => (string)t!).First(t => t != "null")
        : (string?)schema["type"] ?? "string";

    private JsonNode? Resolved(JsonNode? schema) =>
        (string?)schema?["$ref"] is { } reference ? Resolved(schemas[reference.Split('/')[^1]]) : schema;
}

/// <summary>Where tests find what is not copied beside them.</summary>
internal static class TestFolders
{
    public static string Repository { get; } = Find();

    private static string Find()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder.FullName, "BoldLadder.slnx")))
            folder = folder.Parent!;
        return folder.FullName;
    }
}
