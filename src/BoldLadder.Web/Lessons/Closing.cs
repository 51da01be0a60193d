using BoldLadder.Core.Lessons;
using BoldLadder.Store;
using BoldLadder.Web.Schools;

namespace BoldLadder.Web.Lessons;

/// <summary>Turns the closing of a lesson into a line of the teaching log.</summary>
public static class Closing
{
    public static TeachingLogEntry Entry(SchoolScope scope, StoredLesson lesson, CloseRequest request, List<TeachingLogEntry> earlier)
    {
        var done = Done(lesson.Document, request).ToList();
        // What is new counts as taught once the lesson got beyond its Teach part.
        var learned = request.Outcome == LessonOutcome.Taught || done.Exists(a => PartOf(lesson.Document, a) > PartKind.Teach);
        return new TeachingLogEntry
        {
            SchoolId = lesson.SchoolId,
            Id = request.EntryId,
            GroupId = lesson.GroupId,
            Date = lesson.Date,
            RungId = lesson.RungId,
            Outcome = request.Outcome,
            Correspondences = learned ? [.. lesson.Document.Target] : [],
            Patterns = learned ? [.. lesson.Document.Patterns] : [],
            Tricky = learned ? [.. lesson.Document.Activities.Where(a => a.Kind == ActivityKind.NewTrickyWord).SelectMany(a => a.Items).OfType<WordItem>().Select(w => w.Word)] : [],
            Seen = [.. done.SelectMany(a => a.Items).OfType<CardItem>().Select(c => c.Correspondence)
                .Where(n => learned || !lesson.Document.Target.Contains(n)).Distinct()],
            Words = [.. done.SelectMany(a => a.Items).OfType<WordItem>().Where(w => !w.Oral).Select(w => w.Word).Distinct()],
            RecordedAt = scope.UtcNow,
            RecordedBy = scope.UserId,
            Supersedes = earlier.Where(e => earlier.TrueForAll(o => o.Supersedes != e.Id)).Select(e => (Guid?)e.Id).SingleOrDefault(),
        };
    }

    /// <summary>The activities that were done: up to and with the one stopped at.</summary>
    private static IEnumerable<Activity> Done(Lesson lesson, CloseRequest request) => request.Outcome switch
    {
        LessonOutcome.Taught => lesson.Activities,
        LessonOutcome.Stopped => lesson.Activities.TakeWhile(a => a.Id != request.StoppedAt).Append(lesson.Find(request.StoppedAt!)!),
        _ => [],
    };

    private static PartKind PartOf(Lesson lesson, Activity activity) => lesson.Parts.Single(p => p.Activities.Contains(activity)).Kind;
}
