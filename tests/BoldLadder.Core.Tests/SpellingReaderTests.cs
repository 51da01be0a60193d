using BoldLadder.Core.Accents;
using BoldLadder.Core.Marking;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words.Facts;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// What letters can say: all readings with what was taught, plausible ones by place, words as English builds them.
/// </summary>
public class SpellingReaderTests
{
    private static readonly PlausibleSpellings Plausible = new(Given.Lexicon, Accent.SouthernBritish);
    private static readonly WordShapes Shapes = new(Given.Lexicon);

    private static string[] Readings(string letters, params string[] taught)
    {
        var allowed = taught.Select(Correspondence.Parse).ToHashSet();
        return [.. new SpellingReader(allowed.Contains).Read(letters).Select(r => r.Graphemes)];
    }

    [Fact]
    public void All_readings_with_what_was_taught_are_found() =>
        Assert.Equal(
            ["sh|o|p", "s|h|o|p"],
            Readings("shop", "s=s", "h=h", "sh=ʃ", "o=ɒ", "p=p").OrderBy(r => r.Length)
        );

    [Fact]
    public void A_split_digraph_closes_at_the_end_over_one_grapheme_or_st()
    {
        Assert.Equal(["m|a-e|k"], Readings("make", "m=m", "a-e=eɪ", "k=k"));
        Assert.Equal(["t|a-e|s|t"], Readings("taste", "t=t", "a-e=eɪ", "s=s"));
        Assert.Empty(Readings("makes", "m=m", "a-e=eɪ", "k=k", "s=s"));
    }

    [Theory]
    [InlineData("")]
    [InlineData("cat9")]
    [InlineData("aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa")]
    public void What_can_not_be_read_has_no_reading(string letters) =>
        Assert.Empty(Readings(letters, "a=æ", "c=k", "t=t"));

    [Theory]
    [InlineData("ee", "iː", "heep", 1, 3, true)]
    [InlineData("a", "eɪ", "ran", 1, 2, false)]
    [InlineData("a-e", "eɪ", "trane", 2, 3, true)]
    [InlineData("c", "s", "cit", 0, 1, true)]
    [InlineData("c", "s", "cat", 0, 1, false)]
    [InlineData("c", "k", "cit", 0, 1, true)]
    [InlineData("ck", "k", "ckat", 0, 2, false)]
    [InlineData("tt", "t", "catt", 2, 4, true)]
    [InlineData("dd", "d", "handd", 3, 5, false)]
    [InlineData("ai", "eɪ", "plai", 2, 4, true)]
    [InlineData("o", "əʊ", "go", 1, 2, true)]
    [InlineData("o", "əʊ", "bot", 1, 2, false)]
    [InlineData("zz", "n", "pezz", 2, 4, false)]
    public void A_spelling_is_plausible_where_readers_would_read_it_so(
        string grapheme,
        string sounds,
        string word,
        int start,
        int end,
        bool plausible
    ) => Assert.Equal(plausible, Plausible.May(grapheme, sounds, word, start, end));

    [Theory]
    [InlineData("s|t|r|o|b", "s|t|r|ɒ|b", true)]
    [InlineData("t|l|e|m", "t|l|e|m", false)]
    [InlineData("l|e|m|k", "l|e|m|k", false)]
    [InlineData("c|e|p", "k|e|p", false)]
    [InlineData("v|ay|p", "v|eɪ|p", false)]
    [InlineData("z|i|bb|le", "z|ɪ|b|ə+l", true)]
    [InlineData("s|p|r", "s|p|r", false)]
    public void English_builds_words_so_or_not(string graphemes, string phonemes, bool allowed) =>
        Assert.Equal(allowed, Shapes.Allow(Segmentation.Parse(graphemes, phonemes)));

    [Theory]
    [InlineData('b', 'd', true)]
    [InlineData('p', 'q', true)]
    [InlineData('n', 'u', true)]
    [InlineData('m', 'w', true)]
    [InlineData('b', 'b', false)]
    [InlineData('a', 'e', false)]
    public void Look_alike_letters_are_each_other_turned(char one, char other, bool alike) =>
        Assert.Equal(alike, LookAlikeLetters.Are(one, other));

    [Fact]
    public void The_context_is_the_letters_before_and_after()
    {
        Assert.Equal(LetterContext.Of("cat", 1, 2), LetterContext.Of("hot", 1, 2));
        Assert.NotEqual(LetterContext.Of("cat", 1, 2), LetterContext.Of("wat", 1, 2));
        Assert.NotEqual(LetterContext.Of("cat", 0, 1), LetterContext.Of("cit", 0, 1));
        Assert.All(Given.Lexicon.Words.Take(2000), w =>
            Assert.InRange(LetterContext.Of(w.Spelling, 0, 1), 0, LetterContext.Count - 1)
        );
        Assert.All(Given.Lexicon.Words.Take(2000), w =>
            Assert.InRange(LetterContext.CoarseOf(w.Spelling, 0, 1), 0, LetterContext.CoarseCount - 1)
        );
    }
}
