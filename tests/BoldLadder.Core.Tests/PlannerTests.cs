using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using Xunit;

namespace BoldLadder.Core.Tests;

public class PlannerTests
{
    private static readonly int Rungs = Given.LettersFirst.Rungs.Length;

    /// <summary>Every third rung; the laws of whole years see them all, and so does the deep run.</summary>
    private static readonly int Step = Given.Deep ? 1 : 3;

    /// <summary>Rungs with 2 seeds, with 50 in the deep run.</summary>
    public static TheoryData<long> Seeds => [.. Enumerable.Range(1, Given.Deep ? 50 : 2).Select(s => (long)s)];

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Whatever_a_child_reads_or_spells_is_decodable_that_day(long seed)
    {
        for (var rung = 0; rung < Rungs; rung += Step)
        {
            var request = Given.Request(rung, seed, Pace.Lengths[(int)(seed % 4)]);
            var lesson = LessonPlanner.Plan(request);
            Assert.Equal(
                [PartKind.Revisit, PartKind.Teach, PartKind.Practise, PartKind.Apply],
                lesson.Parts.Select(p => p.Kind)
            );
            Assert.All(lesson.Parts, p => Assert.Contains(p.Activities, a => a.Items.Length > 0));
            Assert.Empty(
                LessonCheck.Problems(
                    lesson,
                    request.Before,
                    request.After,
                    request.TrickyToday.ToHashSet(),
                    Given.Lexicon
                )
            );
            foreach (var item in ToRead(lesson, PartKind.Revisit, ActivityKind.RecentWords))
                Assert.True(request.Before.CanRead(Given.Word(item.Word)), $"{rung}: {item.Word}");
            foreach (var item in ToRead(lesson, PartKind.Practise))
                Assert.True(request.After.CanRead(Given.Word(item.Word)), $"{rung}: {item.Word}");
        }
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Two_thirds_of_practise_words_have_what_is_new(long seed)
    {
        for (var rung = 0; rung < Rungs; rung += Step)
        {
            var request = Given.Request(rung, seed);
            foreach (
                var activity in LessonPlanner
                    .Plan(request)
                    .Parts[2]
                    .Activities.Where(a => a.Kind is ActivityKind.ReadWords or ActivityKind.SpellWords)
            )
            {
                var own = activity.Items.Cast<WordItem>().Count(i => Usable.Shows(request.Today, Given.Word(i.Word)));
                Assert.True(
                    own * 3 >= activity.Items.Length * 2,
                    $"{request.Today.Label} {activity.Id}: {own} of {activity.Items.Length}"
                );
            }
        }
    }

    [Fact]
    public void A_rung_with_few_words_is_taught_by_ear_and_the_lesson_says_so()
    {
        var few = 0;
        for (var rung = 0; rung < Rungs; rung += Step)
        {
            var request = Given.Request(rung, 1);
            var words = Usable.Showing(request.Today, request.After, Given.Lexicon.Words).Count();
            var lesson = LessonPlanner.Plan(request);
            Assert.Equal(words < LessonDays.FewWords, lesson.Notes.Any(n => n.Code == "few-words"));
            if (words >= LessonDays.FewWords)
                continue;
            few++;
            var kinds = lesson.Parts[2].Activities.Select(a => a.Kind).ToList();
            Assert.Contains(ActivityKind.OralBlending, kinds);
            if (request.Before.Correspondences.Count > 0)
                Assert.Contains(ActivityKind.SpotGrapheme, kinds);
            Assert.Contains(lesson.Activities, a => a.Kind == ActivityKind.Formation);
        }
        Assert.InRange(few, 1, Math.Max(1, Rungs * 15 / 100 / Step));
    }

    [Fact]
    public void The_same_request_gives_the_same_lesson_and_another_seed_another()
    {
        Assert.Equal(
            LessonDocument.Write(LessonPlanner.Plan(Given.Request(30, 7))),
            LessonDocument.Write(LessonPlanner.Plan(Given.Request(30, 7)))
        );
        Assert.NotEqual(
            LessonDocument.Write(LessonPlanner.Plan(Given.Request(30, 7))),
            LessonDocument.Write(LessonPlanner.Plan(Given.Request(30, 8)))
        );
    }

    [Theory]
    [InlineData(15)]
    [InlineData(20)]
    [InlineData(25)]
    [InlineData(30)]
    public void The_four_parts_fit_the_minutes(int minutes)
    {
        for (var rung = 0; rung < Rungs; rung += Step)
        {
            var lesson = LessonPlanner.Plan(Given.Request(rung, 3, minutes));
            Assert.True(
                lesson.Minutes <= minutes,
                $"{Given.LettersFirst.Rungs[rung].Label}: {lesson.Minutes} of {minutes}"
            );
        }
    }

    [Fact]
    public void Cards_are_shuffled_and_never_have_what_is_new_today()
    {
        var cards = LessonPlanner.Plan(Given.Request(28, 1)).Find("revisit-cards")!.Items.Cast<CardItem>().ToList();
        Assert.DoesNotContain(cards, c =>
            Given.LettersFirst.Rungs[28].Correspondences.Any(t => t.Notation == c.Correspondence)
        );
        Assert.NotEqual(
            cards.Select(c => c.Correspondence),
            cards.Select(c => c.Correspondence).Order(StringComparer.Ordinal)
        );
        Assert.NotEqual(
            cards.Select(c => c.Correspondence),
            LessonPlanner
                .Plan(Given.Request(28, 2))
                .Find("revisit-cards")!
                .Items.Cast<CardItem>()
                .Select(c => c.Correspondence)
        );
    }

    [Fact]
    public void What_is_longest_unseen_comes_back()
    {
        var request = Given.Request(28, 1);
        var recall = request.Memory.Seen.ToDictionary(r => r.Key, r => r.Key.Notation == "g=g" ? 60 : 1);
        Assert.Contains(
            LessonPlanner
                .Plan(request with { Memory = request.Memory with { Seen = recall } })
                .Find("revisit-cards")!
                .Items.Cast<CardItem>(),
            c => c.Correspondence == "g=g"
        );
    }

    [Fact]
    public void Recent_words_use_what_was_taught_last_even_when_older_cards_were_just_seen()
    {
        var request = Given.Request(34, 1);
        request = request with
        {
            Memory = request.Memory with
            {
                Seen = request.Memory.Seen.ToDictionary(
                    r => r.Key,
                    r => request.Memory.Newest.Take(6).Contains(r.Key) ? 6 : 1
                ),
            },
        };
        var words = LessonPlanner.Plan(request).Find("revisit-words")!.Items.Cast<WordItem>().ToList();
        Assert.NotEmpty(words);
        Assert.All(words, w => Assert.Contains(request.Memory.Newest.Take(6), Given.Word(w.Word).Contains));
    }

    [Fact]
    public void No_word_to_spell_has_a_common_homophone_without_a_sentence()
    {
        for (var rung = 0; rung < Rungs; rung += Step)
        {
            foreach (
                var activity in LessonPlanner
                    .Plan(Given.Request(rung, 5))
                    .Activities.Where(a => a.Kind == ActivityKind.SpellWords)
            )
            {
                Assert.All(activity.Items.Cast<WordItem>().Where(i => i.Sentence is null), i =>
                    Assert.DoesNotContain(Given.Lexicon.Homophones(Given.Word(i.Word), Accent.SouthernBritish), h =>
                        h.Zipf >= 3
                    )
                );
            }
        }
    }

    [Fact]
    public void Choosing_others_keeps_what_is_kept_and_changes_the_rest()
    {
        var request = Given.Request(31, 1);
        var lesson = LessonPlanner.Plan(request);
        var read = lesson.Find("practise-read")!;
        var kept = read with { Items = read.Items.SetItem(0, read.Items[0] with { Kept = true }) };
        var refilled = LessonChanges.Refill(request, lesson.With(kept), kept, 99);
        Assert.Equal(read.Items.Length, refilled.Items.Length);
        Assert.Contains(refilled.Items, i => i.Id == kept.Items[0].Id && i.Kept);
        Assert.True(refilled.Items.Count(i => read.Items.Any(r => r.Id == i.Id)) <= read.Items.Length / 2);
        Assert.All(refilled.Items.Cast<WordItem>(), i => Assert.True(request.After.CanRead(Given.Word(i.Word))));
    }

    [Fact]
    public void Choosing_others_breaks_no_rule_on_any_rung()
    {
        for (var rung = 0; rung < Rungs; rung += Step)
        {
            var request = Given.Request(rung, 4);
            var lesson = LessonPlanner.Plan(request);
            foreach (
                var activity in lesson
                    .Parts[2]
                    .Activities.Where(a => a.Kind is ActivityKind.ReadWords or ActivityKind.SpellWords)
            )
            {
                foreach (
                    var changed in new[]
                    {
                        LessonChanges.Refill(request, lesson, activity, 9),
                        LessonChanges.ReplaceOne(request, lesson, activity, activity.Items[^1].Id, 9),
                    }
                )
                {
                    Assert.InRange(changed.Items.Length, 1, activity.Items.Length);
                    Assert.Equal(changed.Items.Length, changed.Items.Select(i => i.Id).Distinct().Count());
                    Assert.All(changed.Items.Cast<WordItem>(), i =>
                        Assert.True(request.After.CanRead(Given.Word(i.Word)), i.Word)
                    );
                    var own = changed
                        .Items.Cast<WordItem>()
                        .Count(i => Usable.Shows(request.Today, Given.Word(i.Word)));
                    Assert.True(
                        own * 3 >= changed.Items.Length * 2,
                        $"{request.Today.Label} {changed.Id}: {own} of {changed.Items.Length}"
                    );
                }
            }
        }
    }

    [Theory]
    [InlineData(ActivityKind.GraphemeCards, PartKind.Revisit)]
    [InlineData(ActivityKind.SoundToSpellings, PartKind.Revisit)]
    [InlineData(ActivityKind.OralBlending, PartKind.Revisit)]
    [InlineData(ActivityKind.Clues, PartKind.Revisit)]
    [InlineData(ActivityKind.TrickySoFar, PartKind.Revisit)]
    [InlineData(ActivityKind.SpotGrapheme, PartKind.Teach)]
    [InlineData(ActivityKind.MadeUpWords, PartKind.Practise)]
    [InlineData(ActivityKind.HasSound, PartKind.Practise)]
    [InlineData(ActivityKind.ReadSentence, PartKind.Apply)]
    public void One_thing_of_an_activity_can_be_changed_alone(ActivityKind kind, PartKind part)
    {
        var request = Given.Request(Given.RungOf("oa=əʊ"), 1);
        var lesson = LessonPlanner.Plan(request);
        var activity = LessonChanges.Another(request, lesson, part, kind, 5, 4)!;
        var at = activity.Items.ToList().FindIndex(i => i is not CardItem { Reasons: [{ Code: "show-it" }] });
        var with = lesson with
        {
            Parts =
            [
                .. lesson.Parts.Select(p => p.Kind == part ? p with { Activities = p.Activities.Add(activity) } : p),
            ],
        };
        var changed = LessonChanges.ReplaceOne(request, with, activity, activity.Items[at].Id, 6);
        Assert.DoesNotContain(activity.Items, i => i.Id == changed.Items[at].Id);
        Assert.Equal(activity.Items.RemoveAt(at).Select(i => i.Id), changed.Items.RemoveAt(at).Select(i => i.Id));
    }

    [Fact]
    public void Every_word_says_why_it_was_chosen()
    {
        var reasons = LessonPlanner
            .Plan(Given.Request(Given.RungOf("ee=iː"), 1))
            .Find("practise-read")!
            .Items.Cast<WordItem>()
            .Select(i => i.Reasons)
            .ToList();
        Assert.All(reasons, r => Assert.Contains(r, x => x.Code == "taps"));
        Assert.Contains(reasons, r => r.Any(x => x.Code == "uses" && x.Arguments[0] == "ee"));
        Assert.Contains(reasons, r => r.Any(x => x.Code == "brings-back"));
    }

    [Fact]
    public void A_new_tricky_word_shows_its_tricky_part()
    {
        var rung = Given.LettersFirst.Rungs.IndexOf(Given.LettersFirst.Rungs.First(r => r.Tricky.Contains("said")));
        var said = LessonPlanner.Plan(Given.Request(rung, 1)).Find("teach-tricky")!.Items.Cast<WordItem>().Single();
        Assert.Equal(1, Assert.Single(said.Tricky));
    }

    [Fact]
    public void A_stored_lesson_reads_back_whole_with_fields_in_any_order()
    {
        var lesson = LessonPlanner.Plan(Given.Request(20, 1));
        var written = LessonDocument.Write(lesson);
        Assert.Equal(written, LessonDocument.Write(LessonDocument.Read(written)));
        Assert.Throws<FormatException>(() =>
            LessonDocument.Read(
                written.Replace($"\"format\":{Lesson.CurrentFormat}", "\"format\":9", StringComparison.Ordinal)
            )
        );
        Assert.Throws<FormatException>(() => LessonDocument.Read("{"));
        var late =
            """{"format":1,"target":[],"patterns":[],"notes":[],"parts":[{"kind":"teach","activities":[{"id":"x","kind":"new-pattern","response":"listen","seconds":1,"items":[{"id":"i","kept":false,"pattern":"suffix-s","$type":"pattern"}]}]}]}""";
        Assert.IsType<PatternItem>(LessonDocument.Read(late).Find("x")!.Items[0]);
        Assert.Contains(
            "items",
            Assert
                .Throws<FormatException>(() =>
                    LessonDocument.Read(late.Replace("\"items\"", "\"things\"", StringComparison.Ordinal))
                )
                .Message,
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData(
        """{"format":1,"rungId":"ai=eɪ","target":["ai=eɪ","ay=eɪ"],"patterns":[],"notes":[],"parts":[]}""",
        "ai=eɪ",
        "ai ay"
    )]
    [InlineData(
        """{"format":1,"rungId":"r7","target":[],"patterns":["suffix-s"],"notes":[],"parts":[]}""",
        "r7",
        "suffix-s"
    )]
    [InlineData(
        """{"format":1,"rungId":"check-day","target":[],"patterns":[],"notes":[],"parts":[]}""",
        "check-day",
        "check-day"
    )]
    [InlineData(
        """{"format":1,"rungId":"r8","target":[],"patterns":[],"notes":[],"parts":[{"kind":"teach","activities":[{"id":"x","kind":"new-tricky-word","response":"listen","seconds":1,"items":[]}]}]}""",
        "r8",
        "tricky-day"
    )]
    [InlineData("""{"format":1,"target":[],"patterns":[],"notes":[],"parts":[]}""", "", "review-day")]
    public void A_lesson_of_the_first_format_is_given_its_title(string first, string rung, string label)
    {
        var lesson = LessonDocument.Read(first);
        Assert.Equal((Lesson.CurrentFormat, new LessonTitle(rung, label, "")), (lesson.Format, lesson.Title));
    }

    [Fact]
    public void A_lesson_that_broke_says_which_correspondence_is_not_taught()
    {
        var rung = Given.RungOf("ee=iː");
        var request = Given.Request(rung, 1);
        var lesson = LessonPlanner.Plan(request);
        var without = Given.LettersFirst.TaughtAfter(rung, Leniencies.All, Accent.SouthernBritish);
        var problems = LessonCheck.Problems(lesson, without, without, request.TrickyToday.ToHashSet(), Given.Lexicon);
        Assert.Contains(problems, p => p.Reasons.Contains(Reason.Of("not-taught", "ee=iː")));
    }

    [Fact]
    public void Position_facts_add_up_and_come_with_an_example()
    {
        var ai = ItemMaker.Positions(Correspondence.Parse("ai=eɪ"), Given.Lexicon)!;
        Assert.Equal(100, ai.Start + ai.Middle + ai.End);
        Assert.True(ai.Middle > 70 && ai.End == 0);
        Assert.NotNull(ai.MiddleExample);
    }

    private static IEnumerable<WordItem> ToRead(Lesson lesson, PartKind part, ActivityKind? kind = null) =>
        lesson
            .Parts.Single(p => p.Kind == part)
            .Activities.Where(a => kind is null || a.Kind == kind)
            .SelectMany(a => a.Items)
            .OfType<WordItem>()
            .Where(i => !i.Oral);
}
