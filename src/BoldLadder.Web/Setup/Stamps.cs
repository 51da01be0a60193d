using System.Globalization;
using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;

namespace BoldLadder.Web.Setup;

/// <summary>
/// What settings say of their state, and what If-Match gives back: a stamp of their content. A change made on another state is answered
/// with 409 and is never laid over someone else's.
/// </summary>
public sealed class Stamps(IOptions<JsonOptions> options)
{
    private const int Bytes = 12;

    /// <summary>The stamp of a state: equal content has equal stamps.</summary>
    public string Of<T>(T content) => Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(content, options.Value.SerializerOptions))[..Bytes]);

    /// <summary>Null when the change was made on this state; else why it can't be carried out.</summary>
    public ProblemHttpResult? Stale<T>(T now, string? ifMatch) =>
        Plain(ifMatch) is not { Length: > 0 } seen ? Missing()
        : seen == Of(now) ? null
        : Problem.Of(StatusCodes.Status409Conflict, "changed-meanwhile",
            "Someone saved this after you opened it. Theirs is kept, and what you typed is still on your screen: look at theirs, then save again if you still want yours.",
            new() { ["stamp"] = Of(now) });

    /// <summary>The number that If-Match names; null when it names none.</summary>
    public static int? Number(string? ifMatch) => int.TryParse(Plain(ifMatch), NumberStyles.None, CultureInfo.InvariantCulture, out var version) ? version : null;

    public static ProblemHttpResult Missing() =>
        Problem.Of(StatusCodes.Status428PreconditionRequired, "version-missing", "Say which version you changed, in If-Match. Reload the page to see it.");

    private static string? Plain(string? ifMatch) => ifMatch?.Trim().Trim('"');
}
