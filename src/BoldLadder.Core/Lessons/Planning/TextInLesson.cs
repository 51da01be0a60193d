using System.Collections.Immutable;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>A text that a person puts into a lesson.</summary>
/// <param name="Lines">Its sentences as they are written.</param>
/// <param name="First">Tricky words that are taught before it is read; lower case.</param>
/// <param name="Told">Words that the adult says; lower case.</param>
public sealed record ChosenText(
    string Title,
    ImmutableArray<string> Lines,
    ImmutableArray<string> Questions,
    IReadOnlySet<string> First,
    IReadOnlySet<string> Told
);

/// <summary>
/// Puts a text of the school's own into a lesson: in the place of the text that is read, with the words that are taught
/// before it among the day's new tricky words. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public static class TextInLesson
{
    /// <summary>
    /// The lesson with the text; null with the words that stand in the way where children can't read it.
    /// </summary>
    public static (Lesson? Lesson, ImmutableArray<string> NotYet) Put(
        LessonRequest request,
        Lesson lesson,
        ChosenText text
    )
    {
        var finder = new WordFinder(request.Lexicon);
        var known = request.TrickyToday.ToHashSet(StringComparer.Ordinal);
        var judge = new WordJudge(finder, request.After, known.Union(text.First).ToHashSet(StringComparer.Ordinal));
        ImmutableArray<string> notYet =
        [
            .. text
                .Lines.Prepend(text.Title)
                .SelectMany(Printed)
                .Select(p => (p, Word: WrittenWord.InPrint(p, finder)))
                .Where(w => w.Word.IsNever || (!text.Told.Contains(w.Word.Plain) && !judge.Of(w.Word).CanBeRead))
                .Select(w => Sentence.Plain(w.p))
                .Distinct(),
        ];
        if (!notYet.IsEmpty)
            return (null, notYet);
        var first = text
            .First.Where(w => !known.Contains(w))
            .Select(request.Lexicon.Find)
            .OfType<Word>()
            .Where(w => !request.After.CanRead(w))
            .ToList();
        return (WithText(request, WithFirst(request, lesson, first), text, judge), []);
    }

    private static Lesson WithText(LessonRequest request, Lesson lesson, ChosenText text, WordJudge judge)
    {
        var old = lesson
            .Parts.Where(p => p.Kind == PartKind.Apply)
            .SelectMany(p => p.Activities)
            .FirstOrDefault(a => a.Kind == ActivityKind.ReadText);
        var activity = old ?? New(lesson, ActivityKind.ReadText, "apply-read-text");
        var item = new TextItem(
            $"{activity.Id}:{text.Title}",
            true,
            text.Title,
            [.. text.Lines.Select(l => OfLine(activity.Id, l, text, judge))],
            text.Questions,
            [Reason.Of("own-text")]
        );
        var filled = Pace.Holding(activity, [item], request.Pace);
        return old is null ? lesson.WithNew(PartKind.Apply, int.MaxValue, filled) : lesson.With(filled);
    }

    private static SentenceItem OfLine(string activity, string line, ChosenText text, WordJudge judge) =>
        new(
            $"{activity}:{line}",
            true,
            line,
            [
                .. Printed(line)
                    .Select(p => new SentenceWord(
                        p,
                        text.Told.Contains(Sentence.Plain(p)) ? SentenceWord.Told
                            : judge.Of(WrittenWord.InPrint(p, judge.Finder)).Status == ReadingStatus.Tricky ? "tricky"
                            : "decodable"
                    )),
            ],
            []
        );

    /// <summary>With words among those that are new by heart today.</summary>
    private static Lesson WithFirst(LessonRequest request, Lesson lesson, List<Word> first)
    {
        if (first.Count == 0)
            return lesson;
        var old = lesson.Activities.FirstOrDefault(a => a.Kind == ActivityKind.NewTrickyWord);
        var activity = old ?? New(lesson, ActivityKind.NewTrickyWord, "teach-tricky");
        var filled = Pace.Holding(
            activity,
            [
                .. activity.Items,
                .. first.Select(w =>
                    ItemMaker.OfWord(activity.Id, w, [Reason.Of("before-text")], request.After) with
                    {
                        Kept = true,
                    }
                ),
            ],
            request.Pace
        );
        return old is null ? lesson.WithNew(PartKind.Teach, int.MaxValue, filled) : lesson.With(filled);
    }

    private static Activity New(Lesson lesson, ActivityKind kind, string id)
    {
        while (lesson.Find(id) is not null)
            id += "-again";
        return new Activity(id, kind, ActivityFacts.Of(kind).Response, 0, []);
    }

    private static IEnumerable<string> Printed(string line) =>
        line.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Where(p => p.Any(char.IsLetterOrDigit));
}
