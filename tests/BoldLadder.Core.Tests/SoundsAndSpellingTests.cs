using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class SoundsAndSpellingTests
{
    [Fact]
    public void There_are_24_consonants_and_20_vowels()
    {
        Assert.Equal(24, Sound.All.Count(s => !s.IsVowel));
        Assert.Equal(20, Sound.All.Count(s => s.IsVowel));
    }

    [Theory]
    [InlineData("m", true)]
    [InlineData("t", false)]
    [InlineData("iː", true)]
    public void A_sound_knows_whether_it_can_be_held(string symbol, bool held) =>
        Assert.Equal(held, Sound.Parse(symbol).CanBeHeld);

    [Theory]
    [InlineData("i:", "iː")]
    [InlineData("ɡ", "g")]
    public void Typed_variants_of_a_symbol_are_accepted(string typed, string symbol) =>
        Assert.Equal(symbol, Sound.Parse(typed).Symbol);

    [Fact]
    public void An_unknown_correspondence_names_the_known_ones_for_its_letters() =>
        Assert.Contains(
            "ow=aʊ",
            Assert.Throws<FormatException>(() => Correspondence.Parse("ow=iː")).Message,
            StringComparison.Ordinal
        );

    [Theory]
    [InlineData("sh", GraphemeKind.Digraph)]
    [InlineData("ff", GraphemeKind.Double)]
    [InlineData("ee", GraphemeKind.Digraph)]
    [InlineData("igh", GraphemeKind.Trigraph)]
    [InlineData("ough", GraphemeKind.FourLetter)]
    [InlineData("a-e", GraphemeKind.SplitDigraph)]
    [InlineData("t", GraphemeKind.SingleLetter)]
    public void A_grapheme_has_a_kind(string grapheme, GraphemeKind kind) =>
        Assert.Equal(kind, new Grapheme(grapheme).Kind);

    [Fact]
    public void Re_joining_every_segmentation_gives_the_word_back() =>
        Assert.All(Given.Lexicon.Words, w => Assert.Equal(w.Spelling, w.Segmentation.Rejoin()));

    [Theory]
    [InlineData("cake", "c|a-e|k", 3, 3, "CVC")]
    [InlineData("box", "b|o|x", 3, 4, "CVC")]
    [InlineData("few", "f|ew", 2, 3, "CV")]
    [InlineData("quick", "qu|i|ck", 3, 4, "CVC")]
    [InlineData("taste", "t|a-e|s|t", 4, 4, "CVCC")]
    public void Taps_sounds_and_shape_are_counted(string word, string graphemes, int taps, int sounds, string shape)
    {
        var segmentation = Given.Word(word).Segmentation;
        Assert.Equal(
            (graphemes, taps, sounds, shape),
            (segmentation.Graphemes, segmentation.Taps, segmentation.SoundCount, segmentation.Shape)
        );
    }

    [Fact]
    public void A_mark_is_known_for_each_letter_of_a_split_digraph() =>
        Assert.Equal([0, 1, 2, 1], Given.Word("cake").Segmentation.Letters().Select(l => l.Part));

    [Theory]
    [InlineData("southern-british", "b|ɑː|θ", "k|ʌ|p", "p|ɔː")]
    [InlineData("northern-english", "b|æ|θ", "k|ʊ|p", "p|ɔː")]
    [InlineData("general-american", "b|æ|θ", "k|ʌ|p", "p|ɔː+r")]
    public void An_accent_projects_the_same_segmentation(string accent, string bath, string cup, string poor)
    {
        string Sounds(string word) => string.Join('|', Given.Word(word).Required.Select(Accent.Parse(accent).Project));
        Assert.Equal((bath, cup, poor), (Sounds("bath"), Sounds("cup"), Sounds("poor")));
    }

    [Fact]
    public void Every_accent_projects_every_correspondence_to_sounds_of_the_inventory() =>
        Assert.All(Accent.All.SelectMany(a => Correspondence.All.Select(a.Project)), p =>
            Assert.All(p.Split('+'), s => Sound.Parse(s))
        );

    [Fact]
    public void A_set_has_what_was_added_and_is_part_of_every_union() =>
        Gen.Int[0, Correspondence.All.Length - 1]
            .List[0, 40]
            .Select(Gen.Int[0, Correspondence.All.Length - 1].List[0, 40])
            .Sample(
                (one, other) =>
                {
                    var (a, b) = (
                        CorrespondenceSet.Of(one.Select(i => Correspondence.All[i])),
                        CorrespondenceSet.Of(other.Select(i => Correspondence.All[i]))
                    );
                    Assert.Equal(one.Distinct().Order(), a.Select(c => c.Index));
                    Assert.True(a.IsSubsetOf(a.Union(b)) && b.IsSubsetOf(a.Union(b)));
                    Assert.Equal(b.All(a.Contains), b.IsSubsetOf(a));
                }
            );
}
