using BoldLadder.Core;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Formats.Dates;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;

namespace BoldLadder.School.Calendars;

/// <summary>A file of dates, iCalendar or CSV, with the calendar as it stands on the screen.</summary>
/// <param name="DayFirst">How dates like 03/04 are meant; null where nobody was asked.</param>
/// <param name="Choices">What lines mean, where a person says otherwise.</param>
public sealed record DatesFile(
    byte[] Content,
    bool? DayFirst,
    IReadOnlyList<DateChoice> Choices,
    IReadOnlyList<TermView> Terms,
    IReadOnlyList<DateOnly> Closed,
    IReadOnlyList<int> LessonDays
);

public sealed record DateChoice(int Line, DateMeaning Meaning);

/// <summary>What would come of it; nothing is kept until the calendar is saved.</summary>
/// <param name="InDoubt">A date of which nothing says whether the day or the month comes first; null for none.</param>
/// <param name="Terms">The terms there would be, with those that were there; <paramref name="Closed"/> the closed
/// days.</param>
public sealed record DatesPreview(
    string? InDoubt,
    bool DayFirst,
    IReadOnlyList<DateLine> Lines,
    IReadOnlyList<DateProblem> Problems,
    IReadOnlyList<TermView> Terms,
    IReadOnlyList<DateOnly> Closed
);

/// <param name="ClosedDays">How many days without lessons come of it.</param>
public sealed record DateLine(
    int Line,
    string Name,
    DateOnly First,
    DateOnly Last,
    DateMeaning Meaning,
    int ClosedDays
);

/// <summary>Terms and closed days out of a file that a school has: looked at, then saved with the calendar.</summary>
public sealed class DatesDesk(SchoolScope scope)
{
    private const int LargestFile = 1024 * 1024;

    public Answer<DatesPreview> Look(DatesFile file)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (file.Content.Length > LargestFile)
            return Refusal.Unusable("file-too-large", ("most", LargestFile / 1024 / 1024));
        if (file.Terms.Count > CalendarDesk.MostTerms || file.Closed.Count > CalendarDesk.MostClosed)
            return CalendarDesk.TooMuch;
        if (file.Terms.FirstOrDefault(t => !CalendarCheck.IsDay(t.First) || !CalendarCheck.IsDay(t.Last)) is { } far)
            return Refusal.Unusable("day-out-of-range.calendar", ("day", far.First));
        try
        {
            var read = DatesIcal.Is(file.Content)
                ? DatesIcal.Read(file.Content)
                : DatesCsv.Read(file.Content, file.DayFirst);
            if (read.Events.IsEmpty && read.Problems.IsEmpty)
                return Refusal.Unusable("no-dates-in-file");
            return Preview(file, read);
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
    }

    private static DatesPreview Preview(DatesFile file, DatedFile read)
    {
        var meant = DatesMeant.Of(
            read.Events,
            file.LessonDays,
            [.. file.Terms.Select(t => new SchoolTerm(t.Name, t.First, t.Last))],
            file.Closed,
            file.Choices.DistinctBy(c => c.Line).ToDictionary(c => c.Line, c => c.Meaning)
        );
        return new DatesPreview(
            InDoubt: read.InDoubt,
            DayFirst: read.DayFirst,
            Lines:
            [
                .. meant.Lines.Select(l => new DateLine(
                    Line: l.Event.Line,
                    Name: l.Event.Name,
                    First: l.Event.First,
                    Last: l.Event.Last,
                    Meaning: l.Meaning,
                    ClosedDays: l.ClosedDays
                )),
            ],
            Problems: read.Problems,
            Terms:
            [
                .. meant.Terms.Select(t => new TermView(
                    // A term that was there stays itself.
                    file.Terms.FirstOrDefault(old => (old.First, old.Last) == (t.First, t.Last))?.Id
                        ?? Guid.CreateVersion7(),
                    t.Name,
                    t.First,
                    t.Last
                )),
            ],
            Closed: meant.Closed
        );
    }
}
