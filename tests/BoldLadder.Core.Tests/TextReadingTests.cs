using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Texts.Shelf;
using BoldLadder.Core.Words;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>A text as a whole: its words and sentences, its place on a ladder, what would have to be taught.</summary>
public class TextReadingTests
{
    private static readonly WordFinder Finder = new(Given.Lexicon);
    private static readonly SentencePlaces Places = new(Given.LettersFirst, Leniencies.All, Accent.SouthernBritish);
    private static readonly int Rungs = Given.LettersFirst.Rungs.Length;

    private static TextWords Read(string text) => TextWords.Read(text, Finder);

    private static WordJudge After(int rungs, params string[] first) =>
        new(
            Finder,
            Given.LettersFirst.TaughtAfter(rungs, Leniencies.All, Accent.SouthernBritish),
            Given.LettersFirst.Rungs.Take(rungs).SelectMany(r => r.Tricky).Concat(first).ToHashSet()
        );

    [Fact]
    public void The_places_of_a_text_are_its_words_to_the_letter() =>
        Gen.OneOf(Gen.String, Gen.Char["aB ’'-.!?\"\n1"].Array[0, 200].Select(c => new string(c)))
            .Where(t => !t.Split(' ').Any(w => w.Length > 90))
            .Sample(text =>
            {
                var read = Read(text);
                foreach (var place in read.Places)
                {
                    var printed = text.Substring(place.Start, place.Length);
                    Assert.Equal(read.Words[place.Word].Written.Plain, WrittenWord.Of(printed, Finder).Plain);
                }
                Assert.Equal(read.Places.Length, read.Words.Sum(w => w.Times));
                Assert.Equal(read.Places.Length, read.Sentences.Sum(s => s.Words));
            });

    [Theory]
    [InlineData("The cat sat. It was fat!", 3, 3)]
    [InlineData("“Look!” shouted Tom. “A pig!” He ran.", 3, 2, 2)]
    [InlineData("a big red\nbus on the\nhill", 7)]
    [InlineData("A cat\n\nA dog and a pig", 2, 5)]
    [InlineData("Ten men.\nThe dog sat.", 2, 3)]
    public void Sentences_end_at_their_marks_and_at_empty_lines_and_go_on_after_what_was_said(
        string text,
        params int[] words
    ) => Assert.Equal(words, Read(text).Sentences.Select(s => s.Words));

    [Fact]
    public void A_sentence_is_cut_out_with_the_marks_round_it() =>
        Assert.Equal(
            ["“Look at that crab!” shouted Tom.", "He ran.", "“No!”"],
            SentenceCut.Of("“Look at that crab!” shouted Tom. He\nran. “No!”", Finder, byLine: false).AsEnumerable()
        );

    [Fact]
    public void A_word_with_a_capital_wherever_it_stands_is_a_name_probably_and_one_without_is_none()
    {
        var words = Read("Zibbo ran. Then Zibbo sat on a grobble. Tom was hot.").Words;
        Assert.True(words.Single(w => w.Printed == "Zibbo").MayBeName);
        Assert.False(words.Single(w => w.Printed == "grobble").IsName);
        Assert.True(words.Single(w => w.Printed == "Tom").IsName);
        Assert.False(words.Single(w => w.Printed == "Then").IsName);
        Assert.False(Read("Will you come? I will.").Words[0].IsName);
    }

    [Fact]
    public void The_share_of_a_text_never_falls_along_a_ladder_and_is_at_each_rung_what_the_verdict_there_says()
    {
        foreach (var text in Given.Materials.Texts.Texts.Take(40))
        {
            var read = Read(string.Join(' ', text.Sentences.Select(s => s.Text)));
            var along = new TextOnLadder(read, Places, Rungs, _ => false);
            for (var rung = 1; rung < along.Running.Length; rung++)
                Assert.True(along.Running[rung] >= along.Running[rung - 1]);
            foreach (var rungs in new[] { 10, 30, 60, 90, Rungs })
            {
                var verdict = new TextVerdict(read, After(rungs), _ => false);
                Assert.Equal(verdict.Count.Readable, along.Running[rungs], 9);
            }
            Assert.Equal(
                text.Sentences.Select(Places.RungOf)
                    .Aggregate((int?)-1, (a, b) => a is { } x && b is { } y ? Math.Max(x, y) : null),
                along.Reaches(1)
            );
        }
    }

    [Fact]
    public void What_the_adult_says_counts_neither_way()
    {
        var read = Read("Zibbo sat on the rug.");
        var along = new TextOnLadder(read, Places, Rungs, w => w.IsName);
        Assert.Null(new TextOnLadder(read, Places, Rungs, _ => false).Reaches(1));
        Assert.NotNull(along.Reaches(1));
        Assert.Equal(4, new TextVerdict(read, After(60), w => w.IsName).Count.Words);
    }

    [Fact]
    public void As_few_words_as_will_do_are_named_to_be_taught_first()
    {
        var read = Read("Should the cat sit? Should it run? It should nap on a whale.");
        var verdict = new TextVerdict(read, After(40), _ => false);
        Assert.Equal(["should"], verdict.TeachFirst(0.9, 5).AsEnumerable());
        Assert.Equal(["should", "whale"], verdict.TeachFirst(1, 5).AsEnumerable());
        Assert.Empty(verdict.TeachFirst(1, 1));
        Assert.Equal(1, new TextVerdict(read, After(40, "should", "whale"), _ => false).Count.Readable);
        Assert.Empty(new TextVerdict(Read("The cat sat."), After(40), _ => false).TeachFirst(1, 5));
    }

    [Fact]
    public void A_text_without_words_reaches_no_bar_and_too_long_ones_are_refused()
    {
        Assert.Null(new TextOnLadder(Read("1, 2!"), Places, Rungs, _ => false).Reaches(1));
        Assert.Equal("text-no-word", Assert.Throws<RefusedException>(() => Read("a\n" + new string('x', 10_000))).Code);
        Assert.Equal(
            "text-too-long",
            Assert.Throws<RefusedException>(() => Read(string.Concat(Enumerable.Repeat("a ", 200_001)))).Code
        );
    }

    [Fact]
    public void Another_language_and_another_script_are_noticed()
    {
        Assert.False(Read("Vtedy sa mačka pozrela z okna a nevidela vôbec nič okrem dažďa").LooksEnglish);
        Assert.True(Read("Then the cat looked out of the window and saw nothing but rain").LooksEnglish);
        Assert.False(Scripts.IsLatin("القطة على السجادة"));
        Assert.True(Scripts.IsLatin("The café on Ъ street"));
    }

    [Fact]
    public void A_word_in_print_is_the_word_of_a_sentence_whatever_marks_stand_on_it()
    {
        foreach (var token in Given.Materials.Sentences.Sentences.Take(400).SelectMany(s => s.Tokens))
            Assert.Equal(Sentence.Plain(token.Written), WrittenWord.InPrint(token.Written, Finder).Plain);
    }

    [Theory]
    [InlineData("dog's", "dog")]
    [InlineData("cat's", "cat")]
    [InlineData("Ruby's", "Ruby")]
    [InlineData("farmer's", "farmer")]
    public void A_possessive_is_read_from_where_its_owner_is(string possessive, string owner) =>
        Assert.Equal(Places.RungOf(WrittenWord.Of(owner, Finder)), Places.RungOf(WrittenWord.Of(possessive, Finder)));

    [Fact]
    public void A_word_can_be_read_exactly_where_its_verdict_says_so()
    {
        string[] odd = ["tip-top", "the-cat", "Tip-Top", "xyzzy", "I", "I'm", "dog's", "Mum", "12", "said-so"];
        var words = Given.Lexicon.Known.Select(w => w.Spelling).Concat(odd).Take(3_000).ToList();
        foreach (var free in new[] { Patterns.All, Patterns.All & ~Patterns.Capitals })
        {
            var taught = Given.Taught("a=æ c=k t=t s=s i=ɪ p=p n=n m=m d=d o=ɒ g=g sh=ʃ", free: free);
            var judge = new WordJudge(Finder, taught, new HashSet<string> { "said", "the", "so" });
            foreach (var word in words.Concat(odd).SelectMany(w => new[] { w, char.ToUpperInvariant(w[0]) + w[1..] }))
            {
                var written = WrittenWord.InPrint(word, Finder);
                Assert.Equal(judge.Of(written).CanBeRead, judge.CanRead(written));
            }
        }
    }

    [Fact]
    public void A_shelf_says_of_each_book_what_its_text_says()
    {
        var books = Given
            .Materials.Texts.Texts.Take(30)
            .Select(t => new ShelvedBook(Guid.NewGuid(), string.Join(' ', t.Sentences.Select(s => s.Text)), []))
            .ToList();
        var shelf = new ShelfIndex([.. books, new ShelvedBook(Guid.NewGuid(), "", [])], Finder);
        var judge = After(40);
        var (shares, rungs) = (shelf.Readable(judge), shelf.RungOf(Places, Rungs, 0.95));
        foreach (var (i, book) in books.Index())
        {
            var read = Read(book.Body);
            Assert.Equal(new TextVerdict(read, judge, _ => false).Count.Readable, shares[i], 9);
            Assert.Equal(new TextOnLadder(read, Places, Rungs, _ => false).Reaches(0.95), rungs[i]);
            Assert.All(shelf.Missing(i, judge), m => Assert.False(judge.Of(m.Word).CanBeRead));
            Assert.Equal(i, shelf.PlaceOf(book.Id));
        }
        Assert.Null(rungs[^1]);
    }

    [Fact]
    public void A_text_is_read_three_times_each_for_something_else()
    {
        Assert.Equal(["words", "expression", "meaning", null], Enumerable.Range(0, 4).Select(ReReading.FocusOf));
    }
}
