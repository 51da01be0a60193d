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

    /// <summary>
    /// Something new that too few words have: it is taught by ear, by spotting and by forming letters.
    /// </summary>
    FewWords,

    Review,

    Assessment,

    /// <summary>After a long break.</summary>
    Recap,

    /// <summary>Closes a sound family.</summary>
    Sort,
}
