using BoldLadder.Core.Accents;
using BoldLadder.School.Refusals;

namespace BoldLadder.School.Schools;

/// <summary>What a school may be set to: zone, accent, language, spelling, paper.</summary>
public static class SchoolSettings
{
    public static readonly IReadOnlyList<string> Languages = ["en-GB", "en-US"];

    public static readonly IReadOnlyList<string> Papers = ["A4", "Letter"];

    /// <summary>Zones by their IANA names, as this machine knows them.</summary>
    public static readonly IReadOnlyList<string> Zones =
    [
        .. TimeZoneInfo
            .GetSystemTimeZones()
            .Select(z => z.Id)
            .Where(z => z.Contains('/', StringComparison.Ordinal) && !z.StartsWith("Etc/", StringComparison.Ordinal))
            .Order(StringComparer.Ordinal),
    ];

    private static readonly HashSet<string> Known = [.. Zones];

    /// <summary>Why these can't be set; null when they can.</summary>
    public static Refusal? Wrong(string zone, string accent, string language, string? spelling = null) =>
        !Known.Contains(zone) ? Refusal.Unusable("unknown-zone")
        : Accent.All.All(a => a.Id != accent) ? Refusal.Unusable("bad-style").About("accent")
        : !Languages.Contains(language) || !Languages.Contains(spelling ?? language)
            ? Refusal.Unusable("unknown-language", ("known", string.Join(", ", Languages)))
        : null;

    /// <summary>The paper that is usual where a language is spoken.</summary>
    public static string PaperOf(string language) => language == "en-US" ? "Letter" : "A4";
}
