using System.Security.Cryptography;
using System.Text;

namespace BoldLadder.School.People;

/// <summary>
/// A code that opens something once: shown when it is made, known by its hash afterwards. It stands behind the # of an
/// address, so that it never reaches a log.
/// </summary>
public static class OneTimeCode
{
    /// <summary>Twenty of thirty-one signs: ninety-nine bits.</summary>
    public const int Letters = 20;

    private const string Signs = "abcdefghjkmnpqrstuvwxyz23456789";

    public static string Make() => RandomNumberGenerator.GetString(Signs, Letters);

    public static byte[] Hash(string code) => SHA256.HashData(Encoding.UTF8.GetBytes(code));

    /// <summary>The key of something in a school: which school, and the code.</summary>
    public static string Key(Guid school, string code) => $"{school:N}.{code}";

    /// <summary>Takes a key apart; false for what is none.</summary>
    public static bool TryRead(string key, out Guid school, out string code)
    {
        (school, code) = (Guid.Empty, "");
        var cut = key.Split('.');
        if (cut.Length != 2 || cut[1].Length != Letters || !Guid.TryParseExact(cut[0], "N", out school))
            return false;
        code = cut[1];
        return true;
    }
}
