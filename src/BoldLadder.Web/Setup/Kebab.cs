namespace BoldLadder.Web.Setup;

/// <summary>
/// Enums as addresses write them: sound-family. What the JSON converter does for bodies, for paths and queries.
/// </summary>
public static class Kebab
{
    /// <summary>The value with this name; null for no name, or one there is not.</summary>
    public static T? Parse<T>(string? name)
        where T : struct, Enum =>
        name is not null
        && !char.IsAsciiDigit(name.FirstOrDefault('0'))
        && Enum.TryParse<T>(name.Replace("-", "", StringComparison.Ordinal), ignoreCase: true, out var found)
        && Enum.IsDefined(found)
            ? found
            : null;
}
