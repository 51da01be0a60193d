using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.Json.Serialization.Metadata;
using BoldLadder.Core.Ladders;
using BoldLadder.School.Style;

namespace BoldLadder.School.Transfer;

/// <summary>
/// The published shapes of documents that go out as single files, as JSON Schema (draft 2020-12). They follow from the
/// types that are written, and docs/formats is compared with them by a test.
/// </summary>
public static class DocumentSchemas
{
    private static readonly JsonSerializerOptions Indented = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    /// <summary>The schemas by the name of their file.</summary>
    public static IReadOnlyDictionary<string, string> All { get; } =
        new Dictionary<string, string>
        {
            ["ladder.schema.json"] = Of(
                typeof(LadderDocument),
                LadderDocument.Json,
                $"A ladder, format {LadderDocument.CurrentFormat}"
            ),
            ["way.schema.json"] = Of(
                typeof(WayDocument),
                WayDocument.Json,
                $"A school's way and its lesson templates, format {WayDocument.CurrentFormat}"
            ),
        };

    private static string Of(Type type, JsonSerializerOptions json, string title)
    {
        var schema = new JsonObject { ["$schema"] = "https://json-schema.org/draft/2020-12/schema", ["title"] = title };
        foreach (
            var (name, value) in new JsonSerializerOptions(json)
            {
                TypeInfoResolver = new DefaultJsonTypeInfoResolver(),
            }
                .GetJsonSchemaAsNode(type, new JsonSchemaExporterOptions { TreatNullObliviousAsNonNullable = true })
                .AsObject()
        )
            schema[name] = value?.DeepClone();
        return schema.ToJsonString(Indented);
    }
}
