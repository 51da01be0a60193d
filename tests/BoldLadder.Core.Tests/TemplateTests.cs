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
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Templates, pace, and the bank that lessons are filled from.</summary>
public class TemplateTests
{
    [Fact]
    public void There_is_a_shipped_template_for_each_kind_of_day_and_length_and_each_can_be_used()
    {
        foreach (var day in Enum.GetValues<LessonDay>())
        {
            foreach (var minutes in Pace.Lengths)
            {
                var template = LessonTemplate.Shipped(day, minutes);
                Assert.Same(template, template.Checked());
                Assert.Equal(
                    LessonTemplate.Write(template),
                    LessonTemplate.Write(LessonTemplate.Read(LessonTemplate.Write(template)))
                );
            }
        }
        var everywhere = Enum.GetValues<LessonDay>()
            .SelectMany(d => LessonTemplate.Shipped(d, 30).Parts)
            .SelectMany(p => p.Slots)
            .SelectMany(s => s.Kinds)
            .ToHashSet();
        // A story takes ten minutes: it is put in by hand, for the afternoon.
        Assert.Equal(
            Enum.GetValues<ActivityKind>().Where(k => k != ActivityKind.StoryPrompt).Order(),
            everywhere.Order()
        );
    }

    [Fact]
    public void A_template_that_can_t_be_used_says_what_to_do()
    {
        var shipped = LessonTemplate.Shipped(LessonDay.New, 20);
        LessonTemplate With(PartKind part, params Slot[] slots) =>
            shipped with
            {
                Parts = [.. shipped.Parts.Select(p => p.Kind == part ? new TemplatePart(part, [.. slots]) : p)],
            };
        Assert.Throws<RefusedException>(() => With(PartKind.Practise).Checked());
        Assert.Throws<RefusedException>(() =>
            With(PartKind.Revisit, new Slot([ActivityKind.NewCorrespondence], false, SlotNeed.Must, 1)).Checked()
        );
        Assert.Throws<RefusedException>(() => With(PartKind.Revisit, new Slot([], false, SlotNeed.Must, 1)).Checked());
        Assert.Throws<RefusedException>(() =>
            With(PartKind.Revisit, new Slot([ActivityKind.GraphemeCards], false, SlotNeed.Must, 99)).Checked()
        );
        Assert.Throws<RefusedException>(() => (shipped with { Minutes = 17 }).Checked());
        Assert.Throws<RefusedException>(() => (shipped with { Parts = [.. shipped.Parts.Reverse()] }).Checked());
        Assert.Throws<FormatException>(() => LessonTemplate.Read("{"));
    }

    [Theory]
    [InlineData("sh=ʃ", LessonDay.New)]
    [InlineData("a-e=eɪ", LessonDay.SoundFamily)]
    [InlineData("ow=əʊ", LessonDay.SecondSound)]
    [InlineData("s=s", LessonDay.FewWords)]
    public void A_day_is_told_by_what_was_taught_before_it(string notation, LessonDay expected)
    {
        var request = Given.Request(Given.RungOf(notation), 1);
        Assert.Equal(expected, LessonDays.Of(request, new LessonWork(request).Own.Count));
    }

    [Fact]
    public void Days_without_anything_new_are_told_by_their_rung()
    {
        LessonDay Of(Rung today) => LessonDays.Of(Given.Request(40, 1) with { Today = today }, 0);
        var ladder = Given.LettersFirst;
        Assert.Equal(
            LessonDay.Pattern,
            LessonDays.Of(
                Given.Request(
                    ladder.Rungs.IndexOf(ladder.Rungs.First(r => r.Correspondences.IsEmpty && r.TeachesSomething)),
                    1
                ),
                50
            )
        );
        Assert.Equal(LessonDay.TrickyWord, Of(new Rung("t", "", [], Patterns.None, ["said"], null)));
        Assert.Equal(LessonDay.Review, Of(QuietDay.Of(QuietDay.Id(Ladders.Calendars.DayKind.Review), [])));
        Assert.Equal(LessonDay.Assessment, Of(QuietDay.Of(QuietDay.Id(Ladders.Calendars.DayKind.Check), [])));
        Assert.Equal(LessonDay.Recap, Of(QuietDay.Of(QuietDay.Id(Ladders.Calendars.DayKind.Recap), [])));
        Assert.Equal(
            LessonDay.Sort,
            Of(
                new Rung(
                    Id: "s",
                    Stage: "",
                    Correspondences: [],
                    Patterns: Patterns.None,
                    Tricky: [],
                    Reason: null,
                    Kind: RungKind.Sort
                )
            )
        );
    }

    [Fact]
    public void A_schools_own_template_is_followed()
    {
        var shipped = LessonTemplate.Shipped(LessonDay.New, 20);
        var own = shipped with
        {
            Parts =
            [
                .. shipped.Parts.Select(p =>
                    p.Kind == PartKind.Practise
                        ? new TemplatePart(p.Kind, [new Slot([ActivityKind.ReadWords], false, SlotNeed.Must, 3)])
                        : p
                ),
            ],
        };
        var lesson = LessonPlanner.Plan(Given.Request(30, 1) with { Templates = [own] });
        var read = Assert.Single(lesson.Parts.Single(p => p.Kind == PartKind.Practise).Activities);
        Assert.Equal((ActivityKind.ReadWords, 3), (read.Kind, read.Items.Length));
    }

    [Fact]
    public void A_group_that_stops_early_is_planned_slower_and_one_that_finishes_is_not()
    {
        Assert.Equal(1, Pace.Of([]));
        Assert.Equal(1, Pace.Of([(1, 1), (1, 1)]));
        Assert.True(Pace.Of([(600, 1200)]) is > 1.1 and < 1.3);
        Assert.Equal(1.6, Pace.Of(Enumerable.Repeat((100, 1200), 30)));
        var slow = LessonPlanner.Plan(Given.Request(30, 1) with { Pace = 1.5 });
        Assert.True(
            slow.Minutes <= 20
                && slow.Activities.Sum(a => a.Items.Length)
                    < LessonPlanner.Plan(Given.Request(30, 1)).Activities.Sum(a => a.Items.Length)
        );
    }

    [Fact]
    public void The_release_puts_the_easiest_words_in_the_adults_hands()
    {
        var read = LessonPlanner
            .Plan(Given.Request(30, 1) with { Release = new ReleaseSteps(1, 2, 3) })
            .Find("practise-read")!;
        Assert.Equal(new ReleaseSteps(1, 2, read.Items.Length - 3), read.Steps);
        Assert.Null(LessonPlanner.Plan(Given.Request(30, 1)).Find("practise-read")!.Steps);
    }

    [Fact]
    public void Easier_and_harder_words_have_the_same_target_and_come_from_outside_the_set_where_there_are_others()
    {
        var seen = 0;
        for (var rung = 10; rung < 120; rung += 10)
        {
            var request = Given.Request(rung, 2);
            foreach (var activity in LessonPlanner.Plan(request).Activities.Where(a => a.Levels is not null))
            {
                var shown = activity.Items.OfType<WordItem>().ToList();
                var alone = activity.Levels!.Reasons!.Value.Any(r => r.Code == "these-alone");
                foreach (var word in activity.Levels!.Support.Concat(activity.Levels.Stretch).Cast<WordItem>())
                {
                    Assert.True(
                        Usable.Shows(request.Today, Given.Word(word.Word))
                            && request.After.CanRead(Given.Word(word.Word))
                            && (alone || shown.All(s => s.Word != word.Word)),
                        word.Word
                    );
                    seen++;
                }
                Assert.All(activity.Levels.Support.Cast<WordItem>(), s =>
                    Assert.True(s.Taps <= shown.Select(w => w.Taps).Order().ElementAt(shown.Count / 2))
                );
                Assert.All(activity.Levels.Stretch.Cast<WordItem>(), s =>
                    Assert.True(s.Taps >= shown.Max(w => w.Taps))
                );
            }
        }
        Assert.True(seen > 10);
    }

    [Fact]
    public void What_can_t_be_filled_today_comes_with_what_can()
    {
        var request = Given.Request(6, 1);
        var lesson = LessonPlanner.Plan(request);
        Assert.Null(LessonChanges.Another(request, lesson, PartKind.Practise, ActivityKind.ChooseSpelling, 1));
        var instead = LessonChanges.InsteadOf(request, lesson, PartKind.Practise, ActivityKind.ChooseSpelling);
        Assert.NotEmpty(instead.Kinds);
        Assert.All(instead.Kinds, k => Assert.Equal(PartKind.Practise, ActivityFacts.Of(k).Part));
        var later = Given.Request(Given.RungOf("ph=f") + 1, 1);
        Assert.NotNull(
            LessonChanges
                .InsteadOf(later, LessonPlanner.Plan(later), PartKind.Practise, ActivityKind.ChooseSpelling)
                .Earlier
        );
    }

    [Fact]
    public void The_bank_has_sentences_and_texts_along_all_three_ladders()
    {
        Assert.True(
            Given.Materials.Sentences.Sentences.Length >= 400
                && Given.Materials.Texts.Texts.Length >= 20
                && Given.Materials.Meanings.Words.Count() >= 800
        );
        foreach (var ladder in Given.Ladders)
        {
            var places = new SentencePlaces(ladder, Leniencies.All, Accent.SouthernBritish);
            var tenths = Given
                .Materials.Sentences.Sentences.Select(places.RungOf)
                .OfType<int>()
                .GroupBy(r => Math.Min(9, 10 * Math.Max(0, r) / ladder.Rungs.Length))
                .ToDictionary(g => g.Key, g => g.Count());
            Assert.All(Enumerable.Range(0, 10), t =>
                Assert.True(
                    tenths.GetValueOrDefault(t) >= 20,
                    $"{ladder.Id}: {tenths.GetValueOrDefault(t)} sentences in tenth {t + 1}"
                )
            );
            Assert.True(
                Given
                    .Materials.Texts.Texts.Select(places.RungOf)
                    .OfType<int>()
                    .GroupBy(r => 4 * r / ladder.Rungs.Length)
                    .Count(g => g.Count() >= 2) >= 4,
                ladder.Id
            );
        }
    }

    [Fact]
    public void Each_kind_of_activity_has_its_facts_and_its_chooser_and_a_name_of_its_own_in_its_part()
    {
        Assert.Equal(Enum.GetValues<ActivityKind>(), ActivityFacts.All.Select(f => f.Kind));
        Assert.Equal(Enum.GetValues<ActivityKind>().ToHashSet(), Chooser.All.Keys.ToHashSet());
        Assert.Equal(ActivityFacts.All.Length, ActivityFacts.All.Select(f => f.IdIn(f.Part)).Distinct().Count());
        Assert.All(ActivityFacts.All, f =>
            Assert.True(f.Seconds > 0 && f.Fewest > 0 && f.MayStandIn(f.Part) && !(f.Told && !f.Whole), f.Name)
        );
        Assert.Equal(
            PartKind.Practise,
            Assert.Single(Enum.GetValues<PartKind>(), p =>
                p != PartKind.Teach && ActivityFacts.Of(ActivityKind.HearSound).MayStandIn(p)
            )
        );
    }

    [Fact]
    public void What_may_be_chosen_one_by_one_says_why_it_is_there()
    {
        var types = typeof(Item).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Item))).ToList();
        Assert.Equal(types.Count, ItemFacts.All.Length);
        var tiles = ItemFacts
            .All.Where(f => f.Tile)
            .Select(f => f.Item.Replace("-", "", StringComparison.Ordinal) + "item")
            .ToHashSet();
        var found = types.Where(t => tiles.Contains(t.Name.ToLowerInvariant())).ToList();
        Assert.Equal(tiles.Count, found.Count);
        Assert.All(found, t => Assert.True(t.IsAssignableTo(typeof(IExplained)), t.Name));
    }

    [Fact]
    public void Each_text_has_questions_and_a_sentence_is_short()
    {
        Assert.All(Given.Materials.Texts.Texts, t => Assert.InRange(t.Questions.Length, 2, 4));
        Assert.All(Given.Materials.Sentences.Sentences, s => Assert.InRange(s.Tokens.Length, 2, 12));
    }

    [Fact]
    public void A_meaning_is_a_short_line_of_decent_words_without_the_word_itself()
    {
        var meanings = Given.Materials.Meanings;
        Assert.All(meanings.Words.Select(Given.Word), word =>
        {
            var line = meanings.Of(word)!;
            var said = line.Split([' ', ',', '.', ';', '!'], StringSplitOptions.RemoveEmptyEntries);
            Assert.True(said.Length <= 18, $"{word}: {line}");
            Assert.All(
                said.Select(s => Given.Lexicon.Find(s) ?? Given.Lexicon.Find(s.ToLowerInvariant())).OfType<Word>(),
                w =>
                {
                    Assert.True(w.Suitability != Suitability.Never, $"{word}: {line}: {w}");
                    Assert.True(w.Spelling != word.Spelling && w.Suffix?.Base != word.Spelling, $"{word}: {line}");
                }
            );
        });
    }

    [Fact]
    public void Every_word_to_be_taught_has_a_meaning_or_comes_from_a_word_that_children_know()
    {
        bool IsClear(Word word) =>
            Given.Materials.Meanings.Has(word)
            || (
                word.Suffix is { } link
                && (Given.Lexicon.Find(link.Base)!.IsKnown || Given.Materials.Meanings.Has(Given.Word(link.Base)))
            );
        Assert.DoesNotContain(Given.Lexicon.ForLessons, w => !w.IsKnown && !IsClear(w));
    }

    [Fact]
    public void A_form_goes_by_the_meaning_of_its_base()
    {
        var meanings = new Meanings(["stitch\tto sew", "hadn't\t", "teach\tto show how"]);
        Assert.Equal("stitch: to sew", meanings.Of(Given.Word("stitches")));
        Assert.True(meanings.Has(Given.Word("hadn't")));
        Assert.Null(meanings.Of(Given.Word("hadn't")));
        Assert.Null(meanings.Of(Given.Word("teacher")));
        Assert.DoesNotContain("hadn't", meanings.Words);
    }

    [Fact]
    public void A_text_is_read_with_its_title_sentences_and_questions_and_one_with_an_unknown_word_is_left_out()
    {
        var texts = new TextBank(
            ["# a red hen", "The hen sat.", "? Who sat?", "", "# a zzxq", "A zzxq ran.", "# a dog", "The dog ran."],
            Given.Lexicon
        ).Texts;
        Assert.Equal(["a red hen", "a dog"], texts.Select(t => t.Title));
        Assert.Equal("Who sat?", Assert.Single(texts[0].Questions));
    }

    [Theory]
    [InlineData("I am up.", false)]
    [InlineData("The cat sat.", true)]
    [InlineData("a cat", false)]
    public void A_sentence_asks_for_capitals_and_the_pronoun_alone_does_not(string text, bool capital)
    {
        var sentence = Sentence.Read(text, Given.Lexicon)!;
        Assert.Equal(capital, sentence.HasCapital);
        Assert.Equal(
            !capital,
            sentence.CanBeRead(
                Given.Taught("a=æ m=m u=ʌ p=p c=k t=t s=s", free: Patterns.All & ~Patterns.Capitals),
                new HashSet<string> { "i", "the", "a" }
            )
        );
    }
}
