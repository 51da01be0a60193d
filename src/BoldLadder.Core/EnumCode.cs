using System.Text.Json;

namespace BoldLadder.Core;

/// <summary>A value of an enum as it is stored, served and looked up: read-words.</summary>
public static class EnumCode
{
    /// <summary>The naming that documents and the API share.</summary>
    public static JsonNamingPolicy Naming => JsonNamingPolicy.KebabCaseLower;

    public static string Code<T>(this T value)
        where T : struct, Enum => Naming.ConvertName(value.ToString());
}
