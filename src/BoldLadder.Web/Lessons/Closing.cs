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
            Words = [.. done.SelectMany(a => a.Items).SelectMany(ReadByChildren.Words).Distinct()],
            Missed = [.. Missed(lesson.Document, done, learned, request).Distinct()],
            RecordedAt = scope.UtcNow,
            RecordedBy = scope.UserId,
            Supersedes = earlier.Where(e => earlier.TrueForAll(o => o.Supersedes != e.Id)).Select(e => (Guid?)e.Id).SingleOrDefault(),
        };
    }

    /// <summary>What the teacher saw wobble, and what a lesson that stopped did not get to: the new things of Practise, and the cards of Revisit left over.</summary>
    private static IEnumerable<string> Missed(Lesson lesson, List<Activity> done, bool learned, CloseRequest request)
    {
        foreach (var wobbled in (request.Wobbled ?? []).Where(w => Core.Spelling.Correspondence.TryParse(w, out _))) yield return wobbled;
        if (request.Outcome != LessonOutcome.Stopped) yield break;
        if (learned && !done.Exists(a => PartOf(lesson, a) == PartKind.Apply)) foreach (var target in lesson.Target) yield return target;
        foreach (var card in lesson.Activities.Except(done).Where(a => PartOf(lesson, a) == PartKind.Revisit).SelectMany(a => a.Items).OfType<CardItem>()) yield return card.Correspondence;
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
