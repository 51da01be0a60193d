using BoldLadder.Core.Lessons;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Lessons;

/// <summary>What a group's last lessons before a day showed, taught or still planned: how many lessons ago, by what was shown.</summary>
public sealed record LessonHistory(IReadOnlyDictionary<string, int> Words, IReadOnlyDictionary<string, int> Texts, IReadOnlyDictionary<ActivityKind, int> Kinds, double Pace)
{
    /// <summary>Further back nothing matters for what comes next.</summary>
    private const int Lessons = 12;

    public static async Task<LessonHistory> Before(SchoolScope scope, Group group, DateOnly date) =>
        Of(await scope.Store.Lessons.AsNoTracking().Where(l => l.GroupId == group.Id && l.Date < date && l.Status != LessonStatus.NotTaught).OrderByDescending(l => l.Date).Take(Lessons).ToListAsync(), group.LessonMinutes);

    /// <param name="lessons">The newest first.</param>
    public static LessonHistory Of(IReadOnlyList<StoredLesson> lessons, int minutes)
    {
        var (words, texts, kinds) = (new Dictionary<string, int>(StringComparer.Ordinal), new Dictionary<string, int>(StringComparer.Ordinal), new Dictionary<ActivityKind, int>());
        for (var ago = 1; ago <= lessons.Count; ago++)
        {
            var lesson = lessons[ago - 1];
            foreach (var word in lesson.Words) words.TryAdd(word, ago);
            foreach (var activity in lesson.Document.Activities)
            {
                kinds.TryAdd(activity.Kind, ago);
                foreach (var item in activity.Items)
                {
                    if (item is SentenceItem sentence) texts.TryAdd(sentence.Text, ago);
                    if (item is TextItem text) texts.TryAdd(text.Title, ago);
                }
            }
        }
        return new LessonHistory(words, texts, kinds, Core.Lessons.Templates.Pace.Of(lessons.Where(l => l.Status is LessonStatus.Taught or LessonStatus.Stopped).Reverse().Select(l => Timing(l, minutes * 60))));
    }

    /// <summary>A lesson that stopped had the whole of its minutes for what comes before the place it stopped at.</summary>
    private static (int Planned, int Had) Timing(StoredLesson lesson, int seconds)
    {
        if (lesson.Status != LessonStatus.Stopped) return (1, 1);
        var done = lesson.Document.Activities.TakeWhile(a => a.Id != lesson.StoppedAt).Sum(a => a.Seconds) + (lesson.Document.Find(lesson.StoppedAt ?? "")?.Seconds ?? 0);
        return (done, seconds);
    }
}
