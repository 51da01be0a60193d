using System.Net;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Children;
using BoldLadder.School.Lessons;
using BoldLadder.School.Marks;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>
/// Marks: each once, what they come to, and what comes back because of them. Source: docs/handbook.md, section 7
/// (Marking, Revisit choice).
/// </summary>
public sealed class MarkTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;
    private LessonView lesson = null!;
    private MarkingView marking = null!;
    private readonly Guid[] children = [.. Enumerable.Range(0, 3).Select(_ => Guid.NewGuid())];
    private readonly Guid elsewhere = Guid.NewGuid();

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
        await school.AsOwner(async store =>
        {
            foreach (var (i, child) in children.Append(elsewhere).Index())
            {
                store.Add(
                    new Child
                    {
                        SchoolId = school.School,
                        ChildId = child,
                        Name = $"Ann {(char)('A' + i)}",
                    }
                );
                store.Add(
                    new ChildPlace
                    {
                        SchoolId = school.School,
                        Id = Guid.NewGuid(),
                        ChildId = child,
                        GroupId = i < children.Length ? school.Otters : school.Kestrels,
                        First = TestSchool.Today,
                    }
                );
            }
            return await store.SaveChangesAsync();
        });
        lesson = await lead.Open(school.Otters, TestSchool.Today);
        marking = await lead.Get<MarkingView>(At("marks"));
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string what) => $"/api/schools/{school.School}/lessons/{lesson.Id}/{what}";

    private MarkedWord Word => marking.Words.First(w => w.IsSpelled && !w.IsTricky);

    private static MarkGiven Made(
        MarkKind kind,
        string word,
        Guid? child = null,
        int? place = null,
        Seen? seen = null
    ) =>
        new(
            Id: Guid.CreateVersion7(),
            Kind: kind,
            ChildId: child,
            Word: word,
            Place: place,
            Seen: seen,
            Written: null,
            Verdicts: null,
            MadeAt: DateTime.UtcNow
        );

    private async Task<IReadOnlyList<MarkAnswer>> Take(params MarkGiven[] marks) =>
        (
            await TestClient.Read<MarkAnswers>(
                await lead.Send(HttpMethod.Post, At("marks"), new MarksGiven([.. marks]))
            )
        ).Marks;

    private async Task<string> Why(MarkGiven mark)
    {
        var answer = Assert.Single(await Take(mark));
        Assert.Equal(MarkFate.Refused, answer.Fate);
        return answer.Reason!;
    }

    private Task<List<string>> Memories() =>
        school.AsOwner(s =>
            s.Database.SqlQuery<string>(
                    $"select child_id || target || skill || document as \"Value\" from memories order by 1"
                )
                .ToListAsync()
        );

    [Fact]
    public async Task What_is_marked_wrong_is_wrong_and_the_rest_is_right_for_who_is_there()
    {
        var away = new AwayChange(TestSchool.Today, true);
        await lead.Send(HttpMethod.Post, $"/api/schools/{school.School}/children/{children[2]}/away", away);
        await Take(Made(MarkKind.Miss, Word.Word, children[0], 1), Made(MarkKind.AllRight, Word.Word));
        var seen = (await lead.Get<MarkingView>(At("marks"))).Seen;
        Assert.Equal(
            Enumerable.Range(0, Word.Graphemes.Count).Select(i => i == 1 ? Seen.Wrong : Seen.Right),
            seen.Where(s => s.ChildId == children[0]).OrderBy(s => s.Place).Select(s => s.Seen)
        );
        Assert.All(seen.Where(s => s.ChildId == children[1]), s => Assert.Equal(Seen.Right, s.Seen));
        Assert.DoesNotContain(seen, s => s.ChildId == children[2] || s.ChildId == elsewhere);
    }

    [Fact]
    public async Task A_mark_sent_twice_counts_once_and_the_same_number_for_something_else_is_refused()
    {
        var mark = Made(MarkKind.Miss, Word.Word, children[0], 0);
        Assert.Equal(MarkFate.Kept, Assert.Single(await Take(mark)).Fate);
        var before = await Memories();
        Assert.Equal(MarkFate.Known, Assert.Single(await Take(mark)).Fate);
        Assert.Equal([MarkFate.Known, MarkFate.Known], (await Take(mark, mark)).Select(m => m.Fate));
        Assert.Equal(before, await Memories());
        Assert.Equal("mark-id-taken", await Why(mark with { Place = 1 }));
    }

    [Fact]
    public async Task What_was_made_last_counts_in_whatever_order_it_comes()
    {
        var first = Made(MarkKind.Miss, Word.Word, children[0], 0);
        var second = Made(MarkKind.Right, Word.Word, children[0], 0) with { MadeAt = first.MadeAt.AddSeconds(5) };
        await Take(second);
        await Take(first);
        Assert.Equal(Seen.Right, Assert.Single((await lead.Get<MarkingView>(At("marks"))).Seen).Seen);
        var late = await Memories();
        Assert.Contains(late, m => m.Contains("\"ownScored\": 100", StringComparison.Ordinal));
        // What was taken back is none of it.
        Assert.Contains(late, m => m.Contains("\"own\": 1,", StringComparison.Ordinal));
    }

    [Fact]
    public async Task Memories_made_anew_from_all_that_was_seen_are_the_same_to_the_letter()
    {
        await Take([
            .. marking
                .Words.Take(6)
                .SelectMany(w =>
                    new[]
                    {
                        Made(MarkKind.Miss, w.Word, children[0], 0),
                        Made(MarkKind.AllRight, w.Word),
                        Made(MarkKind.Read, w.Word, children[1], 0, Seen.Helped),
                        Made(MarkKind.Right, w.Word, children[0], 0) with
                        {
                            MadeAt = DateTime.UtcNow.AddSeconds(9),
                        },
                        Made(MarkKind.Written, w.Word, children[2]) with
                        {
                            Written = w.Word + "e",
                        },
                        Made(MarkKind.Group, w.Word, seen: Seen.Half),
                    }
                ),
        ]);
        await lead.Close(lesson, LessonOutcome.Taught);
        var kept = await Memories();
        Assert.True(kept.Count > 30, $"{kept.Count}");
        var rebuild = school.App.Services.GetRequiredService<MemoryRebuild>();
        var count = await rebuild.Of(school.School, CancellationToken.None);
        Assert.Null(await rebuild.Of(Guid.NewGuid(), CancellationToken.None));
        Assert.Equal(kept.Count, count);
        Assert.Equal(kept, await Memories());
    }

    [Fact]
    public async Task What_was_missed_comes_back_in_the_next_lesson_and_says_why()
    {
        await Take([
            .. children.SelectMany(c =>
                marking.Words.Where(w => w.IsSpelled).Select(w => Made(MarkKind.Miss, w.Word, c, 0))
            ),
        ]);
        await lead.Close(lesson, LessonOutcome.Taught);
        var view = await lead.Get<GroupTodayView>($"/api/schools/{school.School}/groups/{school.Otters}/memory");
        Assert.True(view.IsMarked);
        Assert.Contains(view.Due, d => d is { Why: DueWhy.MissedBy, Children: 3 });
        var next = await lead.Open(school.Otters, TestSchool.Today.AddDays(1));
        var reasons = next
            .Lesson.Activities.SelectMany(a => a.Items)
            .OfType<CardItem>()
            .SelectMany(c => c.Reasons)
            .ToList();
        Assert.Contains(reasons, r => r is { Code: "missed-by", Arguments: ["3"] });
    }

    private string InGroup(string what) => $"/api/schools/{school.School}/groups/{school.Otters}/{what}";

    private async Task<CatchUpNeed> NeedOf(Guid child) =>
        (await lead.Get<CatchUpNeedsView>(InGroup("catch-up"))).Children.Single(c => c.Id == child);

    private async Task<string> RefusedCatchUp(string what, object body) =>
        (
            await TestClient.Problem(
                await lead.Send(HttpMethod.Post, InGroup(what), body),
                HttpStatusCode.UnprocessableEntity
            )
        )
            .GetProperty("title")
            .GetString()!;

    [Fact]
    public async Task Who_was_away_has_a_catch_up_of_what_was_taught_and_it_counts_once()
    {
        var away = new AwayChange(TestSchool.Today, true);
        await lead.Send(HttpMethod.Post, $"/api/schools/{school.School}/children/{children[2]}/away", away);
        await lead.Close(lesson, LessonOutcome.Taught);
        var taught = lesson.Lesson.Target[0];
        var need = await NeedOf(children[2]);
        Assert.Equal([taught], need.Targets.Select(t => t.Target));
        Assert.Empty((await NeedOf(children[0])).Targets);

        var asked = new CatchUpAsked([children[2]], 3);
        var plan = await TestClient.Read<CatchUpView>(
            await lead.Send(HttpMethod.Post, InGroup("catch-up/plan"), asked)
        );
        Assert.InRange(plan.Seconds, 60, 180);
        Assert.Equal(taught, plan.Parts[0].Target);
        Assert.NotEmpty(plan.Parts[0].Read);
        Assert.NotEmpty(plan.Parts[0].Write);
        var longer = await TestClient.Read<CatchUpView>(
            await lead.Send(HttpMethod.Post, InGroup("catch-up/plan"), asked with { Minutes = 10 })
        );
        Assert.True(longer.Parts.Count > plan.Parts.Count);

        var held = new CatchUpHeld(
            Guid.NewGuid(),
            [children[2]],
            [.. plan.Parts.Select(p => p.Target)],
            [new CatchUpSeen(children[2], taught, Seen.Right)]
        );
        var known = new List<bool>();
        for (var i = 0; i < 2; i++)
            known.Add(
                (
                    await TestClient.Read<CatchUpKept>(await lead.Send(HttpMethod.Post, InGroup("catch-up"), held))
                ).WasKnown
            );
        Assert.Equal([false, true], known);
        need = await NeedOf(children[2]);
        Assert.Empty(need.Targets);
        Assert.Equal(TestSchool.Today, need.Last);
        var child = await lead.Get<ChildMemoryView>($"/api/schools/{school.School}/children/{children[2]}/memory");
        Assert.Contains(taught, Assert.Single(child.CatchUps).Targets);
        Assert.Equal([TestSchool.Today], child.Missed);
        // The lesson's own marks are none the wiser.
        Assert.Empty((await lead.Get<MarkingView>(At("marks"))).Seen);

        Assert.Equal("catch-up-minutes", await RefusedCatchUp("catch-up/plan", asked with { Minutes = 40 }));
        Assert.Equal("catch-up-children", await RefusedCatchUp("catch-up/plan", asked with { Children = [elsewhere] }));
        Assert.Equal(
            "catch-up-targets",
            await RefusedCatchUp("catch-up", held with { Id = Guid.NewGuid(), Targets = ["x"], Seen = [] })
        );
    }

    [Fact]
    public async Task A_child_shows_what_is_held_what_is_confused_and_what_was_seen()
    {
        var words = marking.Words.Where(w => w.IsSpelled && !w.IsTricky).Take(3).ToList();
        foreach (var word in words)
        {
            var written =
                $"{word.Graphemes[0]}{(word.Graphemes[1] == "e" ? "i" : "e")}{string.Concat(word.Graphemes.Skip(2))}";
            await Take(Made(MarkKind.Written, word.Word, children[0]) with { Written = written });
        }
        var view = await lead.Get<ChildMemoryView>($"/api/schools/{school.School}/children/{children[0]}/memory");
        Assert.Equal(words.Count, view.Recent.Count);
        Assert.All(view.Recent, r => Assert.Contains(r.Places, p => p.Seen != Seen.Right));
        Assert.NotEmpty(view.Rungs);
        Assert.Contains(view.Rungs.SelectMany(r => r.Targets), t => t.Spelling == MemoryState.NotYet);
        Assert.Equal("Otters", view.Group);
        await TestClient.Problem(
            await lead.Send(HttpMethod.Get, $"/api/schools/{school.School}/children/{Guid.NewGuid()}/memory"),
            HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task The_school_says_where_teaching_goes_faster_than_learning_and_who_needs_more()
    {
        var lost = Word.Graphemes[0];
        await Take([
            .. from child in children
            from word in marking.Words
            from place in Enumerable.Range(0, word.Graphemes.Count)
            where word.Graphemes[place] == lost
            select Made(MarkKind.Miss, word.Word, child, place),
        ]);
        await Take([.. marking.Words.Select(w => Made(MarkKind.AllRight, w.Word))]);
        await lead.Close(lesson, LessonOutcome.Taught);
        var view = await lead.Get<SchoolMemoryView>($"/api/schools/{school.School}/memory");
        var otters = view.Groups.Single(g => g.Id == school.Otters);
        Assert.Equal((children.Length, children.Length), (otters.Children, otters.Marked));
        Assert.Contains(otters.Rungs, r => r.Seen == children.Length && r.IsLost);
        Assert.Contains(otters.Rungs, r => r.Seen == children.Length && r.Held == children.Length);
        Assert.Equal(0, view.Groups.Single(g => g.Id == school.Kestrels).Marked);
    }

    [Fact]
    public async Task What_can_not_be_kept_comes_back_with_its_reason_and_the_rest_is_kept()
    {
        var word = Word.Word;
        Assert.Equal("mark-other-group", await Why(Made(MarkKind.Miss, word, elsewhere, 0)));
        Assert.Equal("mark-other-word", await Why(Made(MarkKind.Miss, "zebra-crossing", children[0], 0)));
        Assert.Equal("mark-no-place", await Why(Made(MarkKind.Miss, word, children[0], 40)));
        Assert.Equal("mark-whose", await Why(Made(MarkKind.Miss, word, null, 0)));
        Assert.Equal("mark-verdict", await Why(Made(MarkKind.Group, word, seen: Seen.Wrong)));
        var long5000 = Made(MarkKind.Written, word, children[0]) with { Written = new string('a', 5_000) };
        Assert.Equal("mark-too-long", await Why(long5000));
        var emoji = Made(MarkKind.Written, word, children[0]) with { Written = "🐱🐱" };
        var clock = Made(MarkKind.Miss, word, children[1], 0) with { MadeAt = DateTime.UtcNow.AddYears(3) };
        Assert.Equal(
            [MarkFate.Kept, MarkFate.KeptNow, MarkFate.Refused],
            (await Take(emoji, clock, Made(MarkKind.Miss, word, elsewhere, 0))).Select(a => a.Fate)
        );
    }

    [Fact]
    public async Task A_lesson_to_come_or_not_taught_takes_no_marks()
    {
        var next = await lead.Open(school.Otters, TestSchool.Today.AddDays(1));
        var given = new MarksGiven([Made(MarkKind.AllRight, Word.Word)]);
        var path = $"/api/schools/{school.School}/lessons/{next.Id}/marks";
        var come = await lead.Send(HttpMethod.Post, path, given);
        Assert.Equal(
            "day-to-come",
            (await TestClient.Problem(come, HttpStatusCode.UnprocessableEntity)).GetProperty("title").GetString()
        );
        await lead.Close(lesson, LessonOutcome.NotTaught);
        var not = await lead.Send(HttpMethod.Post, At("marks"), given);
        Assert.Equal(
            "marks-not-taught",
            (await TestClient.Problem(not, HttpStatusCode.Conflict)).GetProperty("title").GetString()
        );
    }

    [Fact]
    public async Task All_that_was_marked_of_a_child_is_in_its_export()
    {
        await Take(Made(MarkKind.Miss, Word.Word, children[0], 1), Made(MarkKind.AllRight, Word.Word));
        await lead.Send(HttpMethod.Post, "/api/account/confirmation", new { password = TestSchool.Password });
        var path = $"/api/schools/{school.School}/children/{children[0]}/export";
        var record = await TestClient.Read<ChildRecord>(await lead.Send(HttpMethod.Post, path));
        Assert.Equal(Word.Graphemes.Count, record.Seen.Count);
        Assert.Contains(record.Seen, s => s.Seen == Seen.Wrong && s.Word == Word.Word);
        Assert.All(record.Memories, m => Assert.Equal(MemoryState.NotYet, m.State));
    }

    [Fact]
    public async Task Erasing_a_child_takes_its_marks_evidence_and_memories()
    {
        await Take(Made(MarkKind.Miss, Word.Word, children[0], 0), Made(MarkKind.AllRight, Word.Word));
        await lead.Send(HttpMethod.Post, "/api/account/confirmation", new { password = TestSchool.Password });
        await lead.Send(HttpMethod.Delete, $"/api/schools/{school.School}/children/{children[0]}");
        var left = await school.AsOwner(s =>
            s.Database.SqlQuery<int>(
                    $"""
                    select (select count(*) from evidence where child_id = {children[0]})::int
                        + (select count(*) from memories where child_id = {children[0]})::int
                        + (select count(*) from marks where child_id = {children[0]})::int as "Value"
                    """
                )
                .SingleAsync()
        );
        Assert.Equal(0, left);
        Assert.NotEmpty(await Memories());
    }
}
