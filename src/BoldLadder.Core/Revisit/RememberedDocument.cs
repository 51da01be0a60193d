using System.Text.Json;

namespace BoldLadder.Core.Revisit;

/// <summary>A memory as it is stored: the same memory is the same text.</summary>
public static class RememberedDocument
{
    private static readonly JsonSerializerOptions Options = new()
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        RespectRequiredConstructorParameters = true,
    };

    public static string Write(Remembered memory) => JsonSerializer.Serialize(memory, Options);

    /// <exception cref="JsonException">It can't be read.</exception>
    public static Remembered Read(string json) =>
        JsonSerializer.Deserialize<Remembered>(json, Options) ?? throw new JsonException("A memory is missing.");
}
