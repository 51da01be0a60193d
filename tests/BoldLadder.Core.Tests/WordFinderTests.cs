using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class WordFinderTests
{
    private static readonly WordFinder Finder = new(Given.Lexicon);
    private static readonly Gen<string> Letters = Gen.Char['a', 'z'].Array[1, 14].Select(l => new string(l));

    [Theory]
    [InlineData("Sheep", "sh|ee|p", WordSource.Lexicon)]
    [InlineData("DON’T", "d|o|n|'t", WordSource.Lexicon)]
    [InlineData("Café", "c|a|f|e", WordSource.Lexicon)]
    [InlineData("Monday", "m|o|n|d|ay", WordSource.Lexicon)]
    [InlineData("sheep's", "sh|ee|p|'s", WordSource.Derived)]
    [InlineData("unzapping", "u|n|z|a|pp|i|ng", WordSource.Derived)]
    [InlineData("snowcat", "s|n|ow|c|a|t", WordSource.Derived)]
    [InlineData("plishing", "p|l|i|sh|i|ng", WordSource.Guessed)]
    [InlineData("zib", "z|i|b", WordSource.Guessed)]
    [InlineData("strake", "s|t|r|a-e|k", WordSource.Guessed)]
    public void A_word_is_found_made_or_guessed_and_says_which(string written, string graphemes, WordSource source)
    {
        var found = Finder.Find(written);
        Assert.Equal((graphemes, source), (found.Word!.Segmentation.Graphemes, found.Source));
    }

    [Theory]
    [InlineData("日本")]
    [InlineData("x2")]
    [InlineData("abcdefghijklmnopqrstuvwxyzabcdefghijklmnopqrstuvwxyz")]
    public void What_has_no_letters_to_read_or_too_many_is_unknown(string written) =>
        Assert.Equal(WordSource.Unknown, Finder.Find(written).Source);

    [Fact]
    public void A_heteronym_gives_its_commonest_reading_first_and_all_when_asked()
    {
        var readings = Finder.Find("wind").Readings.Select(r => r.Phonemes).ToList();
        Assert.Equal(["w|ɪ|n|d", "w|aɪ|n|d"], readings);
    }

    [Fact]
    public void A_name_comes_before_a_rarer_word_only_when_written_with_a_capital()
    {
        Assert.True(Finder.Known("tom", capital: true)!.Value.Word.Flags.HasFlag(WordFlags.Name));
        Assert.False(Finder.Known("will", capital: false)!.Value.Word.Spelling == "Will");
    }

    [Fact]
    public void Any_letters_have_readings_that_join_to_them_the_likeliest_first() =>
        Letters.Sample(
            letters =>
            {
                var guesses = new Guesser(Given.Lexicon.Words.Take(3_000).Select(w => w.Segmentation)).Read(letters);
                Assert.NotEmpty(guesses);
                Assert.All(guesses, g => Assert.Equal(letters, g.Segmentation.Rejoin()));
                Assert.Equal(guesses.OrderByDescending(g => g.Share), guesses);
                Assert.InRange(guesses.Sum(g => g.Share), 0.999, 1.001);
            },
            iter: 40
        );

    [Fact]
    public void What_is_made_from_known_words_joins_to_what_was_asked_and_mostly_agrees_with_the_lexicon()
    {
        var derivation = new Derivation(Given.Lexicon.Find);
        var made = Given
            .Lexicon.Words.Take(20_000)
            .Where(w => w.Suffix is not null)
            .Select(w => (Word: w, Made: derivation.Of(w.Spelling)))
            .Where(m => m.Made is not null)
            .ToList();
        Assert.True(made.Count > 5_000);
        Assert.All(made, m => Assert.Equal(m.Word.Spelling, m.Made!.Segmentation.Rejoin()));
        Assert.InRange(
            made.Count(m => m.Made!.Segmentation.Graphemes == m.Word.Segmentation.Graphemes) / (double)made.Count,
            0.99,
            1
        );
    }

    [Theory]
    [InlineData("zops", "s=s")]
    [InlineData("zobs", "s=z")]
    [InlineData("foxes", "es=ɪ+z")]
    public void The_ending_of_a_plural_follows_the_sound_before_it(string plural, string ending)
    {
        Word? Find(string spelling) =>
            spelling switch
            {
                "zop" or "zob" => new Word(
                    spelling,
                    Segmentation.Parse(string.Join('|', spelling.ToCharArray()), $"z|ɒ|{spelling[2]}"),
                    4,
                    Suitability.Use,
                    WordFlags.None,
                    null
                ),
                "fox" => Given.Word("fox"),
                _ => null,
            };
        Assert.Equal(ending, new Derivation(Find).Of(plural)!.Segmentation.Parts[^1].Notation);
    }
}
