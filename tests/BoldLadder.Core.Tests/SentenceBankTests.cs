using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// Sentences and texts are enough for every shipped ladder, and each is written as it should be. Source:
/// docs/handbook.md, section 7 (Sentences).
/// </summary>
public class SentenceBankTests
{
    private const int Enough = 8;

    /// <summary>The second term begins about here: sentences have two words with what is new.</summary>
    private const int SecondTerm = 60;

    /// <summary>A text is there for every so many rungs.</summary>
    private const int TextEvery = 5;

    private static IEnumerable<(Ladder Ladder, SentencePlaces Places)> Ladders =>
        Given.Ladders.Select(l => (l, new SentencePlaces(l, Leniencies.All, Accent.SouthernBritish)));

    private static IEnumerable<(string Where, Rung Rung, int At)> Teaching(Ladder ladder) =>
        ladder
            .Rungs.Select((r, i) => ($"{ladder.Id} {i + 1} ({r.Label})", r, i))
            .Where(r => r.r.Kind == RungKind.Lesson && r.r.TeachesSomething);

    private static bool IsReadableAt(SentencePlaces places, Sentence sentence, int rung) =>
        places.RungOf(sentence) is { } at && at <= rung;

    [Fact]
    public void Each_rung_that_has_the_words_has_enough_sentences_and_some_to_dictate()
    {
        var short_ = new List<string>();
        foreach (var (ladder, places) in Ladders)
        {
            foreach (var (where, rung, at) in Teaching(ladder))
            {
                var after = ladder.TaughtAfter(at + 1, Leniencies.All, Accent.SouthernBritish);
                if (Usable.Showing(rung, after, Given.Lexicon.ForLessons).Take(Usable.Enough).Count() < Usable.Enough)
                    continue;
                var needed = at < SecondTerm ? 1 : 2;
                var fit = Given
                    .Materials.Sentences.Sentences.Where(s =>
                        IsReadableAt(places, s, at) && s.Tokens.Count(t => Usable.Shows(rung, t.Word)) >= needed
                    )
                    .ToList();
                if (fit.Count < Enough || fit.Count(s => s.Tokens.Length is >= 2 and <= 7) < 2)
                    short_.Add($"{where}: {fit.Count}");
            }
        }
        Assert.True(short_.Count == 0, string.Join('\n', short_));
    }

    [Fact]
    public void Every_fifth_rung_has_a_text_on_what_was_taught_with_three_questions()
    {
        var without = new List<string>();
        foreach (var (ladder, places) in Ladders)
        {
            // In the first days no story can be told.
            for (var end = 2 * TextEvery; end < ladder.Rungs.Length + TextEvery - 1; end += TextEvery)
            {
                var taught = Teaching(ladder).Where(r => r.At >= end - TextEvery && r.At < end).ToList();
                if (
                    taught.Count > 0
                    && !Given.Materials.Texts.Texts.Any(t =>
                        places.RungOf(t) is { } at
                        && at < end
                        && t.Sentences.Sum(s => s.Tokens.Length) is >= 40 and <= 120
                        && t.Questions.Length == 3
                        && t.Sentences.SelectMany(s => s.Tokens)
                            .Count(x => taught.Any(r => Usable.Shows(r.Rung, x.Word))) >= 4
                    )
                )
                    without.Add($"{ladder.Id} {end - TextEvery + 1}–{end}");
            }
        }
        Assert.True(without.Count == 0, string.Join('\n', without));
    }

    [Fact]
    public void Every_tricky_word_is_in_six_sentences_that_are_soon_readable()
    {
        var short_ = new List<string>();
        foreach (var (ladder, places) in Ladders)
        {
            for (var rung = 0; rung < ladder.Rungs.Length; rung++)
            {
                short_.AddRange(
                    ladder
                        .Rungs[rung]
                        .Tricky.Select(t =>
                            (
                                Word: t,
                                Count: Given.Materials.Sentences.Sentences.Count(s =>
                                    IsReadableAt(places, s, rung + 10) && s.Tokens.Any(x => x.Word.Spelling == t)
                                )
                            )
                        )
                        .Where(t => t.Count < 6)
                        .Select(t => $"{ladder.Id}: {t.Word} {t.Count}")
                );
            }
        }
        Assert.True(short_.Count == 0, string.Join('\n', short_));
    }

    [Fact]
    public void A_sentence_has_its_capital_and_its_stop_and_a_caption_neither() =>
        Assert.All(Given.Materials.Sentences.Sentences, s =>
            Assert.True(
                char.IsLower(s.Text[0]) ? char.IsLetter(s.Text[^1]) : s.Text.TrimEnd('”')[^1] is '.' or '!' or '?',
                s.Text
            )
        );

    [Fact]
    public void No_sentence_joins_two_with_a_comma_alone() =>
        Assert.All(Given.Materials.Sentences.Sentences.Where(s => !s.Text.Contains('“')), s =>
            Assert.DoesNotMatch(
                @"^(It|I|He|She|We|They|The \w+) [^,]*, (it|he|she|they|we|I) (is|are|was|am|had|has)\b",
                s.Text
            )
        );

    [Fact]
    public void Every_sentence_and_every_text_is_readable_on_some_ladder_and_stands_once()
    {
        var places = Ladders.Select(l => l.Places).ToList();
        var sentences = Given.Materials.Sentences.Sentences;
        Assert.Equal(sentences.Length, sentences.Select(s => s.Text).Distinct().Count());
        Assert.All(sentences, s => Assert.True(places.Any(p => p.RungOf(s) is not null), s.Text));
        Assert.All(sentences, s => Assert.True(s.Tokens.All(t => t.Word.Suitability == Suitability.Use), s.Text));
    }

    [Fact]
    public void Every_word_for_lessons_that_sounds_like_another_has_a_sentence_that_has_it_and_is_its_own()
    {
        var said = Given.Materials.Said;
        Assert.All(
            Given
                .Lexicon.ForLessons.Concat(
                    Given.Ladders.SelectMany(l => l.Rungs).SelectMany(r => r.Tricky).Select(Given.Word)
                )
                .Distinct()
                .Where(w => Accent.All.Any(a => Given.Lexicon.Homophones(w, a).Any(h => h.Zipf >= 3 || h.IsKnown))),
            w => Assert.True(said.ContainsKey(w.Spelling), w.Spelling)
        );
        Assert.All(said, s => Assert.Contains(s.Key, s.Value.Split(' ', '-').Select(Sentence.Plain)));
        Assert.Empty(said.Values.Intersect(Given.Materials.Sentences.Sentences.Select(s => s.Text)));
    }
}
