using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

public class PatternTests
{
    private static string Ids(string word) =>
        string.Join(' ', new WordFinder(Given.Lexicon).Find(word).Word!.Patterns.Each().Select(p => p.Id()));

    [Theory]
    [InlineData("stop", "adjacent-start")]
    [InlineData("splash", "adjacent-start")]
    [InlineData("milk", "adjacent-end")]
    [InlineData("crisp", "adjacent-start adjacent-end")]
    [InlineData("ship", "")]
    [InlineData("box", "")]
    [InlineData("rabbit", "two-syllables")]
    [InlineData("picnic", "two-syllables")]
    [InlineData("animal", "two-syllables three-syllables")]
    [InlineData("sunset", "two-syllables compound")]
    [InlineData("handbag", "adjacent-end two-syllables compound")]
    [InlineData("monday", "two-syllables capitals")]
    [InlineData("can't", "adjacent-end contraction")]
    [InlineData("cats", "suffix-s")]
    [InlineData("wishes", "suffix-es")]
    [InlineData("jumped", "adjacent-end suffix-ed")]
    [InlineData("singing", "suffix-ing")]
    [InlineData("taller", "suffix-er")]
    [InlineData("fastest", "adjacent-end suffix-est")]
    [InlineData("windy", "adjacent-end suffix-y")]
    [InlineData("quickly", "suffix-ly")]
    [InlineData("hoping", "join-drop-e suffix-ing")]
    [InlineData("stopped", "adjacent-start join-double suffix-ed")]
    [InlineData("cries", "adjacent-start join-y-to-i suffix-s")]
    [InlineData("happily", "two-syllables join-y-to-i suffix-ly")]
    [InlineData("heroes", "two-syllables suffix-s")]
    public void Each_pattern_is_recognised_in_a_word(string word, string patterns) => Assert.Equal(patterns, Ids(word));

    [Theory]
    [InlineData("crisp", "c=k r=r i=ɪ s=s p=p", Patterns.AdjacentStart | Patterns.AdjacentEnd)]
    [InlineData("rabbit", "r=r a=æ bb=b i=ɪ t=t", Patterns.TwoSyllables)]
    [InlineData("sunset", "s=s u=ʌ n=n e=e t=t", Patterns.TwoSyllables | Patterns.Compound)]
    [InlineData("monday", "m=m o=ʌ n=n d=d ay=eɪ", Patterns.TwoSyllables | Patterns.Capitals)]
    [InlineData("cats", "c=k a=æ t=t", Patterns.SuffixS)]
    [InlineData("hoped", "h=h o-e=əʊ p=p", Patterns.SuffixEd | Patterns.JoinDropE)]
    [InlineData("stopped", "s=s t=t o=ɒ p=p", Patterns.AdjacentStart | Patterns.SuffixEd | Patterns.JoinDouble)]
    [InlineData("cried", "c=k r=r y=aɪ", Patterns.AdjacentStart | Patterns.SuffixEd | Patterns.JoinYToI)]
    public void A_word_waits_for_each_of_its_patterns(string word, string correspondences, Patterns needed)
    {
        Assert.True(Given.Taught(correspondences, taught: needed, free: Patterns.None).CanRead(Given.Word(word)));
        Assert.All(needed.Each(), one =>
        {
            var without = Given.Taught(correspondences, taught: needed & ~one, free: Patterns.None);
            Assert.False(without.CanRead(Given.Word(word)));
            Assert.Contains(without.Obstacles(Given.Word(word)), o => o.Pattern == one);
        });
    }

    [Fact]
    public void A_suffixed_word_is_decodable_when_base_suffix_and_join_are()
    {
        Assert.Equal(
            ["suffix-es"],
            Given.Taught("w=w i=ɪ sh=ʃ", free: Patterns.None).Obstacles(Given.Word("wishes")).Select(o => o.ToString())
        );
        Assert.Equal("a|g|r|ee|d", Given.Word("agreed").Segmentation.Graphemes);
        var taught = Given.Taught("h=h o-e=əʊ p=p ed=t", free: Patterns.All);
        Assert.True(taught.CanRead(Given.Word("hope")));
        Assert.True(taught.CanRead(Given.Word("hoped")));
        Assert.Empty(taught.TrickyPlaces(Given.Word("hoped")));
        Assert.False(Given.Taught("h=h p=p ed=t", free: Patterns.All).CanRead(Given.Word("hoped")));
        Assert.Equal(
            ["o=əʊ"],
            Given.Taught("h=h p=p ed=t", free: Patterns.All).Obstacles(Given.Word("hoped")).Select(o => o.ToString())
        );
    }

    [Theory]
    [InlineData("hoped", 1, "o-e=əʊ")]
    [InlineData("stopping", 3, "p=p")]
    [InlineData("cried", 2, "y=aɪ")]
    [InlineData("danced", 3, "ce=s")]
    [InlineData("goes", 1, "o=əʊ")]
    [InlineData("jumped", -1, null)]
    public void A_join_changes_one_place_of_the_base(string word, int place, string? ofBase)
    {
        var needs = Given.Word(word).NeedsIn(Accent.SouthernBritish);
        Assert.Equal((place, ofBase), (needs.ChangedAt, needs.OfBase?.Notation));
    }

    [Fact]
    public void Every_changed_base_is_spelled_as_the_base_is()
    {
        var joined = Given
            .Lexicon.Words.Where(w => w.Suffix is not null)
            .Select(w => (Word: w, Needs: w.NeedsIn(Accent.SouthernBritish)))
            .Where(w => w.Needs.OfBase is not null)
            .ToList();
        Assert.True(joined.Count > 3000);
        Assert.All(joined, w =>
            Assert.Equal(
                w.Word.Suffix!.Base,
                new Segmentation(
                    w.Needs.Parts[..^w.Word.Suffix.Parts].SetItem(w.Needs.ChangedAt, w.Needs.OfBase!)
                ).Rejoin()
            )
        );
    }

    [Theory]
    [InlineData("hat", "s", "ɪ+d")]
    [InlineData("bed", "z", "ɪ+d")]
    [InlineData("fox", "ɪ+z", "t")]
    [InlineData("judge", "ɪ+z", "d")]
    [InlineData("jump", "s", "t")]
    [InlineData("play", "z", "d")]
    [InlineData("buzz", "ɪ+z", "d")]
    [InlineData("laugh", "s", "t")]
    public void What_s_and_ed_say_follows_the_last_sound(string word, string s, string ed) =>
        Assert.Equal(
            (s, ed),
            (EndingSounds.OfS(Given.Word(word).Segmentation), EndingSounds.OfEd(Given.Word(word).Segmentation))
        );
}
