using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.School.Work;
using BoldLadder.Store;
using BoldLadder.Web.Demo;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Configuration;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>The demo school is alive on whatever day it is loaded.</summary>
public sealed class DemoSchoolTests
{
    [Theory]
    [InlineData("2026-11-24")]
    [InlineData("2026-11-28")]
    public async Task Weeks_behind_are_taught_weeks_ahead_are_planned_and_the_log_agrees_with_the_lessons(string day)
    {
        await using var school = await TestSchool.Open();
        var accounts = Path.GetTempFileName();
        try
        {
            var today = DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture);
            await using var provider = new ServiceCollection()
                .AddLogging()
                .AddDbContext<BoldContext>(o =>
                    DesignTimeFactory.Configure(
                        (DbContextOptionsBuilder<BoldContext>)o,
                        TestSchool.Owner(school.Database)
                    )
                )
                .AddIdentityCore<User>(Security.AccountRules)
                .AddEntityFrameworkStores<BoldContext>()
                .Services.AddSingleton(new Clock(TimeProvider.System, today))
                .AddSingleton(new WorkCache())
                .AddSingleton(school.App.Services.GetRequiredService<WordData>())
                .AddSingleton<SchoolLayers>()
                .AddScoped<DemoSchool>()
                .Configure<PasswordHasherOptions>(o => o.IterationCount = 1000)
                .BuildServiceProvider();
            await provider.GetRequiredService<DemoSchool>().Load(accounts);

            await using var store = new BoldContext(
                DesignTimeFactory
                    .Configure(new DbContextOptionsBuilder<BoldContext>(), TestSchool.Owner(school.Database))
                    .Options
            );
            var demo = await store.Schools.IgnoreQueryFilters().SingleAsync(s => s.Name == "Fernhollow Primary");
            store.EnterSchool(Guid.Empty, demo.SchoolId);
            var monday = SchoolWeekday.Monday(today);
            foreach (var group in await store.Groups.Where(g => g.EndedOn == null).ToListAsync())
            {
                var lessons = await store.Lessons.Where(l => l.GroupId == group.Id).OrderBy(l => l.Date).ToListAsync();
                var behind = lessons.Where(l => l.Date < today).ToList();
                Assert.All(behind, l => Assert.NotEqual(LessonStatus.Planned, l.Status));
                Assert.All(lessons.Where(l => l.Date >= today), l => Assert.Equal(LessonStatus.Planned, l.Status));
                // Three whole weeks to look back on, and days ahead.
                for (var week = 1; week <= 3; week++)
                    Assert.Equal(5, behind.Count(l => SchoolWeekday.Monday(l.Date) == monday.AddDays(-7 * week)));
                Assert.True(lessons.Count(l => l.Date >= today) >= 4);
                Assert.Contains(behind, l => l.Status == LessonStatus.Stopped);
                Assert.Contains(behind, l => l.Status == LessonStatus.NotTaught);
                var log = await store.TeachingLog.Where(e => e.GroupId == group.Id).ToListAsync();
                Assert.All(behind.Where(l => l.Status == LessonStatus.Taught), l =>
                    Assert.Equal(l.Document.Target.AsEnumerable(), log.Single(e => e.Date == l.Date).Correspondences)
                );
                Assert.Contains(log, e => e.Missed.Length > 0);
                // Each correspondence was taught once, on one day.
                Assert.Empty(
                    log.SelectMany(e => e.Correspondences.Select(c => (c, e.Date)))
                        .GroupBy(c => c.c)
                        .Where(c => c.Count() > 1)
                        .Select(c => c.Key)
                );
                Assert.All(lessons, l => Assert.Contains(l.Document.Parts, p => p.Kind == PartKind.Apply));
            }
        }
        finally
        {
            File.Delete(accounts);
        }
    }
}
