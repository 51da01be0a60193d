using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.CatchUps;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Teaching;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>What marks bring: catch-ups, and tricky words that come back or have graduated. Source: docs/handbook.md,
/// section 7 (Catch-up, Revisit choice).</summary>
public class CatchUpTests
{
    private static readonly DateOnly Day = new(2026, 11, 2);

    private static IEnumerable<LessonRequest> Days() =>
        from rung in Enumerable.Range(8, 80)
        where rung % (Given.Deep ? 3 : 9) == 0
        select Given.Request(rung, rung);

    [Fact]
    public void A_catch_up_fits_its_minutes_and_has_no_word_that_was_not_taught()
    {
        foreach (var request in Days())
        {
            var targets = request.Before.Correspondences.TakeLast(9).Reverse().Select(MemoryTarget.Of).ToList();
            foreach (var minutes in (int[])[3, 5, 10])
            {
                var made = CatchUpMaker.Make(request, targets, minutes);
                Assert.InRange(made.Seconds, (minutes * 60) - 45, minutes * 60);
                var words = made.Parts.SelectMany(p => p.Read.Concat(p.Write)).ToList();
                Assert.All(words, w => Assert.True(request.Before.CanRead(Given.Word(w.Word)), w.Word));
                Assert.Equal(words.Count, words.DistinctBy(w => w.Word).Count());
                Assert.All(made.Parts, p =>
                {
                    var one = p.Target.Correspondence!;
                    Assert.All(p.Read.Concat(p.Write), w => Assert.Contains(one, Given.Word(w.Word).Required));
                    Assert.NotEmpty(p.Read);
                    // Nothing is to be explained where there are words that children know.
                    if (request.Lexicon.Known.Count(w => w.Contains(one) && request.Before.CanRead(w)) > 12)
                        Assert.All(p.Read.Concat(p.Write), w => Assert.True(Given.Word(w.Word).IsKnown, w.Word));
                });
                Assert.Equal(targets[0], made.Parts[0].Target);
            }
        }
    }

    [Fact]
    public void What_was_not_taught_and_what_has_no_word_is_left_out()
    {
        var request = Given.Request(20, 1);
        var made = CatchUpMaker.Make(
            request,
            [
                .. request.Today.Correspondences.Select(MemoryTarget.Of),
                MemoryTarget.Tricky("nobody-knows-it"),
                MemoryTarget.Of(request.Before.Correspondences.First()),
            ],
            3
        );
        Assert.Equal([MemoryTarget.Of(request.Before.Correspondences.First())], made.Parts.Select(p => p.Target));
        Assert.Empty(CatchUpMaker.Make(request, [], 3).Parts);
    }

    private static DueTarget Due(string word, DueWhy why) => new(MemoryTarget.Tricky(word), 0.5, why, 3, Day);

    [Fact]
    public void A_tricky_word_that_was_wrong_comes_first_to_write_and_one_that_all_have_has_graduated()
    {
        var request = Given.Request(60, 1);
        IReadOnlyList<string> Written(Memory memory) =>
            [
                .. Chooser
                    .Make(
                        new LessonWork(
                            new LessonRequest(
                                Before: request.Before,
                                Today: request.Today,
                                Materials: request.Materials,
                                TrickyBefore: request.TrickyBefore,
                                Memory: memory,
                                Minutes: request.Minutes,
                                Seed: request.Seed
                            )
                        ),
                        ActivityKind.SpellTricky,
                        PartKind.Revisit,
                        2
                    )!
                    .Items.OfType<WordItem>()
                    .Select(w => w.Word),
            ];
        var usual = Written(request.Memory);
        var held = request.Memory with { TrickyToWrite = usual.ToDictionary(w => w, w => Due(w, DueWhy.Round)) };
        var instead = Written(held);
        Assert.Empty(instead.Intersect(usual));
        var missed = request.Memory with { TrickyToWrite = instead.ToDictionary(w => w, w => Due(w, DueWhy.MissedBy)) };
        Assert.Single(Written(missed).Intersect(instead));
        Assert.Contains(Written(missed)[0], instead);
        // Not day after day, and not for all where hardly anyone had it wrong.
        var justWritten = missed with { TrickyWritten = instead.ToDictionary(w => w, _ => 1) };
        Assert.Empty(Written(justWritten).Intersect(instead));
        var few = missed.TrickyToWrite.ToDictionary(w => w.Key, w => w.Value with { Need = 0.1 });
        Assert.Equal(usual, Written(missed with { TrickyToWrite = few }));
        // What they read is another matter.
        Assert.Equal(usual, Written(request.Memory with { TrickyToRead = held.TrickyToWrite }));
    }
}
