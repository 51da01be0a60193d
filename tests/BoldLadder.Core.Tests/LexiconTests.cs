using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Tool;
using Xunit;

namespace BoldLadder.Core.Tests;

public class LexiconTests
{
    [Fact]
    public void It_has_the_usable_words_of_the_sources_and_names_apart()
    {
        Assert.True(Given.Lexicon.Words.Length >= 42_000);
        Assert.True(Given.Lexicon.Names.Length >= 500);
        Assert.Null(Given.Lexicon.Find("Sam"));
        Assert.NotNull(Given.Lexicon.FindName("sam"));
    }

    [Theory]
    [InlineData("colour", WordFlags.BritishOnly)]
    [InlineData("color", WordFlags.AmericanOnly)]
    [InlineData("pyjamas", WordFlags.BritishOnly)]
    [InlineData("don't", WordFlags.Contraction)]
    [InlineData("tuesday", WordFlags.Capital)]
    [InlineData("october", WordFlags.Capital)]
    [InlineData("bath", WordFlags.Bath)]
    [InlineData("dog", WordFlags.Cloth)]
    [InlineData("wind", WordFlags.Heteronym)]
    [InlineData("poor", WordFlags.Cure)]
    [InlineData("rose", WordFlags.Name)]
    public void A_word_carries_what_is_known_of_it(string word, WordFlags flag) =>
        Assert.True(Given.Word(word).Flags.HasFlag(flag));

    [Theory]
    [InlineData("conker")]
    [InlineData("wellies")]
    [InlineData("pram")]
    [InlineData("hen")]
    [InlineData("mum")]
    public void Words_of_british_childhood_are_known_to_children(string word) =>
        Assert.Equal(Band.Known, Given.Word(word).Band);

    [Theory]
    [InlineData("sunset", "sun", "set")]
    [InlineData("toothbrush", "tooth", "brush")]
    [InlineData("goldfish", "gold", "fish")]
    public void A_compound_names_its_words(string word, string first, string second) =>
        Assert.Equal($"{first} {second}", string.Join(' ', Given.Word(word).Compound));

    [Theory]
    [InlineData("pumpkin")]
    [InlineData("carpet")]
    [InlineData("cargo")]
    public void Words_that_only_look_like_two_are_no_compounds(string word) => Assert.Empty(Given.Word(word).Compound);

    [Theory]
    [InlineData("beer", Topics.Alcohol)]
    [InlineData("gun", Topics.Weapons)]
    [InlineData("mum", Topics.FamilyRoles)]
    [InlineData("witch", Topics.FestivalsAndMagic)]
    public void A_word_knows_the_topics_a_school_may_switch_off(string word, Topics topic) =>
        Assert.True(Given.Word(word).Topics.HasFlag(topic));

    [Theory]
    [InlineData("run", PartsOfSpeech.Verb)]
    [InlineData("cats", PartsOfSpeech.Noun)]
    [InlineData("biggest", PartsOfSpeech.Adjective)]
    [InlineData("they", PartsOfSpeech.Pronoun)]
    [InlineData("under", PartsOfSpeech.Preposition)]
    public void A_word_knows_what_it_can_be_in_a_sentence(string word, PartsOfSpeech part) =>
        Assert.True(Given.Word(word).PartsOfSpeech.HasFlag(part));

    [Fact]
    public void Nothing_unsuitable_stands_in_a_lesson() =>
        Assert.All(Given.Lexicon.ForLessons, w =>
            Assert.True(w.Suitability == Suitability.Use && w.Band != Band.NotForChildren)
        );

    [Fact]
    public void Every_word_the_first_rungs_reach_was_read_by_hand()
    {
        var reach = Given.LettersFirst.ReachIn(Leniencies.All, Accent.SouthernBritish);
        var unread = Given.Lexicon.Words.Where(w =>
            w.Suitability != Suitability.Never
            && (w.IsKnown || w.Zipf >= 2)
            && reach.RungOf(w) < 40
            && !w.Flags.HasFlag(WordFlags.Reviewed)
        );
        Assert.Empty(unread);
    }

    [Fact]
    public void Where_the_reader_was_right_the_lexicon_says_what_the_reader_typed()
    {
        var rows = Directory
            .EnumerateFiles(Path.Combine(ProjectFolders.Data, "review"), "batch-*.tsv")
            .SelectMany(f => File.ReadLines(f).Skip(1))
            .Select(l => l.Split('\t'))
            .ToList();
        Assert.True(rows.Count >= 1_500);
        Assert.All(rows.Where(r => r[5] is "agree" or "engine-corrected"), r =>
            Assert.Equal(r[1], Given.Word(r[0]).Segmentation.Graphemes)
        );
    }

    [Fact]
    public void The_same_rows_give_the_same_name_and_fewer_rows_another()
    {
        var shards = ProjectFolders.LexiconShards().ToList();
        Assert.Equal(Given.Lexicon.Hash, Lexicon.Read(shards).Hash);
        Assert.NotEqual(Given.Lexicon.Hash, Lexicon.Read(shards.Skip(1)).Hash);
    }

    [Theory]
    [InlineData("cat\tc|a|t\tk|æ|t\t5.00\tuse\tknown\t\tn\t\t\t\t\t\t", "15 columns")]
    [InlineData("cat\tc|a|t\tk|æ|t\t5.00\tmaybe\tknown\t\tn\t\t\t\t\t\t\t", "use, ask, never")]
    [InlineData("cat\tc|a|t\tk|æ\t5.00\tuse\tknown\t\tn\t\t\t\t\t\t\t", "different numbers of parts")]
    [InlineData("cat\tc|a|t\tk|æ|ʒ\t5.00\tuse\tknown\t\tn\t\t\t\t\t\t\t", "t=ʒ")]
    public void A_row_that_can_not_be_used_is_refused_with_the_reason(string row, string reason) =>
        Assert.Contains(
            reason,
            Assert.Throws<FormatException>(() => Lexicon.Read([LexiconRow.Header + "\n" + row + "\n"])).Message,
            StringComparison.Ordinal
        );
}
