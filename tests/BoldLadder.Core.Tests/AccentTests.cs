using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool;
using BoldLadder.Tool.Building;
using BoldLadder.Tool.Commands;
using Xunit;

namespace BoldLadder.Core.Tests;

public class AccentTests
{
    private static string Said(Accent accent, string word) => string.Join('|', accent.Sounds(Given.Word(word)));

    [Theory]
    [InlineData(AccentSwitches.BathAsTrap, "bath", "b|ɑː|θ", "b|æ|θ")]
    [InlineData(AccentSwitches.BathAsTrap, "laugh", "l|ɑː|f", "l|æ|f")]
    [InlineData(AccentSwitches.BathAsTrap, "father", "f|ɑː|ð|ə", "f|ɑː|ð|ə")]
    [InlineData(AccentSwitches.BathAsTrap, "can't", "k|ɑː|n|t", "k|ɑː|n|t")]
    [InlineData(AccentSwitches.PuttAsPut, "cup", "k|ʌ|p", "k|ʊ|p")]
    [InlineData(AccentSwitches.CaughtAsCot, "caught", "k|ɔː|t", "k|ɒ|t")]
    [InlineData(AccentSwitches.PoorAsPaw, "poor", "p|ʊə", "p|ɔː")]
    [InlineData(AccentSwitches.PoorAsPaw, "door", "d|ɔː", "d|ɔː")]
    [InlineData(AccentSwitches.PenAsPin, "pen", "p|e|n", "p|ɪ|n")]
    [InlineData(AccentSwitches.PenAsPin, "pet", "p|e|t", "p|e|t")]
    [InlineData(AccentSwitches.LongOoInBook, "book", "b|ʊ|k", "b|uː|k")]
    [InlineData(AccentSwitches.LongOoInBook, "good", "g|ʊ|d", "g|ʊ|d")]
    [InlineData(AccentSwitches.NgWithG, "sing", "s|ɪ|ŋ", "s|ɪ|ŋ+g")]
    [InlineData(AccentSwitches.ShortFinalY, "happy", "h|æ|p|iː", "h|æ|p|ɪ")]
    [InlineData(AccentSwitches.OneWithO, "one", "w+ʌ|n", "w+ɒ|n")]
    public void A_switch_changes_the_words_it_is_about_and_no_others(
        AccentSwitches change,
        string word,
        string off,
        string on
    )
    {
        Assert.Equal(off, Said(Accent.SouthernBritish.With(change, on: false), word));
        Assert.Equal(on, Said(Accent.SouthernBritish.With(change, on: true), word));
    }

    [Theory]
    [InlineData("car", "k|ɑː+r")]
    [InlineData("dog", "d|ɒ|g")]
    [InlineData("new", "n|uː")]
    [InlineData("few", "f|j+uː")]
    [InlineData("near", "n|ɪ+r")]
    [InlineData("hair", "h|e+r")]
    [InlineData("tomato", "t|ə|m|eɪ|t|əʊ")]
    [InlineData("thirty", "θ|ɜː+r|t|iː")]
    public void General_american_keeps_the_segmentation_and_sounds_r(string word, string sounds) =>
        Assert.Equal(sounds, Said(Accent.GeneralAmerican, word));

    [Fact]
    public void A_word_that_was_read_in_an_accent_is_said_as_it_was_read() =>
        Assert.All(HandRow.Read(Path.Combine(ProjectFolders.Data, "review", "accents.tsv")), row =>
            Assert.True(Said(Accent.Parse(row[0]), row[1]) == row[2], row.Bad($"{row[1]} was read as {row[2]}").Message)
        );

    [Theory]
    [InlineData("wind", "w|ɪ|n|d")]
    [InlineData("live", "l|ɪ|v")]
    [InlineData("ow", "aʊ")]
    [InlineData("strength", "s|t|r|e|ŋ|θ")]
    [InlineData("tissue", "t|ɪ|ʃ|uː")]
    [InlineData("putting", "p|ʊ|t|ɪ|ŋ")]
    [InlineData("worrying", "w|ɜː|r|iː|ɪ|ŋ")]
    public void The_american_source_does_not_bring_in_another_word_or_a_slip(string word, string sounds) =>
        Assert.Equal(sounds, Said(Accent.GeneralAmerican, word));

    [Fact]
    public void A_form_is_said_as_its_base_is_in_general_american()
    {
        var byHand = HandWork.Read(ProjectFolders.Data).American;
        var forms = Given
            .Lexicon.Words.Where(w =>
                w.Suffix is { Suffix: Patterns.SuffixS or Patterns.SuffixEd or Patterns.SuffixIng } && w.IsForLessons
            )
            .ToList();
        Assert.NotEmpty(forms);
        Assert.All(forms, form =>
        {
            var stem = Given.Word(form.Suffix!.Base);
            if (stem.Required.Length + form.Suffix.Parts != form.Required.Length)
                return;
            Assert.True(
                form.American.IsDefault == stem.American.IsDefault || byHand.ContainsKey(form.Spelling),
                $"{form} and {stem}"
            );
        });
    }

    [Fact]
    public void Every_word_has_sounds_of_the_inventory_for_each_grapheme_in_every_accent()
    {
        var known = Sound.All.Select(s => s.Symbol).ToHashSet();
        var accents = Accent.All.AddRange(
            Enum.GetValues<AccentSwitches>()
                .Where(s => s != AccentSwitches.None)
                .Select(s => Accent.SouthernBritish.With(s, on: true))
        );
        foreach (var accent in accents)
        {
            foreach (var word in Given.Lexicon.Words)
            {
                var sounds = accent.Sounds(word);
                Assert.True(
                    sounds.Length == word.Segmentation.Taps && sounds.All(s => s.Split('+').All(known.Contains)),
                    $"{accent.Id} {word}: {string.Join('|', sounds)}"
                );
            }
        }
    }

    [Theory]
    [InlineData("southern-british", "sun", "son")]
    [InlineData("southern-british", "caught", "court")]
    [InlineData("northern-english", "put", "putt")]
    [InlineData("general-american", "ant", "aunt")]
    public void Homophones_depend_on_the_accent(string accent, string one, string other) =>
        Assert.Contains(other, Given.Lexicon.Homophones(Given.Word(one), Accent.Parse(accent)).Select(w => w.Spelling));

    [Fact]
    public void Caught_and_court_are_apart_where_r_is_sounded() =>
        Assert.DoesNotContain(
            "court",
            Given.Lexicon.Homophones(Given.Word("caught"), Accent.GeneralAmerican).Select(w => w.Spelling)
        );

    [Theory]
    [InlineData("northern-english")]
    [InlineData("general-american")]
    public void The_words_judged_by_hand_in_other_accents_are_sounded_right(string accent)
    {
        var score = GoldScore.Of(
            Given.Lexicon,
            Accent.Parse(accent),
            GoldScore.Rows("accents.tsv").Where(r => r[0] == accent)
        );
        Assert.True(score.Words >= 100);
        Assert.True(score.Sounds >= 0.96, string.Join('\n', score.Misses));
    }
}
