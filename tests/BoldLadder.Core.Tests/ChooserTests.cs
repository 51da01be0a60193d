using BoldLadder.Core.Accents;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Tool;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>What each kind of activity is filled with, and what it never is.</summary>
public class ChooserTests
{
    private static LessonRequest Day(string notation, long seed = 3) => Given.Request(Given.RungOf(notation), seed);

    private static LessonRequest Day(Patterns pattern) =>
        Given.Request(
            Given.LettersFirst.Rungs.IndexOf(Given.LettersFirst.Rungs.First(r => r.Patterns.HasFlag(pattern))),
            3
        );

    private static List<T> Made<T>(LessonRequest request, ActivityKind kind, int count = 6)
        where T : Item =>
        [.. (Chooser.Make(new LessonWork(request), kind, ActivityFacts.Of(kind).Part, count)?.Items ?? []).Cast<T>()];

    private static bool Says(WordItem item, string sound) => item.Phonemes.Split('|', '+').Contains(sound);

    // Revisit

    [Fact]
    public void Cards_that_were_missed_come_first_and_nothing_goes_unseen_too_long()
    {
        var request = Day("ee=iː");
        var recall = request.Memory.Seen.ToDictionary(r => r.Key, r => r.Key.Notation is "p=p" ? 25 : 2);
        var cards = Made<CardItem>(
            request with
            {
                Memory = request.Memory with { Seen = recall, Missed = [Correspondence.Parse("o=ɒ")] },
            },
            ActivityKind.GraphemeCards,
            6
        );
        Assert.Contains(cards, c => c.Correspondence == "p=p");
        Assert.Contains(cards, c => c.Correspondence == "o=ɒ" && c.Reasons.Any(r => r.Code == "missed-last"));
    }

    [Fact]
    public void What_was_missed_is_shown_again_only_when_something_was()
    {
        var request = Day("ee=iː");
        Assert.Empty(Made<CardItem>(request, ActivityKind.LastMiss));
        Assert.Equal(
            ["o=ɒ"],
            Made<CardItem>(
                    request with
                    {
                        Memory = request.Memory with
                        {
                            Missed = [Correspondence.Parse("o=ɒ"), Correspondence.Parse("ee=iː")],
                        },
                    },
                    ActivityKind.LastMiss
                )
                .Select(c => c.Correspondence)
        );
    }

    [Theory]
    [InlineData("r=r", 2, 3)]
    [InlineData("ai=eɪ", 3, 4)]
    public void Words_to_blend_by_ear_grow_from_two_sounds_to_four(string notation, int fewest, int most)
    {
        var words = Made<WordItem>(Day(notation), ActivityKind.OralBlending);
        Assert.All(words, w =>
            Assert.True(
                w.Oral
                    && Given.Word(w.Word).IsKnown
                    && Given.Word(w.Word).Segmentation.SoundCount is var sounds
                    && sounds >= fewest
                    && sounds <= most,
                w.Word
            )
        );
        Assert.Equal(
            words.Select(w => Given.Word(w.Word).Segmentation.SoundCount).Order(),
            words.Select(w => Given.Word(w.Word).Segmentation.SoundCount)
        );
    }

    [Fact]
    public void A_riddle_has_an_answer_with_a_sound_taught_lately_and_never_says_it()
    {
        var request = Day("igh=aɪ");
        var sounds = request.Memory.Newest.Take(6).SelectMany(c => c.Sounds).Select(s => s.Symbol).ToHashSet();
        var clues = Made<ClueItem>(request, ActivityKind.Clues, 4);
        Assert.Equal(4, clues.Count);
        Assert.All(clues, c =>
            Assert.True(
                Given.Word(c.Word).Required.SelectMany(p => p.Sounds).Any(s => sounds.Contains(s.Symbol))
                    && !c.Clue.Split(' ').Contains(c.Word),
                c.Word
            )
        );
    }

    [Fact]
    public void On_a_day_that_goes_back_recent_words_are_not_those_of_practise_and_sentences_say_so()
    {
        var day = Day("igh=aɪ");
        var request = day with { Today = QuietDay.Of(QuietDay.Id(DayKind.Review), day.Memory.Newest) };
        var lesson = LessonPlanner.Plan(request);
        List<string> Words(ActivityKind kind) =>
            [
                .. lesson
                    .Activities.Where(a => a.Kind == kind)
                    .SelectMany(a => a.Items)
                    .OfType<WordItem>()
                    .Select(w => w.Word),
            ];
        Assert.NotEmpty(Words(ActivityKind.RecentWords));
        Assert.Empty(Words(ActivityKind.RecentWords).Intersect(Words(ActivityKind.ReadWords)));
        var reasons = Made<SentenceItem>(request, ActivityKind.ReadSentence, 3).SelectMany(s => s.Reasons).ToList();
        Assert.Contains(reasons, r => r.Code == "goes-back-in-words");
        Assert.DoesNotContain(reasons, r => r.Code == "uses-in-words");
    }

    [Fact]
    public void Tricky_words_longest_unseen_come_back_beside_the_last()
    {
        var request = Day("sh=ʃ");
        var seen = request.TrickyBefore.ToDictionary(t => t, t => t == "the" ? 30 : 1);
        var words = Made<WordItem>(
                request with
                {
                    Memory = request.Memory with { TrickyRead = seen },
                },
                ActivityKind.TrickySoFar,
                3
            )
            .Select(w => w.Word)
            .ToList();
        Assert.Contains("the", words);
        Assert.Contains(request.TrickyBefore[^1], words);
    }

    // Teach

    [Theory]
    [InlineData("m=m u=ʌ", "m=m", "starts-with-it")]
    [InlineData("sh=ʃ", "sh=ʃ", "starts-with-it")]
    [InlineData("ng=ŋ", "ng=ŋ", "ends-with-it")]
    public void The_sound_is_heard_where_it_stands_best(string _, string notation, string where)
    {
        var words = Made<WordItem>(Day(notation), ActivityKind.HearSound, 4);
        Assert.All(words, w =>
            Assert.True(
                w.Oral
                    && w.Reasons.Any(r => r.Code == where)
                    && Says(w, Correspondence.Parse(notation).Sounds[0].Symbol),
                w.Word
            )
        );
    }

    [Fact]
    public void Two_sounds_at_once_are_heard_in_words_that_have_them_together() =>
        Assert.All(Made<WordItem>(Day("x=k+s"), ActivityKind.HearSound, 3), w =>
            Assert.Contains("k+s", w.Phonemes.Split('|'))
        );

    [Fact]
    public void Spotting_has_todays_grapheme_among_look_alikes()
    {
        var cards = Made<CardItem>(Day("b=b"), ActivityKind.SpotGrapheme, 5);
        Assert.Contains(cards, c => c.Correspondence == "b=b" && c.Reasons.Any(r => r.Code == "show-it"));
        Assert.Contains(cards, c => c.Correspondence == "d=d");
        Assert.Equal(cards.Count, cards.Select(c => c.Grapheme).Distinct().Count());
    }

    [Fact]
    public void A_second_spelling_stands_beside_the_first_and_a_second_sound_beside_the_other()
    {
        var spelling = Assert.Single(Made<BesideItem>(Day("a-e=eɪ"), ActivityKind.SetBeside));
        Assert.True(spelling.BySound);
        Assert.Equal("a-e=eɪ", spelling.Cards[0].Correspondence);
        Assert.Contains(spelling.Cards, c => c.Correspondence == "ai=eɪ");
        var sound = Assert.Single(Made<BesideItem>(Day("ow=əʊ"), ActivityKind.SetBeside));
        Assert.False(sound.BySound);
        Assert.Contains(sound.Cards, c => c.Correspondence == "ow=aʊ");
        Assert.Empty(Made<BesideItem>(Day("sh=ʃ"), ActivityKind.SetBeside));
    }

    [Fact]
    public void A_memory_phrase_is_shown_only_where_the_school_has_one()
    {
        var request = Day("sh=ʃ");
        Assert.Empty(Made<CardItem>(request, ActivityKind.MemoryPhrase));
        Assert.Single(
            Made<CardItem>(
                request with
                {
                    Phrases = new Dictionary<string, string> { ["sh=ʃ"] = "hush at the shore" },
                },
                ActivityKind.MemoryPhrase
            )
        );
    }

    [Fact]
    public void A_new_ending_is_shown_with_words_for_each_of_its_sounds()
    {
        var ending = Assert.Single(Made<PatternItem>(Day(Patterns.SuffixEd), ActivityKind.NewSuffix));
        Assert.Superset(new HashSet<string> { "t", "d" }, ending.Examples!.Value.Select(e => e.Sounds).ToHashSet());
        Assert.All(ending.Examples.Value, e =>
            Assert.All(e.Words, w => Assert.Equal(e.Sounds, Given.Word(w).Segmentation.Parts[^1].SoundText))
        );
        Assert.Empty(Made<PatternItem>(Day(Patterns.SuffixEd), ActivityKind.NewPattern));
    }

    [Fact]
    public void A_word_is_cut_into_syllables_that_join_again() =>
        Assert.All(Made<SyllablesItem>(Day(Patterns.TwoSyllables), ActivityKind.CutSyllables), s =>
            Assert.True(s.Syllables.Length > 1 && string.Concat(s.Syllables) == s.Word, s.Word)
        );

    // Practise

    [Fact]
    public void The_set_is_met_again_in_another_order_and_others_are_spelled()
    {
        var work = new LessonWork(Day("ee=iː")) { SetSize = 6 };
        string[] Words(ActivityKind kind) =>
            [.. Chooser.Make(work, kind, PartKind.Practise, 6)!.Items.Cast<WordItem>().Select(w => w.Word)];
        var read = Words(ActivityKind.ReadWords);
        Assert.Equal(work.Set.Select(w => w.Spelling), read);
        Assert.Equal(read.Order(StringComparer.Ordinal), Words(ActivityKind.ReadAtSpeed).Order(StringComparer.Ordinal));
        Assert.NotEqual(read, Words(ActivityKind.ReadAtSpeed));
        Assert.Empty(Words(ActivityKind.SpellWords).Intersect(read));
    }

    [Fact]
    public void Lines_change_one_grapheme_from_word_to_word()
    {
        var lines = Made<LineItem>(Day("ee=iː"), ActivityKind.WordLines, 3);
        Assert.True(lines.Count >= 2);
        Assert.All(lines, l =>
            Assert.All(l.Words.Skip(1), w =>
                Assert.StartsWith("changes-", Assert.Single(w.Reasons).Code, StringComparison.Ordinal)
            )
        );
        Assert.Equal(
            lines.Sum(l => l.Words.Length),
            lines.SelectMany(l => l.Words).Select(w => w.Word).Distinct().Count()
        );
    }

    [Fact]
    public void Whether_a_word_has_the_sound_is_asked_of_words_that_have_it_and_near_misses()
    {
        var words = Made<WordItem>(Day("e=e"), ActivityKind.HasSound, 6);
        Assert.All(words, w => Assert.Equal(Says(w, "e"), w.Reasons.Any(r => r.Code == "has-sound")));
        Assert.InRange(words.Count(w => Says(w, "e")), 1, words.Count - 1);
        Assert.All(words.Where(w => w.Reasons.Any(r => r.Code == "near-miss")), w =>
            Assert.Contains(w.Phonemes.Split('|', '+'), s => MixedSounds.Are(s, "e"))
        );
    }

    [Fact]
    public void The_same_letters_with_another_job_are_flagged()
    {
        var request = Day("ow=əʊ");
        var words = Made<WordItem>(request, ActivityKind.FindInWords, 8);
        Assert.Contains(words, w => w.Reasons.Any(r => r.Code == "another-job"));
        Assert.All(words.Where(w => w.Reasons.Any(r => r.Code == "another-job")), w =>
            Assert.Contains("ow=aʊ", w.Graphemes.Split('|').Zip(w.Phonemes.Split('|'), (g, p) => $"{g}={p}"))
        );
        Assert.All(Made<SentenceItem>(request, ActivityKind.HuntPage, 4), s =>
            Assert.Contains(s.Reasons, r => r.Code == "uses-in-words")
        );
    }

    [Fact]
    public void A_spelling_is_chosen_where_only_one_is_right()
    {
        var request = Day("ay=eɪ");
        var choices = Made<ChoiceItem>(Day("ay=eɪ"), ActivityKind.ChooseSpelling);
        Assert.NotEmpty(choices);
        Assert.All(choices, c =>
            Assert.True(
                c.Options.Contains("ay")
                    && c.Options.All(o => o is "ay" or "ai")
                    && !Given.Lexicon.Homophones(Given.Word(c.Word), request.After.Accent).Any(),
                c.Word
            )
        );
        Assert.Empty(Made<ChoiceItem>(Day("sh=ʃ"), ActivityKind.ChooseSpelling));
    }

    [Theory]
    [InlineData("ow=əʊ", "sound")]
    [InlineData("ay=eɪ", "spelling")]
    [InlineData("sh=ʃ", "position")]
    public void Words_are_sorted_by_what_the_day_is_about(string notation, string by)
    {
        var sort = Assert.Single(Made<SortItem>(Day(notation), ActivityKind.SortWords, 8));
        Assert.Equal(by, sort.By);
        Assert.All(sort.Words, w => Assert.True(
                sort.By switch
                {
                    "spelling" => Given.Word(w.Word).Required.Any(p => p.Grapheme.Text == sort.Headings[w.Heading]),
                    "sound" => Given
                        .Word(w.Word)
                        .Required.Any(p => p.Grapheme.Text == "ow" && p.SoundText == sort.Headings[w.Heading]),
                    _ => sort.Headings[w.Heading] switch
                    {
                        "start" => Given.Word(w.Word).Required[0].Notation == notation,
                        "end" => Given.Word(w.Word).Required[^1].Notation == notation,
                        _ => Given.Word(w.Word).Required[1..^1].Any(p => p.Notation == notation),
                    },
                },
                $"{w.Word} under {sort.Headings[w.Heading]}"
            ));
    }

    [Fact]
    public void An_ending_is_sorted_by_its_sounds() =>
        Assert.Equal(
            "suffix-sound",
            Assert.Single(Made<SortItem>(Day(Patterns.SuffixS), ActivityKind.SortWords, 8)).By
        );

    [Fact]
    public void A_picture_comes_with_its_word_among_others_or_none_at_all()
    {
        var request = Day("sh=ʃ");
        Assert.NotEmpty(Made<PictureItem>(request, ActivityKind.PictureToWord, 3));
        Assert.NotEmpty(Made<PictureItem>(request, ActivityKind.LabelPicture, 3));
        Assert.All(Made<PictureItem>(request, ActivityKind.PictureToWord, 3), p =>
            Assert.True(
                p.Options.Contains(p.Word)
                    && p.Options.Where(o => o != p.Word).All(o => !request.Materials.Pictures.ContainsKey(o)),
                p.Word
            )
        );
        Assert.All(Made<PictureItem>(request, ActivityKind.LabelPicture, 3), p => Assert.Empty(p.Options));
    }

    // Apply

    [Theory]
    [InlineData("sh=ʃ")]
    [InlineData("ee=iː")]
    public void A_scene_has_things_that_can_be_written_side_by_side_with_what_is_new_among_them(string taught)
    {
        var request = Day(taught);
        var scene = Assert.Single(Made<SceneItem>(request, ActivityKind.PictureScene, 1));
        Assert.InRange(scene.Things.Length, 3, 5);
        Assert.Contains(scene.Things, t => new LessonWork(request).IsOwn(Given.Word(t.Word)));
        Assert.All(scene.Things.GroupBy(t => t.Upper), half => Assert.InRange(half.Count(), 1, 3));
        Assert.Equal(scene.Things.Length, scene.Things.Select(t => t.Picture).Distinct().Count());
        Assert.All(scene.Things, t => Assert.Equal(request.Materials.Pictures[t.Word], t.Picture));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    [InlineData(2)]
    public void There_is_a_scene_on_most_days_of_a_ladder(int ladder)
    {
        var series = new LessonSeries(
            Given.Ladders.ElementAt(ladder),
            Given.Materials,
            Decoding.Leniencies.All,
            Accent.SouthernBritish,
            20,
            3
        );
        var (days, made) = (0, 0);
        for (; series.HasNext; series.Skip(1))
        {
            days++;
            var work = new LessonWork(series.Next());
            made += Chooser.Make(work, ActivityKind.PictureScene, PartKind.Apply, 1) is null ? 0 : 1;
        }
        Assert.True(made > days / 2, $"{made} of {days}");
    }

    [Fact]
    public void Every_thing_of_a_scene_has_a_picture_and_is_there_once()
    {
        Assert.All(Given.Materials.Scenes, s =>
        {
            Assert.All(s.Words, w => Assert.Contains(w.Word, Given.Materials.Pictures.Keys));
            Assert.Equal(s.Words.Length, s.Words.Select(w => w.Word).Distinct().Count());
            Assert.True(
                File.Exists(Path.Combine(ProjectFolders.Data, "pictures", $"backdrop-{s.Backdrop}.svg")),
                s.Backdrop
            );
        });
    }

    [Fact]
    public void The_first_weeks_read_captions_and_later_ones_sentences()
    {
        Assert.InRange(Made<SentenceItem>(Day("p=p"), ActivityKind.ReadSentence, 1).Single().Words.Length, 2, 5);
        Assert.InRange(Made<SentenceItem>(Day("ee=iː"), ActivityKind.ReadSentence, 1).Single().Words.Length, 4, 9);
    }

    [Fact]
    public void A_sentence_just_read_makes_way_for_another()
    {
        var day = Day("ee=iː");
        var request = day with { Today = day.Today with { Tricky = [] } };
        var first = Made<SentenceItem>(request, ActivityKind.ReadSentence, 1).Single().Text;
        Assert.NotEqual(
            first,
            Made<SentenceItem>(
                    request with
                    {
                        Memory = request.Memory with { Texts = new Dictionary<string, int> { [first] = 1 } },
                    },
                    ActivityKind.ReadSentence,
                    1
                )
                .Single()
                .Text
        );
    }

    [Fact]
    public void A_text_is_read_again_on_the_next_days_and_then_makes_way()
    {
        var request = Day("ou=aʊ");
        var text = Made<TextItem>(request, ActivityKind.ReadText, 1).Single();
        var again = Made<TextItem>(
                request with
                {
                    Memory = request.Memory with { Texts = new Dictionary<string, int> { [text.Title] = 1 } },
                },
                ActivityKind.ReadText,
                1
            )
            .Single();
        Assert.Equal((text.Title, "read-again"), (again.Title, again.Reasons[0].Code));
        Assert.DoesNotContain(
            Made<TextItem>(
                request with
                {
                    Memory = request.Memory with { Texts = new Dictionary<string, int> { [text.Title] = 9 } },
                },
                ActivityKind.ReadText,
                1
            ),
            t => t.Title == text.Title
        );
        Assert.DoesNotContain(
            Made<TextItem>(
                request with
                {
                    Memory = request.Memory with
                    {
                        Texts = new Dictionary<string, int> { [text.Title] = 1 },
                        TextReadings = new Dictionary<string, int> { [text.Title] = 3 },
                    },
                },
                ActivityKind.ReadText,
                1
            ),
            t => t.Title == text.Title
        );
    }

    [Fact]
    public void A_gap_has_words_to_choose_from_and_the_right_one_is_among_them()
    {
        var gaps = new[] { "ee=iː", "sh=ʃ", "ai=eɪ" }
            .SelectMany(n => Made<MissingWordItem>(Day(n), ActivityKind.FillGap, 2))
            .ToList();
        Assert.NotEmpty(gaps);
        Assert.All(gaps, g =>
            Assert.True(g.Options.Length > 1 && g.Options.Contains(g.Word) && !g.Before.Contains(g.Word))
        );
    }

    [Fact]
    public void A_dictated_sentence_is_short_and_has_words_to_spell()
    {
        var request = Day("sh=ʃ");
        Assert.NotEmpty(Made<SentenceItem>(request, ActivityKind.DictateSentence, 3));
        Assert.All(Made<SentenceItem>(request, ActivityKind.DictateSentence, 3), s =>
            Assert.True(s.Words.Length is >= 3 and <= 7 && s.Words.Any(w => w.Status == "decodable"), s.Text)
        );
    }

    [Fact]
    public void A_crossword_has_clues_that_can_be_read()
    {
        var request = Day("ar=ɑː");
        var crossword = Assert.Single(Made<CrosswordItem>(request, ActivityKind.Crossword, 6));
        Assert.True(crossword.Lines.Length >= 4);
        Assert.All(crossword.Lines, l => Assert.True(l.Picture is not null ^ l.Clue is not null));
        Assert.All(crossword.Lines.Where(l => l.Clue is not null), l =>
            Assert.DoesNotContain(l.Word, l.Clue!.Split(' ').Select(Sentence.Plain))
        );
    }

    [Fact]
    public void A_story_needs_two_or_three_words_of_the_set_and_an_own_sentence_the_newest_tricky_word()
    {
        var work = new LessonWork(Day("sh=ʃ"));
        var story = (PromptItem)Chooser.Make(work, ActivityKind.StoryPrompt, PartKind.Apply, 1)!.Items[0];
        Assert.InRange(story.Words.Length, 2, 3);
        Assert.All(story.Words, w => Assert.Contains(w, work.Set.Select(s => s.Spelling)));
        Assert.Equal(
            work.Request.TrickyToday.Last(),
            ((PromptItem)Chooser.Make(work, ActivityKind.OwnSentence, PartKind.Apply, 1)!.Items[0]).Words[0]
        );
    }

    // What binds all

    [Fact]
    public void A_word_kept_from_the_group_comes_in_no_activity()
    {
        var request = Day("sh=ʃ") with
        {
            Avoid = new HashSet<string> { "ship", "shop", "fish", "shed" },
        };
        var lesson = LessonPlanner.Plan(request);
        foreach (var kind in Chooser.All.Keys)
        {
            var items = Chooser.Make(new LessonWork(request), kind, ActivityFacts.Of(kind).Part, 8)?.Items ?? [];
            Assert.DoesNotContain(items.SelectMany(ReadByChildren.Words), request.Avoid.Contains);
            Assert.DoesNotContain(items.OfType<WordItem>().Select(w => w.Word), request.Avoid.Contains);
        }
        Assert.DoesNotContain(
            lesson.Activities.SelectMany(a => a.Items).SelectMany(ReadByChildren.Words),
            request.Avoid.Contains
        );
    }

    [Fact]
    public void Nobody_in_a_lesson_is_called_like_a_child_of_the_group()
    {
        var plain = Day("ai=eɪ");
        var named = plain
            .Materials.Sentences.Sentences.Where(s => s.Tokens.Any(t => IsName(t.Written, t.Word)))
            .Where(new LessonWork(plain).MayBeRead)
            .ToList();
        Assert.True(named.Count > 10, $"{named.Count} sentences name somebody.");
        var everybody = named
            .SelectMany(s => s.Tokens)
            .Where(t => IsName(t.Written, t.Word))
            .Select(t => t.Word.Spelling.ToUpperInvariant())
            .ToHashSet(StringComparer.OrdinalIgnoreCase);
        Assert.DoesNotContain(named, new LessonWork(plain with { Names = everybody }).MayBeRead);
        // Somebody may be called Will: that is no reason to do without the word.
        var will = plain
            .Materials.Sentences.Sentences.Where(s => s.Tokens.Any(t => t.Word.Spelling == "will"))
            .ToList();
        Assert.Contains(
            will,
            new LessonWork(
                plain with
                {
                    Names = new HashSet<string>(StringComparer.OrdinalIgnoreCase) { "Will" },
                }
            ).MayBeRead
        );

        var made = MadeUp(plain);
        Assert.NotEmpty(made);
        var without = MadeUp(
            plain with
            {
                Names = made.Select(m => m.ToUpperInvariant()).ToHashSet(StringComparer.OrdinalIgnoreCase),
            }
        );
        Assert.NotEmpty(without);
        Assert.Empty(made.Intersect(without));

        static bool IsName(string written, Word word) => char.IsUpper(written[0]) && word.Flags.HasFlag(WordFlags.Name);

        static List<string> MadeUp(LessonRequest request) =>
            [
                .. (Chooser.Make(new LessonWork(request), ActivityKind.DictateName, PartKind.Practise, 3)?.Items ?? [])
                    .OfType<MadeUpItem>()
                    .Select(m => m.Word),
            ];
    }

    [Fact]
    public void Meanings_come_with_words_that_children_may_not_know_unless_the_school_gives_none()
    {
        IEnumerable<WordItem> Explained(LessonRequest request) =>
            LessonPlanner
                .Plan(request)
                .Activities.Where(a => a.Kind != ActivityKind.SpellWords)
                .SelectMany(a => a.Items)
                .OfType<WordItem>()
                .Where(w => w.Meaning is not null);
        var days = Enumerable.Range(0, 30).Select(rung => Given.Request(rung, 1)).ToList();
        var with = days.SelectMany(Explained).ToList();
        Assert.NotEmpty(with);
        Assert.All(with, w => Assert.False(Given.Word(w.Word).IsKnown));
        Assert.Empty(days.SelectMany(d => Explained(d with { MeaningsInLessons = false })));
        Assert.Equal("to act or sing for people", ItemMaker.MeaningFor(days[0], Given.Word("perform")));
    }

    [Fact]
    public void Turns_go_to_the_kind_that_came_longest_ago()
    {
        var request = Day("ee=iː") with { Minutes = 30 };
        var slot = LessonTemplate
            .Shipped(LessonDay.New, 30)
            .Parts.Single(p => p.Kind == PartKind.Practise)
            .Slots.First(s => s.TakeTurns);
        foreach (var turn in new[] { ActivityKind.WordChain, ActivityKind.MissingGrapheme, ActivityKind.HasSound })
        {
            var recent = slot.Kinds.ToDictionary(k => k, k => k == turn ? 9 : 1);
            Assert.Contains(
                LessonPlanner.Plan(request with { Memory = request.Memory with { Kinds = recent } }).Activities,
                a => a.Kind == turn
            );
        }
    }
}
