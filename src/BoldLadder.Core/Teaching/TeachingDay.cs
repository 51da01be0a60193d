using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Teaching;

/// <summary>A group's day: the ladder, what is taught before it, and the rung it comes to.</summary>
/// <param name="Ahead">How many rungs will be taught between now and the day.</param>
/// <param name="Rung">The rung, or what a quiet day goes back to; null when the ladder is climbed.</param>
/// <param name="Fit">The rungs still to come on their days.</param>
public record TeachingDay(
    DateOnly Date,
    Ladder Ladder,
    SchoolCalendar Calendar,
    Progress Progress,
    CalendarFit Fit,
    int Ahead,
    Rung? Rung
)
{
    /// <summary>What a lesson for a rung, or for a quiet day, is called.</summary>
    public static LessonTitle TitleOf(Rung rung) =>
        new(rung.Id, QuietDay.IsId(rung.Id) ? rung.Id : rung.Label, rung.Stage);

    /// <summary>
    /// The rung that a planned lesson is for, as its own document says, so that no later ladder changes it.
    /// </summary>
    public Rung RungOf(Lesson lesson)
    {
        var newest = Progress.Newest(Ahead);
        if (QuietDay.IsId(lesson.Title.Rung))
            return QuietDay.Of(lesson.Title.Rung, newest);
        ImmutableArray<string> tricky =
        [
            .. lesson
                .Activities.Where(a => a.Kind == ActivityKind.NewTrickyWord)
                .SelectMany(a => a.Items)
                .OfType<WordItem>()
                .Select(w => w.Word),
        ];
        return Ladder.Rungs.FirstOrDefault(r => r.Id == lesson.Title.Rung) is { } rung
            ? QuietDay.Filled(rung with { Tricky = tricky }, Ladder, newest)
            : new Rung(
                lesson.Title.Rung,
                lesson.Title.Stage,
                [.. lesson.Target.Select(Correspondence.Parse)],
                PatternIds.Parse(lesson.Patterns),
                tricky,
                null
            );
    }

    internal static Rung? RungOn(
        DateOnly date,
        CalendarFit fit,
        Progress progress,
        int ahead,
        Ladder ladder,
        WayOfReading way,
        Lexicon lexicon
    )
    {
        // A day that is closed or past, or outside the calendar, is seen as the next one to teach.
        var (kind, rung) = fit.On(date) ?? (DayKind.New, progress.Remaining.Skip(ahead).FirstOrDefault());
        var newest = progress.Newest(ahead);
        if (kind != DayKind.New)
            return QuietDay.Of(QuietDay.Id(kind), newest);
        if (rung is null)
            return null;
        if (ahead > 0 || rung.Kind != RungKind.Lesson)
            return QuietDay.Filled(rung, ladder, newest);
        // A tricky word that was put on a rung behind the group is taught with the next one, if it is still tricky.
        var taught = progress.Before(0, way.Leniencies, way.Accent);
        var missed = progress.MissedTricky.Where(t => lexicon.Find(t) is { } word && !taught.CanRead(word)).Take(1);
        return QuietDay.Filled(rung with { Tricky = [.. rung.Tricky, .. missed] }, ladder, newest);
    }
}

/// <summary>
/// The days of a group from where it stands: its progress and its fit to the calendar are worked out once for all of
/// them.
/// </summary>
/// <param name="standing">Where the group stands.</param>
/// <param name="firstOpen">The first day that is not closed yet: <see cref="Standing.FirstOpen"/>.</param>
public sealed class DaysAhead(
    Ladder ladder,
    SchoolCalendar calendar,
    Standing standing,
    DateOnly firstOpen,
    WayOfReading way,
    Lexicon lexicon
)
{
    private readonly Lazy<(Progress Progress, CalendarFit Fit)> worked = new(() =>
    {
        var progress = new Progress(ladder, standing);
        return (progress, CalendarFit.Of(progress.Remaining, calendar, firstOpen, progress.HasBegun));
    });

    public Progress Progress => worked.Value.Progress;

    public CalendarFit Fit => worked.Value.Fit;

    /// <exception cref="ArgumentException">The day lies before the standing: then it is to be seen from where the group
    /// stood before it.</exception>
    public TeachingDay On(DateOnly date)
    {
        if (standing.Last >= date)
            throw new ArgumentException(
                $"This is where the group stood after {standing.Last:yyyy-MM-dd}, which is not before {date:yyyy-MM-dd}.",
                nameof(date)
            );
        var ahead = Fit.RungsBefore(date);
        return new TeachingDay(
            Date: date,
            Ladder: ladder,
            Calendar: calendar,
            Progress: Progress,
            Fit: Fit,
            Ahead: ahead,
            Rung: TeachingDay.RungOn(date, Fit, Progress, ahead, ladder, way, lexicon)
        );
    }
}
