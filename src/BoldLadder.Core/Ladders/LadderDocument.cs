using System.Text.Json;
using System.Text.Json.Serialization;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders;

/// <summary>
/// A ladder as it is stored and shipped: JSON with reference notations and ids, never ordinals. Format 1.
/// </summary>
public sealed record LadderDocument(
    int Format,
    string Id,
    string Approach,
    IReadOnlyList<string> Free,
    IReadOnlyList<RungDocument> Rungs,
    IReadOnlyList<string>? Withheld = null
)
{
    public const int CurrentFormat = 1;

    public static JsonSerializerOptions Json { get; } =
        new()
        {
            PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
            RespectRequiredConstructorParameters = true,
            DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
            WriteIndented = true,
            Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        };

    /// <exception cref="FormatException">Not a ladder of a known format, or it names an unknown correspondence or
    /// pattern.</exception>
    public static Ladder Read(string json)
    {
        try
        {
            var document = JsonSerializer.Deserialize<LadderDocument>(json, Json);
            if (document is not { Format: CurrentFormat })
                throw new FormatException($"This ladder is not of format {CurrentFormat}.");
            return document.ToLadder();
        }
        catch (JsonException problem)
        {
            throw new FormatException($"This ladder is not readable JSON: {problem.Message}", problem);
        }
    }

    public static string Write(Ladder ladder) =>
        JsonSerializer.Serialize(
            new LadderDocument(
                CurrentFormat,
                ladder.Id,
                ladder.Approach,
                [.. ladder.Free.Each().Select(p => p.Id())],
                [.. ladder.Rungs.Select(RungDocument.Of)],
                ladder.Withheld == Leniencies.None ? null : LeniencyRules.Ids(ladder.Withheld)
            ),
            Json
        ) + "\n";

    private Ladder ToLadder() =>
        new(
            Id,
            Approach,
            PatternIds.Parse(Free),
            [.. Rungs.Select(r => r.ToRung())],
            LeniencyRules.Parse(Withheld ?? [])
        );
}

/// <summary>A rung as it is stored.</summary>
/// <param name="Kind">review, assessment or sort; null for a rung that brings something new.</param>
/// <param name="Chunks">Chunks of the school's own, each as its correspondences; null for none.</param>
public sealed record RungDocument(
    string Id,
    string Stage,
    IReadOnlyList<string> Correspondences,
    IReadOnlyList<string> Patterns,
    IReadOnlyList<string> Tricky,
    string? Reason = null,
    string? Kind = null,
    IReadOnlyList<string>? Chunks = null
)
{
    public static RungDocument Of(Rung rung) =>
        new(
            Id: rung.Id,
            Stage: rung.Stage,
            Correspondences: [.. rung.Correspondences.Select(c => c.Notation)],
            Patterns: [.. rung.Patterns.Each().Select(p => p.Id())],
            Tricky: rung.Tricky,
            Reason: rung.Reason,
            Kind: rung.Kind == RungKind.Lesson ? null : rung.Kind.Code(),
            Chunks: rung.Chunks.IsEmpty ? null : [.. rung.Chunks.Select(c => c.Notation)]
        );

    /// <exception cref="FormatException">An unknown correspondence, pattern or kind.</exception>
    public Rung ToRung() =>
        new(
            Id: Id,
            Stage: Stage,
            Correspondences: [.. Correspondences.Select(Correspondence.Parse)],
            Patterns: PatternIds.Parse(Patterns),
            Tricky: [.. Tricky],
            Reason: Reason,
            Kind: Kind switch
            {
                null or "lesson" => RungKind.Lesson,
                "review" => RungKind.Review,
                "assessment" => RungKind.Assessment,
                "sort" => RungKind.Sort,
                _ => throw new FormatException(
                    $"\"{Kind}\" is not a kind of rung. Use lesson, review, assessment or sort."
                ),
            }
        )
        {
            Chunks = [.. (Chunks ?? []).Select(Chunk.Parse)],
        };
}
