using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Teaching;

/// <summary>A group's day: the ladder, what is taught before it, and the rung it comes to.</summary>
/// <param name="Ahead">How many rungs will be taught between now and the day.</param>
/// <param name="Rung">The rung, or what a quiet day goes back to; null when the ladder is climbed.</param>
/// <param name="Fit">The rungs still to come on their days.</param>
public record TeachingDay(DateOnly Date, Ladder Ladder, SchoolCalendar Calendar, Progress Progress, CalendarFit Fit, int Ahead, Rung? Rung)
{
    /// <param name="log">The group's lessons that count, any day.</param>
    /// <param name="firstOpen">The first day that is not closed yet: <see cref="FirstOpen"/>.</param>
    public static TeachingDay Of(DateOnly date, Ladder ladder, SchoolCalendar calendar, IEnumerable<TaughtFact> log, DateOnly firstOpen, WayOfReading way, Lexicon lexicon)
    {
        var progress = new Progress(ladder, log.Where(f => f.Date < date));
        var fit = CalendarFit.Of(progress.Remaining, calendar, firstOpen, progress.HasBegun);
        var ahead = fit.RungsBefore(date);
        return new TeachingDay(date, ladder, calendar, progress, fit, ahead, RungOn(date, fit, progress, ahead, ladder, way, lexicon));
    }

    /// <summary>The first day that is not closed yet: today, or the day after the last closed one.</summary>
    public static DateOnly FirstOpen(IEnumerable<DateOnly> closed, DateOnly today) =>
        closed.Where(d => d >= today).Select(d => (DateOnly?)d).Max() is { } last ? last.AddDays(1) : today;

    private static Rung? RungOn(DateOnly date, CalendarFit fit, Progress progress, int ahead, Ladder ladder, WayOfReading way, Lexicon lexicon)
    {
        // A day that is closed or past, or outside the calendar, is seen as the next one to teach.
        var (kind, rung) = fit.On(date) ?? (DayKind.New, progress.Remaining.Skip(ahead).FirstOrDefault());
        var newest = progress.Newest(ahead);
        if (kind != DayKind.New) return QuietDay.Of(QuietDay.Id(kind), newest);
        if (rung is null) return null;
        if (ahead > 0 || rung.Kind != RungKind.Lesson) return QuietDay.Filled(rung, ladder, newest);
        // A tricky word that was put on a rung behind the group is taught with the next one, if it is still tricky.
        var taught = progress.Before(0, way.Leniencies, way.Accent);
        var missed = progress.MissedTricky.Where(t => lexicon.Find(t) is { } word && !taught.CanRead(word)).Take(1);
        return QuietDay.Filled(rung with { Tricky = [.. rung.Tricky, .. missed] }, ladder, newest);
    }
}
