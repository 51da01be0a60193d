using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// What a stranger reading the plan would stumble over, each as a law of every lesson of whole ladders. Source:
/// docs/handbook.md, section 7.
/// </summary>
public class LessonFaultTests
{
    private static bool Teaches(LessonRequest request) =>
        request.Today.Kind == RungKind.Lesson && request.Today.TeachesSomething;

    private static bool IsOwn(LessonRequest request, string word) =>
        request.Lexicon.Find(word) is { } found && Usable.Shows(request.Today, found);

    private static IEnumerable<Item> Of(Lesson lesson, params ActivityKind[] kinds) =>
        lesson.Activities.Where(a => kinds.Contains(a.Kind)).SelectMany(a => a.Items);

    private static IEnumerable<string> InApply(Lesson lesson) =>
        lesson
            .Parts.Where(p => p.Kind == PartKind.Apply)
            .SelectMany(p => p.Activities)
            .SelectMany(a => a.Items)
            .Where(i => i is not PromptItem)
            .SelectMany(ReadByChildren.Words);

    [Fact]
    public void No_sentence_comes_twice_in_a_lesson() =>
        PlannedYears.Keep(
            (_, lesson) =>
                lesson
                    .Activities.SelectMany(a =>
                        a.Items.SelectMany(ReadByChildren.Sentences)
                            .Concat(
                                (a.Levels?.Support ?? [])
                                    .Concat(a.Levels?.Stretch ?? [])
                                    .Where(l =>
                                        a.Items.All(i => i is not WordItem w || l is not WordItem o || w.Word != o.Word)
                                    )
                                    .SelectMany(ReadByChildren.Sentences)
                            )
                    )
                    .CountBy(s => s)
                    .Where(s => s.Value > 1)
                    .Select(s => $"{s.Value} times “{s.Key}”")
        );

    [Fact]
    public void No_two_sentences_to_read_are_one_in_other_clothes() =>
        PlannedYears.Keep(
            (request, lesson) =>
            {
                var read = Of(lesson, ActivityKind.ReadSentence, ActivityKind.PhraseToPicture)
                    .OfType<SentenceItem>()
                    .Select(s => (s.Text, Words: ReadByChildren.Words(s).ToList()))
                    .ToList();
                // The first with the new tricky word is one that the day must have.
                if (read.FindIndex(s => s.Words.Intersect(request.Today.Tricky).Any()) is >= 0 and var must)
                    read.RemoveAt(must);
                return read.SelectMany(
                    (one, i) =>
                        read.Skip(i + 1)
                            .Where(other => new WordSet(one.Words).IsLike(new WordSet(other.Words)))
                            .Select(other => $"{one.Text} {other.Text}")
                );
            }
        );

    [Fact]
    public void The_first_word_read_or_written_and_an_easier_one_have_what_is_new() =>
        PlannedYears.Keep(
            (request, lesson) =>
                lesson
                    .Activities.Where(a =>
                        Teaches(request) && a.Kind is ActivityKind.ReadWords or ActivityKind.SpellWords
                    )
                    .SelectMany(a =>
                        new[] { a.Items.OfType<WordItem>().First() }
                            .Concat((a.Levels?.Support ?? []).OfType<WordItem>().Take(1))
                            .Where(w => !IsOwn(request, w.Word))
                            .Select(w => $"{a.Id} begins with {w.Word}")
                    )
        );

    [Fact]
    public void There_are_easier_and_harder_words_or_a_reason_why_not() =>
        PlannedYears.Keep(
            (_, lesson) =>
                lesson
                    .Activities.Where(a => a.Kind is ActivityKind.ReadWords or ActivityKind.SpellWords)
                    .SelectMany(a =>
                        a.Levels is not { } levels ? [$"{a.Id} has no levels"]
                        : (levels.Support.IsEmpty && !Says(levels, "no-easier"))
                        || (levels.Stretch.IsEmpty && !Says(levels, "no-harder"))
                            ? [$"{a.Id} does not say why"]
                        : Array.Empty<string>()
                    )
        );

    private static bool Says(Levels levels, string code) => levels.Reasons is { } why && why.Any(r => r.Code == code);

    [Fact]
    public void All_of_Apply_is_about_the_day() =>
        PlannedYears.Keep(
            (request, lesson) =>
                lesson
                    .Parts.Where(p => p.Kind == PartKind.Apply && Teaches(request))
                    .SelectMany(p => p.Activities)
                    .Where(a => a.Kind is not (ActivityKind.OralSentence or ActivityKind.ReadText))
                    .SelectMany(a => a.Items)
                    .Where(i => !ReadByChildren.Words(i).Any(w => IsOwn(request, w)))
                    .Select(i => $"{i.Id} has nothing new")
        );

    [Fact]
    public void A_crossword_is_about_the_day_and_no_clue_gives_another_away() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Of(lesson, ActivityKind.Crossword)
                    .OfType<CrosswordItem>()
                    .SelectMany(c =>
                        c.Lines.Where(l => Teaches(request) && !IsOwn(request, l.Word))
                            .Select(l => $"{l.Word} is not of the day")
                            .Concat(
                                from told in c.Lines
                                where told.Clue is not null
                                from other in c.Lines
                                where
                                    other.Word != told.Word
                                    && told.Clue!.Split(' ').Select(Sentence.Plain).Contains(other.Word)
                                select $"the clue of {told.Word} has {other.Word}"
                            )
                    )
        );

    [Fact]
    public void A_text_has_words_of_the_day_or_of_the_days_before_and_is_read_three_times_at_most()
    {
        PlannedYears.Keep(
            (request, lesson) =>
            {
                var lately = CorrespondenceSet.Of(request.Memory.Newest.Take(6));
                return Of(lesson, ActivityKind.ReadText)
                    .OfType<TextItem>()
                    .Where(t =>
                    {
                        var words = t
                            .Sentences.SelectMany(ReadByChildren.Words)
                            .Distinct()
                            .Select(w => request.Lexicon.Find(w))
                            .OfType<Word>()
                            .ToList();
                        return words.Count(w => Usable.Shows(request.Today, w)) < 2
                            && words.Count(w => Usable.Shows(request.Today, w) || w.ContainsAny(lately)) < 5;
                    })
                    .Select(t => $"“{t.Title}” has nothing of it");
            }
        );
        foreach (var year in PlannedYears.All)
        {
            Assert.All(
                PlannedYears
                    .Of(year)
                    .SelectMany(l => Of(l.Lesson, ActivityKind.ReadText).OfType<TextItem>())
                    .CountBy(t => t.Title),
                t => Assert.True(t.Value <= 3, $"{year}: “{t.Key}” is read {t.Value} times")
            );
        }
    }

    [Fact]
    public void The_words_of_a_gap_are_of_one_class_and_near_in_spelling() =>
        Assert.All(Given.Materials.Gaps.Sentences, g =>
            Assert.All(g.Options.Skip(1), o =>
                Assert.True(
                    IsOfClass(o, g.Options[0]) && g.Options[0].Spelling.Intersect(o.Spelling).Any(),
                    $"{g.Whole.Text}: {o.Spelling}"
                )
            )
        );

    /// <summary>True when the words can stand in the same place; of some plurals the class is not known.</summary>
    private static bool IsOfClass(Word one, Word other) =>
        one.PartsOfSpeech == PartsOfSpeech.None
        || other.PartsOfSpeech == PartsOfSpeech.None
        || (one.PartsOfSpeech & other.PartsOfSpeech) != PartsOfSpeech.None;

    [Fact]
    public void Words_by_ear_have_the_sound_where_the_plan_says_and_children_hear_no_other() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Of(lesson, ActivityKind.HearSound)
                    .OfType<WordItem>()
                    .SelectMany(i =>
                    {
                        var (word, target) = (Given.Word(i.Word), request.Today.Correspondences[0]);
                        var accent = request.After.Accent;
                        bool Says(Correspondence part) => accent.Project(part) == accent.Project(target);
                        return new[]
                        {
                            i.Reasons.Any(r => r.Code == "starts-with-it") && !Says(word.Required[0])
                                ? "does not start"
                                : null,
                            i.Reasons.Any(r => r.Code == "ends-with-it") && !Says(word.Required[^1])
                                ? "does not end"
                                : null,
                            word.Required.Any(Says) ? null : "has not the sound",
                            target.SoundText is "t" or "d" && word.Spelling[1] == 'r' ? "sounds like ch or j" : null,
                            ChosenLast.Has(word) ? "means nothing alone" : null,
                        }
                            .OfType<string>()
                            .Select(f => $"{i.Word} {f}");
                    })
        );

    [Fact]
    public void A_sort_of_a_family_shows_every_spelling_that_words_can_show() =>
        PlannedYears.Keep(
            (request, lesson) =>
                request.Today.Kind != RungKind.Sort
                    ? []
                    : Of(lesson, ActivityKind.SortWords)
                        .OfType<SortItem>()
                        .Where(s => s.By != "spelling" || s.Headings.Length < 2)
                        .Select(s => $"sorted by {s.By} under {s.Headings.Length}")
        );

    [Fact]
    public void No_two_words_of_an_activity_differ_only_in_spelling() =>
        PlannedYears.Keep(
            (request, lesson) =>
                lesson
                    .Activities.Where(a =>
                        a.Kind
                            is ActivityKind.ReadWords
                                or ActivityKind.SpellWords
                                or ActivityKind.SortWords
                                or ActivityKind.ChooseSpelling
                                or ActivityKind.MissingGrapheme
                                or ActivityKind.RecentWords
                    )
                    .SelectMany(a =>
                        a.Items.SelectMany(ReadByChildren.Words)
                            .Select(w => request.Lexicon.Find(w))
                            .OfType<Word>()
                            .Distinct()
                            .GroupBy(w => Lexicon.SoundsIn(request.After.Accent, w))
                            .Where(g => g.Count() > 1)
                            .Select(g => $"{a.Id}: {string.Join(", ", g.Select(w => w.Spelling))}")
                    )
        );

    [Fact]
    public void Sentences_have_their_capital_and_stop_and_captions_come_early() =>
        PlannedYears.Keep(
            (request, lesson) =>
                lesson
                    .Activities.SelectMany(a => a.Items.OfType<SentenceItem>())
                    .Where(s =>
                        char.IsLower(s.Text[0])
                            ? request.After.Correspondences.Count >= 20 || s.Text[^1] is '.' or '!' or '?'
                            : s.Text.TrimEnd('”')[^1] is not ('.' or '!' or '?')
                    )
                    .Select(s => $"“{s.Text}”")
        );

    [Fact]
    public void Nothing_comes_before_its_time() =>
        PlannedYears.Keep(
            (request, lesson) =>
                request.Before.Correspondences.Count >= 26
                    ? []
                    : lesson
                        .Activities.Where(a =>
                            a.Kind
                                is ActivityKind.OwnSentence
                                    or ActivityKind.StoryPrompt
                                    or ActivityKind.Crossword
                                    or ActivityKind.WhereItStands
                        )
                        .Select(a => a.Id)
        );

    [Fact]
    public void Made_up_words_do_not_all_rhyme() =>
        PlannedYears.Keep(
            (_, lesson) =>
                lesson
                    .Activities.Where(a => a.Kind == ActivityKind.MadeUpWords)
                    .SelectMany(a =>
                        a.Items.OfType<MadeUpItem>()
                            .GroupBy(m => m.Word.TrimStart([.. "bcdfghjklmnpqrstvwxyz"]))
                            .Where(g => g.Count() > 2)
                            .Select(g => string.Join(' ', g.Select(m => m.Word)))
                    )
        );

    [Fact]
    public void A_new_tricky_word_is_read_and_stands_in_Apply_where_a_sentence_can_have_it() =>
        PlannedYears.Keep(
            (request, lesson) =>
                request
                    .Today.Tricky.Where(t =>
                        (
                            !InApply(lesson).Contains(t)
                            && request
                                .Materials.Sentences.Readable(request.After, request.TrickyToday.ToHashSet())
                                .Any(s =>
                                    (!s.IsCaption || request.After.Correspondences.Count < 20)
                                    && s.Tokens.Any(x => x.Word.Spelling == t)
                                    && (!Teaches(request) || s.Tokens.Any(x => Usable.Shows(request.Today, x.Word)))
                                )
                        ) || !Of(lesson, ActivityKind.NewTrickyWord).OfType<WordItem>().Any(w => w.Word == t)
                    )
                    .Select(t => $"{t} is not in Apply")
        );

    [Fact]
    public void Two_or_three_tricky_words_are_written_in_every_Revisit() =>
        PlannedYears.Keep(
            (request, lesson) =>
            {
                var formed = request.Before.Correspondences.SelectMany(c => c.Grapheme.Letters).ToHashSet();
                var can = request.TrickyBefore.Count(t => t.All(l => !char.IsLetter(l) || formed.Contains(l)));
                var written = Of(lesson, ActivityKind.SpellTricky).Count();
                return written >= Math.Min(2, can) && written <= 3 ? [] : [$"{written} of {can}"];
            }
        );

    [Fact]
    public void No_tricky_word_goes_unseen_for_long_until_it_can_be_decoded() =>
        PlannedYears.Keep(
            (request, _) =>
                request
                    .TrickyBefore.Where(t =>
                        request.Memory.TrickyRead.TryGetValue(t, out var read)
                        && Math.Min(read, request.Memory.TrickyWritten.GetValueOrDefault(t, int.MaxValue))
                            > (request.TrickyBefore.Length <= FirstTerm ? 10 : 20)
                        && Given.Lexicon.Find(t) is { } word
                        && !request.Before.CanRead(word)
                    )
                    .Select(t => $"{t} for {request.Memory.TrickyRead[t]} lessons")
        );

    /// <summary>So many tricky words are taught in the first term.</summary>
    private const int FirstTerm = 45;

    [Fact]
    public void Words_easily_mixed_up_do_not_stand_side_by_side() =>
        PlannedYears.Keep(
            (_, lesson) =>
                Of(lesson, ActivityKind.TrickySoFar).OfType<WordItem>().Select(w => w.Word).ToList() is var words
                    ? words
                        .Zip(words.Skip(1))
                        .SkipLast(1)
                        .Where(p => words.Count > 4 && MixedUp.Partners(p.First).Contains(p.Second))
                        .Select(p => $"{p.First} {p.Second}")
                    : []
        );

    /// <summary>In the first weeks there is little to read or write.</summary>
    private static double LeastFilled(int taught) =>
        taught switch
        {
            < 6 => 0.4,
            < 10 => 0.55,
            _ => 0.6,
        };

    [Fact]
    public void Minutes_leave_slack_Apply_has_its_fifth_and_Practise_no_more_than_its_share() =>
        PlannedYears.Keep(
            (request, lesson) =>
            {
                var seconds = lesson.Parts.Sum(p => p.Seconds);
                return new[]
                {
                    seconds <= Pace.ToFill(request.Minutes) ? null : $"{seconds} s",
                    Pace.HasTooLittleApply(lesson.Parts) ? $"Apply {Share(lesson, PartKind.Apply):P0}" : null,
                    Pace.HasTooMuchPractice(lesson.Parts) ? $"Practise {Share(lesson, PartKind.Practise):P0}" : null,
                    seconds >= request.Minutes * 60 * LeastFilled(request.Before.Correspondences.Count)
                        ? null
                        : $"only {seconds} s",
                }.OfType<string>();
            }
        );

    private static double Share(Lesson lesson, PartKind part) =>
        lesson.Parts.Where(p => p.Kind == part).Sum(p => p.Seconds) / (double)lesson.Parts.Sum(p => p.Seconds);

    [Fact]
    public void A_pattern_is_modelled_and_not_only_shown() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Of(lesson, ActivityKind.NewPattern, ActivityKind.NewSuffix)
                    .OfType<PatternItem>()
                    .Where(p =>
                        p.Pattern is not ("contraction" or "capitals")
                        && (p.Examples ?? []).Any(e => e.Models is not { Length: > 0 })
                    )
                    .Select(p => $"{p.Pattern} has no model")
        );

    [Fact]
    public void What_was_new_comes_back_on_cards_and_in_words_in_the_next_lessons() =>
        PlannedYears.Keep(
            (request, lesson) =>
                request
                    .Memory.Newest.Take(request.Minutes > 15 ? 3 : 2)
                    .Where(c =>
                        request.Before.Correspondences.Contains(c)
                        && !Of(lesson, ActivityKind.GraphemeCards)
                            .OfType<CardItem>()
                            .Any(i => i.Grapheme == c.Grapheme.Text)
                    )
                    .Select(c => $"{c} is on no card")
        );

    [Fact]
    public void Every_word_that_sounds_like_another_and_is_written_has_a_sentence_that_settles_it() =>
        PlannedYears.Keep(
            (request, lesson) =>
                Of(lesson, ActivityKind.SpellWords, ActivityKind.SpellTricky)
                    .OfType<WordItem>()
                    .Where(w =>
                        request
                            .Lexicon.Homophones(Given.Word(w.Word), request.After.Accent)
                            .Any(h => h.Zipf >= 3 || h.IsKnown)
                        && w.Sentence != request.Materials.Said.GetValueOrDefault(w.Word)
                    )
                    .Select(w => $"{w.Word}: {w.Sentence}")
        );
}
