using System.Collections.Frozen;
using BoldLadder.Core.Lessons;

namespace BoldLadder.Core.Teaching;

/// <summary>A lesson before the one that is planned, taught or still to come.</summary>
/// <param name="Words">The words children read in it.</param>
/// <param name="Outcome">Null while it is planned.</param>
/// <param name="StoppedAt">The activity reached, for one that stopped.</param>
/// <param name="Took">Seconds that its activities took, by activity; null where nobody measured.</param>
public sealed record ShownLesson(
    Lesson Document,
    IReadOnlyCollection<string> Words,
    LessonOutcome? Outcome,
    string? StoppedAt,
    IReadOnlyDictionary<string, int>? Took = null
);

/// <summary>
/// What a group's last lessons before a day showed, taught or still planned: how many lessons ago, by what was shown;
/// and how fast the group went.
/// </summary>
public sealed record LessonHistory(
    IReadOnlyDictionary<string, int> Words,
    IReadOnlyDictionary<string, int> Texts,
    IReadOnlyDictionary<ActivityKind, int> Kinds,
    double Pace
)
{
    /// <summary>Further back nothing matters for what comes next.</summary>
    public const int Lessons = 20;

    public IReadOnlyDictionary<string, int> TrickyRead { get; init; } = FrozenDictionary<string, int>.Empty;

    public IReadOnlyDictionary<string, int> TrickyWritten { get; init; } = FrozenDictionary<string, int>.Empty;

    /// <summary>In how many of the lessons a tricky word was written from memory.</summary>
    public IReadOnlyDictionary<string, int> Written { get; init; } = FrozenDictionary<string, int>.Empty;

    /// <summary>In how many of the lessons a text was read, by its title.</summary>
    public IReadOnlyDictionary<string, int> TextReadings { get; init; } = FrozenDictionary<string, int>.Empty;

    /// <param name="lessons">The newest first.</param>
    /// <param name="minutes">How long the group's lessons are.</param>
    public static LessonHistory Of(IReadOnlyList<ShownLesson> lessons, int minutes)
    {
        var tallies = lessons.Select(l => LessonTally.Of(l.Document)).ToList();
        Dictionary<T, int> Ago<T>(Func<int, IEnumerable<T>> shown)
            where T : notnull
        {
            var ago = new Dictionary<T, int>();
            for (var i = 0; i < lessons.Count; i++)
            {
                foreach (var one in shown(i))
                    ago.TryAdd(one, i + 1);
            }
            return ago;
        }
        return new LessonHistory(
            Ago(i => lessons[i].Words),
            Ago(i => tallies[i].Sentences.Concat(tallies[i].Titles)),
            Ago(i => tallies[i].Kinds),
            Core.Lessons.Templates.Pace.Of(
                lessons
                    .Where(l => l.Outcome is LessonOutcome.Taught or LessonOutcome.Stopped)
                    .Reverse()
                    .Select(l => Timing(l, minutes * 60))
            )
        )
        {
            TrickyRead = Ago(i => tallies[i].TrickyRead),
            TrickyWritten = Ago(i => tallies[i].TrickyWritten),
            Written = tallies.SelectMany(t => t.TrickyWritten).CountBy(w => w).ToDictionary(),
            TextReadings = tallies.SelectMany(t => t.Titles).CountBy(t => t).ToDictionary(),
        };
    }

    /// <summary>An activity that was over sooner was passed over, not taught.</summary>
    private const int Taught = 10;

    /// <summary>Fewer activities that were measured say nothing of a lesson.</summary>
    private const int FewestMeasured = 3;

    /// <summary>What took longer than so many times its plan was a break in the middle.</summary>
    private const int MostTimes = 3;

    /// <summary>
    /// What was measured goes first. A lesson that stopped had the whole of its minutes for what comes before the place
    /// it stopped at.
    /// </summary>
    private static (int Planned, int Had) Timing(ShownLesson lesson, int seconds)
    {
        var measured = lesson
            .Document.Activities.Select(a => (a.Seconds, Took: lesson.Took?.GetValueOrDefault(a.Id) ?? 0))
            .Where(a => a.Took >= Taught)
            .ToList();
        if (measured.Count >= FewestMeasured)
            return (measured.Sum(a => a.Seconds), measured.Sum(a => Math.Min(a.Took, MostTimes * a.Seconds)));
        if (lesson.Outcome != LessonOutcome.Stopped)
            return (1, 1);
        var done =
            lesson.Document.Activities.TakeWhile(a => a.Id != lesson.StoppedAt).Sum(a => a.Seconds)
            + (lesson.Document.Find(lesson.StoppedAt ?? "")?.Seconds ?? 0);
        return (done, seconds);
    }
}
