using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>What a group's last lessons say about the next, and what a lesson that is over taught.</summary>
public class LessonHistoryTests
{
    private static readonly DateOnly Day = new(2026, 11, 24);

    private static Lesson Of(params LessonPart[] parts) =>
        new(Lesson.CurrentFormat, new LessonTitle("ee=iː", "ee", ""), ["ee=iː"], [], [.. parts], []);

    private static LessonPart Part(PartKind kind, params Activity[] activities) => new(kind, [.. activities]);

    private static Activity Of(ActivityKind kind, int seconds, params Item[] items) =>
        new(kind.ToString(), kind, ResponseMode.Listen, seconds, [.. items]);

    private static ShownLesson Shown(LessonOutcome? outcome, string[] words, params Activity[] activities) =>
        new(
            Of(Part(PartKind.Practise, activities)),
            words,
            outcome,
            outcome == LessonOutcome.Stopped ? activities[0].Id : null
        );

    private static CardItem Card(string notation) =>
        new(
            Id: notation,
            Kept: false,
            Correspondence: notation,
            Grapheme: "x",
            Sounds: "x",
            KeyWord: "x",
            CanBeHeld: true,
            Kind: "single-letter",
            LetterNames: [],
            Positions: null,
            Reasons: []
        );

    [Fact]
    public void The_nearest_lesson_counts_for_words_texts_and_kinds()
    {
        var history = LessonHistory.Of(
            [
                Shown(
                    null,
                    ["cat"],
                    Of(ActivityKind.ReadWords, 60),
                    Of(ActivityKind.ReadText, 60, new TextItem("t", false, "The hen", [], [], []))
                ),
                Shown(
                    LessonOutcome.Taught,
                    ["cat", "dog"],
                    Of(ActivityKind.ReadWords, 60),
                    Of(ActivityKind.WordChain, 60, new SentenceItem("s", false, "A cat ran.", [], []))
                ),
            ],
            20
        );
        Assert.Equal((1, 2), (history.Words["cat"], history.Words["dog"]));
        Assert.Equal((1, 2), (history.Texts["The hen"], history.Texts["A cat ran."]));
        Assert.Equal((1, 2), (history.Kinds[ActivityKind.ReadWords], history.Kinds[ActivityKind.WordChain]));
        var memory = new Memory
        {
            Words = new Dictionary<string, int> { ["dog"] = 1, ["hen"] = 7 },
        }.With(history);
        Assert.Equal((1, 1, 7), (memory.Words["cat"], memory.Words["dog"], memory.Words["hen"]));
    }

    [Fact]
    public void A_lesson_that_stopped_early_slows_the_next_and_one_still_planned_says_nothing()
    {
        var half = Of(ActivityKind.ReadWords, 600);
        Assert.True(
            LessonHistory.Of([Shown(LessonOutcome.Stopped, [], half, Of(ActivityKind.SpellWords, 600))], 20).Pace > 1.1
        );
        Assert.Equal(1, LessonHistory.Of([Shown(null, [], half)], 20).Pace);
        Assert.Equal(1, LessonHistory.Of([Shown(LessonOutcome.Taught, [], half)], 20).Pace);
        Assert.Equal(1, LessonHistory.Of([], 20).Pace);
    }

    [Theory]
    [InlineData(120, 120, 120, 1.18)]
    [InlineData(48, 48, 48, 0.94)]
    [InlineData(60, 60, 5, 1)]
    [InlineData(60, 60, 6000, 1.18)]
    public void What_activities_took_on_the_board_times_the_next_lessons(int one, int two, int three, double pace)
    {
        ActivityKind[] kinds = [ActivityKind.ReadWords, ActivityKind.SpellWords, ActivityKind.WordChain];
        var took = kinds.Zip([one, two, three]).ToDictionary(t => t.First.ToString(), t => t.Second);
        var lesson = Shown(LessonOutcome.Taught, [], [.. kinds.Select(k => Of(k, 60))]) with { Took = took };
        Assert.Equal(pace, LessonHistory.Of([lesson], 20).Pace);
    }

    [Fact]
    public void What_is_new_counts_as_taught_once_the_lesson_got_beyond_its_teach_part()
    {
        var lesson = Of(
            Part(
                PartKind.Revisit,
                Of(ActivityKind.GraphemeCards, 60, Card("s=s")),
                Of(ActivityKind.LastMiss, 60, Card("t=t"))
            ),
            Part(PartKind.Teach, Of(ActivityKind.NewCorrespondence, 60, Card("ee=iː"))),
            Part(PartKind.Practise, Of(ActivityKind.MadeUpWords, 60)),
            Part(PartKind.Apply, Of(ActivityKind.StoryPrompt, 60))
        );
        TaughtFact Closed(LessonOutcome outcome, ActivityKind? stopped = null, params string[] wobbled) =>
            new Closing(outcome, stopped?.ToString(), wobbled).Of(lesson, Day, "ee");

        Assert.Equal("ee=iː / s=s t=t ee=iː / ", Facts(Closed(LessonOutcome.Taught)));
        Assert.Equal(
            "ee=iː / s=s t=t ee=iː / p=p ee=iː",
            Facts(Closed(LessonOutcome.Stopped, ActivityKind.MadeUpWords, "p=p", "nonsense"))
        );
        Assert.Equal(" / s=s t=t / ", Facts(Closed(LessonOutcome.Stopped, ActivityKind.NewCorrespondence)));
        Assert.Equal(" / s=s / t=t", Facts(Closed(LessonOutcome.Stopped, ActivityKind.GraphemeCards)));
        Assert.Equal(" /  / ", Facts(Closed(LessonOutcome.NotTaught)));

        static string Facts(TaughtFact fact) =>
            string.Join(
                " / ",
                new[] { fact.Correspondences, fact.Seen, fact.Missed }.Select(part => string.Join(' ', part))
            );
    }

    [Fact]
    public void Due_is_what_was_not_seen_for_some_lessons_and_what_nobody_was_taught_is_not()
    {
        var (s, t, p) = (Correspondence.Parse("s=s"), Correspondence.Parse("t=t"), Correspondence.Parse("p=p"));
        var memory = new Memory
        {
            Seen = new Dictionary<Correspondence, int> { [s] = Memory.DueAfter, [t] = 1 },
        };
        Assert.Equal([s], memory.Due);
        Assert.Equal([s, t], memory.Recent);
        Assert.False(memory.IsDue(p));
        Assert.Equal((Memory.DueAfter, 0), (memory.LessonsSince(s), memory.LessonsSince(p)));
    }
}
