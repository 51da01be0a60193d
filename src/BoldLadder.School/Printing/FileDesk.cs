using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Words;
using BoldLadder.Formats.Office;
using BoldLadder.Formats.Tables;
using BoldLadder.School.Papers;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;
using BoldLadder.Wording;

namespace BoldLadder.School.Printing;

/// <summary>A file to be kept, or opened in another program.</summary>
/// <param name="Name">Without what a file's name can't have.</param>
public sealed record PaperFile(string Name, byte[] Content);

/// <summary>
/// Lessons, sheets and home sheets as files of office programs, and words as a table. Source: docs/handbook.md, section
/// 6 (files).
/// </summary>
public sealed class FileDesk(
    SchoolScope scope,
    PaperDays days,
    SheetDesk sheets,
    HomeDesk homes,
    PictureShelf pictures,
    StyleDesk style
)
{
    /// <summary>What children read is set in this font; without lettering of one storey in the plain one.</summary>
    private const string ReadingFont = "Andika";

    private const string PlainFont = "Arial";

    private Saying Saying => new(Catalogue.Of(scope.School.Language), scope.Style);

    /// <summary>The whole lesson as slides (PPTX).</summary>
    public async Task<Answer<PaperFile>> Slides(Guid groupId, DateOnly date)
    {
        var found = await Lesson(groupId, date);
        if (found.Refusal is { } refusal)
            return refusal;
        var (day, stored) = found.Value;
        var lesson = (await style.Way()).Over(stored.Document);
        var picture = await pictures.For(scope, LessonSlides.PicturesOf(lesson));
        var saying = Saying;
        await scope.Release();
        var deck = new LessonSlides(saying, picture).Of(lesson, lesson.Title.Label, On(day));
        return new PaperFile(Name(day, "slides", "pptx"), PptxFile.Write(deck));
    }

    /// <summary>The lesson's plan (DOCX).</summary>
    /// <param name="say">With what to say in each activity.</param>
    public async Task<Answer<PaperFile>> Plan(Guid groupId, DateOnly date, bool say)
    {
        var found = await Lesson(groupId, date);
        if (found.Refusal is { } refusal)
            return refusal;
        var (day, stored) = found.Value;
        var lesson = (await style.Way()).Over(stored.Document);
        return new PaperFile(
            Name(day, "plan", "docx"),
            DocxFile.Write(PlanPaper.Of(lesson, lesson.Title.Label, On(day), Saying, say))
        );
    }

    /// <summary>A sheet and its answers (DOCX).</summary>
    public async Task<Answer<PaperFile>> Sheet(Guid groupId, DateOnly date, SheetWanted wanted)
    {
        var made = await sheets.Make(groupId, date, wanted);
        if (made.Refusal is { } refusal)
            return refusal;
        var day = await days.Of(groupId, date);
        if (day.Refusal is { } noDay)
            return noDay;
        var picture = await pictures.For(scope, SheetPaper.PicturesOf(made.Value));
        return new PaperFile(
            Name(day.Value, $"{made.Value.Kind}", "docx"),
            DocxFile.Write(new SheetPaper(Saying, picture).Of(made.Value, On(day.Value)))
        );
    }

    /// <summary>What families get (DOCX).</summary>
    /// <param name="large">In large print.</param>
    public async Task<Answer<PaperFile>> Home(Guid groupId, DateOnly date, bool large)
    {
        var shown = await homes.Show(groupId, date);
        if (shown.Refusal is { } refusal)
            return refusal;
        var day = await days.Of(groupId, date);
        if (day.Refusal is { } noDay)
            return noDay;
        return new PaperFile(
            Name(day.Value, "home", "docx"),
            DocxFile.Write(HomePaper.Of(shown.Value.Sheet, On(day.Value), Saying, shown.Value.Greeting, large))
        );
    }

    /// <summary>
    /// The words that can be read by the end of the day, those with what is new first (CSV): word, graphemes with bars,
    /// sounds, whether it has what is new, whether it is tricky.
    /// </summary>
    public async Task<Answer<PaperFile>> Words(Guid groupId, DateOnly date)
    {
        var found = await days.Of(groupId, date);
        if (found.Refusal is { } refusal)
            return refusal;
        var day = found.Value;
        var work = new LessonWork(day.Request);
        var own = work.Own.ToHashSet();
        var rows = work
            .Own.Concat(work.Before.Where(w => !own.Contains(w)))
            .Select(w =>
                new[]
                {
                    w.Spelling,
                    w.Segmentation.Graphemes,
                    string.Join('|', scope.Accent.Sounds(w)),
                    own.Contains(w) ? "new" : "",
                    w.IsKnown ? "known" : "",
                }
            );
        return new PaperFile(
            Name(day, "words", "csv"),
            CsvTable.Write(["word", "graphemes", "sounds", "has-what-is-new", "known-at-five"], rows)
        );
    }

    private async Task<Answer<(PaperDay Day, Store.StoredLesson Lesson)>> Lesson(Guid groupId, DateOnly date)
    {
        var found = await days.Of(groupId, date);
        return found.Refusal is { } refusal ? refusal
            : found.Value.Lesson is { } lesson ? (found.Value, lesson)
            : Refused.NoLesson;
    }

    private OnPaper On(PaperDay day) =>
        new(
            day.Group.Name,
            day.Day.Date,
            scope.School.PaperSize,
            scope.Style.Lettering.OneStorey ? ReadingFont : PlainFont
        );

    /// <summary>Names of groups may have any sign: those of a file may not.</summary>
    private static string Name(PaperDay day, string what, string kind) =>
        string.Concat(day.Group.Name.Select(c => char.IsLetterOrDigit(c) ? c : '-'))
        + $"-{day.Day.Date:yyyy-MM-dd}-{what.ToLowerInvariant()}.{kind}";
}
