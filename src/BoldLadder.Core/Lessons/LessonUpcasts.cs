using System.Text.Json.Nodes;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Lessons;

/// <summary>What older lessons lack, brought in by reading what they have.</summary>
internal static class LessonUpcasts
{
    /// <summary>
    /// From format 1: the title, of what the lesson teaches. Its rung stood beside the document, and was written into
    /// it as rungId when the tables were migrated.
    /// </summary>
    public static void GiveTitle(JsonObject lesson)
    {
        var rung = lesson["rungId"]?.GetValue<string>() ?? "";
        lesson.Remove("rungId");
        string[] target = Texts(lesson["target"]),
            patterns = Texts(lesson["patterns"]);
        var label =
            target.Length > 0 ? string.Join(' ', target.Select(t => Correspondence.Parse(t).Grapheme.Text))
            : patterns.Length > 0 ? string.Join(' ', patterns)
            : rung.EndsWith("-day", StringComparison.Ordinal) ? rung
            : TeachesTricky(lesson) ? Rung.TrickyLabel
            : Rung.ReviewLabel;
        lesson["title"] = new JsonObject
        {
            ["rung"] = rung,
            ["label"] = label,
            ["stage"] = "",
        };
    }

    private static string[] Texts(JsonNode? list) => [.. list?.AsArray().Select(t => t!.GetValue<string>()) ?? []];

    private static bool TeachesTricky(JsonObject lesson) =>
        lesson["parts"]
            ?.AsArray()
            .SelectMany(p => p!["activities"]!.AsArray())
            .Any(a => a!["kind"]?.GetValue<string>() == "new-tricky-word") == true;
}
