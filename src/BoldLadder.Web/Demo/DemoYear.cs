using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Children;
using BoldLadder.School.Lessons;
using BoldLadder.School.Marks;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Demo;

/// <summary>
/// A year of the demo school laid around the day it is made: its calendar, what groups were taught, and lessons as they
/// were planned, taught and closed.
/// </summary>
public sealed class DemoYear(
    Guid school,
    BoldContext store,
    WordData words,
    SchoolLayers layers,
    WorkCache cache,
    Clock clock
)
{
    private const int WeeksBefore = 34;
    private const int WeeksAfter = 14;
    private const int WeeksOfThirdTerm = 18;

    /// <summary>Weeks that are planned.</summary>
    private const int WeeksPlanned = 2;

    /// <summary>The lessons of so many days before today were marked.</summary>
    private const int DaysMarked = 9;

    private readonly DateOnly today = clock.Today(DemoSchool.TimeZone);
    private readonly MarkingFacts facts = new(words);

    /// <summary>Three terms around today with a break between them, and one closed day.</summary>
    public SchoolCalendar AddCalendar()
    {
        var monday = SchoolWeekday.Monday(today);
        (string Name, DateOnly First, DateOnly Last)[] terms =
        [
            ("First term", monday.AddDays(-7 * WeeksBefore), monday.AddDays((-7 * 9) + 4)),
            ("Second term", monday.AddDays(-7 * 7), monday.AddDays((7 * WeeksAfter) + 4)),
            (
                "Third term",
                monday.AddDays(7 * (WeeksAfter + 3)),
                monday.AddDays((7 * (WeeksAfter + 3 + WeeksOfThirdTerm)) + 4)
            ),
        ];
        foreach (var (name, first, last) in terms)
            store.Terms.Add(
                new Term
                {
                    SchoolId = school,
                    Id = Guid.CreateVersion7(),
                    Name = name,
                    First = first,
                    Last = last,
                }
            );
        var closed = monday.AddDays((7 * 2) + 4);
        store.ClosedDays.Add(new ClosedDay { SchoolId = school, Date = closed });
        store.Checkpoints.Add(
            new SchoolCheckpoint
            {
                SchoolId = school,
                Id = Guid.CreateVersion7(),
                Name = "One spelling for every vowel",
                Date = monday.AddDays((7 * 6) + 4),
                What = "vowel-teams",
            }
        );
        return new SchoolCalendar(terms.Select(t => (t.First, t.Last)), [closed], rhythm: Rhythm.Usual);
    }

    /// <summary>
    /// Lessons as they were planned, taught and closed day by day, one of them stopped and one not taught; then those
    /// that are planned.
    /// </summary>
    public async Task AddLessons(Group group, SchoolCalendar calendar, DateOnly first, Guid teacher)
    {
        var last = SchoolWeekday.Monday(today).AddDays(SchoolWeekday.DaysInWeek * WeeksPlanned);
        var chance = Seeded.For(group.LessonMinutes, "demo");
        foreach (var (date, at) in calendar.Days.Where(d => d >= first && d < last).Select((d, i) => (d, i)))
        {
            var scope = new SchoolScope(store, layers, cache, clock.On(date < today ? date : today));
            await scope.Enter(teacher, school);
            var (standings, places) = (new Standings(scope), new Places(scope));
            var requests = new LessonRequests(scope, places, new GroupMemories(scope, places, standings, facts));
            var groupDays = new GroupDays(scope, standings);
            var making = new LessonMaking(scope, groupDays, requests, standings);
            if (await groupDays.Day(group, date) is not { Rung: { } rung } day)
                continue;
            var lesson = await making.Plan(day, rung);
            store.Lessons.Add(lesson);
            scope.Audit("lesson-planned", lesson.Id);
            await store.SaveChangesAsync();
            if (date >= today)
                continue;
            await making.Close(lesson, HowItWent(lesson, at, chance), []);
            await store.SaveChangesAsync();
            if (lesson.Status == LessonStatus.NotTaught || date < today.AddDays(-DaysMarked))
                continue;
            var books = new EvidenceBooks(scope, places, standings, facts);
            await DemoMarks.Add(new MarkDesk(scope, places, books, facts, making), lesson.Id, chance, scope.UtcNow);
        }
        // What was shown is folded in once for all lessons.
        var now = new SchoolScope(store, layers, cache, clock);
        await now.Enter(teacher, school);
        var there = new Places(now);
        var children = await there.On(today).Where(p => p.GroupId == group.Id).Select(p => p.ChildId).ToListAsync();
        await new EvidenceBooks(now, there, new Standings(now), facts).Anew(children);
    }

    private const int StoppedLesson = 6;
    private const int MissedLesson = 11;
    private const int WobblesEach = 4;

    private static CloseRequest HowItWent(StoredLesson lesson, int at, Seeded chance)
    {
        var id = Guid.CreateVersion7();
        if (at == MissedLesson)
            return new CloseRequest(id, LessonOutcome.NotTaught);
        if (
            at == StoppedLesson
            && lesson.Document.Activities.LastOrDefault(a => a.Kind == ActivityKind.SpellWords) is { } stopped
        )
            return new CloseRequest(id, LessonOutcome.Stopped, stopped.Id);
        var cards = lesson
            .Document.Activities.SelectMany(a => a.Items)
            .OfType<CardItem>()
            .Select(c => c.Correspondence)
            .Distinct()
            .ToList();
        return new CloseRequest(
            id,
            LessonOutcome.Taught,
            Wobbled: at % WobblesEach == 0 ? [.. chance.Shuffle(cards).Take(1)] : []
        );
    }

    /// <summary>
    /// Before the lessons that can be looked back on, the log alone: a rung on each day for something new.
    /// </summary>
    public void AddHistory(Group group, SchoolCalendar calendar, DateOnly before, int taught, Guid by)
    {
        var days = calendar
            .Days.Where((d, at) => d < before && calendar.Kinds[at] == DayKind.New)
            .TakeLast(Math.Max(0, taught))
            .ToList();
        for (var i = 0; i < days.Count; i++)
        {
            var rung = words.LettersFirst.Rungs[i];
            store.TeachingLog.Add(
                new TeachingLogEntry
                {
                    SchoolId = school,
                    Id = Guid.CreateVersion7(),
                    GroupId = group.Id,
                    Date = days[i],
                    RungId = rung.Id,
                    Outcome = LessonOutcome.Taught,
                    Correspondences = [.. rung.Correspondences.Select(c => c.Notation)],
                    Patterns = [.. rung.Patterns.Each().Select(p => p.Id())],
                    Tricky = [.. rung.Tricky],
                    Seen = Review(i),
                    Words = [],
                    RecordedAt = clock.UtcNow,
                    RecordedBy = by,
                }
            );
        }
    }

    /// <summary>Each lesson showed six earlier correspondences again.</summary>
    private string[] Review(int rung) =>
        [
            .. Seeded
                .For(rung, "review")
                .Shuffle(words.LettersFirst.Rungs.Take(rung).SelectMany(r => r.Correspondences))
                .Take(6)
                .Select(c => c.Notation),
        ];
}
