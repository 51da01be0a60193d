using System.Globalization;
using System.Security.Cryptography;
using BoldLadder.Core;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons.Cards;
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
    internal const string TimeZone = "Europe/London";

    /// <summary>Weeks that can be looked back on.</summary>
    private const int WeeksTaught = 4;

    /// <summary>How long ago a group ended, which is in the archive.</summary>
    private const int WeeksSinceEnded = 8;

    private static readonly (string Name, int RungsTaught, int Minutes)[] GroupPlan =
    [
        ("Otters", 12, 20),
        ("Kestrels", 38, 25),
        ("Badgers", 71, 15),
    ];

    /// <summary>How many groups have lessons.</summary>
    public static int Groups => GroupPlan.Length;

    private readonly Guid school = Guid.CreateVersion7();
    private readonly Dictionary<Guid, string> passwords = [];

    /// <summary>
    /// Loads the school unless there is one, and writes the accounts to <paramref name="accountsFile"/>.
    /// </summary>
    public async Task Load(string accountsFile)
    {
        if (await users.Users.AnyAsync(u => u.IsDemo))
            return;
        await using var transaction = await store.Database.BeginTransactionAsync();
        await WriteAccounts(accountsFile, await Fill(WithPassword, () => Task.CompletedTask));
        await transaction.CommitAsync();
    }

    /// <summary>
    /// Makes the school for someone to look round in, in the transaction that is open: they are its lead, everyone else
    /// is a name without a way in. The store stands in the new school afterwards.
    /// </summary>
    /// <returns>The new school.</returns>
    public async Task<Guid> MakeFor(Guid person, Func<Task> progress)
    {
        store.EnterSchool(person, school);
        store.LookRounds.Add(new LookRound { SchoolId = school, MadeBy = person });
        var isFirst = true;
        await Fill(
            async (name, _) =>
            {
                if (isFirst)
                {
                    isFirst = false;
                    return await store.Users.SingleAsync(u => u.Id == person);
                }
                var invented = new User
                {
                    Id = Guid.CreateVersion7(),
                    DisplayName = name,
                    SecurityStamp = $"{Guid.NewGuid()}",
                };
                store.Users.Add(invented);
                return invented;
            },
            progress
        );
        return school;
    }

    /// <param name="person">Makes a person of a name and an address: the first is the lead.</param>
    /// <param name="progress">Told after each group.</param>
    private async Task<(string Role, User User)[]> Fill(Func<string, string, Task<User>> person, Func<Task> progress)
    {
        var kept = store.Schools.Add(
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
        var today = clock.Today(TimeZone);
        var year = new DemoYear(school, store, words, layers, cache, clock);
        var calendar = year.AddCalendar();

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
        var groups = new List<Guid>();
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
            groups.Add(group.Id);
            DemoChildren.Add(store, school, at, group.Id, today);
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
            var first = SchoolWeekday.Monday(today).AddDays(-SchoolWeekday.DaysInWeek * WeeksTaught);
            year.AddHistory(
                group,
                calendar,
                first,
                taught
                    - calendar
                        .Days.Where((d, at) => d >= first && d < today && calendar.Kinds[at] == DayKind.New)
                        .Count(),
                lead.Id
            );
            await store.SaveChangesAsync();
            await year.AddLessons(group, calendar, first, name == "Otters" ? teacher.Id : second.Id);
            await progress();
        }
        var ended = SchoolWeekday.Monday(today).AddDays(-SchoolWeekday.DaysInWeek * WeeksSinceEnded);
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
        year.AddHistory(larks, calendar, ended, 24, lead.Id);
        DemoChildren.Add(store, school, GroupPlan.Length, null, today);
        // Cards of single letters lie in the box since last year.
        store.OwnedCards.AddRange(
            words
                .LettersFirst.Rungs.SelectMany(r => r.Correspondences)
                .Select(c => c.Grapheme.Text)
                .Where(g => g.Length == 1)
                .Distinct()
                .Select(g => new OwnedCard
                {
                    SchoolId = school,
                    Kind = CardKind.Graphemes.Code(),
                    Key = g,
                })
        );
        DemoShelf.Add(store, school, lead, teacher, groups, today, clock.UtcNow);
        kept.Entity.WordsStamp = Guid.CreateVersion7();
        await store.SaveChangesAsync();
        return
        [
            ("phonics lead", lead),
            ("teacher of Otters", teacher),
            ("teacher of Kestrels and Badgers", second),
            ("second phonics lead", deputy),
            ("helper with Otters", helper),
            ("head", head),
        ];

        async Task<User> Person(string name, string email, Role role)
        {
            var user = await person(name, email);
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
    }

    private async Task<User> WithPassword(string name, string email)
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
        return made.Succeeded
            ? user
            : throw new InvalidOperationException(string.Join(' ', made.Errors.Select(e => e.Description)));
    }

    private static string Password() =>
        string.Join(
            '-',
            Enumerable.Range(0, 3).Select(_ => RandomNumberGenerator.GetString("abcdefghjkmnpqrstuvwxyz23456789", 5))
        );

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
