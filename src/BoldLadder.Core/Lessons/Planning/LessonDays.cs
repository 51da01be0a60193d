using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Teaching;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>Which kind a day is.</summary>
public static class LessonDays
{
    /// <summary>With fewer words of its own than this, what is new is taught by ear.</summary>
    public const int FewWords = 4;

    /// <param name="ownWords">How many words use what is new and can be read after it.</param>
    public static LessonDay Of(LessonRequest request, int ownWords)
    {
        var today = request.Today;
        if (today.Id == QuietDay.Id(DayKind.Recap) || today.Id == QuietDay.Id(DayKind.Return))
            return LessonDay.Recap;
        if (today.Kind == RungKind.Assessment || today.Id == QuietDay.Id(DayKind.Check))
            return LessonDay.Assessment;
        if (today.Kind != RungKind.Lesson)
            return today.Kind == RungKind.Sort ? LessonDay.Sort : LessonDay.Review;
        if (!today.IsInWords)
            return LessonDay.TrickyWord;
        if (ownWords < FewWords)
            return LessonDay.FewWords;
        if (today.Correspondences.IsEmpty)
            return LessonDay.Pattern;
        var (accent, taught) = (request.Before.Accent, request.Before.Correspondences);
        if (
            today.Correspondences.Any(t =>
                taught.Any(c => c.Grapheme == t.Grapheme && accent.Project(c) != accent.Project(t))
            )
        )
            return LessonDay.SecondSound;
        return today.Correspondences.Any(t =>
            taught.Any(c => c.Grapheme != t.Grapheme && accent.Project(c) == accent.Project(t))
        )
            ? LessonDay.SoundFamily
            : LessonDay.New;
    }
}
