using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Texts.Making;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Sentences made from frames and classed words. Source: docs/handbook.md, section 7 (Sentences).</summary>
public class SentenceMakerTests
{
    private static readonly SentenceMaker Maker = Given.Materials.Maker!;

    private static List<Sentence> MadeAt(Ladder ladder, int rung, long seed, int count)
    {
        var today = ladder.Rungs[rung];
        var after = ladder.TaughtAfter(rung + 1, Leniencies.All, Accent.SouthernBritish);
        var tricky = ladder.Rungs.Take(rung + 1).SelectMany(r => r.Tricky).ToHashSet();
        return
        [
            .. Maker
                .Make(
                    w => after.CanRead(w) || tricky.Contains(w.Spelling),
                    w => Usable.Shows(today, w),
                    Seeded.For(seed, "test")
                )
                .Take(count),
        ];
    }

    [Fact]
    public void All_classed_words_are_in_the_lexicon_and_in_a_class_once() =>
        Assert.All(
            File.ReadLines(Path.Combine(Tool.ProjectFolders.Data, "sentences", "maker.txt"))
                .Where(l => l.Contains(": ", StringComparison.Ordinal) && l[0] != '#')
                .Select(l => l.Split(": ")),
            c =>
            {
                Assert.Distinct(c[1].Split(' '));
                Assert.Equal(c[1].Split(' '), Maker.Classes[c[0]]);
            }
        );

    [Fact]
    public void Whatever_is_made_can_be_read_has_what_is_wanted_and_comes_once()
    {
        foreach (var ladder in Given.Ladders)
        {
            for (var rung = 6; rung < ladder.Rungs.Length; rung += 9)
            {
                var (today, after) = (
                    ladder.Rungs[rung],
                    ladder.TaughtAfter(rung + 1, Leniencies.All, Accent.SouthernBritish)
                );
                var tricky = ladder.Rungs.Take(rung + 1).SelectMany(r => r.Tricky).ToHashSet();
                var made = MadeAt(ladder, rung, rung, 40);
                Assert.Distinct(made.Select(s => s.Text));
                Assert.All(made, s =>
                {
                    Assert.True(s.CanBeRead(after, tricky), s.Text);
                    Assert.Contains(s.Tokens, t => Usable.Shows(today, t.Word));
                    Assert.Matches(s.IsCaption ? "^[a-z ]+$" : "^[A-Z].*[.?]$", s.Text);
                    Assert.DoesNotMatch(@"\b(mouses|gooses|wolfs|oxes|mans)\b", s.Text);
                    Assert.DoesNotMatch(@"\b[Aa] [aeio]|\b[Aa]n [^aeiou]", s.Text);
                    Assert.DoesNotMatch(@"\{|\}|  ", s.Text);
                });
            }
        }
    }

    /// <summary>
    /// From the second month on, but for the few units that hardly any plain word has: these alone may stand here.
    /// </summary>
    [Fact]
    public void Others_can_be_asked_for_at_each_rung_that_has_words()
    {
        string[] few = ["letters-first z", "letters-first ti", "sounds-first e-e", "short-vowels-first z"];
        var dry =
            from ladder in Given.Ladders
            from rung in Enumerable.Range(0, ladder.Rungs.Length)
            let today = ladder.Rungs[rung]
            where today.Kind == RungKind.Lesson && today.TeachesSomething
            where ladder.TaughtAfter(rung, Leniencies.All, Accent.SouthernBritish).Correspondences.Count >= 20
            let made = MadeAt(ladder, rung, 3, 12).Count
            where made < 12
            select $"{ladder.Id} {today.Label}";
        Assert.Equal(few, dry);
    }

    [Fact]
    public void The_same_seed_makes_the_same_sentences_and_another_others()
    {
        var texts = MadeAt(Given.LettersFirst, 60, 1, 20).Select(s => s.Text).ToList();
        Assert.Equal(texts, MadeAt(Given.LettersFirst, 60, 1, 20).Select(s => s.Text));
        Assert.NotEqual(texts, MadeAt(Given.LettersFirst, 60, 2, 20).Select(s => s.Text));
        Assert.Equal(20, texts.Count);
    }

    [Fact]
    public void A_frame_with_a_class_that_there_is_not_fails_when_it_is_read() =>
        Assert.Throws<FormatException>(() => new SentenceMaker(["pet: cat dog", "The {pit} sat."], Given.Lexicon));

    [Fact]
    public void Other_sentences_can_be_asked_for_again_and_again_and_those_that_were_there_do_not_come_back()
    {
        for (var rung = 20; rung < 120; rung += 25)
        {
            var request = Given.Request(rung, 5, 25);
            var lesson = LessonPlanner.Plan(request);
            var seen = new HashSet<string>();
            if (lesson.Activities.FirstOrDefault(a => a.Kind == ActivityKind.ReadSentence) is not { } reading)
                continue;
            seen.UnionWith(reading.Items.SelectMany(ReadByChildren.Sentences));
            for (var again = 1; again <= 6; again++)
            {
                var others = LessonChanges.Refill(request, lesson, lesson.Find(reading.Id)!, 100 + again);
                var fresh = others.Items.SelectMany(ReadByChildren.Sentences).ToList();
                var before = lesson.Find(reading.Id)!.Items.SelectMany(ReadByChildren.Sentences).ToList();
                Assert.True(
                    !fresh.Intersect(before).Any(),
                    $"rung {rung}: {string.Join(' ', fresh.Intersect(before))}"
                );
                lesson = lesson.With(others);
            }
        }
    }

    [Fact]
    public void A_story_has_phrases_that_can_be_read_and_have_what_is_new()
    {
        var request = Given.Request(60, 8, 30);
        var story = Chooser.Make(new LessonWork(request), ActivityKind.StoryPrompt, PartKind.Apply, 1)!;
        var phrases = ((PromptItem)story.Items[0]).Checklist!.Value.Where(l => l.Code == "phrase").ToList();
        Assert.Equal(2, phrases.Count);
        Assert.All(phrases, p =>
        {
            var words = p.Text.Split(' ').Select(Given.Word).ToList();
            Assert.Contains(words, w => Usable.Shows(request.Today, w));
            Assert.All(words, w => Assert.True(request.After.CanRead(w) || request.TrickyToday.Contains(w.Spelling)));
        });
    }
}
