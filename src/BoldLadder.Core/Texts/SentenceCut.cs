using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

/// <summary>A text cut into its sentences as they are written, with the marks round them.</summary>
public static class SentenceCut
{
    private const string Closing = ".!?…”’\"')";
    private const string Opening = "“‘\"'(";

    /// <param name="byLine">True where each line is one, whatever marks are in it.</param>
    public static ImmutableArray<string> Of(string text, WordFinder finder, bool byLine)
    {
        if (byLine)
            return [.. text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)];
        var sentences = TextWords.Read(text, finder).Sentences;
        return [.. sentences.Select(s => Written(text, s))];
    }

    private static string Written(string text, TextSentence sentence)
    {
        var (start, end) = (sentence.Start, sentence.Start + sentence.Length);
        while (start > 0 && Opening.Contains(text[start - 1], StringComparison.Ordinal))
            start--;
        while (end < text.Length && Closing.Contains(text[end], StringComparison.Ordinal))
            end++;
        return string.Join(' ', text[start..end].Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
    }
}
