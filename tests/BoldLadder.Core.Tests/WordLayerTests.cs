using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Alike;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>A school's words as a mask over the shipped ones say the same as a lexicon made anew with them.</summary>
public class WordLayerTests
{
    private static readonly Lexicon Shipped = Given.Lexicon;
    private static readonly Word[] Some =
    [
        .. Shipped.ForLessons.Take(400),
        .. Shipped.Words.Where(w => w.Suitability == Suitability.Ask).Take(40),
    ];

    /// <summary>
    /// Bans and allowances, and two corrections that change what a word sounds like and what it needs.
    /// </summary>
    private static readonly Gen<SchoolWord[]> Layer = Gen.Int[0, Some.Length - 1]
        .Array[1, 30]
        .Select(picks =>
            picks
                .Distinct()
                .Select(i => new SchoolWord(
                    Some[i].Spelling,
                    Some[i].Suitability == Suitability.Ask ? SchoolVerdict.Allow : SchoolVerdict.Ban,
                    null,
                    "Ours."
                ))
                .Where(w => w.Spelling is not ("often" or "either"))
                .Append(
                    new SchoolWord(
                        "often",
                        SchoolVerdict.Correct,
                        SchoolWords.Cut("often", "o|f|t|e|n", "ɒ|f|t|ə|n"),
                        "So we say it."
                    )
                )
                .Append(
                    new SchoolWord(
                        "either",
                        SchoolVerdict.Correct,
                        SchoolWords.Cut("either", "ei|th|er", "iː|ð|ə"),
                        "So we say it."
                    )
                )
                .ToArray()
        );

    private static Lexicon MadeAnew(Lexicon layered) =>
        new(Shipped.Words.Select(w => layered.Find(w.Spelling)!).Concat(Shipped.Names), "anew");

    private static IEnumerable<string> Spelled(IEnumerable<Word> words) =>
        words.Select(w => $"{w.Spelling} {w.Segmentation} {w.Suitability}");

    [Fact]
    public void The_words_for_lessons_are_the_same_in_the_same_order() =>
        Layer.Sample(
            layer =>
            {
                var layered = SchoolWords.Over(Shipped, layer);
                var anew = MadeAnew(layered);
                Assert.Equal(Spelled(anew.ForLessons), Spelled(layered.ForLessons));
                Assert.Equal(Spelled(anew.Known), Spelled(layered.Known));
                var taught = Given.LettersFirst.TaughtAfter(60, Leniencies.All, Accent.SouthernBritish);
                Assert.Equal(
                    Spelled(anew.ForLessonsWhere(taught.Accent, taught.ReadableOf, taught.CanRead)),
                    Spelled(layered.ForLessonsWhere(taught.Accent, taught.ReadableOf, taught.CanRead))
                );
                Assert.Equal(
                    Spelled(anew.KnownWhere(taught.Accent, taught.ReadableOf, taught.CanRead)),
                    Spelled(layered.KnownWhere(taught.Accent, taught.ReadableOf, taught.CanRead))
                );
            },
            iter: 12
        );

    [Fact]
    public void What_sounds_alike_is_the_same() =>
        Layer.Sample(
            layer =>
            {
                var layered = SchoolWords.Over(Shipped, layer);
                var anew = MadeAnew(layered);
                var (mask, whole) = (
                    new WordsAlike(Shipped, Shipped.ForLessons, Accent.SouthernBritish).Over(layered),
                    new WordsAlike(anew, anew.ForLessons, Accent.SouthernBritish)
                );
                foreach (
                    var spelling in layer.Select(w => w.Spelling).Concat(["son", "sun", "sea", "night", "breather"])
                )
                {
                    var (one, other) = (layered.Find(spelling)!, anew.Find(spelling)!);
                    Assert.Equal(
                        Spelled(anew.Homophones(other, Accent.SouthernBritish)).Order(),
                        Spelled(layered.Homophones(one, Accent.SouthernBritish)).Order()
                    );
                    Assert.Equal(Spelled(whole.Rhymes(other)).Order(), Spelled(mask.Rhymes(one)).Order());
                    Assert.Equal(
                        whole.MinimalPairs(other).Select(p => $"{p.Word.Spelling} {p.Place}").Order(),
                        mask.MinimalPairs(one).Select(p => $"{p.Word.Spelling} {p.Place}").Order()
                    );
                }
            },
            iter: 4
        );

    [Fact]
    public void A_banned_word_is_in_no_lesson_and_in_no_example()
    {
        var lesson = LessonPlanner.Plan(Given.Request(30, 1));
        var read = lesson
            .Activities.SelectMany(a => a.Items)
            .SelectMany(ReadByChildren.Words)
            .Distinct()
            .Except(Given.Request(30, 1).TrickyToday)
            .Take(12)
            .ToList();
        var layered = SchoolWords.Over(
            Shipped,
            [.. read.Select(w => new SchoolWord(w, SchoolVerdict.Ban, null, "Ours."))]
        );
        var request = Given.Request(30, 1) with { Materials = Given.Materials.With(layered) };
        var anew = LessonPlanner.Plan(request);
        Assert.Empty(anew.Activities.SelectMany(a => a.Items).SelectMany(ReadByChildren.Words).Intersect(read));
        var examples = anew
            .Activities.SelectMany(a => a.Items)
            .OfType<CardItem>()
            .SelectMany(c => new[] { c.Positions?.StartExample, c.Positions?.MiddleExample, c.Positions?.EndExample });
        Assert.Empty(examples.OfType<string>().Intersect(read));
    }

    [Fact]
    public void Sentences_read_as_the_school_cuts_their_words()
    {
        var layered = SchoolWords.Over(Shipped, [new SchoolWord("ship", SchoolVerdict.Ban, null, "Ours.")]);
        var bank = Given.Materials.Sentences.With(layered);
        Assert.All(bank.Having(layered.Find("ship")!), s =>
            Assert.Contains(s.Tokens, t => t.Word.Suitability == Suitability.Never)
        );
        Assert.Equal(Given.Materials.Sentences.Sentences.Select(s => s.Text), bank.Sentences.Select(s => s.Text));
        var taught = Given.LettersFirst.TaughtAfter(60, Leniencies.All, Accent.SouthernBritish);
        var tricky = new HashSet<string>();
        Assert.Equal(
            Given.Materials.Sentences.Readable(taught, tricky).Select(s => s.Text),
            bank.Readable(taught, tricky).Select(s => s.Text)
        );
    }

    [Fact]
    public void A_school_that_spells_in_American_is_shown_no_British_spelling_and_has_its_own()
    {
        var american = SchoolWords.Over(Shipped, [], SpellingVariety.American);
        foreach (var british in new[] { "colour", "grey", "mum", "mummy", "maths", "favourite" })
        {
            Assert.Contains(Shipped.ForLessons, w => w.Spelling == british);
            Assert.DoesNotContain(american.ForLessons, w => w.Spelling == british);
            // A teacher may type it all the same.
            Assert.Equal(Suitability.Ask, american.Find(british)!.Suitability);
        }
        foreach (var own in new[] { "mom", "math" })
        {
            Assert.DoesNotContain(Shipped.ForLessons, w => w.Spelling == own);
            Assert.Contains(american.ForLessons, w => w.Spelling == own);
            Assert.Contains(american.Known, w => w.Spelling == own);
        }
        Assert.DoesNotContain(american.ForLessons, w => w.Flags.HasFlag(WordFlags.BritishOnly));
        // What the school says besides lies over it.
        var own2 = SchoolWords.Over(
            Shipped,
            [new("mom", SchoolVerdict.Ban, null, "x"), new("grey", SchoolVerdict.Allow, null, "x")],
            SpellingVariety.American
        );
        Assert.DoesNotContain(own2.ForLessons, w => w.Spelling == "mom");
        Assert.Contains(own2.ForLessons, w => w.Spelling == "grey");
        var lessons = new[] { 20, 50, 80, 110 }
            .Select(r => Given.Request(r, 1) with { Materials = Given.Materials.With(american) })
            .Select(LessonPlanner.Plan);
        Assert.DoesNotContain(
            lessons.SelectMany(l => l.Activities).SelectMany(a => a.Items).SelectMany(ReadByChildren.Words),
            w => american.Find(w) is { Suitability: Suitability.Ask }
        );
    }
}
