using System.Net;
using BoldLadder.Core.Lessons.Booklets;
using BoldLadder.Core.Lessons.Cards;
using BoldLadder.Core.Style;
using BoldLadder.School.Printing;
using BoldLadder.School.Style;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Cards, booklets, home sheets, packs and files of a group's day. Source: docs/handbook.md, section
/// 6.</summary>
public sealed class PrintingTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string what, string rest = "") =>
        $"/api/schools/{school.School}/groups/{school.Otters}/{what}/2026-11-24{rest}";

    private async Task<string> Refused(string at, HttpStatusCode status = HttpStatusCode.UnprocessableEntity) =>
        (await TestClient.Problem(await lead.Send(HttpMethod.Get, at), status)).GetProperty("title").GetString()!;

    [Fact]
    public async Task Typed_words_become_cards_and_what_can_not_is_said_before_it_is_printed()
    {
        var cards = await lead.Get<CardsView>(
            At("cards", "?kind=words&source=words&words=tin,%20pat%0Ayacht;xyzzy&size=table")
        );
        Assert.Equal(["tin", "pat"], cards.Cards.Select(c => c.Key));
        Assert.Equal([("yacht", "not-yet"), ("xyzzy", "unknown")], cards.LeftOut.Select(l => (l.What, l.Why)));
        var pictures = await lead.Get<CardsView>(At("cards", "?kind=pictures&source=words&words=tin,pat"));
        Assert.Contains(("pat", "no-picture"), pictures.LeftOut.Select(l => (l.What, l.Why)));
        Assert.Equal("too-many-words", await Refused(At("cards", $"?kind=words&source=words&words={Many(401)}")));
        var most = await lead.Get<CardsView>(At("cards", $"?kind=words&source=words&words={Many(400)}"));
        Assert.Equal(400, most.LeftOut.Length);
        Assert.Empty(most.Sides);
        Assert.Equal("unknown-cards", await Refused(At("cards", "?kind=posters")));
        Assert.Equal("too-many-copies", await Refused(At("cards", "?kind=tiles&copies=0")));
    }

    private static string Many(int words) => string.Join(',', Enumerable.Range(0, words).Select(i => $"zz{i}"));

    [Fact]
    public async Task Cards_of_all_that_was_taught_have_each_grapheme_once_and_tiles_are_counted_by_children()
    {
        var cards = await lead.Get<CardsView>(At("cards", "?source=taught"));
        Assert.Equal(cards.Cards.Length, cards.Cards.Select(c => c.Key).Distinct().Count());
        Assert.All(cards.Cards, c => Assert.NotEmpty(c.Back.Says));
        Assert.Equal(2 * ((cards.Cards.Length + cards.Grid.Count - 1) / cards.Grid.Count), cards.Sides.Length);
        var wall = await lead.Get<CardsView>(At("cards", "?source=taught&size=wall"));
        Assert.All(wall.Cards, c => Assert.NotEmpty(c.Front.Says));
        Assert.DoesNotContain(wall.Sides, s => s.Back);
        var tiles = await lead.Get<CardsView>(At("cards", "?kind=tiles&source=taught&size=tile&copies=3"));
        Assert.Equal(3 * cards.Cards.Length, tiles.Cards.Length);
    }

    [Fact]
    public async Task What_needs_a_lesson_says_that_there_is_none_yet_and_then_has_what_it_shows()
    {
        foreach (var at in new[] { At("home"), At("pack"), At("files", "/slides.pptx"), At("cards", "?source=lesson") })
            Assert.Equal("no-lesson", await Refused(at, HttpStatusCode.NotFound));
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        var home = await lead.Get<HomeView>(At("home"));
        Assert.Equal(lesson.Lesson.Target, home.Sheet.News.Select(c => c.Correspondence));
        var pack = await lead.Get<LessonPack>(At("pack"));
        Assert.NotEmpty(pack.Cards);
        foreach (
            var (file, type) in new[]
            {
                ("slides.pptx", "presentationml.presentation"),
                ("plan.docx", "wordprocessingml.document"),
                ("sheet.docx", "wordprocessingml.document"),
                ("home.docx?large=true", "wordprocessingml.document"),
                ("words.csv", "text/csv"),
            }
        )
        {
            var answer = await lead.Send(HttpMethod.Get, At("files", $"/{file}"));
            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
            Assert.EndsWith(type, answer.Content.Headers.ContentType!.MediaType, StringComparison.Ordinal);
            Assert.StartsWith(
                "Otters-2026-11-24-",
                answer.Content.Headers.ContentDisposition!.FileNameStar,
                StringComparison.Ordinal
            );
        }
    }

    [Fact]
    public async Task What_is_in_the_box_is_left_out_of_the_week_and_comes_back_when_it_is_taken_out()
    {
        await lead.Open(school.Otters, TestSchool.Today);
        await lead.Open(school.Kestrels, TestSchool.Today);
        var week = $"/api/schools/{school.School}/packs/2026-11-26";
        var before = await lead.Get<PackView>(week);
        Assert.Equal([school.Kestrels, school.Otters], before.Parts.Select(p => p.GroupId));
        Assert.NotEmpty(before.Unplanned);
        Assert.Empty(before.InTheBox);
        var keys = before
            .Parts.SelectMany(p => p.Pack.Cards)
            .Where(c => c.Kind == CardKind.Graphemes)
            .Select(c => c.Key)
            .Distinct()
            .ToList();
        await Change(keys, owned: true);
        await Change(keys, owned: true);
        var after = await lead.Get<PackView>(week);
        Assert.DoesNotContain(after.Parts.SelectMany(p => p.Pack.Cards), c => c.Kind == CardKind.Graphemes);
        Assert.Equal(keys.Order(), after.InTheBox.Single().Keys.Order());
        await Change(keys, owned: false);
        Assert.Equal(
            before.Parts.Select(p => p.Pack.Cards.Length),
            (await lead.Get<PackView>(week)).Parts.Select(p => p.Pack.Cards.Length)
        );
        var helper = await school.As("helper");
        Assert.Equal(
            HttpStatusCode.Forbidden,
            (
                await helper.Send(
                    HttpMethod.Post,
                    $"/api/schools/{school.School}/box",
                    new BoxChange(CardKind.Words, ["cat"], true)
                )
            ).StatusCode
        );
    }

    private async Task Change(IReadOnlyList<string> keys, bool owned) =>
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await lead.Send(
                    HttpMethod.Post,
                    $"/api/schools/{school.School}/box",
                    new BoxChange(CardKind.Graphemes, keys, owned)
                )
            ).StatusCode
        );

    [Fact]
    public async Task A_card_comes_once_in_a_week()
    {
        foreach (var day in new[] { 24, 25 })
            await lead.Open(school.Otters, new DateOnly(2026, 11, day));
        var pack = await lead.Get<PackView>($"/api/schools/{school.School}/packs/2026-11-24?group={school.Otters}");
        var cards = pack.Parts.SelectMany(p => p.Pack.Cards).Select(c => (c.Kind, c.Key)).ToList();
        Assert.Equal(cards.Count, cards.Distinct().Count());
        Assert.Equal(pack.Parts.Select(p => p.Date), pack.Parts.Select(p => p.Date).Order());
    }

    [Fact]
    public async Task Booklets_have_what_was_taught_and_say_when_there_is_too_little()
    {
        var sounds = await lead.Get<BookletView>(At("booklets", "?kind=sounds"));
        var cards = await lead.Get<CardsView>(At("cards", "?source=taught"));
        Assert.Equal(cards.Cards.Select(c => c.Key), sounds.Booklet.Pages.SelectMany(p => p.Cards).Select(c => c.Key));
        Assert.Equal(Imposition.Pages, sounds.Booklet.Pages.Length);
        Assert.Equal("unknown-booklet", await Refused(At("booklets", "?kind=atlas")));
        var book = (await lead.Get<BookletView>(At("booklets", "?kind=little-book"))).Booklet;
        Assert.NotEmpty(book.Title);
        Assert.Equal(BookPageKind.Text, book.Pages[1].Kind);
    }

    [Fact]
    public async Task Sheets_can_be_of_a_week_of_a_rung_and_of_typed_words()
    {
        var week = await lead.Get<SheetsView>(At("sheets", "?span=week"));
        Assert.StartsWith(school.OttersNext.First().Label, week.RungLabel, StringComparison.Ordinal);
        Assert.True(week.RungLabel.Length > school.OttersNext.First().Label.Length);
        var rung = await lead.Get<SheetsView>(At("sheets", $"?rung={Uri.EscapeDataString("sh=ʃ")}"));
        Assert.Equal("sh", rung.RungLabel);
        Assert.Equal("unknown-rung", await Refused(At("sheets", "?rung=nowhere")));
        var typed = await lead.Get<SheetsView>(At("sheets", "?words=tin,sit,pat,nap,sat,yacht"));
        Assert.Contains(Core.Lessons.Sheets.SheetKind.ReadAndMark, typed.Kinds);
        Assert.Equal(["yacht"], typed.LeftOut.Select(l => l.What));
    }

    [Fact]
    public async Task A_greeting_of_the_school_stands_on_what_families_get()
    {
        await lead.Open(school.Otters, TestSchool.Today);
        var style = await lead.Get<StyleView>($"/api/schools/{school.School}/style");
        async Task<HttpStatusCode> Greet(string greeting) =>
            (
                await lead.Send(
                    HttpMethod.Post,
                    $"/api/schools/{school.School}/style",
                    new StyleRequest(style.Accent, style.Style with { Greeting = greeting }),
                    stamp: style.Stamp
                )
            ).StatusCode;
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Greet(new string('x', HouseStyle.LongestGreeting + 1)));
        Assert.Equal(HttpStatusCode.OK, await Greet("Hello from us all!"));
        Assert.Equal("Hello from us all!", (await lead.Get<HomeView>(At("home"))).Greeting);
    }
}
