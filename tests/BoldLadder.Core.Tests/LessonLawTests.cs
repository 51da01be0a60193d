using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Activities.Chains;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// What holds of every lesson, whatever the ladder, rung, accent, length and seed: a rotation of them here, many more
/// in the deep run.
/// </summary>
public class LessonLawTests
{
    /// <summary>Each ladder in turn with another accent and length; all of them together in the deep run.</summary>
    public static TheoryData<int, string, int, long> Years
    {
        get
        {
            var years = new TheoryData<int, string, int, long>();
            for (var ladder = 0; ladder < 3; ladder++)
            {
                for (var accent = 0; accent < 3; accent++)
                {
                    for (var length = 0; length < 4; length++)
                    {
                        if (Given.Deep || (accent == ladder && length == ladder))
                            years.Add(
                                ladder,
                                Accent.All[accent].Id,
                                Pace.Lengths[length],
                                100 + (12 * ladder) + (4 * accent) + length
                            );
                    }
                }
            }
            return years;
        }
    }

    private static IEnumerable<(LessonRequest Request, Lesson Lesson)> Year(
        int ladder,
        string accent,
        int minutes,
        long seed
    )
    {
        var series = new LessonSeries(
            Given.Ladders.ElementAt(ladder),
            Given.Materials,
            Leniencies.All,
            Accent.Parse(accent),
            minutes,
            seed
        );
        while (series.HasNext)
            yield return series.PlanNext();
    }

    [Theory]
    [MemberData(nameof(Years))]
    public void Every_lesson_of_a_year_keeps_the_rules(int ladder, string accent, int minutes, long seed)
    {
        var (score, lessons, read, unexplained) = (0.0, 0, 0, 0);
        foreach (var (request, lesson) in Year(ladder, accent, minutes, seed))
        {
            var where = $"rung {lessons + 1} ({request.Today.Label}), seed {request.Seed}";
            var problems = LessonCheck.Problems(
                lesson,
                request.Before,
                request.After,
                request.TrickyToday.ToHashSet(),
                request.Lexicon
            );
            Assert.True(
                problems.IsEmpty,
                $"{where}: "
                    + string.Join(
                        "; ",
                        problems.Select(p => $"{p.ItemId} {string.Join(' ', p.Reasons.Select(r => r.Arguments[0]))}")
                    )
            );
            Assert.True(lesson.Minutes <= minutes, $"{where}: {lesson.Minutes} of {minutes} minutes");
            Assert.True(
                lesson.Parts.Length >= 3
                    && lesson.Parts.All(p => p.Activities.Length > 0)
                    && lesson.Activities.All(a => a.Items.Length > 0),
                $"{where}: an empty part or activity"
            );
            Assert.Equal(lesson.Activities.Count(), lesson.Activities.Select(a => a.Id).Distinct().Count());
            foreach (var activity in lesson.Activities)
                HoldsFor(request, lesson, activity, where);
            var words = lesson
                .Activities.Where(a => a.Kind == ActivityKind.ReadWords)
                .SelectMany(a => a.Items)
                .OfType<WordItem>()
                .ToList();
            read += words.Count;
            unexplained += words.Count(w => w.Meaning is null && !IsHeard(Given.Word(w.Word)));
            score += LessonScore.Of(request, lesson).Total;
            lessons++;
        }
        // Where a rung has few words it has some that children may not know and nobody has explained yet.
        Assert.True(
            unexplained <= read * MostUnexplained,
            $"{unexplained} of {read} words to read are neither known to children nor explained"
        );
        // A regression in choosing is seen here: lessons score above this on every shipped ladder.
        Assert.True(score / lessons >= LowestScore, $"a mean score of {score / lessons:F3}");
    }

    private const double LowestScore = 0.8;
    private const double MostUnexplained = 0.15;
    private const double HeardByAll = 5;

    /// <summary>True for a word that children know, or hear every day, or whose base they know.</summary>
    private static bool IsHeard(Word word) =>
        word.IsKnown || word.Zipf >= HeardByAll || (word.Suffix is { } suffix && IsHeard(Given.Word(suffix.Base)));

    /// <summary>
    /// True for an item that says why it is there; what is only laid out of words that say so (a sort, a crossword) has
    /// nothing of its own to say.
    /// </summary>
    private static bool IsExplained(Item item) =>
        item is IExplained explained
            ? explained.Reasons.Length > 0
            : item is LineItem or SortItem or CrosswordItem or BesideItem or PatternItem or PromptItem or HuntItem;

    private static void HoldsFor(LessonRequest request, Lesson lesson, Activity activity, string where)
    {
        var part = lesson.Parts.Single(p => p.Activities.Contains(activity)).Kind;
        var words = activity
            .Items.SelectMany(ReadByChildren.Words)
            .Select(w => (request.Lexicon.Find(w) ?? request.Lexicon.FindName(w))!)
            .ToList();
        Assert.All(words, w => Assert.True(w.Suitability == Suitability.Use, $"{where} {activity.Id}: {w}"));
        Assert.All(activity.Items.OfType<WordItem>().Where(i => i.Oral).Select(i => Given.Word(i.Word)), w =>
            Assert.True(w.IsForLessons && w.IsKnown, $"{where} {activity.Id}: {w} is said")
        );
        Assert.All(activity.Items.OfType<GapItem>(), i =>
            Assert.False(CrudeShapeTests.IsCrude(i.Word, i.Marks, i.Gap), $"{where}: {i.Word} without its part {i.Gap}")
        );
        Assert.All(activity.Items.OfType<ChoiceItem>(), i =>
            Assert.False(CrudeShapeTests.IsCrude(i.Word, i.Marks, i.Gap), $"{where}: {i.Word} without its part {i.Gap}")
        );
        Assert.Equal(activity.Items.Length, activity.Items.Select(i => i.Id).Distinct().Count());
        Assert.Equal(ActivityFacts.Of(activity.Kind).Response, activity.Response);
        Assert.All(activity.Items.Concat(activity.Items.OfType<LineItem>().SelectMany(l => l.Words)), i =>
            Assert.True(IsExplained(i), $"{where}: {i.Id} has no reason")
        );
        if (part == PartKind.Revisit && request.Today.Kind == RungKind.Lesson)
        {
            Assert.All(activity.Items.SelectMany(ReadByChildren.Correspondences), c =>
                Assert.DoesNotContain(c, request.Today.Correspondences)
            );
        }
        switch (activity.Kind)
        {
            case ActivityKind.ReadWords
            or ActivityKind.SpellWords
            or ActivityKind.ReadUnmarked
            or ActivityKind.ReadAtSpeed
            or ActivityKind.WordChain when request.Today.TeachesSomething:
                Assert.True(
                    words.Count(w => Usable.Shows(request.Today, w)) * 3 >= words.Count * 2,
                    $"{where} {activity.Id}: too little of what is new"
                );
                break;
        }
        switch (activity.Kind)
        {
            case ActivityKind.ReadWords:
                Assert.Equal(
                    words.Count,
                    words.Select(w => Lexicon.SoundsIn(request.After.Accent, w)).Distinct().Count()
                );
                Assert.True(
                    words.Zip(words.Skip(1)).All(p => p.First.Segmentation.Taps <= p.Second.Segmentation.Taps),
                    $"{where}: not easy to hard"
                );
                break;
            case ActivityKind.SpellWords:
                Assert.All(activity.Items.Cast<WordItem>(), i =>
                    Assert.True(
                        i.Sentence is not null
                            || !request
                                .Lexicon.Homophones(Given.Word(i.Word), request.After.Accent)
                                .Any(h => h.Zipf >= 3 || h.IsKnown),
                        $"{where}: {i.Word} sounds like another and has no sentence"
                    )
                );
                break;
            case ActivityKind.WordChain:
                Assert.All(words.Zip(words.Skip(1)), p =>
                    Assert.NotNull(ChainSteps.Between(p.First.Segmentation, p.Second.Segmentation))
                );
                break;
            case ActivityKind.ChooseSpelling:
                Assert.All(activity.Items.Cast<ChoiceItem>(), c =>
                    Assert.True(
                        c.Options.Length > 1
                            && c.Options.Contains(c.Graphemes.Split('|')[c.Gap])
                            && !request.Lexicon.Homophones(Given.Word(c.Word), request.After.Accent).Any(),
                        $"{where}: {c.Word}"
                    )
                );
                break;
            case ActivityKind.SortWords:
                Assert.All(activity.Items.Cast<SortItem>(), s =>
                    Assert.True(s.Headings.Length > 1 && s.Words.GroupBy(w => w.Heading).All(g => g.Count() > 1), where)
                );
                break;
            case ActivityKind.PictureToWord:
                Assert.All(activity.Items.Cast<PictureItem>(), p =>
                    Assert.True(
                        p.Options.Contains(p.Word)
                            && p.Options.Length > 1
                            && request.Materials.Pictures[p.Word] == p.Picture,
                        where
                    )
                );
                break;
            case ActivityKind.MadeUpWords:
                Assert.All(activity.Items.Cast<MadeUpItem>(), m => Assert.Null(request.Lexicon.Find(m.Word)));
                break;
        }
    }

    [Fact]
    public void Every_kind_of_activity_comes_in_some_lesson_or_can_be_put_into_one()
    {
        var missing = Chooser.All.Keys.ToHashSet();
        for (var ladder = 0; ladder < 3; ladder++)
        {
            var series = new LessonSeries(
                Given.Ladders.ElementAt(ladder),
                Given.Materials,
                Leniencies.All,
                Accent.SouthernBritish,
                20,
                5
            );
            while (series.HasNext && missing.Count > 0)
            {
                var next = series.Next();
                var request = next with
                {
                    Memory = next.Memory with { Missed = [.. next.Memory.Newest.Take(2)] },
                    Phrases = next.Today.Correspondences.ToDictionary(c => c.Notation, _ => "up a tree"),
                    Chunks = [new Chunk("en", ["e=e", "n=n"])],
                    Today = next.Today with { Chunks = [new Chunk("en", ["e=e", "n=n"])] },
                };
                if (series.Lessons % 9 == 3 || request.Today.Patterns != Patterns.None)
                {
                    var lesson = LessonPlanner.Plan(request);
                    foreach (var kind in missing.ToList())
                    {
                        if (
                            LessonChanges.Another(request, lesson, ActivityFacts.Of(kind).Part, kind, 3) is { } made
                            && LessonCheck
                                .Problems(
                                    lesson with
                                    {
                                        Parts = [new LessonPart(ActivityFacts.Of(kind).Part, [made])],
                                    },
                                    request.Before,
                                    request.After,
                                    request.TrickyToday.ToHashSet(),
                                    request.Lexicon
                                )
                                .IsEmpty
                        )
                            missing.Remove(kind);
                    }
                }
                series.Skip(1);
            }
        }
        Assert.Empty(missing);
    }

    [Fact]
    public void What_was_missed_has_a_place_of_its_own_and_no_card_comes_twice()
    {
        var series = new LessonSeries(
            Given.Ladders.First(),
            Given.Materials,
            Leniencies.All,
            Accent.SouthernBritish,
            25,
            5
        );
        series.Skip(12);
        while (series.Lessons < 60)
        {
            var next = series.Next();
            var missed = next.Memory.Newest.Skip(1).Take(2).ToList();
            var lesson = LessonPlanner.Plan(next with { Memory = next.Memory with { Missed = [.. missed] } });
            var cards = lesson
                .Activities.Where(a => a.Kind is ActivityKind.GraphemeCards or ActivityKind.LastMiss)
                .SelectMany(a => a.Items.Cast<CardItem>())
                .Select(c => c.Correspondence)
                .ToList();
            Assert.Distinct(cards);
            var again = lesson.Activities.Single(a => a.Kind == ActivityKind.LastMiss).Items.Cast<CardItem>();
            Assert.Equal(missed.Select(c => c.ReferenceNotation), again.Select(c => c.Correspondence));
            Assert.All(again, c => Assert.NotNull(c.Example));
            series.Skip(7);
        }
    }

    [Fact]
    public void The_same_stamp_gives_the_same_lessons_for_weeks_on_end()
    {
        foreach (var ladder in Given.Ladders)
        {
            var (one, other) = (Series(ladder, 7), Series(ladder, 7));
            for (var day = 0; day < 12; day++)
                Assert.Equal(
                    LessonDocument.Write(one.PlanNext().Lesson),
                    LessonDocument.Write(other.PlanNext().Lesson)
                );
            Assert.NotEqual(
                LessonDocument.Write(one.PlanNext().Lesson),
                LessonDocument.Write(Skipped(Series(ladder, 8), 12).PlanNext().Lesson)
            );
        }

        static LessonSeries Series(Ladder ladder, long seed) =>
            Skipped(new LessonSeries(ladder, Given.Materials, Leniencies.All, Accent.SouthernBritish, 20, seed), 20);

        static LessonSeries Skipped(LessonSeries series, int rungs)
        {
            series.Skip(rungs);
            return series;
        }
    }
}
