using BoldLadder.Core.Accents;
using BoldLadder.Core.Activities.Chains;
using BoldLadder.Core.Activities.MadeUp;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Chains, made-up words, gaps and spellings in lessons.</summary>
public class ExtrasTests
{
    private static readonly int Step = Given.Deep ? 1 : 7;

    private static IEnumerable<(LessonRequest Request, Lesson Lesson)> Lessons(int minutes = 30)
    {
        for (var rung = 12; rung < Given.LettersFirst.Rungs.Length; rung += Step)
        {
            var request = Given.Request(rung, 11 + rung, minutes);
            yield return (request, LessonPlanner.Plan(request));
        }
    }

    /// <summary>The activity put into each lesson that has the words for it.</summary>
    private static IEnumerable<(LessonRequest Request, Activity Activity)> Of(ActivityKind kind) =>
        With(kind).Select(l => (l.Request, l.Lesson.Activities.Last(a => a.Kind == kind)));

    private static IEnumerable<(LessonRequest Request, Lesson Lesson)> With(ActivityKind kind)
    {
        var part = ActivityFacts.Of(kind).Part;
        foreach (var (request, lesson) in Lessons())
        {
            if (LessonChanges.Another(request, lesson, part, kind, request.Seed) is not { } made)
                continue;
            yield return (
                request,
                lesson with
                {
                    Parts =
                    [
                        .. lesson.Parts.Select(p =>
                            p.Kind == part
                                ? p with
                                {
                                    Activities = [.. p.Activities.Where(a => a.Kind != kind), made],
                                }
                                : p
                        ),
                    ],
                }
            );
        }
    }

    [Fact]
    public void The_ways_to_practise_come_by_turns()
    {
        var series = new LessonSeries(
            Given.LettersFirst,
            Given.Materials,
            Core.Decoding.Leniencies.All,
            Accent.SouthernBritish,
            30,
            3
        );
        var kinds = new HashSet<ActivityKind>();
        while (series.Lessons < 40)
            kinds.UnionWith(series.PlanNext().Lesson.Activities.Select(a => a.Kind));
        Assert.Superset(
            new HashSet<ActivityKind>
            {
                ActivityKind.WordChain,
                ActivityKind.MadeUpWords,
                ActivityKind.MissingGrapheme,
                ActivityKind.SoundToSpellings,
            },
            kinds
        );
    }

    [Fact]
    public void A_chain_in_a_lesson_passes_its_judge_and_shows_what_is_new_in_two_thirds_of_its_words()
    {
        Assert.NotEmpty(Of(ActivityKind.WordChain));
        Assert.All(Of(ActivityKind.WordChain), c =>
        {
            var words = c.Activity.Items.Cast<WordItem>().Select(i => i.Word).ToList();
            Assert.All(new ChainJudge(new WordFinder(Given.Lexicon), c.Request.After).Judge(words), s =>
                Assert.True(s.IsValid, s.Word)
            );
            Assert.True(
                words.Count(w => Core.Ladders.Usable.Shows(c.Request.Today, Given.Word(w))) * 3 >= words.Count * 2
            );
            Assert.Equal(
                words.Count - 1,
                c.Activity.Items.Cast<WordItem>()
                    .Count(i => i.Reasons.Any(r => r.Code.StartsWith("changes-", StringComparison.Ordinal)))
            );
        });
    }

    [Fact]
    public void Made_up_words_in_a_lesson_pass_their_judge_and_have_what_is_new()
    {
        Assert.NotEmpty(Of(ActivityKind.MadeUpWords));
        Assert.All(Of(ActivityKind.MadeUpWords), m => Assert.All(m.Activity.Items.Cast<MadeUpItem>(), i =>
            {
                Assert.True(
                    new MadeUpJudge(Given.Lexicon, m.Request.After, Accent.SouthernBritish).Judge(i.Word).WillDo,
                    i.Word
                );
                Assert.Contains(
                    Segmentation.Parse(i.Graphemes, i.Phonemes).Parts,
                    m.Request.Today.Correspondences.Contains
                );
                Assert.Equal(i.Word.Length, i.Marks.Length);
            }));
    }

    [Fact]
    public void A_school_without_made_up_words_in_lessons_gets_none()
    {
        Assert.NotEmpty(Of(ActivityKind.MadeUpWords));
        Assert.All(Of(ActivityKind.MadeUpWords), m =>
            Assert.Null(
                LessonChanges.Another(
                    m.Request with
                    {
                        MadeUpInLessons = false,
                    },
                    LessonPlanner.Plan(m.Request),
                    PartKind.Practise,
                    ActivityKind.MadeUpWords,
                    1
                )
            )
        );
    }

    [Fact]
    public void A_gap_leaves_out_what_is_new_or_was_lately_and_its_word_can_be_read()
    {
        Assert.NotEmpty(Of(ActivityKind.MissingGrapheme));
        Assert.All(Of(ActivityKind.MissingGrapheme), g => Assert.All(g.Activity.Items.Cast<GapItem>(), i =>
            {
                Assert.True(g.Request.After.CanRead(Given.Word(i.Word)));
                Assert.Contains(g.Request.Today.Correspondences.Concat(g.Request.Memory.Newest.Take(4)), c =>
                    c.Grapheme.Text == i.Graphemes.Split('|')[i.Gap]
                );
                Assert.Contains('|', i.Graphemes);
            }));
    }

    [Fact]
    public void The_spellings_of_a_sound_are_those_taught_before_today()
    {
        Assert.NotEmpty(Of(ActivityKind.SoundToSpellings));
        Assert.All(Of(ActivityKind.SoundToSpellings), s => Assert.All(s.Activity.Items.Cast<SpellingsItem>(), i =>
            {
                Assert.True(i.Graphemes.Length > 1);
                Assert.All(i.Correspondences, n =>
                    Assert.True(
                        s.Request.Before.Correspondences.Contains(Correspondence.Parse(n))
                            && Accent.SouthernBritish.Project(Correspondence.Parse(n)) == i.Sounds
                    )
                );
            }));
    }

    [Theory]
    [InlineData(ActivityKind.WordChain)]
    [InlineData(ActivityKind.MadeUpWords)]
    [InlineData(ActivityKind.MissingGrapheme)]
    public void Others_can_be_chosen_for_each_and_they_are_as_sound(ActivityKind kind)
    {
        // Where there is much to choose from: a rung with few made-up words keeps those it has.
        var (request, lesson) = With(kind)
            .Where(l => l.Lesson.Activities.Any(a => a.Kind == kind && a.Items.Length >= 5))
            .Skip(2)
            .First();
        var activity = lesson.Activities.Single(a => a.Kind == kind);
        var others = LessonChanges.Refill(request, lesson, activity, 4242);
        Assert.NotEqual(activity.Items.Select(i => i.Id), others.Items.Select(i => i.Id));
        Assert.Empty(
            LessonCheck.Problems(
                lesson.With(others),
                request.Before,
                request.After,
                request.TrickyToday.ToHashSet(),
                Given.Lexicon
            )
        );
    }

    [Fact]
    public void One_word_of_a_chain_is_not_changed_alone()
    {
        var (request, lesson) = With(ActivityKind.WordChain).First();
        var chain = lesson.Activities.Single(a => a.Kind == ActivityKind.WordChain);
        Assert.Same(chain, LessonChanges.ReplaceOne(request, lesson, chain, chain.Items[1].Id, 5));
    }

    [Fact]
    public void What_is_not_taught_is_found_in_each_kind_of_item()
    {
        foreach (
            var kind in new[] { ActivityKind.MadeUpWords, ActivityKind.MissingGrapheme, ActivityKind.SoundToSpellings }
        )
        {
            var (_, lesson) = With(kind).First();
            var ids = lesson.Activities.Single(a => a.Kind == kind).Items.Select(i => i.Id);
            var nothing = Core.Decoding.Taught.Nothing;
            Assert.Superset(
                ids.ToHashSet(),
                LessonCheck
                    .Problems(lesson, nothing, nothing, new HashSet<string>(), Given.Lexicon)
                    .Select(p => p.ItemId)
                    .ToHashSet()
            );
        }
    }

    [Fact]
    public void A_lesson_with_all_kinds_of_items_reads_back_as_it_was_written() =>
        Assert.All(Lessons(), l =>
            Assert.Equal(
                LessonDocument.Write(l.Lesson),
                LessonDocument.Write(LessonDocument.Read(LessonDocument.Write(l.Lesson)))
            )
        );
}
