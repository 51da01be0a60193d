using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Editing;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Style;
using BoldLadder.Core.Teaching;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>
/// One stored document of each kind, as an older version wrote it: each is read by this one, and nothing of it is lost.
/// See tests/stored/README.md.
/// </summary>
public class StoredDocumentTests
{
    private static readonly Dictionary<string, Func<string, string>> Kinds = new()
    {
        ["lesson"] = text => LessonDocument.Write(LessonDocument.Read(text)),
        ["edits"] = text => LessonEdits.Write(LessonEdits.Read(text)),
        ["standing"] = text => Standing.Write(Standing.Read(text)),
        ["stamp"] = text =>
            JsonSerializer.Serialize(
                JsonSerializer.Deserialize<LessonStamp>(text, LessonDocument.Json),
                LessonDocument.Json
            ),
        ["ladder"] = text => LadderDocument.Write(LadderDocument.Read(text)),
        ["steps"] = text => LadderSteps.Write(LadderSteps.Read(text)),
        ["style"] = text => HouseStyle.Write(HouseStyle.Read(text)),
        ["took"] = text => JsonSerializer.Serialize(JsonSerializer.Deserialize<Dictionary<string, int>>(text)),
        ["memory"] = text => RememberedDocument.Write(RememberedDocument.Read(text)),
        ["template"] = text => LessonTemplate.Write(LessonTemplate.Read(text)),
    };

    private static IEnumerable<(string Kind, string Text)> Stored() =>
        Directory
            .EnumerateFiles(Path.Combine(TestFolders.Repository, "tests", "stored", "documents"), "*.json")
            .Select(f => (Path.GetFileName(f).Split('-', '.')[0], File.ReadAllText(f)));

    [Fact]
    public void Every_stored_document_is_read_and_written_again_without_a_loss()
    {
        Assert.Equal(Kinds.Keys.Order(), Stored().Select(s => s.Kind).Distinct().Order());
        Assert.All(Stored(), s =>
            Assert.True(
                Keeps(JsonNode.Parse(s.Text), JsonNode.Parse(Kinds[s.Kind](s.Text))),
                $"{s.Kind} loses something"
            )
        );
    }

    [Fact]
    public void A_number_in_place_of_a_name_is_never_read_from_a_document()
    {
        var lesson = Stored().First(s => s.Kind == "lesson").Text;
        Assert.Throws<FormatException>(() =>
            LessonDocument.Read(lesson.Replace("\"kind\":\"revisit\"", "\"kind\":99", StringComparison.Ordinal))
        );
        var style = Stored().First(s => s.Kind == "style").Text;
        Assert.Throws<JsonException>(() =>
            HouseStyle.Read(style.Replace("\"soundLabels\":\"ipa\"", "\"soundLabels\":99", StringComparison.Ordinal))
        );
    }

    /// <summary>Every column that holds a document has its kind here.</summary>
    [Fact]
    public void Each_kind_of_document_the_tables_have_is_stored_here()
    {
        using var store = new DesignTimeFactory().CreateDbContext([]);
        var columns = store
            .Model.GetEntityTypes()
            .SelectMany(e => e.GetProperties())
            .Where(p => p.GetColumnType() == "jsonb")
            .Select(p => p.ClrType)
            .ToHashSet();
        Assert.Equal(
            new HashSet<Type>
            {
                typeof(Lesson),
                typeof(LessonStamp),
                typeof(Ladder),
                typeof(LadderSteps),
                typeof(HouseStyle),
                typeof(LessonTemplate),
                typeof(LessonEdits),
                typeof(Standing),
                typeof(Remembered),
                typeof(IReadOnlyDictionary<string, int>),
            },
            columns
        );
    }

    [Fact]
    public void Each_kind_of_item_and_each_kind_of_step_is_stored_here()
    {
        var discriminators = Stored().SelectMany(s => Discriminators(JsonNode.Parse(s.Text))).ToHashSet();
        foreach (var type in new[] { typeof(Item), typeof(LadderStep), typeof(LessonEdit) })
        {
            var missing = type.GetCustomAttributes(typeof(JsonDerivedTypeAttribute), false)
                .Cast<JsonDerivedTypeAttribute>()
                .Select(a => (string)a.TypeDiscriminator!)
                .Except(discriminators);
            Assert.Empty(missing);
        }
    }

    private static IEnumerable<string> Discriminators(JsonNode? node) =>
        node switch
        {
            JsonObject fields => fields.SelectMany(f =>
                f.Key == "$type" ? [(string)f.Value!] : Discriminators(f.Value)
            ),
            JsonArray list => list.SelectMany(Discriminators),
            _ => [],
        };

    /// <summary>
    /// True when everything in what was stored is still in what is written now; new fields may have come.
    /// </summary>
    private static bool Keeps(JsonNode? before, JsonNode? after) =>
        (before, after) switch
        {
            (JsonObject a, JsonObject b) => a.All(f =>
                f.Key == "format" || f.Value is null || (b[f.Key] is { } kept && Keeps(f.Value, kept))
            ),
            (JsonArray a, JsonArray b) => a.Count == b.Count && a.Zip(b).All(p => Keeps(p.First, p.Second)),
            _ => before?.ToJsonString() == after?.ToJsonString(),
        };
}
