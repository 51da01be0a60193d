using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Words;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.School.Work;

namespace BoldLadder.School.Ladders;

/// <summary>A shipped order, as a school looks at it before it takes one.</summary>
/// <param name="Rungs">How many there are in all.</param>
public sealed record StartView(string Id, int Rungs, IReadOnlyList<StartMonth> Months);

/// <summary>Four weeks of it.</summary>
/// <param name="Rungs">What its rungs teach, in order.</param>
/// <param name="Words">How many words for lessons can be read at its end.</param>
/// <param name="Examples">Some of those that its rungs brought.</param>
public sealed record StartMonth(
    IReadOnlyList<string> Rungs,
    IReadOnlyList<string> Tricky,
    int Words,
    IReadOnlyList<string> Examples
);

/// <summary>The shipped orders side by side: what their first months bring, in the school's accent.</summary>
public sealed class StartDesk(SchoolScope scope, LadderStudy study, WordData shipped, HeavyWork heavy)
{
    private const int Months = 3;

    /// <summary>Four weeks of five days, of which one goes back.</summary>
    private const int RungsInMonth = 16;
    private const int Examples = 6;
    private const int ShortestExample = 3;

    public async Task<List<StartView>> List()
    {
        var (way, lexicon) = (scope.Way, scope.Words.Lexicon);
        await scope.Release();
        return await heavy.Run(
            () =>
                shipped
                    .Ladders.OrderBy(l => l.Key, StringComparer.Ordinal)
                    .Select(l => View(l.Key, AccentFit.Of(l.Value, study.Index(way)), way, lexicon))
                    .ToList(),
            scope.Stop
        );
    }

    private StartView View(string id, Ladder ladder, WayOfReading way, Lexicon lexicon)
    {
        var (unlocked, tricky) = (study.Unlocked(ladder, way), ladder.Rungs.SelectMany(r => r.Tricky).ToHashSet());
        var months = new List<StartMonth>();
        var words = 0;
        foreach (var (month, rungs) in ladder.Rungs.Chunk(RungsInMonth).Take(Months).Index())
        {
            var brought = Enumerable
                .Range(month * RungsInMonth, rungs.Length)
                .SelectMany(r => unlocked[r])
                // As this school spells, and without what it keeps out.
                .Where(w => lexicon.Find(w.Spelling) is { IsForLessons: true })
                .ToList();
            words += brought.Count;
            months.Add(
                new StartMonth(
                    [.. rungs.Select(r => r.Label)],
                    [.. rungs.SelectMany(r => r.Tricky)],
                    words,
                    [
                        .. brought
                            .Where(w =>
                                w.IsKnown && w.Spelling.Length >= ShortestExample && !tricky.Contains(w.Spelling)
                            )
                            .OrderByDescending(w => w.Zipf)
                            .DistinctBy(w => w.Spelling[0])
                            .Take(Examples)
                            .Select(w => w.Spelling),
                    ]
                )
            );
        }
        return new StartView(id, ladder.Rungs.Length, months);
    }
}
