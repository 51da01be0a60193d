using System.Collections.Immutable;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// What a log comes to is the same line by line, as a whole, and after a rest on disk; and it says what the log says.
/// </summary>
public class StandingTests
{
    private static readonly DateOnly Monday = new(2026, 11, 23);
    private static readonly string[] Notations = ["a=æ", "d=d", "m=m", "p=p", "t=t", "sh=ʃ", "ee=iː"];
    private static readonly string[] Words = ["dad", "map", "tap", "sheep", "the"];

    private static Gen<ImmutableArray<string>> Some(string[] from) =>
        Gen.Int[0, from.Length - 1]
            .Array[0, 3]
            .Select(picks => picks.Select(i => from[i]).Distinct().ToImmutableArray());

    private static readonly Gen<TaughtFact> Line = Gen.Select(
            Some(Notations),
            Some(["suffix-s", "capitals"]),
            Some(["the", "to", "said"]),
            Some(Notations),
            Some(Words),
            Gen.Int[0, 4]
        )
        .Select(
            (taught, patterns, tricky, seen, words, rung) =>
                new TaughtFact(
                    Date: Monday,
                    Correspondences: taught,
                    Patterns: patterns,
                    Tricky: tricky,
                    Seen: seen,
                    Words: words,
                    RungId: rung == 0 ? null : $"r{rung}"
                )
                {
                    Missed = [.. seen.Take(1)],
                }
        );

    private static readonly Gen<ImmutableArray<TaughtFact>> Log = Line.Array[0, 12]
        .Select(lines => lines.Select((l, i) => l with { Date = Monday.AddDays(i) }).ToImmutableArray());

    private static readonly Ladder Short = new(
        "short",
        "letters-first",
        Patterns.All,
        [
            .. new[] { "a=æ d=d", "m=m", "sh=ʃ", "ee=iː" }.Select(c => new Rung(
                c,
                "letters",
                [.. CorrespondenceSet.Parse(c.Split(' '))],
                Patterns.None,
                [],
                null
            )),
        ]
    );

    [Fact]
    public void Folded_line_by_line_read_back_and_folded_as_a_whole_it_is_the_same() =>
        Log.Sample(log =>
        {
            var byLine = log.Aggregate(Standing.Nothing, (standing, line) =>
                Standing.Read(Standing.Write(standing)).With(line)
            );
            Assert.Equal(Standing.Write(Standing.Of(log.Reverse())), Standing.Write(byLine));
        });

    /// <summary>Slow and plainly right: each answer is looked for in the lines themselves.</summary>
    [Fact]
    public void It_says_what_the_log_says() =>
        Gen.Select(Log, Gen.Int[0, 3])
            .Sample(
                (log, ahead) =>
                {
                    var progress = new Progress(Short, Standing.Of(log));
                    var memory = progress.MemoryAt(ahead);
                    var planned = progress
                        .Remaining.Take(ahead)
                        .SelectMany(r => r.Correspondences)
                        .Select(c => c.Notation)
                        .ToList();
                    Assert.Equal(
                        log.SelectMany(l => l.Correspondences).Distinct().Order(),
                        progress.Correspondences.Select(c => c.Notation).Order()
                    );
                    Assert.Equal(log.SelectMany(l => l.Tricky).Distinct(), progress.Tricky);
                    Assert.Equal(
                        log.SelectMany(l => l.Correspondences).Concat(planned).Reverse().Distinct(),
                        memory.Newest.Select(c => c.Notation)
                    );
                    Assert.Equal(
                        ahead == 0 && log.Length > 0 ? log[^1].Missed : [],
                        memory.Missed.Select(c => c.Notation)
                    );
                    foreach (var word in Words)
                        Assert.Equal(
                            Ago(log, l => l.Words.Contains(word), ahead),
                            memory.Words.GetValueOrDefault(word)
                        );
                    foreach (var one in Notations.Except(planned))
                        Assert.Equal(
                            Ago(log, l => l.Correspondences.Contains(one) || l.Seen.Contains(one), ahead),
                            memory.Seen.GetValueOrDefault(Correspondence.Parse(one))
                        );
                    foreach (var rung in Short.Rungs)
                    {
                        var firsts = rung
                            .Correspondences.Select(c =>
                                log.FirstOrDefault(l => l.Correspondences.Contains(c.Notation))?.Date
                            )
                            .ToList();
                        Assert.Equal(firsts.Max(), progress.TaughtOn(rung));
                    }
                }
            );

    [Fact]
    public void A_lesson_before_the_last_is_not_laid_on_top()
    {
        var standing = Standing.Nothing.With(new TaughtFact(Monday, [], [], [], [], []));
        Assert.Contains(
            "Fold the log anew",
            Assert
                .Throws<ArgumentException>(() => standing.With(new TaughtFact(Monday.AddDays(-1), [], [], [], [], [])))
                .Message,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void A_day_that_was_closed_is_over_and_the_next_is_open()
    {
        Assert.Equal(Monday, Standing.Nothing.FirstOpen(Monday));
        Assert.Equal(Monday.AddDays(1), Standing.Nothing.WithClosed(Monday).FirstOpen(Monday));
        Assert.Equal(Monday, Standing.Nothing.WithClosed(Monday.AddDays(-3)).FirstOpen(Monday));
    }

    private static int Ago(ImmutableArray<TaughtFact> log, Func<TaughtFact, bool> has, int ahead) =>
        Enumerable.Range(0, log.Length).Where(i => has(log[i])).Select(i => log.Length - i + ahead).LastOrDefault();
}
