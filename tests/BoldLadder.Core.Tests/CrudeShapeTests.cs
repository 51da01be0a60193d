using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>No gap may be one that a child fills to something crude. Source: docs/handbook.md, section 10.</summary>
public class CrudeShapeTests
{
    private static readonly HashSet<string> Graphemes =
    [
        .. Given.Lexicon.Words.SelectMany(w => w.Required).Select(c => c.Grapheme.Text),
    ];

    [Theory]
    [InlineData("shot", 1, true)]
    [InlineData("sheet", 1, true)]
    [InlineData("ship", 2, true)]
    [InlineData("moon", 1, false)]
    [InlineData("rain", 1, false)]
    [InlineData("cat", 0, false)]
    [InlineData("cape", 1, false)]
    public void A_gap_takes_one_grapheme(string word, int hidden, bool crude) =>
        Assert.Equal(crude, CrudeWords.IsShape(Given.Word(word).Segmentation, hidden));

    [Fact]
    public void Every_gap_of_every_word_of_lessons_is_looked_at()
    {
        var (gaps, refused) = (0, 0);
        foreach (var word in Given.Lexicon.ForLessons)
        {
            for (var gap = 0; gap < word.Segmentation.Parts.Length; gap++)
            {
                var isShape = CrudeWords.IsShape(word.Segmentation, gap);
                Assert.True(
                    isShape || !IsCrude(word.Spelling, ItemMaker.MarksOf(word), gap),
                    $"{word} without its part {gap}"
                );
                gaps++;
                if (isShape)
                    refused++;
            }
        }
        // Few are refused: a rule that refused more would take good words from children.
        Assert.InRange(refused, 20, gaps / 40);
    }

    /// <summary>
    /// Written apart from the rule: letters that stay, and a crude word, or its plural, of which they are all but one
    /// grapheme.
    /// </summary>
    internal static bool IsCrude(string word, IReadOnlyList<int> marks, int gap)
    {
        if (marks.Where((m, i) => i > 0 && m < marks[i - 1]).Any())
            return false;
        var (before, after) = (
            string.Concat(word.Where((_, i) => marks[i] < gap)),
            string.Concat(word.Where((_, i) => marks[i] > gap))
        );
        return CrudeWords
            .Crude.Concat(CrudeWords.Crude.Select(c => c + "s"))
            .Any(c =>
                c != word
                && c.TrimEnd('s') != word
                && c.Length > before.Length + after.Length
                && c.StartsWith(before, StringComparison.Ordinal)
                && c.EndsWith(after, StringComparison.Ordinal)
                && Graphemes.Contains(c[before.Length..(c.Length - after.Length)])
            );
    }
}
