using System.Collections.Immutable;
using System.Text.Json;
using BoldLadder.Core;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Home;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.Core.Lessons.Showing;
using BoldLadder.Core.Style;
using BoldLadder.Formats.Office;
using BoldLadder.Formats.Pictures;
using BoldLadder.School.Papers;
using BoldLadder.School.Words;
using BoldLadder.Wording;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Validation;
using Xunit;
using A = DocumentFormat.OpenXml.Drawing;

namespace BoldLadder.Web.Tests;

/// <summary>Files for office programs. Source: docs/handbook.md, section 6 (files).</summary>
public sealed class OfficeTests
{
    private static readonly Lazy<WordData> Data = new(() => new WordData());
    private static readonly OnPaper On = new("Otters & <co>", new DateOnly(2026, 11, 24), "A4", "Andika");
    private static readonly OfficePicture Dot = new(
        PictureRaster.OfSvg(
            "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 4 2\"><rect width=\"4\" height=\"2\"/></svg>"u8,
            20
        ),
        ""
    );

    private static readonly Lazy<SchoolWay> Way = new(() =>
        new SchoolWay(
            HouseStyle.Usual,
            new Dictionary<string, OwnWay>(),
            Data.Value.Lexicon,
            Accent.SouthernBritish,
            Data.Value.Materials.Pictures,
            new Dictionary<string, string>()
        )
    );

    private static readonly Saying Saying = new(Catalogue.Of("en-GB"), HouseStyle.Usual);

    private static readonly Lazy<IReadOnlyList<(LessonRequest Request, Lesson Lesson)>> Lessons = new(() =>
    {
        var series = new LessonSeries(
            Data.Value.LettersFirst,
            Data.Value.Materials,
            Leniencies.All,
            Accent.SouthernBritish,
            20,
            7
        );
        var lessons = new List<(LessonRequest, Lesson)>();
        while (series.HasNext)
        {
            var (request, lesson) = series.PlanNext();
            lessons.Add((request, Way.Value.Over(lesson)));
            series.Skip(8);
        }
        return lessons;
    });

    [Fact]
    public void Every_lesson_is_slides_that_office_programs_can_open_with_what_to_say_on_each()
    {
        foreach (var (_, lesson) in Lessons.Value)
        {
            var deck = new LessonSlides(Saying, _ => Dot).Of(lesson, lesson.Title.Label, On);
            var file = PptxFile.Write(deck);
            Assert.Equal(file, PptxFile.Write(deck));
            using var opened = PresentationDocument.Open(new MemoryStream(file), false);
            Assert.Empty(new OpenXmlValidator().Validate(opened).Select(e => $"{e.Path?.XPath} {e.Description}"));
            var slides = opened.PresentationPart!.SlideParts.ToList();
            Assert.Equal(deck.Slides.Length, slides.Count);
            Assert.All(slides, s => Assert.NotEmpty(Texts(s.NotesSlidePart!.NotesSlide!)));
            Assert.Equal(
                deck.Slides.SelectMany(s => s.Lines).Select(l => l.Text).Order(StringComparer.Ordinal),
                slides
                    .SelectMany(s => s.Slide!.Descendants<A.Run>())
                    .Where(r => r.RunProperties!.FontSize! != 2000)
                    .Select(r => r.Text!.Text)
                    .Order(StringComparer.Ordinal)
            );
        }
    }

    [Fact]
    public void A_slide_has_one_idea_that_fits_and_no_answer_beside_its_question()
    {
        foreach (var (_, lesson) in Lessons.Value)
        {
            foreach (var slide in new LessonSlides(Saying, _ => Dot).Of(lesson, lesson.Title.Label, On).Slides)
            {
                Assert.True(slide.Lines.Length + slide.Pictures.Length > 0, slide.Heading);
                // 310 mm of width hold so many letters of a size, at half its height each.
                var lines = slide.Lines.Sum(l => Math.Ceiling(l.Text.Length * l.Points * 0.18 / 310));
                var height = slide.Lines.Max(l => (int?)l.Points) * lines * 0.45 ?? 0;
                Assert.True(height < (slide.Pictures.IsEmpty ? 155 : 90), $"{slide.Heading}: {height}");
            }
        }
    }

    [Fact]
    public void Plans_sheets_and_home_sheets_are_documents_that_office_programs_can_open()
    {
        foreach (var (request, lesson) in Lessons.Value)
        {
            Opens(PlanPaper.Of(lesson, lesson.Title.Label, On, Saying, say: true));
            Opens(PlanPaper.Of(lesson, lesson.Title.Label, On with { Paper = "Letter" }, Saying, say: false));
            Opens(HomePaper.Of(HomeSheet.Of(lesson, []), On, Saying, "Hello \u0007", large: true));
            foreach (var kind in Enum.GetValues<SheetKind>())
            {
                if (SheetMaker.Make(request, kind, SheetLevel.Harder) is { } sheet)
                    Opens(new SheetPaper(Saying, _ => Dot).Of(sheet, On));
            }
        }
    }

    [Fact]
    public void A_sheet_has_its_answers_on_a_page_after_it_and_none_before()
    {
        var (request, _) = Lessons.Value[^3];
        var sheet = SheetMaker.Make(request, SheetKind.MissingGrapheme, SheetLevel.Same)!;
        var blocks = new SheetPaper(Saying, _ => Dot).Of(sheet, On).Blocks;
        var page = blocks.IndexOf(blocks.OfType<NewPageBlock>().Single());
        foreach (var item in sheet.Items.OfType<GapItem>())
        {
            Assert.DoesNotContain(item.Word, Words(blocks[..page]));
            Assert.Contains(item.Word, Words(blocks[page..]));
        }
    }

    [Theory]
    [InlineData("en-GB", "Tuesday 24 November")]
    [InlineData("en-US", "Tuesday, November 24")]
    public void A_school_reads_its_own_language_and_its_own_names(string language, string day)
    {
        var style = HouseStyle.Usual with
        {
            SoundLabels = SoundLabels.Plain,
            Labels = new Dictionary<string, string> { ["tricky"] = "rebel word" },
        };
        var saying = new Saying(Catalogue.Of(language), style);
        Assert.Equal(day, saying.Day(On.Date));
        Assert.Equal("“ai” as in rain", saying.Sound("eɪ"));
        Assert.Contains("rebel words", saying.Say("home.tricky"), StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public void The_pronoun_I_has_its_capital_wherever_it_stands()
    {
        var i = (WordItem)ItemMaker.OfWord("x", Data.Value.Lexicon.Find("i")!, [], Taught.Nothing) with { Id = "x:i" };
        Assert.Equal("I", new ItemWords(Saying).Of(i, ActivityKind.TrickySoFar)[0].Text);
        var home = new HomeSheet([], [], [], [i], null, HomeSheet.Games[0]);
        Assert.Contains("I", Words(HomePaper.Of(home, On, Saying, "", large: false).Blocks));
    }

    [Fact]
    public void Every_shipped_picture_can_be_drawn()
    {
        foreach (var name in Data.Value.Materials.Pictures.Values.Distinct())
        {
            var png = PictureRaster.OfSvg(Data.Value.Picture(name), 64);
            Assert.Equal(64, Math.Max(PictureRaster.SizeOf(png).Width, PictureRaster.SizeOf(png).Height));
            Assert.True(png.Length > 300, name);
        }
    }

    /// <summary>
    /// What papers say is kept as it was: a change is looked at, and written anew with BOLD_WRITE_PAPERS=1. The sheets
    /// are what the browser prints too.
    /// </summary>
    [Fact]
    public void Papers_say_what_they_said_before()
    {
        var (request, lesson) = Lessons.Value[6];
        var told = new SortedDictionary<string, string>(StringComparer.Ordinal)
        {
            ["plan.docx.txt"] = Text(PlanPaper.Of(lesson, lesson.Title.Label, On, Saying, say: true)),
            ["home.docx.txt"] = Text(HomePaper.Of(HomeSheet.Of(lesson, []), On, Saying, "", large: false)),
            ["slides.pptx.txt"] = string.Join(
                "\n\n",
                new LessonSlides(Saying, _ => Dot)
                    .Of(lesson, lesson.Title.Label, On)
                    .Slides.Select(s =>
                        $"{s.Heading}: {string.Join(" | ", s.Lines.Select(l => l.Text))}"
                        + $"{string.Concat(s.Pictures.Select(_ => " [picture]"))}\n{s.Notes}"
                    )
            ),
        };
        foreach (var kind in Enum.GetValues<SheetKind>())
        {
            if (
                Lessons
                    .Value.Select(l => l.Request)
                    .FirstOrDefault(r => r.Today.Label.Length > 1 && Made(r) is not null)
                is not { } day
            )
                continue;
            PaperSheet? Made(LessonRequest of) => SheetMaker.Make(of, kind, SheetLevel.Harder);
            var sheet = Way.Value.Over(Made(day)!);
            told[$"{kind.Code()}.json"] = JsonSerializer.Serialize(sheet, TestSchool.Json);
            told[$"{kind.Code()}.docx.txt"] = Text(new SheetPaper(Saying, _ => Dot).Of(sheet, On));
        }
        var folder = Path.Combine(TestFolders.Repository, "tests", "stored", "papers");
        if (Environment.GetEnvironmentVariable("BOLD_WRITE_PAPERS") == "1")
        {
            Directory.CreateDirectory(folder);
            foreach (var (name, text) in told)
                File.WriteAllText(Path.Combine(folder, name), text + "\n");
        }
        Assert.Equal(
            told.Keys,
            Directory.EnumerateFiles(folder).Select(f => Path.GetFileName(f)!).Order(StringComparer.Ordinal)
        );
        Assert.All(told, t => Assert.Equal(t.Value + "\n", File.ReadAllText(Path.Combine(folder, t.Key))));
    }

    /// <summary>
    /// A program that is not ours opens the files and prints them: nothing is lost, nothing is cut off, a sheet is one
    /// page and its answers another, a slide is a page.
    /// </summary>
    [DeepFact]
    public void What_office_programs_print_is_what_was_written()
    {
        var (request, lesson) = Lessons.Value[6];
        var deck = new LessonSlides(Saying, _ => Dot).Of(lesson, lesson.Title.Label, On);
        var documents = new Dictionary<string, (PagedText Text, int Pages)>
        {
            ["home"] = (HomePaper.Of(HomeSheet.Of(lesson, []), On, Saying, "", large: true), 1),
        };
        foreach (var paper in new[] { "A4", "Letter" })
        foreach (var kind in Enum.GetValues<SheetKind>())
        {
            if (SheetMaker.Make(request, kind, SheetLevel.Harder) is { } made)
            {
                documents[$"{kind}-{paper}"] = (
                    new SheetPaper(Saying, _ => Dot).Of(Way.Value.Over(made), On with { Paper = paper }),
                    made.HasAnswers ? 2 : 1
                );
            }
        }
        var folder = Directory.CreateTempSubdirectory("papers").FullName;
        File.WriteAllBytes(Path.Combine(folder, "deck.pptx"), PptxFile.Write(deck));
        foreach (var (name, document) in documents)
            File.WriteAllBytes(Path.Combine(folder, $"{name}.docx"), DocxFile.Write(document.Text));
        Run(
            "soffice",
            [
                $"-env:UserInstallation=file://{folder}/profile",
                "--headless",
                "--convert-to",
                "pdf",
                "--outdir",
                folder,
                .. Directory.EnumerateFiles(folder),
            ]
        );
        string[] Pages(string name) =>
            Run("pdftotext", [Path.Combine(folder, $"{name}.pdf"), "-"]).TrimEnd('\f', '\n').Split('\f');
        var wrong = new List<string>();
        foreach (var (name, (document, count)) in documents)
        {
            var pages = Pages(name);
            if (count != pages.Length)
                wrong.Add($"{name} has {pages.Length} pages");
            var text = Packed(string.Concat(pages));
            // Word by word: words that stand apart in a line are read as columns.
            Assert.All(Spans(document.Blocks).SelectMany(s => s.Text.Split(' ')), w => Assert.Contains(w, text));
        }
        Assert.Empty(wrong);
        var slides = Pages("deck");
        Assert.Equal(deck.Slides.Length, slides.Length);
        Assert.All(deck.Slides.Zip(slides), s =>
            Assert.All(s.First.Lines, l => Assert.Contains(Packed(l.Text), Packed(s.Second)))
        );
        Directory.Delete(folder, recursive: true);
    }

    private static string Packed(string text) => string.Concat(text.Where(c => !char.IsWhiteSpace(c)));

    private static string Run(string program, string[] arguments)
    {
        using var process = System.Diagnostics.Process.Start(
            new System.Diagnostics.ProcessStartInfo(program, arguments)
            {
                RedirectStandardOutput = true,
                RedirectStandardError = true,
            }
        )!;
        var output = process.StandardOutput.ReadToEndAsync();
        var errors = process.StandardError.ReadToEndAsync();
        process.WaitForExit();
        Assert.True(process.ExitCode == 0, $"{program}: {errors.Result}");
        return output.Result;
    }

    /// <summary>The text of a document as a word processor has it, a paragraph a line.</summary>
    private static string Text(PagedText document)
    {
        using var opened = WordprocessingDocument.Open(new MemoryStream(DocxFile.Write(document)), false);
        return string.Join(
            '\n',
            opened
                .MainDocumentPart!.Document!.Descendants<DocumentFormat.OpenXml.Wordprocessing.Paragraph>()
                .Select(p =>
                    p.InnerText
                    + string.Concat(
                        p.Descendants<DocumentFormat.OpenXml.Wordprocessing.Drawing>().Select(_ => "[picture]")
                    )
                )
                .Where(l => l.Length > 0)
        );
    }

    private static void Opens(PagedText document)
    {
        var file = DocxFile.Write(document);
        Assert.Equal(file, DocxFile.Write(document));
        using var opened = WordprocessingDocument.Open(new MemoryStream(file), false);
        Assert.Empty(
            new OpenXmlValidator().Validate(opened).Select(e => $"{document.Title}: {e.Path?.XPath} {e.Description}")
        );
        var text = opened.MainDocumentPart!.Document!.InnerText;
        Assert.All(Spans(document.Blocks), s => Assert.Contains(s.Text.Replace("\u0007", ""), text));
    }

    private static IEnumerable<Span> Spans(IEnumerable<Block> blocks) =>
        blocks.SelectMany(b =>
            b switch
            {
                TextBlock text => text.Spans,
                GridBlock grid => grid.Cells.SelectMany(r => r).SelectMany(c => c.Spans),
                _ => Enumerable.Empty<Span>(),
            }
        );

    private static List<string> Words(ImmutableArray<Block> blocks) => [.. Spans(blocks).Select(s => s.Text)];

    private static string Texts(DocumentFormat.OpenXml.OpenXmlElement of) =>
        string.Concat(of.Descendants<A.Text>().Select(t => t.Text));
}
