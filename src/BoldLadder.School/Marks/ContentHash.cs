using System.Security.Cryptography;
using System.Text.Json;

namespace BoldLadder.School.Marks;

/// <summary>Of what was sent under an id, so that another content under the same id is noticed.</summary>
internal static class ContentHash
{
    private const int Letters = 32;

    public static string Of<T>(T sent) =>
        Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(sent)))[..Letters];
}
