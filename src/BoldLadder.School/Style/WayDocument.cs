using System.Text.Encodings.Web;
using System.Text.Json;
using BoldLadder.Core;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Style;
using BoldLadder.School.Templates;

namespace BoldLadder.School.Style;

/// <summary>
/// How a school teaches, as a file: accent, house style, its notes and its own lesson templates. Format 1; the shape is
/// published as docs/formats/way.schema.json.
/// </summary>
public sealed record WayDocument(
    int Format,
    string Accent,
    HouseStyle Style,
    IReadOnlyList<Note> Notes,
    IReadOnlyList<TemplateRequest> Templates
)
{
    public const int CurrentFormat = 1;

    /// <summary>As lessons are written, to be read by people too.</summary>
    public static JsonSerializerOptions Json { get; } =
        new(LessonDocument.Json) { WriteIndented = true, Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    public static string Write(WayDocument way) => JsonSerializer.Serialize(way, Json) + "\n";

    /// <exception cref="RefusedException">way-line with what can't be read where, or not-a-way.</exception>
    public static WayDocument Read(string json)
    {
        try
        {
            return JsonSerializer.Deserialize<WayDocument>(json, Json) is { Format: CurrentFormat } way
                ? way
                : throw new RefusedException("not-a-way");
        }
        catch (JsonException problem) when (problem.LineNumber is { } line && problem.Path is { Length: > 1 } path)
        {
            throw new RefusedException("way-line", ("line", (int)line + 1), ("where", path.TrimStart('$', '.')));
        }
        catch (JsonException)
        {
            throw new RefusedException("not-a-way");
        }
    }
}
