using System.Globalization;
using System.Security.Cryptography;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Children;
using BoldLadder.School.Lessons;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Demo;

/// <summary>
/// Fernhollow Primary, invented: two leads, two teachers, a helper, a head, three groups at different places on one
/// ladder, and a calendar laid around the day it is loaded: some weeks behind it are taught lesson by lesson, two ahead
/// are planned.
/// </summary>
public sealed class DemoSchool(
    BoldContext store,
    UserManager<User> users,
    WordData words,
    SchoolLayers layers,
    WorkCache cache,
    Clock clock
)
{
    private const string TimeZone = "Europe/London";
    private const int WeeksBefore = 34;
    private const int WeeksAfter = 14;
    private const int WeeksOfThirdTerm = 18;

    /// <summary>Weeks that can be looked back on, and weeks that are planned.</summary>
    private const int WeeksTaught = 4;
    private const int WeeksPlanned = 2;

    /// <summary>How long ago a group ended, which is in the archive.</summary>
    private const int WeeksSinceEnded = 8;

    private static readonly (string Name, int RungsTaught, int Minutes)[] GroupPlan =
    [
        ("Otters", 12, 20),
        ("Kestrels", 38, 25),
        ("Badgers", 71, 15),
    ];

    private readonly Guid school = Guid.CreateVersion7();

    /// <summary>
    /// Loads the school unless there is one, and writes the accounts to <paramref name="accountsFile"/>.
    /// </summary>
    public async Task Load(string accountsFile)
    {
        if (await users.Users.AnyAsync(u => u.IsDemo))
            return;
        await using var transaction = await store.Database.BeginTransactionAsync();
        store.Schools.Add(
            new StoredSchool
            {
                SchoolId = school,
                Name = "Fernhollow Primary",
                TimeZone = TimeZone,
                Accent = "southern-british",
                Language = "en-GB",
                SpellingVariety = "en-GB",
                PaperSize = "A4",
            }
        );
        var lead = await Person("Maya Oduya", "maya@fernhollow.example", Role.Lead);
        var teacher = await Person("Tom Ridley", "tom@fernhollow.example", Role.Teacher);
        var second = await Person("Lena Hartwig", "lena@fernhollow.example", Role.Teacher);
        var deputy = await Person("Iris Calder", "iris@fernhollow.example", Role.Lead);
        var helper = await Person("Sol Whitlock", "sol@fernhollow.example", Role.Helper);
        var head = await Person("Gwen Abara", "gwen@fernhollow.example", Role.Head);
        var calendar = AddCalendar(clock.Today(TimeZone));

        var ladder = new SchoolLadder
        {
            SchoolId = school,
            Id = Guid.CreateVersion7(),
            Name = "Fernhollow letters first",
        };
        store.Ladders.Add(ladder);
        store.LadderVersions.Add(
            new LadderVersion
            {
                SchoolId = school,
                LadderId = ladder.Id,
                Version = 1,
                Document = words.LettersFirst,
                PublishedAt = clock.UtcNow,
                Name = "As shipped",
                PublishedBy = lead.Id,
            }
        );
        await store.SaveChangesAsync();
        foreach (var (at, (name, taught, minutes)) in GroupPlan.Index())
        {
            var group = new Group
            {
                SchoolId = school,
                Id = Guid.CreateVersion7(),
                Name = name,
                LadderId = ladder.Id,
                LadderVersion = 1,
                LessonMinutes = minutes,
            };
            store.Groups.Add(group);
            DemoChildren.Add(store, school, at, group.Id, clock.Today(TimeZone));
            store.GroupTeachers.Add(
                new GroupTeacher
                {
                    SchoolId = school,
                    GroupId = group.Id,
                    UserId = name == "Otters" ? teacher.Id : second.Id,
                }
            );
            if (name == "Otters")
                store.GroupTeachers.Add(
                    new GroupTeacher
                    {
                        SchoolId = school,
                        GroupId = group.Id,
                        UserId = helper.Id,
                        Weekdays = [2, 4],
                    }
                );
            var first = SchoolWeekday.Monday(clock.Today(TimeZone)).AddDays(-SchoolWeekday.DaysInWeek * WeeksTaught);
            AddHistory(
                group,
                calendar,
                first,
                taught
                    - calendar
                        .Days.Where(
                            (d, at) => d >= first && d < clock.Today(TimeZone) && calendar.Kinds[at] == DayKind.New
                        )
                        .Count(),
                lead.Id
            );
            await store.SaveChangesAsync();
            await AddLessons(group, calendar, first, name == "Otters" ? teacher.Id : second.Id);
        }
        var ended = SchoolWeekday.Monday(clock.Today(TimeZone)).AddDays(-SchoolWeekday.DaysInWeek * WeeksSinceEnded);
        var larks = new Group
        {
            SchoolId = school,
            Id = Guid.CreateVersion7(),
            Name = "Larks",
            LadderId = ladder.Id,
            LadderVersion = 1,
            LessonMinutes = 20,
            EndedOn = ended,
        };
        store.Groups.Add(larks);
        AddHistory(larks, calendar, ended, 24, lead.Id);
        DemoChildren.Add(store, school, GroupPlan.Length, null, clock.Today(TimeZone));
        await store.SaveChangesAsync();
        await WriteAccounts(
            accountsFile,
            [
                ("phonics lead", lead),
                ("teacher of Otters", teacher),
                ("teacher of Kestrels and Badgers", second),
                ("second phonics lead", deputy),
                ("helper with Otters", helper),
                ("head", head),
            ]
        );
        await transaction.CommitAsync();
    }

    private readonly Dictionary<Guid, string> passwords = [];

    private async Task<User> Person(string name, string email, Role role)
    {
        var user = new User
        {
            Id = Guid.CreateVersion7(),
            UserName = email,
            Email = email,
            DisplayName = name,
            IsDemo = true,
        };
        passwords[user.Id] = Password();
        var made = await users.CreateAsync(user, passwords[user.Id]);
        if (!made.Succeeded)
            throw new InvalidOperationException(string.Join(' ', made.Errors.Select(e => e.Description)));
        store.Memberships.Add(
            new Membership
            {
                SchoolId = school,
                UserId = user.Id,
                Role = role,
            }
        );
        return user;
    }

    private static string Password() =>
        string.Join(
            '-',
            Enumerable.Range(0, 3).Select(_ => RandomNumberGenerator.GetString("abcdefghjkmnpqrstuvwxyz23456789", 5))
        );

    /// <summary>Three terms around today with a break between them, and one closed day.</summary>
    private SchoolCalendar AddCalendar(DateOnly today)
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
    private async Task AddLessons(Group group, SchoolCalendar calendar, DateOnly first, Guid teacher)
    {
        var today = clock.Today(TimeZone);
        var last = SchoolWeekday.Monday(today).AddDays(SchoolWeekday.DaysInWeek * WeeksPlanned);
        var chance = Seeded.For(group.LessonMinutes, "demo");
        foreach (var (date, at) in calendar.Days.Where(d => d >= first && d < last).Select((d, i) => (d, i)))
        {
            var scope = new SchoolScope(store, layers, cache, clock.On(date < today ? date : today));
            await scope.Enter(teacher, school);
            var (standings, requests) = (new Standings(scope), new LessonRequests(scope, new Places(scope)));
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
        }
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
    private void AddHistory(Group group, SchoolCalendar calendar, DateOnly before, int taught, Guid by)
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

    private async Task WriteAccounts(string file, (string Role, User User)[] people)
    {
        var lines = people.Select(p =>
            string.Create(CultureInfo.InvariantCulture, $"{p.Role}\t{p.User.Email}\t{passwords[p.User.Id]}")
        );
        await File.WriteAllTextAsync(file, string.Join('\n', lines) + "\n");
        if (!OperatingSystem.IsWindows())
            File.SetUnixFileMode(file, UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }
}
