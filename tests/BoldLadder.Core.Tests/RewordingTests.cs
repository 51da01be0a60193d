using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Texts.Rewording;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>What is offered in the place of a word that stands in the way.</summary>
public class RewordingTests
{
    private static readonly WordFinder Finder = new(Given.Lexicon);
    private static readonly Reworder Reworder = Given.Materials.Reworder!.Value;
    private static readonly ImmutableHashSet<string> Nothing = [];

    private static WordJudge After(int rungs) =>
        new(
            Finder,
            Given.LettersFirst.TaughtAfter(rungs, Leniencies.All, Accent.SouthernBritish),
            Given.LettersFirst.Rungs.Take(rungs).SelectMany(r => r.Tricky).ToHashSet()
        );

    private static ImmutableArray<Rewrite> For(string text, string word, int rungs = 70)
    {
        var words = TextWords.Read(text, Finder);
        var at = Enumerable.Range(0, words.Places.Length).First(i => words.Words[words.Places[i].Word].Printed == word);
        return Reworder.For(text, words, at, After(rungs), 8, Nothing);
    }

    private static IEnumerable<string> Words(string text, string word, int rungs = 70) =>
        For(text, word, rungs).Select(r => r.Words);

    private static string Written(string text, Rewrite change) =>
        text[..change.Start] + change.Text + text[(change.Start + change.Length)..];

    [Theory]
    [InlineData("The girl walked to the shop.", "walked", "marched")]
    [InlineData("He was walking to the shop.", "walking", "marching")]
    [InlineData("She laughed at the pig.", "laughed", "grinned")]
    [InlineData("The enormous pig sat.", "enormous", "big")]
    [InlineData("It hid beneath the bed.", "beneath", "under")]
    [InlineData("He had broken the cup.", "broken", "smashed")]
    [InlineData("The cup was broken.", "broken", "smashed")]
    [InlineData("“Stop!” shouted Ben.", "shouted", "yelled")]
    [InlineData("He gazed at the pig.", "gazed", "peeked")]
    [InlineData("The villages are big.", "villages", "towns")]
    [InlineData("The farmer's lorry is red.", "lorry", "van")]
    [InlineData("Suddenly it ran.", "Suddenly", "Just then")]
    public void Another_word_of_the_same_kind_stands_in_the_same_form(string text, string word, string other) =>
        Assert.Contains(other, Words(text, word));

    [Theory]
    [InlineData("She walked the dog.", "walked", "ran")]
    [InlineData("They wandered home.", "home", "hut")]
    [InlineData("A present is in the box.", "present", "now")]
    [InlineData("He looked for the cat.", "looked", "peeked")]
    [InlineData("The bright star shone.", "bright", "quick")]
    public void What_does_not_fit_the_sentence_is_not_offered(string text, string word, string other) =>
        Assert.DoesNotContain(other, Words(text, word));

    [Fact]
    public void The_article_goes_with_the_word()
    {
        const string text = "He saw an enormous pig and a rabbit.";
        Assert.Contains("He saw a big pig and a rabbit.", For(text, "enormous").Select(r => Written(text, r)));
        const string other = "A tart was on it.";
        Assert.All(For(other, "tart", 20).Select(r => Written(other, r)), w =>
            Assert.Matches("^(An [aeiouAEIOU]|A [^aeiou])", w)
        );
    }

    [Fact]
    public void A_name_gives_way_to_one_that_can_be_read_a_girls_to_a_girls()
    {
        Assert.Contains("Tim", Words("Then Timothy sat.", "Timothy", 30));
        Assert.DoesNotContain("Tim", Words("Then Charlotte sat.", "Charlotte", 30));
        Assert.NotEmpty(Words("Then Charlotte sat.", "Charlotte", 30));
        Assert.Contains("Meg", Words("Zibbola ran. She was hot. Zibbola sat on her bed.", "Zibbola", 30));
    }

    [Fact]
    public void All_that_is_offered_can_be_read_and_may_be_used_on_every_text_of_the_bank()
    {
        var (offered, asked) = (0, 0);
        foreach (var rungs in new[] { 20, 45, 70 })
        {
            var judge = After(rungs);
            foreach (var text in Given.Materials.Texts.Texts.Reverse().Take(Given.Deep ? 104 : 30))
            {
                var body = string.Join(' ', text.Sentences.Select(s => s.Text));
                var words = TextWords.Read(body, Finder);
                for (var at = 0; at < words.Places.Length; at++)
                {
                    if (judge.Of(words.Words[words.Places[at].Word].Written).CanBeRead)
                        continue;
                    asked++;
                    foreach (var change in Reworder.For(body, words, at, judge, 4, Nothing))
                    {
                        offered++;
                        Assert.NotEqual(body, Written(body, change));
                        foreach (var word in change.Words.Split(' ', StringSplitOptions.RemoveEmptyEntries))
                        {
                            var put = WrittenWord.InPrint(word, Finder);
                            Assert.True(judge.Of(put).CanBeRead, $"{word} in {change.Text} after {rungs}");
                            Assert.All(put.Parts, p => Assert.Equal(Suitability.Use, p.Suitability));
                        }
                    }
                }
            }
        }
        Assert.True(asked > 100 && offered > asked / 4, $"{offered} for {asked}");
    }

    [Fact]
    public void Every_word_that_may_stand_for_another_is_a_word_and_may_be_used()
    {
        var unknown = Reworder
            .Data.Groups.SelectMany(g => g.Offered.Concat(g.Replaced))
            .SelectMany(w => w.Split(' '))
            .Distinct()
            .Where(w => WrittenWord.InPrint(w, Finder) is { IsUnknown: true } or { IsNever: true })
            .ToList();
        Assert.True(unknown.Count == 0, string.Join(' ', unknown));
        Assert.All(Reworder.Data.Groups, g => Assert.True(g.Offered.Length > 1 || g.Offered[0] != g.Replaced[0]));
        Assert.DoesNotContain(
            Reworder.Data.Groups.GroupBy(g => (g.Kind, g.With, Words: string.Join(' ', g.Offered))),
            g => g.Count() > 1
        );
    }

    [Fact]
    public void Every_name_that_is_offered_is_a_name()
    {
        var unknown = Reworder
            .Names.All.Where(n =>
                Finder.Lexicon.FindName(n.ToLowerInvariant()) is null
                && Finder.Lexicon.Find(n.ToLowerInvariant()) is null
            )
            .ToList();
        Assert.True(unknown.Count == 0, string.Join(' ', unknown));
    }

    [Theory]
    [InlineData("It was a stormy night.", "stormy", "It was a night.")]
    [InlineData("He saw an enormous pig.", "enormous", "He saw a pig.")]
    [InlineData("He saw a big owl.", "big", "He saw an owl.")]
    [InlineData("Suddenly the dog ran.", "Suddenly", "The dog ran.")]
    [InlineData("Suddenly, the dog ran.", "Suddenly", "The dog ran.")]
    [InlineData("The dog ran quickly.", "quickly", "The dog ran.")]
    [InlineData("It was very cold.", "very", "It was cold.")]
    [InlineData("The giant's puppy ran.", "giant's", "The puppy ran.")]
    [InlineData("It was the widest smile.", "widest", null)]
    [InlineData("The dog is lazy.", "lazy", null)]
    [InlineData("A big, lazy dog sat.", "lazy", null)]
    [InlineData("The second dog sat.", "second", null)]
    [InlineData("She ran slowly and sadly.", "slowly", null)]
    [InlineData("They clean boats.", "clean", null)]
    [InlineData("It was so stormy.", "so", null)]
    public void A_word_may_go_where_a_sentence_stands_without_it(string text, string word, string? without)
    {
        var left = For(text, word, 1).SingleOrDefault(r => r.Words.Length == 0);
        Assert.Equal(without, left is null ? null : Written(text, left));
    }

    [Theory]
    [InlineData("He carried a heavy bucket and a candle.", 45, "He had a big tub.")]
    [InlineData(
        "The old cat crept up to the enormous dog, and sat!",
        70,
        "The cat crept up to the enormous dog, and sat!"
    )]
    [InlineData("The man was at the theatre.", 70, null)]
    [InlineData("We dug the soil and had carrots, beans and strawberries.", 70, null)]
    [InlineData("“Get the elephant!” he said.", 70, null)]
    public void A_sentence_gives_way_to_the_same_with_less_in_it(string written, int rungs, string? shorter)
    {
        var text = TextWords.Read(written, Finder);
        var found = Reworder.Simpler(written, text, text.Sentences[0], After(rungs), 4, Nothing);
        if (shorter is null)
            Assert.DoesNotContain(found, s => s.Split(' ')[0] == written.Split(' ')[0]);
        else
            Assert.Equal(shorter, found[0]);
    }

    [Theory]
    [InlineData("It hid under the kitchen floor.", "kitchen")]
    [InlineData("He had two lolly sticks.", "sticks")]
    [InlineData("She swam in the swimming pool.", "pool")]
    [InlineData("He saw the angry giant.", "giant")]
    [InlineData("She had a bright float.", "float")]
    public void Nothing_that_is_of_another_kind_there_is_offered(string text, string word) =>
        Assert.DoesNotContain(Words(text, word, 70), w => w is "room" or "rods" or "pond" or "big" or "bob" or "drift");

    [Fact]
    public void A_simpler_sentence_says_something_of_the_same_and_can_be_read()
    {
        var judge = After(50);
        const string Written = "The grumpy dog with a long tail leapt into the park.";
        var text = TextWords.Read(Written, Finder);
        var found = Reworder.Simpler(Written, text, text.Sentences[0], judge, 4, Nothing);
        Assert.NotEmpty(found);
        Assert.All(found, s =>
            Assert.True(
                new[] { "dog", "long", "tail", "park" }.Count(w => s.Contains(w, StringComparison.OrdinalIgnoreCase))
                    >= 2,
                s
            )
        );
        Assert.All(found.SelectMany(s => s.Split(' ')).Select(w => w.Trim('.')), w =>
            Assert.True(judge.Of(WrittenWord.InPrint(w, Finder)).CanBeRead, w)
        );
    }

    [Fact]
    public void The_bones_of_a_story_can_be_read_and_keep_to_one_hero()
    {
        var writers = Given.Materials.Writers!.Value;
        foreach (var rungs in new[] { 30, 60, 100 })
        {
            var judge = After(rungs);
            bool CanRead(Word word) =>
                judge.Of(new WrittenWord(word.Spelling.ToLowerInvariant(), false, [word])).CanBeRead;
            for (var seed = 0; seed < 20; seed++)
            {
                var story = writers.Story(CanRead, new Seeded(seed));
                Assert.Equal(4, story.Length);
                Assert.All(story.SelectMany(s => s.Split(' ')), w =>
                    Assert.True(judge.Of(WrittenWord.InPrint(w, Finder)).CanBeRead, $"{w} after {rungs}")
                );
                Assert.All(story, s => Assert.EndsWith(".", s));
            }
        }
        Assert.All(writers.Topics, t => Assert.NotEmpty(writers.About(t)));
        Assert.Empty(writers.About("nothing"));
    }
}
