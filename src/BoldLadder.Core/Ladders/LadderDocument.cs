using System.Text.Json;
using System.Text.Json.Serialization;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders;

/// <summary>
/// A ladder as it is stored and shipped: JSON with reference notations and ids, never ordinals. Format 1.
/// </summary>
public sealed record LadderDocument(int Format, string Id, string Approach, IReadOnlyList<string> Free, IReadOnlyList<RungDocument> Rungs)
{
    public const int CurrentFormat = 1;

    private static readonly JsonSerializerOptions Json = new()
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        WriteIndented = true,
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    /// <exception cref="FormatException">Not a ladder of a known format, or it names an unknown correspondence or pattern.</exception>
    public static Ladder Read(string json)
    {
        try
        {
            var document = JsonSerializer.Deserialize<LadderDocument>(json, Json);
            if (document is not { Format: CurrentFormat }) throw new FormatException($"This ladder is not of format {CurrentFormat}.");
            return document.ToLadder();
        }
        catch (JsonException problem)
        {
            throw new FormatException($"This ladder is not readable JSON: {problem.Message}", problem);
        }
    }

    public static string Write(Ladder ladder) => JsonSerializer.Serialize(
        new LadderDocument(CurrentFormat, ladder.Id, ladder.Approach, [.. ladder.Free.Each().Select(p => p.Id())],
            [.. ladder.Rungs.Select(r => new RungDocument(
                r.Id, r.Stage, [.. r.Correspondences.Select(c => c.Notation)], [.. r.Patterns.Each().Select(p => p.Id())], r.Tricky, r.Reason))]),
        Json) + "\n";

    private Ladder ToLadder() => new(Id, Approach, PatternIds.Parse(Free),
        [.. Rungs.Select(r => new Rung(r.Id, r.Stage, [.. r.Correspondences.Select(Correspondence.Parse)], PatternIds.Parse(r.Patterns), [.. r.Tricky], r.Reason))]);
}

/// <summary>A rung as it is stored.</summary>
public sealed record RungDocument(
    string Id, string Stage, IReadOnlyList<string> Correspondences, IReadOnlyList<string> Patterns, IReadOnlyList<string> Tricky, string? Reason);
