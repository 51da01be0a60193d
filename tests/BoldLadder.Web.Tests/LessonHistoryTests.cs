using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Store;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Setup;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>What a group's last lessons say about the next, without a database.</summary>
public class LessonHistoryTests
{
    private static StoredLesson Lesson(LessonStatus status, string[] words, params Activity[] activities) => new()
    {
        SchoolId = Guid.Empty,
        Id = Guid.NewGuid(),
        GroupId = Guid.Empty,
        Date = new DateOnly(2026, 11, 24),
        RungId = "x",
        Document = new Lesson(1, [], [], [new LessonPart(PartKind.Practise, [.. activities])], []),
        Version = 1,
        Status = status,
        Stamp = new LessonStamp("", "", Guid.Empty, 1, "", 0),
        Minutes = 0,
        Needs = [],
        Words = words,
        StoppedAt = status == LessonStatus.Stopped ? activities[0].Id : null,
    };

    private static Activity Of(ActivityKind kind, int seconds, params Item[] items) => new(kind.ToString(), kind, ResponseMode.Listen, seconds, [.. items]);

    [Fact]
    public void The_nearest_lesson_counts_for_words_texts_and_kinds()
    {
        var history = LessonHistory.Of(
        [
            Lesson(LessonStatus.Planned, ["cat"], Of(ActivityKind.ReadWords, 60), Of(ActivityKind.ReadText, 60, new TextItem("t", false, "The hen", [], [], []))),
            Lesson(LessonStatus.Taught, ["cat", "dog"], Of(ActivityKind.ReadWords, 60), Of(ActivityKind.WordChain, 60, new SentenceItem("s", false, "A cat ran.", [], []))),
        ], 20);
        Assert.Equal((1, 2), (history.Words["cat"], history.Words["dog"]));
        Assert.Equal((1, 2), (history.Texts["The hen"], history.Texts["A cat ran."]));
        Assert.Equal((1, 2), (history.Kinds[ActivityKind.ReadWords], history.Kinds[ActivityKind.WordChain]));
    }

    [Fact]
    public void A_lesson_that_stopped_early_slows_the_next_and_one_still_planned_says_nothing()
    {
        var half = Of(ActivityKind.ReadWords, 600);
        Assert.True(LessonHistory.Of([Lesson(LessonStatus.Stopped, [], half, Of(ActivityKind.SpellWords, 600))], 20).Pace > 1.1);
        Assert.Equal(1, LessonHistory.Of([Lesson(LessonStatus.Planned, [], half)], 20).Pace);
        Assert.Equal(1, LessonHistory.Of([Lesson(LessonStatus.Taught, [], half)], 20).Pace);
        Assert.Equal(1, LessonHistory.Of([], 20).Pace);
    }

    [Theory]
    [InlineData("sound-family", LessonDay.SoundFamily)]
    [InlineData("new", LessonDay.New)]
    [InlineData("New", LessonDay.New)]
    [InlineData("3", null)]
    [InlineData("none", null)]
    [InlineData("", null)]
    [InlineData(null, null)]
    public void An_address_names_an_enum_in_kebab_case(string? name, LessonDay? day) => Assert.Equal(day, Kebab.Parse<LessonDay>(name));
}
