using System.Net;
using System.Text;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Texts;
using BoldLadder.School.Lessons;
using BoldLadder.School.Texts;
using BoldLadder.Store;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>
/// Texts checked, reworded, written and kept, and the shelf of books. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class TextTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string what) => $"/api/schools/{school.School}/{what}";

    private LevelAsked Otters => new(school.Otters);

    private async Task<T> Post<T>(string what, object body, TestClient? by = null) =>
        await TestClient.Read<T>(await (by ?? lead).Send(HttpMethod.Post, At(what), body));

    private async Task<string> Refused(
        HttpMethod method,
        string what,
        object? body,
        HttpStatusCode status = HttpStatusCode.UnprocessableEntity
    ) => (await TestClient.Problem(await lead.Send(method, At(what), body), status)).GetProperty("title").GetString()!;

    private static OwnTextRequest Story(string title, string body, params string[] first) =>
        new(
            Kind: OwnTextKind.Story,
            Title: title,
            Body: body,
            Questions: ["Who sat?"],
            FirstWords: first,
            Told: [],
            Before: "",
            IsShared: true
        );

    [Fact]
    public async Task A_text_is_checked_for_a_group_word_by_word_with_when_the_rest_comes()
    {
        var view = await Post<TextView>(
            "texts/check",
            new TextAsked("A cat sat. The night is dark. Zibbo ran.", Otters, NamesTold: true)
        );
        var words = view.Words.ToDictionary(w => w.Text);
        Assert.Equal(ReadingStatus.Decodable, words["cat"].Status);
        Assert.Equal(ReadingStatus.Tricky, words["The"].Status);
        Assert.Equal(ReadingStatus.NotYet, words["night"].Status);
        Assert.Equal("igh=aɪ", Assert.Single(words["night"].Needs).What);
        Assert.NotNull(words["night"].Readable!.Date);
        Assert.True(words["Zibbo"].IsTold);
        Assert.Equal(9 * 3, view.Places.Count);
        Assert.Equal(3, view.Sentences.Count);
        Assert.False(view.ReachesBar);
        Assert.Equal("igh", view.Reached!.Rung);
        Assert.Equal(13, view.Along!.Standing);
        Assert.Equal(view.Readable * 9 / 8, view.Along.Running[13] * 9 / 8, 9);
        Assert.Equal(view.Along.Rungs.Count + 1, view.Along.Running.Length);
        var taught = await Post<TextView>(
            "texts/check",
            new TextAsked("A cat sat. The night is dark.", Otters, FirstWords: ["night", "is", "dark"])
        );
        Assert.True(taught.ReachesBar);
    }

    [Fact]
    public async Task A_rung_and_a_set_of_ones_own_are_levels_too()
    {
        var after = await Post<TextView>(
            "texts/check",
            new TextAsked("A tin.", new LevelAsked(LadderId: school.Ladder, Version: 1, Rung: "n=n"))
        );
        Assert.Equal(0.5, after.Readable);
        var own = await Post<TextView>("texts/check", new TextAsked("The cat", new LevelAsked(Own: "c a t qqq | the")));
        Assert.True(own.ReachesBar);
        Assert.Null(own.Along);
        Assert.Equal(["qqq"], own.Unread);
    }

    [Fact]
    public async Task What_can_not_be_checked_says_why_and_is_not_kept()
    {
        Assert.Equal("text-script", await Refused(HttpMethod.Post, "texts/check", new TextAsked("قطة", Otters)));
        Assert.Equal("text-bar", await Refused(HttpMethod.Post, "texts/check", new TextAsked("cat", Otters, Bar: 0)));
        Assert.Equal(
            "text-no-word",
            await Refused(HttpMethod.Post, "texts/check", new TextAsked(new string('x', 10_000), Otters))
        );
        Assert.Equal(
            "text-too-long",
            await Refused(
                HttpMethod.Post,
                "texts/check",
                new TextAsked(string.Concat(Enumerable.Repeat("cat ", 200_001)), Otters)
            )
        );
        Assert.Equal(
            "text-file-pdf",
            await Refused(HttpMethod.Post, "texts/file", new TextFileAsked("%PDF-1"u8.ToArray()))
        );
        var read = await Post<TextOfFile>("texts/file", new TextFileAsked("A cat."u8.ToArray()));
        Assert.Equal(("A cat.", 2), (read.Text, read.Words));
        Assert.Empty(await lead.Get<List<OwnTextView>>(At("own-texts")));
    }

    [Fact]
    public async Task For_a_word_that_stands_in_the_way_others_are_offered_and_who_writes_gets_words()
    {
        const string text = "He sat on the carpet.";
        var instead = await Post<InsteadView>("texts/instead", new InsteadAsked(text, 14, Otters));
        Assert.Contains("mat", instead.Words.Select(w => w.Words));
        Assert.Equal((0, text.Length), (instead.SentenceStart, instead.SentenceLength));
        Assert.Equal(
            "text-no-word-there",
            await Refused(HttpMethod.Post, "texts/instead", new InsteadAsked(text, 8, Otters))
        );
        var today = await Post<WordsOffered>("texts/words", new WordsAsked(Otters, Today: true));
        Assert.NotEmpty(today.Words);
        Assert.All(today.Words, w => Assert.Contains('u', w));
        Assert.Contains("cat", (await Post<WordsOffered>("texts/words", new WordsAsked(Otters, "animals"))).Words);
        Assert.Contains("mat", (await Post<WordsOffered>("texts/words", new WordsAsked(Otters, Rhyme: "cat"))).Words);
        Assert.Equal(
            4,
            (
                await Post<StoryView>(
                    "texts/story",
                    new StoryAsked(new LevelAsked(LadderId: school.Ladder, Version: 1, Rung: "ear=eə"), 1)
                )
            )
                .Bones
                .Count
        );
    }

    [Fact]
    public async Task A_text_is_kept_shared_changed_on_what_was_seen_and_put_away()
    {
        var made = await Post<OwnTextView>("own-texts", Story("The pup", "A pup sat."));
        Assert.Equal(("The pup", 3, true), (made.Title, made.Words, made.IsKnown));
        Assert.Equal(13, Assert.Single(made.Places).Rung!.Number);
        Assert.Contains("Otters", made.ReadBy);
        var teacher = await school.As("teacher");
        Assert.Equal("The pup", Assert.Single(await teacher.Get<List<OwnTextView>>(At("own-texts"))).Title);
        var mine = await Post<OwnTextView>("own-texts", Story("Mine", "A cat.") with { IsShared = false }, teacher);
        Assert.Single(await lead.Get<List<OwnTextView>>(At("own-texts")));
        await TestClient.Problem(await lead.Send(HttpMethod.Get, At($"own-texts/{mine.Id}")), HttpStatusCode.NotFound);

        var at = At($"own-texts/{made.Id}");
        var changed = await TestClient.Read<OwnTextView>(
            await teacher.Send(HttpMethod.Put, at, Story("The pup", "A pup ran."), stamp: made.Stamp)
        );
        Assert.Equal("A pup ran.", changed.Body);
        await TestClient.Problem(
            await lead.Send(HttpMethod.Put, at, Story("The pup", "A pup hid."), stamp: made.Stamp),
            HttpStatusCode.Conflict
        );
        var away = await TestClient.Read<OwnTextView>(
            await lead.Send(HttpMethod.Post, $"{at}/away", new { isAway = true }, stamp: changed.Stamp)
        );
        Assert.True(away.IsRetired);
        foreach (
            var (request, code) in new[]
            {
                (Story("", "A pup."), "bad-text-title"),
                (Story("The pup", " "), "bad-text-body"),
                (Story("The pup", "A pup.", "a", "b", "c", "d", "e", "f"), "bad-text-first"),
                (Story("The pup", "What shit."), "bad-text-never"),
            }
        )
            Assert.Equal(code, await Refused(HttpMethod.Post, "own-texts", request));
    }

    [Fact]
    public async Task A_text_of_the_schools_own_is_read_in_a_lesson_with_what_is_taught_before_it()
    {
        var story = await Post<OwnTextView>(
            "own-texts",
            Story("The tin", "A cat sat on the tin. A rat said no. The cat ran.", "said")
        );
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        var changed = await lead.Changed(lesson, new UseText(story.Id));
        var text = changed.Lesson.Activities.SelectMany(a => a.Items).OfType<TextItem>().Single();
        Assert.Equal(["A cat sat on the tin.", "A rat said no.", "The cat ran."], text.Sentences.Select(s => s.Text));
        Assert.Equal("Who sat?", Assert.Single(text.Questions));
        Assert.Contains(
            "said",
            changed
                .Lesson.Activities.Where(a => a.Kind == ActivityKind.NewTrickyWord)
                .SelectMany(a => a.Items)
                .OfType<WordItem>()
                .Select(w => w.Word)
        );
        Assert.Empty(changed.Problems);

        var booklet = await lead.Get<School.Printing.BookletView>(
            At($"groups/{school.Otters}/booklets/2026-11-24?kind=little-book")
        );
        Assert.Contains("A rat said no.", System.Text.Json.JsonSerializer.Serialize(booklet), StringComparison.Ordinal);

        var hard = await Post<OwnTextView>("own-texts", Story("The night", "It was a dark night."));
        var problem = await TestClient.Problem(
            await lead.Change(changed, new UseText(hard.Id)),
            HttpStatusCode.UnprocessableEntity
        );
        Assert.Equal("bold:text-not-readable", problem.GetProperty("type").GetString());
        Assert.Contains("night", problem.GetProperty("detail").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Lessons_are_planned_with_what_the_school_shares()
    {
        // A story full of what the day brings: no shipped one has as much. A sentence that the lesson has already would
        // keep it out, so none is one that may be shipped.
        await Post<OwnTextView>(
            "own-texts",
            Story(
                "Up",
                "A pup ran in the mud. Mum cut up a nut. A pup ran up to Mum. Mum ran up. Sum up the nut in the sun."
            )
        );
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        TextItem? Read() => lesson.Lesson.Activities.SelectMany(a => a.Items).OfType<TextItem>().LastOrDefault();
        if (Read() is null)
            lesson = await lead.Changed(lesson, new AddActivity(PartKind.Apply, ActivityKind.ReadText));
        // Which of two good ones comes first is drawn; another is one key away.
        for (var others = 0; others < 12 && Read()!.Title != "Up"; others++)
        {
            var holder = lesson.Lesson.Activities.Single(a => a.Items.Contains(Read()!));
            lesson = await lead.Changed(lesson, new ChooseOthers(holder.Id));
        }
        Assert.Equal("Up", Read()!.Title);
    }

    [Fact]
    public async Task A_kept_text_is_hunted_and_read_again_on_three_days()
    {
        var story = await Post<OwnTextView>(
            "own-texts",
            Story("The pup", "A pup sat up. Put the pup in the tub. It is a rut.")
        );
        var reading = await lead.Get<ReadingView>(At($"own-texts/{story.Id}/reading?groupId={school.Otters}"));
        Assert.Equal(["u"], reading.Targets);
        Assert.Equal(["pup", "up", "tub", "rut"], reading.Words);
        Assert.Equal(["put"], reading.LookAlikes);
        Assert.Equal(["words", "expression", "meaning"], reading.Days.Select(d => d.Focus));
        Assert.Equal(TestSchool.Today, reading.Days[0].Day);
        Assert.Equal(3, reading.Days.Select(d => d.Day).Distinct().Count());
    }

    [Fact]
    public async Task The_shelf_says_who_can_read_a_book_who_soon_and_why_not()
    {
        BookRequest Book(string title, string body, int copies = 6) => new(title, "Red", 8, copies, body, []);
        var easy = await Post<BookView>("books", Book("The cat", "A cat sat on a mat. A rat ran."));
        await Post<BookView>("books", Book("The night", "The night is dark. It is night. A night light."));
        await Post<BookView>("books", Book("Nothing", ""));
        Assert.Equal(
            "book-there",
            await Refused(HttpMethod.Post, "books", Book("The cat", ""), HttpStatusCode.Conflict)
        );
        var shelf = await lead.Get<ShelfView>(At("books?bar=100"));
        BookFit Fit(string title) =>
            shelf
                .Books.Single(b => b.Title == title)
                .Fits[shelf.Groups.ToList().FindIndex(g => g.Id == school.Otters)]
                .Fit;
        Assert.Equal(BookFit.Now, Fit("The cat"));
        Assert.Equal(BookFit.NotYet, Fit("The night"));
        Assert.Equal(BookFit.NoWords, Fit("Nothing"));
        Assert.Equal(new RungPlace(40, "igh"), shelf.Books.Single(b => b.Title == "The night").Places[0]);
        var now = await lead.Get<ShelfView>(At($"books?group={school.Otters}&fit=now&bar=100"));
        Assert.Equal("The cat", Assert.Single(now.Books).Title);
        Assert.Equal((1, 3), (now.Total, now.All));

        var of = easy.Groups.Single(g => g.GroupId == school.Otters);
        Assert.Equal(("words", TestSchool.Today), (of.Next!.Focus, of.Next.Day));
        var read = await Post<BookView>(
            $"books/{easy.Id}/uses",
            new BookUseRequest(school.Otters, BookUseKind.Read, TestSchool.Today, 0)
        );
        Assert.Equal("expression", read.Groups.Single(g => g.GroupId == school.Otters).Next!.Focus);
        var home = await Post<BookView>(
            $"books/{easy.Id}/uses",
            new BookUseRequest(school.Otters, BookUseKind.Home, null, 5)
        );
        Assert.Equal(5, home.Groups.Single(g => g.GroupId == school.Otters).Fit.Home);
        Assert.Equal(
            "no-copies",
            await Refused(
                HttpMethod.Post,
                $"books/{easy.Id}/uses",
                new BookUseRequest(school.Kestrels, BookUseKind.Home, null, 2),
                HttpStatusCode.Conflict
            )
        );
        var back = await TestClient.Read<BookView>(
            await lead.Send(
                HttpMethod.Delete,
                At($"books/{easy.Id}/uses/{home.Uses.Single(u => u.Kind == BookUseKind.Home).Id}")
            )
        );
        Assert.Equal(0, back.Groups.Single(g => g.GroupId == school.Otters).Fit.Home);

        var changed = await TestClient.Read<BookView>(
            await lead.Send(
                HttpMethod.Put,
                At($"books/{easy.Id}"),
                Book("The cat", "The night light."),
                stamp: easy.Stamp
            )
        );
        Assert.Contains("light", changed.Groups.Single(g => g.GroupId == school.Otters).Missing.Select(m => m.Word));
        Assert.Equal(HttpStatusCode.NoContent, (await lead.Send(HttpMethod.Delete, At($"books/{easy.Id}"))).StatusCode);
        Assert.Equal(2, (await lead.Get<ShelfView>(At("books"))).All);
    }

    [Fact]
    public async Task Books_come_from_a_table_after_it_was_looked_at()
    {
        var file = new BookFile(
            Encoding.UTF8.GetBytes("title,label,colour,words\nA cat,Red,blue,A cat sat.\nA pup,,,\n,,,")
        );
        var seen = await Post<BookFileView>("books/file/look", file);
        Assert.Equal((2, 0), (seen.New.Count, seen.There.Count));
        Assert.Equal(["colour"], seen.OtherColumns);
        Assert.Empty((await lead.Get<ShelfView>(At("books"))).Books);
        await Post<BookFileView>("books/file", file);
        Assert.Equal(2, (await lead.Get<ShelfView>(At("books"))).All);
        var again = await Post<BookFileView>("books/file", file);
        Assert.Equal((0, 2), (again.New.Count, again.There.Count));
        Assert.Equal(2, (await lead.Get<ShelfView>(At("books"))).All);
    }
}
