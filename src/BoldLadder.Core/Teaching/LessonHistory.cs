using BoldLadder.Core.Lessons;

namespace BoldLadder.Core.Teaching;

/// <summary>A lesson before the one that is planned, taught or still to come.</summary>
/// <param name="Words">The words children read in it.</param>
/// <param name="Outcome">Null while it is planned.</param>
/// <param name="StoppedAt">The activity reached, for one that stopped.</param>
public sealed record ShownLesson(
    Lesson Document,
    IReadOnlyCollection<string> Words,
    LessonOutcome? Outcome,
    string? StoppedAt
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
    public const int Lessons = 12;

    /// <param name="lessons">The newest first.</param>
    /// <param name="minutes">How long the group's lessons are.</param>
    public static LessonHistory Of(IReadOnlyList<ShownLesson> lessons, int minutes)
    {
        var (words, texts, kinds) = (
            new Dictionary<string, int>(StringComparer.Ordinal),
            new Dictionary<string, int>(StringComparer.Ordinal),
            new Dictionary<ActivityKind, int>()
        );
        for (var ago = 1; ago <= lessons.Count; ago++)
        {
            var lesson = lessons[ago - 1];
            foreach (var word in lesson.Words)
                words.TryAdd(word, ago);
            foreach (var activity in lesson.Document.Activities)
            {
                kinds.TryAdd(activity.Kind, ago);
                foreach (var item in activity.Items)
                {
                    if (item is SentenceItem sentence)
                        texts.TryAdd(sentence.Text, ago);
                    if (item is TextItem text)
                        texts.TryAdd(text.Title, ago);
                }
            }
        }
        return new LessonHistory(
            words,
            texts,
            kinds,
            Core.Lessons.Templates.Pace.Of(
                lessons
                    .Where(l => l.Outcome is LessonOutcome.Taught or LessonOutcome.Stopped)
                    .Reverse()
                    .Select(l => Timing(l, minutes * 60))
            )
        );
    }

    /// <summary>
    /// A lesson that stopped had the whole of its minutes for what comes before the place it stopped at.
    /// </summary>
    private static (int Planned, int Had) Timing(ShownLesson lesson, int seconds)
    {
        if (lesson.Outcome != LessonOutcome.Stopped)
            return (1, 1);
        var done =
            lesson.Document.Activities.TakeWhile(a => a.Id != lesson.StoppedAt).Sum(a => a.Seconds)
            + (lesson.Document.Find(lesson.StoppedAt ?? "")?.Seconds ?? 0);
        return (done, seconds);
    }
}
