using System.Net;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Calendars;
using BoldLadder.School.Children;
using BoldLadder.School.Groups;
using BoldLadder.School.People;
using BoldLadder.School.Weeks;
using BoldLadder.School.Words;
using BoldLadder.Store;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Groups over a year: moved, split, merged, ended, and on into the next.</summary>
public sealed class RegroupTests : IAsyncLifetime
{
    private static readonly DateOnly Today = TestSchool.Today;
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest) => $"/api/schools/{school.School}/{rest}";

    private async Task<GroupView> Group(string name) =>
        (await lead.Get<List<GroupView>>(At("groups"))).Single(g => g.Name == name);

    private List<Rung> Rungs => [.. school.App.Services.GetRequiredService<WordData>().LettersFirst.Rungs];

    private MoveGroupRequest Place(int rung) => new(school.Ladder, 1, Rungs[rung].Id);

    private async Task<GroupMoveView> Look(MoveGroupRequest wanted) =>
        await TestClient.Read<GroupMoveView>(
            await lead.Send(HttpMethod.Post, At($"groups/{school.Otters}/ladder/look"), wanted)
        );

    private async Task Move(MoveGroupRequest wanted) =>
        (
            await lead.Send(HttpMethod.Post, At($"groups/{school.Otters}/ladder"), wanted, version: 1)
        ).EnsureSuccessStatusCode();

    private async Task<Guid> Child(string name, Guid group)
    {
        var id = Guid.NewGuid();
        await school.AsOwner(s =>
        {
            s.Children.Add(
                new Child
                {
                    SchoolId = school.School,
                    ChildId = id,
                    Name = name,
                }
            );
            s.ChildPlaces.Add(
                new ChildPlace
                {
                    SchoolId = school.School,
                    Id = Guid.NewGuid(),
                    ChildId = id,
                    GroupId = group,
                    First = Today.AddDays(-30),
                }
            );
            return Task.FromResult(0);
        });
        return id;
    }

    private async Task<Dictionary<string, Guid?>> Children() =>
        (await lead.Get<ChildrenView>(At("children"))).Children.ToDictionary(c => c.Name, c => c.GroupId);

    [Fact]
    public async Task A_group_moved_forward_counts_what_it_skipped_and_moved_back_gets_it_again()
    {
        var before = await Group("Otters");
        Assert.Equal(12, before.RungsTaught);
        var looked = await Look(Place(15));
        Assert.Equal(Rungs.Skip(12).Take(3).Where(r => r.TeachesSomething).Select(r => r.Label), looked.Skipped);
        Assert.Empty(looked.Again);
        Assert.Equal(12, (await Group("Otters")).RungsTaught);
        await Move(Place(15));
        Assert.Equal(15, (await Group("Otters")).RungsTaught);

        var back = await Look(Place(10));
        Assert.Equal(Rungs.Skip(10).Take(5).Where(r => r.TeachesSomething).Select(r => r.Label), back.Again);
        Assert.Equal(Rungs[10].Label, back.After);
        await Move(Place(10));
        Assert.Equal(10, (await Group("Otters")).RungsTaught);
        Assert.Equal(Rungs[10].Id, (await lead.Open(school.Otters, Today)).Lesson.Title.Rung);

        // What is kept of where it stands is what its log comes to.
        await TestSchool.Sql(school.Database, "delete from group_standings");
        Assert.Equal(10, (await Group("Otters")).RungsTaught);
    }

    [Fact]
    public async Task A_move_that_was_looked_at_on_another_version_is_refused()
    {
        var answer = await lead.Send(HttpMethod.Post, At($"groups/{school.Otters}/ladder"), Place(15), version: 7);
        Assert.Equal("changed-meanwhile", await Code(answer, HttpStatusCode.Conflict));
        var unknown = new MoveGroupRequest(school.Ladder, 1, "nothing");
        Assert.Equal(
            "unknown-rung",
            await Code(
                await lead.Send(HttpMethod.Post, At($"groups/{school.Otters}/ladder/look"), unknown),
                HttpStatusCode.NotFound
            )
        );
    }

    [Fact]
    public async Task A_group_that_is_split_stands_where_it_stood_and_each_child_is_in_one()
    {
        var (ada, _) = (await Child("Ada", school.Otters), await Child("Bo", school.Otters));
        var split = new SplitRequest(Guid.NewGuid(), "Otter pups", [], [ada, Guid.NewGuid()]);
        await lead.Send(HttpMethod.Post, At($"groups/{school.Otters}/split"), split);
        // Sent twice, it is done once.
        (await lead.Send(HttpMethod.Post, At($"groups/{school.Otters}/split"), split)).EnsureSuccessStatusCode();
        var (old, pups) = (await Group("Otters"), await Group("Otter pups"));
        Assert.Equal(
            (old.RungsTaught, old.NextRung, old.LessonMinutes),
            (pups.RungsTaught, pups.NextRung, pups.LessonMinutes)
        );
        Assert.Equal(new Dictionary<string, Guid?> { ["Ada"] = split.Id, ["Bo"] = school.Otters }, await Children());

        // Each goes its own way from then on.
        var lesson = await lead.Open(split.Id, Today);
        (await lead.Close(lesson, LessonOutcome.Taught)).EnsureSuccessStatusCode();
        Assert.Equal((12, 13), ((await Group("Otters")).RungsTaught, (await Group("Otter pups")).RungsTaught));
    }

    [Fact]
    public async Task Groups_that_are_merged_say_what_they_were_taught_apart_and_the_children_go_along()
    {
        await Child("Ada", school.Otters);
        await Child("Cy", school.Kestrels);
        var looked = await lead.Get<MergeView>(At($"groups/{school.Otters}/merge/{school.Kestrels}"));
        Assert.Equal(1, looked.Children);
        Assert.NotEmpty(looked.OnlyHere);
        Assert.Empty(looked.OnlyThere);
        (
            await lead.Send(HttpMethod.Post, At($"groups/{school.Otters}/merge/{school.Kestrels}"))
        ).EnsureSuccessStatusCode();
        Assert.Equal(["Kestrels"], (await lead.Get<List<GroupView>>(At("groups"))).Select(g => g.Name));
        Assert.All(await Children(), c => Assert.Equal(school.Kestrels, c.Value));
        Assert.Equal(
            "same-group",
            await Code(await lead.Send(HttpMethod.Post, At($"groups/{school.Kestrels}/merge/{school.Kestrels}")))
        );
    }

    [Fact]
    public async Task In_a_new_year_groups_go_on_under_other_names_or_end_and_stay_readable()
    {
        await Child("Ada", school.Otters);
        await Child("Cy", school.Kestrels);
        var lesson = await lead.Open(school.Otters, Today);
        (await lead.Close(lesson, LessonOutcome.Taught)).EnsureSuccessStatusCode();
        var teacher = (await lead.Get<PeopleView>(At("people"))).People.Single(p => p.Role == Role.Teacher).Id;
        var year = new NewYearRequest([
            new YearGroup(school.Kestrels, "Otters", true, [new GroupTaker(teacher, [1, 3])], null),
            new YearGroup(school.Otters, "", false, [], school.Kestrels),
        ]);
        Assert.Equal(
            "children-to-ended",
            await Code(
                await lead.Send(
                    HttpMethod.Post,
                    At("new-year"),
                    new NewYearRequest([year.Groups[1], year.Groups[0] with { GoesOn = false }])
                )
            )
        );
        (await lead.Send(HttpMethod.Post, At("new-year"), year)).EnsureSuccessStatusCode();
        var only = Assert.Single(await lead.Get<List<GroupView>>(At("groups")));
        Assert.Equal((school.Kestrels, "Otters"), (only.Id, only.Name));
        Assert.Equal([1, 3], Assert.Single(only.Takers).Weekdays!);
        Assert.All(await Children(), c => Assert.Equal(school.Kestrels, c.Value));

        var head = await school.As("head");
        var ended = Assert.Single(await head.Get<List<EndedGroup>>(At("archive")));
        Assert.Equal(("Otters", Today, 1), (ended.Name, ended.EndedOn, ended.Lessons));
        var archived = await head.Get<ArchivedGroup>(At($"archive/{school.Otters}"));
        Assert.Equal(13, archived.Days.Count);
        Assert.Equal((lesson.Id, LessonOutcome.Taught), (archived.Days[0].LessonId, archived.Days[0].Outcome));
        var read = await head.Get<ArchivedLesson>(At($"archive/{school.Otters}/lessons/{lesson.Id}"));
        Assert.Equal(lesson.Lesson.Activities.Count(), read.Lesson.Activities.Count());
        Assert.Empty(await (await school.As("teacher")).Get<List<EndedGroup>>(At("archive")));
        await TestClient.Problem(
            await head.Send(HttpMethod.Get, At($"archive/{school.Kestrels}")),
            HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task Two_groups_swap_names_and_no_two_have_the_same()
    {
        var swap = new NewYearRequest([
            new YearGroup(school.Otters, "Kestrels", true, [], null),
            new YearGroup(school.Kestrels, "Otters", true, [], null),
        ]);
        (await lead.Send(HttpMethod.Post, At("new-year"), swap)).EnsureSuccessStatusCode();
        Assert.Equal(school.Kestrels, (await Group("Otters")).Id);
        var one = new NewYearRequest([new YearGroup(school.Otters, "Otters", true, [], null)]);
        Assert.Equal(
            "name-taken",
            await Code(await lead.Send(HttpMethod.Post, At("new-year"), one), HttpStatusCode.Conflict)
        );
        Assert.Equal(school.Kestrels, (await Group("Otters")).Id);
    }

    [Fact]
    public async Task A_weekday_may_have_lessons_of_another_length()
    {
        var calendar = await lead.Get<CalendarView>(At("calendar"));
        // Tuesday, the fixed day, is shorter.
        int[] weekdays = [0, 15, 0, 0, 0, 0, 0];
        var settings = calendar.Settings with
        {
            Groups =
            [
                .. calendar.Settings.Groups.Select(g =>
                    g with
                    {
                        WeekdayMinutes = g.Name == "Otters" ? weekdays : null,
                    }
                ),
            ],
        };
        (await lead.Send(HttpMethod.Post, At("calendar"), settings, stamp: calendar.Stamp)).EnsureSuccessStatusCode();
        var tuesday = await lead.Open(school.Otters, Today);
        var wednesday = await lead.Open(school.Otters, Today.AddDays(1));
        Assert.Equal(15, tuesday.LessonMinutes);
        Assert.NotEqual(15, wednesday.LessonMinutes);
        Assert.True(
            tuesday.Minutes <= 16 && tuesday.Minutes < wednesday.Minutes,
            $"{tuesday.Minutes} {wednesday.Minutes}"
        );
        var week = await lead.Get<WeekView>(At($"weeks/{Today:yyyy-MM-dd}"));
        Assert.Equal(15, week.Groups.Single(g => g.Name == "Otters").Days.Single(d => d.Date == Today).Available);
        var again = await lead.Get<CalendarView>(At("calendar"));
        Assert.Equal(
            "bad-length",
            await Code(
                await lead.Send(
                    HttpMethod.Post,
                    At("calendar"),
                    again.Settings with
                    {
                        Groups = [again.Settings.Groups[0] with { WeekdayMinutes = [7] }],
                    },
                    stamp: again.Stamp
                )
            )
        );
    }

    private static async Task<string> Code(
        HttpResponseMessage answer,
        HttpStatusCode status = HttpStatusCode.UnprocessableEntity
    ) => (await TestClient.Problem(answer, status)).GetProperty("type").GetString()!["bold:".Length..];
}
