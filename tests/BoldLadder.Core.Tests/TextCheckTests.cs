using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class TextCheckTests
{
    private const string Letters = "a=æ c=k t=t s=s i=ɪ p=p n=n m=m d=d o=ɒ g=g sh=ʃ";

    private static readonly WordFinder Finder = new(Given.Lexicon);

    private static readonly TextCheck Everything = new(Finder, Given.Taught(Letters), new HashSet<string>());

    private static List<(string Text, TokenKind Kind)> Tokens(string text)
    {
        var reader = new TokenReader(new StringReader(text));
        var tokens = new List<(string, TokenKind)>();
        while (reader.Read())
            tokens.Add((reader.Token.ToString(), reader.Kind));
        return tokens;
    }

    private static Judgement Judge(
        string token,
        string taught = Letters,
        string tricky = "",
        Patterns free = Patterns.All,
        Leniencies leniencies = Leniencies.None
    ) =>
        new TextCheck(
            Finder,
            Given.Taught(taught, leniencies, free: free),
            tricky.Split(' ', StringSplitOptions.RemoveEmptyEntries).ToHashSet()
        ).Judge(token, TokenKind.Word);

    [Theory]
    [InlineData("Sam's cat", "Sam's| |cat")]
    [InlineData("It’s tip-top.", "It’s| |tip-top|.")]
    [InlineData("'Stop!' he said -", "'|Stop|!' |he| |said| -")]
    [InlineData("1,000 and 2.5 x", "1,000| |and| |2.5| |x")]
    [InlineData("dogs'", "dogs|'")]
    public void A_text_is_cut_into_words_numbers_and_what_is_between(string text, string tokens) =>
        Assert.Equal(tokens, string.Join('|', Tokens(text).Select(t => t.Text)));

    [Fact]
    public void The_tokens_of_any_text_join_to_it() =>
        Gen.OneOf(Gen.String, Gen.Char["ab'’-1., \n"].Array[0, 300].Select(c => new string(c)))
            .Sample(
                text =>
                {
                    Assert.Equal(text, string.Concat(Tokens(text).Select(t => t.Text)));
                    foreach (var (token, kind) in Tokens(text))
                        Everything.Judge(token, kind);
                },
                threads: 1
            );

    [Fact]
    public void A_huge_run_of_letters_comes_in_pieces_that_are_called_too_long_and_the_word_after_it_is_read()
    {
        var tokens = Tokens(new string('a', 200_000) + " cat");
        Assert.All(tokens[..^2], t => Assert.Equal(TokenKind.TooLong, t.Kind));
        Assert.Equal(("cat", TokenKind.Word), tokens[^1]);
    }

    [Theory]
    [InlineData("cat", ReadingStatus.Decodable)]
    [InlineData("Cats", ReadingStatus.Decodable)]
    [InlineData("cat's", ReadingStatus.Decodable)]
    [InlineData("dog's", ReadingStatus.NotYet)]
    [InlineData("tip-top", ReadingStatus.Decodable)]
    [InlineData("snow", ReadingStatus.NotYet)]
    [InlineData("Tom", ReadingStatus.Decodable)]
    [InlineData("xqzt", ReadingStatus.Unknown)]
    [InlineData("said", ReadingStatus.Tricky)]
    [InlineData("Said", ReadingStatus.Tricky)]
    public void Each_word_has_a_status(string token, ReadingStatus status) =>
        Assert.Equal(status, Judge(token, tricky: "said").Status);

    [Fact]
    public void A_tricky_word_that_became_decodable_counts_as_decodable() =>
        Assert.Equal(ReadingStatus.Decodable, Judge("cat", tricky: "cat").Status);

    [Fact]
    public void A_word_not_yet_readable_says_what_it_needs_and_what_would_let_it_in()
    {
        var dogs = Judge("dogs");
        Assert.Equal(["s=z"], dogs.Needs.Select(n => n.ToString()));
        Assert.Equal(Leniencies.SAsZ, dogs.WouldLetIn);
        Assert.Equal(Leniencies.None, Judge("snow").WouldLetIn);
    }

    [Fact]
    public void Capitals_are_needed_where_a_school_teaches_them_later() =>
        Assert.Equal(
            [Patterns.Capitals],
            Judge("Cat", free: Patterns.All & ~Patterns.Capitals).Needs.Select(n => n.Pattern)
        );

    [Fact]
    public void Shares_count_running_and_different_words()
    {
        var check = new TextCheck(Finder, Given.Taught(Letters), new HashSet<string> { "said" });
        foreach (var word in new[] { "cat", "Cat", "snow", "said" })
            check.Judge(word, TokenKind.Word);
        var count = check.Count;
        Assert.Equal(
            (4, 3, 2, 1, 0.75),
            (
                count.Words,
                count.DifferentWords,
                count.Running(ReadingStatus.Decodable),
                count.Different(ReadingStatus.Decodable),
                count.Readable
            )
        );
        Assert.Equal(1, new TextCheck(Finder, Given.Taught(Letters), new HashSet<string>()).Count.Readable);
    }
}
