using BoldLadder.School.Refusals;

namespace BoldLadder.School.People;

/// <summary>
/// Which passwords will do: long, not among those that are tried first, and nothing of the person in it. No rule of
/// signs and digits, which only make them harder to keep (OWASP ASVS 2.1).
/// </summary>
public sealed class Passwords(IReadOnlySet<string> common)
{
    public const int Shortest = 12;
    public const int Longest = 128;
    private const int FewestDifferent = 5;
    private const int ShortestPart = 4;

    /// <summary>With the passwords that are tried first, as they ship (data/accounts).</summary>
    public static Passwords Shipped() =>
        new(
            File.ReadLines(Path.Combine(AppContext.BaseDirectory, "data", "accounts", "common-passwords.txt"))
                .ToHashSet(StringComparer.Ordinal)
        );

    /// <summary>Why a password will not do; null when it will.</summary>
    /// <param name="ofPerson">Name and address: no long part of them may stand in it.</param>
    public Refusal? Wrong(string password, params ReadOnlySpan<string> ofPerson)
    {
        if (password.Length is < Shortest or > Longest)
            return Refusal.Unusable("bad-password", ("least", Shortest), ("most", Longest));
        var plain = password.ToLowerInvariant();
        if (IsCommon(plain) || IsCommon(plain.TrimEnd([.. "0123456789!?.@#*"])) || IsRepeated(plain))
            return Refusal.Unusable("common-password").About("guessed");
        foreach (var text in ofPerson)
        {
            foreach (var part in text.ToLowerInvariant().Split([' ', '@', '.', '-', '_', '+']))
            {
                if (part.Length >= ShortestPart && plain.Contains(part, StringComparison.Ordinal))
                    return Refusal.Unusable("common-password", ("part", part)).About("person");
            }
        }
        return null;
    }

    private bool IsCommon(string plain) => common.Contains(plain);

    /// <summary>True for few different signs, and for a common one written twice or more.</summary>
    private bool IsRepeated(string plain)
    {
        if (plain.Distinct().Count() < FewestDifferent)
            return true;
        for (var length = ShortestPart; length <= plain.Length / 2; length++)
        {
            var part = plain[..length];
            if (plain.Length % length == 0 && IsCommon(part) && plain.Replace(part, "", StringComparison.Ordinal) == "")
                return true;
        }
        return false;
    }
}
