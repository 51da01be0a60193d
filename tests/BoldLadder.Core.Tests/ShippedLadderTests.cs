using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Commands;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Section 8 of the handbook: what a good order satisfies, whatever school of order it follows.</summary>
public class ShippedLadderTests
{
    private static readonly ImmutableArray<string> Names = Core.Ladders.Ladder.Shipped;

    public static TheoryData<string> Ids => [.. Names];

    private static Ladder Ladder(string id) =>
        id switch
        {
            "letters-first" => Given.LettersFirst,
            "sounds-first" => Given.SoundsFirst,
            _ => Given.ShortVowelsFirst,
        };

    private static List<Correspondence> Order(string id) => [.. Ladder(id).Rungs.SelectMany(r => r.Correspondences)];

    private static int RungOf(string id, string notation) =>
        Ladder(id).WhenTaught(new Obstacle(Correspondence.Parse(notation), Patterns.None))
        ?? throw new InvalidOperationException(notation);

    private static int RungOf(string id, Patterns pattern) =>
        Ladder(id).WhenTaught(new Obstacle(null, pattern)) ?? throw new InvalidOperationException(pattern.Id());

    private static List<Word> WordsAfter(string id, int rungs) =>
        [
            .. Given.Lexicon.ForLessons.Where(w =>
                Ladder(id).TaughtAfter(rungs, Leniencies.All, Accent.SouthernBritish).CanRead(w)
            ),
        ];

    [Theory]
    [MemberData(nameof(Ids))]
    public void Three_common_words_are_readable_by_the_fourth_day_and_eight_by_the_sixth_correspondence(string id)
    {
        Assert.True(WordsAfter(id, 4).Count(w => w.Zipf >= 4) >= 3);
        Assert.True(WordsAfter(id, 5).Count >= 8);
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void Two_vowels_are_among_the_first_eight_and_consonants_never_come_five_in_a_row_early(string id)
    {
        Assert.True(Order(id).Take(8).Count(c => c.IsVowel) >= 2);
        for (var i = 0; i + 4 < 12; i++)
            Assert.Contains(Order(id).Skip(i).Take(5), c => c.IsVowel);
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void Half_of_the_first_six_consonants_can_be_held(string id) =>
        Assert.True(Order(id).Where(c => !c.IsVowel).Take(6).Count(c => c.Sounds[^1].CanBeHeld) >= 3);

    [Theory]
    [MemberData(nameof(Ids))]
    public void A_rung_that_teaches_something_has_five_usable_words_or_a_reason(string id)
    {
        for (var i = 0; i < Ladder(id).Rungs.Length; i++)
        {
            var words = Usable
                .Showing(
                    Ladder(id).Rungs[i],
                    Ladder(id).TaughtAfter(i + 1, Leniencies.All, Accent.SouthernBritish),
                    Given.Lexicon.Words
                )
                .Count();
            Assert.True(
                words >= 5 || Ladder(id).Rungs[i] is { Reason: not null } or { TeachesSomething: false },
                Ladder(id).Rungs[i].Label
            );
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void No_rung_before_the_tenth_has_more_than_two_correspondences(string id) =>
        Assert.All(Ladder(id).Rungs.Take(9), r => Assert.InRange(r.Correspondences.Length, 1, 2));

    [Theory]
    [MemberData(nameof(Ids))]
    public void A_graphemes_first_sound_is_its_likeliest_among_the_words_readable_but_for_it(string id)
    {
        var order = Order(id);
        foreach (
            var same in order
                .Where(c => c.Sounds.Length == 1 && !c.IsBath)
                .GroupBy(c => c.Grapheme)
                .Where(g => g.Select(c => c.SoundText).Distinct().Count() > 1)
        )
        {
            var taught = Ladder(id)
                .TaughtAfter(RungOf(id, same.First().Notation), Leniencies.None, Accent.SouthernBritish);
            int Words(Correspondence one) =>
                Given.Lexicon.ForLessons.Count(w => w.IsKnown && w.Contains(one) && taught.With([one]).CanRead(w));
            // Where every sound gets one spelling first, a sound with no other spelling can't wait for the likelier
            // one.
            if (id == "sounds-first" && order.Count(c => c.SoundText == same.First().SoundText) == 1)
                continue;
            Assert.True(
                same.Where(c => RungOf(id, c.Notation) > RungOf(id, same.First().Notation))
                    .All(later => Words(same.First()) >= Words(later)),
                $"{string.Join(", ", same.Select(c => $"{c} {Words(c)}"))}"
            );
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void Look_alikes_and_sound_alikes_are_apart(string id)
    {
        foreach (var one in Order(id))
        {
            foreach (var other in Order(id).Where(o => o != one))
            {
                var (a, b) = (RungOf(id, one.Notation), RungOf(id, other.Notation));
                if (a != b)
                    Assert.True(Math.Abs(a - b) >= Apartness.Between(one, other), $"{one} {other}");
            }
        }
        Assert.True(Math.Abs(RungOf(id, "b=b") - RungOf(id, "d=d")) >= 10);
    }

    [Theory]
    [InlineData("b=b", "d=d", 10)]
    [InlineData("m=m", "n=n", 3)]
    [InlineData("e=e", "i=ɪ", 3)]
    [InlineData("f=f", "th=θ", 3)]
    [InlineData("t=t", "a=æ", 0)]
    [InlineData("ff=f", "v=v", 0)]
    public void The_gaps_asked_for_are_the_handbooks(string one, string other, int rungs) =>
        Assert.Equal(rungs, Apartness.Between(Correspondence.Parse(one), Correspondence.Parse(other)));

    [Theory]
    [MemberData(nameof(Ids))]
    public void Wholes_come_after_their_parts(string id)
    {
        Assert.True(RungOf(id, "qu=k+w") > RungOf(id, "u=ʌ"));
        Assert.True(RungOf(id, "ck=k") > RungOf(id, "c=k") && RungOf(id, "ck=k") > RungOf(id, "k=k"));
        Assert.True(RungOf(id, "tch=tʃ") > RungOf(id, "ch=tʃ"));
        Assert.True(RungOf(id, Patterns.SuffixS) > RungOf(id, "s=s"));
        foreach (
            var (split, vowel) in new[]
            {
                ("a-e=eɪ", "a=æ"),
                ("e-e=iː", "e=e"),
                ("i-e=aɪ", "i=ɪ"),
                ("o-e=əʊ", "o=ɒ"),
                ("u-e=uː", "u=ʌ"),
            }
        )
        {
            Assert.True(RungOf(id, split) > RungOf(id, vowel), split);
        }
        foreach (var join in new[] { Patterns.JoinDropE, Patterns.JoinDouble, Patterns.JoinYToI })
        {
            Assert.True(
                RungOf(id, join)
                    > new[]
                    {
                        Patterns.SuffixIng,
                        Patterns.SuffixEd,
                        Patterns.SuffixEr,
                        Patterns.SuffixEst,
                        Patterns.SuffixS,
                        Patterns.SuffixLy,
                    }.Min(s => RungOf(id, s)),
                join.Id()
            );
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void A_second_sound_of_a_grapheme_comes_ten_rungs_after_the_first(string id)
    {
        foreach (var same in Order(id).GroupBy(c => c.Grapheme.Text).Where(g => g.Count() > 1))
        {
            var rungs = same.Select(c =>
                    (Rung: RungOf(id, c.Notation), Sounds: c.SoundText.Replace("j+", "", StringComparison.Ordinal))
                )
                .DistinctBy(r => r.Sounds)
                .Select(r => r.Rung)
                .Order()
                .ToList();
            for (var i = 1; i < rungs.Count; i++)
                Assert.True(
                    rungs[i] == rungs[i - 1] || rungs[i] - rungs[i - 1] >= 10 || same.Key == "er",
                    $"{same.Key}: {rungs[i - 1]} and {rungs[i]}"
                );
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void A_second_spelling_comes_ten_rungs_after_the_first_outside_a_sound_family(string id)
    {
        var ladder = Ladder(id);
        foreach (var spellings in Order(id).GroupBy(c => c.SoundText))
        {
            var first = spellings.First();
            foreach (var second in spellings.Where(c => Apartness.IsSecondSpelling(c, first)))
            {
                var (a, b) = (RungOf(id, first.Notation), RungOf(id, second.Notation));
                Assert.True(
                    b == a
                        || b - a >= 10
                        || (
                            ladder.Rungs[a].Stage == ladder.Rungs[b].Stage
                            && ladder.Rungs[a].Stage.StartsWith("family ", StringComparison.Ordinal)
                        ),
                    $"{first} {second}"
                );
            }
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void A_tricky_word_is_not_decodable_yet_and_they_are_few_a_week(string id)
    {
        var ladder = Ladder(id);
        for (var i = 0; i < ladder.Rungs.Length; i++)
        {
            var taught = ladder.TaughtAfter(i + 1, Leniencies.All, Accent.SouthernBritish);
            Assert.All(ladder.Rungs[i].Tricky, t => Assert.False(taught.CanRead(Given.Word(t)), t));
            Assert.True(ladder.Rungs.Skip(i).Take(5).Sum(r => r.Tricky.Length) <= 5);
        }
        Assert.True(ladder.Rungs.Sum(r => r.Tricky.Length) >= 40);
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void Tricky_words_easily_mixed_up_are_not_taught_in_one_week(string id)
    {
        int Place(string word) => Ladder(id).Rungs.ToList().FindIndex(r => r.Tricky.Contains(word));
        foreach (
            var (one, other) in new[]
            {
                ("there", "where"),
                ("we", "were"),
                ("here", "there"),
                ("he", "the"),
                ("come", "some"),
            }
        )
        {
            if (Place(one) >= 0 && Place(other) >= 0)
                Assert.True(Math.Abs(Place(one) - Place(other)) > 5, $"{one} {other}");
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void It_opens_without_a_warning_in_each_accent(string id)
    {
        foreach (var accent in new[] { Accent.SouthernBritish, Accent.NorthernEnglish, Accent.GeneralAmerican })
        {
            var index = new WordIndex(Given.Lexicon, Leniencies.All, accent);
            var fitted = AccentFit.Of(Ladder(id), index);
            Assert.Empty(LadderAnalysis.Of(fitted, index).Warnings);
            Assert.Equal(Ladder(id).Rungs.Length, fitted.Rungs.Length);
            if (accent == Accent.SouthernBritish)
                Assert.Equal(LadderDocument.Write(Ladder(id)), LadderDocument.Write(fitted));
        }
        Assert.DoesNotContain(
            AccentFit.Of(Ladder(id), new WordIndex(Given.Lexicon, Leniencies.All, Accent.NorthernEnglish)).Rungs,
            r => r.Correspondences.Any(c => c.Notation == "u=ʊ")
        );
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void It_goes_to_the_end_of_the_second_year(string id)
    {
        var (rungs, words) = (
            LadderAnalysis.Of(Ladder(id), new WordIndex(Given.Lexicon, Leniencies.All, Accent.SouthernBritish)).Rungs,
            Order(id)
        );
        Assert.True(rungs[^1].TextShare > 0.9);
        Assert.All("ai=eɪ igh=aɪ oa=əʊ ow=əʊ ea=e kn=n wr=r ph=f ti=ʃ le=ə+l ear=eə au=ɔː".Split(' '), n =>
            Assert.Contains(Correspondence.Parse(n), words)
        );
        Assert.Contains(Ladder(id).Rungs, r => r.Patterns.HasFlag(Patterns.SuffixEst));
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void The_ladder_reads_back_as_it_was_written(string id) =>
        Assert.Equal(
            LadderDocument.Write(Ladder(id)),
            LadderDocument.Write(LadderDocument.Read(LadderDocument.Write(Ladder(id))))
        );

    [Fact]
    public void No_two_ladders_open_alike() =>
        Assert.Equal(
            3,
            Names
                .Select(id =>
                    string.Join(
                        ' ',
                        Order(id).Take(6).Order(Comparer<Correspondence>.Create((a, b) => a.Index - b.Index))
                    )
                )
                .Distinct()
                .Count()
        );

    [Fact]
    public void A_ladder_with_an_unknown_correspondence_or_format_is_refused_with_a_sentence()
    {
        var text = LadderDocument.Write(Given.LettersFirst);
        Assert.Contains(
            "sh=zz",
            Assert
                .Throws<FormatException>(() =>
                    LadderDocument.Read(text.Replace("sh=ʃ", "sh=zz", StringComparison.Ordinal))
                )
                .Message,
            StringComparison.Ordinal
        );
        Assert.Throws<FormatException>(() =>
            LadderDocument.Read(text.Replace("\"format\": 1", "\"format\": 7", StringComparison.Ordinal))
        );
        Assert.Throws<FormatException>(() => LadderDocument.Read("[1"));
    }

    [Fact]
    public void Sounds_first_gives_each_sound_its_most_useful_spelling_before_any_gets_two()
    {
        var choice = new SpellingChoice(Given.Lexicon);
        var first = Given.SoundsFirst.Rungs.TakeWhile(r => r.Stage == "first-spellings").ToList();
        Assert.Equal(
            first.Sum(r => r.Correspondences.Length),
            first.SelectMany(r => r.Correspondences).Select(c => c.SoundText).Distinct().Count()
        );
        Assert.All(first.SelectMany(r => r.Correspondences), c => Assert.Equal(choice.Best(c.SoundText), c));
        Assert.Equal(
            Sound.All.Select(s => s.Symbol).Except(["ə", "ʒ", "ʊə"]).Order(),
            first.SelectMany(r => r.Correspondences).Select(c => c.SoundText).Order()
        );
        Assert.True(RungOf("sounds-first", "th=ð") - RungOf("sounds-first", "th=θ") >= 3);
    }

    [Fact]
    public void Sounds_first_reads_is_only_when_the_family_of_z_has_come()
    {
        var rungs = Given.SoundsFirst.Rungs;
        var family = RungOf("sounds-first", "s=z");
        Assert.False(
            Given.SoundsFirst.TaughtAfter(family, Leniencies.All, Accent.SouthernBritish).CanRead(Given.Word("is"))
        );
        Assert.True(
            Given.SoundsFirst.TaughtAfter(family + 1, Leniencies.All, Accent.SouthernBritish).CanRead(Given.Word("is"))
        );
        Assert.Contains(rungs.Take(family), r => r.Tricky.Contains("is"));
    }

    [Fact]
    public void Sounds_first_takes_one_family_at_a_time_and_closes_it_with_a_sort()
    {
        var stages = Given
            .SoundsFirst.Rungs.Where(r => r.Stage.StartsWith("family ", StringComparison.Ordinal))
            .ToList();
        foreach (var family in stages.GroupBy(r => r.Stage))
        {
            Assert.Equal(RungKind.Sort, family.Last().Kind);
            Assert.Single(family, r => r.Kind == RungKind.Sort);
            var places = family.Select(r => Given.SoundsFirst.IndexOf(r.Id)).ToList();
            Assert.Equal(places.Count - 1, places[^1] - places[0]);
        }
        Assert.True(stages.Select(r => r.Stage).Distinct().Count() > 20);
    }

    [Fact]
    public void Short_vowels_first_has_all_letters_before_any_long_vowel_and_only_closed_syllables_until_then()
    {
        var ladder = Given.ShortVowelsFirst;
        var firstLong = Order("short-vowels-first")
            .Where(c => c.IsVowel)
            .Skip(5)
            .Select(c => RungOf("short-vowels-first", c.Notation))
            .Min();
        foreach (var letter in "abcdefghijklmnopqrstuvwxyz")
            Assert.True(
                ladder.Rungs.Take(firstLong).SelectMany(r => r.Correspondences).Any(c => c.Grapheme.Text[0] == letter),
                letter.ToString()
            );
        var open = ladder.TaughtAfter(firstLong, Leniencies.All, Accent.SouthernBritish);
        Assert.All(new[] { "go", "me", "my", "we", "she" }, w => Assert.False(open.CanRead(Given.Word(w)), w));
        Assert.True(Math.Abs(RungOf("short-vowels-first", "e=e") - RungOf("short-vowels-first", "i=ɪ")) > 1);
    }

    [Fact]
    public void Short_vowels_first_has_doubles_after_short_vowels_pairs_after_splits_and_r_in_order()
    {
        int At(string notation) => RungOf("short-vowels-first", notation);
        var vowels = new[] { "a=æ", "e=e", "i=ɪ", "o=ɒ", "u=ʌ" }.Max(At);
        Assert.All(new[] { "ck=k", "ff=f", "ll=l", "ss=s", "zz=z" }, n => Assert.True(At(n) > vowels, n));
        var splits = new[] { "a-e=eɪ", "e-e=iː", "i-e=aɪ", "o-e=əʊ", "u-e=uː" }.Max(At);
        Assert.All(new[] { "ee=iː", "ai=eɪ", "ea=iː", "oa=əʊ", "oo=uː", "ow=aʊ", "oi=ɔɪ", "ay=eɪ", "igh=aɪ" }, n =>
            Assert.True(At(n) > splits, n)
        );
        Assert.All(new[] { "er=ɜː", "ir=ɜː", "ur=ɜː" }, n =>
            Assert.True(At(n) > At("ar=ɑː") && At(n) > At("or=ɔː"), n)
        );
        var suffix = Given.ShortVowelsFirst.TaughtAfter(
            RungOf("short-vowels-first", Patterns.SuffixS) + 1,
            Leniencies.None,
            Accent.SouthernBritish
        );
        Assert.True(suffix.CanRead(Given.Word("cats")) && suffix.CanRead(Given.Word("dogs")));
    }

    [Theory]
    [InlineData("a-e=eɪ", 'a')]
    [InlineData("i-e=aɪ", 'i')]
    [InlineData("o-e=əʊ", 'o')]
    [InlineData("u-e=uː u-e=j+uː", 'u')]
    public void Each_split_digraph_has_six_contrast_pairs_with_its_short_vowel(string split, char vowel)
    {
        var after = Given.ShortVowelsFirst.TaughtAfter(
            RungOf("short-vowels-first", split.Split(' ')[0]) + 1,
            Leniencies.All,
            Accent.SouthernBritish
        );
        var pairs = Given
            .Lexicon.Words.Where(w =>
                split.Split(' ').Any(s => w.Contains(Correspondence.Parse(s)))
                && after.CanRead(w)
                && w.Spelling.Contains(vowel, StringComparison.Ordinal)
            )
            .Count(w => Given.Lexicon.Find(w.Spelling[..^1]) is { } closed && closed.Zipf > 2 && after.CanRead(closed));
        Assert.True(pairs >= 6, $"{pairs}");
    }

    public static TheoryData<string, int> Perturbed =>
        Given.Deep
            ? new()
            {
                { "letters-first", 6 },
                { "sounds-first", 6 },
                { "short-vowels-first", 6 },
            }
            : new() { { "letters-first", 1 } };

    [Theory]
    [MemberData(nameof(Perturbed))]
    public void An_order_does_not_hang_on_a_twentieth_of_the_words(string id, int times)
    {
        var moved = DeriveLadderCommand
            .Moved(
                id switch
                {
                    "letters-first" => LettersFirst.Derive,
                    "sounds-first" => SoundsFirst.Derive,
                    _ => ShortVowelsFirst.Derive,
                },
                Given.Lexicon,
                times
            )
            .ToList();
        Assert.InRange(moved.Average(m => m.Move), 0, 0.5);
        Assert.All(moved, m => Assert.InRange(m.Move, 0, 10));
    }
}
