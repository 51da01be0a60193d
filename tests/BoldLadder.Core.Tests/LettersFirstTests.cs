using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Section 8 of the handbook: what a good order satisfies, and what letters-first adds.</summary>
public class LettersFirstTests
{
    private static readonly Ladder Ladder = Given.LettersFirst;
    private static readonly List<Correspondence> Order = [.. Ladder.Rungs.SelectMany(r => r.Correspondences)];

    private static int RungOf(string notation) => Ladder.WhenTaught(new Obstacle(Correspondence.Parse(notation), Patterns.None)) ?? throw new InvalidOperationException(notation);

    private static int RungOf(Patterns pattern) => Ladder.WhenTaught(new Obstacle(null, pattern)) ?? throw new InvalidOperationException(pattern.Id());

    private static List<Word> WordsAfter(int rungs) =>
        [.. Given.Lexicon.ForLessons.Where(w => Ladder.TaughtAfter(rungs, Leniencies.All, Accent.SouthernBritish).CanRead(w))];

    [Fact]
    public void Three_common_words_are_readable_by_the_fourth_day_and_eight_by_the_sixth_correspondence()
    {
        Assert.True(WordsAfter(4).Count(w => w.Zipf >= 4) >= 3);
        Assert.True(WordsAfter(5).Count >= 8);
    }

    [Fact]
    public void Two_vowels_are_among_the_first_eight_and_consonants_never_come_five_in_a_row_early()
    {
        Assert.True(Order.Take(8).Count(c => c.IsVowel) >= 2);
        for (var i = 0; i + 4 < 12; i++) Assert.Contains(Order.Skip(i).Take(5), c => c.IsVowel);
    }

    [Fact]
    public void Half_of_the_first_six_consonants_can_be_held() =>
        Assert.True(Order.Where(c => !c.IsVowel).Take(6).Count(c => c.Sounds[^1].CanBeHeld) >= 3);

    [Fact]
    public void An_early_rung_has_five_usable_words_or_a_reason()
    {
        for (var i = 0; i < 40; i++)
        {
            var words = Usable.Showing(Ladder.Rungs[i], Ladder.TaughtAfter(i + 1, Leniencies.All, Accent.SouthernBritish), Given.Lexicon.Words).Count();
            Assert.True(words >= 5 || Ladder.Rungs[i].Reason is not null, Ladder.Rungs[i].Label);
        }
    }

    [Fact]
    public void No_rung_before_the_tenth_has_more_than_two_correspondences() =>
        Assert.All(Ladder.Rungs.Take(9), r => Assert.InRange(r.Correspondences.Length, 1, 2));

    [Fact]
    public void Look_alikes_and_sound_alikes_are_apart()
    {
        foreach (var one in Order)
        {
            foreach (var other in Order.Where(o => o != one))
            {
                var (a, b) = (RungOf(one.Notation), RungOf(other.Notation));
                if (a != b) Assert.True(Math.Abs(a - b) >= Apartness.Between(one, other), $"{one} {other}");
            }
        }
        Assert.True(Math.Abs(RungOf("b=b") - RungOf("d=d")) >= 10);
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

    [Fact]
    public void Wholes_come_after_their_parts()
    {
        Assert.True(RungOf("qu=k+w") > RungOf("u=ʌ"));
        Assert.True(RungOf("ck=k") > RungOf("c=k") && RungOf("ck=k") > RungOf("k=k"));
        Assert.True(RungOf("tch=tʃ") > RungOf("ch=tʃ"));
        Assert.True(RungOf(Patterns.SuffixS) > RungOf("s=s"));
        foreach (var (split, vowel) in new[] { ("a-e=eɪ", "a=æ"), ("e-e=iː", "e=e"), ("i-e=aɪ", "i=ɪ"), ("o-e=əʊ", "o=ɒ"), ("u-e=uː", "u=ʌ") })
        {
            Assert.True(RungOf(split) > RungOf(vowel), split);
        }
    }

    [Fact]
    public void A_second_sound_of_a_grapheme_comes_ten_rungs_after_the_first()
    {
        foreach (var same in Order.GroupBy(c => c.Grapheme.Text).Where(g => g.Count() > 1))
        {
            var rungs = same.Select(c => (Rung: RungOf(c.Notation), Sounds: c.SoundText.Replace("j+", "", StringComparison.Ordinal))).DistinctBy(r => r.Sounds).Select(r => r.Rung).Order().ToList();
            for (var i = 1; i < rungs.Count; i++) Assert.True(rungs[i] == rungs[i - 1] || rungs[i] - rungs[i - 1] >= 10 || same.Key == "er", $"{same.Key}: {rungs[i - 1]} and {rungs[i]}");
        }
    }

    [Fact]
    public void Every_letter_has_one_sound_before_any_vowel_digraph()
    {
        var firstDigraph = Order.Where(c => c.IsVowel && c.Grapheme.Text.Length > 1).Min(c => RungOf(c.Notation));
        foreach (var letter in "abcdefghijklmnopqrstuvwxyz")
        {
            Assert.True(Ladder.Rungs.Take(firstDigraph).SelectMany(r => r.Correspondences).Any(c => c.Grapheme.Text[0] == letter), letter.ToString());
        }
    }

    [Fact]
    public void Consonant_digraphs_come_before_the_third_vowel_digraph()
    {
        var third = Order.Where(c => c.IsVowel && c.Grapheme.Text.Length > 1).Select(c => RungOf(c.Notation)).Order().ElementAt(2);
        Assert.All(new[] { "sh=ʃ", "ch=tʃ", "th=θ", "ng=ŋ" }, n => Assert.True(RungOf(n) < third, n));
    }

    [Fact]
    public void No_sound_has_two_spellings_until_every_sound_has_one()
    {
        var excused = new[] { "ə", "ʒ", "ʊə" };
        var seen = new HashSet<string>();
        var needed = Sound.All.Select(s => s.Symbol).Except(excused).ToHashSet();
        foreach (var c in Order)
        {
            if (needed.IsSubsetOf(seen)) return;
            var isExcused = c.Grapheme.Kind == GraphemeKind.Double || c.Grapheme.Text is "c" or "k" or "ck" or "x" or "qu";
            Assert.True(c.Sounds.Length > 1 || seen.Add(c.SoundText) || isExcused, c.Notation);
            seen.UnionWith(c.Sounds.Select(s => s.Symbol));
        }
        Assert.Fail("Some sound never gets a spelling: " + string.Join(' ', needed.Except(seen)));
    }

    [Fact]
    public void Longer_words_come_with_nothing_new_before_new_spellings_and_new_sounds_come_last()
    {
        var stages = Ladder.Rungs.Select(r => r.Stage).Distinct().ToList();
        Assert.Equal(["letters", "doubles", "consonant-teams", "vowel-teams", "longer-words", "new-spellings", "new-sounds"], stages);
        var known = Ladder.Rungs.Where(r => r.Stage is not "new-sounds" and not "new-spellings").SelectMany(r => r.Correspondences).Select(c => c.Grapheme).ToHashSet();
        Assert.All(Ladder.Rungs.Where(r => r.Stage == "new-spellings").SelectMany(r => r.Correspondences).Where(c => c.Grapheme.Text != "se"), c => Assert.DoesNotContain(c.Grapheme, known));
    }

    [Fact]
    public void A_tricky_word_is_not_decodable_yet_and_they_are_few_a_week()
    {
        for (var i = 0; i < Ladder.Rungs.Length; i++)
        {
            var taught = Ladder.TaughtAfter(i + 1, Leniencies.All, Accent.SouthernBritish);
            Assert.All(Ladder.Rungs[i].Tricky, t => Assert.False(taught.CanRead(Given.Word(t)), t));
            Assert.True(Ladder.Rungs.Skip(i).Take(5).Sum(r => r.Tricky.Length) <= 5);
        }
        Assert.True(Ladder.Rungs.Sum(r => r.Tricky.Length) >= 40);
    }

    [Fact]
    public void Tricky_words_easily_mixed_up_are_not_taught_in_one_week()
    {
        int Place(string word) => Ladder.Rungs.ToList().FindIndex(r => r.Tricky.Contains(word));
        foreach (var (one, other) in new[] { ("there", "where"), ("we", "were"), ("here", "there"), ("he", "the"), ("come", "some") })
        {
            if (Place(one) >= 0 && Place(other) >= 0) Assert.True(Math.Abs(Place(one) - Place(other)) > 5, $"{one} {other}");
        }
    }

    [Fact]
    public void The_ladder_reads_back_as_it_was_written() =>
        Assert.Equal(LadderDocument.Write(Ladder), LadderDocument.Write(LadderDocument.Read(LadderDocument.Write(Ladder))));

    [Fact]
    public void A_ladder_with_an_unknown_correspondence_or_format_is_refused_with_a_sentence()
    {
        var text = LadderDocument.Write(Ladder);
        Assert.Contains("sh=zz", Assert.Throws<FormatException>(() => LadderDocument.Read(text.Replace("sh=ʃ", "sh=zz", StringComparison.Ordinal))).Message, StringComparison.Ordinal);
        Assert.Throws<FormatException>(() => LadderDocument.Read(text.Replace("\"format\": 1", "\"format\": 7", StringComparison.Ordinal)));
        Assert.Throws<FormatException>(() => LadderDocument.Read("[1"));
    }
}
