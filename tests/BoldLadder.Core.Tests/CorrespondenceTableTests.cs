using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using Xunit;

namespace BoldLadder.Core.Tests;

public class CorrespondenceTableTests
{
    private static readonly CorrespondenceTable Southern = new(Given.Lexicon, Accent.SouthernBritish);

    private static CorrespondenceFacts Facts(string notation) => Southern.Of(Correspondence.Parse(notation));

    private static Lexicon Small(
        params (string Spelling, string Graphemes, string Phonemes, double Zipf, Band Band)[] words
    ) =>
        new(
            words.Select(w => new Word(
                w.Spelling,
                Segmentation.Parse(w.Graphemes, w.Phonemes),
                w.Zipf,
                Suitability.Use,
                WordFlags.None,
                null
            )
            {
                Band = w.Band,
            }),
            ""
        );

    [Fact]
    public void A_correspondence_is_counted_by_running_text_and_by_different_words()
    {
        var lexicon = Small(
            ("cow", "c|ow", "k|aʊ", 3, Band.Known),
            ("snow", "s|n|ow", "s|n|əʊ", 4, Band.Known),
            ("low", "l|ow", "l|əʊ", 3, Band.Known),
            ("boat", "b|oa|t", "b|əʊ|t", 4, Band.Known)
        );
        var facts = new CorrespondenceTable(lexicon, Accent.SouthernBritish).Of(Correspondence.Parse("ow=əʊ"));
        Assert.Equal(
            (11.0 / 12, 2.0 / 3),
            (facts.ReadingReliability.InText!.Value, facts.ReadingReliability.InWords!.Value),
            Nearly
        );
        Assert.Equal(
            (11.0 / 21, 2.0 / 3),
            (facts.SpellingShare.InText!.Value, facts.SpellingShare.InWords!.Value),
            Nearly
        );
        var without = new CorrespondenceTable(lexicon, Accent.SouthernBritish, new HashSet<string> { "snow" }).Of(
            Correspondence.Parse("ow=əʊ")
        );
        Assert.Equal(0.5, without.ReadingReliability.InWords);
    }

    [Fact]
    public void The_sounds_of_a_grapheme_share_it_out_and_the_spellings_of_a_sound_share_that_out()
    {
        foreach (var same in Correspondence.All.Where(c => !c.IsBath).GroupBy(c => c.Grapheme.Text))
        {
            var shares = same.Select(c => Southern.Of(c).ReadingReliability.InText).ToList();
            if (shares[0] is not null)
                Assert.Equal(
                    1,
                    same.Select(c =>
                            (
                                Sounds: Accent.SouthernBritish.Project(c),
                                Share: Southern.Of(c).ReadingReliability.InText!.Value
                            )
                        )
                        .DistinctBy(s => s.Sounds)
                        .Sum(s => s.Share),
                    6
                );
        }
    }

    [Fact]
    public void Single_th_is_mostly_voiced_in_running_text_but_far_less_so_in_different_words()
    {
        var voiced = Facts("th=ð").ReadingReliability;
        Assert.True(voiced.InText > 0.8);
        Assert.True(voiced.InWords < 0.6);
    }

    [Fact]
    public void What_a_lead_would_expect_holds()
    {
        Assert.True(Facts("igh=aɪ").ReadingReliability.InWords > 0.95);
        Assert.True(Facts("ee=iː").ReadingReliability.InText > 0.9);
        Assert.True(Facts("ow=aʊ").ReadingReliability.InWords is > 0.3 and < 0.7);
        Assert.True(Facts("k=k").SpellingShare.InWords < Facts("c=k").SpellingShare.InWords);
    }

    private static readonly IEqualityComparer<(double, double)> Nearly = EqualityComparer<(double, double)>.Create(
        (a, b) => Math.Abs(a.Item1 - b.Item1) < 1e-6 && Math.Abs(a.Item2 - b.Item2) < 1e-6,
        _ => 0
    );
}
