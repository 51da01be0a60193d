namespace BoldLadder.Core.Lessons;

/// <summary>
/// How stored lessons name a picture that a school brought for a word: by the word, so that another picture for it is
/// shown at once, and none where it is gone.
/// </summary>
public static class OwnPictures
{
    private const string Own = "own:";

    public static string NameOf(string word) => Own + word;

    /// <summary>Null for a picture that we ship.</summary>
    public static string? WordOf(string name) =>
        name.StartsWith(Own, StringComparison.Ordinal) ? name[Own.Length..] : null;
}
