using System.Globalization;
using System.Security.Cryptography;
using System.Text.Json;

namespace BoldLadder.School.Refusals;

/// <summary>
/// What settings say of their state, and what If-Match gives back: a stamp of their content. A change made on another
/// state is refused and is never laid over someone else's.
/// </summary>
public static class Stamps
{
    private const int Bytes = 12;

    /// <summary>The stamp of a state: equal content has equal stamps.</summary>
    public static string Of<T>(T content) =>
        Convert.ToHexStringLower(
            SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(content, JsonSerializerOptions.Web))[..Bytes]
        );

    /// <summary>Null when the change was made on this state; else why it can't be carried out.</summary>
    public static Refusal? Stale<T>(T now, string? seen) =>
        Plain(seen) is not { Length: > 0 } stamp ? Refused.VersionMissing
        : stamp == Of(now) ? null
        : Refusal.Conflict("changed-meanwhile").About("settings").With("stamp", Of(now));

    /// <summary>The number that was seen; null when none is named.</summary>
    public static int? Number(string? seen) =>
        int.TryParse(Plain(seen), NumberStyles.None, CultureInfo.InvariantCulture, out var version) ? version : null;

    private static string? Plain(string? seen) => seen?.Trim().Trim('"');
}
