using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Sounds;
using Xunit;

namespace BoldLadder.Core.Tests;

public class SuggestionTests
{
    private static readonly WordIndex Index = new(Given.Lexicon, Leniencies.All, Accent.SouthernBritish);

    private static Ladder Do(Ladder ladder, MoveSuggestion move) =>
        LadderEditing.Apply(ladder, [new MoveRung(move.RungId, move.After)]).After;

    private static List<WarningKind> Warnings(Ladder ladder) =>
        [.. LadderAnalysis.Of(ladder, Index).Warnings.Select(w => w.Kind).Order()];

    [Fact]
    public void The_answer_for_the_rungs_own_place_is_the_ladder_as_it_is()
    {
        var answers = PlaceAnswers.Of(Given.LettersFirst, 20, Index, within: 3);
        Assert.Equal([17, 18, 19, 20, 21, 22, 23], answers.Select(a => a.To));
        Assert.Empty(answers[3].Warnings);
        Assert.Equal([0, 1, 2], PlaceAnswers.Of(Given.LettersFirst, 0, Index, within: 2).Select(a => a.To));
    }

    [Fact]
    public void A_rung_put_in_a_bad_place_is_brought_back_to_a_good_one()
    {
        var broken = Given.LettersFirst.Moved(10, 60);
        var move = MoveSuggestions.ForRung(broken, 60, Index)!;
        Assert.True(move.To < 20 && move.Fixes.Length > 0 && move.Reading > 0);
        Assert.True(Warnings(Do(broken, move)).Count < Warnings(broken).Count);
        Assert.Contains(move.Sooner, w => w.Spelling.Contains(broken.Rungs[60].Label, StringComparison.Ordinal));
    }

    [Fact]
    public void A_rung_that_stands_best_where_it_is_gets_no_suggestion()
    {
        var best = MoveSuggestions.ForRung(Given.LettersFirst, 30, Index) is { } move
            ? Do(Given.LettersFirst, move)
            : Given.LettersFirst;
        Assert.Null(MoveSuggestions.ForRung(best, best.IndexOf(Given.LettersFirst.Rungs[30].Id), Index));
    }

    [Fact]
    public void The_three_best_moves_never_bring_a_warning_and_do_what_they_say()
    {
        foreach (var ladder in new[] { Given.LettersFirst, Given.ShortVowelsFirst.Moved(8, 50) })
        {
            var moves = MoveSuggestions.Of(ladder, Index, 3);
            Assert.Equal(moves.Length, moves.Select(m => m.RungId).Distinct().Count());
            foreach (var move in moves)
            {
                var after = Do(ladder, move);
                Assert.Equal(LadderDocument.Write(ladder.Moved(move.From, move.To)), LadderDocument.Write(after));
                Assert.True(Warnings(after).Count <= Warnings(ladder).Count);
                Assert.True(move.Fixes.Length > 0 || move.Reading > 0);
                long Reading(Ladder of) =>
                    LadderAnalysis
                        .Of(of, Index)
                        .Rungs.Select((r, i) => (long)r.KnownWords * (of.Rungs.Length - i))
                        .Sum();
                Assert.Equal(Reading(after) - Reading(ladder), move.Reading);
            }
        }
        Assert.Equal(
            WarningKind.WholeBeforePart,
            Assert
                .Single(
                    MoveSuggestions.Of(
                        Given.ShortVowelsFirst.Moved(Given.ShortVowelsFirst.IndexOf("ck=k"), 1),
                        Index,
                        1
                    )
                )
                .Fixes.Select(f => f.Kind)
                .Where(k => k == WarningKind.WholeBeforePart)
                .Distinct()
                .Single()
        );
    }

    [Fact]
    public void What_is_best_for_one_rung_is_found_for_the_whole_ladder()
    {
        var own = Enumerable
            .Range(5, 60)
            .Select(rung => MoveSuggestions.ForRung(Given.ShortVowelsFirst, rung, Index))
            .First(move => move is { Reading: > 0 })!;
        Assert.Contains(MoveSuggestions.Of(Given.ShortVowelsFirst, Index, 8), m => m.Reading >= own.Reading);
    }

    [Fact]
    public void An_empty_ladder_and_one_rung_get_no_suggestion()
    {
        Assert.Empty(MoveSuggestions.Of(Given.LettersFirst with { Rungs = [] }, Index, 3));
        Assert.Null(
            MoveSuggestions.ForRung(Given.LettersFirst with { Rungs = Given.LettersFirst.Rungs[..1] }, 0, Index)
        );
    }

    [Fact]
    public void A_tricky_word_taken_off_is_suggested_again_where_it_fits()
    {
        var placement = new TrickyPlacement(Given.Lexicon, Accent.SouthernBritish);
        var without = LadderEditing.Apply(Given.LettersFirst, [new PlaceTricky("said", null)]).After;
        var suggestion = Assert.Single(placement.Suggest(without), s => s.Word.Spelling == "said");
        Assert.Empty(
            Warnings(LadderEditing.Apply(without, [new PlaceTricky("said", without.Rungs[suggestion.Rung].Id)]).After)
        );
        Assert.True(suggestion.Readable is null || suggestion.Readable > suggestion.Rung);
    }

    [Fact]
    public void Words_that_are_never_readable_are_listed_until_they_are_taught_as_tricky()
    {
        var placement = new TrickyPlacement(Given.Lexicon, Accent.SouthernBritish);
        var short1 = Given.LettersFirst with { Rungs = Given.LettersFirst.Rungs[..40] };
        var never = placement.NeverReadable(short1).Select(w => w.Spelling).ToList();
        Assert.Contains("people", never);
        Assert.DoesNotContain("the", never);
        Assert.DoesNotContain(
            "people",
            placement
                .NeverReadable(LadderEditing.Apply(short1, [new PlaceTricky("people", short1.Rungs[20].Id)]).After)
                .Select(w => w.Spelling)
        );
    }
}
