using System.Text.Json;
using System.Text.Json.Serialization;

namespace BoldLadder.Core.Lessons;

/// <summary>A lesson as it is stored: JSON with stable discriminators and names, and a format number.</summary>
public static class LessonDocument
{
    /// <summary>Names of enums are written in kebab case; the order of an item's fields does not matter.</summary>
    public static JsonSerializerOptions Json { get; } = new()
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        AllowOutOfOrderMetadataProperties = true,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false) },
    };

    public static string Write(Lesson lesson) => JsonSerializer.Serialize(lesson, Json);

    /// <exception cref="FormatException">Not a lesson of a known format.</exception>
    public static Lesson Read(string json)
    {
        try
        {
            return JsonSerializer.Deserialize<Lesson>(json, Json) is { Format: Lesson.CurrentFormat } lesson
                ? lesson
                : throw new FormatException($"This lesson is not of format {Lesson.CurrentFormat}.");
        }
        catch (JsonException problem)
        {
            throw new FormatException($"This lesson is not readable JSON: {problem.Message}", problem);
        }
    }
}
