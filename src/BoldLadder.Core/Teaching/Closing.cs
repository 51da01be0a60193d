using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Teaching;

/// <summary>What a teacher says of a lesson when it is over.</summary>
/// <param name="StoppedAt">The activity reached, for one that stopped.</param>
/// <param name="Wobbled">Reference notations that wobbled in the group; what is none is passed over.</param>
public sealed record Closing(LessonOutcome Outcome, string? StoppedAt, IReadOnlyList<string> Wobbled)
{
    /// <summary>
    /// What the lesson taught, showed and missed, as a line of the log. What is new counts as taught once the lesson
    /// got beyond its Teach part.
    /// </summary>
    public TaughtFact Of(Lesson lesson, DateOnly date, string rungId)
    {
        var done = Done(lesson).ToList();
        var learned = Outcome == LessonOutcome.Taught || done.Exists(a => PartOf(lesson, a) > PartKind.Teach);
        return new TaughtFact(
            Date: date,
            Correspondences: learned ? lesson.Target : [],
            Patterns: learned ? lesson.Patterns : [],
            Tricky: learned
                ?
                [
                    .. lesson
                        .Activities.Where(a => a.Kind == ActivityKind.NewTrickyWord)
                        .SelectMany(a => a.Items)
                        .OfType<WordItem>()
                        .Select(w => w.Word),
                ]
                : [],
            Seen:
            [
                .. done.SelectMany(a => a.Items)
                    .OfType<CardItem>()
                    .Select(c => c.Correspondence)
                    .Where(n => learned || !lesson.Target.Contains(n))
                    .Distinct(),
            ],
            Words: [.. done.SelectMany(a => a.Items).SelectMany(ReadByChildren.Words).Distinct()],
            RungId: rungId
        )
        {
            Missed = [.. Missed(lesson, done, learned).Distinct()],
        };
    }

    /// <summary>
    /// What the teacher saw wobble, and what a lesson that stopped did not get to: the new things of Practise, and the
    /// cards of Revisit left over.
    /// </summary>
    private IEnumerable<string> Missed(Lesson lesson, List<Activity> done, bool learned)
    {
        foreach (var wobbled in Wobbled.Where(w => Correspondence.TryParse(w, out _)))
            yield return wobbled;
        if (Outcome != LessonOutcome.Stopped)
            yield break;
        if (learned && !done.Exists(a => PartOf(lesson, a) == PartKind.Apply))
            foreach (var target in lesson.Target)
                yield return target;
        foreach (
            var card in lesson
                .Activities.Except(done)
                .Where(a => PartOf(lesson, a) == PartKind.Revisit)
                .SelectMany(a => a.Items)
                .OfType<CardItem>()
        )
            yield return card.Correspondence;
    }

    /// <summary>The activities that were done: up to and with the one stopped at.</summary>
    private IEnumerable<Activity> Done(Lesson lesson) =>
        Outcome switch
        {
            LessonOutcome.Taught => lesson.Activities,
            LessonOutcome.Stopped => lesson
                .Activities.TakeWhile(a => a.Id != StoppedAt)
                .Append(lesson.Find(StoppedAt!)!),
            _ => [],
        };

    private static PartKind PartOf(Lesson lesson, Activity activity) =>
        lesson.Parts.Single(p => p.Activities.Contains(activity)).Kind;
}
