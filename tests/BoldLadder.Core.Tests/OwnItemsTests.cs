using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>What a teacher types, what a school says of words, what is mended and what is gathered.</summary>
public class OwnItemsTests
{
    private static readonly SentencePlaces Places = new(Given.LettersFirst, Leniencies.All, Accent.SouthernBritish);

    private static (LessonRequest Request, Lesson Lesson) Day(int rung)
    {
        var request = Given.Request(rung, 3);
        return (request, LessonPlanner.Plan(request));
    }

    [Theory]
    [InlineData("pin", OwnStatus.Decodable, "")]
    [InlineData("ship", OwnStatus.NotYet, "sh=ʃ")]
    [InlineData("the", OwnStatus.Tricky, "")]
    [InlineData("brumpeltosh", OwnStatus.Unknown, "")]
    public void A_typed_word_gets_a_verdict_with_what_stands_in_the_way(string typed, OwnStatus status, string needs)
    {
        var (request, _) = Day(24);
        var verdict = OwnItems
            .Judge(typed, request.After, request.TrickyToday.ToHashSet(), Given.Lexicon, Places)
            .Single();
        Assert.Equal((status, needs), (verdict.Status, string.Join(' ', verdict.Needs)));
    }

    [Fact]
    public void A_word_that_must_not_reach_a_child_is_left_out_however_it_is_typed()
    {
        var never = Given.Lexicon.Words.First(w => w.Suitability == Suitability.Never).Spelling;
        foreach (var typed in new[] { never, never.ToUpperInvariant(), $"“{never}!”" })
        {
            Assert.Equal(
                OwnStatus.LeftOut,
                OwnItems
                    .Judge(typed, Day(60).Request.After, new HashSet<string>(), Given.Lexicon, Places)
                    .Single()
                    .Status
            );
        }
    }

    [Fact]
    public void A_verdict_says_on_which_rung_the_word_becomes_readable_and_what_it_sounds_like()
    {
        var (request, _) = Day(24);
        var verdict = OwnItems.Judge("Sea!", request.After, new HashSet<string>(), Given.Lexicon, Places).Single();
        Assert.Equal(Given.RungOf("ea=iː"), verdict.Rung);
        Assert.Equal("see", verdict.Twin);
    }

    [Fact]
    public void A_typed_sentence_that_can_be_read_becomes_an_item_and_any_other_is_given_back_with_its_verdicts()
    {
        var (request, lesson) = Day(26);
        var read = LessonChanges.Another(request, lesson, PartKind.Apply, ActivityKind.ReadSentence, 1)!;
        var (with, _) = OwnItems.Add(request, lesson, read, "The dog sat on a big red van.", Places);
        Assert.IsType<SentenceItem>(with!.Items[^1]);
        var (without, verdicts) = OwnItems.Add(request, lesson, read, "The dog sat on a ship.", Places);
        Assert.Null(without);
        Assert.Equal(OwnStatus.NotYet, verdicts[^1].Status);
        var crossword = read with { Kind = ActivityKind.Crossword };
        Assert.Null(OwnItems.Add(request, lesson, crossword, "dog", Places).Activity);
    }

    [Theory]
    [InlineData("The dog sat on a big red van.", "rule-off-target")]
    [InlineData("the dog is ill", "rule-marks")]
    [InlineData("The dog and the cat and the pig and the hen sat ill.", "rule-long")]
    public void A_typed_sentence_that_goes_against_a_rule_is_kept_and_says_so(string typed, string rule)
    {
        var (request, lesson) = Day(Given.RungOf("ll=l"));
        var read = LessonChanges.Another(request, lesson, PartKind.Apply, ActivityKind.ReadSentence, 1)!;
        var (with, _) = OwnItems.Add(request, lesson, read, typed, Places);
        Assert.Equal(["by-hand", rule], ((SentenceItem)with!.Items[^1]).Reasons.Select(r => r.Code));
        var again = OwnItems.Add(request, lesson.WithNew(PartKind.Apply, 9, with), read, typed, Places).Activity!;
        Assert.Contains("rule-twice", ((SentenceItem)again.Items[^1]).Reasons.Select(r => r.Code));
    }

    [Fact]
    public void A_typed_sentence_may_be_kept_with_words_that_the_adult_reads_and_nothing_calls_it_broken()
    {
        var (request, lesson) = Day(26);
        var read = LessonChanges.Another(request, lesson, PartKind.Apply, ActivityKind.ReadSentence, 1)!;
        const string Typed = "The dog sat on a ship.";
        var kept = OwnItems.Add(request, lesson, read, Typed, Places, anyway: true).Activity!;
        var item = (SentenceItem)kept.Items[^1];
        Assert.Equal("ship.", Assert.Single(item.Words, w => w.Status == SentenceWord.Told).Text);
        Assert.Equal("ship.", Assert.Single(item.Reasons.Single(r => r.Code == "told-by-adult").Arguments));
        Assert.DoesNotContain("ship", ReadByChildren.Words(item));
        var with = lesson.WithNew(PartKind.Apply, 9, kept);
        Assert.Empty(
            LessonCheck.Problems(with, request.Before, request.After, request.TrickyToday.ToHashSet(), Given.Lexicon)
        );
        var never = Given.Lexicon.Words.First(w => w.Suitability == Suitability.Never).Spelling;
        Assert.Null(OwnItems.Add(request, lesson, read, $"The dog sat on a {never}.", Places, anyway: true).Activity);
        var words = lesson.Activities.First(a => a.Kind == ActivityKind.ReadWords);
        Assert.Null(OwnItems.Add(request, lesson, words, "ship", Places, anyway: true).Activity);
    }

    [Fact]
    public void A_place_of_a_template_says_on_which_days_nothing_can_fill_it()
    {
        SlotFit Fit(LessonDay day, PartKind part, params ActivityKind[] kinds) =>
            SlotFit.Of(
                Given.LettersFirst,
                Given.Materials,
                Leniencies.All,
                Accent.SouthernBritish,
                day,
                20,
                part,
                new Slot([.. kinds], true, SlotNeed.Must, 3)
            );
        var crossword = Fit(LessonDay.New, PartKind.Apply, ActivityKind.Crossword);
        Assert.InRange(crossword.Missing.Length, 1, crossword.Tried - 1);
        Assert.Empty(Fit(LessonDay.New, PartKind.Practise, ActivityKind.ReadWords).Missing);
        Assert.True(
            Fit(LessonDay.New, PartKind.Apply, ActivityKind.Crossword, ActivityKind.ReadSentence).Missing.Length
                < crossword.Missing.Length
        );
    }

    [Fact]
    public void A_repair_replaces_only_what_broke()
    {
        var (request, lesson) = Day(40);
        // The last correspondences turn out not to be taught.
        const int Lost = 8;
        var lost = request.Memory.Newest.Take(Lost).ToList();
        var weaker = request with
        {
            Before = Given.Taught(
                string.Join(
                    ' ',
                    request.Before.Correspondences.Except(lost).Where(c => !c.IsBath).Select(c => c.Notation)
                ),
                Leniencies.All,
                request.Before.Patterns
            ),
        };
        var fresh = new LessonRequest(
            Before: weaker.Before,
            Today: request.Today,
            Materials: request.Materials,
            TrickyBefore: request.TrickyBefore,
            Memory: request.Memory with
            {
                Newest = [.. request.Memory.Newest.Skip(Lost)],
            },
            Minutes: request.Minutes,
            Seed: request.Seed
        );
        var problems = LessonCheck.Problems(
            lesson,
            fresh.Before,
            fresh.After,
            fresh.TrickyToday.ToHashSet(),
            Given.Lexicon
        );
        Assert.NotEmpty(problems);
        var mended = LessonRepair.Of(fresh, lesson, problems);
        Assert.Empty(
            LessonCheck.Problems(mended, fresh.Before, fresh.After, fresh.TrickyToday.ToHashSet(), Given.Lexicon)
        );
        var broken = problems.Select(p => p.ItemId).ToHashSet();
        var sound = lesson
            .Activities.Where(a => a.Kind != ActivityKind.WordChain)
            .SelectMany(a => a.Items)
            .Select(i => i.Id)
            .Where(i => !broken.Contains(i))
            .ToHashSet();
        Assert.Superset(sound, mended.Activities.SelectMany(a => a.Items).Select(i => i.Id).ToHashSet());
        Assert.Same(mended, LessonRepair.Of(fresh, mended, []));
    }

    [Fact]
    public void A_school_bans_allows_and_corrects_words_over_the_shared_ones()
    {
        var asked = Given.Lexicon.Words.First(w => w.Suitability == Suitability.Ask).Spelling;
        var never = Given.Lexicon.Words.First(w => w.Suitability == Suitability.Never).Spelling;
        var own = SchoolWords.Over(
            Given.Lexicon,
            [
                new("ship", SchoolVerdict.Ban, null, "x"),
                new(asked, SchoolVerdict.Allow, null, "x"),
                new(never, SchoolVerdict.Allow, null, "x"),
                new("often", SchoolVerdict.Correct, SchoolWords.Cut("often", "o|f|t|e|n", "ɒ|f|t|ə|n"), "x"),
                new("nosuchword", SchoolVerdict.Ban, null, "x"),
            ]
        );
        Assert.Equal(
            (Suitability.Never, Suitability.Use, Suitability.Never),
            (own.Find("ship")!.Suitability, own.Find(asked)!.Suitability, own.Find(never)!.Suitability)
        );
        Assert.DoesNotContain(own.ForLessons, w => w.Spelling == "ship");
        Assert.Equal("o|f|t|e|n", own.Find("often")!.Segmentation.Graphemes);
        Assert.Same(Given.Word("cat"), own.Find("cat"));
        Assert.StartsWith(Given.Lexicon.Hash + "+", own.Hash, StringComparison.Ordinal);
        Assert.Same(Given.Lexicon, SchoolWords.Over(Given.Lexicon, []));
        Assert.Throws<RefusedException>(() => SchoolWords.Cut("often", "o|f|e|n", "ɒ|f|ə|n"));
        Assert.Throws<RefusedException>(() => SchoolWords.Cut("often", "o|f|t|e|n", "ɒ|f"));
    }

    [Fact]
    public void Sentences_and_texts_with_a_word_the_school_banned_do_not_come()
    {
        bool Has(IEnumerable<Sentence> sentences) =>
            sentences.SelectMany(s => s.Tokens).Any(t => t.Word.Spelling == "cat");
        var own = Given.Materials.With(SchoolWords.Over(Given.Lexicon, [new("cat", SchoolVerdict.Ban, null, "x")]));
        var (before, after) = (
            new LessonWork(Given.Request(110, 1)),
            new LessonWork(Given.Request(110, 1) with { Materials = own })
        );
        Assert.True(Has(before.Sentences));
        Assert.False(Has(after.Sentences));
        Assert.Equal(before.Sentences.Where(s => !Has([s])).Select(s => s.Text), after.Sentences.Select(s => s.Text));
        Assert.Contains(own.Texts.Texts, t => Has(t.All));
        Assert.DoesNotContain(own.Texts.Texts, t => Has(t.All) && t.All.All(after.MayBeRead));
    }

    [Fact]
    public void A_word_kept_from_a_group_is_in_no_clue_and_no_sentence_that_is_dictated()
    {
        List<string> Said(LessonRequest request, ActivityKind kind) =>
            [
                .. (Chooser.Make(new LessonWork(request), kind, ActivityFacts.Of(kind).Part, 6)?.Items ?? [])
                    .SelectMany(i =>
                        i switch
                        {
                            CrosswordItem c => c.Lines.Select(l => l.Clue),
                            WordItem w => [w.Sentence],
                            _ => [],
                        }
                    )
                    .OfType<string>()
                    .SelectMany(t => t.ToLowerInvariant().Split(' ')),
            ];
        foreach (var kind in new[] { ActivityKind.Crossword, ActivityKind.SpellWords })
        {
            // The days of words that sound like others: a sentence is said with them.
            var days = new[] { "or=ɔː", "ea=iː", "ar=ɑː", "er=ɜː" }
                .SelectMany(n => Enumerable.Range(1, 4).Select(seed => Given.Request(Given.RungOf(n), seed)))
                .ToList();
            Assert.Contains(days, d => Said(d, kind).Contains("the"));
            Assert.All(days, d =>
                Assert.DoesNotContain("the", Said(d with { Avoid = new HashSet<string> { "the" } }, kind))
            );
        }
    }

    [Fact]
    public void What_to_gather_has_each_card_once_and_tiles_for_the_word_that_needs_most()
    {
        var lessons = new[] { 30, 31, 32 }.Select(r => Day(r).Lesson).ToList();
        var gathered = Gathering.Of(lessons);
        var spelled = lessons
            .SelectMany(l => l.Activities)
            .Where(a => a.Kind == ActivityKind.SpellWords)
            .SelectMany(a => a.Items)
            .OfType<WordItem>()
            .ToList();
        Assert.All(spelled, w =>
            Assert.All(w.Graphemes.Split('|').GroupBy(g => g), g =>
                Assert.True(gathered.Tiles.Single(t => t.Grapheme == g.Key).Count >= g.Count())
            )
        );
        Assert.Equal(gathered.Words.Length, gathered.Words.Select(w => w.Word).Distinct().Count());
        Assert.Superset(
            lessons
                .SelectMany(l => l.Activities)
                .SelectMany(a => a.Items)
                .OfType<CardItem>()
                .Select(c => c.Correspondence)
                .ToHashSet(),
            gathered.Cards.Select(c => c.Correspondence).ToHashSet()
        );
        Assert.Empty(Gathering.Of([]).Cards);
    }

    [Theory]
    [InlineData("sh=ʃ", Place.End, "fish", true)]
    [InlineData("sh=ʃ", Place.End, "ship", false)]
    [InlineData("sh=ʃ", null, "ship", true)]
    [InlineData("a=ɑː", null, "bath", true)]
    [InlineData("ow=aʊ", Place.Middle, "town", true)]
    public void A_query_asks_where_a_correspondence_stands(string with, Place? at, string word, bool fits) =>
        Assert.Equal(fits, new WordQuery(With: Correspondence.Parse(with), At: at).Fits(Given.Word(word)));

    [Fact]
    public void A_query_asks_all_things_at_once()
    {
        var query = new WordQuery(Letters: "ee", Shape: "CVC", KnownOnly: true);
        Assert.True(query.Fits(Given.Word("feet")));
        Assert.False(query.Fits(Given.Word("tree")));
        Assert.True(new WordQuery(Patterns: Patterns.SuffixIng | Patterns.JoinDouble).Fits(Given.Word("running")));
        Assert.False(new WordQuery(Patterns: Patterns.SuffixIng | Patterns.JoinDouble).Fits(Given.Word("singing")));
    }
}
