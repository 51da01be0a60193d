namespace BoldLadder.School.Papers;

/// <summary>A word as children see it.</summary>
internal static class Written
{
    /// <summary>The pronoun I has its capital.</summary>
    public static string Of(string word) => word == "i" ? "I" : word;
}
