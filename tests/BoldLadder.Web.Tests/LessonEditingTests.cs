using System.Net;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.Store;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>
/// A lesson changed by hand: own words, activities, lengths, notes, bans, copies; each change can be undone.
/// </summary>
public sealed class LessonEditingTests : IAsyncLifetime
{
    private static readonly DateOnly Today = TestSchool.Today;
    private TestSchool school = null!;
    private TestClient lead = null!;
    private LessonView lesson = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
        lesson = await lead.Open(school.Otters, Today);
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string Verdicts(string text, string part = "practise") =>
        $"{lead.Lesson(lesson.Id)}/verdicts?text={Uri.EscapeDataString(text)}&part={part}";

    [Fact]
    public async Task What_could_be_added_is_shown_first_and_is_what_is_added()
    {
        var offers = await lead.Get<List<OfferView>>($"{lead.Lesson(lesson.Id)}/offers?part=practise");
        Assert.DoesNotContain(offers, o => lesson.Lesson.Activities.Any(a => a.Kind == o.Kind));
        var offer = offers.First(o => o.Activity is not null);
        var added = await lead.Changed(lesson, new AddActivity(PartKind.Practise, offer.Kind));
        Assert.Equal(
            offer.Activity!.Items.Select(i => i.Id),
            added.Lesson.Find(offer.Activity.Id)!.Items.Select(i => i.Id)
        );
        Assert.Contains(offers, o => o.Activity is null);
        await TestClient.Problem(
            await lead.Http.GetAsync($"{lead.Lesson(lesson.Id)}/offers?part=lunch"),
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_list_for_a_story_with_a_bad_line_or_too_many_is_refused()
    {
        foreach (
            var lines in new CheckLine[][]
            {
                [new("own", "  ")],
                [new("elsewhere", "")],
                [new("opening", "typed")],
                [.. Enumerable.Range(0, 11).Select(i => new CheckLine("own", $"line {i}"))],
            }
        )
        {
            var refused = await TestClient.Problem(
                await lead.Change(lesson, new SetChecklist("apply-story-prompt:1", lines)),
                HttpStatusCode.UnprocessableEntity
            );
            Assert.Equal("bold:bad-checklist", refused.GetProperty("type").GetString());
        }
    }

    [Fact]
    public async Task A_typed_word_is_judged_with_what_it_needs_and_when()
    {
        var verdicts = await lead.Get<List<VerdictView>>(Verdicts("pin ship zzxq"));
        Assert.Equal([OwnStatus.Decodable, OwnStatus.NotYet, OwnStatus.Unknown], verdicts.Select(v => v.Status));
        var need = Assert.Single(verdicts[1].Needs);
        Assert.Equal(("sh=ʃ", "sh"), (need.What, need.When!.Rung));
        Assert.True(need.When.Date > Today && verdicts[1].Readable!.Date >= need.When.Date);
    }

    [Fact]
    public async Task What_is_new_today_counts_in_practise_but_not_in_revisit()
    {
        var fresh = school.OttersNext.First();
        var word = lesson
            .Lesson.Find("practise-read")!
            .Items.OfType<WordItem>()
            .First(w => w.Graphemes.Split('|').Contains(fresh.Label))
            .Word;
        Assert.Equal(OwnStatus.Decodable, (await lead.Get<List<VerdictView>>(Verdicts(word))).Single().Status);
        Assert.Equal(OwnStatus.NotYet, (await lead.Get<List<VerdictView>>(Verdicts(word, "revisit"))).Single().Status);
    }

    [Fact]
    public async Task A_typed_word_that_can_be_read_goes_in_and_another_is_refused_with_its_verdict()
    {
        var changed = await lead.Changed(lesson, new AddText("practise-read", "pip"));
        var item = Assert.IsType<WordItem>(
            changed.Lesson.Find("practise-read")!.Items.Single(i => i.Id == "practise-read:pip")
        );
        Assert.True(item.Kept && item.Reasons.Any(r => r.Code == "by-hand"));
        Assert.Empty(changed.Problems);
        var refused = await TestClient.Problem(
            await lead.Change(changed, new AddText("practise-read", "ship")),
            HttpStatusCode.UnprocessableEntity
        );
        Assert.Equal("bold:not-readable", refused.GetProperty("type").GetString());
        Assert.Equal(
            "sh=ʃ",
            refused.GetProperty("verdicts")[0].GetProperty("needs")[0].GetProperty("what").GetString()
        );
        Assert.Equal(changed.Version, (await lead.Open(school.Otters, Today)).Version);
        foreach (var text in new[] { "", "   ", new string('a', 300) })
            await TestClient.Problem(
                await lead.Change(changed, new AddText("practise-read", text)),
                HttpStatusCode.UnprocessableEntity
            );
    }

    [Fact]
    public async Task A_typed_sentence_goes_into_apply()
    {
        var apply = lesson.Lesson.Parts.Single(p => p.Kind == PartKind.Apply);
        var kind = apply.Activities.FirstOrDefault(a => a.Kind == ActivityKind.ReadSentence);
        var with = kind is null
            ? await lead.Changed(lesson, new AddActivity(PartKind.Apply, ActivityKind.ReadSentence))
            : lesson;
        var changed = await lead.Changed(with, new AddText("apply-sentence", "I sat on a red mat."));
        Assert.Contains(changed.Lesson.Find("apply-sentence")!.Items.OfType<SentenceItem>(), s =>
            s.Text == "I sat on a red mat."
        );
        Assert.Empty(changed.Problems);
    }

    [Fact]
    public async Task Activities_are_added_moved_lengthened_and_left_out_and_each_is_undone()
    {
        var added = await lead.Changed(lesson, new AddActivity(PartKind.Practise, ActivityKind.HasSound, 0));
        var practise = added.Lesson.Parts.Single(p => p.Kind == PartKind.Practise);
        Assert.Equal(ActivityKind.HasSound, practise.Activities[0].Kind);
        var id = practise.Activities[0].Id;
        var moved = await lead.Changed(added, new MoveActivity(id, 1));
        Assert.Equal(id, moved.Lesson.Parts.Single(p => p.Kind == PartKind.Practise).Activities[1].Id);
        var longer = await lead.Changed(moved, new SetLength(id, 300));
        Assert.Equal((300, true), (longer.Lesson.Find(id)!.Seconds, longer.Lesson.Find(id)!.SetByHand));
        Assert.Equal(300, (await lead.Changed(longer, new ChooseOthers(id))).Lesson.Find(id)!.Seconds);
        var without = await lead.Changed(await lead.Open(school.Otters, Today), new DropActivity(id));
        Assert.Null(without.Lesson.Find(id));
        var back = without;
        while (back.CanUndo)
            back = await lead.Changed(back, new UndoChange());
        Assert.Equal(LessonDocument.Write(lesson.Lesson), LessonDocument.Write(back.Lesson));
        await TestClient.Problem(
            await lead.Change(back, new SetLength("practise-read", 5)),
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task An_activity_with_too_few_words_is_refused_with_what_could_be_done_instead()
    {
        var refused = await TestClient.Problem(
            await lead.Change(lesson, new AddActivity(PartKind.Teach, ActivityKind.CutSyllables)),
            HttpStatusCode.UnprocessableEntity
        );
        Assert.Equal("bold:too-few-words", refused.GetProperty("type").GetString());
        Assert.NotEmpty(refused.GetProperty("kinds").EnumerateArray());
        await TestClient.Problem(
            await lead.Change(lesson, new AddActivity(PartKind.Revisit, ActivityKind.NewPattern)),
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_note_is_kept_and_the_last_item_is_not_left_out()
    {
        var noted = await lead.Changed(lesson, new SetRemark("  Use the big cards.  "));
        Assert.Equal("Use the big cards.", noted.Lesson.Remark);
        var word = noted.Lesson.Find("practise-read")!.Items[0].Id;
        var fewer = await lead.Changed(noted, new DropItem(word));
        Assert.DoesNotContain(fewer.Lesson.Find("practise-read")!.Items, i => i.Id == word);
        var single = fewer.Lesson.Activities.First(a => a.Items.Length == 1);
        await TestClient.Problem(
            await lead.Change(fewer, new DropItem(single.Items[0].Id)),
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_word_kept_from_a_group_goes_from_this_lesson_and_comes_in_no_later_one()
    {
        var word = lesson.Lesson.Find("practise-read")!.Items.OfType<WordItem>().First();
        var changed = await lead.Changed(lesson, new BanWord(word.Id));
        Assert.DoesNotContain(changed.Lesson.Activities.SelectMany(a => a.Items).SelectMany(ReadByChildren.Words), w =>
            w == word.Word
        );
        for (var day = 1; day < 9; day++)
        {
            if (day is 3 or 4 or 5)
                continue;
            Assert.DoesNotContain(
                (await lead.Open(school.Otters, Today.AddDays(day)))
                    .Lesson.Activities.SelectMany(a => a.Items)
                    .SelectMany(ReadByChildren.Words),
                w => w == word.Word
            );
        }
        async Task<bool> KeptOut() =>
            (await lead.Get<School.Words.WordView>($"/api/schools/{school.School}/words/{word.Word}"))
                .Groups.Single(g => g.GroupId == school.Otters)
                .KeptOut;
        Assert.True(await KeptOut());
        Assert.Equal(
            HttpStatusCode.NoContent,
            (
                await lead.Send(
                    HttpMethod.Delete,
                    $"/api/schools/{school.School}/groups/{school.Otters}/kept-out/{word.Word}"
                )
            ).StatusCode
        );
        Assert.False(await KeptOut());
    }

    [Fact]
    public async Task A_word_that_is_only_said_and_the_answer_of_a_riddle_can_be_kept_out_too()
    {
        var withClues = await lead.Changed(lesson, new AddActivity(PartKind.Revisit, ActivityKind.Clues));
        var clue = withClues.Lesson.Activities.SelectMany(a => a.Items).OfType<ClueItem>().First();
        var changed = await lead.Changed(withClues, new BanWord(clue.Id));
        Assert.DoesNotContain(changed.Lesson.Activities.SelectMany(a => a.Items).OfType<IOfWord>(), i =>
            i.Word == clue.Word
        );
        Assert.NotEmpty(changed.Lesson.Activities.SelectMany(a => a.Items).OfType<ClueItem>());
        var said = changed.Lesson.Activities.SelectMany(a => a.Items).OfType<WordItem>().First(w => w.Oral);
        var again = await lead.Changed(changed, new BanWord(said.Id));
        Assert.DoesNotContain(again.Lesson.Activities.SelectMany(a => a.Items).OfType<IOfWord>(), i =>
            i.Word == said.Word
        );
    }

    [Fact]
    public async Task Only_a_lead_keeps_a_word_from_the_school_and_with_a_reason()
    {
        var word = lesson.Lesson.Find("practise-read")!.Items.OfType<WordItem>().First();
        await TestClient.Problem(
            await (await school.As("teacher")).Change(lesson, new BanWord(word.Id, "No.", true)),
            HttpStatusCode.Forbidden
        );
        await TestClient.Problem(
            await lead.Change(lesson, new BanWord(word.Id, ForSchool: true)),
            HttpStatusCode.UnprocessableEntity
        );
        await lead.Changed(lesson, new BanWord(word.Id, "A nickname here.", true));
        var kestrels = await lead.Open(school.Kestrels, Today);
        Assert.DoesNotContain(kestrels.Lesson.Activities.SelectMany(a => a.Items).SelectMany(ReadByChildren.Words), w =>
            w == word.Word
        );
    }

    [Fact]
    public async Task A_copy_is_checked_for_the_group_it_comes_to_and_mended_without_touching_the_rest()
    {
        var kestrels = await lead.Open(school.Kestrels, Today);
        var copied = await lead.Changed(kestrels, new CopyLesson(school.Otters, Today));
        Assert.Equal(lesson.Lesson.Target.AsEnumerable(), copied.Lesson.Target);
        Assert.NotEmpty(copied.Problems);
        var sound = copied
            .Lesson.Activities.SelectMany(a => a.Items)
            .Select(i => i.Id)
            .Except(copied.Problems.Select(p => p.ItemId))
            .ToHashSet();
        var mended = await lead.Changed(copied, new RepairLesson());
        Assert.Empty(mended.Problems);
        Assert.Superset(
            sound.Where(i => !i.StartsWith("practise-chain", StringComparison.Ordinal)).ToHashSet(),
            mended.Lesson.Activities.SelectMany(a => a.Items).Select(i => i.Id).ToHashSet()
        );
        await TestClient.Problem(
            await lead.Change(mended, new CopyLesson(Guid.NewGuid(), Today)),
            HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task Undo_brings_back_the_rung_with_the_lesson()
    {
        var kestrels = await lead.Open(school.Kestrels, Today);
        var copied = await lead.Changed(kestrels, new CopyLesson(school.Otters, Today));
        Assert.Equal((lesson.RungId, lesson.RungLabel), (copied.RungId, copied.RungLabel));
        var undone = await lead.Changed(copied, new UndoChange());
        Assert.Equal((kestrels.RungId, kestrels.RungLabel), (undone.RungId, undone.RungLabel));
        Assert.Empty(undone.Problems);

        // A lesson that was made anew for another rung, and its stamp, too.
        var tomorrow = await lead.Open(school.Otters, Today.AddDays(1));
        await TestClient.Read<LessonView>(await lead.Close(lesson, LessonOutcome.NotTaught));
        var renewed = await lead.Open(school.Otters, Today.AddDays(1));
        Assert.NotEqual(tomorrow.RungId, renewed.RungId);
        var back = await lead.Changed(renewed, new UndoChange());
        Assert.Equal(
            (tomorrow.RungId, tomorrow.RungLabel, renewed.RungLabel),
            (back.RungId, back.RungLabel, back.ExpectedRung)
        );
        Assert.Equal(LessonDocument.Write(tomorrow.Lesson), LessonDocument.Write(back.Lesson));
    }

    [Fact]
    public async Task What_a_lesson_took_on_the_board_times_the_next_and_its_note_is_kept()
    {
        Task<HttpResponseMessage> Close(int times, string remark) =>
            lead.Send(
                HttpMethod.Post,
                lead.Lesson(lesson.Id) + "/closing",
                new CloseRequest(
                    Guid.CreateVersion7(),
                    LessonOutcome.Taught,
                    Took: lesson
                        .Lesson.Activities.ToDictionary(a => a.Id, a => times * a.Seconds)
                        .Append(new("x", 9))
                        .ToDictionary(),
                    Remark: remark
                ),
                version: lesson.Version
            );
        async Task Refused(string code, int times, string remark) =>
            Assert.Equal(
                code,
                (await TestClient.Problem(await Close(times, remark), HttpStatusCode.UnprocessableEntity))
                    .GetProperty("title")
                    .GetString()
            );
        await Refused("took-impossible", -1, "");
        await Refused("took-impossible", 2000, "");
        await Refused("remark-too-long", 2, new('x', 1001));
        var before = (await lead.Open(school.Otters, Today.AddDays(1))).Lesson;
        var closed = await TestClient.Read<LessonView>(await Close(2, " More time for spelling. "));
        Assert.Equal("More time for spelling.", closed.Lesson.Remark);
        // Slower from now on: what is planned takes longer, or holds less.
        var after = (await lead.Open(school.Otters, Today.AddDays(1))).Lesson;
        double Each(Lesson of) =>
            of
                .Activities.Where(a => a.Kind == ActivityKind.SpellWords)
                .Average(a => (a.Seconds - 15.0) / a.Items.Length);
        Assert.True(Each(after) > 1.1 * Each(before));
    }

    [Fact]
    public async Task What_wobbled_comes_first_tomorrow()
    {
        var wobbled = lesson.Lesson.Find("revisit-cards")!.Items.OfType<CardItem>().Last().Correspondence;
        await TestClient.Read<LessonView>(
            await lead.Send(
                HttpMethod.Post,
                lead.Lesson(lesson.Id) + "/closing",
                new CloseRequest(Guid.CreateVersion7(), LessonOutcome.Taught, null, [wobbled, "no-such"]),
                version: lesson.Version
            )
        );
        var tomorrow = await lead.Open(school.Otters, Today.AddDays(1));
        Assert.Equal(
            wobbled,
            Assert.Single(tomorrow.Lesson.Find("revisit-last-miss")!.Items.OfType<CardItem>()).Correspondence
        );
    }

    [Fact]
    public async Task A_lesson_planned_before_is_made_anew_when_yesterday_went_otherwise_unless_someone_changed_it()
    {
        var (tomorrow, after) = (
            await lead.Open(school.Otters, Today.AddDays(1)),
            await lead.Open(school.Otters, Today.AddDays(2))
        );
        await TestClient.Read<LessonView>(await lead.Close(lesson, LessonOutcome.NotTaught));
        var renewed = await lead.Open(school.Otters, Today.AddDays(1));
        Assert.Equal((lesson.RungId, 2, true), (renewed.RungId, renewed.Version, renewed.CanUndo));
        var third = await lead.Open(school.Otters, Today.AddDays(2));
        Assert.Equal((after.RungId, 1, tomorrow.RungLabel), (third.RungId, third.Version, third.ExpectedRung));

        var kestrels = await lead.Open(school.Kestrels, Today);
        var noted = await lead.Changed(await lead.Open(school.Kestrels, Today.AddDays(1)), new SetRemark("Mine."));
        await TestClient.Read<LessonView>(await lead.Close(kestrels, LessonOutcome.NotTaught));
        var kept = await lead.Open(school.Kestrels, Today.AddDays(1));
        Assert.Equal((noted.Version, noted.RungId), (kept.Version, kept.RungId));
    }

    [Fact]
    public async Task A_lesson_that_stopped_after_teach_brings_its_target_back_tomorrow_and_slows_the_plan()
    {
        await TestClient.Read<LessonView>(await lead.Close(lesson, LessonOutcome.Stopped, "practise-read"));
        var tomorrow = await lead.Open(school.Otters, Today.AddDays(1));
        Assert.Equal(
            lesson.Lesson.Target,
            tomorrow.Lesson.Find("revisit-last-miss")!.Items.OfType<CardItem>().Select(c => c.Correspondence)
        );
        var read = tomorrow.Lesson.Find("practise-read")!;
        Assert.True(read.Seconds > Pace.ChangeOver + (ActivityFacts.Of(read.Kind).Seconds * read.Items.Length));
        Assert.True(tomorrow.Minutes <= tomorrow.LessonMinutes);
    }
}
