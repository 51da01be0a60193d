using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// One word has one verdict and one tricky part, wherever it is met: typed into a lesson, in a text, or in a lesson
/// that was stored.
/// </summary>
public class OneVerdictTests
{
    private static readonly SentencePlaces Places = new(Given.LettersFirst, Leniencies.All, Accent.SouthernBritish);

    [Theory]
    [InlineData("tip-top")]
    [InlineData("Tip-Top")]
    [InlineData("tip‑top")]
    [InlineData("café")]
    [InlineData("cafe")]
    [InlineData("naïve")]
    [InlineData("don’t")]
    [InlineData("don't")]
    [InlineData("ship-shape")]
    [InlineData("the-cat")]
    [InlineData("zzxq-cat")]
    [InlineData("(cat)")]
    [InlineData("“cat”")]
    [InlineData("cat…")]
    [InlineData("…cat")]
    [InlineData("rowing-boat")]
    public void A_written_word_is_judged_alike_when_it_is_typed_checked_in_a_text_or_stored(string written)
    {
        foreach (var rung in new[] { 12, 40, 80, 120 })
        {
            var request = Given.Request(rung, 3);
            var tricky = request.TrickyToday.ToHashSet();
            var typed = OwnItems.Judge(written, request.After, tricky, Given.Lexicon, Places).Single();

            var reader = new TokenReader(new StringReader(written));
            var check = new TextCheck(new WordFinder(Given.Lexicon), request.After, tricky);
            Judgement? read = null;
            while (reader.Read())
                if (reader.Kind == TokenKind.Word)
                    read = check.Judge(reader.Token, reader.Kind);

            ImmutableArray<SentenceWord> words = [new("The", "tricky"), new($"{written}.", "decodable")];
            var sentence = new SentenceItem("a:b", false, $"The {written}.", words, [Reason.Of("by-hand")]);
            var lesson = new Lesson(
                Lesson.CurrentFormat,
                new LessonTitle("a", "a", ""),
                [],
                [],
                [
                    new LessonPart(
                        PartKind.Apply,
                        [new Activity("a", ActivityKind.ReadSentence, ResponseMode.SayTogether, 0, [sentence])]
                    ),
                ],
                []
            );
            var stored = LessonCheck
                .Problems(lesson, request.Before, request.After, tricky.Append("the").ToHashSet(), Given.Lexicon)
                .SelectMany(p => p.Reasons)
                .ToList();

            Assert.Equal(typed.Status.ToString(), read!.Status.ToString());
            Assert.Equal(
                typed.Needs.Select(n => n.ToString()).Distinct(),
                read.Needs.Select(n => n.ToString()).Distinct()
            );
            Assert.Equal(typed.Status is OwnStatus.Decodable or OwnStatus.Tricky, stored.Count == 0);
            Assert.Equal(typed.Status == OwnStatus.Unknown, stored.Any(r => r.Code == "unknown-word"));
        }
    }

    [Fact]
    public void The_tricky_part_of_a_word_is_the_same_on_the_ladder_on_a_tile_and_in_what_is_typed()
    {
        var differences = new List<string>();
        foreach (var rung in new[] { 20, 60, 100 })
        {
            var request = Given.Request(rung, 3);
            var tricky = Given
                .Lexicon.Known.Concat(
                    Given
                        .Lexicon.ForLessons.Where(w => w.Suffix is not null || w.Flags.HasFlag(WordFlags.Bath))
                        .Take(400)
                )
                .Where(w => !request.After.CanRead(w))
                .Distinct()
                .Take(500)
                .ToList();
            var day = request with { TrickyBefore = [.. tricky.Select(w => w.Spelling)] };
            var read = new Activity("practise-read", ActivityKind.ReadWords, ResponseMode.SayTogether, 0, []);
            var typing = string.Join(' ', tricky.Select(w => w.Spelling));
            var (with, _) = OwnItems.Add(day, LessonPlanner.Plan(day), read, typing, Places);
            var typed = with!.Items.OfType<WordItem>().ToDictionary(i => i.Word);
            foreach (var word in tricky)
            {
                var part = day.After.TrickyPlaces(word).ToImmutableArray();
                if (!part.SequenceEqual(ItemMaker.OfWord("a", word, [], day.After).Tricky))
                    differences.Add($"{word} on a tile");
                if (!part.SequenceEqual(typed[word.Spelling].Tricky))
                    differences.Add($"{word} when typed");
            }
            Assert.True(tricky.Count > 100);
        }
        Assert.Empty(differences);
    }

    [Fact]
    public void Fewer_items_take_a_slow_group_less_time_at_its_own_pace_and_keep_the_steps_in_step()
    {
        var request = Given.Request(30, 3) with { Pace = 1.5, Release = new ReleaseSteps(1, 2, 3) };
        var read = LessonPlanner.Plan(request).Find("practise-read")!;
        var fewer = Pace.Holding(read, read.Items.RemoveAt(0), request.Pace);
        Assert.Equal(Pace.Timed(fewer, request.Pace).Seconds, fewer.Seconds);
        Assert.True(fewer.Seconds > Pace.Timed(fewer).Seconds);
        Assert.Equal(fewer.Items.Length, fewer.Steps!.IDo + fewer.Steps.WeDo + fewer.Steps.YouDo);
    }

    [Fact]
    public void Every_kind_of_item_says_what_children_read_of_it()
    {
        Assert.Throws<InvalidOperationException>(() => ReadByChildren.Words(new Unheard()).ToList());
        Assert.Throws<InvalidOperationException>(() => ReadByChildren.Correspondences(new Unheard()).ToList());
    }

    /// <summary>A kind of item that nobody has said anything of.</summary>
    private sealed record Unheard() : Item("x", false);
}
