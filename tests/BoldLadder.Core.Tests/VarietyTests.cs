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
            ActivityKind.WhichWasSaid,
            ActivityKind.BaseThenEnding,
            ActivityKind.ContrastPairs,
            ActivityKind.HuntWords,
            ActivityKind.Unscramble,
            ActivityKind.MendSentence,
        };
        var year = PlannedYears.Of(PlannedYears.All.First(y => y.Minutes == 30));
        var counts = year.SelectMany(l => l.Lesson.Activities).CountBy(a => a.Kind).ToDictionary();
        Assert.All(kinds.Concat(ByEar), k =>
            Assert.True(counts.GetValueOrDefault(k) >= 2, $"{k}: {counts.GetValueOrDefault(k)}")
        );
    }

    [Fact]
    public void The_last_day_of_a_week_looks_back_at_its_words_and_rather_has_a_text()
    {
        PlannedYears.Keep(
            (request, lesson) =>
                Words(lesson, ActivityKind.RecentWords)
                    .Where(w =>
                        (w.Reasons.Any(r => r.Code == "of-this-week"))
                        != (request.Memory.Words.TryGetValue(w.Word, out var ago) && ago <= request.LooksBackOn)
                    )
                    .Select(w => w.Word)
        );
        var lastDays = PlannedYears
            .All.Where(y => y.Minutes >= 25)
            .SelectMany(PlannedYears.Of)
            .Where(l => l.Request.LooksBackOn > 0 && l.Request.Before.Correspondences.Count > 26)
            .ToList();
        var recent = lastDays.SelectMany(l => Words(l.Lesson, ActivityKind.RecentWords)).ToList();
        Assert.InRange(recent.Count(w => Told(w, "of-this-week") is not null) / (double)recent.Count, 0.8, 1);
        var texts = lastDays.Count(l => Of(l.Lesson, ActivityKind.ReadText, ActivityKind.HuntText).Any());
        Assert.InRange(texts / (double)lastDays.Count, 0.6, 1);
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

    private static IEnumerable<T> Items<T>(Lesson lesson, ActivityKind kind) =>
        Of(lesson, kind).SelectMany(a => a.Items).Cast<T>();

    private static List<int> Differing<T>(Word one, Word other, Func<Correspondence, T> by) =>
        [
            .. Enumerable
                .Range(0, Math.Max(one.Required.Length, other.Required.Length))
                .Where(i =>
                    i >= one.Required.Length
                    || i >= other.Required.Length
                    || !Equals(by(one.Required[i]), by(other.Required[i]))
                ),
        ];

    [Fact]
    public void Two_words_of_which_one_is_said_differ_in_one_sound_and_one_of_them_has_the_days() =>
        PlannedYears.Keep(
            (request, lesson) =>
            {
                var target = request.Today.Correspondences.Concat(request.Memory.Newest).First();
                bool Says(Correspondence c) => request.After.Accent.Project(c) == request.After.Accent.Project(target);
                return Items<PairItem>(lesson, ActivityKind.WhichWasSaid)
                    .Where(p =>
                        p is not { By: "ear", Said: 0 or 1 }
                        || ReadByChildren.Words(p).Any()
                        || Differing(Given.Word(p.First), Given.Word(p.Second), c => c.SoundText) is not [var at]
                        || Says(Given.Word(p.First).Required[at]) == Says(Given.Word(p.Second).Required[at])
                    )
                    .Select(p => p.Id);
            }
        );

    [Fact]
    public void Pairs_differ_in_what_is_new_and_all_in_the_same_way() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Of(lesson, ActivityKind.ContrastPairs)
                    .Where(a =>
                        a.Items.Length < 3
                        || a.Items.Cast<PairItem>().Select(p => p.By).Distinct().Count() > 1
                        || a.Items.Cast<PairItem>().Any(p => !DiffersAsItSays(request, p))
                    )
                    .Select(a => string.Join(' ', a.Items.Select(i => i.Id)))
        );

    private static bool DiffersAsItSays(LessonRequest request, PairItem pair)
    {
        var (old, mine) = (Given.Word(pair.First), Given.Word(pair.Second));
        var at = mine.Required.ToList().FindIndex(request.Today.Correspondences.Contains);
        if (at < 0 || !request.Before.CanRead(old))
            return false;
        var part = mine.Required[at];
        bool SoundsAlike(Correspondence c) => request.After.Accent.Project(c) == request.After.Accent.Project(part);
        return pair.By switch
        {
            "split" => part.Grapheme.IsSplit && Differing(old, mine, c => c).SequenceEqual([at]),
            "sound" => Differing(old, mine, c => c).SequenceEqual([at]) && !SoundsAlike(old.Required[at]),
            "letters" => old.Required.Any(p => p.Grapheme == part.Grapheme) && !old.Required.Any(SoundsAlike),
            "spelling" => SoundsAlike(old.Required[at]) && old.Required[at].Grapheme != part.Grapheme,
            _ => false,
        };
    }

    [Fact]
    public void A_base_and_an_ending_make_the_word() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Items<BuildItem>(lesson, ActivityKind.BaseThenEnding)
                    .Where(b => Joined(b.Model) != b.Word)
                    .Select(b => b.Id)
        );

    private static string Joined(PatternModel model)
    {
        var (stem, ending) = (model.Parts[0], model.Parts[1]);
        return model.Join switch
        {
            null => stem + ending,
            "drop-e" => stem[..^1] + ending,
            "double" => stem + stem[^1] + ending,
            "y-to-i" => stem[..^1] + (ending == "s" ? "ies" : "i" + ending),
            _ => "",
        };
    }

    [Fact]
    public void What_is_hunted_among_words_is_seen_in_its_own_alone() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Items<HuntItem>(lesson, ActivityKind.HuntWords)
                    .Where(h =>
                        h.Graphemes.Length is < 2 or > 3
                        || !h.Targets.Contains(request.Today.Correspondences[0].ReferenceNotation)
                        || h.Graphemes.Index().Any(g => h.Words.Count(w => w.Target == g.Index) < 3)
                        || h.Words.Any(w => !Shown(h, w.Word).SequenceEqual(w.Target < 0 ? [] : [w.Target]))
                        || h.Words.Select(w => w.Word).Distinct().Count() < h.Words.Length
                    )
                    .Select(h => string.Join(' ', h.Words.Select(w => w.Word)))
        );

    /// <summary>The places of the hunted graphemes whose letters a word shows.</summary>
    private static IEnumerable<int> Shown(HuntItem hunt, string word) =>
        hunt
            .Graphemes.Index()
            .Where(g =>
                g.Item.Contains('-', StringComparison.Ordinal)
                    ? Given.Word(word).Required.Any(p => p.Grapheme.Text == g.Item)
                    : word.Contains(g.Item, StringComparison.Ordinal)
            )
            .Select(g => g.Index);

    [Fact]
    public void Words_to_order_are_those_of_the_sentence_and_do_not_stand_in_order() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Items<ScrambleItem>(lesson, ActivityKind.Unscramble)
                    .Where(s =>
                        !s.Pieces.Order().SequenceEqual(s.Whole.Split(' ').Order())
                        || s.Pieces.SequenceEqual(s.Whole.Split(' '))
                        || s.Pieces.Distinct().Count() < s.Pieces.Length
                        || s.Pieces.Any(p => p is "and" or "or")
                    )
                    .Select(s => s.Whole)
        );

    [Fact]
    public void A_sentence_to_mend_lacks_its_marks_and_has_the_days_point() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Items<MendItem>(lesson, ActivityKind.MendSentence)
                    .Where(m =>
                        m.Given == m.Right
                        || m.Given.Any(c => c is '.' or ',' or '?' or '!')
                        || !m.Given.Equals(m.Right.Replace(",", "")[..^1], StringComparison.OrdinalIgnoreCase)
                        || m.Given.Split(' ').Any(w => char.IsUpper(w[0]) && w[0] != 'I')
                        || (m.Point == "question") != m.Right.EndsWith('?')
                        || (m.Point == "list") != m.Right.Contains(',')
                    )
                    .Select(m => m.Right)
        );

    [Fact]
    public void A_name_is_dictated_only_where_no_other_taught_spelling_comes_to_mind() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Items<MadeUpItem>(lesson, ActivityKind.DictateName)
                    .Where(m =>
                    {
                        var parts = Segmentation.Parse(m.Graphemes, m.Phonemes).Parts;
                        return request.After.Correspondences.Any(c =>
                            parts
                                .Index()
                                .Any(p =>
                                    p.Item.Grapheme != c.Grapheme
                                    && request.After.Accent.Project(p.Item) == request.After.Accent.Project(c)
                                    && ItemMaker.Positions(c, Given.Lexicon) is { } share
                                    && (
                                        p.Index == 0 ? share.Start
                                        : p.Index == parts.Length - 1 ? share.End
                                        : share.Middle
                                    ) > 5
                                )
                        );
                    })
                    .Select(m => m.Word)
        );

    [Fact]
    public void Each_picture_is_right_for_one_phrase() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Of(lesson, ActivityKind.PhraseSheet, ActivityKind.PhraseToPicture)
                    .Select(a => a.Items.Cast<SentenceItem>().Select(i => i.Pictures!.Value[0]).ToList())
                    .Where(right => right.Distinct().Count() < right.Count)
                    .Select(right => string.Join(' ', right))
        );

    /// <summary>What is written is said in a sentence; the few words without one are known as they are.</summary>
    [Fact]
    public void Nearly_every_word_that_is_written_comes_with_a_sentence_to_say_or_a_meaning()
    {
        var written = PlannedYears
            .All.SelectMany(PlannedYears.Of)
            .SelectMany(l => Of(l.Lesson, ActivityKind.SpellWords, ActivityKind.SpellTricky))
            .SelectMany(a => a.Items.OfType<WordItem>())
            .ToList();
        var bare = written.Where(w => w.Sentence is null && w.Meaning is null).ToList();
        Assert.True(
            bare.Count * 50 < written.Count,
            $"{bare.Count} of {written.Count}: {string.Join(' ', bare.Select(w => w.Word).Distinct())}"
        );
    }

    [Fact]
    public void No_picture_that_is_wrong_shows_a_thing_that_the_phrase_names() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Of(lesson, ActivityKind.PhraseSheet, ActivityKind.PhraseToPicture)
                    .SelectMany(a => a.Items.Cast<SentenceItem>())
                    .Where(i =>
                        ReadByChildren
                            .Words(i)
                            .SelectMany(w => new[] { w, Given.Lexicon.Find(w)?.Suffix?.Base ?? w })
                            .Select(w => request.Materials.Pictures.GetValueOrDefault(w))
                            .Any(p => i.Pictures!.Value[1..].Contains(p!))
                    )
                    .Select(i => i.Text)
        );

    [Fact]
    public void Some_words_have_the_sound_and_some_not_and_no_letters_mislead() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Of(lesson, ActivityKind.HasSound)
                    .Where(a =>
                    {
                        var target = request.Today.Correspondences[0];
                        var words = a.Items.Cast<WordItem>().ToList();
                        var having = words.Where(w => Told(w, "has-sound") is not null).ToList();
                        bool Says(Word word) =>
                            target.Sounds.Length > 1
                                ? word.Required.Any(c =>
                                    request.After.Accent.Project(c) == request.After.Accent.Project(target)
                                )
                                : word.Required.Any(c => c.Sounds.Contains(target.Sounds[0]));
                        return having.Count * 3 < words.Count
                            || having.Count * 4 > words.Count * 3
                            || having.Any(w => !Says(Given.Word(w.Word)))
                            || words
                                .Except(having)
                                .Any(w =>
                                    Says(Given.Word(w.Word))
                                    || w.Word.Contains(target.Grapheme.Text, StringComparison.Ordinal)
                                );
                    })
                    .Select(a => string.Join(' ', a.Items.Cast<WordItem>().Select(w => w.Word)))
        );

    [Fact]
    public void The_first_and_last_sounds_that_are_written_were_taught() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Words(lesson, ActivityKind.StartAndEnd)
                    .Where(w =>
                        !request.Before.Covers(Given.Word(w.Word).Required[0])
                        || !request.Before.Covers(Given.Word(w.Word).Required[^1])
                    )
                    .Select(w => w.Word)
        );
}
