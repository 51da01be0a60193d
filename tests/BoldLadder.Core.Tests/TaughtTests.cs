using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class TaughtTests
{
    [Theory]
    [InlineData("c=k a=æ t=t", "cat", true)]
    [InlineData("c=k a=æ", "cat", false)]
    [InlineData("s=s n=n ow=aʊ", "snow", false)]
    [InlineData("l=l i=ɪ g=g h=h t=t", "light", false)]
    [InlineData("b=b o=ɒ x=k+s", "box", true)]
    public void A_word_is_decodable_when_each_correspondence_was_taught(string taught, string word, bool readable) =>
        Assert.Equal(readable, Given.Taught(taught).CanRead(Given.Word(word)));

    [Fact]
    public void What_stands_in_the_way_is_named_in_word_order() =>
        Assert.Equal(["ow=əʊ"], Given.Taught("s=s n=n ow=aʊ").Obstacles(Given.Word("snow")).Select(o => o.ToString()));

    [Theory]
    [InlineData("d=d o=ɒ g=g s=s", "dogs", Leniencies.SAsZ)]
    [InlineData("b=b a=æ n=n k=k", "bank", Leniencies.NAsNg)]
    [InlineData("f=f ew=uː", "few", Leniencies.YooAsOo)]
    [InlineData("b=b a=æ th=θ", "bath", Leniencies.BathVowel)]
    [InlineData("th=θ a=æ t=t", "that", Leniencies.ThVoicing)]
    [InlineData("s=s e=e v=v n=n", "seven", Leniencies.WeakVowel)]
    public void A_leniency_lets_in_what_a_strict_school_refuses(string taught, string word, Leniencies leniency)
    {
        Assert.False(Given.Taught(taught).CanRead(Given.Word(word)));
        Assert.True(Given.Taught(taught, leniency).CanRead(Given.Word(word)));
        Assert.False(Given.Taught(taught, Leniencies.All & ~leniency).CanRead(Given.Word(word)));
    }

    [Fact]
    public void The_bath_leniency_does_not_let_in_the_long_a_of_father() =>
        Assert.False(Given.Taught("f=f a=æ th=θ er=ə th=ð", Leniencies.BathVowel).CanRead(Given.Word("father")));

    [Fact]
    public void In_northern_english_put_is_readable_when_the_u_of_cup_is_taught()
    {
        Assert.True(Given.Taught("p=p u=ʌ t=t", accent: Accent.NorthernEnglish).CanRead(Given.Word("put")));
        Assert.False(Given.Taught("p=p u=ʌ t=t").CanRead(Given.Word("put")));
    }

    [Fact]
    public void A_taught_suffix_supplies_the_sounds_inside_it_and_a_free_one_does_not()
    {
        const string Letters = "d=d o=ɒ g=g s=s";
        Assert.False(Given.Taught(Letters).CanRead(Given.Word("dogs")));
        Assert.True(Given.Taught(Letters, taught: Patterns.SuffixS).CanRead(Given.Word("dogs")));
    }

    [Theory]
    [InlineData("s=s t=t o=ɒ p=p", "stop", Patterns.AdjacentStart)]
    [InlineData("m=m i=ɪ l=l k=k", "milk", Patterns.AdjacentEnd)]
    [InlineData("r=r a=æ bb=b i=ɪ t=t", "rabbit", Patterns.TwoSyllables)]
    public void A_pattern_that_is_neither_taught_nor_free_stands_in_the_way(
        string letters,
        string word,
        Patterns pattern
    )
    {
        var taught = Given.Taught(letters, free: Patterns.All & ~pattern);
        Assert.Equal(pattern, Assert.Single(taught.Obstacles(Given.Word(word))).Pattern);
        Assert.True(taught.With([], pattern).CanRead(Given.Word(word)));
    }

    [Fact]
    public void Adding_to_what_was_taught_never_makes_a_word_unreadable() =>
        Gen.Int[0, Correspondence.All.Length - 2]
            .List[5, 60]
            .Select(Gen.Int[0, Correspondence.All.Length - 2], Gen.Int[0, 63])
            .Sample(
                (some, one, leniencies) =>
                {
                    var taught = new Taught(
                        CorrespondenceSet.Of(some.Select(i => Correspondence.All[i])),
                        Patterns.None,
                        Patterns.All,
                        (Leniencies)leniencies,
                        Accent.SouthernBritish
                    );
                    var more = taught.With([Correspondence.All[one]]);
                    Assert.All(Given.Lexicon.Words.Where(taught.CanRead), w => Assert.True(more.CanRead(w)));
                },
                iter: 50
            );

    [Fact]
    public void A_stricter_leniency_never_lets_more_in() =>
        Gen.Int[0, 125]
            .Select(Gen.Int[0, 63], Gen.Int[0, 63])
            .Sample(
                (rungs, some, others) =>
                {
                    var strict = Given.LettersFirst.TaughtAfter(
                        rungs,
                        (Leniencies)(some & others),
                        Accent.SouthernBritish
                    );
                    var lenient = Given.LettersFirst.TaughtAfter(rungs, (Leniencies)some, Accent.SouthernBritish);
                    Assert.All(Given.Lexicon.Words.Where(strict.CanRead), w => Assert.True(lenient.CanRead(w)));
                },
                iter: 50
            );

    [Fact]
    public void A_word_is_decodable_exactly_when_nothing_stands_in_the_way() =>
        Gen.Int[0, 125]
            .Select(Gen.Int[0, 63])
            .Sample(
                (rungs, leniencies) =>
                {
                    var taught = Given.LettersFirst.TaughtAfter(rungs, (Leniencies)leniencies, Accent.SouthernBritish);
                    Assert.All(Given.Lexicon.Words, w => Assert.Equal(taught.CanRead(w), !taught.Obstacles(w).Any()));
                },
                iter: 30
            );

    [Fact]
    public void Words_and_sentences_found_many_at_once_are_those_found_one_by_one() =>
        Gen.Int[0, 123]
            .Select(Gen.Int[0, 63], Gen.Int[0, Accent.All.Length - 1], Gen.Int[0, 2])
            .Sample(
                (rungs, leniencies, accent, which) =>
                {
                    var ladder = Given.Ladders.ElementAt(which);
                    var before = ladder.TaughtAfter(rungs, (Leniencies)leniencies, Accent.All[accent]);
                    Assert.Equal(
                        Given.Lexicon.ForLessons.Where(before.CanRead),
                        Given.Lexicon.ForLessonsWhere(before.Accent, before.ReadableOf, _ => false)
                    );
                    var rung = ladder.Rungs[Math.Min(rungs, ladder.Rungs.Length - 1)];
                    var after = before.With(rung.Correspondences, rung.Patterns);
                    Assert.Equal(
                        Usable.Showing(rung, after, Given.Lexicon.ForLessons),
                        Given.Lexicon.ForLessonsWhere(
                            before.Accent,
                            rows => Usable.Showing(rung, after, rows),
                            _ => false
                        )
                    );
                    var tricky = ladder.Rungs.Take(rungs).SelectMany(r => r.Tricky).ToHashSet();
                    Assert.Equal(
                        Given.Materials.Sentences.Sentences.Where(s => s.CanBeRead(before, tricky)),
                        Given.Materials.Sentences.Readable(before, tricky)
                    );
                },
                iter: Given.Deep ? 400 : 40
            );
}
