using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// What must hold of the activities that make days differ, in all lessons of whole ladders. Source: docs/handbook.md,
/// section 6.
/// </summary>
public class VarietyTests
{
    private static readonly ActivityKind[] ByEar =
    [
        ActivityKind.FirstAndRest,
        ActivityKind.AtTheEnd,
        ActivityKind.WhereIsIt,
        ActivityKind.StartAndEnd,
    ];

    private static IEnumerable<Activity> Of(Lesson lesson, params ActivityKind[] kinds) =>
        lesson.Activities.Where(a => kinds.Contains(a.Kind));

    private static IEnumerable<WordItem> Words(Lesson lesson, params ActivityKind[] kinds) =>
        Of(lesson, kinds).SelectMany(a => a.Items.OfType<WordItem>());

    private static Reason? Told(WordItem item, params string[] codes) =>
        item.Reasons.FirstOrDefault(r => codes.Contains(r.Code));

    [Fact]
    public void Each_kind_comes_several_times_in_a_year_of_thirty_minutes()
    {
        var kinds = new[]
        {
            ActivityKind.DictateSounds,
            ActivityKind.EarlierSet,
            ActivityKind.TrickyAtSpeed,
            ActivityKind.ThreeWays,
            ActivityKind.LikeLines,
            ActivityKind.DictateName,
            ActivityKind.WordThenPicture,
            ActivityKind.PhraseSheet,
            ActivityKind.HuntText,
        };
        var year = PlannedYears.Of(PlannedYears.All.First(y => y.Minutes == 30));
        var counts = year.SelectMany(l => l.Lesson.Activities).CountBy(a => a.Kind).ToDictionary();
        Assert.All(kinds.Concat(ByEar), k =>
            Assert.True(counts.GetValueOrDefault(k) >= 2, $"{k}: {counts.GetValueOrDefault(k)}")
        );
    }

    [Fact]
    public void What_is_only_said_shows_no_word_and_says_its_answer() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Words(lesson, ByEar)
                    .Where(w =>
                        !w.Oral
                        || Told(
                            w,
                            "first-and-rest",
                            "starts-and-ends",
                            "at-start",
                            "at-middle",
                            "at-end",
                            "show-it",
                            "stay-still"
                        )
                            is null
                    )
                    .Select(w => w.Word)
        );

    [Fact]
    public void The_start_and_the_rest_make_the_word_and_the_rest_begins_with_a_vowel() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Words(lesson, ActivityKind.FirstAndRest)
                    .Where(w =>
                        Told(w, "first-and-rest") is not { Arguments: [{ Length: > 0 } first, { Length: > 0 } rest] }
                        || $"{first} {rest}" != string.Join(' ', Given.Word(w.Word).Required.Select(p => p.SoundText))
                    )
                    .Select(w => w.Word)
        );

    [Fact]
    public void A_sound_is_where_the_answer_says_it_is() =>
        PlannedYears.Keep(
            (request, lesson) =>
            {
                var target = request.Today.Correspondences.Concat(request.Memory.Newest).First();
                var sound = request.After.Accent.Project(target);
                bool Says(Correspondence c) => request.After.Accent.Project(c) == sound;
                return Words(lesson, ActivityKind.AtTheEnd)
                    .Where(w => Says(Given.Word(w.Word).Required[^1]) != (Told(w, "show-it") is not null))
                    .Concat(
                        Words(lesson, ActivityKind.WhereIsIt)
                            .Where(w =>
                            {
                                var parts = Given.Word(w.Word).Required.ToList();
                                var at = parts.FindIndex(Says);
                                var told =
                                    at == 0 ? "at-start"
                                    : at == parts.Count - 1 ? "at-end"
                                    : "at-middle";
                                return at < 0 || parts.Count(Says) != 1 || Told(w, told) is null;
                            })
                    )
                    .Select(w => $"{w.Word} for {target}");
            }
        );

    [Fact]
    public void Cards_go_up_for_some_and_stay_down_for_others() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Of(lesson, ActivityKind.AtTheEnd)
                    .Select(a => a.Items.OfType<WordItem>().Count(w => Told(w, "show-it") is not null))
                    .Where(up => up < 2)
                    .Select(up => $"{up} go up")
        );

    [Fact]
    public void An_earlier_set_is_of_one_target_of_some_days_ago() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Of(lesson, ActivityKind.EarlierSet)
                    .Where(a =>
                        !request
                            .Memory.Newest.Skip(3)
                            .Any(c => a.Items.OfType<WordItem>().All(w => Given.Word(w.Word).Contains(c)))
                    )
                    .Select(a => string.Join(' ', a.Items.OfType<WordItem>().Select(w => w.Word)))
        );

    [Fact]
    public void Words_that_come_three_ways_are_those_read_today() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Words(lesson, ActivityKind.ThreeWays)
                    .Where(_ => request.Today.Kind == RungKind.Lesson)
                    .Select(w => w.Word)
                    .Except(Words(lesson, ActivityKind.ReadWords).Select(w => w.Word))
        );

    [Fact]
    public void The_first_of_like_lines_ends_alike_and_the_last_does_not() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Of(lesson, ActivityKind.LikeLines)
                    .Select(a =>
                        a.Items.OfType<LineItem>()
                            .Select(l => l.Words.Select(w => Rime(w.Word)).Distinct().Count() - l.Words.Length)
                            .ToList()
                    )
                    .Where(l => l.Count < 2 || l[0] == 0 || l[^1] != 0)
                    .Select(l => string.Join(' ', l))
        );

    private static string Rime(string word) =>
        string.Join('|', Given.Word(word).Required.SkipWhile(p => !p.IsVowel).Select(p => p.Notation));

    [Fact]
    public void Tricky_words_at_speed_are_no_new_ones_and_sounds_to_write_were_taught() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Words(lesson, ActivityKind.TrickyAtSpeed)
                    .Select(w => w.Word)
                    .Except(request.TrickyBefore)
                    .Concat(
                        Of(lesson, ActivityKind.DictateSounds)
                            .SelectMany(a => a.Items)
                            .SelectMany(ReadByChildren.Correspondences)
                            .Where(c => !request.Before.Correspondences.Contains(c))
                            .Select(c => c.Notation)
                    )
        );

    [Fact]
    public void A_sheet_has_phrases_enough_and_a_text_to_hunt_through_has_what_is_hunted() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Of(lesson, ActivityKind.PhraseSheet)
                    .Where(a => a.Items.Length < 4 || a.Items.OfType<SentenceItem>().Any(s => s.Pictures is null))
                    .Concat(
                        Of(lesson, ActivityKind.HuntText)
                            .Where(a => a.Items is not [TextItem text] || !text.Reasons.Any(Reason.IsUse))
                    )
                    .Select(a => a.Id)
        );
}
