using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;

namespace BoldLadder.Core.Lessons.Templates;

/// <summary>The kinds of days that lessons are built for. Source: docs/handbook.md, sections 5, 6 and 8.</summary>
public enum LessonDay
{
    /// <summary>A new correspondence of a new sound.</summary>
    New,

    /// <summary>Another spelling of a sound that was taught.</summary>
    SoundFamily,

    /// <summary>Another sound of a spelling that was taught.</summary>
    SecondSound,

    Pattern,

    /// <summary>Only tricky words are new.</summary>
    TrickyWord,

    /// <summary>Something new that too few words have: it is taught by ear, by spotting and by forming letters.</summary>
    FewWords,

    Review,

    Assessment,

    /// <summary>After a long break.</summary>
    Recap,

    /// <summary>Closes a sound family.</summary>
    Sort,
}

/// <summary>Which kind a day is.</summary>
public static class LessonDays
{
    /// <summary>With fewer words of its own than this, what is new is taught by ear.</summary>
    public const int FewWords = 4;

    /// <param name="ownWords">How many words use what is new and can be read after it.</param>
    public static LessonDay Of(LessonRequest request, int ownWords)
    {
        var today = request.Today;
        if (today.Id == QuietDay.Id(DayKind.Recap) || today.Id == QuietDay.Id(DayKind.Return)) return LessonDay.Recap;
        if (today.Kind == RungKind.Assessment || today.Id == QuietDay.Id(DayKind.Check)) return LessonDay.Assessment;
        if (today.Kind != RungKind.Lesson) return today.Kind == RungKind.Sort ? LessonDay.Sort : LessonDay.Review;
        if (!today.TeachesSomething) return LessonDay.TrickyWord;
        if (ownWords < FewWords) return LessonDay.FewWords;
        if (today.Correspondences.IsEmpty) return LessonDay.Pattern;
        var (accent, taught) = (request.Before.Accent, request.Before.Correspondences);
        if (today.Correspondences.Any(t => taught.Any(c => c.Grapheme == t.Grapheme && accent.Project(c) != accent.Project(t)))) return LessonDay.SecondSound;
        return today.Correspondences.Any(t => taught.Any(c => c.Grapheme != t.Grapheme && accent.Project(c) == accent.Project(t))) ? LessonDay.SoundFamily : LessonDay.New;
    }
}
