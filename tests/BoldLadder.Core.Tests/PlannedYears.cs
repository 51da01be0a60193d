using System.Collections.Concurrent;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;

namespace BoldLadder.Core.Tests;

/// <summary>A whole ladder to plan: which, in which accent, how long the lessons are, from which seed.</summary>
public sealed record Year(int Ladder, string Accent, int Minutes, long Seed);

/// <summary>
/// Whole years of lessons, planned once for all tests that look for what must hold of every lesson: each ladder in turn
/// with another accent and length, and in the deep run all of them with all.
/// </summary>
internal static class PlannedYears
{
    private static readonly ConcurrentDictionary<
        Year,
        Lazy<IReadOnlyList<(LessonRequest Request, Lesson Lesson)>>
    > Planned = new();

    public static IEnumerable<Year> All =>
        from ladder in Enumerable.Range(0, 3)
        from accent in Enumerable.Range(0, 3)
        from length in Enumerable.Range(0, 4)
        where Given.Deep || (accent == ladder && (length == ladder || (length == 3 && ladder == 0)))
        select new Year(
            ladder,
            Accents.Accent.All[accent].Id,
            Pace.Lengths[length],
            100 + (12 * ladder) + (4 * accent) + length
        );

    public static IReadOnlyList<(LessonRequest Request, Lesson Lesson)> Of(Year year) =>
        Planned
            .GetOrAdd(year, y => new Lazy<IReadOnlyList<(LessonRequest, Lesson)>>(() =>
            {
                var series = new LessonSeries(
                    Given.Ladders.ElementAt(y.Ladder),
                    Given.Materials,
                    Leniencies.All,
                    Accent.Parse(y.Accent),
                    y.Minutes,
                    y.Seed
                );
                var lessons = new List<(LessonRequest, Lesson)>();
                while (series.HasNext)
                    lessons.Add(series.PlanNext());
                return lessons;
            }))
            .Value;

    /// <summary>Fails with all that a law finds wrong in the lessons of all years, with where it is.</summary>
    public static void Keep(Func<LessonRequest, Lesson, IEnumerable<string>> faults)
    {
        var found = new List<string>();
        foreach (var year in All)
        {
            var rung = 0;
            foreach (var (request, lesson) in Of(year))
            {
                rung++;
                found.AddRange(
                    faults(request, lesson)
                        .Select(f =>
                            $"{Given.Ladders.ElementAt(year.Ladder).Id} {rung} ({request.Today.Label}), "
                            + $"{year.Minutes} min, {year.Accent}, seed {year.Seed}: {f}"
                        )
                );
            }
        }
        Xunit.Assert.True(found.Count == 0, $"{found.Count}:\n{string.Join('\n', found.Take(40))}");
    }
}
