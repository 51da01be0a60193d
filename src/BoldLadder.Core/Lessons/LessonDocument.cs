using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;

namespace BoldLadder.Core.Lessons;

/// <summary>
/// A lesson as it is stored: JSON with stable discriminators and names, and a format number. A lesson of an older
/// format is brought up to today's, step by step, when it is read; a field that is missing is an error, never a silent
/// nothing.
/// </summary>
public static class LessonDocument
{
    /// <summary>Names of enums are written in kebab case; the order of an item's fields does not matter.</summary>
    public static JsonSerializerOptions Json { get; } =
        new()
        {
            PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
            AllowOutOfOrderMetadataProperties = true,
            RespectRequiredConstructorParameters = true,
            RespectNullableAnnotations = true,
            Converters = { new JsonStringEnumConverter(EnumCode.Naming, allowIntegerValues: false) },
        };

    /// <summary>What brings a document up from its format to the next: the first from format 1.</summary>
    private static readonly Action<JsonObject>[] Upcasts = [LessonUpcasts.GiveTitle];

    private sealed record Head(int Format);

    public static string Write(Lesson lesson) => JsonSerializer.Serialize(lesson, Json);

    /// <exception cref="FormatException">Not a lesson of a known format.</exception>
    public static Lesson Read(string json)
    {
        try
        {
            var format = JsonSerializer.Deserialize<Head>(json, Json)?.Format ?? 0;
            if (format == Lesson.CurrentFormat)
                return JsonSerializer.Deserialize<Lesson>(json, Json)!;
            if (format is < 1 or > Lesson.CurrentFormat)
                throw new FormatException($"This lesson is of format {format}; known are 1 to {Lesson.CurrentFormat}.");
            var document = JsonNode.Parse(json)!.AsObject();
            for (; format < Lesson.CurrentFormat; format++)
                Upcasts[format - 1](document);
            document["format"] = Lesson.CurrentFormat;
            return document.Deserialize<Lesson>(Json)!;
        }
        catch (JsonException problem)
        {
            throw new FormatException($"This lesson is not readable JSON: {problem.Message}", problem);
        }
    }
}

/// <summary>A lesson inside another document: of an older format it is brought up to today's like any.</summary>
public sealed class LessonConverter : JsonConverter<Lesson>
{
    public override Lesson Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        using var document = JsonDocument.ParseValue(ref reader);
        return LessonDocument.Read(document.RootElement.GetRawText());
    }

    public override void Write(Utf8JsonWriter writer, Lesson value, JsonSerializerOptions options) =>
        JsonSerializer.Serialize(writer, value, LessonDocument.Json);
}
