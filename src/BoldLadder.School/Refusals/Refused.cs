using BoldLadder.Core;
using BoldLadder.Core.Ladders.Calendars;

namespace BoldLadder.School.Refusals;

/// <summary>Refusals that more than one room gives.</summary>
public static class Refused
{
    /// <summary>Longest name of a school, ladder, term or checkpoint, in letters.</summary>
    public const int LongestName = 80;

    public static readonly Refusal UnknownSchool = Refusal.NotFound("unknown-school");
    public static readonly Refusal UnknownGroup = Refusal.NotFound("unknown-group");
    public static readonly Refusal UnknownLadder = Refusal.NotFound("unknown-ladder");
    public static readonly Refusal UnknownRung = Refusal.NotFound("unknown-rung");
    public static readonly Refusal UnknownLesson = Refusal.NotFound("unknown-lesson");
    public static readonly Refusal UnknownBook = Refusal.NotFound("unknown-book");
    public static readonly Refusal NoLesson = Refusal.NotFound("no-lesson");
    public static readonly Refusal LadderClimbed = Refusal.Conflict("ladder-climbed");
    public static readonly Refusal BadName = Refusal.Unusable("bad-name", ("most", LongestName));
    public static readonly Refusal TooMuchAtOnce = Refusal.Unusable("too-many-steps");
    public static readonly Refusal VersionMissing = new(RefusalKind.Unversioned, "version-missing", []);

    /// <summary>Why a day of a body is none that a calendar can have; null for one that is.</summary>
    public static Refusal? Day(DateOnly? date) =>
        date is { } day && !CalendarCheck.IsDay(day)
            ? Refusal.Unusable(
                "day-out-of-range",
                ("first", CalendarCheck.Years.First),
                ("last", CalendarCheck.Years.Last)
            )
            : null;

    /// <summary>What the core refused, as a refusal.</summary>
    public static Refusal Of(RefusedException refusal) =>
        Refusal.Unusable(refusal.Code.Split('.')[0], [.. refusal.Arguments]) with
        {
            Sentence = refusal.Code,
        };

    public static bool IsName(string? name) => PlainName.Is(name?.Trim(), LongestName);
}
