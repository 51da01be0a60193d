using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Alike;
using BoldLadder.Core.Words.Facts;
using Xunit;

namespace BoldLadder.Core.Tests;

public class FactsTests
{
    private static readonly CorrespondenceTable Table = new(Given.Lexicon, Accent.SouthernBritish);
    private static readonly SpellingPlaces Spellings = new(Given.Lexicon, Accent.SouthernBritish);
    private static readonly WordsAlike Alike = new(Given.Lexicon, Given.Lexicon.ForLessons, Accent.SouthernBritish);

    private static Correspondence C(string notation) => Correspondence.Parse(notation);

    private static RuleRow Row(string rule, string of, Accent? accent = null) =>
        RuleTable
            .Of(RuleOfThumb.All.Single(r => r.Id == rule), Given.Lexicon, accent ?? Accent.SouthernBritish)
            .Single(r => r.Case == of);

    [Fact]
    public void Ai_stands_inside_a_base_and_ay_at_its_end()
    {
        Assert.True(Table.Places(C("ai=eɪ"), PlaceIn.Base).Middle.InWords > 0.9);
        Assert.True(Table.Places(C("ay=eɪ"), PlaceIn.Base).End.InWords > 0.8);
        Assert.Equal(0, Table.Places(C("ck=k"), PlaceIn.Word).Start.InText);
    }

    [Fact]
    public void A_double_ends_the_syllable_before_its_cut() =>
        Assert.True(Table.Places(C("bb=b"), PlaceIn.Syllable).End.InWords > 0.9);

    [Theory]
    [InlineData(PlaceIn.Word)]
    [InlineData(PlaceIn.Base)]
    [InlineData(PlaceIn.Syllable)]
    public void The_places_of_each_correspondence_share_it_out(PlaceIn where) =>
        Assert.All(Correspondence.All.Where(c => c.IsRegular), c =>
        {
            var places = Table.Places(c, where);
            if (places.Start.InText is not null)
                Assert.Equal(1, places.Start.InText!.Value + places.Middle.InText!.Value + places.End.InText!.Value, 6);
            if (places.Start.InWords is not null)
                Assert.Equal(
                    1,
                    places.Start.InWords!.Value + places.Middle.InWords!.Value + places.End.InWords!.Value,
                    6
                );
        });

    [Fact]
    public void Two_vowels_together_is_true_of_oa_and_not_of_oo_or_oi()
    {
        const string rule = "two-vowels-first-says-its-name";
        Assert.Equal(1, Row(rule, "oa").True.InWords);
        Assert.Equal(0, Row(rule, "oo").True.InWords);
        Assert.Equal(0, Row(rule, "oi").True.InWords);
        Assert.InRange(Row(rule, "ea").True.InWords!.Value, 0.6, 0.9);
        Assert.True(Row(rule, RuleTable.AllCases).True.InText < 0.5);
        Assert.Contains("head", Row(rule, "ea").Against);
    }

    [Theory]
    [InlineData("c-is-soft-before-e-i-y", "c before e", 0.9, 1)]
    [InlineData("g-is-soft-before-e-i-y", "g before i", 0, 0.7)]
    [InlineData("final-e-makes-the-vowel-say-its-name", "a-e", 0.78, 1)]
    [InlineData("final-e-makes-the-vowel-say-its-name", "i-e", 0.7, 0.95)]
    [InlineData("a-says-o-after-w", "wa", 0.3, 0.95)]
    [InlineData("ck-after-a-short-vowel", "after a short vowel", 0.9, 1)]
    [InlineData("f-l-s-z-are-doubled-after-a-short-vowel", "l", 0.9, 1)]
    [InlineData("final-y-says-i-in-short-words-and-ee-in-long", "one syllable", 0.9, 1)]
    [InlineData("q-is-followed-by-u", "q", 0.99, 1)]
    [InlineData("no-word-ends-in-v-or-j", "v", 0.9, 1)]
    [InlineData("i-before-e-except-after-c", "elsewhere", 0.8, 1)]
    [InlineData("tch-after-a-short-vowel", "after a short vowel", 0.5, 1)]
    [InlineData("dge-after-a-short-vowel", "after a short vowel", 0.8, 1)]
    public void A_rule_of_thumb_is_counted_case_by_case(string rule, string of, double least, double most) =>
        Assert.InRange(Row(rule, of).True.InWords!.Value, least, most);

    [Fact]
    public void A_schools_own_rule_is_counted_too()
    {
        var rows = RuleTable.Of(
            RuleOfThumb.Claim([C("ow=aʊ"), C("igh=aɪ")], Accent.SouthernBritish),
            Given.Lexicon,
            Accent.SouthernBritish
        );
        Assert.Equal([RuleTable.AllCases, "ow", "igh"], rows.Select(r => r.Case));
        Assert.Equal(Table.Of(C("ow=aʊ")).ReadingReliability.InWords!.Value, rows[1].True.InWords!.Value, 6);
    }

    [Fact]
    public void Words_learned_whole_can_be_left_out_of_a_rule()
    {
        var rule = RuleOfThumb.Claim([C("ai=eɪ")], Accent.SouthernBritish);
        var all = RuleTable.Of(rule, Given.Lexicon, Accent.SouthernBritish)[0].True.InText;
        Assert.True(
            RuleTable
                .Of(rule, Given.Lexicon, Accent.SouthernBritish, new HashSet<string> { "said", "again" })[0]
                .True.InText > all
        );
    }

    [Fact]
    public void Ay_is_settled_at_the_end_and_ee_or_ea_must_be_known()
    {
        Assert.Equal([null, null, "ay"], Spellings.Between(C("ai=eɪ"), C("ay=eɪ")).Select(p => p.Settled));
        Assert.Null(Spellings.Between(C("ee=iː"), C("ea=iː"))[1].Settled);
        Assert.Equal("oy", Spellings.Of("ɔɪ")[2].Settled);
        Assert.Null(Spellings.Of("iː")[1].Settled);
        Assert.Throws<ArgumentException>(() => Spellings.Between(C("ai=eɪ"), C("ee=iː")));
    }

    [Fact]
    public void Best_key_words_are_short_and_known() =>
        Assert.All(new KeyWords(Given.Lexicon).BestOf(C("ai=eɪ")), w =>
            Assert.True(Given.Word(w).IsKnown && Given.Word(w).Segmentation.Taps <= 4)
        );

    [Theory]
    [InlineData("southern-british", "night", "knight", true)]
    [InlineData("southern-british", "saw", "sore", true)]
    [InlineData("general-american", "saw", "sore", false)]
    [InlineData("northern-english", "put", "putt", true)]
    [InlineData("southern-british", "put", "putt", false)]
    public void Homophones_depend_on_the_accent(string accent, string one, string other, bool alike) =>
        Assert.Equal(
            alike,
            new WordsAlike(Given.Lexicon, [], Accent.Parse(accent))
                .Homophones(Given.Word(one))
                .Contains(Given.Word(other))
        );

    [Fact]
    public void A_minimal_pair_differs_in_one_sound_and_a_near_miss_in_one_that_children_mix_up()
    {
        var pairs = Alike.MinimalPairs(Given.Word("ship")).ToDictionary(p => p.Word.Spelling);
        Assert.Equal(
            (0, "ʃ", "tʃ", true),
            (pairs["chip"].Place, pairs["chip"].Sound, pairs["chip"].Other, pairs["chip"].IsNearMiss)
        );
        Assert.False(pairs["hip"].IsNearMiss);
        Assert.False(pairs.ContainsKey("skip"));
    }

    [Theory]
    [InlineData("cat", "hat", true)]
    [InlineData("night", "white", true)]
    [InlineData("letter", "better", true)]
    [InlineData("funny", "bunny", true)]
    [InlineData("cat", "cot", false)]
    [InlineData("night", "knight", false)]
    [InlineData("funny", "pony", false)]
    public void Words_rhyme_from_their_last_full_vowel(string one, string other, bool rhyme) =>
        Assert.Equal(rhyme, Alike.Rhymes(Given.Word(one)).Contains(Given.Word(other)));

    [Fact]
    public void Contrast_pairs_show_what_a_split_digraph_does()
    {
        var taught = Given.LettersFirst.TaughtAfter(70, Leniencies.All, Accent.SouthernBritish);
        var pairs = WordsAlike
            .ContrastPairs(Given.Lexicon.ForLessons.Where(taught.CanRead))
            .Select(p => (p.Short.Spelling, p.Split.Spelling))
            .ToList();
        Assert.Contains(("hop", "hope"), pairs);
        Assert.Contains(("mad", "made"), pairs);
        Assert.All(pairs, p => Assert.True(taught.CanRead(Given.Word(p.Item1)) && taught.CanRead(Given.Word(p.Item2))));
        Assert.DoesNotContain(pairs, p => p.Item1 == "com");
    }
}
